import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { evaluate } from 'mathjs';
import { answerOf } from './scope.js';

const page = readFileSync(join(import.meta.dirname, '../docs/by-hand.md'), 'utf8');
const job = /```json\n([\s\S]*?)```/.exec(page)?.[1] ?? '';
const folder = mkdtempSync(join(tmpdir(), 'open-trench-hand-'));
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});
const path = join(folder, 'job.json');
writeFileSync(path, job);
const { scope: said = '', faults } = answerOf(path, true);
if (faults.length > 0) throw new Error(faults.join('\n'));
const scope = JSON.parse(said) as unknown;

/** Rows of the page's tables: subject, the sum by hand, its place in the scope, and the value both must give. */
const rows = [...page.matchAll(/^\| ([^|`]+?)\s*\| `([^`]+)`\s*\| `([^`]+)`\s*\| ([\d.]+)\s*\|$/gm)].map(
  ([, what = '', sum = '', where = '', value = '']) => ({ what, sum, where, value }),
);

const at = (where: string): unknown =>
  where
    .split(/[.[\]]+/)
    .filter(Boolean)
    .reduce<unknown>((value, key) => (value as Record<string, unknown> | undefined)?.[key], scope);

test('the page has its rows', () => {
  expect(rows.length).toBe(24);
});

// Each sum is computed by mathjs and by the program; both must give the page's value.
test.each(rows)('$what', ({ sum, where, value }) => {
  const digits = value.split('.')[1]?.length ?? 0;
  expect(Number(evaluate(sum)).toFixed(digits)).toBe(value);
  expect(Number(at(where)).toFixed(digits)).toBe(value);
});
