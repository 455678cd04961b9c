import { Box, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { Navigate, Outlet, useLocation, useParams } from 'react-router';
import type { ScopedView } from '../../core/views/job-view.js';
import type { LineScope } from '../../core/scope/scope.js';
import type { Job, Line } from '../../core/job/schema.js';
import { underFirm, type Firm } from '../../core/job/firm.js';
import { Refused } from '../api/client';
import { useCrewView } from '../view/crew-view';
import { useFirm } from '../api/firm';
import { useEdit, useFollow, useJob, type Change } from '../api/job';
import { useSeesPrices } from '../api/me';
import { useOutbox, useWaiting } from '../api/outbox';
import { sharedValue } from '../controls/shared-value';
import { useView } from '../view/view';
import { undoKeys } from '../keys/table';
import { useKeys } from '../keys/use-keys';
import { JobBar } from './job-bar';
import { isOpenTo, jobTabs } from './tabs';
import { Notice, useNotice } from './notice';
import { lazyPart } from './lazy-part.js';
import { Faults } from './faults';
import type { LineView } from '../../core/views/line-view.js';

// Loaded when first needed.
const NotFound = lazyPart('not found', async () => (await import('./not-found')).NotFound);
const HistoryPanel = lazyPart('history', async () => (await import('../history/history-panel')).HistoryPanel);
const OutboxBanner = lazyPart('outbox', async () => (await import('../outbox/outbox-banner')).OutboxBanner);

export interface JobContext {
  readonly id: string;
  /** The job itself, as entered. */
  readonly job: Job;
  /** The job with its company's rules and prices under its own: what is scoped and priced. */
  readonly inForce: Job;
  readonly firm: Firm;
  readonly line: Line;
  /** The view with a scope, which may be that of the job before the last change. */
  readonly view: ScopedView | undefined;
  readonly lineView: LineView | undefined;
  readonly lineScope: LineScope | undefined;
  /** Runners-up and optional cures are included. */
  readonly complete: boolean;
  /** The scope belongs to the current job, not to the one before. */
  readonly caughtUp: boolean;
  readonly change: Change;
  /** Crew does not see prices. */
  readonly seesPrices: boolean;
  readonly setLineId: (id: string) => void;
  /** Shows for a moment what a press did, or why it did nothing. */
  readonly tell: (words: string) => void;
}

const [OpenJob, useJobContext] = sharedValue<JobContext>();
export { useJobContext };
export { fetchJobOpening } from '../opening/fetch-job';

/** Everything known about a job now: itself, its company, the computed view, and how to change it. */
function useOpenJob(id: string, tell: (words: string) => void) {
  const { stored, job, error: loadError } = useJob(id);
  const { live } = useFollow(id, stored?.version);
  const troubled = useOutbox().filter(({ job, state }) => job === id && state !== 'waiting');
  const { firm } = useFirm();
  const inForce = useMemo(() => (job && firm ? underFirm(job, firm) : undefined), [job, firm]);
  const seesPrices = useSeesPrices();
  const worked = useView(id, seesPrices ? inForce : undefined, seesPrices);
  const served = useCrewView(id, stored, seesPrices ? undefined : inForce);
  const change = useEdit(id, tell);
  const known = { ...(seesPrices ? worked : served), id, job, firm, inForce, change, seesPrices };
  return { known, live, troubled, loadError, isLoaded: stored !== undefined };
}

/** Page title: the tab and the job. */
function usePageTitle(words: string | undefined): void {
  useEffect(() => {
    if (words) document.title = words;
  }, [words]);
}

/** One job: its name, its views in the order people work, its verdict. */
export function JobLayout() {
  const { jobId = '' } = useParams();
  const { notice, tell } = useNotice();
  const { known, live, troubled, loadError, isLoaded } = useOpenJob(jobId, tell);
  const { job, firm, inForce, change, view, lines, error, seesPrices } = known;
  const waiting = useWaiting(jobId);
  const [lineId, setLineId] = useState<string>();
  const [historyOpen, setHistoryOpen] = useState(false);
  useKeys(undoKeys, change, 'fields');
  const { pathname } = useLocation();
  const [at, tab] = jobTabs.find(([each]) => pathname.endsWith(`/${each}`)) ?? [];
  usePageTitle(job && [tab, job.title, 'Open Trench'].filter(Boolean).join(' · '));
  if (loadError instanceof Refused && loadError.status === 404)
    return <NotFound what="There is no such job" />;
  if (at !== undefined && !isOpenTo(at, seesPrices)) return <Navigate to={`/jobs/${jobId}/log`} replace />;
  const line = job?.lines.find(({ id }) => id === lineId) ?? job?.lines[0];
  const context: JobContext | undefined =
    job && inForce && firm && line
      ? {
          ...known,
          ...{ job, inForce, firm, line, setLineId, tell },
          lineView: lines?.find(({ id }) => id === line.id),
          lineScope: view?.scope.lines.find(({ id }) => id === line.id),
        }
      : undefined;
  const toggleHistory = () => {
    setHistoryOpen(!historyOpen);
  };
  return (
    <Flex direction="column" height="100%" overflow="hidden" className="page">
      <JobBar {...{ job, line, view, waiting, live, historyOpen }} onHistory={toggleHistory} />
      {job && job.lines.length > 1 && <Lines lines={job.lines} chosen={line?.id} onChoose={setLineId} />}
      {loadError && !isLoaded && <Faults error={loadError} />}
      {error && <Faults error={error} />}
      {change.error && <Faults error={change.error} onClose={change.reset} />}
      <Notice words={notice} />
      {job && troubled.length > 0 && <OutboxBanner items={troubled} job={job} />}
      {historyOpen && job && <HistoryPanel id={jobId} job={job} change={change} onClose={toggleHistory} />}
      <Box as="main" flex="1" minHeight={0}>
        {context && (
          <OpenJob value={context}>
            <Outlet />
          </OpenJob>
        )}
      </Box>
    </Flex>
  );
}

interface LinesProps {
  readonly lines: readonly Line[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

const Lines = ({ lines, chosen, onChoose }: LinesProps) => (
  <Flex as="nav" aria-label="Lines of this job" borderBottom="1px solid" borderColor="rule" flexShrink={0}>
    {lines.map((each) => (
      <chakra.button
        key={each.id}
        type="button"
        minHeight="44px"
        px="4"
        border="none"
        bg={each.id === chosen ? 'sheet' : 'transparent'}
        fontWeight={each.id === chosen ? 700 : 400}
        aria-pressed={each.id === chosen}
        onClick={() => {
          onChoose(each.id);
        }}
      >
        {each.name ?? each.id}
      </chakra.button>
    ))}
  </Flex>
);
