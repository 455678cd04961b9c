import { del, entries, set } from 'idb-keyval';
import { useMemo, useSyncExternalStore } from 'react';
import type { Edit } from '../../core/edits/index.js';
import type { Firm } from '../../core/job/firm.js';
import type { Fault } from '../../core/job/faults.js';
import type { Job } from '../../core/job/schema.js';
import type { Conflict } from '../../server/jobs/conflicts.js';
import type { StoredJob } from '../../server/jobs/store.js';
import { Refused, write } from './client';
import { outboxStore as store, sentStore as goneStore } from './stores';
import { otherTabs, tabName } from './tab';

/** Common fields of every parcel in the outbox: kept in the browser's storage until the server has it on disk. */
interface Parcel {
  readonly key: string;
  /** The tab that made it, which sends it as long as it is open. */
  readonly tab?: string | undefined;
  readonly state: 'waiting' | 'conflict' | 'refused';
  readonly conflicts?: readonly Conflict[];
  /** The version of the job that the conflicts were found against. */
  readonly against?: number | undefined;
  readonly faults?: readonly Fault[];
  readonly message?: string;
}

/** A set of edits of a job. */
export interface OutboxItem extends Parcel {
  readonly job: string;
  readonly sent: string;
  readonly edits: readonly Edit[];
  /** The version of the job the edits were based on. */
  readonly base: number;
  readonly undoes?: string | undefined;
}

/** A change of the company: the old value and the new one. */
export interface FirmItem extends Parcel {
  readonly firm: { readonly was: Firm; readonly set: Firm };
}

/** A job made here, with an id of its own: its edits are sent after it. */
export interface NewJobItem extends Parcel {
  readonly job: string;
  readonly made: Job;
}

type Item = OutboxItem | FirmItem | NewJobItem;
const isFirm = (item: Item): item is FirmItem => 'firm' in item;
const isNewJob = (item: Item): item is NewJobItem => 'made' in item;
const isEdits = (item: Item): item is OutboxItem => !isFirm(item) && !isNewJob(item);
/** Parcels of one queue are sent in order, one at a time. A job's id is never this. */
const firmQueue = 'firm of this server';
const queueOf = (item: Item): string => (isFirm(item) ? firmQueue : item.job);

/** A set the reachable server fails on this often is put aside, so that later sets can be sent. */
const mostFailures = 5;
const retry_ms = [500, 1000, 2000, 4000, 8000];

const listeners = new Set<() => void>();
let items: readonly Item[] = [];
let arrivedFirm: (firm: Firm) => void = () => undefined;
let arrived: (stored: StoredJob) => void = () => undefined;
/**
 * Accepted sets of this browser, with the version each made: they do not conflict with later ones, which may be sent by
 * the next load of the page.
 */
interface Gone {
  readonly job: string;
  readonly sent: string;
  readonly version: number;
}
const gone: Gone[] = [];
const flushing = new Map<string, Promise<void>>();
let opening: Promise<void> | undefined;
let read = false;
let markRead: () => void = () => undefined;
/** Resolves once what an earlier page left has been read from storage. */
export const outboxRead = new Promise<void>((done) => {
  markRead = done;
});
let failures = 0;
/** Parcels done with here; storage may hold them a moment longer. */
const done = new Set<string>();
const failedOver = new Map<string, number>();
let timer: ReturnType<typeof setTimeout> | undefined;
let count = 0;

function change(next: readonly Item[]): void {
  items = next;
  listeners.forEach((tell) => {
    tell();
  });
}

/** Parcels only this page has: being written to storage, or storage is unavailable (a private window). */
const onlyHere = new Map<string, Promise<void>>();

function keep(item: Item): Promise<void> {
  const kept = set(item.key, item, store).then(
    () => {
      if (onlyHere.get(item.key) === kept) onlyHere.delete(item.key);
    },
    () => undefined,
  );
  onlyHere.set(item.key, kept);
  return kept;
}

const drop = (key: string) => del(key, store).catch(() => undefined);

/** Reloading now would lose something that was typed. */
export const isOnlyHere = (): boolean => items.some(({ key }) => onlyHere.has(key));
const remember = (each: Gone) => set(each.sent, each, goneStore).catch(() => undefined);

/** Reads what an earlier page left unsent and sends it; called once, with callbacks for what the server accepts. */
export function openOutbox(
  onArrived: (stored: StoredJob) => void,
  onFirm: (firm: Firm) => void = () => undefined,
): Promise<void> {
  arrivedFirm = onFirm;
  opening = readAndSend(onArrived);
  return opening;
}

/** Resolves when everything waiting here has been tried once, including what an earlier page left. */
export async function settled(): Promise<void> {
  await opening;
  await flushAll();
}

