import { parentPort } from 'node:worker_threads';
import { answerOf, oneByOne, run } from './scope.js';
import { inThreads, threadsFor } from './threads.js';

if (parentPort) {
  const port = parentPort;
  port.on('message', (path: string) => {
    port.postMessage(answerOf(path, false));
  });
} else {
  const paths = process.argv.slice(2);
  const threads = threadsFor(paths.length);
  process.exitCode = await run(
    paths,
    (text) => process.stdout.write(`${text}\n`),
    (text) => process.stderr.write(`${text}\n`),
    threads > 1 ? inThreads(new URL(import.meta.url), threads) : oneByOne,
  );
}
