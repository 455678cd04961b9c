import { runNarrate } from './narrate.js';

process.exitCode = await runNarrate(
  process.argv.slice(2),
  (text) => process.stdout.write(`${text}\n`),
  (text) => process.stderr.write(`${text}\n`),
);
