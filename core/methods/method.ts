import type { Hole } from '../excavation/hole.js';
import type { HoleCosts } from '../excavation/hole-costs.js';
import type { Cure } from '../findings/row.js';
import type { Rules } from '../job/rules.js';
import type { Material, Method } from '../job/vocabulary.js';
import type { Interval } from '../line/intervals.js';
import type { LinerOrder } from '../liner/liner.js';
import type { Fitting } from '../pipe/fittings.js';
import type { LaidPipe } from '../pipe/laid.js';
import type { Draft } from '../price/price-line.js';
import type { Cell, Refusal, Track } from '../track/track.js';
import type { Join } from '../track/joins.js';
import type { Offer } from './candidates.js';

/** An action of the chosen scope, with its location. */
export interface Action extends Interval {
  readonly id: string;
  readonly method: Method;
  /** Fine breaks it runs between. */
  readonly fromBreak: number;
  readonly toBreak: number;
  /** Insertion point of a liner; null for other methods. */
  readonly entry_ft: number | null;
  /** The access point that a sectional liner is pushed from, by its point id. */
  readonly pushedFrom?: string;
  readonly exposed: boolean;
}

/** What to order for an action: a liner, or new pipe. */
export interface Order {
  readonly liner?: LinerOrder;
  readonly pipe?: LaidPipe;
}

/** The ground used for an action's excavations and insertion points. */
export interface Site {
  readonly track: Track;
  readonly holes: HoleCosts;
  /** Whether a liner can be sent upstream or downstream from each boundary without a pit. */
  readonly insertable: { readonly upstream: readonly boolean[]; readonly downstream: readonly boolean[] };
}

/** Names of a method. Every screen, document and price line takes its words from here. */
export interface MethodWords {
  /** On a bar and in a heading. */
  readonly name: string;
  /** "Set up to …" in the price. */
  readonly setUp: string;
  /** Its button and key on the sheet, and what the key does; none where the length decides. */
  readonly asked?: { readonly name: string; readonly key: string; readonly does: string };
}

/** How its bar is drawn: theme tokens of the fill and of the text on it. */
export interface MethodDrawing {
  readonly fill: string;
  readonly ink: string;
}

/** The part of a method that changes the pipe. */
export interface Work {
  /** The kind of work: two adjoining actions of one kind would be one action. */
  readonly kind: 'dig' | 'liner' | 'burst';
  /** Counts where old pipe is renewed whole. */
  readonly renews?: true;
  /** The action in a sentence for the customer: its length and place. */
  offered: (length: string, where: string, action: Action) => string;
  /** Offers every action the rules allow from a boundary, in order of rising end. */
  offers: (track: Track, holes: HoleCosts) => (from: number, offer: Offer) => void;
  /** Why it may not be used on a stretch, cost aside. */
  refusal: (track: Track, stretch: Interval, cells: readonly Cell[]) => Refusal | undefined;
  /** States at its upstream boundary (departing) and downstream one (arriving): each way it may be done. */
  joins: (traits: number) => readonly Join[];
  /**
   * Cost of its excavation or pits where nothing else shares them, for every candidate of a site; infinite where none
   * can be dug.
   */
  aloneCost: (site: Site) => (from: number, to: number, traits: number) => number;
  /** Pits between its ends, each on its own. */
  pitsInside?: (track: Track, action: Interval) => Interval[];
  /** Price lines of an action, without its excavations. */
  drafts: (track: Track, action: Action) => Draft[];
  order: (track: Track, action: Action, holes: readonly Hole[]) => Order;
  /** Fittings in the new pipe where the old pipe had points or changed its bore. */
  readonly fittings?: (track: Track, action: Interval) => Fitting[];
  /** Cells over which new pipe is bought in sticks; none where it lays none. */
  readonly newPipe?: { material: (rules: Rules) => Material; buys: (cell: Cell) => boolean };
}

/** Everything the program knows about one method. A method without work leaves the pipe in place. */
export interface MethodRow {
  readonly id: Method;
  readonly words: MethodWords;
  readonly drawing: MethodDrawing;
  /** The cures it provides, and those it provides only where the pipe is laid to grade over the whole finding. */
  readonly cures: readonly Cure[];
  readonly curesToGrade?: readonly Cure[];
  /** The cure named after it, where a file lists the methods that would cure a finding. */
  readonly standsFor?: Cure;
  readonly work?: Work;
}

/** What a screen needs to draw and name a method, as plain data. */
export interface MethodSummary extends Pick<MethodWords, 'name' | 'asked'> {
  readonly id: Method;
  readonly drawing: MethodDrawing;
  /** The kind of its work; none where the pipe is left in place. */
  readonly work?: Work['kind'];
}

/** One of them by its id. */
export function summaryOf(methods: readonly MethodSummary[], method: Method): MethodSummary {
  const found = methods.find(({ id }) => id === method);
  if (!found) throw new Error(`no method is called "${method}"`);
  return found;
}

/** Whether an action of this method cures a finding that lies completely inside it. */
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
