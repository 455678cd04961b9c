import { aNumber } from '../number-words.js';
import { asNote, placeFirst, quoted, type Idiom } from './traced-text.js';

/** The run ends here, beside what was named before it; at the main there is nothing further to see. */
function stopThere({ index, input }: RegExpExecArray): string | undefined {
  const before = input.slice(0, index);
  if (/\b(?:main|city\s+tap)\b/i.test(input)) return undefined;
  return /[a-z]{3}/i.test(before) ? '; stop' : 'stop';
}

const camera = String.raw`(?:i|we|you|it|she|(?:(?:the|my|our)\s+)?(?:camera|cam|head|reel|rod|cable))`;
const failing = String.raw`(?:can't|cannot|couldn't|could\s+not|won't|wouldn't|didn't|wasn't\s+able\s+to|wouldn't\s+let\s+me|won't\s+let\s+me|doesn't\s+want\s+to|don't\s+want\s+to|didn't\s+want\s+to|refuses\s+to)`;
const pushing = String.raw`(?:get|go|push|move|make\s+it|make|fit|climb|crawl|squeeze|force|wiggle|work|coax|take|bring|run)`;
const onward = String.raw`(?:past|by|through|thru|over|around|round|beyond|up|across|farther|further|any\s+(?:farther|further|deeper)|on|anymore|forward)`;
/** Something in the way, by a word or two, but for what the camera itself would be. */
const obstacle = String.raw`(?:(?:the|that|this|these|those|an?|all\s+(?:the|these|those))\s+)(?!(?:camera|head|cable|rod|reel|pipe|line)\b)(?=[a-z])`;
const byDegrees = /^(?:ninety|90|forty[\s-]five|45)\b/i;
const quitting = String.raw`(?:stop|quit|pull\s+the\s+plug|end\s+it|call\s+it|give\s+up|turn\s+around|end\s+(?:the\s+)?(?:run|inspection|video)|back\s+out)`;

/** As it is typed. */
const wentNoFurther = String.raw`(?:(?:(?:camera|cam)\s+)?(?:can't|cannot|couldn't|could\s+not|won't|unable\s+to|not\s+able\s+to)\s+(?:pass|advance|proceed|go)(?:\s+(?:the\s+)?(?:camera|any\s+f[au]rther|further|on))?|no\s+go|no\s+f[au]rther|hung\s+up)`;

