import { materialRegistry } from '../catalog/materials.js';
import { findingRegistry } from '../findings/kinds.js';
import type { Sets } from '../findings/row.js';
import type { Point } from '../job/schema.js';
import type { FindingKind, Material, PointKind, Size } from '../job/vocabulary.js';

/** Fields whose text is written in quotes after a word: because "…", marked "…". */
export type QuotedField = 'why' | 'mark' | 'of' | 'what' | 'photo';

/** What a typed word or phrase means. Longer phrases are tried first. */
export type Meaning =
  | { readonly is: 'finding'; readonly finding: FindingKind; readonly with?: Sets }
  | { readonly is: 'field'; readonly set: Sets }
  | { readonly is: 'material'; readonly material: Material }
  | { readonly is: 'kind'; readonly kind: 'joint' | 'hidden' | 'stop' | 'locate' | 'change' }
  | { readonly is: 'test'; readonly what: string }
  | { readonly is: 'point'; readonly kind: PointKind }
  | { readonly is: 'about-point'; readonly set: Partial<Point> }
  /** A stretch called at one end only: `start` opens it, `end` closes the one that is open. */
  | { readonly is: 'end-call'; readonly end: 'start' | 'end' }
  /** The next quoted words belong to this field, not to the note. */
  | { readonly is: 'quoted'; readonly field: QuotedField }
  | { readonly is: 'clock'; readonly clock: number | readonly [number, number] }
  | { readonly is: 'size'; readonly size: Size }
  /** A liner lies in the pipe just named, or in the one named next. */
  | { readonly is: 'lined' }
  | { readonly is: 'nothing' };

const finding = (kind: FindingKind, more?: Sets): Meaning => ({
  is: 'finding',
  finding: kind,
  ...(more ? { with: more } : {}),
});
const field = (set: Sets): Meaning => ({ is: 'field', set });
const size = (word: Size): Meaning => ({ is: 'size', size: word });
const material = (word: Material): Meaning => ({ is: 'material', material: word });
const kind = (word: Extract<Meaning, { is: 'kind' }>['kind']): Meaning => ({ is: 'kind', kind: word });
const test = (what: string): Meaning => ({ is: 'test', what });
const point = (kind_: PointKind): Meaning => ({ is: 'point', kind: kind_ });
const aboutPoint = (set: Partial<Point>): Meaning => ({ is: 'about-point', set });
const endCall = (end: 'start' | 'end'): Meaning => ({ is: 'end-call', end });
const quoted = (field_: QuotedField): Meaning => ({ is: 'quoted', field: field_ });
const clock = (at: number | readonly [number, number]): Meaning => ({ is: 'clock', clock: at });
const nothing: Meaning = { is: 'nothing' };

/** Every row of findings/kinds says its own words. */
const spokenFindings = (): Record<string, Meaning> =>
  Object.fromEntries(
    findingRegistry.rows.flatMap(({ id, spoken, says = [] }): [string, Meaning][] => [
      ...spoken.map((each): [string, Meaning] =>
        typeof each === 'string' ? [each, finding(id)] : [each[0], finding(id, each[1])],
      ),
      ...says.map(([word, sets]): [string, Meaning] => [word, field(sets)]),
    ]),
  );
const spokenMaterials = (): Record<string, Meaning> =>
  Object.fromEntries(
    materialRegistry.rows.flatMap(({ id, spoken }) =>
      spoken.map((word): [string, Meaning] => [word, material(id)]),
    ),
  );

