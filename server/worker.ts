import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { offerOf } from '../core/offer/offer.js';
import { digestOf } from '../core/views/digest.js';
import { keptViewOf } from '../core/views/kept-view.js';

const work = { digestOf, keptViewOf, offerOf };
export type Work = typeof work;

if (!parentPort) throw new Error('this runs as a worker only');
expose(work, nodeEndpoint(parentPort));
