import { useMemo, useState } from 'react';
import { jobHead, type Edit } from '../../core/edits/index.js';
import type { Job, Pin } from '../../core/job/schema.js';
import type { Method, School } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import type { LineView } from '../../core/views/line-view.js';
import {
  pinsOn,
  withEndMoved,
  withJoined,
  withMethod,
  without,
  withSplit,
  type PlacedPin,
} from '../../core/views/pin-edits.js';
import { useSteady } from '../controls/use-steady.js';
import { barsOf, weightiest, type ScopeBar } from '../drawing/scope-bars.js';
import type { JobContext } from '../shell/job-layout.js';
import { nextEnd, snapped } from './snap.js';
import { useTrial, type Trial } from './use-trial.js';

/** An end of a bar being dragged. */
interface Drag {
  readonly bar: ScopeBar;
  readonly end: 'from' | 'to';
  readonly to_ft: number;
}

/** The scope being edited: the selected bar, and the actions on it. Every action becomes pins. */
export interface ScopeEditing {
  readonly scope: ScopeSoFar;
  readonly lineScope: LineScope;
  /** The scope shown is that of the trial pins. */
  readonly tried: boolean;
  readonly bars: readonly ScopeBar[];
  readonly selected: ScopeBar | undefined;
  readonly drag: Drag | undefined;
  /** Why the request was refused; undefined where nothing was. */
  readonly refusal: string | undefined;
  readonly pinsHere: readonly PlacedPin[];
  choose: (bar: ScopeBar) => void;
  /** Selects the bar at a station, ft. */
  chooseAt: (station_ft: number) => void;
  go: (by: number) => void;
  moveEnd: (end: 'from' | 'to', raw_ft: number, last: boolean) => void;
  doHere: (method: Method) => void;
  join: () => void;
  /** Splits the selected bar near a station, else in its middle. */
  split: (near_ft: number | undefined) => void;
  lift: (pins: readonly PlacedPin[]) => void;
  liftHere: () => void;
  take: (school: School) => void;
  forget: () => void;
}

type EditingInput = Pick<JobContext, 'job' | 'inForce' | 'line' | 'caughtUp' | 'change'> & {
  readonly view: NonNullable<JobContext['view']>;
  readonly lineView: LineView;
  readonly lineScope: LineScope;
};

/** Two stations of a drag closer than this are the same, ft. */
const samePlace_ft = 0.01;
/** Least length of a piece split off, ft. */
const leastPiece_ft = 0.5;

/** What the sheet shows: a trial replaces the current scope as long as it is feasible. */
function useShown({ view, line, lineScope, inForce, caughtUp }: EditingInput) {
  const trial = useTrial(inForce, line.id, caughtUp);
  const triedLine = trial.tried?.lines.find(({ id }) => id === line.id);
  const tried = triedLine?.feasible ?? false;
  const shown = triedLine && tried ? triedLine : lineScope;
  const scope: ScopeSoFar = tried ? { ...view.scope, ...trial.tried, ifUnseenIs: undefined } : view.scope;
  const { methods } = view.scope;
  const bars = useMemo(() => barsOf(shown, methods), [shown, methods]);
  return { trial, tried, can: triedLine?.feasible ?? true, shown, bars, scope };
}

/** The selected bar, kept by a station inside it: its id changes with every scope. */
function useChosen(bars: readonly ScopeBar[]) {
  const [at, chooseAt] = useState<number>();
  const chosen =
    at === undefined ? weightiest(bars) : bars.find(({ from_ft, to_ft }) => from_ft <= at && at <= to_ft);
  return { chosen, chooseAt };
}

/** Pins tried and kept; a trial that is not feasible is reported and changes nothing. */
function useCommit({ line, change }: EditingInput, trial: Trial, chooseAt: (station_ft: number) => void) {
  const [drag, setDrag] = useState<Drag>();
  const [cannot, setCannot] = useState<string>();
  const commit = async (pins: readonly Pin[], around: Interval) => {
    setCannot(undefined);
    const settled = await trial.settle(pins, around);
    setDrag(undefined);
    const own = settled?.lines.find(({ id }) => id === line.id);
    if (own && !own.feasible) {
      setCannot(cannotBe(settled?.cannot));
      trial.stop();
      return;
    }
    chooseAt((around.from_ft + around.to_ft) / 2);
    await change.say([{ kind: 'pins', line: line.id, set: pins.length > 0 ? [...pins] : null }]);
  };
  const act = (asked: PinsToTry | string | undefined) => {
    if (typeof asked === 'string') setCannot(asked);
    else if (asked) void commit(asked.pins, asked.around);
  };
  const forget = () => {
    setCannot(undefined);
  };
  return { drag, setDrag, cannot, forget, act };
}

