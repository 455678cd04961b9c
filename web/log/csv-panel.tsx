import { chakra, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import type { ReadRow } from '../../core/logprint/csv-rows.js';
import type { Run } from '../../core/job/schema.js';
import { Press } from '../controls/controls';
import { useFile } from '../files/use-file';
import { FullPagePanel } from '../shell/full-page-panel.js';
import type { JobContext } from '../shell/job-layout';
import { notHereYet } from '../shell/lazy-part.js';
import { save } from '../files/save';
import { contextOf, editsOf } from './entries';

// Reading a table takes the whole grammar of the log, so it is fetched on the first press.
const tables = async () => ({
  ...(await import('../../core/logprint/csv-rows.js')),
  ...(await import('../files/table-file')),
});

/** Acts on the code of tables once it is loaded; where it cannot be, says so. */
function withTables(
  tell: JobContext['tell'],
  act: (loaded: Awaited<ReturnType<typeof tables>>) => void,
): void {
  void tables().then(act, () => {
    tell(`${notHereYet}. Press again when the server answers.`);
  });
}

interface Props extends Pick<JobContext, 'line' | 'change' | 'tell'> {
  readonly run: Run;
}

/** The log of a run as a table, exported and imported: nothing is taken before it was reviewed. */
export function CsvPanel({ line, run, change, tell }: Props) {
  const [rows, setRows] = useState<readonly ReadRow[]>();
  const [name, setName] = useState('');
  const out = () => {
    withTables(tell, ({ tableText, rowOf, logColumns }) => {
      const csv = tableText(run.entries.map(rowOf), logColumns);
      save(new Blob([csv], { type: 'text/csv' }), `${run.id}.csv`);
    });
  };
  const pick = async (file: File) => {
    const text = await file.text();
    withTables(tell, ({ rowsOfTable, readRows }) => {
      const context = contextOf(line, undefined, run.id, { pass: 'back', waterClock: undefined });
      setName(file.name);
      setRows(readRows(rowsOfTable(text), context));
    });
  };
  const { field, ask } = useFile({
    accept: '.csv,text/csv',
    'aria-label': 'CSV file of a log',
    onFile: pick,
  });
  const close = () => {
    setRows(undefined);
  };
  const take = async () => {
    const good = rows?.flatMap(({ part, id }) => (part ? [{ part, id }] : [])) ?? [];
    const parts = good.flatMap(({ part }) => part);
    await change.say(editsOf(parts, line, run, { names: good.map(({ id }) => id) }));
    close();
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
      {rows && <RowsRead name={name} rows={rows} onTake={take} onClose={close} />}
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
