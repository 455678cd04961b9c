import { replaceEqualDeep, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { applyEdit, type Edit } from '../../core/edits/index.js';
import type * as sayEdits from '../../core/edits/say.js';
import { undoState } from '../../core/edits/undo.js';
import type { Job } from '../../core/job/schema.js';
import type { JobChange, StoredJob } from '../../server/jobs/store.js';
import { api, asError, bodyOf, deviceName, senderOf } from './client';
import { jobKey, newJobOf } from './jobs';
import { unlessOpenedWith } from '../opening/opened-with';
import {
  editsWaiting,
  flushAll,
  forget,
  lastUnsent,
  madeHere,
  sendingDone,
  send,
  settled,
  useOutbox,
  useOutboxLoaded,
  unsentOf,
} from './outbox';
import { useStream } from './stream';
import { otherTabs } from './tab';

/**
 * The current job, with edits waiting here applied: from the server, or as last seen here where the server is away.
 * Throws where neither is available.
 */
export async function currentJob(client: QueryClient, id: string): Promise<Job> {
  await settled();
  // Read before the job is fetched: applying edits that a job already has changes nothing.
  const waiting = unsentOf(id);
  const stored = await client.query(jobQuery(id)).catch((error: unknown) => {
    const kept = client.getQueryData<StoredJob>(jobKey(id));
    if (kept) return kept;
    throw asError(error);
  });
  return withWaiting(stored.job, waiting);
}

/** A job with the edits waiting here applied. */
export const withWaiting = (job: Job, edits: readonly Edit[]): Job =>
  edits.reduce<Job>((each, edit) => applyEdit(each, edit), job);

const fetchJob = async (id: string) =>
  bodyOf<StoredJob>(await api.jobs[':id'].$get({ param: { id: encodeURIComponent(id) } }));

/** Fetches a job. */
export const jobQuery = (id: string) => ({
  queryKey: jobKey(id),
  queryFn: async ({ client }: { client: QueryClient }) => {
    const known = () => client.getQueryData<StoredJob>(jobKey(id));
    const before = known();
    const fetched = await fetchJob(id).catch((error: unknown) => {
      // A job made here exists before the server has it.
      const made = madeHere(id);
      if (made) return newJobOf(id, made);
      throw asError(error);
    });
    const now = known();
    // An edit accepted while this was under way made a newer version than the one requested.
    return now && now !== before && now.version > fetched.version ? now : fetched;
  },
  // A cached job is shown at once but always refetched: it may be from the moment before the last
  // edit was accepted, and the server may have announced its version before the browser's storage was read.
  staleTime: unlessOpenedWith,
});

let shown: { readonly id: string; readonly job: Job } | undefined;

/** The job shown, with each part that did not change the same object: an accepted edit changes nothing on the screen. */
function sharedWithShown(id: string, job: Job): Job {
  const same = shown?.id === id ? replaceEqualDeep(shown.job, job) : job;
  shown = { id, job: same };
  return same;
}

/** A job as the server has it, and with the edits waiting here applied. */
export function useJob(id: string) {
  const query = useQuery(jobQuery(id));
  const outbox = useOutbox();
  const isRead = useOutboxLoaded();
  const stored = query.data;
  const job = useMemo(
    () =>
      stored && isRead ? sharedWithShown(id, withWaiting(stored.job, editsWaiting(outbox, id))) : undefined,
    [stored, outbox, isRead, id],
  );
  return { stored, job, error: query.error };
}

/** Follows other people's changes to a job while the page is open; returns whether the server can be reached. */
export function useFollow(id: string, known: number | undefined): { live: boolean } {
  const client = useQueryClient();
  const [heard, setHeard] = useState({ id, version: 0 });
  const onVersion = useCallback(
    (version: number) => {
      setHeard({ id, version });
    },
    [id],
  );
  const onLive = useCallback(() => {
    // Newer, or older than the known one: the data may have been restored from a backup in the meantime.
    void client.invalidateQueries({ queryKey: jobKey(id) });
    void flushAll();
  }, [client, id]);
  const live = useStream(id, { onVersion, onLive });
  // Compared whenever either changes: a version may be announced before the job has loaded, or while an older one
  // loads.
  useEffect(() => {
    if (known !== undefined && heard.id === id && known < heard.version)
      void client.invalidateQueries({ queryKey: jobKey(id) });
  }, [client, id, known, heard]);
  return { live };
}

/** One accepted edit, as the history keeps it. */
export interface HistoryChange extends Omit<JobChange, 'at'> {
  readonly at: string;
}

/** A page of the history, newest first; `before` is the cursor of the next page, null at the first edit. */
interface Page {
  readonly changes: readonly HistoryChange[];
  readonly before: number | null;
}

/** One page of it, the newest without `before`. */
export const historyPage = async (id: string, before?: number) =>
  bodyOf<Page>(
    await api.jobs[':id'].history.$get({
      param: { id: encodeURIComponent(id) },
      query: before === undefined ? {} : { before: String(before) },
    }),
  );

export interface Change {
  /** A refusal that nothing on the page has shown yet. */
  readonly error: Error | undefined;
  readonly reset: () => void;
  /** Applies edits at once and sends them; a refusal is thrown, and kept as `error` unless the caller shows it. */
  readonly edit: (
    edits: Edit[],
    options?: { readonly ownErrors?: boolean; readonly undoes?: string; readonly base?: number },
  ) => Promise<void>;
  /** The same for callers that cannot show a refusal: it is kept as `error`, and never thrown. */
  readonly say: (edits: Edit[]) => Promise<void>;
  /** Undoes this browser's last set, or redoes it, and reports what; false when there is none. */
  readonly undo: () => Promise<boolean>;
  readonly redo: () => Promise<boolean>;
}

/** Changes a job: shown at once, called saved only when the server has it on disk. */
export function useEdit(id: string, tell: (words: string) => void): Change {
  const client = useQueryClient();
  const [error, setError] = useState<Error>();
  return useMemo(() => {
    const stored = () => client.getQueryData<StoredJob>(jobKey(id));
    // As shown here: what was undone is reported without asking the server.
    const current = () => {
      const job = stored()?.job;
      return job && withWaiting(job, unsentOf(id));
    };
    const version = () => stored()?.version ?? 0;
    const edit: Change['edit'] = async (edits, { ownErrors = false, undoes, base } = {}) => {
      try {
        await send(id, edits, base ?? version(), undoes);
      } catch (failed) {
        const said = asError(failed);
        if (!ownErrors) setError(said);
        throw said;
      }
    };
    return {
      error,
      reset: () => {
        setError(undefined);
      },
      edit,
      say: (edits) => edit(edits).catch(() => undefined),
      undo: () => takeBack(id, 'undo', edit, tell, current).catch(() => false),
      redo: () => takeBack(id, 'redo', edit, tell, current).catch(() => false),
    };
  }, [client, id, error, tell]);
}

/** Undoes this browser's newest set, or redoes the one undone last; returns which. False when there is none. */
async function takeBack(
  id: string,
  which: 'undo' | 'redo',
  edit: Change['edit'],
  tell: (words: string) => void,
  current: () => Job | undefined,
): Promise<boolean> {
  // A set being sent is the newest one: its outcome is needed first.
  await sendingDone(id);
  const unsent = which === 'undo' ? lastUnsent(id) : undefined;
  const job = current();
  if (!job) return false;
  if (unsent) {
    forget(unsent.key);
    tell(await saying('Taken back', ({ sayAlone }) => unsent.edits.map((each) => sayAlone(each, job))));
    return true;
  }
  const own = await ownChanges(id);
  const sets = [...new Map([...own].reverse().map((each) => [each.sent, each])).values()];
  const target = undoState(sets)[which];
  const taken = own.filter(({ sent }) => sent === target);
  const [newest] = taken;
  if (target === undefined || !newest) {
    tell(which === 'undo' ? 'You have nothing to undo.' : 'There is nothing to redo.');
    return false;
  }
  await edit(
    taken.map(({ inverse }) => inverse),
    { undoes: target, base: newest.version },
  );
  tell(
    await saying(which === 'undo' ? 'Taken back' : 'Brought back', ({ sayChange }) =>
      taken.map(({ edit: done, inverse }) =>
        which === 'undo' ? sayChange(done, inverse, job) : sayChange(inverse, done, job),
      ),
    ),
  );
  return true;
}

/** What was done, and to which edits; only what was done where the code that says them is not on this device yet. */
async function saying(done: string, sayEach: (say: typeof sayEdits) => string[]): Promise<string> {
  const say = await import('../../core/edits/say.js').catch(() => undefined);
  return say ? `${done}: ${sayAll(sayEach(say))}` : `${done}.`;
}

/** The newest changes of a job from this browser; those of another open tab are not included. */
async function ownChanges(id: string): Promise<HistoryChange[]> {
  const { changes } = await historyPage(id);
  const others = await otherTabs();
  const isOwn = (device: string) => {
    const { browser, tab } = senderOf(device);
    return browser === deviceName() && (tab === undefined || !others.has(tab));
  };
  return changes.filter(({ device, sent }) => isOwn(device) && !sent.startsWith('add '));
}

/** A short description of a set of edits. */
const sayAll = ([first = '', ...others]: readonly string[]): string =>
  others.length > 0 ? `${first}, and ${others.length} more` : first;
