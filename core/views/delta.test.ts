import fc from 'fast-check';
import { applyDelta, deltaOf } from './delta.js';
import { jobView } from './job-view.js';
import { randomJob } from '../test/random-job.js';

// The laws of any difference: applied to the first it gives the second, and it names nothing that did not change. The
// reference is JSON's own text and parser, through which a delta crosses between threads.

const json = fc.jsonValue({ maxDepth: 4 });
const crossed = <T>(value: T): T => (value === undefined ? value : (JSON.parse(JSON.stringify(value)) as T));

test('applied to the first value it gives the second, whatever the two are', () => {
  fc.assert(
    fc.property(json, json, (was, now) => {
      expect(crossed(applyDelta(was, crossed(deltaOf(was, now))))).toEqual(crossed(now));
    }),
  );
});

test('equal values have no difference, and a list that was turned round repeats none of its items', () => {
  fc.assert(
    fc.property(fc.array(json), (list) => {
      expect(deltaOf(list, crossed(list))).toBeUndefined();
      const round = [...list].reverse();
      const delta = deltaOf(list, round);
      if (delta) expect(delta).toEqual({ items: round.map(() => expect.any(Number) as number) });
    }),
  );
});

test('after one more entry the rows of a view that did not change are the very same ones', () => {
  const { lines, ...job } = randomJob(3, { findings: 6 });
  const [line, ...others] = lines;
  const [run, ...runs] = line?.runs ?? [];
  if (!line || !run) throw new Error('the job has no run');
  const entry = { ...(run.entries[0] ?? fail()), id: 'one-more' };
  const more = {
    ...job,
    lines: [{ ...line, runs: [{ ...run, entries: [...run.entries, entry] }, ...runs] }, ...others],
  };
  const [was, now] = [jobView({ ...job, lines }), jobView(more)];
  const taken = applyDelta(was, crossed(deltaOf(was, now)));
  expect(crossed(taken)).toEqual(crossed(now));
  const known = new Map(was.lines.flatMap(({ rows }) => rows.map((row) => [JSON.stringify(row), row])));
  const kept = taken.lines.flatMap(({ rows }) => rows.filter((row) => known.has(JSON.stringify(row))));
  expect(kept.length).toBeGreaterThan(0);
  for (const row of kept) expect(known.get(JSON.stringify(row))).toBe(row);
});

function fail(): never {
  throw new Error('the run has no entry');
}
