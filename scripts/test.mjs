// Every check of the project in one command: setup, lint, types, unit tests, browser tests.
import { spawn, spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildCli, buildReel, buildServer, buildWeb, install, root } from './setup.mjs';

install();
mkdirSync(join(root, 'test-results'), { recursive: true });
const temporary = mkdtempSync(join(quickFolder(), 'open-trench-run-'));
// Whoever PostgreSQL runs as goes through it to a folder of its own.
chmodSync(temporary, 0o711);
process.on('exit', () => {
  rmSync(temporary, { recursive: true, force: true });
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1));
process.env.TMPDIR = temporary;
const chromium = findChromium();
wantPostgres();

const bin = (name) => join(root, 'node_modules', '.bin', name);
let [passed, failed] = [0, 0];

/** Runs a check that passes or fails as a whole, and prints its output at the end. */
function check(name, command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('close', (status) => {
      if (status === 0) passed++;
      else failed++;
      process.stderr.write(`\n${name}: ${status === 0 ? 'good' : 'FAILED'}\n${said}`);
      done();
    });
  });
}

async function inTurn(...checks) {
  for (const each of checks) await check(...each);
}

await Promise.all([buildCli(), buildReel(), buildServer(), buildWeb()]);
// The linter checks the types of all sources too, with the settings of each one's folder.
await Promise.all([
  check('Lint and types', bin('oxlint'), []),
  inTurn(
    ['Prettier', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
    ['Direction of imports', bin('depcruise'), ['--output-type', 'err', 'core', 'server', 'web', 'cli']],
    ['Dead code', bin('knip'), []],
    ['Size of folders', process.execPath, ['scripts/folder-sizes.mjs']],
  ),
]);

process.stderr.write('\nUnit tests\n');
const jest = spawnSync(bin('jest'), ['--json', '--outputFile=test-results/jest.json'], {
  cwd: root,
  stdio: ['ignore', 2, 2],
  env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning' },
});
count('Jest', jest.status, 'test-results/jest.json', (all) => [
  all.numPassedTests,
  all.numFailedTests + all.numRuntimeErrorTestSuites,
]);

process.stderr.write('\nBrowser tests\n');
const browser = spawnSync(bin('playwright'), ['test'], {
  cwd: root,
  stdio: ['ignore', 2, 2],
  env: { ...process.env, CHROMIUM: chromium, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
});
count('Playwright', browser.status, 'test-results/e2e.json', ({ stats }) => [
  stats.expected + stats.flaky,
  stats.unexpected,
]);

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);

/** Adds a runner's own counts; a runner that left no report, ran nothing or exited with an error is a failure. */
function count(name, status, report, read) {
  const file = join(root, report);
  const [good, bad] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 0];
  passed += good;
  failed += bad;
  if (bad === 0 && (status !== 0 || good === 0)) {
    process.stderr.write(`${name} ended with ${status} and ${good} tests\n`);
    failed++;
  }
}

/**
 * Debian's Chromium, installed if missing and permitted. The headless shell, of the same source package, draws no browser
 * window around each page, which takes a tenth of the tests' time.
 */
function findChromium() {
  const shell = '/usr/bin/chromium-headless-shell';
  const known = () =>
    [process.env.CHROMIUM, shell, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
      (path) => path && existsSync(path),
    );
  if (known() !== shell && !process.env.CHROMIUM) aptInstall('chromium-headless-shell');
  if (!known()) aptInstall('chromium');
  const found = known();
  if (!found) throw new Error('Chromium is missing and could not be installed: apt-get install chromium');
  return found;
}

/**
 * Where temporary folders are made: in memory where there is plenty. A database there is a real folder, but syncing and
 * removing it takes no time; on a disk that was a quarter of the browser tests' time.
 */
function quickFolder() {
  const inMemory = '/dev/shm';
  if (!existsSync(inMemory)) return tmpdir();
  const { bavail, bsize } = statfsSync(inMemory);
  return bavail * bsize > 4e9 ? inMemory : tmpdir();
}

/** Debian's PostgreSQL server, which the tests start themselves; without one the store is tested on PGlite alone. */
function wantPostgres() {
  if (existsSync('/usr/lib/postgresql') || aptInstall('postgresql')) return;
  process.stderr.write('No PostgreSQL server here: what needs one is left out\n');
}

/** Whether a Debian package could be installed. */
function aptInstall(name) {
  process.stderr.write(`Installing ${name}…\n`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  return [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', name],
  ].every((args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    const done = spawnSync(command, rest, {
      stdio: ['ignore', 2, 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    return done.status === 0;
  });
}
