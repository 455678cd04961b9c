// Everything that says whether the project is sound, in one command: set-up, lint, types, unit tests, browser tests.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildCli, buildReel, buildServer, buildWeb, install, root } from './setup.mjs';

install();
mkdirSync(join(root, 'test-results'), { recursive: true });
const chromium = findChromium();

const bin = (name) => join(root, 'node_modules', '.bin', name);
let [passed, failed] = [0, 0];

/** Runs a check that passes or fails as a whole. */
function check(name, command, args) {
  process.stderr.write(`\n${name}\n`);
  const ok = spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2] }).status === 0;
  if (ok) passed++;
  else failed++;
}

await Promise.all([buildCli(), buildReel(), buildServer(), buildWeb()]);
check('ESLint', bin('eslint'), ['.']);
check('Prettier', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
check('Direction of imports', bin('depcruise'), ['--output-type', 'err', 'core', 'server', 'web', 'cli']);
check('Dead code', bin('knip'), []);
check('Types', bin('tsc'), ['-p', 'tsconfig.json']);
check('Types of the pages', bin('tsc'), ['-p', 'web/tsconfig.json']);
check('Types of the browser tests', bin('tsc'), ['-p', 'e2e/tsconfig.json']);

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

/** Adds a runner's own counts; a runner that left no report, ran nothing or exited badly is a failure. */
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

/** Debian's Chromium, installed when it is missing and this may. */
function findChromium() {
  const known = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
    (path) => path && existsSync(path),
  );
  if (known) return known;
  process.stderr.write('Installing Chromium…\n');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  for (const args of [
    ['update', '-qq'],
    ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    const done = spawnSync(command, rest, {
      stdio: ['ignore', 2, 2],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (done.status !== 0)
      throw new Error('Chromium is missing and could not be installed: apt-get install chromium');
  }
  return '/usr/bin/chromium';
}
