import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { FileUp, Plus } from 'lucide-react';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { Link, useNavigate } from 'react-router';
import { underFirm } from '../../core/job/firm.js';
import { readJobText } from '../../core/files/read.js';
import type { JobRow as JobRowData } from '../../server/digests.js';
import { asError, Refused } from '../api/client';
import { useFirm } from '../api/firm';
import { currentJob, useAddJob, useJobs, useRemoveJob } from '../api/jobs';
import { Press } from '../shell/controls';
import { Header } from '../shell/header';
import { fileName, save } from '../shell/save';
import { today } from '../shell/today';
import { Faults } from '../shell/trouble';
import { findJobs, type Sought } from './find';
import { Finder } from './finder';
import { JobRow } from './job-row';
import { NewJobForm } from './new-job-form';

/** Rows drawn at first, and again with each press: thousands at once would hold the page up. */
const rowsAtOnce = 30;

/** Every job, last changed first; new, import by button or drop, export. */
export function JobList() {
  const jobs = useJobs();
  const add = useAddJob();
  const remove = useRemoveJob();
  const client = useQueryClient();
  const { firm } = useFirm();
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
  const { mutate: removeJob } = remove;
  const deleteJob = useCallback(
    ({ id }: JobRowData) => {
      removeJob(id);
    },
    [removeJob],
  );
  return (
    <Flex direction="column" minHeight="100%" {...drop.getRootProps()}>
      <Header>
        <Box flex="1" />
        <ToFirm to="/due">What is due</ToFirm>
        <ToFirm to="/firm">Firm: rates and rules</ToFirm>
      </Header>
      <Box as="main" width="100%" maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="6">
        <input {...drop.getInputProps({ 'aria-label': 'Job files', accept: '.json,application/json' })} />
        <Flex gap="3" align="flex-end" wrap="wrap" mb="5">
          <Box flex="1" minWidth="220px">
            <Heading as="h1" fontSize="30px" lineHeight="1.1">
              Jobs
            </Heading>
          </Box>
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
            onMade={(stored) => void navigate(`/jobs/${stored.id}/log`)}
          />
        )}
        {jobs.error && <Faults error={jobs.error} />}
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

const ToFirm = chakra(Link, {
  base: {
    display: 'flex',
    alignItems: 'center',
    px: '4',
    fontFamily: 'heading',
    fontWeight: 600,
    color: 'ink',
    textDecoration: 'none',
    _hover: { textDecoration: 'underline' },
  },
});
