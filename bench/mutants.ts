import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { mutationsOf, type Mutation } from './mutations.js';

/**
 * How much the tests catch: small wrong changes are put into core, server and web/api, one at a time, and the unit tests
 * that reach the changed file run until one fails. A change that none notices is a survivor, printed to be looked at.
 * MUTANTS says how many, 200 without it; MUTANT_SEED which.
 */
const root = resolve(import.meta.dirname, '..');
const count = Number(process.env.MUTANTS ?? 200);
const say = (text: string) => process.stdout.write(`${text}\n`);

/** A small generator with a seed: mulberry32, public domain. */
function randomOf(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Sources a unit test is answerable for: no tests and helpers, no entry points that only a whole run starts. */
const notAsked =
  /\.test\.ts$|\.d\.ts$|\/test\/|server\/(main|worker|work|reel)\.ts$|web\/api\/(view\.)?worker/;
const sources = ['core', 'server', 'web/api']
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
).flat();

function jest(args: readonly string[], mutant?: Mutation & { path: string }) {
  const env = {
    ...process.env,
    NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning',
    ...(mutant ? { MUTANT: JSON.stringify({ ...mutant, file: join(root, mutant.path) }) } : {}),
  };
  const transform = { '^.+\\.tsx?$': join(root, 'bench', 'mutating-transform.mjs') };
  return spawnSync(
    join(root, 'node_modules/.bin/jest'),
    ['--transform', JSON.stringify(transform), '--bail', '--silent', ...args],
    { cwd: root, env, encoding: 'utf8', timeout: 600_000 },
  );
}

/** Test files by how soon they are likely to notice: of the file itself, of its folder, then the quick ones first. */
function testsFor(path: string): string[] {
  const related = jest(['--listTests', '--findRelatedTests', path]).stdout.trim().split('\n');
  const own = path.replace(/\.ts$/, '.test.ts');
  const slow = /exact|trial|offer\.test|break-even|outbox/;
  const rank = (test: string) =>
    test.endsWith(own) ? 0 : test.includes(`/${dirname(path)}/`) ? 1 : slow.test(basename(test)) ? 3 : 2;
  return related.filter(Boolean).sort((a, b) => rank(a) - rank(b) || a.localeCompare(b));
}

/** Whether some test fails; tests run in three groups so that a mutant noticed early costs little. */
function isKilled(mutant: Mutation & { path: string }): boolean {
  const tests = testsFor(mutant.path);
  const groups = [tests.slice(0, 3), tests.slice(3, 12), tests.slice(12)];
  return groups.some(
    (group) => group.length > 0 && jest(['--runTestsByPath', ...group], mutant).status !== 0,
  );
}

let killed = 0;
chosen.forEach((mutant, i) => {
  const noticed = isKilled(mutant);
  if (noticed) killed++;
  else say(`survives  ${mutant.path}:${mutant.line}  ${mutant.was}  →  ${mutant.text}`);
  process.stderr.write(`${i + 1} of ${chosen.length}, ${killed} killed\n`);
});
say(`${killed} of ${chosen.length} mutants killed, ${((100 * killed) / chosen.length).toFixed(0)} %`);
