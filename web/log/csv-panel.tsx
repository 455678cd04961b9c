import { chakra, Flex, Text } from '@chakra-ui/react';
import Papa from 'papaparse';
import { useState } from 'react';
import { logColumns, readRows, rowOf, type ReadRow } from '../../core/logprint/csv-rows.js';
import type { Line, Run } from '../../core/job/schema.js';
import type { Change } from '../api/job';
import { Press } from '../controls/controls';
import { useFile } from '../files/use-file';
import { FullPagePanel } from '../shell/full-page-panel.js';
import { save } from '../files/save';
import { tableText } from '../files/table-file';
import { contextOf, editsOf } from './entries';

/** The log of a run as a table, exported and imported: nothing is taken before it was reviewed. */
export function CsvPanel({ line, run, change }: { line: Line; run: Run; change: Change }) {
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
  const { field, ask } = useFile({
    accept: '.csv,text/csv',
    'aria-label': 'CSV file of a log',
    onFile: pick,
  });
  const take = async () => {
    const good = rows?.filter(({ part }) => part) ?? [];
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
      <Press look="quiet" type="button" onClick={ask} whiteSpace="nowrap">
        CSV in
      </Press>
      {field}
      {rows && (
        <RowsRead
          name={name}
          rows={rows}
          onTake={take}
          onClose={() => {
            setRows(undefined);
          }}
        />
      )}
    </>
  );
}

interface RowsReadProps {
  readonly name: string;
  readonly rows: readonly ReadRow[];
  readonly onTake: () => Promise<void>;
  readonly onClose: () => void;
}

/** The contents of a file, row by row, before any of it is taken. */
function RowsRead({ name, rows, onTake, onClose }: RowsReadProps) {
  const good = rows.filter(({ part }) => part).length;
  return (
    <FullPagePanel role="dialog" aria-label={`Rows of ${name}`}>
      <Text p="4" borderBottom="1px solid" borderColor="rule">
        <strong>{name}</strong>: {good} of {rows.length} rows can be taken into this run. Nothing is taken
        yet.
      </Text>
      <chakra.ol overflowY="auto" flex="1" px="10" py="3" m="0">
        {rows.map((row, index) => (
          <chakra.li key={index} py="0.5" color={row.part ? 'ink' : 'signalInk'}>
            {row.part?.sentence ?? row.faults.join('; ')}
          </chakra.li>
        ))}
      </chakra.ol>
      <Flex gap="3" p="4" borderTop="1px solid" borderColor="rule">
        <Press type="button" look="chosen" disabled={good === 0} onClick={() => void onTake()}>
          Take {good} {good === 1 ? 'row' : 'rows'}
        </Press>
        <Press type="button" look="quiet" onClick={onClose}>
          Take nothing
        </Press>
      </Flex>
    </FullPagePanel>
  );
}
