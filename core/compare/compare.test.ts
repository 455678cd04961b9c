import fc from 'fast-check';
import { ownScope } from '../test/own-scope.js';
import { defaultRules } from '../job/rules.js';
import { readJob } from '../files/read.js';
import type { Entry, Job, Line, Run } from '../job/schema.js';
import { emptyFirm } from '../job/firm.js';
import { accept } from '../offer/accept.js';
import { deep, spokenJob } from '../test/spoken-job.js';
import { compareInspections } from './inspections.js';
import { checkRepair } from './repair.js';
import { readyJob } from '../solve/ready.js';

/** Adds a run to the spoken job's line, its log typed as spoken and its ids made its own. */
function withRun(job: Job, stage: Run['stage'], log: readonly string[]): Job {
  const [line] = job.lines as [Line];
  const spoken = spokenJob('', log).lines[0];
  const [run] = spoken?.runs ?? [];
  if (!run || !stage) throw new Error('a spoken job has a run');
  const entries = run.entries.map((entry): Entry => ({ ...entry, id: `${stage} ${entry.id}` }));
  const whole = {
    ...job,
    lines: [
      {
        ...line,
        // A point met for the first time is added to the line, as the log does it.
        points: [
          ...line.points,
          ...(spoken?.points ?? []).filter(({ id }) => !line.points.some((known) => known.id === id)),
        ],
        runs: [...line.runs, { ...run, id: stage, stage, on: '2026-06-01', entries }],
      },
    ],
  };
  const read = readJob(whole);
  if (!read.job) throw new Error(JSON.stringify(read.faults));
  return read.job;
}

const said = (job: Job) =>
  compareInspections(job.lines[0] as Line, defaultRules).map(({ is, then, now }) => ({
    is,
    at: [then?.at_ft ?? null, now?.at_ft ?? null],
  }));

const now = spokenJob(
  '1 Cove Row',
  ['80 main', '20 roots 30% at joint', '33.2 crack along', '50 offset 1/4', '60 hole', '77 crack hairline'],
  { depths: deep(3, 6) },
);

// Words of calculations §12; which is which is common practice.
test('an older look is held against the new one: new, same, worse, better, gone, and what one of them did not see', () => {
  const both = withRun(now, 'earlier', [
    '70 stop',
    '20.4 roots 12% at joint',
    '33 crack along',
    '50 offset 3/4',
    '25 crack hairline',
    '61.4 roots 5%',
  ]);
  expect(said(both)).toEqual([
    { is: 'worse', at: [20.4, 20] },
    { is: 'gone', at: [25, null] },
    { is: 'same', at: [33, 33.2] },
    { is: 'better', at: [50, 50] },
    { is: 'new', at: [null, 60] },
    { is: 'gone', at: [61.4, null] },
    { is: 'new', at: [null, 77] },
  ]);
  const why = compareInspections(both.lines[0] as Line, defaultRules).map((each) => each.why);
  // 60 lies before where the older look stopped, 77 beyond it.
  expect(why[4]).toMatch('passed here');
  expect(why[6]).toMatch('did not see');
});

// Two logs of one pipe differ by what a user reads off a picture: common practice.
test.each([
  ['roots 30%', 'roots 34%', 'roots 36%'],
  ['deposit 20%', 'deposit 24%', 'deposit 26%'],
  ['offset 3/8', 'offset 7/16', 'offset 9/16'],
])('“%s” and “%s” are the same, “%s” is worse, and the other way round better', (then, alike, more) => {
  const held = (old: string, own: string) => {
    const job = spokenJob('', ['80 main', `40 ${own}`], { depths: deep(3, 6) });
    return said(withRun(job, 'earlier', ['80 main', `40 ${old}`])).map(({ is }) => is);
  };
  expect([held(then, alike), held(alike, then), held(then, more), held(more, then)]).toEqual([
    ['same'],
    ['same'],
    ['worse'],
    ['better'],
  ]);
});

const finding = fc.record({
  kind: fc.constantFrom('crack along', 'roots 12%', 'hole', 'offset 1/4'),
  at: fc.integer({ min: 4, max: 760 }).map((tenths) => tenths / 10),
});
const log = fc
  .array(finding, { maxLength: 8 })
  .map((all) => ['80 main', ...all.map(({ kind, at }) => `${at} ${kind}`)]);

test('an inspection held against itself is the same throughout; everything of either is listed once', () => {
  fc.assert(
    fc.property(log, log, (older, newer) => {
      const job = spokenJob('2 Cove Row', newer, { depths: deep(3, 6) });
      expect(new Set(said(withRun(job, 'earlier', newer)).map(({ is }) => is)).size).toBeLessThanOrEqual(1);
      const compared = compareInspections(withRun(job, 'earlier', older).lines[0] as Line, defaultRules);
      const ids = (side: 'then' | 'now') => compared.flatMap((each) => each[side]?.id ?? []).sort();
      const entries = (all: readonly string[], mark: string) =>
        all
          .slice(1)
          .map((_, i) => `${mark}e${i + 2}`)
          .sort();
      expect(ids('now')).toEqual(entries(newer, ''));
      expect(ids('then')).toEqual(entries(older, 'earlier '));
      // Turned round, what was new is gone and what was worse is better.
      const turned = said(withRun(spokenJob('', older, { depths: deep(3, 6) }), 'earlier', newer));
      const count = (all: readonly { is: string }[], is: string) =>
        all.filter((each) => each.is === is).length;
      expect(count(turned, 'gone')).toBe(count(compared, 'new'));
      expect(count(turned, 'worse')).toBe(count(compared, 'better'));
    }),
    { numRuns: 60 },
  );
});

