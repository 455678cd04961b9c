import { sayJudged } from '../condition/graded-finding.js';
import type { Grade, Material, Method, OwnerKind } from '../job/vocabulary.js';
import { tolerance } from '../units.js';
import { overlaps, type Interval } from '../line/intervals.js';
import type { Layout } from '../solve/layout.js';
import type { Restriction } from '../solve/restrictions.js';
import type { Obligation, Track } from '../track/track.js';
import { rejectionsOn, type Rejection } from './refusals.js';

/** A longest stretch with the same pipe, visibility, owner, method and action. */
export interface Segment extends Interval {
  readonly material: Material;
  readonly diameter_in: number;
  readonly seen: boolean;
  readonly owner: OwnerKind;
  readonly grade: Grade;
  readonly method: Method;
  readonly action: string | null;
  readonly because: readonly string[];
  readonly rejected: readonly Rejection[];
}

export function segmentsOf(track: Track, layout: Layout, restrictions: readonly Restriction[]): Segment[] {
  const stretches: (Omit<Segment, 'grade' | 'because' | 'rejected'> & { to_ft: number })[] = [];
  track.cells.forEach((cell, i) => {
    const { method, action } = layout.cells[i] ?? { method: 'leave' as const, action: null };
    const next = {
      from_ft: cell.from_ft,
      to_ft: cell.to_ft,
      material: cell.pipe.material,
      diameter_in: cell.pipe.diameter_in,
      seen: cell.seen,
      owner: cell.owner,
      method,
      action,
    };
    const last = stretches.at(-1);
    const alike =
      last &&
      (['material', 'diameter_in', 'seen', 'owner', 'method', 'action'] as const).every(
        (field) => last[field] === next[field],
      );
    if (alike) last.to_ft = next.to_ft;
    else stretches.push(next);
  });
  return stretches.map((stretch) => {
    const findings = track.condition.findings.filter(
      ({ place, settled }) => !settled && overlaps(place, stretch),
    );
    return {
      ...stretch,
      grade: findings.reduce<Grade>((worst, { grade }) => (grade > worst ? grade : worst), 0),
      because: [...becauseOf(track, stretch, stretch.method), ...launchedFrom(layout, stretch)],
      rejected: rejectionsOn(track, stretch.method, stretch, restrictions),
    };
  });
}

/** New pipe at a liner's insertion point: where nothing else requires it, it is dug for that. */
function launchedFrom({ actions }: Layout, { action }: Pick<Segment, 'action'>): string[] {
  const own = actions.find(({ id }) => id === action);
  if (own?.entry_ft !== null) return [];
  const lets = actions.some(
    ({ entry_ft }) =>
      entry_ft !== null && [own.from_ft, own.to_ft].some((end) => Math.abs(end - entry_ft) <= tolerance.ft),
  );
  return lets ? ['opened here to insert the liner: the piece cut out is replaced'] : [];
}

function becauseOf(track: Track, stretch: Interval & { seen: boolean }, method: Method): string[] {
  const { cured, impossible } = track.obligations;
  const here = (all: readonly Obligation[]) => all.filter(({ place }) => overlaps(place, stretch));
  const [duties, never] = [here(cured), here(impossible)];
  const explained = new Set([...duties, ...never].map(({ finding }) => finding));
  const found = track.condition.findings.filter(
    ({ id, place, grade }) => grade > 1 && overlaps(place, stretch) && !explained.has(id),
  );
  const cleaned = method === 'clean' && track.cells.some((cell) => cell.mustClean && overlaps(cell, stretch));
  const whys = [
    ...duties.map(({ why }) => why),
    ...never.map(({ why }) => `${why}; not possible here`),
    ...found.map(sayJudged),
    ...(cleaned ? ['roots or deposit here are at least cleaned'] : []),
    ...(stretch.seen ? [] : ['not seen: nothing is known of this pipe']),
  ];
  // Parts of one obligation say the same.
  return [...new Set(whys)];
}
