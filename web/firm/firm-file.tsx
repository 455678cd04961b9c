import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { Firm } from '../../core/job/firm.js';
import { readFirmText } from '../../core/files/read-firm.js';
import { Refused } from '../api/client';
import { Press } from '../controls/controls';
import { save } from '../files/save';
import { useFile } from '../files/use-file';
import { Faults } from '../shell/faults';

/** The company as a file: exported, and imported in place of the current one. */
export function FirmFile({ firm, onTake }: { firm: Firm; onTake: (firm: Firm) => void }) {
  const [refused, setRefused] = useState<Error>();
  const [taken, setTaken] = useState<{ readonly name: string; readonly before: Firm }>();
  const take = async (file: File) => {
    const read = readFirmText(await file.text());
    if (read.faults) {
      setRefused(new Refused(`${file.name} was not taken`, read.faults, 422));
      return;
    }
    setRefused(undefined);
    setTaken({ name: file.name, before: firm });
    onTake(read.firm);
  };
  const { field, ask } = useFile({
    accept: '.json,application/json',
    'aria-label': 'Company file',
    onFile: take,
  });
  return (
    <Box mb="4">
      {field}
      <Flex gap="3" wrap="wrap" align="center">
        <Press
          type="button"
          onClick={() => {
            save(new Blob([JSON.stringify(firm, null, 2)], { type: 'application/json' }), 'company.json');
          }}
        >
          Export the company
        </Press>
        <Press type="button" onClick={ask}>
          Import a company file
        </Press>
        {taken && (
          <Taken
            name={taken.name}
            onBack={() => {
              onTake(taken.before);
              setTaken(undefined);
            }}
          />
        )}
      </Flex>
      {refused && (
        <Faults
          ofFile
          error={refused}
          onClose={() => {
            setRefused(undefined);
          }}
        />
      )}
    </Box>
  );
}

const Taken = ({ name, onBack }: { name: string; onBack: () => void }) => (
  <>
    <Text role="status">{name} replaced the company that was here.</Text>
    <Press type="button" look="quiet" onClick={onBack}>
      Restore the previous company
    </Press>
  </>
);
