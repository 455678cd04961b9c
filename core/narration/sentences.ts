import { aNumber } from '../number-words.js';
import { breaksIn } from '../speech/run-on.js';
import type { Cue } from '../captions.js';

/** One sentence of a narration; its words may come from several cues. */
export interface Sentence {
  readonly text: string;
  /** Start of the cue that contains the character at a position of the text, s; null without times. */
  readonly at: (place: number) => number | null;
}

/** A cue ending with one of these continues in the next. */
const breaksOff =
  /(?:^|\s)(?:at|from|to|of|the|a|an|and|or|is|are|there'?s|we'?ve|got|have|till|until|(?<!(?:got|has|have)\s)some|your|my|with|into|it'?s|that'?s|between|(?<!\b(?:(?:there|that|here|it)'?s|is|got|have|see|hit|was)\s)another|hundred)[,\s]*$/i;
/** So does one ending with one of these, unless the next begins a sentence: "enough to get by", "Twenty two, …". */
const mayBreakOff =
  /(?:^|\s)(?:(?<!(?:worry|know|forget|forgot|sure|care|talk|talking)\s)about|(?<!way\s)around|(?<!\b(?:coming|comes|came|going|goes|ties|tying|tied|pushing|sticking|caved|caving)\s)(?<!\d\s?)in|(?<!\b(?:go|going|keep\s+going|move|moving)\s)on|by|(?<!\b(?:pushed|push|made\s+it|got|get|went|broke|squeezed|worked|i'm|we're|she's|am|are|is)\s)through|like|approximately|roughly|our|(?<!\b(?:the|bends?|turns?|elbow|degrees?|goes|bears|veers|heads|hard|hand|to\s+your)\s)right|where|past|say|call|(?<!(?:inch|inches|percent|feet|foot|half|quarters?|pipe|full|bore|third|that|there|it)\s)maybe|(?<!\b(?:is|it's|got|have|see|hit|was)\s)another|point)[,\s]*$/i;
/** A cue starting with one of these continues the previous one. */
const continuing =
  /^\s*(?:feet|foot|ft|inch(?:es)?|percent|o'?clock|degrees?|point\s|and\s+a\s+(?:half|quarter)|and\s+(?:one|three)\s+(?:half|quarters?)|deep\b|high\b|long\b|of\s|in\s+diameter|or\s+so\b)/i;
/** "forty" and then "six" is one number. */
const tensEnd = /\b(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|hundred)\s*$/i;
const unitStart = /^\s*(?:one|two|three|four|five|six|seven|eight|nine)\b/i;
/** So does one that begins with one of these. */
const beginsAnew = /^\s*(?:(?:um+|uh+)\s+)?(?:then|so|okay|ok|alright|and\s+then|now)\b/i;
/** A cue written like this begins a sentence, unless the one before breaks off. */
const capital = /^\s*[A-Z][a-z]/;

/** "Another joint with some", and then a place: the roots named before. */
const withSome = /\bwith\s+some[,\s]*$/i;
const place = new RegExp(String.raw`^\s*(?:at\s+)?${aNumber}`, 'i');

/** "Couldn't get the camera through" is whole. */
const couldNot =
  /\b(?:can|could|won|would|did)(?:'?t|n'?t|not|\s+not)\b[^.;]*\b(?:through|by|past|over|on|around)[,\s]*$/i;

const goesOn = (text: string, next: string): boolean =>
  !/[.?!]\s*$/.test(text) &&
  !(withSome.test(text) && place.test(next)) &&
  (breaksOff.test(text) ||
    (!capital.test(next) &&
      ((mayBreakOff.test(text) && !couldNot.test(text) && !beginsAnew.test(next)) ||
        continuing.test(next) ||
        (tensEnd.test(text) && unitStart.test(next)))));

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