export function useScopeEditing(known: EditingInput): ScopeEditing {
  const { job, change, lineView, lineScope } = known;
  const { trial, tried, can, shown, bars, scope } = useShown(known);
  const { chosen, chooseAt } = useChosen(bars);
  const { drag, setDrag, cannot, forget, act } = useCommit(known, trial, chooseAt);
  const selected = drag?.bar ?? chosen;
  const pinsHere = selected ? pinsOn(lineView.pins, selected) : [];
  const moveEnd: ScopeEditing['moveEnd'] = (end, raw_ft, last) => {
    const bar = drag?.bar ?? selected;
    if (!bar?.action) return;
    const to_ft = endFor({ bar, end, raw_ft, byKey: last && !drag, now: drag?.to_ft }, lineScope, lineView);
    if (to_ft === undefined) return;
    const pins = withEndMoved(lineView, bar, end, to_ft);
    const around = { from_ft: bar.from_ft, to_ft: bar.to_ft, [`${end}_ft`]: to_ft };
    if (last && Math.abs(to_ft - bar[`${end}_ft`]) < samePlace_ft) {
      setDrag(undefined);
      trial.stop();
    } else if (last) act({ pins, around });
    else if (drag?.end !== end || drag.to_ft !== to_ft) {
      forget();
      setDrag({ bar, end, to_ft });
      trial.ask(pins, around);
    }
  };
  const choose = (bar: ScopeBar) => {
    chooseAt((bar.from_ft + bar.to_ft) / 2);
    forget();
  };
  const lift = (pins: readonly PlacedPin[]) => {
    act(lifted(lineView.pins, pins, selected));
  };
  const acts = useSteady({
    ...{ choose, chooseAt, moveEnd, lift },
    go: (by: number) => {
      const next = barBeside(bars, selected, by);
      if (next) choose(next);
    },
    doHere: (method: Method) => {
      if (selected) act({ pins: withMethod(lineView, selected, method), around: selected });
    },
    join: () => {
      act(joined(lineView, bars, selected));
    },
    split: (near_ft: number | undefined) => {
      act(splitNear(lineView.pins, selected, lineScope, near_ft));
    },
    liftHere: () => {
      lift(pinsHere);
    },
    take: (school: School) => {
      void change.say([chooseApproach(job, school)]);
    },
    forget,
  });
  return {
    ...{ scope, tried, lineScope: shown, bars, selected, drag, pinsHere },
    refusal: drag && !can ? cannotBe(trial.tried?.cannot) : cannot,
    ...acts,
  };
}

/** Changes the repair approach of the job. */
function chooseApproach(job: Job, school: School): Edit {
  const head = jobHead(job);
  return { kind: 'job', set: { ...head, rules: { ...head.rules, school } } };
}

/** The pins for a request, and the stretch it concerns. */
interface PinsToTry {
  readonly pins: readonly Pin[];
  readonly around: Interval;
}

type Pins = LineView['pins'];

function lifted(
  pins: Pins,
  those: readonly PlacedPin[],
  chosen: ScopeBar | undefined,
): PinsToTry | undefined {
  const [first] = those;
  return first && { pins: without(pins, those), around: chosen ?? first };
}

/** The selected action joined with its neighbor, or why it cannot be. */
function joined(
  lineView: LineView,
  bars: readonly ScopeBar[],
  chosen: ScopeBar | undefined,
): PinsToTry | string | undefined {
  if (!chosen?.action) return undefined;
  const other = neighborOf(bars, chosen);
  if (!other) return 'There is nothing else on this line to join it with.';
  return {
    pins: withJoined(lineView, chosen, other),
    around: {
      from_ft: Math.min(chosen.from_ft, other.from_ft),
      to_ft: Math.max(chosen.to_ft, other.to_ft),
    },
  };
}

/** The selected action split near a station, else in its middle, or why it cannot be. */
function splitNear(
  pins: Pins,
  chosen: ScopeBar | undefined,
  lineScope: LineScope,
  near_ft: number | undefined,
): PinsToTry | string | undefined {
  if (!chosen?.action) return undefined;
  if (chosen.summary.work === 'dig')
    return 'Two digs that touch are one: choose what is done between them instead.';
  const at = splitPlace(chosen, lineScope, near_ft);
  if (at === undefined) return 'It is too short to split.';
  return { pins: withSplit(pins, at), around: { from_ft: chosen.from_ft, to_ft: at } };
}

interface Moving {
  readonly bar: ScopeBar;
  readonly end: 'from' | 'to';
  readonly raw_ft: number;
  readonly byKey: boolean;
  readonly now: number | undefined;
}

/** Where a dragged end lands: it snaps, and a small step by key goes to the next place it may end. */
function endFor(
  { bar, end, raw_ft, byKey, now }: Moving,
  { mayEnd_ft }: LineScope,
  lineView: LineView,
): number | undefined {
  const bounds = { end, other_ft: bar[end === 'from' ? 'to_ft' : 'from_ft'] };
  const from_ft = now ?? bar[`${end}_ft`];
  const to_ft = snapped(raw_ft, mayEnd_ft, lineView, bounds);
  return byKey && to_ft !== undefined && Math.abs(to_ft - from_ft) < samePlace_ft
    ? (nextEnd(from_ft, raw_ft, mayEnd_ft) ?? to_ft)
    : to_ft;
}

/** The bar so many further downstream, the last one at most. */
function barBeside(bars: readonly ScopeBar[], bar: ScopeBar | undefined, by: number): ScopeBar | undefined {
  const here = bars.findIndex(({ key }) => key === bar?.key);
  return bars[Math.min(bars.length - 1, Math.max(0, here + by))];
}

/** The next action downstream, else the one upstream. */
function neighborOf(bars: readonly ScopeBar[], bar: ScopeBar): ScopeBar | undefined {
  const acts = bars.filter(({ action }) => action);
  const here = acts.findIndex(({ key }) => key === bar.key);
  return acts[here + 1] ?? acts[here - 1];
}

function splitPlace(
  bar: ScopeBar,
  { mayEnd_ft }: LineScope,
  near_ft: number | undefined,
): number | undefined {
  const inside = mayEnd_ft.filter((x) => x > bar.from_ft + leastPiece_ft && x < bar.to_ft - leastPiece_ft);
  const onBar = near_ft !== undefined && near_ft > bar.from_ft && near_ft < bar.to_ft;
  const wanted = onBar ? near_ft : (bar.from_ft + bar.to_ft) / 2;
  return [...inside].sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))[0];
}

const cannotBe = (why: string | undefined): string =>
  why === undefined ? 'That cannot be.' : `Not possible: ${why}.`;
