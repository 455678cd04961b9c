import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { newLineEdits } from '../../core/edits/new-line.js';
import type { Job } from '../../core/job/schema.js';
import { asError } from '../api/client';
import type { Change } from '../api/job';
import { Press } from '../controls/controls';
import { FeetField, typedFeet } from '../controls/feet-field';
import { LabeledChoice } from '../controls/labeled-choice';
import { LabeledField } from '../controls/labeled-field';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';

interface Props {
  readonly job: Job;
  readonly change: Change;
  readonly onDone: (id?: string) => void;
}

/** A second line of the job: with its own zero, joining another one at a branch or running to the main itself. */
export function NewLine({ job, change, onDone }: Props) {
  const [name, setName] = useState('');
  const [joins, setJoins] = useState(job.lines[0]?.id ?? '');
  const [station, setStation] = useState('');
  const [failed, setFailed] = useState<Error>();
  const other = job.lines.find(({ id }) => id === joins);
  const at = typedFeet(station);
  const add = async () => {
    const { id, edits } = newLineEdits(job, { name, joins: other, at_ft: at.feet, on: today() });
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
          among={placesToGo(job)}
          onChoose={setJoins}
        />
        {other && (
          <FeetField
            id="line-at"
            label="Joins it at about, ft (empty: the camera will find it)"
            value={station}
            onChange={setStation}
          />
        )}
      </Grid>
      <Presses
        canAdd={!(other && at.wrong)}
        onAdd={add}
        onCancel={() => {
          onDone();
        }}
      />
    </Box>
  );
}

/** Where a new line may run: into an existing line, or to the main. */
const placesToGo = (job: Job): (readonly [id: string, words: string])[] => [
  ...job.lines.map(({ id, name }) => [id, `${name ?? id}, at a branch connection`] as const),
  ['', 'the main, by itself'],
];

interface PressesProps {
  readonly canAdd: boolean;
  readonly onAdd: () => Promise<void>;
  readonly onCancel: () => void;
}

const Presses = ({ canAdd, onAdd, onCancel }: PressesProps) => (
  <Flex gap="3">
    <Press type="button" look="chosen" disabled={!canAdd} onClick={() => void onAdd()}>
      Add the line
    </Press>
    <Press type="button" look="quiet" onClick={onCancel}>
      Cancel
    </Press>
  </Flex>
);
