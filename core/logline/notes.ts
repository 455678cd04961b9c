import { closest } from '../speech/phrases.js';
import type { LogError } from './context.js';
import { newDraft } from './draft.js';
import { interjectionsIn, isShorthand, type SegmentRead, type Span } from './read-segment.js';

/** For a thing stated to be absent, the place and a note are kept: "seen, none: roots". */
export function denied(read: SegmentRead, said: string): SegmentRead {
  const { fields, numbers, bareHour } = read.draft;
  const { about, pass, to_ft, video_s } = fields;
  const { nouns } = read;
  const note = nouns.length > 0 ? `seen, none: ${nouns.join(', ')}` : said.replace(/[¬"]/g, '').trim();
  const kept = Object.entries({ about, pass, to_ft, video_s, note }).filter(
    ([, value]) => value !== undefined,
  );
  return {
    ...read,
    errors: [],
    draft: {
      ...newDraft(),
      kind: 'note',
      ...(bareHour ? { bareHour } : {}),
      fields: Object.fromEntries(kept),
      numbers: numbers.slice(0, 1).map((given) => ({ ...given, size: false })),
    },
  };
}

/** Words that name nothing of the trade, with or without a place, are a note, unless one is nearly a trade word. */
export function isRemark({ draft, unknown, passed, errors }: SegmentRead): boolean {
  if (draft.kind !== undefined || draft.finding !== undefined || draft.pipes.length > 0) return false;
  if (
    draft.blocked ||
    draft.ofWater ||
    draft.correcting ||
    draft.onceMore ||
    draft.endCall !== undefined ||
    errors.length > 0
  )
    return false;
  if (draft.point !== undefined || Object.keys(draft.aboutPoint).length > 0) return false;
  const spoken = Object.keys(draft.fields).filter(
    (field) => !['about', 'to_ft', 'clock', 'pass', 'note', 'size', 'possible', 'video_s'].includes(field),
  );
  if (spoken.length > 0 || draft.numbers.some(({ size }) => size)) return false;
  if (
    unknown.some(
      ({ word }) =>
        !/[\p{L}\p{N}]/u.test(word) ||
        word.startsWith('#') ||
        isShorthand(word) ||
        closest(word) !== undefined,
    )
  )
    return false;
  if (draft.fields.note !== undefined) return unknown.length === 0;
  return unknown.length > 0 || passed.reduce((sum, { from, to }) => sum + to - from, 0) >= 5;
}

/** The words of a part without its place. */
export function remarkOf(text: string, whole: Span, { places }: SegmentRead): string {
  const gone = [...places, ...interjectionsIn(text)];
  let left = '';
  for (let i = whole.from; i < whole.to; i++)
    left += gone.some(({ from, to }) => i >= from && i < to) ? ' ' : (text[i] ?? '');
  return left.replace(/\s+/g, ' ').trim();
}

/** How far around a word is looked for what it belongs to, characters. */
const near = 60;
/** Words not known that may undo what is said, or tell of another time: "sealed", "previously". */
const mayUndo =
  /^(?:un\w+|fixed|patched|sealed|plugged|rebuilt|cleared|removed|treated|sprayed|foamed|poisoned|killed|resolved|corrected|healed|cured|cleaned|snaked|jetted|previous(?:ly)?|former(?:ly)?|earlier|once|used|before|until|except|without|unless|instead|nearly|beyond|past|elsewhere|outside|beside|behind|across|different|neighbou?r(?:'?s)?|cannot|never|neither|nothing|nobody|hardly|barely|might|\p{L}+n['’]t)$/iu;
/** After these the words say where it is, which may not be in this pipe: "crack in the curb". */
const placing =
  /\b(?:in|on|of|from|under|over|outside|inside|through|into|beside|behind|along|across|near|by|to|off)\s+(?:(?:the|an?|my|our|your|their|his|her|its|this|that)\s+)?$/i;
/** A number right after the words is theirs: "closing it to 3 in" is no 3 in of scale. */
const measuring =
  /^\s*(?:(?:it|them|that|this|the\s+pipe|down|up|to|by|of|about|maybe|around|only|~)\s*)*(?:\d|[½¼¾]|(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|half)\b)/i;
/** A number just before them, which is not the place the line begins with: "hole 5 millimeters" has a unit. */
const asUnit =
  /[a-z][^;]*(?:\d|[½¼¾]|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|half|quarter))\s*-?$/i;
/** A state, of which other words may be the subject: "sprinkler head broken". */
const isState = (noun: string): boolean =>
  /(?:ed|en|ing|gone|missing|loose|open|\b(?:full|bad|flat|up|in|off|out|through))$/i.test(noun);

/**
 * Words not known beside a thing that is named, which become its note: "infil, dripper", "wye, factory made". Undefined
 * where one is nearly a trade word, may undo what is said, may be what is meant by "broken" or "open", or says where
 * the thing is: those are asked about.
 */
export function keptWords(read: SegmentRead, text: string): string | undefined {
  const { draft, unknown, nouns, errors } = read;
  // A pipe alone may be what the main or a branch is made of.
  const isLocate = draft.kind === 'locate' && draft.finding === undefined;
  const isNamed = nouns.length > 0 && (isLocate || !nouns.some(isState)) && draft.pipes.length !== 1;
  if (unknown.length === 0 || errors.length > 0 || !isNamed || draft.correcting) return undefined;
  const isPlain = ({ word, from, to }: (typeof unknown)[number]) => {
    const [before, after] = [text.slice(Math.max(0, from - near), from), text.slice(to, to + near)];
    const isWord = /^\p{L}[\p{L}'’-]{2,}$/u.test(word) && !isShorthand(word) && closest(word) === undefined;
    return (
      isWord && !mayUndo.test(word) && !placing.test(before) && !measuring.test(after) && !asUnit.test(before)
    );
  };
  if (!unknown.every(isPlain)) return undefined;
  const words = runsOf(read, text).map(({ from, to }) => text.slice(from, to));
  const { note } = draft.fields;
  return [...(typeof note === 'string' ? [note] : []), ...words].join(', ');
}

/** Each run of unknown words with the filler next to it: "by the oak". */
export function runsOf({ unknown, passed }: Pick<SegmentRead, 'unknown' | 'passed'>, text: string): Span[] {
  const isUnknown = new Set<Span>(unknown);
  const runs: { from: number; to: number; isKept: boolean }[] = [];
  for (const span of [...unknown, ...passed].sort((a, b) => a.from - b.from)) {
    const last = runs.at(-1);
    if (last && text.slice(last.to, span.from).trim() === '') {
      last.to = span.to;
      last.isKept ||= isUnknown.has(span);
    } else runs.push({ from: span.from, to: span.to, isKept: isUnknown.has(span) });
  }
  return runs.filter(({ isKept }) => isKept).map(({ from, to }) => ({ from, to }));
}

/** Unknown words, each with the closest known word; the first of them may be kept as a note, with the words around it. */
export function unknownErrors({ unknown, passed, draft }: SegmentRead, text: string): LogError[] {
  const noted = draft.fields.note === undefined ? runsOf({ unknown, passed }, text)[0] : undefined;
  return unknown.map(({ from, to, word }, index) => {
    const near = closest(word);
    const kept = noted && text.slice(noted.from, noted.to);
    const answers = [
      ...(near ? [{ label: near, from, to, words: near }] : []),
      ...(index === 0 && noted ? [{ label: `keep “${kept}” as a note`, ...noted, words: `"${kept}"` }] : []),
    ];
    return {
      from,
      to,
      message: word.startsWith('#')
        ? `nothing on this line is called ${word}`
        : near
          ? `“${word}” is not known: did you mean “${near}”?`
          : `“${word}” is not known. Put a note in "quotes"`,
      ...(answers.length > 0 ? { answers } : {}),
    };
  });
}
