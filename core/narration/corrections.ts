import { noDefect, takesBack, thatIs } from '../idioms/corrections.js';
import { normalize, type NormalizedText } from '../speech/normalize.js';
import { namesThing } from '../speech/meaning.js';
import { meaningsIn, phraseAt } from '../speech/phrases.js';
import type { NarrationItem, Talk } from './talk.js';

const number = String.raw`~?(\d+(?:\.\d+)?)`;
const unit = String.raw`\s*(feet|foot|ft|'|percent|%|in(?:ch(?:es)?)?\b|"|degrees?)?`;
const not = new RegExp(String.raw`(?:\bnot|\bisn't|\bwasn't|\bno|¬)\s+(?:at\s+)?${number}${unit}`, 'i');
const is = new RegExp(
  String.raw`(?:\bthat's|\bthat\s+is|\bthat\s+was|\bit's|\bit\s+is|\bit\s+was|\bmake\s+(?:that|it)|\bi\s+mean|\bi\s+meant|\bshould\s+be|\bshould\s+say|\bno|\bwait|\bsorry|\bcorrection|\bactually|\bcall\s+(?:it|that)|\bbut|^)[\s,]*(?:(?:no|sorry|actually|correction|i\s+mean|i\s+meant|it's|that's|at|was|more(?:\s+like)?|closer\s+to|really)[\s,~]+)*(?:at\s+|about\s+)?${number}${unit}`,
  'i',
);
const soft = String.raw`(?:oh|well|and|yeah|wait|hang\s+on|hold\s+on|actually|(?:as\s+a\s+)?matter\s+of\s+fact|in\s+fact|on\s+second\s+thought|come\s+to\s+think\s+of\s+it|looking\s+(?:at\s+it\s+)?again)`;
const opens = new RegExp(
  String.raw`^\W*(?:${soft}\W+)*(?:no|wait|hold\s+on|let\s+me\s+correct|(?:that|it)\s+should\s+(?:be|have\s+been)|i\s+said|did\s+i\s+say|actually\s+(?:that|it|make)|that's\s+(?:more\s+like|closer\s+to|actually|really)|${takesBack})\b`,
  'i',
);
/** What is said once something is taken back: "sorry, nine o'clock", "no wait, that's a joint". */
const instead = new RegExp(
  String.raw`^\W*(?:${soft}\W+)*(?:no|wait|(?:hang|hold)\s+on|actually|i\s+said|did\s+i\s+say|(?:that|it)\s+should\s+(?:be|have\s+been)|${takesBack})\b(?:\W+(?:no|${soft}|${thatIs}|${takesBack})\b)*\W+(.+)$`,
  'i',
);
export const withdraws =
  /\b(?:scratch\s+that|strike\s+that|never\s*mind|disregard\s+(?:that|it)|forget\s+(?:that|it)|ignore\s+that|take\s+that\s+back)\b/i;

const corrects = String.raw`^\W*(?:(?:oh|well|and|wait|no|sorry|actually|correction|my\s+mistake|let\s+me\s+correct\s+that)\W+)+(?:the|that|those|these)\s+`;
/** "Correction, the building wall's at twelve": the thing named, and its place. */
const isAt = new RegExp(
  String.raw`${corrects}([a-z][a-z\s-]*?)(?:'s|\s+is|\s+are|\s+was|\s+were|\s+should\s+be)\s+(?:really\s+|actually\s+)?(?:at|@)\s+(.+)$`,
  'i',
);
export const itIs = String.raw`(?:${thatIs}|they're|those\s+are)`;
/** "Actually that's broken": the newest thing is another. */
const isRather = new RegExp(
  String.raw`^\W*(?:${soft}\W+)*(?:(?:no|wait|actually|${takesBack})\W+)+(?:${soft}\W+)*(?:that's|it's|that\s+is|it\s+is)\s+(?!(?:just|only|not|at|about|more|on|in|nothing)\b)(?:a\s+|an\s+)?(?!\d)([a-z].*)$`,
  'i',
);

/** "Nope, that's just a fitting", "nah, just a stain", "no, that's nothing": what was just named is none. */
const onlySeemed = new RegExp(
  String.raw`^\W*(?:${soft}\W+)*(?:(?:no|oh|wait|never\s*mind|${takesBack})\W+)+(?:${soft}\W+)*(?:(?:(?:${itIs})\s+)?(?:just|only)\s+(?!(?:at|about|like|a\s+(?:little|bit|few|couple)|an?\s+(?:inch|foot|quarter|half))\b)|(?:(?:${itIs})\s+)?nothing\b(?:\s+(?:there|here|at\s+all))?\W*$)`,
  'i',
);

