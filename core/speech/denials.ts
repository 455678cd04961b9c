import { boundary, denial, rewrite, type TracedText } from '../idioms/traced-text.js';
import { aNumber } from '../number-words.js';
import { phraseAt } from './phrases.js';

const numberNext = new RegExp(String.raw`^\s+(?!one\b)${aNumber}`, 'i');
const see = String.raw`(?:see|saw|find|found|have|got|get|spot|notice|note)(?:ing|ed)?`;
const any = String.raw`(?:\s+(?:any|a|an|much|no|one|signs?\s+of|evidence\s+of|visible|single|more|other|the|real|big|obvious|major|actual))*`;
const denials = new RegExp(
  String.raw`\b(?:(?:i|we|you)?\s*(?:(?:do|did|does|have|had|has|would|could|can)(?:\s+not|n['’]?t)|can['’]?t|won['’]?t)\s+(?:really\s+|even\s+|actually\s+)*${see}${any}|(?:can|could)not\s+${see}${any}|(?:is|are|was|were|ai|has|have|had|does|do|did)(?:\s+not|n['’]?t)${any}|(?:free|clear|devoid)\s+of${any}|without${any}|never${any}|neither|nor|no${any}|not${any}|nothing\s+(?:like|wrong\s+with)|(?<!\b(?:point|at|from|between|starts|begins|reading|about|around)\s+)zero(?=\s+(?!(?:at|on|from|the|to|till|until|through|thru|and|down\s+to|up\s+to|feet|foot|is|out)\b)[a-z])|lack\s+of|absence\s+of)(?=\s|$|[,.;])`,
  'gi',
);

/**
 * Marks denials: "no roots", "I don't see any cracks", "without", "neither … nor". Trade phrases containing such a word
 * ("not seen", "does not arrive", "no bottom") stay as they are, and so do corrections: "no, 31.5", "31, no 32".
 */
export function markDenials(heard: TracedText): TracedText {
  const kept = tradePhrases(heard.text);
  return rewrite(heard, denials, (match) => {
    const [said] = match;
    const at = match.index + (said.length - said.trimStart().length);
    const end = match.index + said.length;
    if (kept.some(([from, to]) => at < to && end > from)) return undefined;
    const rest = heard.text.slice(end);
    if (/^(?:no|not)$/i.test(said.trim()) && /^\s*[,.:]?\s*[~#\d.½¼¾⅛⅜⅝⅞-]/.test(rest)) return undefined;
    if (/^no$/i.test(said.trim()) && /^\s*(?:[,:]|$)/.test(rest)) return undefined;
    // "three, no five, roots"
    if (/^no$/i.test(said.trim()) && /,\s*$/.test(heard.text.slice(0, at)) && numberNext.test(rest))
      return undefined;
    return ` ${denial} `;
  });
}

/** Places of trade phrases with a "no" or "not" of their own. */
function tradePhrases(text: string): [number, number][] {
  const found: [number, number][] = [];
  for (const { index } of text.matchAll(/\b[a-z]/gi)) {
    const phrase = phraseAt(text.slice(index))?.phrase;
    if (
      phrase !== undefined &&
      /\b(?:no|not|never|can['’]?t|cannot|don['’]?t|won['’]?t|doesn['’]?t|nothing|isn['’]?t|didn['’]?t|couldn['’]?t|wouldn['’]?t)\b/.test(
        phrase,
      )
    )
      found.push([index, index + phrase.length]);
  }
  return found;
}

const openers = new RegExp(
  String.raw`\b(?:there['’]?s|(?<!\b(?:joint|pipe|one|line)\s)there\s+(?:is|are|was|were)|here['’]?s|here\s+(?:is|are)|it['’]?s(?=\s+got\b)|(?:i|we|you)['’]?(?:ve|\s+have|re)?\s+(?:also\s+)?(?:got|have|hit|see|saw|found|find|come\s+to|came\s+to|run\s+into|ran\s+into)|(?:we|you|i)['’]?ve\s+(?:also\s+)?got|(?:you|we|i)\s+can\s+see(?!\s+again)|got(?=\s+(?:a|an|some|another|the)\b)|followed\s+by)(?=\s|$)(?:\s+got\b)?`,
  'gi',
);

export const markBoundaries = (heard: TracedText): TracedText => rewrite(heard, openers, ` ${boundary} `);
