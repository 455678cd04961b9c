import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { FileUp, Plus } from 'lucide-react';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { useNavigate } from 'react-router';
import { underFirm } from '../../core/job/firm.js';
import { readJobText } from '../../core/files/read.js';
import type { JobRow as JobRowData } from '../../server/jobs/digests.js';
import { asError, Refused } from '../api/client';
import { useFirm } from '../api/firm';
import { useSeesPrices } from '../api/me';
import { currentJob, useAddJob, useDeleting, useJobs } from '../api/jobs';
import { Press } from '../controls/controls';
import { Header, HeaderLink } from '../shell/header';
import { fileName, save } from '../controls/save';
import { today } from '../controls/today';
import { Faults } from '../shell/trouble';
import { DeletedJobs, JustDeleted } from './deleted-jobs';
import { findJobs, type Sought } from './find';
import { Finder } from './finder';
import { JobRow } from './job-row';
import { NewJobForm } from './new-job-form';
import { NewJobs } from './new-jobs';

/** Rows drawn at first, and again with each press: thousands at once would hold the page up. */
const rowsAtOnce = 30;

const askTwice = (title: string) =>
  `“${title}” is on the list already. Import this file as another job beside it?`;

/** Every job, last changed first; new, import by button or drop, export. */
export function JobList() {
  const jobs = useJobs();
  const add = useAddJob();
  const { remove, bringBack } = useDeleting();
  const client = useQueryClient();
  const { firm } = useFirm();
  const seesPrices = useSeesPrices();
  const navigate = useNavigate();
  const [sought, setSought] = useState<Sought>({ text: '', method: undefined, holding: [] });
  const [most, setMost] = useState(rowsAtOnce);
  const [making, setMaking] = useState(false);
  const [refused, setRefused] = useState<Error>();
  const take = async (files: readonly File[]) => {
    for (const file of files) {
      const read = readJobText(await file.text());
      // The same check runs on the server; here it answers at once and names the file.
      if (read.faults) {
        setRefused(new Refused(`${file.name} was not taken`, read.faults, 422));
        return;
      }
      const alike = jobs.data?.some(({ title }) => title === read.job.title);
      if (alike && !window.confirm(askTwice(read.job.title))) continue;
      try {
        await add.mutateAsync(read.job);
        setRefused(undefined);
      } catch (error) {
        setRefused(asError(error));
        return;
      }
    }
  };
  const drop = useDropzone({ onDrop: (files) => void take(files), noClick: true, noKeyboard: true });
  const day = today();
  // What is typed shows at once; the rows follow when there is time for them.
  const asked = useDeferredValue(sought);
  const found = useMemo(() => findJobs(jobs.data ?? [], asked, day), [jobs.data, asked, day]);
  const exportJob = useCallback(
    ({ id, title }: JobRowData) => {
      currentJob(client, id)
        .then((job) => {
          // The firm's rates go with it, so that it is priced alike wherever it is read.
          const whole = firm ? underFirm(job, firm) : job;
          const text = JSON.stringify(whole, null, 2);
          save(new Blob([text], { type: 'application/json' }), `${fileName(title) || 'job'}.json`);
        })
        .catch((error: unknown) => {
          setRefused(asError(error));
        });
    },
    [client, firm],
  );
  const [justDeleted, setJustDeleted] = useState<Pick<JobRowData, 'id' | 'title'>>();
  const { mutate: removeJob } = remove;
  const deleteJob = useCallback(
    (row: JobRowData) => {
      removeJob(row.id, {
        onSuccess: () => {
          setJustDeleted(row);
        },
      });
    },
    [removeJob],
  );
  const back = ({ id }: Pick<JobRowData, 'id'>) => {
    bringBack.mutate(id);
    if (justDeleted?.id === id) setJustDeleted(undefined);
  };
  return (
    <Flex direction="column" minHeight="100%" {...(seesPrices ? drop.getRootProps() : {})}>
      <Header>
        <Box flex="1" />
        <HeaderLink to="/practice">Practice</HeaderLink>
        {seesPrices && (
          <>
            <HeaderLink to="/due">What is due</HeaderLink>
            <HeaderLink to="/firm">Company: rates and rules</HeaderLink>
          </>
        )}
      </Header>
      <Box as="main" width="100%" maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="6">
        <input {...drop.getInputProps({ 'aria-label': 'Job files', accept: '.json,application/json' })} />
        <Flex gap="3" align="flex-end" wrap="wrap" mb="5">
          <Box flex="1" minWidth="220px">
            <Heading as="h1" fontSize="30px" lineHeight="1.1">
              Jobs
            </Heading>
          </Box>
          {seesPrices && (
            <>
              <Press type="button" onClick={drop.open}>
                <Inline icon={<FileUp size={18} />}>Import a job file</Inline>
              </Press>
              <Press
                type="button"
                look="signal"
                onClick={() => {
                  setMaking(!making);
                }}
                aria-expanded={making}
              >
                <Inline icon={<Plus size={18} />}>New job</Inline>
              </Press>
            </>
          )}
        </Flex>
        <Finder
          value={sought}
          onChange={(next) => {
            setSought(next);
            setMost(rowsAtOnce);
          }}
        />
        {drop.isDragActive && (
          <Box border="2px dashed" borderColor="signal" p="6" mb="4" textAlign="center" fontWeight={700}>
            Drop the job file here
          </Box>
        )}
        {refused && (
          <Box mb="4">
            <Faults
              error={refused}
              onClose={() => {
                setRefused(undefined);
              }}
            />
          </Box>
        )}
        {making && (
          <NewJobForm
            onCancel={() => {
              setMaking(false);
            }}
            onMade={(id) => void navigate(`/jobs/${id}/log`)}
          />
        )}
        {[jobs, remove, bringBack].map(({ error }, i) => error && <Faults key={i} error={error} />)}
        <NewJobs />
        {justDeleted && <JustDeleted job={justDeleted} onBringBack={back} />}
        <Box as="ul" listStyleType="none" p="0" m="0" borderTop="1px solid" borderColor="ink">
          {found.slice(0, most).map((row) => (
            <JobRow key={row.id} row={row} today={day} onExport={exportJob} onDelete={deleteJob} />
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
            <Text color="soft" data-testid="how-many">
              {most} of {found.length} jobs
            </Text>
          </Flex>
        )}
        {jobs.isSuccess && found.length === 0 && (
          <Text py="8" color="soft">
            {jobs.data.length > 0
              ? 'No job matches all of that.'
              : 'No jobs yet. Start one with “New job”, or drop a job file here.'}
          </Text>
        )}
        {seesPrices && <DeletedJobs onBringBack={back} />}
      </Box>
    </Flex>
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
