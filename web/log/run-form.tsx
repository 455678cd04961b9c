import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { format } from 'date-fns';
import { useState } from 'react';
import type { Edit } from '../../core/edits/index.js';
import { lineHead } from '../../core/edits/index.js';
import { freeId } from '../../core/job/free-id.js';
import type { Line, Run } from '../../core/job/schema.js';
import { asError } from '../api/client';
import type { Change } from '../api/jobs';
import { Choice, Field, Label, Press } from '../controls/controls';
import { Faults } from '../shell/trouble';

/** Another run: from a point already known, or from a new cleanout with a taped or paced distance. */
export function RunForm({
  line,
  change,
  onDone,
}: {
  line: Line;
  change: Change;
  onDone: (runId?: string) => void;
}) {
  const [access, setAccess] = useState(line.datum);
  const [station, setStation] = useState('');
  const [paced, setPaced] = useState(false);
  const [within, setWithin] = useState('');
  const [direction, setDirection] = useState<Run['direction']>('downstream');
  const [zero, setZero] = useState<Run['zero']>('cap');
  const [stage, setStage] = useState<NonNullable<Run['stage']>>('current');
  const [failed, setFailed] = useState<Error>();
  const isNew = access === 'new';
  const add = async () => {
    const taken = [...line.points.map(({ id }) => id), ...line.runs.map(({ id }) => id)];
    const point = freeId(taken, 'CO');
    const run = freeId(taken, 'R');
    const feet = Number(station);
    const edits: Edit[] = isNew
      ? [
          {
            kind: 'line',
            line: line.id,
            set: {
              ...lineHead(line),
              points: [
                ...line.points,
                {
                  id: point,
                  kind: 'cleanout',
                  name: `cleanout ${point.replace('CO', '')}`,
                  ...(station.trim() === '' || Number.isNaN(feet)
                    ? {}
                    : { station_ft: feet, ...(paced ? { plusMinus_ft: Number(within) } : {}) }),
                },
              ],
            },
          },
        ]
      : [];
    edits.push({
      kind: 'run',
      line: line.id,
      run,
      set: {
        id: run,
        access: isNew ? point : access,
        direction,
        zero: zero === 'reading' ? 'unknown' : zero,
        stage,
        on: format(new Date(), 'yyyy-MM-dd'),
      },
    });
    try {
      await change.edit(edits);
      onDone(run);
    } catch (error) {
      setFailed(asError(error));
    }
  };
  return (
    <Box bg="sheet" borderBottom="1px solid" borderColor="ink" p="4" flexShrink={0}>
      {failed && (
        <Faults
          error={failed}
          onClose={() => {
            setFailed(undefined);
          }}
        />
      )}
      <Grid templateColumns={{ base: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="3" mb="3">
        <Box>
          <Label htmlFor="run-access">In at</Label>
          <Choice
            id="run-access"
            value={access}
            onChange={(event) => {
              setAccess(event.target.value);
            }}
          >
            {line.points
              .filter(({ kind }) => kind === 'cleanout' || kind === 'manhole' || kind === 'pit')
              .map((point) => (
                <option key={point.id} value={point.id}>
                  {point.name ?? point.id}
                </option>
              ))}
            <option value="new">another cleanout</option>
          </Choice>
        </Box>
        <Box>
          <Label htmlFor="run-direction">Toward the</Label>
          <Choice
            id="run-direction"
            value={direction}
            onChange={(event) => {
              setDirection(event.target.value as Run['direction']);
            }}
          >
            <option value="downstream">street</option>
            <option value="upstream">house</option>
          </Choice>
        </Box>
        <Box>
          <Label htmlFor="new-run-zero">Counter zeroed</Label>
          <Choice
            id="new-run-zero"
            value={zero}
            onChange={(event) => {
              setZero(event.target.value as Run['zero']);
            }}
          >
            <option value="cap">at the cap</option>
            <option value="pipe">in the level pipe</option>
            <option value="unknown">nobody knows</option>
          </Choice>
        </Box>
        <Box>
          <Label htmlFor="run-stage">Inspected</Label>
          <Choice
            id="run-stage"
            value={stage}
            onChange={(event) => {
              setStage(event.target.value as typeof stage);
            }}
          >
            <option value="current">now</option>
            <option value="before-cleaning">before cleaning</option>
            <option value="earlier">an earlier time</option>
            <option value="after-repair">after the repair</option>
          </Choice>
        </Box>
        {isNew && (
          <>
            <Box>
              <Label htmlFor="new-station">From the line’s zero, ft on the ground</Label>
              <Field
                id="new-station"
                inputMode="decimal"
                placeholder="not measured"
                value={station}
                onChange={(event) => {
                  setStation(event.target.value);
                }}
              />
            </Box>
            <Box>
              <Label htmlFor="new-paced">Measured by</Label>
              <Choice
                id="new-paced"
                value={paced ? 'paced' : 'taped'}
                onChange={(event) => {
                  setPaced(event.target.value === 'paced');
                }}
              >
                <option value="taped">tape, ± 0.5</option>
                <option value="paced">pacing, or off a map</option>
              </Choice>
            </Box>
            {paced && (
              <Box>
                <Label htmlFor="new-within">Good within, ± ft</Label>
                <Field
                  id="new-within"
                  inputMode="decimal"
                  value={within}
                  onChange={(event) => {
                    setWithin(event.target.value);
                  }}
                />
              </Box>
            )}
          </>
        )}
      </Grid>
      <Flex gap="3" align="center" wrap="wrap">
        <Press type="button" look="chosen" onClick={() => void add()}>
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
        {isNew && station.trim() === '' && (
          <Text fontSize="14px" color="soft">
            Without a distance the run is tied when both runs read the same thing.
          </Text>
        )}
      </Flex>
    </Box>
  );
}
