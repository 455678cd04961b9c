import { tolerance } from '../units.js';
import { plain } from '../figure.js';
import { runName } from '../job/run-words.js';
import type { Line, Run } from '../job/schema.js';
import type { Adjustment } from './adjust.js';
import { tiedRuns } from './adjust.js';
import type { Reading, Tape, ThingKey } from './things.js';

/** Readings of one thing that differ by more than this must be settled, ft. Common practice. */
const mostSpread_ft = 2;
/** A row off by more than this many of its own standard deviations is reported. */
const mostMisfit = 3;

export interface Disagreement {
  readonly readings: readonly Reading[];
  readonly kept: Reading | undefined;
  /** Whether a user settled it with `use`. */
  readonly byUse: boolean;
  readonly spread_ft: number;
  readonly message: string;
}

export interface Settled {
  readonly disagreements: ReadonlyMap<ThingKey, Disagreement>;
  readonly dropped: ReadonlySet<Reading>;
  readonly droppedTapes: ReadonlySet<Tape>;
}

/**
 * Finds things whose readings disagree and picks the reading to keep: the one marked `use`, else the last back-pass one
 * not called "about", else the last back-pass one, else the last. The others are dropped, unless a run would lose its
 * only tie to the datum. A tape is overruled only by a reading a user marked `use`.
 */
export function settleDisagreements(
  line: Line,
  runs: readonly Run[],
  readings: readonly Reading[],
  tapes: readonly Tape[],
  solve: Adjustment,
): Settled {
  const disagreements = new Map<ThingKey, Disagreement>();
  const dropped = new Set<Reading>();
  const droppedTapes = new Set<Tape>();
  for (const key of new Set(readings.map((reading) => reading.key))) {
    const own = readings.filter((reading) => reading.key === key);
    const ownTapes = tapes.filter((tape) => tape.key === key);
    const spread_ft = spreadOf(own, solve);
    const misfit =
      own.some((reading) => solve.readingMisfit(reading) > mostMisfit) ||
      ownTapes.some((tape) => solve.tapeMisfit(tape) > mostMisfit);
    if (own.length + ownTapes.length < 2 || (spread_ft <= mostSpread_ft + tolerance.exact && !misfit))
      continue;

    const used = own.find((reading) => reading.entry.use);
    const back = own.filter((reading) => reading.entry.pass !== 'out');
    const kept = used ?? back.filter((reading) => !reading.entry.about).at(-1) ?? back.at(-1) ?? own.at(-1);
    for (const reading of own) if (reading !== kept) dropped.add(reading);
    if (used) for (const tape of ownTapes) droppedTapes.add(tape);
    const sameRun = own.every(({ run }) => run === own[0]?.run);
    const said = [
      ...own.map(
        (reading) =>
          `${plain(reading.raw_ft)} ${reading.entry.pass === 'out' ? 'going out' : 'coming back'}${sameRun ? '' : ` on ${runName(reading.run)}`}`,
      ),
      ...ownTapes.map((tape) => `taped ${plain(tape.station_ft)}`),
    ];
    disagreements.set(key, {
      readings: own,
      kept,
      byUse: used !== undefined,
      spread_ft,
      message: `${said.join(' and ')} are readings of one thing${spread_ft > mostSpread_ft ? `, ${plain(spread_ft)} ft apart` : ''}: ${kept ? `${plain(kept.raw_ft)} ${kept.entry.pass === 'out' ? 'going out' : 'coming back'} stands` : 'choose one'}`,
    });
  }
  keepTies(line, runs, readings, tapes, dropped, droppedTapes);
  return { disagreements, dropped, droppedTapes };
}

/** Readings of one run are compared raw; readings of different runs by the station each gives. */
function spreadOf(own: readonly Reading[], solve: Adjustment): number {
  let most = 0;
  own.forEach((one, index) => {
    for (const other of own.slice(index + 1)) {
      const apart = one.run === other.run ? one.raw_ft - other.raw_ft : solve.place(one) - solve.place(other);
      most = Math.max(most, Math.abs(apart));
    }
  });
  return most;
}

function keepTies(
  line: Line,
  runs: readonly Run[],
  readings: readonly Reading[],
  tapes: readonly Tape[],
  dropped: Set<Reading>,
  droppedTapes: Set<Tape>,
): void {
  const left = readings.filter((reading) => !dropped.has(reading));
  const tied = tiedRuns(
    line,
    runs,
    left,
    tapes.filter((tape) => !droppedTapes.has(tape)),
  );
  if (runs.every((run) => tied.has(run))) return;
  for (const reading of [...dropped]) if (!tied.has(reading.run)) dropped.delete(reading);
  droppedTapes.clear();
}
