/** Comlink ships types for this file under another name. */
declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { Endpoint } from 'comlink';
  import type { MessagePort, Worker } from 'node:worker_threads';

  export default function nodeEndpoint(port: MessagePort | Worker): Endpoint;
}