/** A place, more or less, and nothing else: no percentage, no inches. */
export const placeOnly =
  /^\W*(?:(?:at|about|more\s+like|closer\s+to|really|call\s+it|say|~)\s*)*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?[^\w%"]*$/i;

export type Correction =
  | { readonly is: 'withdrawn'; readonly item: NarrationItem }
  | { readonly is: 'mended'; readonly item: NarrationItem }
  /** It is another thing: what was said of it, to be read in its place. */
  | {
      readonly is: 'renamed';
      readonly item: NarrationItem;
      readonly says: string;
      /** Where what was said of it names nothing, it is not there. */
      readonly orGone?: true;
    };

/**
 * "Sorry, that's not seventy nine, that's seventy eight", "no, make that forty percent", "scratch that": the item it
 * refers to, corrected or removed. Undefined where the sentence, heard as `heard`, corrects nothing.
 */
export function takeCorrection(
  talk: Talk,
  sentence: string,
  { heard }: NormalizedText,
): Correction | undefined {
  const last = talk.items.at(-1);
  if (!last) return undefined;
  const named = takesPlace(talk, sentence);
  if (named) return named;
  const becomes = isRather.exec(sentence)?.[1];
  if (
    becomes !== undefined &&
    !/^\W*\d/.test(normalize(becomes).heard.text) &&
    (['finding', 'joint'].includes(last.entry.kind) || last.point?.kind === 'tie-in') &&
    last.entry.reading_ft !== undefined
  )
    return { is: 'renamed', item: last, says: `at ${last.entry.reading_ft} ${becomes}` };
  const seemed = onlySeemed.exec(sentence);
  if (seemed && !/\d/.test(heard.text)) return onlyIs(last, sentence.slice(seemed[0].length));
  const text = heard.text.replace(/[¦]/g, ' ');
  const mended = putInstead(talk, last, text);
  if (mended) return mended;
  const wrong = not.exec(text);
  if (withdraws.test(sentence) && !/\d/.test(text)) return { is: 'withdrawn', item: last };
  const rest = wrong ? text.replace(wrong[0], ' ') : text;
  // "I said five, it's six, roots" puts itself right.
  const isNew = /^\W*i\s+said\b/i.test(sentence) && /^\W*\d[\d.]*\W+(?:[a-z]+\W+){0,2}[a-z]{3}/i.test(text);
  if (!wrong && (isNew || !opens.test(sentence))) return undefined;
  // "No, thirty seven and a half" is what is right.
  const right = is.exec(rest) ?? (/^\W*no\b/i.test(sentence) ? wrong : null);
  if (!right) return undefined;
  const value = Number(right[1]);
  const measure = right[2] ?? wrong?.[2];
  const item =
    wrong && right !== wrong
      ? (talk.items.findLast((each) => holds(each, Number(wrong[1]))) ?? last)
      : meant(talk, last, value, measure);
  put(item, value, measure, right === wrong ? null : wrong && Number(wrong[1]));
  if (!measure || /^(?:f|')/i.test(measure)) talk.reading = value;
  return { is: 'mended', item };
}

/** "Sorry, nine o'clock", "no, on the right", "correction, to eight", after a percentage "make that twenty". */
function putInstead(talk: Talk, last: NarrationItem, text: string): Correction | undefined {
  const said = instead.exec(text)?.[1] ?? '';
  const end = /^to\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\W*$/i.exec(said)?.[1];
  if (end !== undefined && last.entry.to_ft !== undefined) {
    last.entry = { ...last.entry, to_ft: Number(end) };
    return { is: 'mended', item: last };
  }
  const clock = clockIn(said);
  if (clock !== undefined && 'clock' in last.entry) {
    last.entry = { ...last.entry, clock } as typeof last.entry;
    if (last.point && 'clock' in last.point) last.point = { ...last.point, clock } as typeof last.point;
    return { is: 'mended', item: last };
  }
  const share = /^~?\s*(\d{1,2})[^\w%"]*$/.exec(said)?.[1];
  if (share !== undefined && 'percent' in last.entry && endsInPercent.test(last.sentence)) {
    last.entry = { ...last.entry, percent: Number(share) };
    return { is: 'mended', item: last };
  }
  const place = placeOnly.exec(said)?.[1];
  if (place === undefined) return undefined;
  const item = meant(talk, last, Number(place), undefined);
  put(item, Number(place), undefined, null);
  talk.reading = Number(place);
  return { is: 'mended', item };
}

const endsInPercent = /(?:\bpercent|%)\W*$/i;

/** A position on the clock, and nothing else: "9 o'clock", "on the right". */
function clockIn(said: string): number | readonly [number, number] | undefined {
  const hour = /^(?:at\s+)?(\d{1,2})\s*o'clock\W*$/i.exec(said)?.[1];
  if (hour !== undefined) return Number(hour);
  const side = said.replace(/^(?:(?:on|to|from|the)\s+)*/i, '');
  const found = phraseAt(side);
  const isAll = found && /^(?:\s+side)?\W*$/i.test(side.slice(found.phrase.length));
  return isAll && found.meaning.is === 'clock' ? found.meaning.clock : undefined;
}

/** Two readings of one thing lie about this close, ft; one out of this reach is of something else. */
const [alike_ft, reach_ft] = [3, 10];

/** "Sorry, that's seventy eight": the newest thing, or the one read close to that where the newest lies far off. */
function meant(talk: Talk, last: NarrationItem, value: number, measure: string | undefined): NarrationItem {
  const away = ({ entry }: NarrationItem) => Math.abs((entry.reading_ft ?? value) - value);
  if ((measure && !/^(?:f|')/i.test(measure)) || away(last) <= reach_ft) return last;
  return talk.items.findLast((each) => each.entry.reading_ft !== undefined && away(each) <= alike_ft) ?? last;
}

/** The first reading in these words, ft. */
export const readingIn = (said: string): number | undefined => {
  const found = new RegExp(number).exec(normalize(`at ${said}`).heard.text)?.[1];
  return found === undefined ? undefined : Number(found);
};

function takesPlace(talk: Talk, sentence: string): Correction | undefined {
  const [, what, where = ''] = isAt.exec(sentence) ?? [];
  const reading = what === undefined ? undefined : readingIn(where);
  if (what === undefined || reading === undefined) return undefined;
  const item = talk.items.findLast((each) => each.sentence.toLowerCase().includes(what.toLowerCase()));
  if (!item) return undefined;
  return moved(talk, item, reading);
}

/** No defect, or a fitting that might be any. */
const isNoDefect = new RegExp(String.raw`^(?:${noDefect}|(?:an?\s+)?fitting)\W*$`, 'i');
/** What only seemed to be one thing is another, or none. */
const onlyIs = (item: NarrationItem, rather: string): Correction =>
  item.entry.reading_ft === undefined || isNoDefect.test(rather) || !meaningsIn(rather).some(namesThing)
    ? { is: 'withdrawn', item }
    : { is: 'renamed', item, says: `at ${item.entry.reading_ft} ${rather}`, orGone: true };

/** The item with another reading, where the head is too. */
export function moved(talk: Talk, item: NarrationItem, reading_ft: number): Correction {
  item.entry = { ...item.entry, reading_ft };
  talk.reading = reading_ft;
  return { is: 'mended', item };
}

const holds = ({ entry }: NarrationItem, value: number): boolean =>
  [
    entry.reading_ft,
    entry.to_ft,
    'percent' in entry ? entry.percent : undefined,
    'inches' in entry ? entry.inches : undefined,
  ]
    .flat()
    .includes(value);

/** "…back to twenty four" … "make that twenty five": the end that lies nearer. */
const isNearer = (value: number, to_ft: number, reading_ft: number | undefined): boolean =>
  Math.abs(value - to_ft) < Math.abs(value - (reading_ft ?? value));

function put(
  { entry, point }: NarrationItem,
  value: number,
  measure: string | undefined,
  wrong: number | null,
): void {
  const fields = entry as Record<string, unknown>;
  if (/^(?:%|p)/i.test(measure ?? '')) fields.percent = value;
  else if (/^(?:in|")/i.test(measure ?? '')) fields.inches = value;
  else if (/^deg/i.test(measure ?? '') && point) point.degrees = value;
  else if (wrong !== null && fields.percent === wrong) fields.percent = value;
  else if (wrong !== null && fields.inches === wrong) fields.inches = value;
  else if (wrong !== null && fields.to_ft === wrong) fields.to_ft = value;
  else if (wrong === null && entry.to_ft !== undefined && isNearer(value, entry.to_ft, entry.reading_ft))
    fields.to_ft = value;
  else fields.reading_ft = value;
}
