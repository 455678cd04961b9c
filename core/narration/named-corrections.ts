import { finishDraft } from '../logline/finish.js';
import { usualBends } from '../logline/draft.js';
import { readSegment } from '../logline/read-segment.js';
import { segmentsOf } from '../logline/segments.js';
import { normalize, type NormalizedText } from '../speech/normalize.js';
import { namesThing } from '../speech/meaning.js';
import { phraseAt } from '../speech/phrases.js';
import { itIs, moved, placeOnly, readingIn, type Correction } from './corrections.js';
import { contextOf, itemId, type NarrationItem, type Talk } from './talk.js';

const begins = String.raw`^\W*(?:(?:(?:hang|hold)\s+on|wait|no|nope|oh|okay|ok|well|so|sorry|actually|correction|my\s+mistake|let\s+me\s+correct\s+that|yeah|yep|and|but)\W+)*`;

/** "That's not a hole, that's just a shadow": what was named is none, or is something else. */
const isNot = new RegExp(
  String.raw`${begins}${itIs}\s+not\s+(?:really\s+|actually\s+)?(?:an?\s+|the\s+)?(?!\d|at\b|sure\b|bad\b|too\b|that\b)([a-z]+(?:\s+(?!that\b|it\b|they\b|those\b|but\b|just\b|on\b|from\b|at\b)[a-z]+)?)\b(?!')(?:\s+(?:on|from)\s+(?:the|your)\s+[a-z]+)?(?:\s+at\s+[a-z\d][a-z\d.\s-]*?(?=\s*,))?\W+(?:but\s+)?(?:${itIs}\s+)?(?:(?:just|only|really|more\s+like)\s+)*(?:an?\s+)?([a-z].*)$`,
  'i',
);
/** "It's more like scale than grease". */
const isMoreLike = new RegExp(
  String.raw`${begins}(?:${itIs}\s+|looks\s+|it\s+looks\s+)?(?:really\s+|actually\s+)?more\s+(?:like\s+(?:an?\s+)?([a-z][a-z\s]*?)\s+than\s+(?:an?\s+)?[a-z]|of\s+an?\s+([a-z].*)$)`,
  'i',
);
/**
 * "The roots at three are really a joint", "the crack I called at nine was at eleven", "what I called an offset at six is
 * nothing": the thing, its place, and what it is instead.
 */
const isInstead = new RegExp(
  String.raw`${begins}(?:what\s+i\s+(?:called|said\s+was|had\s+as)\s+(?:an?\s+)?|(?:the|that|those|these)\s+)(?!ones?\b)([a-z]+(?:\s+[a-z]+)?)\s+(?:(?:that\s+)?i\s+(?:called|said|had|marked)\s+)?(?:at|@)\s+([a-z\d][a-z\d.\s-]*?)\s+(?:is|are|was|were|should\s+(?:be|have\s+been))\s+(?:(?:really|actually|just|only|more\s+like|closer\s+to)\s+)*(.+)$`,
  'i',
);
/** "Correction on the roots, it's at five", "I said three for the roots, it's five", "I should've said the wye was at five", "change the roots to five". */
const placeOf = [
  String.raw`${begins}i\s+(?:should(?:'ve|\s+have)|meant\s+to)\s+(?:said|say|called|call)\s+(?:that\s+)?(?:the|that)\s+([a-z]+(?:\s+[a-z]+)??)\s+(?:(?:is|was|are|were)\s+)?at\s+(.+)$`,
  String.raw`${begins}(?:correction|change)\s+(?:on|to|for)\s+(?:the|that|those)\s+([a-z]+(?:\s+[a-z]+)?)\W+(?:(?:it's|that's|they're|it\s+is|they\s+are|it\s+was|make\s+(?:it|that))\s+)?(?:(?:really|actually|more\s+like)\s+)*(?:at\s+)?(.+)$`,
  String.raw`${begins}i\s+(?:said|called|had)\s+[a-z\d][a-z\d.\s-]*?\s+(?:for|on)\s+(?:the|that|those)\s+([a-z]+(?:\s+[a-z]+)?)\W+(?:but\s+)?(?:it's|that's|they're|it\s+is|it\s+was|it\s+should\s+be)\s+(?:(?:really|actually|more\s+like)\s+)*(?:at\s+)?(.+)$`,
  String.raw`${begins}(?:change|move|correct|fix|put)\s+(?:the|that|those)\s+([a-z]+(?:\s+[a-z]+)?)\s+(?:(?:at|from)\s+[a-z\d][a-z\d.\s-]*?\s+)?(?:to|at)\s+(.+)$`,
].map((says) => new RegExp(says, 'i'));
const isNone =
  /^(?:nothing|none|not\s+(?:there|real|roots?|anything)|gone|(?:an?\s+)?(?:shadow|stain|reflection|scratch|mark|smudge|glare)|paper\W*$|the\s+(?:light|lens|camera))\b/i;
