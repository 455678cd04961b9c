import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ownScope } from '../test/own-scope.js';
import { readJob, readJobText } from './read.js';
import { readyJob } from '../solve/ready.js';

const demo = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../demo/jobs/1-quarry-lane.json'), 'utf8'),
) as unknown;

/** Every path of a value that leads to something. */
function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  const inner = Array.isArray(value)
    ? value.flatMap((each, i) => pathsOf(each, [...path, i]))
    : Object.entries(value).flatMap(([key, each]) => pathsOf(each, [...path, key]));
  return path.length > 0 ? [path, ...inner] : inner;
}
function withChange(
  path: readonly (string | number)[],
  change: (parent: Record<string, unknown>, key: string) => void,
): unknown {
  const copy = structuredClone(demo) as Record<string, unknown>;
  const parent = path
    .slice(0, -1)
    .reduce<Record<string, unknown>>((each, key) => each[key] as Record<string, unknown>, copy);
  change(parent, String(path.at(-1)));
  return copy;
}
const paths = pathsOf(demo);
const odd = fc.oneof(
  fc.constantFrom(null, true, '', 'x', [], {}, -1, 0, 1e9, 0.5, [3, 1], ['a']),
  fc.double({ noNaN: true }),
  fc.string({ maxLength: 5 }),
);

// Fuzzing by changing one thing in a good file: the reader either accepts it, and then it can be scoped, or says what
// is wrong and where.
test('a file with one thing changed is taken whole or refused by path; nothing throws', () => {
  fc.assert(
    fc.property(fc.constantFrom(...paths), odd, (path, value) => {
      const read = readJob(withChange(path, (parent, key) => (parent[key] = value)));
      if (read.faults) {
        expect(read.faults.length).toBeGreaterThan(0);
        for (const fault of read.faults) expect(fault.message.length).toBeGreaterThan(3);
      } else {
        const scope = ownScope(readyJob(read.job));
        expect(Number.isFinite(scope.prices.total)).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});

test('a file with one thing left out is taken or refused; a stray field is refused by its own name', () => {
  fc.assert(
    fc.property(fc.constantFrom(...paths), (path) => {
      const without = withChange(path, (parent, key) => {
        if (Array.isArray(parent)) parent.splice(Number(key), 1);
        else Reflect.deleteProperty(parent, key);
      });
      expect(() => readJob(without)).not.toThrow();
      const stray = withChange(path, (parent) => {
        if (!Array.isArray(parent)) parent.stray = 1;
      });
      const isList = typeof path.at(-1) === 'number';
      const faults = readJob(stray).faults ?? [];
      expect(
        faults.some(({ path: at, message }) => at.endsWith('stray') && message === 'unknown field'),
      ).toBe(!isList);
    }),
    { numRuns: 80 },
  );
});

test('text that is no JSON, or no job, is refused', () => {
  for (const text of ['', '{', 'null', '[]', '"job"', '{"a": Infinity}']) {
    expect(readJobText(text).faults?.length).toBeGreaterThan(0);
  }
});

test('a job being written may have runs that nothing ties yet; a file may not', () => {
  const untied = structuredClone(demo) as { lines: { points: object[]; runs: object[] }[] };
  untied.lines[0]?.points.push({ id: 'CO9', kind: 'cleanout' });
  untied.lines[0]?.runs.push({ id: 'R9', access: 'CO9', direction: 'upstream', zero: 'pipe', entries: [] });
  expect(readJob(untied).faults?.[0]?.message).toContain('run-not-tied');
  const kept = readJob(untied, 'keep');
  expect(kept.faults).toBeUndefined();
  expect(kept.job && ownScope(readyJob(kept.job)).warnings.map(({ rule }) => rule)).toContain('run-not-tied');
});

test('the limits of a grade row are given whole and rising', () => {
  const ruled = (bounds: number[]) =>
    readJob({ ...(demo as object), rules: { findings: { roots: { bounds } } } }).faults?.[0]?.message;
  expect(ruled([10, 20, 40])).toBeUndefined();
  expect(ruled([10, 20])).toBe('give 3 bounds');
  expect(ruled([10, 30, 20])).toBe('bounds rise from the first to the last');
});
