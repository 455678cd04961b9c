import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText } from '../files/read.js';
import { defaultPlanRules } from './rules.js';
import type { Entry, Job } from '../job/schema.js';
import { readyJob } from '../solve/ready.js';
import { oneLine } from '../test/one-line.js';
import { ownScope } from '../test/own-scope.js';
import { tasksOf, type Task, type Tasks } from './tasks.js';

const { job } = readJobText(
  readFileSync(join(import.meta.dirname, '../../demo/jobs/1-quarry-lane.json'), 'utf8'),
);
if (!job) throw new Error('the demo job cannot be read');

const scopeUnder = (of: Job) => ownScope(readyJob(of));
const tasksUnder = (of: Job, rules = defaultPlanRules): Tasks =>
  tasksOf({ scope: scopeUnder(of), names: {}, rules, temperature_F: 70 });

/** All tasks finished before a task begins. */
function before(tasks: readonly Task[], id: string): ReadonlySet<string> {
  const all = new Set<string>();
  const collect = (of: string) => {
    for (const { task } of tasks.find((each) => each.id === of)?.after ?? []) {
      if (all.has(task)) continue;
      all.add(task);
      collect(task);
    }
  };
  collect(id);
  return all;
}

// The order of work is common practice: called before dug, dug before laid, tested before covered, laid before lined
// except where the liner goes in through that same excavation, and the final inspection last.
test('the demo job comes to the tasks a foreman would write down, each after what it needs', () => {
  const { tasks, sameDay, doubts } = tasksUnder(job);
  const ids = tasks.map(({ id }) => id);
  expect(ids).toEqual([
    'locate',
    'house dig P1',
    'house dig P2',
    'house lay A1',
    'house test A1',
    'house dry-run A3',
    'house insert A3',
    'house cure A3',
    'house lay A2',
    'house test A2',
    'house backfill P1',
    'house restore soft P1',
    'house backfill P2',
    'house restore soft P2',
    'house inspect after',
  ]);
  for (const id of ids.filter((each) => each !== 'locate')) expect(before(tasks, id)).toContain('locate');
  expect(before(tasks, 'house lay A1')).toContain('house dig P1');
  expect(before(tasks, 'house backfill P1')).toContain('house test A1');
  // The liner goes in through excavation B: the pipe there is laid once it has cured.
  expect(before(tasks, 'house lay A2')).toContain('house cure A3');
  // No resin is mixed while digging or laying continues on the line.
  expect(before(tasks, 'house insert A3')).toContain('house test A1');
  for (const id of ids.filter((each) => each !== 'house inspect after' && !each.includes('restore')))
    expect(before(tasks, 'house inspect after')).toContain(id);
  // There is traffic on gravel: excavation A is closed the day it is opened. Mixed resin cannot wait.
  expect(sameDay.map(({ excavation }) => excavation)).toEqual([undefined, 'excavation A']);
  expect(sameDay[0]?.tasks).toEqual(['house insert A3', 'house cure A3']);
  expect([...(sameDay[1]?.tasks ?? [])].sort()).toEqual(
    ['house backfill P1', 'house dig P1', 'house lay A1', 'house test A1'].sort(),
  );
  expect(doubts).toEqual([]);
});

test('amounts are the scope’s own: earth, wall, pipe, liner, surfaces, branches', () => {
  const scope = scopeUnder(job);
  const { tasks } = tasksOf({ scope, names: {}, rules: defaultPlanRules, temperature_F: 70 });
  const amount = (id: string) => tasks.find((task) => task.id === id)?.amount ?? NaN;
  for (const line of scope.lines) {
    for (const pit of line.pits) {
      expect(amount(`${line.id} dig ${pit.id}`)).toBe(pit.figures.bank.value);
      expect(amount(`${line.id} backfill ${pit.id}`)).toBe(pit.figures.bank.value);
      const restored = pit.sheet.restore.reduce((sum, { area }) => sum + area.value, 0);
      expect(amount(`${line.id} restore soft ${pit.id}`)).toBeCloseTo(restored, 9);
    }
    for (const { id, pipe, liner, working } of line.actions) {
      if (pipe) expect(amount(`${line.id} lay ${id}`)).toBe(pipe.laid.value);
      if (!liner) continue;
      expect(amount(`${line.id} insert ${id}`)).toBe(liner.cut.value);
      const insert = tasks.find((task) => task.id === `${line.id} insert ${id}`);
      expect(insert?.hours.value).toBeCloseTo((working?.needed.value ?? 0) / 60, 9);
      // The steps shown for the minutes give the hours.
      expect(insert?.hours.steps.at(-1)?.label).toBe('In hours');
    }
  }
});