/** The camera could not go on, or see, however it is put. */
export const stopIdioms: readonly Idiom[] = [
  // "I'd stop there but it squeezed through"
  [
    /\b(?:i|we)(?:'d|\s+would)(?:\s+have)?\s+(?:(?:normally|usually|just)\s+)?(?:stop(?:ped)?|quit)\s+(?:right\s+)?(?:there|here)\b(?=[\s,]+but\b)/gi,
    asNote,
  ],
  // "47 could not pass", "47 no go": something is in the way.
  [
    new RegExp(String.raw`(?<=${placeFirst})${wentNoFurther}(?=\s*[.]?\s*$)`, 'gi'),
    ([said]) => `stop because ${quoted(said)}`,
  ],
  // "47 could not pass, grease", "47 no go, roots", "47 hung up on the offset"
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:${wentNoFurther}\s*,\s*|hung\s+up\s+(?:on|in|at)\s+(?:(?:the|an?)\s+)?)(?=[a-z])`,
      'gi',
    ),
    "can't get past ",
  ],
  // "47 turned around": as it is typed.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(?:(?:pulled|turned|came)\s+(?:(?:the\s+)?(?:camera|cam)|back|around|out)(?:\s+here)?|done\s+here)(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([said]) => `stop ${quoted(said)}`,
  ],
  // "stop here at 14 for a locate": the camera goes on.
  [
    /\b(?:(?:let's|let\s+me|we'll|i'll|gonna|i'm\s+gonna|going\s+to)\s+)?stop(?:ping|ped)?\s+(?:right\s+)?(?:here\s+|there\s+)?(?=(?:at\s+[a-z\d\s.-]{1,30}?\s+)?(?:for|to)\s+(?:(?:a|an|do|get|take|grab|shoot|my|the|one|quick)\s+)*(?:locate|depth|look|mark|picture|photo|sonde)\b)/gi,
    '',
  ],
  // "we're blocked at 12 feet"
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
    (match) => stopThere(match)?.replace('stop', 'stuck'),
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
  // "an offset that the camera can't get over", "couldn't get the camera through": and what was in the way.
  [
    new RegExp(
      String.raw`\b(?:(?:that|but|and|so|which)\s+)*(?:${camera}\s+(?:just\s+|really\s+|simply\s+)?)?${failing}\s+(?:seem\s+to\s+|even\s+|quite\s+|physically\s+)?${pushing}\s+(?:(?:it|her|this|(?:the|my)\s+(?:camera|head|cable|rod|reel))\s+)?(?:${onward}\s+)*${onward}\b(?:\s+(?:it|that|this|them|there|here)\b)?(?:(\s+)${obstacle})?(?!\s+(?:there|here|much|to\s+see)\b)`,
      'gi',
    ),
    ({ 0: said, 1: what, index, input }) => {
      if (what === undefined)
        return /\b(?:past|by|through|thru|over|around|round)\b/i.test(said)
          ? "can't get past"
          : "can't get any farther";
      return byDegrees.test(input.slice(index + said.length)) ? "can't get past bend " : "can't get past ";
    },
  ],
  [
    new RegExp(String.raw`(?<=\bcan't\s+get\s+any\s+farther\s+)than\s+(?=(?:about\s+)?${aNumber})`, 'gi'),
    'at ',
  ],
  // "she won't make the bend"
  [
    new RegExp(
      String.raw`\b(?:(?:that|but|and|so)\s+)*(?:${camera}\s+)?${failing}\s+make\s+(?:the|that|this)\s+(turn|bend|corner|ninety|90|forty[\s-]five|45|elbow)\b`,
      'gi',
    ),
    ([, what = '']) => {
      if (/^(?:turn|corner)$/i.test(what)) return "can't get past bend";
      return `can't get past ${byDegrees.test(what) ? 'bend ' : ''}${what}`;
    },
  ],
  // "41 is as far as she'll go", "that's as far as we could get her"
  [
    new RegExp(
      String.raw`(?:'s|\b(?:that's|this\s+is|it's|that\s+is|here's|is|was|that\s+was))?\s*(?:about\s+|just\s+)?\bas\s+far\s+(?:out\s+|in\s+|down\s+)?as\s+(?:${camera}|you)(?:'ll|\s+(?:will|can|could|would|wants\s+to)|(?:'m|'re|'s|\s+(?:am|are|is|was|were))(?:\s+(?:gonna|(?:going|able)\s+to))?)?\s+(?:getting|gets?|got|going|goes|go|went|reach(?:ed)?|makes?\s+it|made\s+it|push(?:ed)?|take|run|see)(?:\s+(?:it|her|the\s+camera))?\b`,
      'gi',
    ),
    ' camera stopped',
  ],
  // "that's the furthest I can get"
  [
    new RegExp(
      String.raw`(?:'s|\b(?:that's|this\s+is|it's|that\s+is|is|was))?\s*(?:about\s+|just\s+)?\bthe\s+(?:farthest|furthest)\s+(?:(?:out|in|down)\s+)?${camera}(?:'ll|'m|'s|\s+(?:can|could|will|would|was\s+able\s+to|am\s+able\s+to|is\s+going\s+to))?\s+(?:gets?|got|getting|go|goes|going|went|reach(?:ed)?|make\s+it|made\s+it|push(?:ed)?)\b(?:\s+(?:it|her|the\s+camera)\b)?`,
      'gi',
    ),
    ' camera stopped',
  ],
  // "I'm not getting any farther", "there's no way past that"
  [
    new RegExp(
      String.raw`\b(?:(?:but|and|so)\s+)*(?:(?:i'm|we're|she's|it's|(?:the\s+)?camera's)\s+not\s+(?:getting|going|making\s+it)\s+(?:(?:it|her|this|the\s+camera)\s+)?(?:${onward}\s+)*${onward}|(?:there's\s+|there\s+is\s+|i\s+see\s+)?no\s+(?:way|getting)\s+(?:to\s+get\s+|of\s+getting\s+)?(?:past|by|through|around|beyond))\b(?:\s+(?:it|that|this|them|here)\b)?(?!\s*(?:${aNumber}|\d|the\b|a\b|an\b))`,
      'gi',
    ),
    "can't get any farther",
  ],
  // No water is meant.
  [
    /\b(?:and\s+|so\s+)*(?:i'm|we're|she's|it's|(?:the\s+)?camera's)\s+dead\s+in\s+the\s+water\b/gi,
    stopThere,
  ],
  // "we only got to 41", "only made it out to 41 feet"
  [
    new RegExp(
      String.raw`\b(?:(?:i|we|camera|she)\s+)?(?:(?:could|was|were|able\s+to)\s+)*only\s+(?:able\s+to\s+)?(?:made\s+it|make\s+it|got|get|went|go|pushed|push)\s+(?:(?:out|down|in|her|it|as\s+far\s+as|about)\s+)*(?:to\s+)?(?:about\s+)?(?=${aNumber})`,
      'gi',
    ),
    'camera stopped at ',
  ],
  // "made it to 41 and that's it"
  [
    new RegExp(
      String.raw`\b(?:(?:i|we|camera|she)\s+)?(?:made\s+it|got|pushed|went)\s+(?:(?:out|down|in|all\s+the\s+way)\s+)*to\s+(${aNumber}[a-z\d\s.-]{0,24}?)\s*,?\s+(?:and|but|then)\s+(?:that's\s+(?:it|all)|that\s+was\s+(?:it|all)|then\s+(?:it\s+|i\s+|we\s+)?stopped|no\s+(?:farther|further)|${failing}(?:\s+[a-z]+)*|can't\s+get\s+any\s+farther)(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, at = '']) => `camera stopped at ${at}`,
  ],
  // "had to quit at 41", "I'm gonna call it at 41 feet", "not going past 41"
  [
    new RegExp(
      String.raw`\b(?:(?:so|and)\s+)*(?:(?:i|we)(?:'m|'re|\s+am|\s+are)?\s+)?(?:(?:had|have)\s+to\s+${quitting}|(?:going\s+to|gonna|i'll|we'll)\s+${quitting}|(?:quit|pulled\s+the\s+plug|calling\s+it|stopping|ending\s+it|called\s+it|gave\s+up|ended\s+up\s+stopping)(?:\s+(?:here|there|the\s+(?:run|video|inspection)))?)\s+(?:here\s+|there\s+|right\s+)*(?=(?:at|@)\s+(?:about\s+)?${aNumber})(?!.*\blocat)`,
      'gi',
    ),
    'camera stopped ',
  ],
  [
    new RegExp(
      String.raw`\b(?:(?:so|and)\s+)*(?:(?:i|we)(?:'m|'re)?\s+)?(?:not\s+(?:going|gonna\s+go|going\s+to\s+(?:go|push))|(?:won't|not\s+going\s+to|not\s+gonna)\s+(?:go|push(?:\s+it)?))\s+(?:(?:any\s+)?(?:farther|further)\s+than|past|beyond)\s+(?:about\s+)?(?=${aNumber})`,
      'gi',
    ),
    'camera stopped at ',
  ],
  // "41 feet, that's all the cable I've got", "end of cable"
  [
    /\b(?:that's|this\s+is|that\s+was)\s+all\s+(?:the\s+|my\s+)?(?:cable|rod|line|reel|push\s*rod|hose)\s+(?:i|we)(?:(?:'ve)?\s+(?:have|got|had)|\s+brought)(?:\s+(?:left|on\s+(?:it|the\s+reel)))?|\b(?:at\s+the\s+)?end\s+of\s+(?:the\s+|my\s+|our\s+)?(?:cable|rod|reel|push\s*rod)\b/gi,
    'out of cable',
  ],
  // "camera died", "lost video"
  [
    /\b(?:the\s+)?(?:camera|cam|head)\s+(?:just\s+)?(?:died|quit(?:\s+(?:working|on\s+(?:me|us)))?|went\s+(?:dead|dark|black|out)|cut\s+out|gave\s+out)\b/gi,
    ([said]) => `camera stopped ${quoted(said)}`,
  ],
  [/\blost\s+(?:the\s+|my\s+|our\s+)?(?:video|signal|feed|view)\b/gi, 'lost picture'],
  // "a blockage at 41": the camera sees no way on.
  [
    /\b(?:blockage|stoppage|clog)\b(?<!\b(?:behind|past|before|after|from|above|below|beyond|by|to)\s+(?:an?|the)\s+\w+)(?<=(?:^|[,.;]|\b(?:a|the|there's|got)\s)\s*(?:a\s+|the\s+)?(?:blockage|stoppage|clog))(?!\s*(?:,\s*)?(?:of|was|is\s+(?:past|down|in\s+the))\b)/gi,
    'blocked',
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
    /\b(?:survey|inspection|video|camera\s+run)\s+(?:was\s+|is\s+)?(?:abandoned|terminated|aborted|cut\s+short|ended\s+early|(?:ended|stopped|ends|stops)(?=\s*(?:$|[,;.]|due|because|at\s+(?!the\b))))(?:\s+(?:due\s+to|because\s+of|by|at)\b|\s*,)?/gi,
    'stopped ',
  ],
  // "ends in dirt"
  [
    /\b(?:(?:the\s+)?(?:line|pipe|it)\s+)?(?:just\s+)?(?:ends|stops|dead\s*-?ends)\s+in\s+(?:the\s+|solid\s+)?(?:dirt|mud|soil|ground|gravel|rocks?|clay\s+soil)\b/gi,
    ([said]) => `stop ${quoted(said)}`,
  ],
  // "33, that's the stack, end of run"
  [
    new RegExp(
      String.raw`\b(?:that's\s+|this\s+is\s+)?(?:the\s+)?end\s+of\s+(?:(?:the\s+|this\s+)?(?:run|inspection|survey|video|camera\s+run)|the\s+(?:line|road)\s+for\s+(?:us|me|the\s+camera))(?=\W*$|\s*,?\s+(?:(?:is\s+)?at\s+)?(?:about\s+)?${aNumber})`,
      'gi',
    ),
    stopThere,
  ],
  [
    new RegExp(
      String.raw`^\W*(?:(?:and|so|we|i|had\s+to)\s+)*(?:abandon(?:ed)?|terminated?|abort(?:ed)?)\s+(?=at\s+(?:about\s+)?${aNumber})`,
      'gi',
    ),
    'camera stopped ',
  ],
  [
    /\b(?:(?:we're|i'm)\s+)?(?:(?:flying|running|going|pushing)\s+)?blind\s+(?=(?:from|between|at)\b)/gi,
    "can't see ",
  ],
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
