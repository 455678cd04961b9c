import { bendToSide } from '../idioms/points.js';
import { placeOf, rewrite, traced } from '../idioms/traced-text.js';
import { spokenNumbers } from './spoken-numbers.js';
import { words } from './trade-words.js';

/** A sentence with fewer places than this is read as it stands. */
const leastPlaces = 3;
/** The head is next read within this of where it was, ft. */
const nextReading_ft = 45;
/** A number without a unit or "at" up to this may be a count, an hour or inches. */
const mostCounted = 12;

const figure =
  /~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft)\b(?:\s+\d{1,2}\b(?!\s*(?:\.\d|%|percent|feet|foot|ft)))?)?/g;
/** "from thirty feet to thirty five feet", "at forty to forty six". */
const stretch =
  /\b(?:from|at|between)\s+~?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+(?:to|through|thru|and(?<=\bbetween\b.*))\s+~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft)\b)?(?!\s*(?:%|percent|inch|in\b))/gi;
/** What follows a number that is no place. */
const measured =
  /^\s*(?:-|\/|:|%|percent|per\b|in\b|inch|"|o'?\s?clock|degree|°|x\s?\d|by\s+\d|of\s+(?:an\s+)?(?:inch|the\s+pipe)|gallon|minute|second|year|day|hour|times?\b|deep\b|(?:feet|foot|ft)?\s*(?:deep|down|long|wide|of\b|later|more|past|apart)|way\b|quarters?\b|halves)/i;
/** What stands before a number that is no place, or the far end of a stretch. */
const bound =
  /(?:\b(?:to|through|thru|till|until|about|(?<!\b(?:way|all|goes)\s)around|maybe|like|say|almost|nearly|over|under|than|least|most|probably|roughly|of|by|first|next|another|every|for|from|schedule|sdr|number|unit|apartment|run|video|reads|says|getting|got|it's|is|was|an?)|-|\/|~)\s*$/i;
const leads =
  /(?:\b(?:and|then|now|okay|ok|so|at|(?:some\s+|even\s+)?more(?=\s+at\b)|(?<!\b(?:the|on|to|and)\s)right(?=\s+(?:at|around)\b)|about|(?<!\b(?:way|all)\s)around|(?:pulling|coming|heading|backing)\s+(?:it\s+)?(?:back|out)(?:\s+up)?|(?:come|coming|came|going|go)(?:\s+(?:back|on|up|down))*(?:\s+to)?)\b[\s,]*)*$/i;
const at = /\bat\s*$/i;

/** What follows a place that ends what was said there. */
const clauseStart =
  /^\s*(?:$|[;,]?\s*(?:and|then)\b(?!\s*(?:a|one|three)\s+(?:half|quarters?))|[;,](?!\s*(?:we|i|you|there|it|that)\b))/i;

/** A measure directly after a place. */
const howLarge =
  /^\s*,?\s*(?:(?:about|maybe|around|probably|like|roughly|say|~)\s*)*\d[\d./]*\s*(?:-?inch(?:es)?|percent|%)(?!\s*(?:pipe|line|of\s+(?:water|standing)))(?:\s+deep)?/i;
/** "joint at fourteen has roots": its place stands within what is said of it. */
const hasIt = /^\s*(?:feet\s+|foot\s+)?(?:has|have|had|is|looks)\b/i;
const thingAt = /\b(?:(?:the|next|that)\s+)*(?:joint|hub|bell|coupling|one|spot)\s+at\s*$/i;

/** "at two feet we have a bend": the place begins what is said there. */
const subject =
  /^\s*,?\s*(?:(?:we|i|you|there|it|that|this|here|an?)(?:['’](?:s|re|ve|m))?|the\s+(?:pipe|camera|line|material))\s/i;

const ends = String.raw`\b(?:(?:it|that|and|which)\s+(?:then\s+)?(?:ends?|stops?|clears(?:\s+up)?|comes\s+(?:back\s+)?(?:out|up)|dries\s+(?:up|out)|quits)|out(?:\s+of\s+(?:it|that|the\s+water))?)\s+at\s*(?:about\s+|around\s+)?`;
/** "it ends at": the number after it is the far end of what was said before. */
const farEnd = new RegExp(`${ends}$`, 'i');
const farEndAt = new RegExp(String.raw`${ends}\s*~?\d`, 'i');

interface Place {
  readonly from: number;
  readonly to: number;
  readonly value: number;
  /** "from thirty to thirty five": both ends of a stretch. */
  readonly range?: true;
}

/** Whether these words name something of the log. */
const namesThing = (text: string): boolean => {
  const said = text.toLowerCase().split(/[^a-z-]+/);
  return said.some((word, i) =>
    [word, `${word} ${said[i + 1] ?? ''}`].some((each) =>
      ['finding', 'point', 'kind', 'material'].includes(words[each]?.is ?? ''),
    ),
  );
};

/**
 * Where a sentence that runs on from place to place falls into sentences of its own, as dictation without full stops
 * does: positions in the text, in order. Nothing where it names fewer than three places.
 */
export function breaksIn(text: string): number[] {
  if (text.length < 60) return [];
  const heard = spokenNumbers(rewrite(traced(text), ...bendToSide));
  const groups = groupsOf(placesIn(heard.text), heard.text);
  if (groups.filter(({ range }) => !range).length < leastPlaces) return [];
  const subjects = groups.filter(({ to }) => subject.test(heard.text.slice(to))).length;
  const mostlyBegin = subjects * 2 >= groups.length;
  const breaks: number[] = [];
  let start = 0;
  let begun = false;
  groups.forEach((place, index) => {
    const ahead = groups[index + 1];
    const around: Around = {
      place,
      ahead,
      before: heard.text.slice(start, place.from),
      next: heard.text.slice(place.to, ahead?.from),
    };
    const clause = begun ? ownClause(around) : undefined;
    const ends =
      clause ?? (!begun && endsWhatIsSaid(around, mostlyBegin) ? afterFarEnd(around.before) : undefined);
    if (ends === undefined && place.range) return;
    if (ends !== undefined && ends > 0) breaks.push(placeOf(heard, start + ends, start + ends + 1).from);
    if (clause !== undefined) start += clause;
    const cut = ends === undefined ? start + leadOf(around) : place.to + measureAfter(around.next);
    begun = ends === undefined;
    const isEmpty =
      !/[a-z]{2}/i.test(heard.text.slice(start, cut)) || !/[a-z\d]/i.test(heard.text.slice(cut));
    if (cut <= start || isEmpty) return;
    breaks.push(placeOf(heard, cut, cut + 1).from);
    start = cut;
  });
  return breaks;
}

/** A place in a sentence that runs on, with the words since the last break and those up to the next place. */
interface Around {
  readonly place: Place;
  readonly ahead: Place | undefined;
  readonly before: string;
  readonly next: string;
}

/** "roots at 16, crack at 20": the place comes after what is said there. */
const endsWhatIsSaid = ({ place, ahead, before, next }: Around, mostlyBegin: boolean): boolean =>
  !hasIt.test(next) &&
  (place.range === true || (!mostlyBegin && at.test(before))) &&
  namesThing(before.split(/\b(?:and|then)\b/i).at(-1) ?? '') &&
  (ahead === undefined ||
    clauseStart.test(next) ||
    ((ahead.range === true || at.test(next)) && namesThing(next)));

/** "and comes out at 38 and the tap is at 46": where the words after a far end begin; 0 without one. */
function afterFarEnd(before: string): number {
  const begin = [...before.matchAll(/\b(?:and|then)\b/gi)].at(-1)?.index ?? 0;
  return farEndAt.test(before.slice(0, begin)) ? begin : 0;
}

/**
 * "at 44 more roots and the main is at 52": where the last clause before a place begins, if it names a thing of its own
 * after another one.
 */
function ownClause({ place, ahead, before, next }: Around): number | undefined {
  if (ahead !== undefined && !clauseStart.test(next)) return undefined;
  if (!place.range && !at.test(before)) return undefined;
  const begin = [...before.matchAll(/\b(?:and|then)\b|[,;]/gi)].at(-1)?.index;
  return begin !== undefined && namesThing(before.slice(begin)) && namesThing(before.slice(0, begin))
    ? begin
    : undefined;
}

/** Where the words that lead to a place begin: "and then at". */
const leadOf = ({ before, next }: Around): number =>
  (hasIt.test(next) ? thingAt.exec(before) : null)?.index ?? leads.exec(before)?.index ?? before.length;

/** "an offset at twenty four feet about an inch": how large it is belongs to it. */
const measureAfter = (next: string): number => howLarge.exec(next)?.[0].length ?? 0;

/** Numbers that are readings of the counter: in the order of the talk, each not far from the one before. */
function placesIn(text: string): Place[] {
  const places: Place[] = [];
  const ranges = [...text.matchAll(stretch)];
  for (const match of text.matchAll(figure)) {
    const [said] = match;
    const range = ranges.find(
      (each) => each.index <= match.index && match.index < each.index + each[0].length,
    );
    if (range) {
      const value = Number(range[1]);
      if (places.at(-1)?.from !== range.index)
        places.push({ from: range.index, to: range.index + range[0].length, value, range: true });
      continue;
    }
    const before = text.slice(0, match.index);
    const after = text.slice(match.index + said.length);
    const value = Number(/\d+(?:\.\d+)?/.exec(said)?.[0]);
    const isNamed = /f/i.test(said) || at.test(before);
    // "a sag begins … and it ends at fifty two feet": its far end.
    if (farEnd.test(before)) continue;
    if (
      measured.test(after) ||
      (bound.test(before) && !at.test(before.replace(/\b(?:about|around)\s*$/i, '')))
    )
      continue;
    if ((!isNamed || /\b(?:deep|depth)\s*$/i.test(before)) && value <= mostCounted) continue;
    if (
      [22, 22.5, 45, 90].includes(value) &&
      /^\s*(?:(?:bend|elbow)(?!\s*\d)|(?:to\s+(?:the\s+|your\s+)?)?(?:left|right|up|down))\b/i.test(after)
    )
      continue;
    const last = places.at(-1)?.value;
    if (last !== undefined && Math.abs(value - last) > nextReading_ft) continue;
    places.push({ from: match.index, to: match.index + said.length, value });
  }
  return places;
}

/** "31, 33 and 35" is one place to break at. */
function groupsOf(places: readonly Place[], text: string): Place[] {
  const groups: Place[] = [];
  for (const place of places) {
    const last = groups.at(-1);
    const between = text.slice(last?.to ?? 0, place.from);
    // "… thirty two feet at thirty five feet there is …": two places.
    const isNext =
      /\bthen\s+at\s*$/i.test(between) ||
      (/^\s*at\s*$/i.test(between) && /[a-z]\s*$/i.test(text.slice(0, last?.to ?? 0)));
    if (
      last &&
      !last.range &&
      !place.range &&
      !isNext &&
      /^[\s,&]*(?:(?:and|then|at|also|feet|one|another)\b[\s,]*)*$/i.test(between)
    )
      groups[groups.length - 1] = { ...last, to: place.to };
    else groups.push(place);
  }
  return groups;
}
