import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Edit } from '../../core/edits/index.js';
import type { Job } from '../../core/job/schema.js';
import type { SimulatedPipe } from '../../core/practice/pipe.js';
import { practiceView, type PracticeResult } from '../../core/practice/practice.js';
import { clean, enter, locatedDepth, move, moveTo, zeroHere, type Reel } from '../../core/practice/reel.js';
import { practiceJob } from '../../core/practice/truth-job.js';
import type { LineView } from '../../core/views/line-view.js';
import { withWaiting, type Change } from '../api/job';
import { worker } from '../view/worker';
import { saveUnfinished, type UnfinishedPractice } from './storage.js';

/** A practice in progress: its log, its reel, and its result once it is finished. */
export interface Practice {
  readonly job: Job;
  readonly lineView: LineView;
  readonly change: Change;
  readonly reel: Reel;
  readonly stoppedBy: string | undefined;
  readonly said: string | undefined;
  push: (by_ft: number) => void;
  zero: () => void;
  /** Removes what stops the head. */
  cleanHere: () => void;
  /** Depth at the head, in the words of the log; undefined in the riser. */
  locate: () => string | undefined;
  enterAt: (access: string) => void;
  /** Shows a place again. */
  showAgain: (station_ft: number) => void;
  readonly result: PracticeResult | undefined;
  readonly working: boolean;
  finish: () => Promise<PracticeResult>;
  /** Back to the log, to continue with it. */
  goOn: () => void;
}

/** A little short of a place, so that the lens looks at it, ft. */
const before_ft = 0.9;

/** The log of a practice with its undo: its edits are stored only here. */
function useOwnChange(begun: Job): { job: Job; change: Change } {
  const [job, setJob] = useState(begun);
  const [past, setPast] = useState<readonly Job[]>([]);
  const [future, setFuture] = useState<readonly Job[]>([]);
  const edit = useCallback(
    (edits: readonly Edit[]): Promise<void> => {
      setPast((all) => [...all, job]);
      setFuture([]);
      setJob(withWaiting(job, edits));
      return Promise.resolve();
    },
    [job],
  );
  const change = useMemo<Change>(
    () => ({
      error: undefined,
      reset: () => undefined,
      edit,
      say: edit,
      undo: () => {
        const last = past.at(-1);
        if (!last) return Promise.resolve(false);
        setFuture([job, ...future]);
        setPast(past.slice(0, -1));
        setJob(last);
        return Promise.resolve(true);
      },
      redo: () => {
        const [next, ...rest] = future;
        if (!next) return Promise.resolve(false);
        setPast([...past, job]);
        setFuture(rest);
        setJob(next);
        return Promise.resolve(true);
      },
    }),
    [edit, future, job, past],
  );
  return { job, change };
}

/** The head in its pipe: pushing, cleaning and locating. */
function useOwnReel(pipe: SimulatedPipe, begun: UnfinishedPractice | undefined) {
  const [reel, setReel] = useState<Reel>(() => reelOf(pipe, begun));
  const [stoppedBy, setStopped] = useState<string>();
  const [said, setSaid] = useState<string>();
  return {
    ...{ reel, stoppedBy, said },
    push: (by_ft: number) => {
      const moved = move(reel, by_ft);
      setReel(moved.reel);
      setStopped(moved.stoppedBy);
      setSaid(undefined);
    },
    zero: () => {
      setReel(zeroHere(reel));
      setSaid('The counter is zeroed here. A run is read from one zero: say in the log where.');
    },
    cleanHere: () => {
      const cleaned = clean(reel);
      setSaid(
        cleaned === reel
          ? 'There is nothing here that stops the head.'
          : 'Cleaned: the head goes on. What you saw before it was cleaned stays in the log.',
      );
      setReel(cleaned);
      setStopped(undefined);
    },
    locate: () => {
      const depth = locatedDepth(reel);
      if (depth === undefined) setSaid('There is nothing to locate in the riser.');
      return depth === undefined ? undefined : `located ${depth} deep`;
    },
    enterAt: (access: string) => {
      setReel(enter(pipe, access, 1) ?? reel);
      setStopped(undefined);
    },
    showAgain: (station_ft: number) => {
      setReel(moveTo(reel, Math.max(0, station_ft - before_ft)));
      setStopped(undefined);
    },
  };
}

/** Everything of one practice happens in the browser and is stored there: it needs no server. */
export function usePractice(
  pipe: SimulatedPipe,
  level: number,
  seed: number,
  begun: UnfinishedPractice | undefined,
): Practice {
  const { job, change } = useOwnChange(useMemo(() => begun?.job ?? practiceJob(pipe), [begun, pipe]));
  const head = useOwnReel(pipe, begun);
  const { reel } = head;
  const [result, setResult] = useState<PracticeResult>();
  const [working, setWorking] = useState(false);
  useEffect(() => {
    const { access, cable_ft, pushing, zero_ft, lost_ft, cleaned } = reel;
    void saveUnfinished(level, seed, {
      job,
      access: access.id,
      reel: { cable_ft, pushing, zero_ft, lost_ft, cleaned },
    });
  }, [job, reel, level, seed]);
  const lineView = useMemo(() => practiceView(job), [job]);
  return {
    ...{ ...head, job, lineView, change, result, working },
    finish: async () => {
      setWorking(true);
      try {
        const came = await worker.practiceResult(pipe, job);
        setResult(came);
        return came;
      } finally {
        setWorking(false);
      }
    },
    goOn: () => {
      setResult(undefined);
    },
  };
}

function reelOf(pipe: SimulatedPipe, begun: UnfinishedPractice | undefined): Reel {
  const reel = enter(pipe, begun?.access ?? 'CO1', 1) ?? enter(pipe, 'CO1', 1);
  if (!reel) throw new Error('a pipe to practice on has a cleanout');
  return begun ? { ...reel, ...begun.reel } : reel;
}
