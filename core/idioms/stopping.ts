import { aNumber } from './number-words.js';
import { asNote, quoted, type Idiom } from './traced-text.js';

/** The run ends here, beside what was named before it; at the main there is nothing further to see. */
function stopThere({ index, input }: RegExpExecArray): string | undefined {
  const before = input.slice(0, index);
  if (/\b(?:main|city\s+tap)\b/i.test(before)) return undefined;
  return /[a-z]{3}/i.test(before) ? '; stop' : 'stop';
}

/** The camera could not go on, or see, however it is put. */
export const stopIdioms: readonly Idiom[] = [
  // "can't get past 7.5", "we're blocked at 12 feet"
  [
    new RegExp(
      String.raw`\b(?:(?:i|we|you|camera|it|she)\s+)?(?:can't|cannot|couldn't|won't|can\s+not)\s+(?:get|go|push|make\s+it)\s+(?:her\s+|it\s+)?(?:past|beyond|by)\s+(?=(?:about\s+)?${aNumber})`,
      'gi',
    ),
    'camera stopped at ',
  ],
  [
    /\b(?:(?:we're|we\s+are|i'm|it's|camera's|line's|pipe's)\s+)(?:completely\s+|totally\s+|all\s+)?(?:blocked|stopped|stuck|jammed|hung\s+up)(?:\s+(?:off|up|solid))?\s+(?=at\b)/gi,
    'camera stopped ',
  ],
  // On a phone, and in captions, the apostrophe is often left out, curly or a space.
  [
    /\b(can|won|couldn|doesn|didn|isn|wasn|don|haven|hasn|aren|weren|wouldn|ain)(?:\s?|’)t\b/gi,
    ([, verb = '']) => `${verb}'t`,
  ],
  // "I couldn't even see past it, pushed through": the camera went on.
  [
    /,?\s*\b(?:(?:i|we|you)\s+)?(?:couldn't|can't|could\s+not|cannot)\s+(?:even\s+|hardly\s+|barely\s+)?(?:see|get)\s+(?:past|by|through|around)\s+(?:it|that|them|this)\s*,?\s+(?:(?:but|and|then|i|we|finally)\s+)*(?:pushed|got|made\s+it|squeezed|went|powered|broke|wiggled)\s+(?:it\s+|on\s+|right\s+)*(?:through|past|by)\b(?:\s+(?:it|that|them))?/gi,
    ([said]) => `, ${quoted(said.replace(/^[\s,]+/, ''))}`,
  ],
  // "root ball, 70 %, could not pass"
  [
    /\s*,\s+(?:(?:i|we|so|and)\s+)*(?:couldn't|could\s+not|can't|can\s+not|cannot)\s+(?:pass|proceed|continue)(?=\s*(?:$|[.;]))/gi,
    stopThere,
  ],
  // "can't go on", "can't continue": and no more.
  [
    /^\W*(?:(?:i|we|it|she|camera|and|so|but)\s+)*(?:can't|couldn't|cannot)\s+(?:go|continue|push)(?:\s+(?:on|anymore|any\s+more|no\s+more|no\s+further|on\s+any\s+further))?(?=\W*$)/gi,
    "can't go any farther",
  ],
  // "stopping at 45", "that's all she wrote"
  [
    /^\W*(?:(?:i'm|we're|and|so|okay)\s+)*(?:stopping|quitting|calling\s+it)\s+(?:here\s+)?at\s+(?=\S)(?!.*\blocat)/gi,
    'stopped at ',
  ],
  [
    /\b(?:and\s+)?that's\s+all\s+she\s+wrote\b/gi,
    (match) =>
      /\b(?:stop|can't|cannot|won't|couldn't)/i.test(match.input) ? asNote(match) : stopThere(match),
  ],
  // "55, I'm hung up"
  [
    /\b(?:i'm|we're|she's|it's|(?:the\s+)?(?:camera|head)(?:'s|\s+is))\s+(?:all\s+|just\s+|now\s+)?(?:hung\s+up|wedged|jammed\s+up)(?:\s+(?:here|there|now))?(?=\s*(?:$|[,.;]|on\b))/gi,
    'stop',
  ],
  // "can not get past" denies nothing.
  [/\bcan\s+not\b/gi, 'cannot'],
  [
    /\b(?:(could|would)|will)\s+not\s+(?=(?:get|go|push|pass|move|make|fit|clear|budge|continue|reach|be)\b)/gi,
    ([, verb]) => `${verb ?? 'wo'}n't `,
  ],
  // "not able to get past", "wouldn't push past", "too much debris to continue": the camera stopped.
  [
    /\b(?:not\s+able|unable|not\s+possible|impossible)\s+to\s+(?=(?:get|go|push|pass|move|make|see|continue)\b)/gi,
    "can't ",
  ],
  [
    /\b(?:cannot|(?:can|couldn|won|wouldn)'t)\s+(?:be\s+)?(?:get|go|push|pass|passed|move|make\s+it|fit|continue)\s+(?:past|by|thru|beyond)(?:\s+(?=[a-z])|(?=\s*$))/gi,
    "can't get past ",
  ],
  // "can't budge the offset", "couldn't make the bend"
  [
    /\b(?:cannot|(?:can|couldn|won|wouldn)'t)\s+(?:pass|budge|clear|make|navigate|negotiate)\s+(?!(?:it|this|that|here|out|sure|through|past|by|any|further|up|much)\b)(?=[a-z])/gi,
    "can't get past ",
  ],
  [
    /\b(?:abandoned|terminated|aborted|ended)\s+(?:the\s+)?(?:survey|inspection|video|run)\b(?!\s+at\s+the\b)\s*,?/gi,
    'stopped ',
  ],
  // "survey abandoned, roots"
  [
    /\b(?:survey|inspection|video|camera\s+run)\s+(?:was\s+|is\s+)?(?:abandoned|terminated|aborted|cut\s+short|ended\s+early|(?:ended|stopped)(?=\s*(?:$|[,;.]|due|because)))(?:\s+(?:due\s+to|because\s+of|by|at)\b|\s*,)?/gi,
    'stopped ',
  ],
  // "ends in dirt"
  [
    /\b(?:(?:the\s+)?(?:line|pipe|it)\s+)?(?:just\s+)?(?:ends|stops|dead\s*-?ends)\s+in\s+(?:the\s+|solid\s+)?(?:dirt|mud|soil|ground|gravel|rocks?|clay\s+soil)\b/gi,
    ([said]) => `stop ${quoted(said)}`,
  ],
  // "33, that's the stack, end of run"
  [/\bend\s+of\s+(?:the\s+|this\s+)?(?:run|inspection|survey|video|camera\s+run)(?=\W*$)/gi, stopThere],
  // "50, that's the end of my run"
  [
    /\b(?:and\s+)?(?:that's|that\s+is|this\s+is|it's)\s+(?:the\s+|my\s+|our\s+)?end\s+of\s+(?:my|our|the|this)\s+(?:run|inspection|survey|video|push)(?=\W*$)|\bend\s+of\s+(?:my|our)\s+(?:run|inspection|survey|video|push)(?=\W*$)/gi,
    stopThere,
  ],
  // "70 end of run, capped", "dead end, looks like a cap": where the pipe itself ends.
  [
    /\b(?:dead\s*-?\s*end|end\s+of\s+(?:the\s+)?(?:run|line|pipe))\s*,?\s+(?:(?:it's|it|is|looks?|like|has|with|an?|the)\s+)*(?:cap(?:ped)?(?:\s+off)?|plug(?:ged)?(?:\s+off)?|brick(?:ed)?(?:\s+(?:up|off))?|glued\s+cap)(?=\W*$)|\bdead\s*-?\s*ends?(?:\s+here)?(?=\W*$)/gi,
    ([said]) => `stop ${quoted(said)}`,
  ],
  [/\b(?:survey|inspection|video)\s+(?:is\s+)?(?:complete|completed|finished|done)\s+(?=at\s+the\s+)/gi, ' '],
  [/\bcouldn't\s+see\s+(past|beyond)\b/gi, ([, past = '']) => `can't see ${past}`],
  [
    /\btoo\s+(?:much|many)\s+([a-z]+)\s+to\s+(?:continue|proceed|pass|push|go|get|see)(?:\s+(?:on|through|past|by|any|further|farther))*/gi,
    ([said, what = '']) =>
      !/\bsee/i.test(said)
        ? `can't get past heavy ${what}`
        : /^water$/i.test(what)
          ? 'camera under water'
          : `can't see, ${what}`,
  ],
];
