import { defineConfig } from '@playwright/test';
import { build } from 'esbuild';
import { rmSync } from 'node:fs';

/** The tests as they run: Playwright's own compiler took most of a minute for the sources of the core they import. */
const bundled = 'dist/e2e';
if (process.env.TEST_WORKER_INDEX === undefined) {
  rmSync(bundled, { recursive: true, force: true });
  await build({
    entryPoints: ['e2e/**/*.spec.ts', 'e2e/support/first-starts.ts'],
    outdir: bundled,
    outbase: 'e2e',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: 'inline',
    logLevel: 'error',
  });
}
process.setSourceMapsEnabled(true);

export default defineConfig({
  testDir: bundled,
  build: { external: [`**/${bundled}/**`] },
  globalSetup: `./${bundled}/support/first-starts.mjs`,
  // Machines here are slow at times, one was five times as slow as the others: a test ends when its work does.
  timeout: 900_000,
  expect: { timeout: 120_000 },
  workers: 2,
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  outputDir: 'test-results/e2e',
  use: {
    viewport: { width: 1280, height: 800 },
    // What moves in is drawn dozens of times: a sixth of all processor time of these tests.
    contextOptions: { reducedMotion: 'reduce' },
    // What works without a server asks for its own: kept pages cost every other test a second of a core.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-dev-shm-usage',
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
      ],
    },
  },
});
