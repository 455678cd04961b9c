import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { dirname, join, relative, resolve } from 'node:path';
import { mutationsOf, withAll } from './mutants/mutations.js';

/**
 * How much the tests catch: small wrong changes are compiled into core, server, web/api and web/view, all inactive. One
 * run of the unit tests finds which tests reach which mutants; then each mutant is activated alone and those tests run,
 * its own file's first, then those of its folder, then those that caught most so far, then the quickest, until one fails.
 * If none does, their whole files run, since a test may use what an earlier one computed. A mutant that nothing catches
 * within `most_ms` of tests is a survivor, printed for review. MUTANTS sets their number, 200 by default; MUTANT_SEED
 * selects which.
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
function runJest(
  args: readonly string[],
  more: NodeJS.ProcessEnv,
  timeout?: number,
): Promise<{ passed: boolean; errors: string }> {
  const child = spawn(
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
      stdio: ['ignore', 'ignore', 'pipe'],
      killSignal: 'SIGKILL',
      ...(timeout === undefined ? {} : { timeout }),
    },
  );
  let errors = '';
  child.stderr.setEncoding('utf8').on('data', (text: string) => (errors += text));
  return new Promise((done, failed) => {
    child.once('error', failed).once('close', (status) => {
      done({ passed: status === 0, errors });
    });
  });
}

/** What one test file reached: in each of its tests, and outside of them. */
interface Reached {
  readonly path: string;
  readonly outside: readonly number[];
  readonly tests: readonly { name: string; ms: number; met: readonly number[] }[];
}

/** The tests of one file that reach a mutant, with the time that they and the whole file take. */
interface Reaching {
  readonly path: string;
  readonly names: readonly string[];
  readonly ms: number;
  readonly file_ms: number;
}

const sum = (list: readonly { ms: number }[]) => list.reduce((total, { ms }) => total + ms, 0);

/** How many mutants each test file caught so far. */
const caught = new Map<string, number>();

/** The tests that reach each mutant, in running order. */
async function testsByMutant(): Promise<(mutant: Mutant) => Reaching[]> {
  const { passed, errors } = await runJest([], {});
  if (!passed) throw new Error(`The tests fail with every mutant inactive:\n${errors}`);
  const files = readdirSync(kept)
    .filter((name) => name.endsWith('.json'))
    .map((name) => JSON.parse(readFileSync(join(kept, name), 'utf8')) as Reached);
  return ({ id, path }) => {
    const own = join(root, path.replace(/\.ts$/, '.test.ts'));
    const nearness = (test: string) => (test === own ? 0 : dirname(test) === dirname(own) ? 1 : 2);
    return files
      .map(({ path, outside, tests }) => {
        const reaching = outside.includes(id) ? tests : tests.filter(({ met }) => met.includes(id));
        return { path, names: reaching.map(({ name }) => name), ms: sum(reaching), file_ms: sum(tests) };
      })
      .filter(({ names }) => names.length > 0)
      .sort(
        (a, b) =>
          nearness(a.path) - nearness(b.path) ||
          (caught.get(b.path) ?? 0) - (caught.get(a.path) ?? 0) ||
          a.ms - b.ms,
      );
  };
}

/** The first of a list that take `most_ms` together, and always one. */
function within<T>(list: readonly T[], msOf: (each: T) => number): T[] {
  let total = 0;
  return list.filter((each, i) => (total += msOf(each)) <= most_ms || i === 0);
}

/** Linux takes no argument of a command over 128 KiB. */
const longestArgument = 100_000;
const asPattern = (name: string) => `^${name.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`;

/** Whether some test fails, or the tests do not end: a loop made endless counts too. */
async function isKilled({ id }: Mutant, tests: readonly Reaching[]): Promise<boolean> {
  if (tests.length === 0) return false;
  const fails = async (list: readonly Reaching[], ms: number, only: readonly string[]) => {
    const paths = list.map(({ path }) => path);
    const more = { MUTANT_ON: String(id), MUTANT_TESTS: paths.join('\n') };
    const most = 60_000 + Math.ceil(3 * ms);
    const args = ['--runInBand', '--bail', ...only, '--runTestsByPath', ...paths];
    const { passed, errors } = await runJest(args, more, most);
    const by = paths.find((path) => errors.includes(`FAIL ${relative(root, path)}`));
    if (by !== undefined) caught.set(by, (caught.get(by) ?? 0) + 1);
    return !passed;
  };
  const named = within(tests, ({ ms }) => ms);
  const pattern = named.flatMap(({ names }) => names.map(asPattern)).join('|');
  const only = pattern.length < longestArgument ? ['--testNamePattern', pattern] : [];
  if (await fails(named, sum(named), only)) return true;
  const whole = within(tests, ({ file_ms }) => file_ms).filter((file) => file.ms < file.file_ms);
  return whole.length > 0 && (await fails(whole, most_ms, []));
}

const testsOf = await testsByMutant();
let [begun, killed] = [0, 0];
async function goThrough() {
  for (let mutant = chosen[begun++]; mutant; mutant = chosen[begun++]) {
    const tests = testsOf(mutant);
    const noticed = await isKilled(mutant, tests);
    if (noticed) killed++;
    else {
      const reach = `${tests.length} test files reach it`;
      say(`survives  ${mutant.path}:${mutant.line}  ${mutant.was}  →  ${mutant.text}  (${reach})`);
    }
    process.stderr.write(`${mutant.id + 1} of ${chosen.length}, ${killed} killed\n`);
  }
}
await Promise.all(Array.from({ length: availableParallelism() }, goThrough));
say(`${killed} of ${chosen.length} mutants killed, ${((100 * killed) / chosen.length).toFixed(0)} %`);
