import { takesBack } from '../idioms/corrections.js';
import { aNumber } from '../number-words.js';
import { rewrite, sameMark, slice, type TracedText } from '../idioms/traced-text.js';
import { namesThing, type Meaning } from './meaning.js';
import { phraseAt } from './phrases.js';

/** A slip of the tongue put right in the same breath: "a crack, no, a hole", "at 41, I mean 42". */

const hard = String.raw`(?:no|wait|actually|hang\s+on|hold\s+on|${takesBack})`;
/** Calls anew without taking back. */
const rather = String.raw`(?:well|more\s+like|closer\s+to)`;
const isHard = new RegExp(String.raw`\b${hard}(?![\w'])`, 'i');
const isRatherSaid = new RegExp(String.raw`\b${rather}\b`, 'i');
/** Something of the kind is in every slip: most lines have none, and are not searched further. */
const mayTakeBack = new RegExp(String.raw`\b(?:${hard}|${rather})(?![\w'])`, 'i');

const gap = String.raw`\s*(?:,|\.(?!\d))?\s*`;
/** What takes back the thing before it; "no" alone would deny the thing after it. */
const ofThings = new RegExp(
  String.raw`${gap}\b(?:(?:wait|oh|well|no|hang\s+on|hold\s+on)[\s,]+)*(?:no(?=\s*,)|no(?=\s+(?:wait|sorry|that's|it's|i\s+mean)\b)|actually(?=\s+(?:that's|it's)\b)|${takesBack})(?:[\s,]+(?:no|wait|that's|it's|that\s+is|it\s+is|that\s+was|just|only|more\s+like|on|to|into|${takesBack})(?![\w']))*[\s,]+`,
  'gi',
);
/** A reading between the thing and what takes it back. */
const placeBetween = /^\s*,?\s*(?:right\s+)?(?:at|around|@)\s+[a-z\d.\s-]{1,40}$/i;
const sideBetween = /^\s+(?:coming\s+in\s+)?(?:on|from|to)\s+(?:the|your|our)\s+(?:left|right|top|bottom)\b/i;
const articles = /^(?:(?:an?|the|some|your|our)\s+)*/i;

/** What may stand in the place of what. */
type Role = 'thing' | 'pipe' | 'side';
function roleOf(meaning: Meaning): Role | undefined {
  if (namesThing(meaning)) return 'thing';
  if (meaning.is === 'material') return 'pipe';
  return meaning.is === 'clock' ? 'side' : undefined;
}

interface Named {
  readonly from: number;
  readonly to: number;
  readonly role: Role;
  readonly meaning: Meaning;
}

/** Before a thing these are part of its name: "heavy scale", "a capped tee". */
const besideNames: readonly string[] = ['size', 'about-point', 'field'];

/** A thing, a pipe or a side from this place on, with its article. */
function namedAt(text: string, start: number): Named | undefined {
  let at = start + (articles.exec(text.slice(start))?.[0].length ?? 0);
  for (let words = 0; words < 3; words++) {
    const found = phraseAt(text.slice(at));
    const role = found && roleOf(found.meaning);
    if (found && role) return { from: start, to: at + found.phrase.length, role, meaning: found.meaning };
    const next =
      found && besideNames.includes(found.meaning.is)
        ? /^\s+/.exec(text.slice(at + found.phrase.length))
        : undefined;
    if (!found || !next) return undefined;
    at += found.phrase.length + next[0].length;
  }
  return undefined;
}

/**
 * The last thing of this role in the text, where nothing but its place stands after it; from its first word where it was
 * named twice: "a hole in the top, I see daylight".
 */
function lastNamed(text: string, role: Role): Named | undefined {
  let before: Named | undefined;
  for (const { index } of text.matchAll(/\b[a-z]/gi)) {
    const found = namedAt(text, index);
    if (found?.role !== role) continue;
    // The side of a branch goes with it.
    const side = found.meaning.is === 'point' ? (sideBetween.exec(text.slice(found.to))?.[0] ?? '') : '';
    const rest = text.slice(found.to + side.length);
    if (rest.trim() === '' || placeBetween.test(rest))
      return before && isSame(before, found) && !anyNumber.test(text.slice(before.to, index))
        ? { ...found, from: before.from }
        : { ...found, to: found.to + side.length };
    if (!before || !isSame(before, found)) before = found;
  }
  return undefined;
}

/** "Clay to abs, no, clay to pvc": both pipes of a change, where both are said again. */
function changeNamed(text: string, right: Named, whole: string): Named | undefined {
  if (right.role !== 'pipe' || !/^\s+(?:in)?to\s/i.test(whole.slice(right.to))) return undefined;
  const far = lastNamed(text, 'pipe');
  const toFar = far && /\s+(?:in)?to\s+$/i.exec(text.slice(0, far.from));
  const near = toFar ? lastNamed(text.slice(0, toFar.index), 'pipe') : undefined;
  return far && near && { ...far, from: near.from };
}

const endOfClause = (text: string, from: number): number => {
  const end = text.slice(from).search(/[;]|[.,](?!\d)/);
  return end < 0 ? text.length : from + end;
};