async function readAndSend(onArrived: (stored: StoredJob) => void): Promise<void> {
  arrived = onArrived;
  const [left, before] = await Promise.all([
    entries<string, Item>(store).catch(() => []),
    entries<string, Gone>(goneStore).catch(() => []),
  ]);
  const open = new Set(left.map(([, item]) => queueOf(item)));
  gone.push(...before.map(([, each]) => each).filter(({ job }) => open.has(job)));
  // Acknowledgments are forgotten once the queue is empty.
  for (const [key, { job }] of before) if (!open.has(job)) void del(key, goneStore).catch(() => undefined);
  await adopt(left.map(([, item]) => item));
  read = true;
  markRead();
  change([...items]);
  window.addEventListener('online', () => void flushAll());
  window.addEventListener('beforeunload', (event) => {
    if (isOnlyHere()) event.preventDefault();
  });
  await sendAll();
}

/** Takes over what this tab left before a reload, and what closed tabs left; an open tab sends its own. */
async function adopt(kept: readonly Item[]): Promise<void> {
  const others = await otherTabs().catch(() => new Set<string>());
  const known = new Set(items.map(({ key }) => key));
  const taken = kept.filter(
    ({ key, tab }) => !known.has(key) && !done.has(key) && (tab === undefined || !others.has(tab)),
  );
  if (taken.length > 0) change([...taken, ...items].sort((a, b) => (a.key < b.key ? -1 : 1)));
}

/** Sends everything waiting here, including what tabs closed since then left. */
export async function flushAll(): Promise<void> {
  const kept = await entries<string, Item>(store).catch(() => []);
  await adopt(kept.map(([, item]) => item));
  await sendAll();
}

async function sendAll(): Promise<void> {
  await Promise.all([...new Set(items.map(queueOf))].map((queue) => flush(queue)));
}

/** Keys sort in the order parcels were made. */
const newKey = (id: string) =>
  `${String(Date.now()).padStart(15, '0')} ${String(count++).padStart(6, '0')} ${id}`;

/**
 * Stores a change of the company, then sends it; merged into one that is still waiting. An earlier refusal is dropped.
 */
export async function sendFirm(was: Firm, set: Firm): Promise<void> {
  const own = items.filter(isFirm);
  for (const refused of own.filter(({ state }) => state !== 'waiting')) forget(refused.key);
  const last = own.findLast(({ state }) => state === 'waiting');
  const onItsWay = flushing.has(firmQueue) ? next(firmQueue)?.key : undefined;
  const joined = last && last.key !== onItsWay ? last : undefined;
  const item: FirmItem = {
    key: joined?.key ?? newKey('firm'),
    tab: tabName(),
    firm: { was: joined?.firm.was ?? was, set },
    state: 'waiting',
  };
  change(joined ? items.map((each) => (each === joined ? item : each)) : [...items, item]);
  void keep(item);
  await flush(firmQueue);
}

/**
 * Stores a job made here, then sends it. Throws if the server refuses it at once; waits here when the server is away.
 */
export async function sendNewJob(job: string, made: Job): Promise<void> {
  await sendNow({ key: newKey(job), tab: tabName(), job, made, state: 'waiting' });
}

/**
 * Stores a set of edits, then sends it. Throws if the server refuses it at once; waits in the outbox when the server is
 * away.
 */
export async function send(
  job: string,
  edits: readonly Edit[],
  base: number,
  undoes?: string,
): Promise<void> {
  const sent = crypto.randomUUID();
  await sendNow({ key: newKey(sent), tab: tabName(), job, sent, edits, base, undoes, state: 'waiting' });
}

async function sendNow(item: OutboxItem | NewJobItem): Promise<void> {
  // Shown before it is in the browser's storage, which may be slow, since the next edit is based on what is shown.
  change([...items, item]);
  void keep(item);
  await flush(item.job);
  const left = items.find(({ key }) => key === item.key);
  if (left?.state === 'refused') {
    forget(left.key);
    throw new Refused(left.message ?? 'Refused', left.faults ?? [], 422);
  }
}

/** Sends a queue in order, one at a time; stops when the server does not answer, and tries again later. */
function flush(queue: string): Promise<void> {
  const running = flushing.get(queue);
  if (running) return running.then(() => (next(queue) ? flush(queue) : undefined));
  const run = (async () => {
    for (let item = next(queue); item; item = next(queue)) if (!(await sendOne(item))) return;
  })().finally(() => flushing.delete(queue));
  flushing.set(queue, run);
  return run;
}

const next = (queue: string) => items.find((each) => queueOf(each) === queue && each.state === 'waiting');

async function sendOne(item: Item): Promise<boolean> {
  await onlyHere.get(item.key);
  try {
    await deliver(item);
    failures = 0;
    forget(item.key);
    return true;
  } catch (error) {
    if (error instanceof Refused && error.status < 500) {
      await mark(item, error);
      return true;
    }
    if (error instanceof Refused && error.status === 500) {
      const times = (failedOver.get(item.key) ?? 0) + 1;
      failedOver.set(item.key, times);
      if (times >= mostFailures) {
        await mark(item, error);
        return true;
      }
    }
    clearTimeout(timer);
    timer = setTimeout(() => void flushAll(), retry_ms[Math.min(failures++, retry_ms.length - 1)]);
    return false;
  }
}

