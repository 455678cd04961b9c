import { Box, Flex, Grid } from '@chakra-ui/react';
import { format } from 'date-fns';
import { useState } from 'react';
import { lineHead, type Edit } from '../../core/edits/index.js';
import { freeId } from '../../core/job/free-id.js';
import type { Job, LineHead, Run } from '../../core/job/schema.js';
import { asError } from '../api/client';
import type { Change } from '../api/jobs';
import { Press } from '../controls/controls';
import { FeetField, typedFeet } from '../controls/feet-field';
import { LabeledChoice } from '../controls/labeled-choice';
import { LabeledField } from '../controls/labeled-field';
import { Faults } from '../shell/trouble';

/** A second line of the job: with its own zero, joining another one at a tie-in or going to the main itself. */
export function NewLine({
  job,
  change,
  onDone,
}: {
  job: Job;
  change: Change;
  onDone: (id?: string) => void;
}) {
  const [name, setName] = useState('');
  const [joins, setJoins] = useState(job.lines[0]?.id ?? '');
  const [station, setStation] = useState('');
  const [failed, setFailed] = useState<Error>();
  const other = job.lines.find(({ id }) => id === joins);
  const at = typedFeet(station);
  const add = async () => {
    const taken = new Set(job.lines.map(({ id }) => id));
    const base =
      name
        .trim()
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-') || 'line';
    let id = base;
    for (let next = 2; taken.has(id); next++) id = `${base}-${next}`;
    const edits: Edit[] = [];
    const tie = freeId(other?.points.map((point) => point.id) ?? [], 'T');
    if (other) {
      edits.push({
        kind: 'line',
        line: other.id,
        set: {
          ...lineHead(other),
          points: [
            ...other.points,
            {
              id: tie,
              kind: 'tie-in',
              name: `${name.trim() || id} joins`,
              ...(at.feet === undefined ? {} : { station_ft: at.feet, plusMinus_ft: 3 }),
            },
          ],
        },
      });
    }
    const head: LineHead = {
      id,
      name: name.trim() || id,
      datum: 'CO1',
      end: other ? 'JOIN' : 'MAIN',
      points: [
        { id: 'CO1', kind: 'cleanout', name: 'cleanout 1' },
        other
          ? {
              id: 'JOIN',
              kind: 'tie-in',
              name: `joins ${other.name ?? other.id}`,
              onto: { line: other.id, point: tie },
            }
          : { id: 'MAIN', kind: 'main', name: 'main' },
      ],
    };
    const run: Omit<Run, 'entries'> = {
      id: 'R1',
      access: 'CO1',
      direction: 'downstream',
      zero: 'cap',
      on: format(new Date(), 'yyyy-MM-dd'),
    };
    edits.push({ kind: 'line', line: id, set: head }, { kind: 'run', line: id, run: 'R1', set: run });
    try {
      await change.edit(edits, { ownErrors: true });
      onDone(id);
    } catch (error) {
      setFailed(asError(error));
    }
  };
  return (
    <Box bg="sheet" borderBottom="1px solid" borderColor="ink" p="4">
      {failed && (
        <Faults
          error={failed}
          onClose={() => {
            setFailed(undefined);
          }}
        />
      )}
      <Grid templateColumns={{ base: '1fr', md: 'repeat(3, 1fr)' }} gap="3" mb="3">
        <LabeledField
          id="line-name"
          label="Called"
          value={name}
          placeholder="Guest house"
          onChange={setName}
        />
        <LabeledChoice
          id="line-joins"
          label="Goes to"
          value={joins}
          among={[
            ...job.lines.map(
              ({ id, name: called }) => [id, `${called ?? id}, at a branch connection`] as const,
            ),
            ['', 'the main, by itself'],
          ]}
          onChoose={setJoins}
        />
        {other && (
          <FeetField
            id="line-at"
            label="Joins it at about, ft (empty: the camera will tell)"
            value={station}
            onChange={setStation}
          />
        )}
      </Grid>
      <Flex gap="3">
        <Press type="button" look="chosen" disabled={other && at.wrong} onClick={() => void add()}>
          Add the line
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
      </Flex>
    </Box>
  );
}