test('without an older look there is nothing to compare', () => {
  expect(said(now)).toEqual([]);
});

/** Dig, liner and cleaning on one line: a break near the house, a cracked run below, roots before it. */
const broken = spokenJob(
  '3 Cove Row',
  ['80 main', '6 broken', '20 roots 30% at joint', '42 cleanout', '45 to 70 crack several'],
  {
    depths: deep(3, 9),
    surfaces: [
      { from: 'CO1', to_ft: 40, kind: 'lawn' },
      { from_ft: 40, to: 'MAIN', kind: 'street' },
    ],
    pins: [{ from_ft: 5, to_ft: 8, method: 'spot' }],
  },
);
const scope = ownScope(readyJob({ ...broken, rules: { school: 'repair' } }));
const [dig, liner] = scope.lines[0]?.actions ?? [];

test('the plan under test digs and lines', () => {
  expect([dig?.method, liner?.method]).toEqual(['spot', 'line']);
});

function afterRepair(log_: readonly string[]) {
  const accepted = accept(broken, emptyFirm, 'repair', '2026-05-01');
  const job = withRun({ ...broken, accepted }, 'after-repair', log_);
  const [check] = checkRepair(job, job);
  if (!check) throw new Error('the line is checked');
  return check;
}
const at = (feet: number | undefined) => (feet ?? Number.NaN).toFixed(1);
const newPipe = [`${at(dig?.from_ft)} clay > pvc`, `${at(dig?.to_ft)} pvc > clay`];

test('a repair done as agreed: every action done, every end where it was to be, nothing left', () => {
  const check = afterRepair([
    '80 main',
    ...newPipe,
    `${at(liner?.from_ft)} clay > clay lined`,
    '80 clay lined > pvc',
  ]);
  expect(check.looked).toBe(true);
  expect(check.actions.map(({ done, left }) => [done, left])).toEqual([
    ['done', []],
    ['done', []],
  ]);
  const ends = check.actions.flatMap((action) => action.ends);
  expect(ends.filter(({ found_ft }) => found_ft !== undefined).every(({ within }) => within)).toBe(true);
  expect(ends.filter(({ within }) => within).length).toBeGreaterThanOrEqual(3);
  expect(check.cleaned.map(({ done }) => done)).toEqual(check.cleaned.map(() => 'done'));
  expect(check.elsewhere).toEqual([]);
});

test('a liner cut short, a place forgotten, roots left and a break beside it are each told', () => {
  const short = afterRepair([
    '80 main',
    `${at(liner?.from_ft)} clay > clay lined`,
    `${at((liner?.to_ft ?? 0) - 5)} clay lined > clay`,
    '20 roots 30%',
    '60 hole',
    '33 broken',
  ]);
  expect(short.actions.map(({ done }) => done)).toEqual(['not-done', 'done']);
  expect(short.actions[1]?.ends.find(({ end }) => end === 'to')?.within).toBe(false);
  expect(short.actions[1]?.left).toMatchObject([{ what: 'Hole', at_ft: 60, grade: 4 }]);
  expect(short.cleaned.flatMap(({ left }) => left)).toMatchObject([{ at_ft: 20, grade: 3 }]);
  expect(short.cleaned.some(({ done }) => done === 'not-done')).toBe(true);
  expect(short.elsewhere).toMatchObject([{ what: 'Broken pipe', at_ft: 33 }]);
});

test('what the look after did not reach counts as not seen, never as done', () => {
  const check = afterRepair(['30 stop', ...newPipe]);
  expect(check.actions.map(({ done }) => done)).toEqual(['done', 'not-seen']);
  const nobody = checkRepair(broken, { ...broken, rules: { school: 'repair' } });
  expect(nobody[0]).toMatchObject({ looked: false, actions: [{ done: 'not-seen' }, { done: 'not-seen' }] });
});

test('a new cleanout that was to be set is found where it was called, and not taken for set where nobody called it', () => {
  const rules = { school: 'repair' as const, addCleanout: 'every-job' as const };
  const planned = { ...broken, rules };
  const [cleanout] = ownScope(readyJob(planned)).lines[0]?.cleanouts ?? [];
  if (!cleanout) throw new Error('a cleanout is set on every job that digs');
  const accepted = accept(broken, { ...emptyFirm, rules }, 'repair', '2026-05-01');
  const check = (called: readonly string[]) =>
    checkRepair(withRun({ ...broken, accepted }, 'after-repair', ['80 main', ...called]), broken)[0]
      ?.cleanouts;
  expect(check([])).toEqual([{ station_ft: cleanout.station_ft, found_ft: undefined }]);
  const at_ft = cleanout.station_ft + 1;
  expect(check([`${at_ft.toFixed(1)} cleanout`])).toMatchObject([
    { station_ft: cleanout.station_ft, found_ft: Number(at_ft.toFixed(1)) },
  ]);
  expect(check([`${(cleanout.station_ft + 20).toFixed(1)} cleanout`])?.[0]?.found_ft).toBeUndefined();
  const silent = checkRepair(broken, planned)[0];
  expect(silent?.cleanouts).toEqual([{ station_ft: cleanout.station_ft, found_ft: undefined }]);
});
