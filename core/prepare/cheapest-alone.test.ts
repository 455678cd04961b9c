import fc from 'fast-check';
import { carriedOn, creditOf, creditsOf } from './carried.js';
import { cleaningOf } from './cleaning.js';
import { cheapestAlone } from './cheapest-alone.js';
import { randomJob } from '../test/random-job.js';
import { eachCandidate, hasTrait, Trait, type Candidate } from '../methods/candidates.js';
import { methodRow } from '../methods/index.js';
import { candidateCures, possibleOn, type Possible } from './possible.js';
import { closingCost } from '../methods/entry.js';
import type { PitPieces } from '../excavation/hole-costs.js';
import { readyJob } from '../solve/ready.js';
import { trackOf } from './track-of.js';

const seeds = fc.integer({ min: 1, max: 1_000_000 });

function possibleOf(seed: number): Possible {
  const { lines, rules, prices } = readyJob(randomJob(seed, { length_ft: [15, 45], findings: 8 }));
  const [line] = lines;
  if (!line) throw new Error('a random job has a line');
  return possibleOn(trackOf({ ...line, rules, prices, school: rules.school, extra: [] }));
}

const stationsOf =
  ({ track }: Possible) =>
  (b: number) =>
    track.breaks[track.boundaries[b] ?? 0] ?? 0;

/** Cost of an action with nothing else in the job, added up part by part. */
function alone(possible: Possible, edge: Candidate & { readonly cost: number }): number {
  const { track, holes, insertable } = possible;
  const [from, to] = [track.boundaries[edge.from] ?? 0, track.boundaries[edge.to] ?? 0];
  const permit = (public_ft: number) => (public_ft > 1e-6 ? track.prices.permit_per_hole : 0);
  const pit = (pieces: PitPieces | undefined) =>
    pieces?.alone ? pieces.alone.cost + permit(pieces.alone.public_ft) : Infinity;
  const own = edge.cost + (track.prices.mobilisation[edge.method as 'spot'] ?? 0);
  if (edge.method === 'line' || edge.method === 'short-line') {
    const needsNone =
      hasTrait(edge.traits, Trait.viaAccess) ||
      insertable.downstream[edge.from] ||
      insertable.upstream[edge.to];
    if (needsNone) return own;
    const launch = (at: number, trait: number) =>
      hasTrait(edge.traits, trait) ? pit(holes.pit(at, 'launch')) + closingCost(track, at) : Infinity;
    return own + Math.min(launch(from, Trait.pitUpstream), launch(to, Trait.pitDownstream));
  }
  if (edge.method === 'burst') return own + pit(holes.pit(from, 'launch')) + pit(holes.pit(to, 'burst'));
  if (hasTrait(edge.traits, Trait.exposed)) return own;
  const over = (sums: Float64Array) => (sums[to] ?? 0) - (sums[from] ?? 0);
  const held = holes.protections.map((way) => {
    const [open, close] = [holes.openDig(from, way), holes.closeDig(to, way)];
    if (!open || !close || over(holes.barredThrough(way)) > 0) return Infinity;
    const public_ft = open.public_ft + over(holes.publicThrough) + close.public_ft;
    return open.cost + over(holes.through(way)) + close.cost + permit(public_ft);
  });
  return own + Math.min(...held);
}

// By definition: every single action that covers the whole place and cures it, one by one.
test('the cheapest cure alone is the least over every action that covers and cures a finding', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const possible = possibleOf(seed);
      const station = stationsOf(possible);
      const { findings } = possible.track.condition;
      const found = cheapestAlone(possible, findings);
      findings.forEach((finding, i) => {
        const costs = possible.candidates.flatMap((edges) =>
          [...eachCandidate(edges)]
            .filter(
              (edge) =>
                station(edge.from) <= finding.place.from_ft + 1e-6 &&
                station(edge.to) >= finding.place.to_ft - 1e-6 &&
                candidateCures(possible.track, edge, station(edge.from), station(edge.to), finding),
            )
            .map((edge) => alone(possible, edge)),
        );
        const least = Math.min(Infinity, ...costs);
        expect(found[i]).toBeCloseTo(Number.isFinite(least) ? least : 0, 6);
      });
    }),
    { numRuns: 60 },
  );
});

test('credits handed out along a boundary are those of each action by itself', () => {
  fc.assert(
    fc.property(seeds, (seed) => {
      const possible = possibleOf(seed);
      const carried = carriedOn(possible, cleaningOf(possible.track, Math.round));
      for (const edges of possible.candidates) {
        const creditsFrom = creditsOf(possible.track, carried, methodRow(edges.method));
        const credits = possible.track.boundaries.map((_, from) => creditsFrom(from));
        for (const edge of eachCandidate(edges)) {
          expect(credits[edge.from]?.(edge.to)).toBeCloseTo(
            creditOf(possible.track, carried.findings, edge),
            6,
          );
        }
      }
    }),
    { numRuns: 40 },
  );
});
