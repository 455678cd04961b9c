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
/** What follows a number that is no place. */
const measured =
  /^\s*(?:-|\/|:|%|percent|per\b|in\b|inch|"|o'?\s?clock|degree|°|x\s?\d|by\s+\d|of\s+(?:an\s+)?(?:inch|the\s+pipe)|gallon|minute|second|year|day|hour|times?\b|deep\b|(?:feet|foot|ft)?\s*(?:deep|down|long|wide|of\b|later|more|past|apart)|way\b|quarters?\b|halves)/i;
/** What stands before a number that is no place, or the far end of a stretch. */
const bound =
  /(?:\b(?:to|through|thru|till|until|about|(?<!\b(?:way|all|goes)\s)around|maybe|like|say|almost|nearly|over|under|than|least|most|probably|roughly|of|by|first|next|another|every|for|from|schedule|sdr|number|unit|apartment|run|video|reads|says|getting|got|it's|is|was|an?)|-|\/|~)\s*$/i;
const leads =
  /(?:\b(?:and|then|now|okay|ok|so|at|(?<!\b(?:the|on|to|and)\s)right(?=\s+(?:at|around)\b)|about|(?<!\b(?:way|all)\s)around|(?:pulling|coming|heading|backing)\s+(?:it\s+)?(?:back|out)(?:\s+up)?|(?:come|coming|came|going|go)(?:\s+(?:back|on|up|down))*(?:\s+to)?)\b[\s,]*)*$/i;
const at = /\bat\s*$/i;

interface Place {
  readonly from: number;
  readonly to: number;
  readonly value: number;
}

/** Whether these words name something of the log. */
const namesThing = (text: string): boolean =>
  text
    .toLowerCase()
    .split(/[^a-z-]+/)
    .some((word) => ['finding', 'point', 'kind'].includes(words[word]?.is ?? ''));

/**
 * Where a sentence that runs on from place to place falls into sentences of its own, as dictation without full stops
 * does: positions in the text, in order. Nothing where it names fewer than three places.
 */
function breaksIn(text: string): number[] {
  if (text.length < 60) return [];
  const heard = spokenNumbers(rewrite(traced(text), ...bendToSide));
  const groups = groupsOf(placesIn(heard.text), heard.text);
  if (groups.length < leastPlaces) return [];
  const breaks: number[] = [];
  let start = 0;
  let placed = false;
  groups.forEach(({ from, to }, index) => {
    const before = heard.text.slice(start, from);
    const lead = leads.exec(before)?.index ?? before.length;
    const ahead = groups[index + 1];
    // "roots at 16, crack at 20": the place comes last.
    const isLast =
      !placed &&
      at.test(before) &&
      namesThing(before) &&
      (ahead === undefined ||
        (at.test(heard.text.slice(to, ahead.from)) && namesThing(heard.text.slice(to, ahead.from))));
    const cut = isLast ? to : start + lead;
    placed = !isLast;
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
  for (const match of text.matchAll(figure)) {
    const [said] = match;
    const before = text.slice(0, match.index);
    const after = text.slice(match.index + said.length);
    const value = Number(/\d+(?:\.\d+)?/.exec(said)?.[0]);
    const isNamed = /f/i.test(said) || at.test(before);
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
    if (last && /^[\s,&]*(?:(?:and|then|at|also|feet)\b[\s,]*)*$/i.test(text.slice(last.to, place.from)))
      groups[groups.length - 1] = { ...last, to: place.to };
    else groups.push(place);
  }
  return groups;
}
