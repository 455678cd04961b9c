import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { Download, FileUp, Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { Link, useNavigate } from 'react-router';
import { underFirm } from '../../core/job/firm.js';
import { readJobText } from '../../core/job/read.js';
import type { StoredJob } from '../../server/store.js';
import { asError, Refused } from '../api/client';
import { fileName, save } from '../shell/save';
import { useAddJob, useJobs, useRemoveJob } from '../api/jobs';
import { useFirm } from '../api/firm';
import { useView } from '../api/view';
import { Field, Label, Press } from '../shell/controls';
import { dayAndTime, money, verdictWords } from '../shell/format';
import { Header } from '../shell/header';
import { Faults } from '../shell/trouble';
import { NewJobForm } from './new-job-form';

const reasons: Record<string, string> = {
  backup: 'backup',
  purchase: 'purchase',
  'follow-up': 'follow-up',
  planned: 'planned work',
};

/** Every job, last changed first; new, import by button or drop, export. */
export function JobList() {
  const jobs = useJobs();
  const add = useAddJob();
  const navigate = useNavigate();
  const [sought, setSought] = useState('');
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
  const shown = useMemo(() => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    return (jobs.data ?? []).filter((each) => words.every((word) => searchText(each).includes(word)));
  }, [jobs.data, sought]);
  return (
    <Flex direction="column" minHeight="100%" {...drop.getRootProps()}>
      <input {...drop.getInputProps({ 'aria-label': 'Job files', accept: '.json,application/json' })} />
      <Header>
        <Box flex="1" />
        <ToFirm to="/firm">Firm: rates and rules</ToFirm>
      </Header>
      <Box as="main" width="100%" maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="6">
        <Flex gap="3" align="flex-end" wrap="wrap" mb="5">
          <Box flex="1" minWidth="220px">
            <Heading as="h1" fontSize="30px" lineHeight="1.1" mb="3">
              Jobs
            </Heading>
            <Label htmlFor="find">Find by address, customer, finding or material</Label>
            <Field
              id="find"
              type="search"
              value={sought}
              onChange={(event) => {
                setSought(event.target.value);
              }}
            />
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
          {shown.map((stored) => (
            <JobRow key={stored.id} stored={stored} />
          ))}
        </Box>
        {jobs.isSuccess && shown.length === 0 && (
          <Text py="8" color="soft">
            {sought
              ? `No job matches “${sought}”.`
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

function searchText({ job }: StoredJob): string {
  const entries = job.lines.flatMap((line) => line.runs.flatMap((run) => run.entries));
  const findings = entries.flatMap((entry) => (entry.kind === 'finding' ? [entry.finding] : []));
  const materials = job.lines.flatMap((line) => [
    line.pipe?.material,
    ...entries.flatMap((entry) =>
      entry.kind === 'change' ? [entry.upstream?.material, entry.downstream?.material] : [],
    ),
  ]);
  return [job.title, job.number, job.site?.address, job.site?.customer, job.reason, ...findings, ...materials]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
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

const RowLink = chakra(Link, {
  base: {
    display: 'grid',
    gridTemplateColumns: { base: '1fr auto', md: 'minmax(220px, 2fr) 1fr 1.2fr 1fr' },
    gap: { base: '1', md: '4' },
    alignItems: 'center',
    flex: 1,
    minHeight: '72px',
    py: '3',
    px: '2',
    color: 'ink',
    textDecoration: 'none',
    _hover: { bg: 'sheet' },
  },
});

function JobRow({ stored }: { stored: StoredJob }) {
  const { firm } = useFirm();
  const inForce = useMemo(() => firm && underFirm(stored.job, firm), [stored.job, firm]);
  const { view } = useView(stored.id, inForce, { alternatives: false });
  const remove = useRemoveJob();
  const { job } = stored;
  const verdict = view?.scope.verdict ?? [];
  const download = () => {
    // The firm's rates go with it, so that it is priced alike wherever it is read.
    save(
      new Blob([JSON.stringify(inForce ?? job, null, 2)], { type: 'application/json' }),
      `${fileName(job.title) || 'job'}.json`,
    );
  };
  return (
    <Flex as="li" borderBottom="1px solid" borderColor="rule" align="stretch">
      <RowLink to={`/jobs/${stored.id}/sheet`}>
        <Box minWidth={0}>
          <Text fontFamily="heading" fontWeight={700} fontSize="17px">
            {job.title}
          </Text>
          <Text color="soft" fontSize="14px">
            {[job.site?.customer, job.reason && reasons[job.reason]].filter(Boolean).join(' · ')}
          </Text>
        </Box>
        <Text
          fontFamily="heading"
          fontWeight={700}
          color={['blocked', 'urgent', 'repair'].includes(verdict[0] ?? '') ? 'signalInk' : 'ink'}
        >
          {verdict[0] ? verdictWords[verdict[0]] : '…'}
        </Text>
        <Text color="soft" fontSize="14px">
          {view && verdict.includes('incomplete') ? missing(view) : view ? 'all seen' : ''}
        </Text>
        <Box textAlign={{ md: 'right' }}>
          <Text fontWeight={700}>
            {!view
              ? ''
              : view.scope.feasible
                ? money(view.scope.prices.total, view.scope.prices.currency)
                : 'no way'}
          </Text>
          <Text color="soft" fontSize="13px">
            {dayAndTime(stored.changedAt)}
          </Text>
        </Box>
      </RowLink>
      <Flex align="center">
        <Press
          look="quiet"
          type="button"
          onClick={download}
          aria-label={`Export ${job.title} as a job file`}
          title="Export as a job file"
        >
          <Download size={19} />
        </Press>
        <Press
          look="quiet"
          type="button"
          aria-label={`Delete ${job.title}`}
          title="Delete"
          onClick={() => {
            if (
              window.confirm(
                `Delete “${job.title}” with everything in it? Export it first if you may want it back.`,
              )
            )
              remove.mutate(stored.id);
          }}
        >
          <Trash2 size={19} />
        </Press>
      </Flex>
    </Flex>
  );
}

function missing(view: NonNullable<ReturnType<typeof useView>['view']>): string {
  const unseen = view.lines
    .flatMap((line) => line.unseen)
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
  const open = view.lines.some((line) => !line.endReached);
  return [unseen > 0.05 ? `${unseen.toFixed(1)} ft not seen` : '', open ? 'end not reached' : '']
    .filter(Boolean)
    .join(', ');
}
