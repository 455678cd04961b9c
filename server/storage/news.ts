import { EventEmitter } from 'node:events';
import type { Transaction } from './database.js';

/** Word of each new version of a job, for whoever has it open. */
export interface News {
  /** Awaited inside the transaction that makes the version: where others hear by the database, they hear if it goes in. */
  within: (tx: Transaction, job: string, version: number) => Promise<unknown>;
  /** Called once the version is in. */
  after: (job: string, version: number) => void;
  /** Calls back with every new version; returns what ends it. */
  listen: (heard: (job: string, version: number) => void) => () => void;
}

/** Listeners of this process. */
export function listeners() {
  const changed = new EventEmitter().setMaxListeners(0);
  return {
    tell: (job: string, version: number): void => {
      changed.emit('job', job, version);
    },
    listen: (heard: (job: string, version: number) => void) => {
      changed.on('job', heard);
      return () => {
        changed.off('job', heard);
      };
    },
  };
}

/** Word within one process, which has its database alone. */
export function newsHere(): News {
  const { tell, listen } = listeners();
  return { within: () => Promise.resolve(), after: tell, listen };
}
