// Work that never ends, work that takes all memory, and work that finishes at once.
import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';

const kept = [];
expose(
  {
    digestOf(job) {
      if (job === 'endless') for (;;);
      if (job === 'greedy') for (;;) kept.push(Array.from({ length: 100_000 }, (_, i) => ({ i })));
      return job;
    },
  },
  nodeEndpoint(parentPort),
);
