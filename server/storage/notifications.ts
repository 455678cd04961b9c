import { EventEmitter } from 'node:events';
import type { Transaction } from './database.js';

/** Announcements of new job versions to whoever has the job open. */
export interface JobNotifications {
  /**
   * Awaited inside the transaction that makes the version, so that listeners behind the database are notified if it
   * commits.
   */
  within: (tx: Transaction, job: string, version: number) => Promise<unknown>;
  /** Called once the version is committed. */
  after: (job: string, version: number) => void;
  /** Calls back with every new version; returns what stops it. */
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

/** Announcements within the only process using the database. */
export function localNotifications(): JobNotifications {
  const { tell, listen } = listeners();
  return { within: () => Promise.resolve(), after: tell, listen };
}
