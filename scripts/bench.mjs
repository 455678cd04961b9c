import { build } from 'esbuild';
import { install, root } from './setup.mjs';

install();
await build({
  absWorkingDir: root,
  entryPoints: ['bench/scope.ts'],
  outfile: 'dist/bench.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'error',
});
await import('../dist/bench.mjs');