/** The words of the trade, as people say them. */
export const words: Readonly<Record<string, Meaning>> = {
  ...spokenFindings(),
  small: size('small'),
  slight: size('small'),
  light: size('small'),
  few: size('small'),
  moderate: size('moderate'),
  medium: size('moderate'),
  some: size('moderate'),
  large: size('large'),
  heavy: size('large'),
  bad: size('large'),
  'at joint': field({ atJoint: true }),
  'at the joint': field({ atJoint: true }),
  'each joint': field({ eachJoint: true }),
  'every joint': field({ eachJoint: true }),
  'in the flow': field({ touchesFlow: true }),
  'on the main’s side': field({ ofConnection: true }),
  "on the main's side": field({ ofConnection: true }),
  'main side': field({ ofConnection: true }),
  'of the connection': field({ ofConnection: true }),
  'of the tap': field({ ofConnection: true }),
  'of the saddle': field({ ofConnection: true }),
  possible: field({ possible: true }),
  possibly: field({ possible: true }),
  maybe: field({ possible: true }),
  out: field({ pass: 'out' }),
  back: field({ pass: 'back' }),
  lined: { is: 'lined' },
  joint: kind('joint'),
  hidden: kind('hidden'),
  'not seen': kind('hidden'),
  'cannot see': kind('hidden'),
  stop: kind('stop'),
  stopped: kind('stop'),
  locate: kind('locate'),
  located: kind('locate'),
  change: kind('change'),
  changes: kind('change'),
  main: point('main'),
  'the main': point('main'),
  manhole: point('manhole'),
  cleanout: point('cleanout'),
  'clean out': point('cleanout'),
  bend: point('bend'),
  turn: point('bend'),
  elbow: point('bend'),
  'tie-in': point('tie-in'),
  'tie in': point('tie-in'),
  branch: point('tie-in'),
  drop: point('drop'),
  valve: point('valve'),
  'backwater valve': point('valve'),
  fixture: point('fixture'),
  building: point('building'),
  'building wall': point('building'),
  foundation: point('building'),
  'property line': point('property-line'),
  pit: point('pit'),
  tree: point('tree'),
  'two-way': aboutPoint({ ways: 2 }),
  'two way': aboutPoint({ ways: 2 }),
  'one-way': aboutPoint({ ways: 1 }),
  'one way': aboutPoint({ ways: 1 }),
  'faces upstream': aboutPoint({ ways: 1, faces: 'upstream' }),
  'faces the house': aboutPoint({ ways: 1, faces: 'upstream' }),
  'faces downstream': aboutPoint({ ways: 1, faces: 'downstream' }),
  'faces the street': aboutPoint({ ways: 1, faces: 'downstream' }),
  buried: aboutPoint({ state: 'buried' }),
  'cap broken': aboutPoint({ state: 'cap-broken' }),
  'broken cap': aboutPoint({ state: 'cap-broken' }),
  tap: aboutPoint({ connection: 'tap' }),
  'mortar saddle': aboutPoint({ connection: 'mortar saddle' }),
  saddle: aboutPoint({ connection: 'saddle' }),
  wye: aboutPoint({ connection: 'wye' }),
  flush: test('flush'),
  flushed: test('flush'),
  dye: test('dye'),
  'ran a sink': test('sink'),
  sink: test('sink'),
  test: quoted('what'),
  because: quoted('why'),
  why: quoted('why'),
  marked: quoted('mark'),
  painted: quoted('mark'),
  photo: quoted('photo'),
  starts: endCall('start'),
  start: endCall('start'),
  begins: endCall('start'),
  ends: endCall('end'),
  end: endCall('end'),
  'seen again': endCall('end'),
  'this one stands': field({ use: true }),
  stands: field({ use: true }),
  'seen before cleaning': field({ stage: 'before-cleaning' }),
  'seen now': field({ stage: 'current' }),
  'seen earlier': field({ stage: 'earlier' }),
  'seen after repair': field({ stage: 'after-repair' }),
  upright: field({ waterClock: undefined }),
  'under water': field({ why: 'under water' }),
  'behind roots': field({ why: 'behind roots' }),
  'lens dirty': field({ why: 'lens dirty' }),
  'lens under water': field({ why: 'lens under water' }),
  'ran away': field({ runsAway: true }),
  'runs away': field({ runsAway: true }),
  'ran past': field({ runsAway: true }),
  'does not run away': field({ runsAway: false }),
  'stands still': field({ runsAway: false }),
  arrives: field({ arrives: true }),
  'does not arrive': field({ arrives: false }),
  ...spokenMaterials(),
  crown: clock(12),
  top: clock(12),
  invert: clock(6),
  bottom: clock(6),
  'top right': clock(1.5),
  'top left': clock(10.5),
  'bottom right': clock(4.5),
  'bottom left': clock(7.5),
  right: clock(3),
  left: clock(9),
  'upper side': clock([10, 2]),
  'lower side': clock([4, 8]),
  a: nothing,
  the: nothing,
  of: nothing,
  and: nothing,
  with: nothing,
  deep: nothing,
  pipe: nothing,
  water: nothing,
  new: nothing,
  at: nothing,
  here: nothing,
  from: nothing,
  it: nothing,
  is: nothing,
  there: nothing,
  on: nothing,
  way: nothing,
};

