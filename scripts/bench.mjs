// Benchmarks, as ratios in one run. `npm run bench` runs all; `npm run bench -- sheet` one. `seed` only fills a folder.
import { build } from 'esbuild';
import { buildCli, install, root } from './setup.mjs';

install();
const asked = process.argv.slice(2);
const names = asked.length > 0 ? asked : ['scope', 'opening', 'sheet', 'typing', 'list'];
if (names.some((name) => ['opening', 'sheet', 'typing', 'list', 'shop', 'mutants'].includes(name)))
  await import('./build.mjs');
else await buildCli();
for (const name of names) {
  await build({
    absWorkingDir: root,
    entryPoints: [`bench/${name}.ts`],
    outfile: `dist/bench-${name}.mjs`,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'error',
  });
  await import(`../dist/bench-${name}.mjs`);
}
