import { Box, Flex } from '@chakra-ui/react';
import { FileUp, Plus } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { useNavigate } from 'react-router';
import type { JobRow as JobRowData } from '../../server/jobs/digests.js';
import { useSeesPrices } from '../api/me';
import { useJobs } from '../api/job-list';
import { Press } from '../controls/controls';
import { Header, HeaderLink } from '../shell/header';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';
import { DeletedJobs, JustDeleted } from './deleted-jobs';
import { findJobs, type JobFilter } from './find';
import { Finder } from './finder';
import { JobRow } from './job-row';
import { NewJobs } from './new-jobs';
import { useDeletion, useExport, useImport } from './use-job-list';
import { Note, Title } from '../controls/text';
import { lazyPart } from '../shell/lazy-part.js';

export { fetchJobList } from '../api/job-list';

// Loaded when it is first opened.
const NewJobForm = lazyPart('new job', async () => (await import('./new-job-form')).NewJobForm);

/** Rows rendered at first, and with each press for more: thousands at once would block the page. */
const rowsAtOnce = 30;

/** Every job, last changed first; new, import by button or drop, export. */
export function JobList() {
  const jobs = useJobs();
  const seesPrices = useSeesPrices();
  const navigate = useNavigate();
  const [making, setMaking] = useState(false);
  const [refused, setRefused] = useState<Error>();
  const take = useImport(setRefused);
  const exportJob = useExport(setRefused);
  const { justDeleted, deleteJob, back, errors } = useDeletion();
  const drop = useDropzone({ onDrop: (files) => void take(files), noClick: true, noKeyboard: true });
  return (
    <Flex direction="column" minHeight="100%" {...(seesPrices ? drop.getRootProps() : {})}>
      <ListHeader seesPrices={seesPrices} />
      <Box as="main" width="100%" maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="6">
        <input {...drop.getInputProps({ 'aria-label': 'Job files', accept: '.json,application/json' })} />
        <Flex gap="3" align="flex-end" wrap="wrap" mb="5">
          <Title size="page" as="h1" flex="1" minWidth="220px">
            Jobs
          </Title>
          {seesPrices && (
            <Makes
              making={making}
              onImport={drop.open}
              onNew={() => {
                setMaking(!making);
              }}
            />
          )}
        </Flex>
        <Rows jobs={jobs.data} onExport={exportJob} onDelete={deleteJob}>
          {drop.isDragActive && (
            <Box border="2px dashed" borderColor="signal" p="6" mb="4" textAlign="center" fontWeight={700}>
              Drop the job file here
            </Box>
          )}
          {refused && <RefusedFile error={refused} setRefused={setRefused} />}
          {making && (
            <NewJobForm
              onCancel={() => {
                setMaking(false);
              }}
              onMade={(id) => void navigate(`/jobs/${id}/log`)}
            />
          )}
          {[jobs.error, ...errors].map((error, i) => error && <Faults ofFile key={i} error={error} />)}
          <NewJobs />
          {justDeleted && <JustDeleted job={justDeleted} onBringBack={back} />}
        </Rows>
        {seesPrices && <DeletedJobs onBringBack={back} />}
      </Box>
    </Flex>
  );
}

interface RefusedFileProps {
  readonly error: Error;
  readonly setRefused: (error: Error | undefined) => void;
}

const RefusedFile = ({ error, setRefused }: RefusedFileProps) => (
  <Box mb="4">
    <Faults
      ofFile
      error={error}
      onClose={() => {
        setRefused(undefined);
      }}
    />
  </Box>
);

const ListHeader = ({ seesPrices }: { seesPrices: boolean }) => (
  <Header>
    <Box flex="1" />
    <HeaderLink to="/practice">Practice</HeaderLink>
    {seesPrices && (
      <>
        <HeaderLink to="/due">What is due</HeaderLink>
        <HeaderLink to="/firm">Company</HeaderLink>
      </>
    )}
  </Header>
);

interface MakesProps {
  readonly making: boolean;
  readonly onImport: () => void;
  readonly onNew: () => void;
}

const Makes = ({ making, onImport, onNew }: MakesProps) => (
  <>
    <Press type="button" onClick={onImport}>
      <Inline icon={<FileUp size={18} />}>Import a job file</Inline>
    </Press>
    <Press type="button" look="signal" onClick={onNew} aria-expanded={making}>
      <Inline icon={<Plus size={18} />}>New job</Inline>
    </Press>
  </>
);

interface RowsProps {
  /** Undefined until they are loaded. */
  readonly jobs: readonly JobRowData[] | undefined;
  readonly onExport: (row: JobRowData) => void;
  readonly onDelete: (row: JobRowData) => void;
  /** Criteria and what they find. */
  readonly children: React.ReactNode;
}

/** The criteria and the rows found. */
function Rows({ jobs, onExport, onDelete, children }: RowsProps) {
  const [sought, setSought] = useState<JobFilter>({ text: '', method: undefined, holding: [] });
  const [most, setMost] = useState(rowsAtOnce);
  const day = today();
  // Typing shows at once; the rows follow when there is time for them.
  const asked = useDeferredValue(sought);
  const found = useMemo(() => findJobs(jobs ?? [], asked, day), [jobs, asked, day]);
  return (
    <>
      <Finder
        value={sought}
        onChange={(next) => {
          setSought(next);
          setMost(rowsAtOnce);
        }}
      />
      {children}
      <Box as="ul" listStyleType="none" p="0" m="0" borderTop="1px solid" borderColor="ink">
        {found.slice(0, most).map((row) => (
          <JobRow key={row.id} row={row} today={day} onExport={onExport} onDelete={onDelete} />
        ))}
      </Box>
      {found.length > most && (
        <Flex align="center" gap="4" py="4">
          <Press
            type="button"
            onClick={() => {
              setMost(most + rowsAtOnce);
            }}
          >
            Show {Math.min(rowsAtOnce, found.length - most)} more
          </Press>
          <Note data-testid="how-many">
            {most} of {found.length} jobs
          </Note>
        </Flex>
      )}
      {jobs && found.length === 0 && (
        <Note py="8">
          {jobs.length > 0
            ? 'No job matches all of that.'
            : 'No jobs yet. Start one with “New job”, or drop a job file here.'}
        </Note>
      )}
    </>
  );
}

function Inline({ icon, children }: { icon: React.ReactNode; children: React.ReactNode }) {
  return (
    <Flex as="span" align="center" gap="2">
      {icon}
      {children}
    </Flex>
  );
}
