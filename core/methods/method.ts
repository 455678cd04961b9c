import type { Hole } from '../excavation/hole.js';
import type { HoleCosts } from '../excavation/hole-costs.js';
import type { Cure } from '../findings/row.js';
import type { Rules } from '../job/rules-schema.js';
import type { Material, Method } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { LinerOrder } from '../liner/liner.js';
import type { Fitting } from '../pipe/fittings.js';
import type { LaidPipe } from '../pipe/laid.js';
import type { Draft } from '../price/price-line.js';
import type { Cell, Refusal, Track } from '../track/track.js';
import type { Join } from '../track/joins.js';

/** An action that may be taken from one boundary to a later one. */
export interface Candidate {
  /** Indexes into `track.boundaries`. */
  readonly from: number;
  readonly to: number;
  readonly method: Method;
  /** Raw cost of the action without its hole and its insertion point; no markup or tax. */
  readonly cost: number;
  /** New pipe along exposed pipe needs no hole. */
  readonly exposed: boolean;
  /** A sectional liner pushed from an access within reach: it needs no pit. */
  readonly viaAccess: boolean;
  /** Whether a launch pit may stand at each end of a liner: never on what it is to cure. */
  readonly mayPit?: { readonly from: boolean; readonly to: boolean };
  /** It needs pits of its own between its ends. */
  readonly pitsInside?: true;
}

/** An action of the chosen scope, where it lies. */
export interface Action extends Interval {
  readonly id: string;
  readonly method: Method;
  /** Fine breaks it runs between. */
  readonly fromBreak: number;
  readonly toBreak: number;
  /** Where a liner is inserted; null for the rest. */
  readonly entry_ft: number | null;
  /** The access that a sectional liner is pushed from, by its point. */
  readonly pushedFrom?: string;
  readonly exposed: boolean;
}

/** What is to be ordered for an action: a liner, or new pipe. */
export interface Order {
  readonly liner?: LinerOrder;
  readonly pipe?: LaidPipe;
}

/** The ground an action's holes and insertion points are judged on. */
export interface Site {
  readonly track: Track;
  readonly holes: HoleCosts;
  /** Whether a liner can be sent upstream or downstream from each boundary without a pit. */
  readonly wayIn: { readonly upstream: readonly boolean[]; readonly downstream: readonly boolean[] };
}

/** How a method is said. Every screen, document and price line takes its words from here. */
export interface MethodWords {
  /** On a bar and in a heading. */
  readonly name: string;
  /** "Set up to …" in the price. */
  readonly setUp: string;
  /** Button and key that ask for it on the sheet, and what the key does; none where its length decides. */
  readonly asked?: { readonly name: string; readonly key: string; readonly does: string };
}

/** How a bar of it is drawn: theme tokens of its fill and of what is written on it. */
export interface MethodDrawing {
  readonly fill: string;
  readonly ink: string;
}

/** What a method that does something to the pipe adds to the rest. */
export interface Work {
  /** The kind of work: two of one kind that touch would be one. */
  readonly kind: 'dig' | 'liner' | 'burst';
  /** Counts where old pipe is renewed whole. */
  readonly renews?: true;
  /** One action in a sentence for the customer: its length and its place. */
  offered: (length: string, where: string, action: Action) => string;
  /** Every action the rules allow, for each boundary it starts at, by rising end. */
  candidates: (track: Track, holes: HoleCosts) => (from: number) => Candidate[];
  /** Why it may not be used on a stretch, whatever it costs. */
  refusal: (track: Track, stretch: Interval, cells: readonly Cell[]) => Refusal | undefined;
  /** What departs from its upstream boundary and what arrives at its downstream one: each way it may be done. */
  joins: (candidate: Candidate) => readonly Join[];
  /** Cost of its hole or pits where nothing else shares them, for every candidate of a site; infinite where none can be dug. */
  aloneCost: (site: Site) => (candidate: Candidate) => number;
  /** Pits between its ends, each alone. */
  pitsInside?: (track: Track, action: Interval) => Interval[];
  /** Price lines of an action, without its holes. */
  drafts: (track: Track, action: Action) => Draft[];
  order: (track: Track, action: Action, holes: readonly Hole[]) => Order;
  /** Fittings that stand in what it lays where the old pipe had points or changed its bore. */
  readonly fittings?: (track: Track, action: Interval) => Fitting[];
  /** New pipe that is bought in sticks, and over which cells; none where it lays none. */
  readonly newPipe?: { material: (rules: Rules) => Material; buys: (cell: Cell) => boolean };
}

/** Everything the program knows of one method. A method without work leaves the pipe where it is. */
export interface MethodRow {
  readonly id: Method;
  readonly words: MethodWords;
  readonly drawing: MethodDrawing;
  /** The cures it brings, and those it brings only where the pipe is laid to grade over the whole finding. */
  readonly cures: readonly Cure[];
  readonly curesToGrade?: readonly Cure[];
  /** The cure that names it, where a file lists the methods that would cure a finding. */
  readonly standsFor?: Cure;
  readonly work?: Work;
}

/** Whether an action of a method cures a finding that lies wholly inside it. */
export const cures = (
  method: MethodRow,
  finding: { readonly cures: readonly Cure[] },
  laidToGrade: boolean,
): boolean =>
  finding.cures.some(
    (cure) => method.cures.includes(cure) || (laidToGrade && (method.curesToGrade?.includes(cure) ?? false)),
  );

/** Whether it cures a finding only by its fall, which depends on both its ends. */
export const curesByFall = (method: MethodRow, finding: { readonly cures: readonly Cure[] }): boolean =>
  finding.cures.some((cure) => method.curesToGrade?.includes(cure) ?? false);
