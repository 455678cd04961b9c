import { chakra, Flex, Text } from '@chakra-ui/react';
import Papa from 'papaparse';
import { useRef, useState } from 'react';
import { logColumns, readRows, rowOf, type ReadRow } from '../../core/logprint/csv-rows.js';
import type { Line, Run } from '../../core/job/schema.js';
import type { Change } from '../api/jobs';
import { Press } from '../controls/controls';
import { OverPage } from '../shell/over-page';
import { save } from '../controls/save';
import { tableText } from '../controls/table-file';
import { contextOf, editsOf } from './entries';

/** The log of a run as a table, out to a file and in from one: nothing is taken before it was looked at. */
export function CsvPanel({ line, run, change }: { line: Line; run: Run; change: Change }) {
  const picker = useRef<HTMLInputElement>(null);
  const [rows, setRows] = useState<readonly ReadRow[]>();
  const [name, setName] = useState('');
  const out = () => {
    const csv = tableText(run.entries.map(rowOf), logColumns);
    save(new Blob([csv], { type: 'text/csv' }), `${run.id}.csv`);
  };
  const pick = async (file: File) => {
    const { data } = Papa.parse<Record<string, string>>(await file.text(), {
      header: true,
      skipEmptyLines: 'greedy',
    });
    const context = contextOf(line, undefined, run.id, { pass: 'back', waterClock: undefined });
    setName(file.name);
    setRows(readRows(data, context));
  };
  const good = rows?.filter(({ part }) => part) ?? [];
  const take = async () => {
    await change.say(
      editsOf(
        good.flatMap(({ part }) => part ?? []),
        line,
        run,
        { names: good.map(({ id }) => id) },
      ),
    );
    setRows(undefined);
  };
  return (
    <>
      <Press look="quiet" type="button" onClick={out} whiteSpace="nowrap">
        CSV out
      </Press>
      <Press look="quiet" type="button" onClick={() => picker.current?.click()} whiteSpace="nowrap">
        CSV in
      </Press>
      <input
        ref={picker}
        type="file"
        accept=".csv,text/csv"
        hidden
        aria-label="CSV file of a log"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void pick(file);
          event.target.value = '';
        }}
      />
      {rows && (
        <OverPage role="dialog" aria-label={`Rows of ${name}`}>
          <Text p="4" borderBottom="1px solid" borderColor="rule">
            <strong>{name}</strong>: {good.length} of {rows.length} rows can be taken into this run. Nothing
            is taken yet.
          </Text>
          <chakra.ol overflowY="auto" flex="1" px="10" py="3" m="0">
            {rows.map((row, index) => (
              <chakra.li key={index} py="0.5" color={row.part ? 'ink' : 'signalInk'}>
                {row.part?.sentence ?? row.faults.join('; ')}
              </chakra.li>
            ))}
          </chakra.ol>
          <Flex gap="3" p="4" borderTop="1px solid" borderColor="rule">
            <Press type="button" look="chosen" disabled={good.length === 0} onClick={() => void take()}>
              Take {good.length} {good.length === 1 ? 'row' : 'rows'}
            </Press>
            <Press
              type="button"
              look="quiet"
              onClick={() => {
                setRows(undefined);
              }}
            >
              Take nothing
            </Press>
          </Flex>
        </OverPage>
      )}
    </>
  );
}
