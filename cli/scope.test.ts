import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomJob } from '../core/test/random-job.js';
import { run } from './scope.js';
import { threadsFor } from './threads.js';

const demo = join(import.meta.dirname, '../demo/jobs/1-quarry-lane.json');
const folder = mkdtempSync(join(tmpdir(), 'open-trench-cli-'));
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});

const scope = async (...paths: string[]) => {
  const [out, faults]: [string[], string[]] = [[], []];
  const code = await run(
    paths,
    (text) => out.push(text),
    (text) => faults.push(text),
  );
  return { code, out, faults };
};
type Raw = Record<string, unknown> & {
  lines: (Record<string, unknown> & { runs: { entries: Record<string, unknown>[] }[] })[];
};
const broken = (name: string, change: (job: Raw) => void): string => {
  const job = JSON.parse(readFileSync(demo, 'utf8')) as Raw;
  change(job);
  const path = join(folder, `${name}.json`);
  writeFileSync(path, JSON.stringify(job));
  return path;
};
const line = (job: Raw) => job.lines[0] as Raw['lines'][number];
const entry = (job: Raw, run: number, index: number) =>
  line(job).runs[run]?.entries[index] as Record<string, unknown>;

test('one file: indented JSON and exit 0; several: one scope a line, a bad one does not stop the rest', async () => {
  const one = await scope(demo);
  expect([one.code, one.faults]).toEqual([0, []]);
  expect(JSON.parse(one.out.join(''))).toMatchObject({ format: 'open-trench-scope', version: 1 });
  const many = await scope(demo, join(folder, 'nobody.json'), demo);
  expect([many.code, many.out.length, many.faults.length]).toEqual([2, 2, 1]);
  expect(many.out[0]).toBe(many.out[1]);
  expect(many.out[0]).not.toContain('\n');
});

// The faults for which a job file must be refused, each named by its path.
test.each<[string, (job: Raw) => void, string]>([
  ['format', (job) => (job.format = 'something-else'), 'format: '],
  ['version', (job) => (job.version = 2), 'version: '],
  ['missing', (job) => delete job.title, 'title: missing'],
  ['unknown', (job) => (line(job).colour = 'red'), 'lines[0].colour: unknown field'],
  [
    'unknown-in-finding',
    (job) => (entry(job, 1, 2).percent = 5),
    'lines[0].runs[1].entries[2].percent: unknown field',
  ],
  ['negative', (job) => (entry(job, 1, 1).reading_ft = -3), 'lines[0].runs[1].entries[1].reading_ft: '],
  ['out-of-range', (job) => (entry(job, 0, 1).percent = 130), 'lines[0].runs[0].entries[1].percent: '],
  ['unknown-point', (job) => (line(job).datum = 'NOBODY'), 'lines[0].datum: unknown point "NOBODY"'],
  ['unknown-entry', (job) => (entry(job, 1, 6).sameAs = 'nobody'), 'sameAs: unknown entry "nobody"'],
  ['twice', (job) => (entry(job, 1, 1).id = 'e1'), 'two of one id'],
  [
    'backwards',
    (job) => (((line(job).surfaces as { to_ft: number }[])[0] as { to_ft: number }).to_ft = -1),
    'lines[0].surfaces[0].to_ft: stations run backwards',
  ],
  ['beyond', (job) => (line(job).noDig = [{ from_ft: 80, to_ft: 96 }]), 'lines[0].noDig[0]: beyond the line'],
  [
    'not-tied',
    (job) => {
      (line(job).points as object[]).push({ id: 'CO9', kind: 'cleanout' });
      line(job).runs.push({
        id: 'R9',
        access: 'CO9',
        direction: 'downstream',
        zero: 'pipe',
        entries: [],
      } as never);
    },
    'lines[0].runs[2]: run-not-tied',
  ],
])('%s is refused by its path, with nothing on standard output', async (name, change, message) => {
  const { code, out, faults } = await scope(broken(name, change));
  expect([code, out]).toEqual([2, []]);
  expect(faults.join('\n')).toContain(message);
});

test('what is not JSON is refused', async () => {
  const path = join(folder, 'not.json');
  writeFileSync(path, '{"format": NaN}');
  expect(await scope(path)).toMatchObject({ code: 2, out: [] });
});

test('many files are answered in threads: what they say is the same, in the same order', async () => {
  const program = join(folder, 'cli.mjs');
  await build({
    ...{ entryPoints: [join(import.meta.dirname, 'main.ts')], outfile: program },
    ...{ bundle: true, platform: 'node', format: 'esm' },
  });
  const paths = Array.from({ length: 24 }, (_, i) => {
    const path = join(folder, `${i}.json`);
    writeFileSync(path, i === 5 ? '{' : JSON.stringify(randomJob(i, { findings: 3, length_ft: [10, 20] })));
    return path;
  });
  expect(threadsFor(paths.length)).toBe(Math.min(3, availableParallelism()));
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...paths], { encoding: 'utf8' });
  const { code, out, faults } = await scope(...paths);
  expect(faults).toHaveLength(1);
  expect([status, stdout, stderr]).toEqual([code, `${out.join('\n')}\n`, `${faults.join('\n')}\n`]);
});
