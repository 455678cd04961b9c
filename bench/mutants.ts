import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { mutationsOf, withAll } from './mutants/mutations.js';

/**
 * How much the tests catch: small wrong changes are compiled into core, server, web/api and web/view, all inactive. One
 * run of the unit tests finds which test files reach which mutants; then each is activated alone and those files run,
 * its own first, then those of its folder, then the quickest, until one fails. A mutant that nothing catches within `most_ms` of tests is a
 * survivor, printed for review. MUTANTS sets their number, 200 by default; MUTANT_SEED selects which.
 */
const root = resolve(import.meta.dirname, '..');
const count = Number(process.env.MUTANTS ?? 200);
/** Tests taking longer than this in total are not all run for one mutant, so the share killed is a lower bound. */
const most_ms = 90_000;
const say = (text: string) => process.stdout.write(`${text}\n`);

/** A small seeded generator: mulberry32, public domain. */
function randomOf(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Sources that unit tests are responsible for: no tests and helpers, no entry points that only a full run starts. */
const notAsked = /\.test\.ts$|\.d\.ts$|\/test\/|server\/(main|worker|work|reel)\.ts$|web\/view\/view\.worker/;
const sources = ['core', 'server', 'web/api', 'web/view']
  .flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name)),
  )
  .filter((path) => path.endsWith('.ts') && !notAsked.test(path))
  .sort();

const all = sources.flatMap((path) =>
  mutationsOf(path, readFileSync(join(root, path), 'utf8')).map((mutation) => ({ path, ...mutation })),
);
const random = randomOf(Number(process.env.MUTANT_SEED ?? 1));
const chosen = Array.from({ length: Math.min(count, all.length) }, () =>
  all.splice(Math.floor(random() * all.length), 1),
)
  .flat()
  .map((mutation, id) => ({ id, ...mutation }));
type Mutant = (typeof chosen)[number];

const kept = mkdtempSync(join(tmpdir(), 'open-trench-mutants-'));
process.on('exit', () => {
  rmSync(kept, { recursive: true, force: true });
});
writeFileSync(
  join(kept, 'files'),
  JSON.stringify(
    Object.fromEntries(
      sources.map((path) => {
        const here = chosen.filter((mutant) => mutant.path === path);
        return [join(root, path), withAll(readFileSync(join(root, path), 'utf8'), here)];
      }),
    ),
  ),
);

/** Runs Jest on the sources with all mutants compiled in; `more` selects the active one. */
function jest(args: readonly string[], more: NodeJS.ProcessEnv, timeout?: number) {
  return spawnSync(
    join(root, 'node_modules/.bin/jest'),
    ['--config', 'bench/mutants/jest.config.mjs', '--silent', ...args],
    {
      cwd: root,
      env: {
        ...process.env,
        NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
        MUTANT_FILES: join(kept, 'files'),
        MUTANT_MET: kept,
        ...more,
      },
      encoding: 'utf8',
      killSignal: 'SIGKILL',
      ...(timeout === undefined ? {} : { timeout }),
    },
  );
}

/** The test files that reach each mutant, in running order, with the time of each, ms. */
function testsByMutant(): (mutant: Mutant) => { path: string; ms: number }[] {
  const report = join(kept, 'report');
  const { status, stderr } = jest(['--json', `--outputFile=${report}`], {});
  if (status !== 0) throw new Error(`The tests fail with every mistake asleep:\n${stderr}`);
  const { testResults } = JSON.parse(readFileSync(report, 'utf8')) as {
    testResults: { name: string; startTime: number; endTime: number }[];
  };
  const ms = new Map(testResults.map(({ name, startTime, endTime }) => [name, endTime - startTime]));
  const met = readdirSync(kept)
    .filter((name) => name.endsWith('.json'))
    .map((name) => JSON.parse(readFileSync(join(kept, name), 'utf8')) as { testPath: string; met: number[] })
    .map(({ testPath, met }) => ({ path: testPath, ms: ms.get(testPath) ?? 0, met: new Set(met) }))
    .sort((a, b) => a.ms - b.ms);
  return ({ id, path }) => {
    const own = join(root, path.replace(/\.ts$/, '.test.ts'));
    const nearness = (test: string) => (test === own ? 0 : dirname(test) === dirname(own) ? 1 : 2);
    let sum_ms = 0;
    return met
      .filter((test) => test.met.has(id))
      .sort((a, b) => nearness(a.path) - nearness(b.path))
      .filter(({ ms }, i) => (sum_ms += ms) <= most_ms || i === 0);
  };
}

/** Whether some test fails, or the tests do not end: a loop made endless counts too. */
function isKilled({ id }: Mutant, tests: readonly { path: string; ms: number }[]): boolean {
  if (tests.length === 0) return false;
  const paths = tests.map(({ path }) => path);
  const timeout = 60_000 + 3 * tests.reduce((sum, { ms }) => sum + ms, 0);
  const more = { MUTANT_ON: String(id), MUTANT_TESTS: paths.join('\n') };
  return jest(['--runInBand', '--bail', '--runTestsByPath', ...paths], more, timeout).status !== 0;
}

const testsOf = testsByMutant();
let killed = 0;
for (const mutant of chosen) {
  const tests = testsOf(mutant);
  const noticed = isKilled(mutant, tests);
  if (noticed) killed++;
  else {
    const reach = `${tests.length} test files come by`;
    say(`survives  ${mutant.path}:${mutant.line}  ${mutant.was}  →  ${mutant.text}  (${reach})`);
  }
  process.stderr.write(`${mutant.id + 1} of ${chosen.length}, ${killed} killed\n`);
}
say(`${killed} of ${chosen.length} mutants killed, ${((100 * killed) / chosen.length).toFixed(0)} %`);
