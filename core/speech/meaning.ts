import type { Sets } from '../findings/row.js';
import type { Point } from '../job/schema.js';
import type { FindingKind, Material, PointKind, Size } from '../job/vocabulary.js';

/** Fields whose text is written in quotes after a word: because "…", marked "…". */
export type QuotedField = 'why' | 'mark' | 'of' | 'what' | 'photo';

/** What a typed word or phrase means. Longer phrases are tried first. */
export type Meaning =
  /** `weak` fields yield to any other word: "hairline cracks" are hairline, although the plural says several. */
  | {
      readonly is: 'finding';
      readonly finding: FindingKind;
      readonly with?: Sets;
      readonly weak?: Sets;
      /** Names it only where nothing else is named. */
      readonly implied?: true;
    }
  | { readonly is: 'field'; readonly set: Sets }
  | { readonly is: 'material'; readonly material: Material }
  | {
      readonly is: 'kind';
      readonly kind: 'joint' | 'hidden' | 'stop' | 'locate' | 'change';
      readonly with?: Sets;
      readonly weak?: Sets;
    }
  | { readonly is: 'test'; readonly what: string }
  | { readonly is: 'point'; readonly kind: PointKind; readonly about?: Partial<Point> }
  | { readonly is: 'about-point'; readonly set: Partial<Point> }
  /** A stretch called at one end only: `start` opens it, `end` closes the one that is open. */
  | { readonly is: 'end-call'; readonly end: 'start' | 'end' }
  /** The next quoted text belongs to this field, not to the note. */
  | { readonly is: 'quoted'; readonly field: QuotedField }
  | { readonly is: 'clock'; readonly clock: number | readonly [number, number] }
  /** What drains there: the name of a branch, or what a test ran water from. */
  | { readonly is: 'served'; readonly what: string }
  /** "Two inches of water": a belly, where nothing else is named. */
  | { readonly is: 'of-water' }
  /** On both sides: one thing on each. */
  | { readonly is: 'both-sides' }
  /** A `weak` size yields to a measure: "some roots, 20 percent". */
  | { readonly is: 'size'; readonly size: Size; readonly weak?: true }
  /** The pipe just named, or named next, is lined. */
  | { readonly is: 'lined' }
  /** The pipe just named is on this side, whichever way the head faces. */
  | { readonly is: 'side'; readonly side: 'upstream' | 'downstream' }
  /** The pipes are the other way round. */
  | { readonly is: 'swapped' }
  /** Denies the words before it: "just a stain". */
  | { readonly is: 'retract' }
  /** Why the view was lost; the camera saw nothing unless another thing is named. */
  | { readonly is: 'hidden-why'; readonly why: string }
  | { readonly is: 'nothing' };

/** A thing of the log by its name: a finding, a joint or the like, or a point. */
export const namesThing = ({ is }: Meaning): boolean => is === 'finding' || is === 'kind' || is === 'point';
