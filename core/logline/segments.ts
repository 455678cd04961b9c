import { boundary, denial, repeatMark } from '../idioms/traced-text.js';
import { maskedName, type NormalizedText } from '../speech/normalize.js';
import { phraseAt } from '../speech/phrases.js';
import { usualBends } from './draft.js';

/** One thing of a line, by its place in the text. */
export interface Segment {
  readonly from: number;
  readonly to: number;
  /** It was stated to be absent. */
  readonly denied: boolean;
  /** It starts a new line: after a `;`. */
  readonly hard: boolean;
  /** "roots at 40 and 44": only a place, for the previous thing. */
  readonly again: boolean;
  /** More places follow, so a plural counts the places: "cracks at 12 and 18" are one at each. */
  readonly listed: boolean;
}

/** A `;` always separates two things; the others only with a thing on both sides. */
const joints = new RegExp(
  String.raw`;|[${boundary}${denial}]|,(?!\d)|\.(?=\s|$)|\b(?:and|but|plus|also|with|then)\b(?!\s+(?:a\s+)?(?:half|quarter|third)\b)`,
  'gi',
);
const betweenAnd = /\bbetween\s+[^;,]*?\band\b/gi;
const placeOnly =
  /^[\s,.]*(?:and\s+|also\s+|again\s+|then\s+)*(?:at\s+|@\s*|from\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot|')(?:\s*\d+\s*(?:in(?:ch(?:es)?)?|"))?)?(?:\s*(?:-|–|to\b)\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot|'))?)?[\s,.]*$/i;
/** "and 33, 30 %": a place with its own measure. */
const placeMeasured =
  /^[\s,.]*(?:and\s+|also\s+)?(?:at\s+|@\s*)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot|'))?\s+(?:about\s+|~\s*)?(?:\d+\s+)?\d+(?:[./]\d+)?\s*(?:%|percent|in(?:ch(?:es)?)?|")[\s,.]*$/i;
