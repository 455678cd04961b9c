import { saySides, swapSides } from '../logline/change.js';
import { fartherBy } from '../logline/context.js';
import type { Entry } from '../job/schema.js';

/** Entries whose readings run against the pass they were written in, and the same on the other pass. */
export interface TurnedPass {
  readonly written: 'out' | 'back';
  /** The entries as they would be: a change of pipe was read in the order the camera met it, so its sides swap. */
  readonly turned: readonly Entry[];
  /** Each change of pipe as it would then be, in words. */
  readonly changes: readonly string[];
}

/** Counter moves under this show nothing of the way the camera goes, ft. */
const leastMove_ft = 0.5;
/** This many moves the wrong way, and at most one right for every four wrong: a list is typed in any order. */
const leastMoves = 3;
const wrongPerRight = 4;

/**
 * "Pulling back" while the counter rises, or "pushing out" while it falls: undefined where neither pass is so. Entries of
 * one run, in the order they were typed.
 */
export function turnedPass(entries: readonly Entry[]): TurnedPass | undefined {
  const passes = ['back', 'out'] as const;
  const written = passes.find((pass) => runsAgainst(pass, entries));
  if (written === undefined) return undefined;
  const other = written === 'back' ? 'out' : 'back';
  const turned = entries
    .filter(({ pass = 'back' }) => pass === written)
    .map((entry): Entry => ({ ...(entry.kind === 'change' ? swapSides(entry) : entry), pass: other }));
  const changes = turned.flatMap((entry) => {
    const sides = saySides(entry);
    return sides && entry.reading_ft !== undefined ? [`at ${entry.reading_ft}, ${sides}`] : [];
  });
  return { written, turned, changes };
}

function runsAgainst(pass: 'out' | 'back', entries: readonly Entry[]): boolean {
  const readings = entries.flatMap((entry) =>
    (entry.pass ?? 'back') === pass && entry.reading_ft !== undefined ? [entry.reading_ft] : [],
  );
  const moves = readings
    .slice(1)
    .map((reading, i) => fartherBy(pass, readings[i] ?? reading, reading))
    .filter((move_ft) => Math.abs(move_ft) >= leastMove_ft);
  const wrong = moves.filter((move_ft) => move_ft < 0).length;
  return wrong >= leastMoves && (moves.length - wrong) * wrongPerRight <= wrong;
}
