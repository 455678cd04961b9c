import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { History } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation, useOutletContext, useParams } from 'react-router';
import type { JobView } from '../../core/views/job-view.js';
import type { LineScope } from '../../core/scope/scope.js';
import type { Job, Line } from '../../core/job/schema.js';
import { underFirm, type Firm } from '../../core/job/firm.js';
import { Refused } from '../api/client';
import { useFirm } from '../api/firm';
import { useEdit, useFollow, useJob, type Change } from '../api/jobs';
import { useOutbox } from '../api/outbox';
import { useView } from '../api/view';
import { HistoryPanel } from '../history/history-panel';
import { day, feet, verdictWords } from './format';
import { Header } from './header';
import { NotFound } from './not-found';
import { OutboxBanner } from './outbox-banner';
import { Faults } from './trouble';
import type { LineView } from '../../core/views/line-view.js';

export interface JobContext {
  readonly id: string;
  /** The job as it was said. */
  readonly job: Job;
  /** The job with its firm's rules and prices under its own: what is scoped and priced. */
  readonly inForce: Job;
  readonly firm: Firm;
  readonly line: Line;
  readonly view: JobView | undefined;
  readonly lineView: LineView | undefined;
  readonly lineScope: LineScope | undefined;
  /** Runners-up and options have been worked out too. */
  readonly complete: boolean;
  /** What is worked out is of this very job, not of the one before. */
  readonly caughtUp: boolean;
  readonly change: Change;
  /** Sets of edits kept here until the server answers. */
  readonly waiting: number;
  readonly setLineId: (id: string) => void;
}

export const useJobContext = () => useOutletContext<JobContext>();

const Tab = chakra(NavLink, {
  base: {
    display: 'flex',
    alignItems: 'center',
    px: '2.5',
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
  const { stored, job, error: loadError } = useJob(jobId);
  const { live } = useFollow(jobId, stored?.version);
  const outbox = useOutbox().filter((item) => item.job === jobId);
  const waiting = outbox.filter(({ state }) => state === 'waiting').length;
  const [lineId, setLineId] = useState<string>();
  const [historyOpen, setHistoryOpen] = useState(false);
  const { firm } = useFirm();
  const inForce = useMemo(() => (job && firm ? underFirm(job, firm) : undefined), [job, firm]);
  const { view, error, complete, caughtUp } = useView(jobId, inForce);
  const change = useEdit(jobId);
  useEffect(() => {
    if (job) document.title = `${job.title} · Open Trench`;
  }, [job]);
  const views = useRef<HTMLDivElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    // On a narrow screen the views scroll sideways: the one that is open is brought into sight.
    views.current?.querySelector('.active')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  if (loadError instanceof Refused && loadError.status === 404)
    return <NotFound what="There is no such job" />;
  const line = job?.lines.find(({ id }) => id === lineId) ?? job?.lines[0];
  const unseen = (view?.lines ?? [])
    .flatMap((each) => each.unseen)
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
  const open = view?.lines.some(({ endReached }) => !endReached) ?? false;
  // The verdict is of the look that made the scope; what the look after found stands under After.
  const repaired = view?.lines.some(({ otherLooks }) => otherLooks['after-repair'].length > 0) ?? false;
  return (
    <Flex direction="column" height="100%" overflow="hidden" className="page">
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
          <Heading as="h1" fontSize="15px" truncate>
            {job?.title ?? '…'}
          </Heading>
          <Text fontSize="13px" color="soft" truncate display={{ base: 'none', md: 'block' }}>
            {[line?.name ?? line?.id, job?.inspectedOn ? `looked at ${day(job.inspectedOn)}` : '']
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </Flex>
        <Flex
          as="nav"
          ref={views}
          aria-label="Views of this job"
          overflowX="auto"
          css={{ scrollbarWidth: 'none' }}
        >
          <Tab to="site">Site</Tab>
          <Tab to="log">Camera log</Tab>
          <Tab to="sheet">Sheet</Tab>
          <Tab to="lengths">Lengths</Tab>
          <Tab to="holes">Holes</Tab>
          <Tab to="offer">Offer</Tab>
          <Tab to="after">After</Tab>
          <Tab to="rules">Rates and rules</Tab>
        </Flex>
        <Box flex="1" />
        <SavedMark waiting={waiting} live={live} />
        <chakra.button
          type="button"
          width="44px"
          height="44px"
          alignSelf="center"
          display="grid"
          placeItems="center"
          color="soft"
          bg="transparent"
          border="none"
          cursor="pointer"
          aria-label="History of this job"
          aria-expanded={historyOpen}
          title="History: undo, redo, bring back"
          onClick={() => {
            setHistoryOpen(!historyOpen);
          }}
        >
          <History size={19} />
        </chakra.button>
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
              ? [
                  unseen > 0.05 ? `${feet(unseen)} ft not seen` : 'all seen',
                  open ? 'end not reached' : '',
                  repaired ? 'before the repair' : '',
                ]
                  .filter(Boolean)
                  .join(', ')
              : 'working it out'}
          </Text>
        </Flex>
      </Header>
      <Flex
        as="section"
        aria-label="This job"
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
      {loadError && !stored && <Faults error={loadError} />}
      {error && <Faults error={error} />}
      {change.error && <Faults error={change.error} onClose={change.reset} />}
      <OutboxBanner items={outbox} />
      {historyOpen && (
        <HistoryPanel
          id={jobId}
          change={change}
          onClose={() => {
            setHistoryOpen(false);
          }}
        />
      )}
      <Box as="main" flex="1" minHeight={0}>
        {job && inForce && firm && line && (
          <Outlet
            context={
              {
                id: jobId,
                job,
                inForce,
                firm,
                line,
                view,
                lineView: view?.lines.find(({ id }) => id === line.id),
                lineScope: view?.scope.lines.find(({ id }) => id === line.id),
                complete,
                caughtUp,
                change,
                waiting,
                setLineId,
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

/** Whether what was typed is on the server's disk. */
function SavedMark({ waiting, live }: { waiting: number; live: boolean }) {
  return (
    <Flex
      align="center"
      display={{ base: waiting > 0 || !live ? 'flex' : 'none', md: 'flex' }}
      px={{ base: '1', md: '3' }}
      fontSize="13px"
      color={waiting > 0 || !live ? 'signalInk' : 'soft'}
      fontWeight={waiting > 0 ? 700 : 400}
      whiteSpace="nowrap"
      role="status"
      data-testid="saved"
    >
      {waiting > 0 ? `${waiting} waiting` : live ? 'Saved' : 'No server'}
    </Flex>
  );
}
