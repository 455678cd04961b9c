import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useState, useEffect } from 'react';
import { underFirm } from '../../core/job/firm.js';
import type { JobRow } from '../../server/jobs/digests.js';
import { asError, Refused } from '../api/client';
import { useFirm } from '../api/firm';
import { useAddJob, useDeleting, useJobs } from '../api/job-list';
import { fileName, save } from '../files/save';

type Refuse = (error: Error | undefined) => void;

const askTwice = (title: string) =>
  `“${title}” is on the list already. Import this file as another job beside it?`;

/** Reading a file checks where everything on it lies: code that is loaded with the first import. */
const reader = () =>
  import('../../core/files/read.js').catch(() => {
    throw new Error(
      'Importing is not on this device yet: it can be loaded when the server answers. Nothing was taken.',
    );
  });

/** What applies the edits that wait here to a job: loaded once the list is drawn, so that it is there without the server. */
const exporter = () => import('../api/job');

/** Imports job files one after another, up to the first that is refused. */
export function useImport(refuse: Refuse): (files: readonly File[]) => Promise<void> {
  const jobs = useJobs();
  const add = useAddJob();
  return async (files) => {
    try {
      const { readJobText } = await reader();
      for (const file of files) {
        const read = readJobText(await file.text());
        // The same check as on the server; here it answers at once and names the file.
        if (read.faults) throw new Refused(`${file.name} was not taken`, read.faults, 422);
        const alike = jobs.data?.some(({ title }) => title === read.job.title);
        if (alike && !window.confirm(askTwice(read.job.title))) continue;
        await add.mutateAsync(read.job);
        refuse(undefined);
      }
    } catch (error) {
      refuse(asError(error));
    }
  };
}

/** Saves a job as a file, with the company's rates, so that it is priced the same anywhere. */
export function useExport(refuse: Refuse): (row: JobRow) => void {
  const client = useQueryClient();
  const { firm } = useFirm();
  useEffect(() => {
    exporter().catch(() => undefined);
  }, []);
  return useCallback(
    ({ id, title }) => {
      exporter()
        .then(({ currentJob }) => currentJob(client, id))
        .then((job) => {
          const text = JSON.stringify(firm ? underFirm(job, firm) : job, null, 2);
          save(new Blob([text], { type: 'application/json' }), `${fileName(title) || 'job'}.json`);
        })
        .catch((error: unknown) => {
          refuse(asError(error));
        });
    },
    [client, firm, refuse],
  );
}

/** Deletes and restores jobs; the last deleted one stays at hand until it is restored. */
export function useDeletion() {
  const { remove, bringBack } = useDeleting();
  const [justDeleted, setJustDeleted] = useState<Pick<JobRow, 'id' | 'title'>>();
  const { mutate } = remove;
  const deleteJob = useCallback(
    (row: JobRow) => {
      mutate(row.id, {
        onSuccess: () => {
          setJustDeleted(row);
        },
      });
    },
    [mutate],
  );
  const back = ({ id }: Pick<JobRow, 'id'>) => {
    bringBack.mutate(id);
    if (justDeleted?.id === id) setJustDeleted(undefined);
  };
  return { justDeleted, deleteJob, back, errors: [remove.error, bringBack.error] };
}