test('rules change what is planned: no excavator digs by hand, others restore what is theirs, nights may stand open', () => {
  const byHand = tasksUnder(job, {
    ...defaultPlanRules,
    machines: { ...defaultPlanRules.machines, excavator: 0 },
  });
  expect(byHand.tasks.filter(({ kind }) => kind === 'hand-dig')).toHaveLength(2);
  expect(byHand.tasks.some(({ kind }) => kind === 'dig')).toBe(false);
  const open = tasksUnder(job, { ...defaultPlanRules, closeOvernight: false });
  expect(open.sameDay.map(({ excavation }) => excavation)).toEqual([undefined]);
  const lawnByOthers = tasksUnder({
    ...job,
    prices: { ...job.prices, restore_per_ft2: { lawn: 'by-others' } },
  });
  expect(lawnByOthers.tasks.some(({ id }) => id === 'house restore soft P2')).toBe(false);
  // A cure that runs past the end of the day is checked in the morning, and the plan says so.
  const cold = tasksOf({ scope: scopeUnder(job), names: {}, rules: defaultPlanRules, temperature_F: 52 });
  expect(cold.doubts.join()).toMatch(/cures for 8\.5 h, past the end of a day: somebody stays with it/);
  const cure = cold.tasks.find(({ kind }) => kind === 'cure');
  expect(cure?.hours.value).toBe(0.25);
  expect(cure?.after[0]?.hours).toBeCloseTo(8.5 - 0.25, 9);
  // No work gives no tasks, and no utility call.
  expect(tasksUnder({ ...job, lines: job.lines.map((line) => ({ ...line, runs: [] })) }).tasks).toEqual([]);
});

test('pipe is laid once every liner that goes in through its excavation has cured', () => {
  const entries: Entry[] = [
    { id: 'a', kind: 'finding', finding: 'crack', form: 'around', reading_ft: 24, pass: 'back' },
    { id: 'b', kind: 'finding', finding: 'belly', inches: 1.5, reading_ft: 28, to_ft: 34, pass: 'back' },
    { id: 'c', kind: 'finding', finding: 'broken', reading_ft: 41, pass: 'back' },
    { id: 'd', kind: 'locate', depth_ft: 4.8, reading_ft: 24, pass: 'back' },
    { id: 'e', kind: 'locate', depth_ft: 5.5, reading_ft: 41, pass: 'back' },
  ];
  const line = oneLine(entries);
  const { tasks } = tasksUnder({ ...job, lines: [line], edits: [] } as unknown as Job);
  const cures = tasks.filter(({ kind }) => kind === 'cure').map(({ id }) => id);
  expect(cures).toHaveLength(2);
  for (const cure of cures) expect(before(tasks, 'house lay A2')).toContain(cure);
});

test('what is done on several lines is said by its line, and each task goes by a name of its own', () => {
  const [line] = job.lines;
  if (!line) throw new Error('the demo job has a line');
  const two: Job = { ...job, lines: [line, { ...line, id: 'yard', name: 'Yard drain' }] };
  const { tasks } = tasksOf({
    scope: scopeUnder(two),
    names: { house: 'House line', yard: 'Yard drain' },
    rules: defaultPlanRules,
    temperature_F: 70,
  });
  expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
  expect(new Set(tasks.map(({ what }) => what)).size).toBe(tasks.length);
  // One call for the whole job.
  expect(tasks.filter(({ kind }) => kind === 'locate')).toHaveLength(1);
  for (const { what, line: of } of tasks)
    if (of !== undefined) expect(what.endsWith(of === 'yard' ? ', Yard drain' : ', House line')).toBe(true);
});