/** "and 20 % at 33": the same, the other way round. */
const measurePlaced =
  /^[\s,.]*(?:and\s+|also\s+)?(?:about\s+|~\s*)?\d+(?:[./]\d+)?\s*(?:%|percent|in(?:ch(?:es)?)?|")\s+(?:at\s+|@\s*)~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot|'))?[\s,.]*$/i;
/** A number that may be a place: no percentage, inches or hour. */
const ownPlace =
  /(?<![\d./])~?\d+(?:\.\d+)?(?![\d./]|\s*-?(?:%|percent\b|in(?:ch(?:es)?)?\b|"|°|deg(?:rees?)?\b|o['’]?clock|\d+\/\d|(?:to|-)\s*\d+(?::\d+)?\s*o['’]?clock))/i;

/** A stretch between two joints of the line. */
interface Piece {
  readonly from: number;
  readonly to: number;
  /** It starts a new line: after a `;`. */
  readonly hard: boolean;
  /** The word or mark it begins with. */
  readonly lead: string;
  readonly nouns: number;
  readonly retracted: boolean;
  /** A place of a list before its thing: "31, 33 and 35 roots". */
  readonly listed?: true;
}

interface Open {
  from: number;
  to: number;
  hard: boolean;
  nouns: number;
  denied: boolean;
  placed: boolean;
}

/** A line while its pieces are put together. */
interface Reading {
  readonly shape: string;
  readonly segments: { -readonly [Key in keyof Segment]: Segment[Key] }[];
  open: Open | undefined;
  /** Where the line began: at the start, or after a `;`. */
  line: number;
}

type TextOf = (piece: Pick<Piece, 'from' | 'to'>) => string;

/**
 * Splits a line into its things: at each `;`, and where natural speech moves on to another. Time grows with its length.
 */
export function segmentsOf({ shape }: NormalizedText): Segment[] {
  const reading: Reading = { shape, segments: [], open: undefined, line: 0 };
  const textOf: TextOf = ({ from, to }) => shape.slice(from, to);
  const pieces = listsLast(piecesOf(shape), textOf);
  pieces.forEach((piece, index) => {
    takePiece(reading, piece, pieces.slice(index + 1), textOf);
  });
  close(reading);
  return reading.segments;
}

function close(reading: Reading): void {
  const { open, segments, shape } = reading;
  if (open && shape.slice(open.from, open.to).trim() !== '')
    segments.push({
      ...{ from: open.from, to: open.to, denied: open.denied, hard: open.hard },
      ...{ again: false, listed: false },
    });
  reading.open = undefined;
}

/** Adds a piece to the thing that is open, closes that, or takes it for one more place of it. */
function takePiece(reading: Reading, piece: Piece, rest: readonly Piece[], textOf: TextOf): void {
  const text = textOf(piece);
  const [next] = rest;
  const goesOn = next !== undefined && goesOnListing(next, textOf(next));
  const last = reading.segments.at(-1);
  const listedBefore =
    reading.open === undefined &&
    last?.again === true &&
    !piece.hard &&
    goesOnListing(piece, text) &&
    mayBeStretch(text, textOf(last));
  const listed = reading.open?.denied === true && piece.nouns > 0 && goesOnDenying(piece, text);
  if (piece.hard) {
    close(reading);
    reading.line = piece.from;
  }
  const { open } = reading;
  const before = open ?? last;
  const soFar = open ? textOf(open) : '';
  const mended =
    open !== undefined && (mends.test(soFar) || (stops.test(soFar) && isBare(text) && piece.lead === ','));
  const another =
    open !== undefined &&
    !mended &&
    placesAnother(piece, text, soFar, open) &&
    (goesOn || !mayMeasure(piece, text, soFar));
  const movesOn =
    open !== undefined &&
    !mended &&
    open.nouns > 0 &&
    (next?.lead === boundary || (!mayBeClock(text) && !mayBeDegrees(text, soFar) && isComplete(open, soFar)));
  if (
    before &&
    (another || listedBefore || movesOn) &&
    isPlaceOfNext(reading, piece, textOf(before), rest, textOf)
  ) {
    close(reading);
    reading.open = { from: piece.from, to: piece.to, hard: false, nouns: 0, denied: false, placed: true };
  } else if (another || listedBefore) {
    close(reading);
    const first = reading.segments.at(-1);
    if (first) first.listed = true;
    reading.segments.push({
      ...{ from: piece.from, to: piece.to, denied: before?.denied === true, hard: false },
      ...{ again: true, listed: true },
    });
  } else goOn(reading, piece, text, { listed, mended });
}

/** One more piece of the thing that is open, or the first of another. */
function goOn(
  reading: Reading,
  piece: Piece,
  text: string,
  { listed, mended }: { readonly listed: boolean; readonly mended: boolean },
): void {
  const denied = piece.lead === denial || listed;
  const { open } = reading;
  const further = piece.nouns > 0 || (denied && /[a-z]/i.test(text));
  const sameDenial = listed || (denied && open?.denied === true && !(open.placed && ownPlace.test(text)));
  if (open && open.nouns > 0 && further && !sameDenial && !mended) close(reading);
  const now = (reading.open ??= {
    ...{ from: piece.from, to: piece.to, hard: piece.hard },
    ...{ nouns: 0, denied: false, placed: false },
  });
  now.to = piece.to;
  now.nouns += piece.nouns;
  now.placed ||= ownPlace.test(text);
  now.denied = (now.denied || denied) && piece.lead.toLowerCase() !== 'but';
  if (piece.retracted && now.nouns > 0) now.denied = true;
}

/** "31, no, 32": what follows replaces what was said. */
const mends = /\b(?:sorry|no|not|i\s+mean|correction|make\s+(?:that|it)|same\s+as)[\s,]*$/i;

/** "stopped, roots": the obstacle. */
const stops =
  /\b(?:stop(?:ped|s)?|stuck|not\s+seen|can(?:not|'t)\s+see|can(?:not|'t)\s+get\s+(?:through|past|by))\s*$/i;
const isBare = (text: string): boolean => !/\d|\b(?:a|an|some|there|and)\b/i.test(text);

/** "bend, 45": its degrees. */
const mayBeDegrees = (text: string, before: string): boolean =>
  !/\bat\b|@|f(?:ee)?t\b|foot\b|'/i.test(text) &&
  /\b(?:bend|turn|elbow|sweep|fitting)/i.test(before) &&
  usualBends.includes(Number(/\d+(?:\.\d+)?/.exec(text)?.[0]));

/** "roots at 40 and 44": a second place for the previous thing. */
const placesAnother = (piece: Piece, text: string, before: string, { placed, nouns }: Open): boolean =>
  piece.listed === true ||
  (placed &&
    nouns > 0 &&
    goesOnListing(piece, text) &&
    mayBeStretch(text, before) &&
    !mayBeDegrees(text, before));

const firstPlace = String.raw`^[\s,.;¦]*(?:(?:and|then|so|now|okay|ok|well)\b[\s,]*)*(?:at\s+|from\s+|@\s*)?~?\s*\d`;
const beginsWithPlace = new RegExp(firstPlace, 'i');
/** "14, roots", "14 to 16, roots": the place stands apart from its thing. */
const placeAlone = new RegExp(
  String.raw`${firstPlace}[\d.]*(?:\s*(?:feet|foot|ft|'))?(?:\s*(?:-|–|to\b)\s*~?\s*[\d.]+(?:\s*(?:feet|foot|ft|'))?)?\s*,`,
  'i',
);

/**
 * "at 3 roots and at 9 there's scale", "3 ft, roots, 9 ft, scale": the place of what comes next, not another one of the
 * thing before it.
 */
function isPlaceOfNext(
  { shape, line }: Reading,
  piece: Piece,
  before: string,
  rest: readonly Piece[],
  textOf: TextOf,
): boolean {
  const next = rest.find((each) => /\w/.test(textOf(each)));
  if (!next || piece.listed || next.nouns === 0 || !placeOnly.test(textOf(piece))) return false;
  if (/(?:^[\s,]*|\bat\s+|@\s*)~?\d|\b(?:there|both|each|too|also)\b/i.test(textOf(next))) return false;
  return (
    next.lead === boundary ||
    (next.lead === ',' && [before, shape.slice(line)].some((text) => beginsWithPlace.test(text)))
  );
}

const measured = /\d\s*(?:%|percent\b|in(?:ch(?:es)?)?\b|"|o['’]?clock\b)/i;

/**
 * "14, roots, 17, crack", "14 roots 30%, 17, crack", "14, roots and a crack, 17, hole": the number after such a thing is
 * no measure of it.
 */
const isComplete = ({ placed }: Open, thing: string): boolean =>
  !placed || placeAlone.test(thing) || measured.test(thing);

const stretch = /(?<![\d.])(\d+(?:\.\d+)?)(?:\s*(?:feet|ft|foot|'))?\s*(?:-|–|to\b)\s*~?\s*(\d+(?:\.\d+)?)/i;

/** "roots 46-43 and 40-38", after a stretch: but not "crack at 46, 3 to 9", nor the same one again. */
function mayBeStretch(text: string, before: string): boolean {
  const [, from, to] = stretch.exec(text) ?? [];
  if (from === undefined) return true;
  const [, first] = stretch.exec(before) ?? [];
  return first !== undefined && first !== from && Math.max(Number(from), Number(to)) > 12;
}

/** "crack, 3 to 9": round the pipe. */
function mayBeClock(text: string): boolean {
  const [, from, to] = stretch.exec(text) ?? [];
  return from !== undefined && Math.max(Number(from), Number(to)) <= 12;
}

/** "66 grease, 15": its measure rather than another place. */
const mayMeasure = ({ lead, listed }: Piece, text: string, before: string): boolean =>
  !listed && lead === ',' && /^[\s,]*\d+(?:\.\d+)?\s*$/.test(text) && /^[\s;]*~?\s*\d/.test(before);

/** A place alone, after a comma or an "and". */
const goesOnListing = ({ lead }: Piece, text: string): boolean =>
  [placeOnly, placeMeasured, measurePlaced].some((each) => each.test(text)) &&
  !oneMeasure.test(text) &&
  /^(?:and|,|also|then|plus)$/i.test(lead);

/**
 * "1 1/2 in" and "6 ft 2 in" are one measure, "31 1/2 in" a place and its measure: no offset of a lateral is that
 * large.
 */
const oneMeasure =
  /^[\s,.]*(?:and\s+|also\s+)?(?:about\s+|~\s*)?(?:(?:1[0-2]|\d)\s+\d+\/\d|(?:1[0-2]|\d)\s*(?:feet|foot|ft|')\s*\d+\s*(?:in(?:ch(?:es)?)?\b|"))/i;

/** The last place of a list, and its thing: ", and 35 roots", not ", 30 percent roots" or ", 4 in clay". */
const placeOfThing =
  /^[\s,]*(?:and\s+)?(?:at\s+)?~?\s*\d+(?:\.\d+)?\s*(?:(?:feet|ft|foot)\b|')?\s*[,:-]?[\s¦]+(?=[a-z])(?!(?:percent|in|inch(?:es)?|o'?clock|deg(?:rees?)?|to|until|past|and|bend|turn|elbow|sweep)\b)/i;

/** "31, 33 and 35 roots", "31, 33 and 35, roots": the thing with the last place comes first, and the other places after it. */
function listsLast(pieces: readonly Piece[], textOf: TextOf): Piece[] {
  const end = pieces.findIndex(({ nouns }) => nouns > 0);
  const thing = pieces[end] && withItsPlace(pieces.slice(0, end), pieces[end], textOf);
  const places = pieces
    .slice(0, Math.max(0, end))
    .filter(({ from }) => thing !== undefined && from < thing.from);
  const [first] = places;
  if (!thing || !first || !placeOfThing.test(textOf(thing)) || !/^(?:and|,)$/i.test(thing.lead))
    return [...pieces];
  // "41, 30 roots" may be a measure: two places are joined by "and".
  const isList =
    places.every(
      (piece, i) => placeOnly.test(textOf(piece)) && (i === 0 || goesOnListing(piece, textOf(piece))),
    ) &&
    (places.length > 1 || /^and$/i.test(thing.lead));
  if (!isList) return [...pieces];
  const moved = places.map((piece): Piece => ({ ...piece, hard: false, listed: true }));
  return [{ ...thing, hard: first.hard }, ...moved, ...pieces.slice(end + 1)];
}

/** "…, and 35, roots", "…, and 35 there's roots": the thing together with the place right before it. */
function withItsPlace(before: readonly Piece[], thing: Piece, textOf: TextOf): Piece {
  const last = before.findLast((piece) => /\w/.test(textOf(piece)));
  if (!last || before.length < 2 || !/^and$/i.test(last.lead) || !placeOnly.test(textOf(last))) return thing;
  return thing.lead === ',' || thing.lead === boundary
    ? { ...thing, from: last.from, lead: last.lead }
    : thing;
}

/** "no roots, cracks or breaks": the denial extends over a list of bare things. */
function goesOnDenying({ lead }: Piece, text: string): boolean {
  if (![',', 'and', 'plus'].includes(lead.toLowerCase())) return false;
  if (/^[\s,]*(?:or|nor)\b/i.test(text)) return true;
  return !/\d|\b(?:a|an|some|there|but|is|are|small|large|big|heavy|slight)\b/i.test(
    text.replace(/^[\s,]*(?:and|or|nor|plus)\b/i, ''),
  );
}

function piecesOf(shape: string): Piece[] {
  const kept = [...shape.matchAll(betweenAnd)].map(
    ({ index, 0: whole }) => [index, index + whole.length] as const,
  );
  const cuts: { at: number; lead: string }[] = [{ at: 0, lead: '' }];
  for (const match of shape.matchAll(joints)) {
    const [lead] = match;
    if (kept.some(([from, to]) => match.index >= from && match.index < to)) continue;
    if (
      lead.toLowerCase() === 'then' &&
      shape.slice(cuts.at(-1)?.at, match.index).replace(/[\s,;¦]/g, '') === ''
    )
      continue;
    cuts.push({ at: match.index, lead });
  }
  return cuts
    .map(({ at, lead }, i): Piece => {
      const from = lead === ';' || lead === boundary ? at + 1 : at;
      const to = cuts[i + 1]?.at ?? shape.length;
      return { from, to, hard: lead === ';', lead, ...nounsIn(shape, from, to) };
    })
    .flatMap((piece) => afterPlace(shape, piece));
}

const isNoun = (phrase: string, from: number, shape: string, sofar: number): boolean => {
  const meaning = phraseAt(phrase)?.meaning;
  if (!meaning || !['finding', 'point', 'kind', 'test'].includes(meaning.is)) return false;
  if (meaning.is === 'finding' && meaning.implied) return false;
  const before = shape.slice(0, from);
  // A thing used only to give a place or a comparison is not a thing of its own.
  if (/\b(?:past|beyond|after|before|between|same\s+as|to)\s+(?:the\s+|that\s+|this\s+)?$/i.test(before))
    return false;
  if (
    sofar > 0 &&
    /\b(?:of|at|by|near|in|on|behind|because|from|into|under|around)\s+(?:the\s+|that\s+|this\s+|a\s+)?$/i.test(
      before,
    )
  )
    return false;
  return true;
};

const word = new RegExp(`[a-z][a-z0-9'/-]*|[>${repeatMark}]|${maskedName}+`, 'gi');

function nounsIn(shape: string, from: number, to: number): { nouns: number; retracted: boolean } {
  let nouns = 0;
  let retracted = false;
  word.lastIndex = from;
  for (let match = word.exec(shape); match && match.index < to; match = word.exec(shape)) {
    if (match[0] === '>' || match[0] === repeatMark || match[0].startsWith(maskedName)) nouns++;
    else {
      const text = shape.slice(match.index, to);
      const phrase = phraseAt(text);
      // "transition from abs to clay" is one change.
      const told =
        phrase?.meaning.is === 'kind' &&
        phrase.meaning.kind === 'change' &&
        /^[^;]{0,60}>/.test(shape.slice(match.index));
      if (!told && isNoun(text, match.index, shape, nouns)) nouns++;
      if (phrase?.meaning.is === 'retract') retracted = true;
      if (phrase) word.lastIndex = Math.max(word.lastIndex, match.index + phrase.phrase.length);
    }
  }
  if (nouns === 0 && materialIn(shape.slice(from, to))) nouns = 1;
  return { nouns, retracted };
}

const materialIn = (text: string): boolean =>
  [...text.matchAll(/(?<![\w'-])[a-z]/gi)].some(
    ({ index }) => phraseAt(text.slice(index))?.meaning.is === 'material',
  );

/** "crack at 40 roots at 44", "14 roots 17 crack": without a mark between them, a thing ends at its place, or before the next. */
function afterPlace(shape: string, piece: Piece): Piece[] {
  if (piece.nouns < 2) return [piece];
  const text = shape.slice(piece.from, piece.to);
  // "the joint at 22 has roots" is one thing.
  if (/^[^a-z]*(?:(?:the|next|that|this|first|and)\s+)*joint\s+at\b/i.test(text)) return [piece];
  for (const within of [...endsOfPlaces(text), ...beginningsOfPlaces(text)]) {
    const cut = piece.from + within;
    const [first, second] = [nounsIn(shape, piece.from, cut), nounsIn(shape, cut, piece.to)];
    if (first.nouns > 0 && second.nouns > 0) {
      return [
        { ...piece, to: cut, ...first },
        ...afterPlace(shape, { from: cut, to: piece.to, hard: false, lead: '', ...second }),
      ];
    }
  }
  return [piece];
}

const endsOfPlaces = (text: string): number[] =>
  [...text.matchAll(/(?:\bat\s+|@\s*)~?\s*\d+(?:\.\d+)?\s*(?:feet|foot|ft|'|o'clock|(?=\s))/gi)].map(
    ({ index, 0: whole }) => index + whole.length,
  );

/** Numbers that are farther than the place a text begins with, or come after a measure, each right before a thing. */
function beginningsOfPlaces(text: string): number[] {
  const [, first] = /^[\s,.;¦]*(\d+(?:\.\d+)?)\s+[a-z]/i.exec(text) ?? [];
  if (first === undefined) return [];
  return [...text.matchAll(/(?<=[a-z%"]\s+)\d+(?:\.\d+)?(?=\s+[a-z])/gi)]
    .filter(({ index, 0: place }) => {
      const before = text.slice(0, index);
      return (
        (Number(place) > Number(first) || measured.test(before)) &&
        !/\b(?:about|around|to|past|after|before|of|by|at|from|another|next|last|and)\s+$/i.test(before) &&
        !mayBeDegrees(place, before) &&
        isNoun(text.slice(index + place.length).trimStart(), 0, '', 0)
      );
    })
    .map(({ index }) => index);
}
