import { sayPoint } from '../../core/job/point-words.js';
import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Edit } from '../../core/edits/index.js';
import { lineHead } from '../../core/edits/index.js';
import { freeId } from '../../core/job/free-id.js';
import type { Line, Run } from '../../core/job/schema.js';
import type { Change } from '../api/job';
import { Press } from '../controls/controls';
import { FeetField, typedFeet } from '../controls/feet-field';
import { LabeledChoice } from '../controls/labeled-choice';
import { today } from '../controls/today';
import { Note } from '../controls/text';

interface RunDraft extends Pick<Run, 'direction' | 'zero'> {
  /** A point of the line, or a cleanout not on it yet. */
  readonly access: string;
  readonly stage: NonNullable<Run['stage']>;
  /** Distance of a new cleanout from the zero of the line, as typed, and how it was measured. */
  readonly station: string;
  readonly paced: boolean;
  readonly within: string;
}
const anotherCleanout = 'new';

/** Another run: from a known point, or from a new cleanout with a taped or paced distance. */
export function RunForm({
  line,
  change,
  onDone,
}: {
  line: Line;
  change: Change;
  onDone: (runId?: string) => void;
}) {
  const [draft, setDraft] = useState<RunDraft>({
    ...{ access: line.datum, direction: 'downstream', zero: 'cap', stage: 'current' },
    ...{ station: '', paced: false, within: '' },
  });
  const isNew = draft.access === anotherCleanout;
  const set = (part: Partial<RunDraft>) => {
    setDraft({ ...draft, ...part });
  };
  const [station, within] = [typedFeet(draft.station), typedFeet(draft.within)];
  const needsWithin = isNew && draft.paced && station.feet !== undefined && within.feet === undefined;
  const isUnreadable = isNew && (station.wrong || within.wrong);
  const add = () => {
    const { run, edits } = editsFor(line, draft);
    // It exists at once: the next line typed goes into it, not into the run before. A refusal is shown above the
    // view.
    void change.say(edits);
    onDone(run);
  };
  return (
    <Box bg="sheet" borderBottom="1px solid" borderColor="ink" p="4" flexShrink={0}>
      <Grid templateColumns={{ base: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="3" mb="3">
        <HowItWent line={line} draft={draft} set={set} />
        {isNew && <WhereItIs draft={draft} set={set} />}
      </Grid>
      <Flex gap="3" align="center" wrap="wrap">
        <Press type="button" look="chosen" disabled={isUnreadable || needsWithin} onClick={add}>
          Add the run
        </Press>
        <Press
          type="button"
          look="quiet"
          onClick={() => {
            onDone();
          }}
        >
          Cancel
        </Press>
        {needsWithin && (
          <Text fontSize="14px">
            Enter how accurate the pacing is, ± ft: it decides how far the run is trusted.
          </Text>
        )}
        {isNew && draft.station.trim() === '' && (
          <Note size="small">Without a distance the run is tied when both runs read the same thing.</Note>
        )}
      </Flex>
    </Box>
  );
}

/** The run, and its cleanout where that is new. */
function editsFor(line: Line, draft: RunDraft): { run: string; edits: Edit[] } {
  const { access, direction, zero, stage } = draft;
  const taken = [...line.points.map(({ id }) => id), ...line.runs.map(({ id }) => id)];
  const point = freeId(taken, 'CO');
  const run = freeId(taken, 'R');
  const isNew = access === anotherCleanout;
  const set: Omit<Run, 'entries'> = {
    id: run,
    access: isNew ? point : access,
    direction,
    zero: zero === 'reading' ? 'unknown' : zero,
    stage,
    on: today(),
  };
  const added: Edit = { kind: 'run', line: line.id, run, set };
  if (!isNew) return { run, edits: [added] };
  const points = [...line.points, newCleanout(point, draft)];
  return { run, edits: [{ kind: 'line', line: line.id, set: { ...lineHead(line), points } }, added] };
}

function newCleanout(id: string, { station, paced, within }: RunDraft): Line['points'][number] {
  const { feet } = typedFeet(station);
  return {
    ...{ id, kind: 'cleanout', name: `cleanout ${id.replace('CO', '')}` },
    ...(feet !== undefined && { station_ft: feet }),
    ...(feet !== undefined && paced && { plusMinus_ft: typedFeet(within).feet }),
  };
}

interface DraftProps {
  readonly draft: RunDraft;
  readonly set: (part: Partial<RunDraft>) => void;
}

const goesIn = ['cleanout', 'manhole', 'pit'];

/** Access point, direction, zero, and date. */
const HowItWent = ({ line, draft, set }: DraftProps & { line: Line }) => (
  <>
    <LabeledChoice
      id="run-access"
      label="In at"
      value={draft.access}
      among={[
        ...line.points
          .filter(({ kind }) => goesIn.includes(kind))
          .map((point) => [point.id, sayPoint(point)] as const),
        [anotherCleanout, 'another cleanout'],
      ]}
      onChoose={(access) => {
        set({ access });
      }}
    />
    <LabeledChoice
      id="run-direction"
      label="Toward the"
      value={draft.direction}
      among={[
        ['downstream', 'street'],
        ['upstream', 'house'],
      ]}
      onChoose={(direction) => {
        set({ direction });
      }}
    />
    <LabeledChoice
      id="new-run-zero"
      label="Counter zeroed"
      value={draft.zero}
      among={[
        ['cap', 'at the cap'],
        ['pipe', 'in the level pipe'],
        ['unknown', 'nobody knows'],
      ]}
      onChoose={(zero) => {
        set({ zero });
      }}
    />
    <LabeledChoice
      id="run-stage"
      label="Inspected"
      value={draft.stage}
      among={[
        ['current', 'now'],
        ['before-cleaning', 'before cleaning'],
        ['earlier', 'an earlier time'],
        ['after-repair', 'after the repair'],
      ]}
      onChoose={(stage) => {
        set({ stage });
      }}
    />
  </>
);

/** Distance of a new cleanout from the zero of the line. */
const WhereItIs = ({ draft: { station, paced, within }, set }: DraftProps) => (
  <>
    <FeetField
      id="new-station"
      label="From the line’s zero, ft on the ground"
      placeholder="not measured"
      value={station}
      onChange={(typed) => {
        set({ station: typed });
      }}
    />
    <LabeledChoice
      id="new-paced"
      label="Measured by"
      value={paced ? 'paced' : 'taped'}
      among={[
        ['taped', 'tape, ± 0.5'],
        ['paced', 'pacing, or off a map'],
      ]}
      onChoose={(by) => {
        set({ paced: by === 'paced' });
      }}
    />
    {paced && (
      <FeetField
        id="new-within"
        label="Good within, ± ft"
        value={within}
        onChange={(typed) => {
          set({ within: typed });
        }}
      />
    )}
  </>
);
