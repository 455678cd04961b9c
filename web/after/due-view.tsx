import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { addMonths } from '../../core/days.js';
import type { JobRow } from '../../server/jobs/digests.js';
import { useJobs } from '../api/job-list';
import { Press } from '../controls/controls';
import { sayDay } from '../../core/days.js';
import { Header, ToJobs } from '../shell/header';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';
import { RowsTable } from './rows-table';
import { Note, Title } from '../controls/text';

const spans = [
  ['now', 0],
  ['in three months', 3],
  ['in a year', 12],
  ['ever', 600],
] as const;
const mostRows = 200;

type DueRow = NonNullable<JobRow['digest']>['due'][number] & { readonly row: JobRow };

const JobLink = chakra(Link, { base: { color: 'ink', fontWeight: 700 } });

/** Every line of every job due for cleaning or inspection, the longest overdue first. */
export function DueView() {
  const jobs = useJobs();
  const [span, setSpan] = useState<Span>('in three months');
  useEffect(() => {
    document.title = 'What is due · Open Trench';
  }, []);
  const day = today();
  const dues = useMemo(() => duesOf(jobs.data ?? [], span, day), [jobs.data, span, day]);
  const waiting = (jobs.data ?? []).filter(({ fresh }) => !fresh).length;
  return (
    <Flex direction="column" minHeight="100%">
      <Header>
        <ToJobs />
      </Header>
      <Box as="main" width="100%" maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="6">
        <Title size="page" as="h1">
          What is due
        </Title>
        <Note my="2">
          Cleaning and inspections of every line, from what its scope left and when it was last cleaned and
          inspected.
        </Note>
        <Flex gap="2" wrap="wrap" mb="4" role="radiogroup" aria-label="Due">
          {spans.map(([name]) => (
            <Press
              key={name}
              type="button"
              role="radio"
              look={name === span ? 'chosen' : 'plain'}
              aria-checked={name === span}
              onClick={() => {
                setSpan(name);
              }}
            >
              {name}
            </Press>
          ))}
        </Flex>
        {jobs.error && <Faults error={jobs.error} />}
        {waiting > 0 && (
          <Note role="status" mb="2">
            {waiting} {waiting === 1 ? 'job is' : 'jobs are'} still being worked out.
          </Note>
        )}
        {jobs.isSuccess && dues.length === 0 && (
          <Text>Nothing is due {span === 'now' || span === 'ever' ? span : `with${span}`}.</Text>
        )}
        {dues.length > 0 && <DueTable dues={dues} day={day} />}
      </Box>
    </Flex>
  );
}

type Span = (typeof spans)[number][0];

/** What is due within a period from a date on, the earliest last day first. */
function duesOf(jobs: readonly JobRow[], span: Span, day: string): DueRow[] {
  const until = addMonths(day, spans.find(([name]) => name === span)?.[1] ?? 0);
  return jobs
    .flatMap((row) => (row.digest?.due ?? []).map((due): DueRow => ({ ...due, row })))
    .filter(({ from }) => from <= until)
    .sort((a, b) => (a.to < b.to ? -1 : a.to > b.to ? 1 : 0));
}

const DueTable = ({ dues, day }: { dues: readonly DueRow[]; day: string }) => (
  <>
    <RowsTable
      label="Lines that are due"
      head={['Not later than', 'From', 'What', 'Job', 'Line', 'Customer']}
      rows={dues.slice(0, mostRows).map(({ row, line, lineName, what, from, to }) => ({
        key: `${row.id} ${line} ${what}`,
        cells: [
          <chakra.span key="to" fontWeight={700} color={to < day ? 'signalInk' : undefined}>
            {sayDay(to)}
          </chakra.span>,
          sayDay(from),
          what === 'clean' ? 'Clean' : 'Inspect',
          <JobLink key="job" to={`/jobs/${row.id}/after`}>
            {row.title}
          </JobLink>,
          lineName,
          row.customer ?? '',
        ],
      }))}
    />
    {dues.length > mostRows && (
      <Note mt="2">
        {mostRows} of {dues.length}, the earliest first.
      </Note>
    )}
  </>
);