/** "…, nope, that's just a repair clamp": another thing, if by a name that is not known here. */
const isSomethingElse =
  /^[\s,.]*(?:[a-z']+[\s,]+){1,4}?(?:(?:that's|it's|that\s+is|it\s+is)\s+(?:(?:just|only)\s+)?|(?:just|only)\s+)(?:an?|some|the)\s+(?!(?:little|lot|bit|good|half|quarter|third|foot|inch|few|couple|main)\b)[a-z]/i;

const anyNumber = new RegExp(aNumber, 'i');
const isSame = ({ meaning: one }: Named, { meaning: other }: Named): boolean =>
  one.is === 'finding' && other.is === 'finding' && one.finding === other.finding;

/** "A crack, no, a hole", "on the left, I mean the right", "a crack at three, sorry, a hole": only the second is there. */
export function slipsOfThings(heard: TracedText): TracedText {
  if (!mayTakeBack.test(heard.text)) return heard;
  ofThings.lastIndex = 0;
  for (let marker = ofThings.exec(heard.text); marker; marker = ofThings.exec(heard.text)) {
    const { index, 0: said } = marker;
    const right = namedAt(heard.text, index + said.length);
    const clause = Math.max(0, heard.text.slice(0, index).search(/(?:[^.;]|\.(?=\d))*$/));
    const before = heard.text.slice(clause, index);
    const wrong = right
      ? (changeNamed(before, right, heard.text) ?? lastNamed(before, right.role))
      : isSomethingElse.test(heard.text.slice(index))
        ? lastNamed(before, 'thing')
        : undefined;
    if (!wrong) continue;
    const [from, to] = [clause + wrong.from, clause + wrong.to];
    const place = slice(heard, to, index);
    const rest = slice(heard, right ? index + said.length : endOfClause(heard.text, index + said.length));
    const comma = rewrite(slice(heard, index, index + 1), /[^]/g, place.text.trim() === '' ? ' ' : ', ');
    heard = joined(slice(heard, 0, from), place, comma, rest);
    ofThings.lastIndex = from;
  }
  return heard;
}

const joined = (...parts: readonly TracedText[]): TracedText => ({
  text: parts.map(({ text }) => text).join(''),
  from: parts.flatMap(({ from }) => from),
  to: parts.flatMap(({ to }) => to),
});

const number = String.raw`(?:\d+\/\d+|\d+(?:\.\d+)?(?:\s+\d\/\d)?)`;
const unit = String.raw`\s*-?\s*(?:feet|foot|ft\b|percent|%|in(?:ch(?:es)?)?\b|"|degrees?\b|o'?clock)`;
const howFar = String.raw`(\s+(?:deep|down|wide|high|long))?`;
const between = String.raw`(?:${hard}|${rather}|oh|it's|that's|that\s+is|it\s+is|call\s+it|say|at|about|to|~)(?![\w'])[\s,]+`;
const ofNumbers = new RegExp(
  String.raw`(?<![\d./])(?<!\b(?:say|said)\s+)(${number})(${unit})?${howFar}${gap}(?<=[\s,.])(?=(?:(?:oh|it's|that's|call\s+it|at|about)[\s,]+)*(?:${hard}|${rather})(?![\w']))(?:${between})+(${number})(${unit})?(?![\d/:]|\.\d)(?:,(?=\s+(?:to|through|until|till)\s))?`,
  'gi',
);
/** A place called anew without a word of correction lies this close, ft. */
const alike_ft = 3;
const isFraction = (said = ''): boolean => said.includes('/');
const isPlace = (of: string | undefined) => of === undefined || /f/i.test(of);

/** "At 3, excuse me, 5", "10, no, 20 percent", "3 to 5, sorry, 8": only the second number counts, with the unit of either. */
export const slipsOfNumbers = (heard: TracedText): TracedText =>
  mayTakeBack.test(heard.text) ? rewrite(heard, ofNumbers, secondNumber) : heard;

function secondNumber(match: RegExpExecArray): string | undefined {
  const { index, input, 0: said, 1: wrong, 2: of, 3: how = '', 4: right = '', 5: itsUnit } = match;
  // What is written elsewhere is put right there.
  if (input.includes(sameMark)) return undefined;
  const [isReading, readsNow] = [isPlace(of), isPlace(itsUnit)];
  // Of "roots at 14, no, 20 percent" 14 is the place.
  if (isReading && !readsNow && (of !== undefined || !/\d/.test(input.slice(0, index)))) return undefined;
  if (!isReading && itsUnit !== undefined && readsNow) return undefined;
  if (/clock/i.test(of ?? '') && itsUnit === undefined && Number(right) > 12) return undefined;
  const isAlike =
    isReading && readsNow
      ? Math.abs(Number(wrong) - Number(right)) <= alike_ft
      : isFraction(wrong) && isFraction(right);
  const isSaid = isHard.test(said) || (isRatherSaid.test(said) && isAlike);
  return isSaid ? `${right}${itsUnit ?? of ?? ''}${how}` : undefined;
}
