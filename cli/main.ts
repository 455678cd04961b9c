import { run } from './scope.js';

process.exitCode = run(
  process.argv.slice(2),
  (text) => process.stdout.write(`${text}\n`),
  (text) => process.stderr.write(`${text}\n`),
);
