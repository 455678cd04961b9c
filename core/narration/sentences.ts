import { bendToSide } from '../idioms/points.js';
import { placeOf, rewrite, traced } from '../idioms/traced-text.js';
import { spokenNumbers } from '../speech/spoken-numbers.js';
import { words } from '../speech/trade-words.js';
import type { Cue } from './captions.js';

/** One sentence of a narration; its words may come from several cues. */
export interface Sentence {
  readonly text: string;
  /** Start of the cue that contains the character at a position of the text, s; null without times. */
  readonly at: (place: number) => number | null;
}

/** A cue ending with one of these continues in the next. */
const breaksOff =
  /(?:^|\s)(?:at|from|to|of|the|a|an|and|or|is|are|there['’]?s|we['’]?ve|got|have|till|until|(?<!(?:got|has|have)\s)some|your|my|with|into|it['’]?s|that['’]?s|between|(?<!(?:there|that|here)['’]?s\s)another|hundred)[,\s]*$/i;
/** So does one ending with one of these, unless the next begins a sentence: "enough to get by", "Twenty two, …". */
const mayBreakOff =
  /(?:^|\s)(?:(?<!(?:worry|know|forget|forgot|sure|care|talk|talking)\s)about|(?<!way\s)around|(?<!\b(?:coming|comes|came|going|goes|ties|tying|tied|pushing|sticking|caved|caving)\s)in|on|by|(?<!\b(?:pushed|push|made\s+it|got|get|went|broke|squeezed|worked|i['’]m|we['’]re|she['’]s|am|are|is)\s)through|like|approximately|roughly|our|(?<!\b(?:the|bends?|turns?|elbow|degrees?|goes|bears|veers|heads|hard|hand|to\s+your)\s)right|where|past|say|call|(?<!(?:inch|inches|percent|feet|foot|half|quarters?|pipe|full|bore|third|that|there|it)\s)maybe|another|point)[,\s]*$/i;
/** A cue starting with one of these continues the previous one. */
const continuing =
  /^\s*(?:feet|foot|ft|inch(?:es)?|percent|o['’]?clock|degrees?|point\s|and\s+a\s+(?:half|quarter)|and\s+(?:one|three)\s+(?:half|quarters?)|deep\b|high\b|long\b|of\s|in\s+diameter|or\s+so\b)/i;
/** "forty" and then "six" is one number. */
const tensEnd = /\b(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred)\s*$/i;
const unitStart = /^\s*(?:one|two|three|four|five|six|seven|eight|nine)\b/i;
/** A cue written like this begins a sentence, unless the one before breaks off. */
const capital = /^\s*[A-Z][a-z]/;

const goesOn = (text: string, next: string): boolean =>
  !/[.?!]\s*$/.test(text) &&
  (breaksOff.test(text) ||
    (!capital.test(next) &&
      (mayBreakOff.test(text) || continuing.test(next) || (tensEnd.test(text) && unitStart.test(next)))));

/** The sentences of a narration in order: cues joined where one breaks off, split at full stops. */
export function sentencesOf(cues: readonly Cue[]): Sentence[] {
  const sentences: Sentence[] = [];
  let parts: Cue[] = [];
  const close = () => {
    if (parts.length > 0) sentences.push(...parted(parts));
    parts = [];
  };
  cues.forEach((cue, index) => {
    parts.push(cue);
    const next = cues[index + 1];
    if (!next || !goesOn(cue.text, next.text)) close();
  });
  close();
  return sentences;
}

function parted(cues: readonly Cue[]): Sentence[] {
  const starts: { from: number; start_s: number | null }[] = [];
  let text = '';
  for (const cue of cues) {
    if (text !== '') text += ' ';
    starts.push({ from: text.length, start_s: cue.start_s });
    text += cue.text;
  }
  const startAt = (place: number) => starts.findLast(({ from }) => from <= place)?.start_s ?? null;
  const sentences: Sentence[] = [];
  let from = 0;
  for (const match of text.matchAll(/[.?!]+(?=\s+\S)|$/g)) {
    const end = match.index + match[0].length;
    const words = text.slice(from, end);
    const lead = words.length - words.trimStart().length;
    const begin = from + lead;
    if (/[\p{L}\p{N}]/u.test(words)) {
      const said = words.trim();
      const cuts = [0, ...breaksIn(said), said.length];
      cuts.slice(1).forEach((cut, i) => {
        const part = said.slice(cuts[i], cut);
        const start = begin + (cuts[i] ?? 0) + part.length - part.trimStart().length;
        if (part.trim() !== '') sentences.push({ text: part.trim(), at: (place) => startAt(start + place) });
      });
    }
    from = end;
  }
  return sentences;
}

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
  /(?:\b(?:and|then|now|okay|ok|so|at|(?<!\b(?:the|on|to|and)\s)right(?=\s+(?:at|around)\b)|about|(?<!\b(?:way|all)\s)around|(?:pulling|coming|heading|backing)\s+(?:it\s+)?(?:back|out)(?:\s+up)?|(?:come|coming|came|going|go)(?:\s+(?:back|on|up|down))*(?:\s+to)?)\b[\s,]*)*$/i;
const at = /\bat\s*$/i;

/** What follows a place that ends what was said there. */
const clauseStart =
  /^\s*(?:$|[;,]?\s*(?:and|then)\b(?!\s*(?:a|one|three)\s+(?:half|quarters?))|[;,](?!\s*(?:we|i|you|there|it|that)\b))/i;

const howLarge =
  /^\s*,?\s*(?:(?:about|maybe|around|probably|like|roughly|say|~)\s*)*\d[\d./]*\s*(?:-?inch(?:es)?|percent|%)(?!\s*(?:pipe|line|of\s+(?:water|standing)))(?:\s+deep)?/i;
/** "joint at fourteen has roots": its place stands within what is said of it. */
const hasIt = /^\s*(?:feet\s+|foot\s+)?(?:has|have|had|is|looks)\b/i;
const thingAt = /\b(?:(?:the|next|that)\s+)*(?:joint|hub|bell|coupling|one|spot)\s+at\s*$/i;

/** Where the last clause before a place begins, if it names a thing of its own after another one, and ends with "at". */
function ownClause(before: string, range: boolean): number | undefined {
  if (!range && !at.test(before)) return undefined;
  const begin = [...before.matchAll(/\b(?:and|then)\b|[,;]/gi)].at(-1)?.index;
  return begin !== undefined && namesThing(before.slice(begin)) && namesThing(before.slice(0, begin))
    ? begin
    : undefined;
}

/** "at two feet we have a bend": the place begins what is said there. */
const subject =
  /^\s*,?\s*(?:(?:we|i|you|there|it|that|this|here|an?)(?:['’](?:s|re|ve|m))?|the\s+(?:pipe|camera|line|material))\s/i;

const ends = String.raw`\b(?:it|that|and|which)\s+(?:then\s+)?(?:ends?|stops?|clears(?:\s+up)?|comes\s+(?:back\s+)?(?:out|up)|dries\s+(?:up|out)|quits)\s+at\s*(?:about\s+|around\s+)?`;
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
function breaksIn(text: string): number[] {
  if (text.length < 60) return [];
  const heard = spokenNumbers(rewrite(traced(text), ...bendToSide));
  const groups = groupsOf(placesIn(heard.text), heard.text);
  if (groups.filter(({ range }) => !range).length < leastPlaces) return [];
  const breaks: number[] = [];
  const begins = groups.filter(({ to }) => subject.test(heard.text.slice(to))).length;
  const placeBegins = begins * 2 >= groups.length;
  let start = 0;
  let placed = false;
  groups.forEach(({ from, to, range = false }, index) => {
    const before = heard.text.slice(start, from);
    const ahead = groups[index + 1];
    const next = heard.text.slice(to, ahead?.from);
    const lead = (hasIt.test(next) ? thingAt : leads).exec(before)?.index ?? leads.exec(before)?.index;
    // "roots at 16, crack at 20": the place comes last.
    const isLast =
      !placed &&
      !hasIt.test(next) &&
      (range || !placeBegins) &&
      (range || at.test(before)) &&
      namesThing(before.split(/\b(?:and|then)\b/i).at(-1) ?? '') &&
      (ahead === undefined || clauseStart.test(next) || ((ahead.range || at.test(next)) && namesThing(next)));
    // "at 44 more roots and the main is at 52": one place begins, the next one ends.
    const own =
      placed && (ahead === undefined || clauseStart.test(next)) ? ownClause(before, range) : undefined;
    const begin = isLast ? [...before.matchAll(/\b(?:and|then)\b/gi)].at(-1)?.index : undefined;
    if (begin !== undefined && farEndAt.test(before.slice(0, begin)))
      breaks.push(placeOf(heard, start + begin, start + begin + 1).from);
    if (own !== undefined) {
      breaks.push(placeOf(heard, start + own, start + own + 1).from);
      start += own;
    }
    if (range && !isLast && own === undefined) return;
    // "an offset at twenty four feet about an inch": how large it is belongs to it.
    const measure = howLarge.exec(next)?.[0].length ?? 0;
    const cut = isLast || own !== undefined ? to + measure : start + (lead ?? before.length);
    placed = !isLast && own === undefined;
    if (
      cut <= start ||
      !/[a-z]{2}/i.test(heard.text.slice(start, cut)) ||
      !/[a-z\d]/i.test(heard.text.slice(cut))
    )
      return;
    breaks.push(cut === heard.text.length ? text.length : placeOf(heard, cut, cut + 1).from);
    start = cut;
  });
  return breaks;
}

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
      /^[\s,&]*(?:(?:and|then|at|also|feet)\b[\s,]*)*$/i.test(between)
    )
      groups[groups.length - 1] = { ...last, to: place.to };
    else groups.push(place);
  }
  return groups;
}
