import { Box, Flex, Text } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { Firm } from '../../core/job/firm.js';
import { readFirmText } from '../../core/files/read-firm.js';
import { Refused } from '../api/client';
import { Press } from '../controls/controls';
import { save } from '../controls/save';
import { Faults } from '../shell/trouble';

/** The firm as a file: handed out, and taken in whole in the place of what stands. */
export function FirmFile({ firm, onTake }: { firm: Firm; onTake: (firm: Firm) => void }) {
  const picker = useRef<HTMLInputElement>(null);
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
  return (
    <Box mb="4">
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Company file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Flex gap="3" wrap="wrap" align="center">
        <Press
          type="button"
          onClick={() => {
            save(new Blob([JSON.stringify(firm, null, 2)], { type: 'application/json' }), 'company.json');
          }}
        >
          Export the company
        </Press>
        <Press type="button" onClick={() => picker.current?.click()}>
          Import a company file
        </Press>
        {taken && (
          <>
            <Text role="status">{taken.name} stands in the place of what was here.</Text>
            <Press
              type="button"
              look="quiet"
              onClick={() => {
                onTake(taken.before);
                setTaken(undefined);
              }}
            >
              Bring back what was here
            </Press>
          </>
        )}
      </Flex>
      {refused && (
        <Faults
          error={refused}
          onClose={() => {
            setRefused(undefined);
          }}
        />
      )}
    </Box>
  );
}