/** "I was wrong about the crack, it's at seventeen". */
const wasWrong = new RegExp(
  String.raw`\b(?:wrong|mistaken|off)\s+(?:about|on)\s+(?:the|that|those)\s+([a-z][a-z\s]*?)\W+(?:it's|that's|they're|it\s+is|they\s+are|it\s+was)\s+(?:really\s+|actually\s+)?(?:at\s+)?(.+)$`,
  'i',
);
/** "Actually scratch the roots at five, that was just paper". */
const scratches = new RegExp(
  String.raw`${begins}(?:you\s+can\s+|let's\s+|please\s+)?(?:scratch|strike|delete|forget|cancel|remove|lose|take\s+out|disregard|ignore|skip)\s+(?:the|that|those)\s+([a-z][a-z\s]*?)\s+(?:at|from|i\s+(?:called|had|said)\s+at)\s+([a-z\d][a-z\d.\s-]*?)(?=\W*$|,|\s+(?:that|it|those|they|because|since)\b)`,
  'i',
);
/** "Well, sixteen and a half": the place once more, more closely. */
const anew = /^\W*(?:well|or|rather|more\s+like|(?:let's\s+)?(?:call\s+it|say)|maybe|closer\s+to|about)\b/i;
/** No reading called anew lies farther off, ft. */
const anew_ft = 3;
/** "Actually, it goes to forty eight": where the newest thing ends. */
const goesTo = new RegExp(
  String.raw`${begins}(?:it|that|this|they|those)\s+(?:goes|go|runs|run|continues?|keeps\s+going|extends?)\s+(?:on\s+|out\s+|all\s+the\s+way\s+|up\s+|down\s+|back\s+)*(?:to|till|until)\s+(.+)$`,
  'i',
);
/** "Okay, I got past it": the camera went on. */
const wentOn =
  /\b(?:got|made\s+it|squeezed|popped|worked\s+(?:it|her)|pushed|broke|finally)\s+(?:it\s+|her\s+|right\s+|on\s+)*(?:past|by|through)\b/i;
const couldNot = /\b(?:can't|cannot|couldn't|won't|not|never|unable)\b/i;

/**
 * Sentences that put right what was said of one thing by naming it or its place: "the roots were at forty five, not
 * forty four", "that's not a hole, that's just a shadow". Undefined where a sentence does not.
 */
export function takeNamedCorrection(
  talk: Talk,
  sentence: string,
  hearing: NormalizedText,
  isNext: boolean,
): Correction | undefined {
  const last = talk.items.at(-1);
  if (!last) return undefined;
  return (
    insteadOfNamed(talk, sentence) ??
    byWriting(talk, hearing) ??
    otherThing(talk, last, sentence) ??
    scratched(talk, sentence) ??
    wrongPlace(talk, sentence) ??
    endsElsewhere(talk, last, sentence) ??
    (isNext ? calledAnew(talk, last, sentence, hearing) : undefined) ??
    goneOn(talk, sentence)
  );
}

/** The thing that is named with its place: moved, another thing, or not there. */
function insteadOfNamed(talk: Talk, sentence: string): Correction | undefined {
  for (const says of placeOf) {
    const [, what, where = ''] = says.exec(sentence) ?? [];
    const reading = what !== undefined && isPlaceAlone(where) ? readingIn(where) : undefined;
    const item = reading === undefined ? undefined : talk.items.findLast((each) => named(each, what ?? ''));
    if (item && reading !== undefined) return moved(talk, item, reading);
  }
  const [, what, where = '', instead = ''] = isInstead.exec(sentence) ?? [];
  const reading = what === undefined ? undefined : readingIn(where);
  const item = talk.items.findLast(
    (each) => reading !== undefined && each.entry.reading_ft === reading && named(each, what ?? ''),
  );
  if (!item) return undefined;
  if (isNone.test(instead)) return { is: 'withdrawn', item };
  const place = instead.replace(/^(?:at|@)\s+/i, '');
  const now = isPlaceAlone(place) ? readingIn(place) : undefined;
  if (now !== undefined) return moved(talk, item, now);
  const other = instead.replace(/^(?:an?|the|some)\s+/i, '');
  return isNamed(other) || isNamed(other.replace(/^\S+\s+/, ''))
    ? { is: 'renamed', item, says: at(item, instead) }
    : undefined;
}

/** "Five", "forty one and a half feet": a place, and nothing else. */
const isPlaceAlone = (said: string): boolean => placeOnly.test(normalize(`at ${said}`).heard.text);

/** What the typed line takes as said of something written: its place or its size. */
function byWriting(talk: Talk, hearing: NormalizedText): Correction | undefined {
  const [segment] = segmentsOf(hearing);
  if (!segment || segment.denied) return undefined;
  const { context, known } = contextOf(talk);
  const { draft } = readSegment(hearing.heard, segment, context, known);
  const { degrees } = draft.aboutPoint;
  if (draft.correcting && degrees !== undefined && usualBends.includes(degrees)) {
    const bend = talk.items.findLast(({ point }) => point?.kind === 'bend');
    if (!bend?.point) return undefined;
    bend.point = { ...bend.point, degrees };
    return { is: 'mended', item: bend };
  }
  if (!draft.ofWritten) return undefined;
  const done = finishDraft(draft, {
    ...{ inherited: undefined, context, known },
    fail: () => undefined,
    spoken: true,
  });
  const item = talk.items.find((_, i) => itemId(i) === done?.replaces);
  if (!done || !item) return undefined;
  const entry: Record<string, unknown> = { ...done.entry, pass: item.entry.pass };
  // "The roots at three are thirty percent": the place that is written, and no hour.
  if (entry.clock !== undefined && entry.clock === entry.reading_ft)
    entry.clock = (item.entry as { clock?: unknown }).clock;
  item.entry = entry as typeof item.entry;
  talk.reading = done.entry.to_ft ?? done.entry.reading_ft ?? talk.reading;
  return { is: 'mended', item };
}

const named = (item: NarrationItem, what: string): boolean =>
  item.sentence.toLowerCase().includes(what.trim().toLowerCase().replace(/s$/, ''));

const isNamed = (what: string): boolean => {
  const meaning = phraseAt(what)?.meaning;
  return meaning !== undefined && namesThing(meaning);
};

function otherThing(talk: Talk, last: NarrationItem, sentence: string): Correction | undefined {
  const [, what, other = ''] = isNot.exec(sentence) ?? [];
  const isThing = what !== undefined && (isNamed(what) || isNamed(what.replace(/^\S+\s+/, '')));
  const item = isThing ? talk.items.slice(-3).findLast((each) => named(each, what)) : undefined;
  if (item) return { is: 'renamed', item, says: at(item, other), orGone: true };
  const [, moreLike, moreOf] = isMoreLike.exec(sentence) ?? [];
  const rather = moreLike ?? moreOf;
  if (rather === undefined || last.entry.kind !== 'finding') return undefined;
  return { is: 'renamed', item: last, says: at(last, rather) };
}

const at = ({ entry }: NarrationItem, says: string): string =>
  entry.reading_ft === undefined ? says : `at ${entry.reading_ft} ${says}`;

function wrongPlace(talk: Talk, sentence: string): Correction | undefined {
  const [, what, where = ''] = wasWrong.exec(sentence) ?? [];
  if (what === undefined) return undefined;
  const reading = readingIn(where);
  const item = talk.items.findLast((each) => named(each, what));
  return item && reading !== undefined ? moved(talk, item, reading) : undefined;
}

function scratched(talk: Talk, sentence: string): Correction | undefined {
  const [, what, where = ''] = scratches.exec(sentence) ?? [];
  const reading = what === undefined ? undefined : readingIn(where);
  const item = talk.items.findLast(
    (each) => what !== undefined && each.entry.reading_ft === reading && named(each, what),
  );
  return item && { is: 'withdrawn', item };
}

function endsElsewhere(talk: Talk, last: NarrationItem, sentence: string): Correction | undefined {
  const [, where] = goesTo.exec(sentence) ?? [];
  const to_ft = where === undefined ? undefined : readingIn(where);
  // What has no end yet is only completed.
  if (to_ft === undefined || last.entry.to_ft === undefined) return undefined;
  last.entry = { ...last.entry, to_ft };
  talk.reading = to_ft;
  return { is: 'mended', item: last };
}

function calledAnew(
  talk: Talk,
  last: NarrationItem,
  sentence: string,
  { heard }: NormalizedText,
): Correction | undefined {
  const [, reading] = anew.test(sentence) ? (placeOnly.exec(heard.text.replaceAll('¦', ' ')) ?? []) : [];
  const { reading_ft, to_ft } = last.entry;
  if (reading === undefined || reading_ft === undefined || to_ft !== undefined) return undefined;
  return Math.abs(Number(reading) - reading_ft) <= anew_ft ? moved(talk, last, Number(reading)) : undefined;
}

function goneOn(talk: Talk, sentence: string): Correction | undefined {
  if (!wentOn.test(sentence) || couldNot.test(sentence)) return undefined;
  const item = talk.items.slice(-3).findLast(({ entry }) => entry.kind === 'stop');
  return item && { is: 'withdrawn', item };
}
