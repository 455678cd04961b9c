import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { NavLink, Outlet, useOutletContext, useParams } from 'react-router';
import type { JobView, LineView } from '../../core/scope/job-view.js';
import type { LineScope } from '../../core/scope/scope.js';
import type { Job, Line } from '../../core/job/schema.js';
import { Refused } from '../api/client';
import { useEdit, useJob } from '../api/jobs';
import { useView } from '../api/view';
import { day, feet, verdictWords } from './format';
import { Header } from './header';
import { NotFound } from './not-found';
import { Faults } from './trouble';

export interface JobContext {
  readonly id: string;
  readonly job: Job;
  readonly line: Line;
  readonly view: JobView | undefined;
  readonly lineView: LineView | undefined;
  readonly lineScope: LineScope | undefined;
  /** Runners-up and options have been worked out too. */
  readonly complete: boolean;
  readonly change: ReturnType<typeof useEdit>;
}

export const useJobContext = () => useOutletContext<JobContext>();

const Tab = chakra(NavLink, {
  base: {
    display: 'flex',
    alignItems: 'center',
    px: '3',
    fontFamily: 'heading',
    fontWeight: 600,
    color: 'soft',
    textDecoration: 'none',
    whiteSpace: 'nowrap',
    borderBottom: '5px solid transparent',
    borderTop: '5px solid transparent',
    _hover: { color: 'ink' },
    '&.active': { color: 'ink', borderBottomColor: 'signal' },
  },
});

/** One job: its name, its views in the order people work, its verdict. */
export function JobLayout() {
  const { jobId = '' } = useParams();
  const stored = useJob(jobId);
  const [lineId, setLineId] = useState<string>();
  const job = stored.data?.job;
  const { view, error, complete } = useView(jobId, job);
  const change = useEdit(jobId);
  useEffect(() => {
    if (job) document.title = `${job.title} · Open Trench`;
  }, [job]);
  if (stored.error instanceof Refused && stored.error.status === 404)
    return <NotFound what="There is no such job" />;
  const line = job?.lines.find(({ id }) => id === lineId) ?? job?.lines[0];
  const unseen = (view?.lines ?? [])
    .flatMap((each) => each.unseen)
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
  const open = view?.lines.some(({ endReached }) => !endReached) ?? false;
  return (
    <Flex direction="column" height="100%" overflow="hidden">
      <Header>
        <Flex
          direction="column"
          justify="center"
          px="4"
          minWidth={0}
          flexShrink={1}
          width={{ lg: '220px' }}
          display={{ base: 'none', sm: 'flex' }}
        >
          <Text fontFamily="heading" fontWeight={700} truncate>
            {job?.title ?? '…'}
          </Text>
          <Text fontSize="13px" color="soft" truncate display={{ base: 'none', md: 'block' }}>
            {[line?.name ?? line?.id, job?.inspectedOn ? `looked at ${day(job.inspectedOn)}` : '']
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </Flex>
        <Flex as="nav" aria-label="Views of this job" overflowX="auto" css={{ scrollbarWidth: 'none' }}>
          <Tab to="log">Camera log</Tab>
          <Tab to="sheet">Sheet</Tab>
          <Tab to="lengths">Lengths</Tab>
        </Flex>
        <Box flex="1" />
        <Flex
          direction="column"
          justify="center"
          align="flex-end"
          px="4"
          borderLeft="1px solid"
          borderColor="rule"
          display={{ base: 'none', md: 'flex' }}
          aria-live="polite"
        >
          <Text
            fontFamily="heading"
            fontWeight={700}
            fontSize="18px"
            color={verdictColour(view?.scope.verdict[0])}
            data-testid="verdict"
          >
            {verdictWords[view?.scope.verdict[0] ?? ''] ?? '…'}
          </Text>
          <Text fontSize="13px" color="soft" whiteSpace="nowrap">
            {view
              ? [unseen > 0.05 ? `${feet(unseen)} ft not seen` : 'all seen', open ? 'end not reached' : '']
                  .filter(Boolean)
                  .join(', ')
              : 'working it out'}
          </Text>
        </Flex>
      </Header>
      <Flex
        display={{ base: 'flex', md: 'none' }}
        justify="space-between"
        gap="3"
        px="3"
        py="1.5"
        borderBottom="1px solid"
        borderColor="rule"
        fontSize="14px"
      >
        <Text fontWeight={700} truncate>
          {job?.title}
        </Text>
        <Text color="soft" whiteSpace="nowrap">
          <chakra.span fontWeight={700} color={verdictColour(view?.scope.verdict[0])}>
            {verdictWords[view?.scope.verdict[0] ?? ''] ?? ''}
          </chakra.span>{' '}
          {unseen > 0.05 ? `${feet(unseen)} ft not seen` : ''}
        </Text>
      </Flex>
      {job && job.lines.length > 1 && (
        <Flex
          as="nav"
          aria-label="Lines of this job"
          borderBottom="1px solid"
          borderColor="rule"
          flexShrink={0}
        >
          {job.lines.map((each) => (
            <chakra.button
              key={each.id}
              type="button"
              minHeight="44px"
              px="4"
              border="none"
              bg={each.id === line?.id ? 'sheet' : 'transparent'}
              fontWeight={each.id === line?.id ? 700 : 400}
              aria-pressed={each.id === line?.id}
              onClick={() => {
                setLineId(each.id);
              }}
            >
              {each.name ?? each.id}
            </chakra.button>
          ))}
        </Flex>
      )}
      {stored.error && <Faults error={stored.error} />}
      {error && <Faults error={error} />}
      <Box flex="1" minHeight={0}>
        {job && line && (
          <Outlet
            context={
              {
                id: jobId,
                job,
                line,
                view,
                lineView: view?.lines.find(({ id }) => id === line.id),
                lineScope: view?.scope.lines.find(({ id }) => id === line.id),
                complete,
                change,
              } satisfies JobContext
            }
          />
        )}
      </Box>
    </Flex>
  );
}

const verdictColour = (verdict: string | undefined) =>
  verdict === 'serviceable' || verdict === 'clean' || verdict === undefined ? 'ink' : 'signalInk';