const deliver = (item: Item): Promise<void> =>
  isFirm(item) ? deliverFirm(item) : isNewJob(item) ? deliverNewJob(item) : deliverEdits(item);

async function deliverNewJob({ job, made }: NewJobItem): Promise<void> {
  const stored = await write<StoredJob>('PUT', `/api/jobs/${encodeURIComponent(job)}`, made);
  await went({ job, sent: `add ${job}`, version: 1 });
  arrived(stored);
}

async function deliverFirm({ firm }: FirmItem): Promise<void> {
  arrivedFirm(await write<Firm>('PUT', '/api/firm', firm));
}

async function deliverEdits(item: OutboxItem): Promise<void> {
  const own = gone.filter(({ job, version }) => job === item.job && version > item.base);
  const stored = await write<StoredJob>('POST', `/api/jobs/${encodeURIComponent(item.job)}/edits`, {
    sent: item.sent,
    edits: item.edits,
    base: item.base,
    own: own.map(({ sent }) => sent),
    ...(item.undoes === undefined ? {} : { undoes: item.undoes }),
  });
  await went({ job: item.job, sent: item.sent, version: stored.version });
  arrived(stored);
}

async function went(each: Gone): Promise<void> {
  gone.push(each);
  await remember(each);
}

/** A refused parcel stays, with the reason, until a user drops or settles it. */
async function mark(item: Item, error: Refused): Promise<void> {
  const marked: Item = {
    ...item,
    state: error.conflicts.length > 0 ? 'conflict' : 'refused',
    message: error.message,
    faults: error.faults,
    conflicts: error.conflicts,
    against: error.version,
  };
  change(items.map((each) => (each.key === item.key ? marked : each)));
  await keep(marked);
}

/** Removes a set from the outbox without sending it. */
export function forget(key: string): void {
  done.add(key);
  onlyHere.delete(key);
  void drop(key);
  change(items.filter((each) => each.key !== key));
}

/** Settles a conflict: my change replaces theirs, or is dropped. */
export async function settleConflict(item: OutboxItem, keepMine: boolean): Promise<void> {
  if (!keepMine) {
    forget(item.key);
    return;
  }
  const { conflicts: _conflicts, faults: _faults, message: _message, against, ...rest } = item;
  const again: OutboxItem = { ...rest, state: 'waiting', base: against ?? item.base };
  change(items.map((each) => (each.key === item.key ? again : each)));
  await keep(again);
  await flush(item.job);
}

/** Resolves when what is being sent of a job was accepted, or waits because the server is away. */
export const sendingDone = (job: string): Promise<void> => flushing.get(job) ?? Promise.resolve();

/** The last set, if it is not being sent yet: undo may simply remove it. */
export const lastUnsent = (job: string): OutboxItem | undefined =>
  flushing.has(job)
    ? undefined
    : items.filter(isEdits).findLast((each) => each.job === job && each.state === 'waiting');

/** Edits of a job waiting in the outbox, in order. */
export const editsWaiting = (outbox: readonly OutboxItem[], job: string): Edit[] =>
  outbox.filter((item) => item.job === job && item.state === 'waiting').flatMap(({ edits }) => edits);

/**
 * Whether the edits an earlier page left unsent are loaded: until then a job on screen would lack the last ones typed.
 */
export const isOutboxLoaded = (): boolean => read;

/** Edits of a job waiting here at this moment. */
export const unsentOf = (job: string): Edit[] => editsWaiting(items.filter(isEdits), job);

function useItems(): readonly Item[] {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => items,
  );
}

export const useOutboxLoaded = (): boolean => {
  useItems();
  return read;
};

/** Every set of edits not accepted yet. */
export function useOutbox(): readonly OutboxItem[] {
  const all = useItems();
  return useMemo(() => all.filter(isEdits), [all]);
}

/** How many sets of edits of a job wait here, with the job itself where it was made here. */
export const useWaiting = (job: string): number =>
  useItems().filter(
    (item) => (isEdits(item) || isNewJob(item)) && item.job === job && item.state === 'waiting',
  ).length;

/** Every job made here and not accepted yet. */
export function useNewJobs(): readonly NewJobItem[] {
  const all = useItems();
  return useMemo(() => all.filter(isNewJob), [all]);
}

/** A job made here and not accepted yet; undefined where the server has it, or nobody made it. */
export const madeHere = (job: string): Job | undefined =>
  items.find((item): item is NewJobItem => isNewJob(item) && item.job === job)?.made;

/** Every change of the company not accepted yet. */
export function useFirmOutbox(): readonly FirmItem[] {
  const all = useItems();
  return useMemo(() => all.filter(isFirm), [all]);
}
