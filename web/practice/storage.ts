import { createStore, get, set } from 'idb-keyval';
import type { Level } from '../../core/practice/invent.js';
import type { Reel } from '../../core/practice/reel.js';
import type { Job } from '../../core/job/schema.js';

const store = createStore('open-trench-practice', 'kept');

/** One finished practice, in the record of its name. */
export interface Score {
  readonly name: string;
  readonly level: Level['level'];
  readonly seed: number;
  /** Day and time, ISO 8601. */
  readonly at: string;
  readonly score: number;
  readonly found: number;
  readonly missed: number;
  readonly invented: number;
}

/** An unfinished practice: its log, and the position of the head. */
export interface UnfinishedPractice {
  readonly job: Job;
  readonly access: string;
  readonly reel: Pick<Reel, 'cable_ft' | 'pushing' | 'zero_ft' | 'lost_ft' | 'cleaned'>;
}

const unfinishedKey = (level: number, seed: number) => `begun ${level} ${seed}`;

// Storage may be unavailable (a private window): the practice is then kept as long as the page is open.
export const readUnfinished = (level: number, seed: number): Promise<UnfinishedPractice | undefined> =>
  get<UnfinishedPractice>(unfinishedKey(level, seed), store).catch(() => undefined);
export const saveUnfinished = (level: number, seed: number, begun: UnfinishedPractice): Promise<void> =>
  set(unfinishedKey(level, seed), begun, store).catch(() => undefined);
export const readScores = (): Promise<readonly Score[]> =>
  get<readonly Score[]>('scores', store).then(
    (all) => all ?? [],
    () => [],
  );

/** Records a score. Only the first one of a name on a pipe counts: after it the truth is known. */
export async function addScore(score: Score): Promise<void> {
  const all = await readScores();
  const known = all.some(
    ({ name, level, seed }) => name === score.name && level === score.level && seed === score.seed,
  );
  if (!known) await set('scores', [...all, score], store).catch(() => undefined);
}

const nameKey = 'open-trench-practice-name';
const hintsKey = 'open-trench-practice-hints';

function readHere(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

function saveHere(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // As above: storage may be unavailable.
  }
}

/** Name of the person practicing here. */
export const practiceName = (): string => readHere(nameKey) ?? '';
export const savePracticeName = (name: string): void => {
  saveHere(nameKey, name);
};

/** Hints were skipped, or completed. */
export const hintsDone = (): boolean => readHere(hintsKey) === 'done';
export const saveHintsDone = (done: boolean): void => {
  saveHere(hintsKey, done ? 'done' : 'wanted');
};
