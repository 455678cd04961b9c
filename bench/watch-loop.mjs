// Loaded into a server by a bench (node --import): when the server ends, writes to the file LOOP names how long its
// event
// loop was blocked, ms, and the thread's own processor time in it, where the system reports it (Linux). Start-up is not
// counted.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';

const every_ms = 5;
const start_ms = 3000;
const own = '/proc/thread-self/schedstat';
const worked_ms = () => (existsSync(own) ? Number(readFileSync(own, 'utf8').split(' ')[0]) / 1e6 : undefined);

const { LOOP: file } = process.env;
// What the server starts besides is not asked.
delete process.env.LOOP;
if (isMainThread && file) {
  const held = { longest_ms: 0, worked_ms: 0 };
  let last = { at: performance.now(), worked: worked_ms() };
  const look = () => {
    const now = { at: performance.now(), worked: worked_ms() };
    held.longest_ms = Math.max(held.longest_ms, now.at - last.at - every_ms);
    if (now.worked !== undefined) held.worked_ms = Math.max(held.worked_ms, now.worked - last.worked);
    last = now;
    setTimeout(look, every_ms).unref();
  };
  setTimeout(() => {
    last = { at: performance.now(), worked: worked_ms() };
    look();
  }, start_ms).unref();
  process.on('exit', () => {
    writeFileSync(file, JSON.stringify(held));
  });
}
