import { constants, setPriority } from 'node:os';
import { platform } from 'node:process';
import { parentPort } from 'node:worker_threads';
import { expose } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { offerOf } from '../core/offer/offer.js';
import { digestOf } from '../core/views/digest.js';
import { cachedViewOf } from '../core/views/cached-view.js';

const work = { digestOf, cachedViewOf, offerOf };
export type Work = typeof work;

if (!parentPort) throw new Error('this runs as a worker only');
// On Linux the priority is of the calling thread, elsewhere of the whole server. Requests come first.
if (platform === 'linux') setPriority(constants.priority.PRIORITY_BELOW_NORMAL);
expose(work, nodeEndpoint(parentPort));
