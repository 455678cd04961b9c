import { useEffect, useRef, useState } from 'react';
import type { Job, Pin } from '../../core/job/schema.js';
import type { Interval } from '../../core/line/intervals.js';
import type { TrialResult } from '../../core/views/trial.js';
import { startedWorker } from '../view/view';

export interface Trial {
  /** Result of the last pins tried; undefined while nothing is tried. */
  readonly tried: TrialResult | undefined;
  /** Tries pins in the worker: one trial runs at a time, and of those waiting the latest is next. */
  readonly ask: (pins: readonly Pin[], around: Interval) => void;
  /** Result of exactly these pins; undefined where the job changed in the meantime. */
  readonly settle: (pins: readonly Pin[], around: Interval) => Promise<TrialResult | undefined>;
  readonly stop: () => void;
}

interface State {
  key: Promise<string> | undefined;
  busy: boolean;
  next: readonly [readonly Pin[], Interval] | undefined;
}

let benches = 0;
const benchWorker = async () => (await startedWorker()).trialWorker();

/**
 * Pins tried on a line while dragging. A trial stays on the sheet until the full scope from the worker has caught up
 * with the job.
 */
export function useTrial(job: Job, line: string, caughtUp: boolean): Trial {
  const [last, setLast] = useState<{ found: TrialResult; job: Job; line: string }>();
  const state = useRef<State>({ key: undefined, busy: false, next: undefined });
  useEffect(() => {
    // From here on another job is tried: results for the one before are dropped.
    state.current = { key: undefined, busy: false, next: undefined };
  }, [job, line]);
  const tried = last?.line === line && (last.job === job || !caughtUp) ? last.found : undefined;
  const setTried = (found: TrialResult | undefined) => {
    setLast(found && { found, job, line });
  };
  const laid = (own: State): Promise<string> => {
    own.key ??= (async () => {
      const key = String(++benches);
      await (await benchWorker()).startTrials(key, job);
      return key;
    })();
    return own.key;
  };
  const settle: Trial['settle'] = async (pins, around) => {
    const own = state.current;
    own.next = undefined;
    const found = await (await benchWorker()).tryPins(await laid(own), line, pins, around);
    if (state.current !== own) return undefined;
    setTried(found);
    return found;
  };
  const run = async (own: State): Promise<void> => {
    if (own.busy) return;
    own.busy = true;
    try {
      const key = await laid(own);
      for (let next = own.next; next; next = own.next) {
        own.next = undefined;
        const found = await (await benchWorker()).tryPins(key, line, next[0], next[1]);
        if (state.current !== own) return;
        if (found) setTried(found);
      }
    } finally {
      own.busy = false;
    }
  };
  return {
    tried,
    ask: (pins, around) => {
      state.current.next = [pins, around];
      void run(state.current);
    },
    settle,
    stop: () => {
      state.current.next = undefined;
      setTried(undefined);
    },
  };
}