/** Phrases by their first letter, longest first. */
const byLetter = new Map<string, string[]>();
for (const phrase of Object.keys(words).sort((a, b) => b.length - a.length)) {
  byLetter.set(phrase.charAt(0), [...(byLetter.get(phrase.charAt(0)) ?? []), phrase]);
}
const longestPhrase = 40;

/** The longest known phrase at the start of a text; it ends at a word's end. */
export function phraseAt(text: string): { phrase: string; meaning: Meaning } | undefined {
  const lower = text.slice(0, longestPhrase).toLowerCase();
  const phrase = byLetter
    .get(lower.charAt(0))
    ?.find((each) => lower.startsWith(each) && !/^[a-z0-9-]/.test(lower.slice(each.length)));
  const meaning = phrase === undefined ? undefined : words[phrase];
  return phrase !== undefined && meaning ? { phrase, meaning } : undefined;
}

/** What would finish the word being typed: the rest of the first known phrase that begins with it, or nothing. */
export function completion(text: string): string {
  const part = text.slice(text.lastIndexOf(';') + 1).toLowerCase();
  // A unit after its number is a whole word, whatever longer words begin with it.
  if (/[\d½¼¾⅛⅜⅝⅞]\s*(?:in|ft|f|i)$/.test(part)) return '';
  // A word that is whole is never made longer behind anybody's back: “main back” is no backed-up main.
  const typing = /[a-z-]+$/.exec(part)?.[0] ?? '';
  if (typing.length < 2 || words[typing]) return '';
  for (const [whole] of part.matchAll(/(?<![a-z0-9-])[a-z].*$/g)) {
    // Try the longest tail first, so that two-word phrases complete too.
    const tails = [whole, ...[...whole.matchAll(/\s+(.+)$/g)].map(([, tail]) => tail ?? '')];
    for (const tail of tails) {
      const match =
        tail.length >= 2 ? inOrder.find((each) => each.startsWith(tail) && each !== tail) : undefined;
      if (match) return match.slice(tail.length);
    }
    const match = inOrder.find((each) => each.startsWith(typing));
    return match ? match.slice(typing.length) : '';
  }
  return '';
}
const inOrder = Object.keys(words).filter((word) => words[word]?.is !== 'nothing');

/** Known words close to a mistyped one, for the message under it. */
export function closest(word: string): string | undefined {
  const lower = word.toLowerCase();
  let best: string | undefined;
  let least = Math.max(1, Math.floor(lower.length / 3)) + 1;
  for (const each of inOrder) {
    const away = distance(lower, each, least);
    if (away < least) [best, least] = [each, away];
  }
  return best;
}

/** Edits between two words, given up past `most`. */
function distance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) >= most) return most;
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      next.push(Math.min((next[j - 1] ?? 0) + 1, (row[j] ?? 0) + 1, (row[j - 1] ?? 0) + same));
    }
    row = next;
  }
  return row[b.length] ?? most;
}
