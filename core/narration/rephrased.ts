import { anyMaterial } from '../idioms/pipes.js';
import { aNumber } from '../number-words.js';
import { normalize } from '../speech/normalize.js';
import { meaningsIn } from '../speech/phrases.js';
import { accessId, type Talk } from './talk.js';

/** A sentence in words that no longer need the talk around it: "from there on" with the head's reading. The first way that fits. */
export const rephrased = (talk: Talk, text: string, index: number): string =>
  fromZero(talk, text) ??
  wayInDepth(talk, text) ??
  outOfWater(talk, text) ??
  roundAgain(talk, text) ??
  pieceEnds(talk, text) ??
  pipeAgain(talk, text) ??
  fromThereOn(talk, text) ??
  thereItIs(talk, text, index) ??
  allTheWayTo(talk, text) ??
  nextFeet(talk, text) ??
  atEveryJoint(talk, text) ??
  whereItEnds(talk, text) ??
  betweenTwo(text) ??
  sameTurn(talk, text) ??
  fromHere(talk, text);

/** "Clay again", where a piece of pipe was said to end: what comes after it. */
function pipeAgain({ items }: Talk, text: string): string | undefined {
  const last = items.at(-1)?.entry;
  const [, pipe] = againThen.exec(text) ?? [];
  if (pipe === undefined || last?.kind !== 'change' || last.reading_ft === undefined) return undefined;
  return last.upstream && last.downstream ? undefined : `at ${last.reading_ft} change to ${pipe}`;
}
const againThen = new RegExp(
  String.raw`^\W*(?:(?:and|then|so|after\s+that|it's|it\s+is|we're|back|to|in|into|it\s+goes|the|same|old)[\s,]+)*(${anyMaterial})(?:\s+pipe)?\s+again(?:\s+(?:after\s+(?:that|it)|from\s+there(?:\s+on)?))?\W*$`,
  'i',
);

/** "PVC for eight feet, then clay", before anything was read: of the first eight. */
function fromZero(talk: Talk, text: string): string | undefined {
  const length =
    /^[^.\d]{0,40}?\bfor\s+(?=(?:about\s+)?[a-z\d-]+(?:\s+[a-z-]+)?\s+(?:feet|foot)\b[\s,]+(?:and\s+)?then\b)/i;
  const ofThat =
    /^(?:\W|\b(?:(?:so|and|okay|ok|we|i)(?:'ve)?|got|get|have|had|about)\b)*([a-z\d-]+(?:\s+[a-z-]+)?\s+(?:feet|foot)\s+)of\s+(?:that|it|this)\b[\s,]+(?:and\s+)?(?=then\b)/i;
  if ((talk.reading ?? 0) !== 0 || talk.items.some(({ entry }) => entry.reading_ft)) return undefined;
  if (ofThat.test(text)) return text.replace(ofThat, 'at $1');
  return talk.items.length === 0 && length.test(text)
    ? text.replace(/\bfor\s+/i, 'for the first ')
    : undefined;
}

/** "Forty four, out", "I'm through, fifty five", while the camera is in water: no pass. */
function outOfWater({ items }: Talk, text: string): string | undefined {
  const isIn = items.some(
    ({ entry }) =>
      entry.to_ft === undefined &&
      (entry.kind === 'hidden' || (entry.kind === 'finding' && entry.finding === 'belly')),
  );
  const first =
    /^\W*(?:(?:and|okay|now|we're|i'm)\W+)*(?:out|through(?:\s+it)?),\s*(?=[a-z\d\s.-]{2,30}(?:,\s*clear(?:\s+again)?)?\W*$)/i;
  if (isIn && first.test(text)) return text.replace(first, 'out of the water at ');
  return isIn && /^\W*[a-z\d\s.-]{2,30},\s*(?:(?:we're|i'm|and|now|okay)\s+)*out\W*$/i.test(text)
    ? text.replace(/\bout\W*$/i, 'out of the water')
    : undefined;
}

const thenPipe = new RegExp(
  String.raw`^\W*(?:(?:and|so|but)\W+)*(?:[^.;]{0,40},\s*)?(?:it|that|this)\s+(?:goes|runs|lasts|continues|keeps\s+going)\s+(?:(?:on|out|all\s+the\s+way|for)\s+)*(?:to|till|until)\s+([^,.;]+?)\s*,?\s+(?:and\s+)?then\s+(?:(?:it's|it|goes|back|we're|you're|to|in|into|the|old)\s+)*(${anyMaterial})(?:\s+(?:again|pipe))*\W*$`,
  'i',
);

/** "New PVC. It goes to forty nine and then back into clay": that piece of pipe does. */
function pieceEnds({ items }: Talk, text: string): string | undefined {
  const [, end, far] = thenPipe.exec(text) ?? [];
  return end !== undefined && items.at(-1)?.entry.kind !== 'finding'
    ? `at ${end} change to ${far}`
    : undefined;
}

const pipeFromThere = new RegExp(
  String.raw`^\W*(?:(?:and|so|then)\s+)?(?:from\s+(?:there|here)|(?:after|past|beyond)\s+(?:that|this|it))(?:\s+(?:on|out|down|up))*\s*,?\s+(?:it's|it\s+is|we're\s+in(?:to)?|it\s+goes\s+to|you've\s+got|we've\s+got)\s+(?:(?:all|old|the|just)\s+)*(?=(?:[a-z]+\s+)?${anyMaterial}\b)`,
  'i',
);

const pipeAfterThat = new RegExp(
  String.raw`^\W*(?:(?:and|so|then|it's|it\s+is|we're\s+in|all|old|just)\s+)*(?=((?:[a-z]+\s+inch\s+)?${anyMaterial})\b)\1(?:\s+pipe)?(?:\s+all)?\s*,?\s+(?:(?:on\s+)?from\s+(?:there|here)|after\s+(?:that|this)|on\s+out)(?:\s+(?:on|out|down|up))*(?=\s*(?:$|[,.;]))`,
  'i',
);

/** "Nineteen's the wall. From there it's clay tile", "cast iron from there": the pipe changes where the head is. */
function fromThereOn({ reading, pipe }: Talk, text: string): string | undefined {
  if (reading === undefined) return undefined;
  const [, after] = pipeAfterThat.exec(text) ?? [];
  if (after !== undefined)
    return meaningsIn(after).some((each) => each.is === 'material' && each.material === pipe?.material)
      ? undefined
      : text.replace(pipeAfterThat, `at ${reading} change to ${after}`);
  const [lead = ''] = pipeFromThere.exec(text) ?? [];
  if (pipe === undefined && !/\b(?:after|past|beyond)\b/i.test(lead)) return undefined;
  return lead !== '' ? text.replace(pipeFromThere, `at ${reading} change to `) : undefined;
}

/** "Cleanout's four foot deep by the way": the one the camera went in by, as long as no other was named. */
function wayInDepth({ points }: Talk, text: string): string | undefined {
  const [, deep] = depthOfWayIn.exec(text) ?? [];
  const isOnly = points.every(({ id, kind }) => id === accessId || kind !== 'cleanout');
  return deep !== undefined && isOnly ? `at zero located, depth ${deep}` : undefined;
}
const depthOfWayIn =
  /^\W*(?:(?:and|so|okay|now)\W+)*(?:(?:the|this|our|my|that)\s+)?(?:(?:house|front|street|yard|downstairs)\s+)?(?:cleanout|clean\s+out)(?:\s+(?:here|we're\s+in|i'm\s+in|i\s+went\s+in))?(?:'s|\s+is|\s+was)\s+(?:(?:about|around|maybe|like|only|right\s+at|probably)\s+)*([a-z\d' -]{1,30}?\s*(?:feet|foot|ft|')(?:\s+[a-z\d]+)?)\s+(?:deep|down)\b(?:[\s,]+(?:by\s+the\s+way|there|here|so|below\s+grade))?\W*$/i;

const twoPlaces = new RegExp(
  String.raw`^(\W*(?:(?:and|so|okay|at|around|about)\s+)*)([a-z\d. -]+?)\s*,\s*([a-z\d. -]+?)(?:\s+(?:foot|feet|ft))?(?:\s*,\s+|\s+)(?!${aNumber})(?!(?:and|of|to|or|through|foot|feet|ft|in|inch(?:es)?|percent|degrees?|point|hundred|o'?clock)\b)(?=[a-z])`,
  'i',
);

/** "Forty four, forty five bend": what a bend turns by. */
const isTurn =
  /^(?:forty[\s-]five|ninety|twenty[\s-]two(?:\s+and\s+a\s+half)?|eleven(?:\s+and\s+a\s+quarter)?)$/i;

/** "Eleven, twelve, little bit of water": about halfway, as "eleven twelve" is. */
function betweenTwo(text: string): string | undefined {
  const [said = '', lead = '', ...places] = twoPlaces.exec(text) ?? [];
  if (isTurn.test(places[1] ?? '') && /^(?:bend|turn|ell|elbow|sweep|degree)/i.test(text.slice(said.length)))
    return undefined;
  const [one, other] = places.map((place) => Number(normalize(place).heard.text));
  return one !== undefined && other === one + 1
    ? `${lead}about ${one + 0.5}, ${text.slice(said.length)}`
    : undefined;
}

const upTo = new RegExp(
  String.raw`^((?:(?!\b(?:from|at)\b|${aNumber})[^.;])*?)\s+all\s+the\s+way\s+(?:(?:down|up|out|over|back|in)\s+)?to\s+(?:the\s+(?:stack|wall|end|corner)\s+at\s+)?(?=${aNumber})`,
  'i',
);

/** "Heavy scale all the way up, I can't get past forty six" */
const untilStopped =
  /\s+all\s+the\s+way(?:\s+(?:up|down|out|in|back))?\s*,\s*(?:(?:and|so|i|we)\s+)*(?:can't|couldn't|cannot)\s+(?:get|go|push)\s+(?:past|by|beyond)\s+([a-z\d\s.-]+?)(?:\s+(?:feet|foot))?\W*$/i;

const onlyTo = new RegExp(
  String.raw`^((?:(?!\b(?:from|at)\b|${aNumber})[^.,;\d])*?\b(?:scal(?:e|ing)|roots?|grease|sludge|rust|staining|tuberculation|corrosion|debris|silt|build-?\s?up|crack(?:s|ing)?))\s+to\s+(?=(?:(?:about|around|maybe)\s+)*${aNumber}(?:[\s-](?!inch|percent|o'?clock)[a-z]+){0,4}\W*$)`,
  'i',
);

/** "Scale all the way to the stack at nine", "some scale to about six": from where the head is. */
function allTheWayTo({ reading = 0 }: Talk, text: string): string | undefined {
  const [, until] = untilStopped.exec(text) ?? [];
  if (until !== undefined)
    return text.replace(untilStopped, ` from ${reading} to ${until}, stopped at ${until}`);
  const pattern = [upTo, onlyTo].find((each) => each.test(text));
  const [, what] = pattern?.exec(text) ?? [];
  return pattern && what !== undefined && meaningsIn(what.trim()).some(({ is }) => is === 'finding')
    ? text.replace(pattern, `$1 from ${reading} to `)
    : undefined;
}

const lead = String.raw`^\W*(?:(?:and|so|okay|then|but)\W+)*`;
const beforePlace = String.raw`\s+(?:(?:at|by|around|about|near|after|past|right|somewhere)\s+)*(?=${aNumber})`;
const thing = String.raw`((?:the|those|these|all|that)\s+(?:[a-z]+\s+)?[a-z]+|[a-z]+|they|it|that)`;
/** How it is put, and whether that is where it ends or where it goes on to. */
const endings: readonly (readonly [says: RegExp, goesOn: boolean])[] = [
  [
    new RegExp(
      String.raw`${lead}${thing}\s+(?:(?:kind\s+of|sort\s+of|pretty\s+much|all|start\s+to|starts\s+to|finally)\s+)*(?:thins?\s+out|quits?|dies?\s+(?:out|off|down)|tapers?\s+(?:off|out|down)|peters?\s+out|fades?(?:\s+(?:out|away))?|trails?\s+off|disappears?|goes?\s+away)${beforePlace}`,
      'i',
    ),
    false,
  ],
  [
    new RegExp(
      String.raw`${lead}(?:(?:it|we|pipe|line)(?:'s|'re|\s+is)?\s+)?(?:no\s+more(?=.*\b(?:after|past)\b)|(?:that's\s+)?the\s+last\s+of|last\s+of|clear\s+of|done\s+with|out\s+of)\s+((?:the\s+|those\s+)?[a-z]+)${beforePlace}`,
      'i',
    ),
    false,
  ],
  [
    new RegExp(
      String.raw`${lead}(?:(that|it|this|(?:(?:that|the)\s+)?[a-z]+)\s+)??(?:follows?|tracks?|wanders?|travels?|stretches|carries|(?:you|i|we)\s+can\s+(?:follow|trace|see)\s+it)\s+(?:(?:along|on|out|down|up|run|go|the\s+pipe|with\s+the\s+pipe|all\s+the\s+way)\s+)*(?:to|till|until|through)\s+(?=(?:about\s+|around\s+|maybe\s+)?${aNumber})`,
      'i',
    ),
    true,
  ],
  [
    new RegExp(
      String.raw`${lead}((?:that|the)\s+[a-z]+?)(?:'s|\s+is)\s+still\s+(?:there|going|cracked|with\s+us)${beforePlace}`,
      'i',
    ),
    true,
  ],
];

/** "Those roots thin out by twenty one", "it follows along till about twenty six": where the newest finding ends. */
function whereItEnds({ items, pass }: Talk, text: string): string | undefined {
  const last = items.at(-1)?.entry;
  if (last?.kind !== 'finding' || last.to_ft !== undefined || last.pass !== pass) return undefined;
  for (const [says, goesOn] of endings) {
    const [said, what = 'it'] = says.exec(text) ?? [];
    if (said === undefined) continue;
    const isIt =
      /^(?:they|it|that|this)$/i.test(what) ||
      meaningsIn(what).some((each) => each.is === 'finding' && each.finding === last.finding);
    if (isIt) return `${goesOn ? 'it goes to' : `${what} ends at`} ${text.slice(said.length)}`;
  }
  return undefined;
}

/** "It's every joint from twelve out to twenty eight", "same at every joint to twenty eight": what was found last. */
function atEveryJoint({ items, pass }: Talk, text: string): string | undefined {
  const says =
    /^\W*(?:(?:and|so|then)\W+)*(?:(?:it's|that's|they're|it\s+is)\s+(?:at\s+|in\s+)?|same\s+(?:thing\s+)?(?:at|in|on)\s+)(?:every|each)\s+(?:single\s+)?joint\s+(?:(?:from\s+[a-z\d\s.-]+?|from\s+there|after\s+that)\s+)?(?:(?:out|on|all\s+the\s+way)\s+)*to\s+/i;
  const last = items.at(-1)?.entry;
  const [said] = says.exec(text) ?? [];
  if (said === undefined || last?.kind !== 'finding' || last.to_ft !== undefined) return undefined;
  if (last.pass !== pass || !['roots', 'crack', 'offset'].includes(last.finding)) return undefined;
  return `every joint after that's got ${last.finding === 'roots' ? 'roots' : `${last.finding}s`} out to ${text.slice(said.length)}`;
}

const pieceNext = new RegExp(
  String.raw`^\W*(?:(?:and|so|okay|then|there's|there\s+is|we've\s+got|we\s+have|for|about|the|got)\W+)*?(next\s+)?([a-z\d-]+(?:\s+and\s+a\s+half)?)\s+(?:feet|foot)\s*,?\s+(of\s+)?(?:(?:is|are|it's|we're\s+in|all|old|new)\s+)*(${anyMaterial})(?:\s+pipe)?(?:\s*,?\s+(?:and\s+)?then\s+(?:(?:it's|back|to|in|into)\s+)*${anyMaterial}(?:\s+again)?)?\W*$`,
  'i',
);

/** "Joint at seventeen. Next five feet is plastic", "five feet of plastic and then clay again": from where the head is. */
function nextFeet({ reading = 0 }: Talk, text: string): string | undefined {
  const [, next, said = '', of, pipe = ''] = pieceNext.exec(text) ?? [];
  if ((next ?? of) === undefined || reading <= 0) return undefined;
  const long = Number(/\d+(?:\.\d+)?/.exec(normalize(`${said} feet`).heard.text)?.[0]);
  return Number.isNaN(long) || (long >= reading && next === undefined)
    ? undefined
    : `from ${reading} to ${reading + long} it's ${pipe}`;
}

const turnsAlike =
  /\b(?:(?:to|in|going|turning|goes)\s+)*(?:(?:the|that)\s+)?(?:(same)|other|opposite)\s+(?:direction|way)(?:\s+again)?\b/i;

const mainAhead =
  /\bmain\b[^,.;]{0,20}\b(?:ahead|coming\s+up)\b|\b(?:see|coming\s+up\s+(?:on|to))\s+the\s+main\W*$/i;

/** "I can see the main ahead", and then "at forty nine there it is". */
function thereItIs({ notes }: Talk, text: string, index: number): string | undefined {
  const found = /\b(?:there|here)\s+(?:it\s+is|we\s+(?:are|go))\b/i;
  const isNext = () => [1, 2].some((back) => mainAhead.test(notes.get(index - back)?.sentence ?? ''));
  return found.test(text) && isNext() ? text.replace(found, "that's the main") : undefined;
}

/** "Forty four, another forty five, same direction": as the last bend turned, or the other way. */
function sameTurn({ items }: Talk, text: string): string | undefined {
  const [, same] = turnsAlike.exec(text) ?? [];
  const last = items.at(-1);
  const clock = last?.point?.kind === 'bend' ? last.point.clock : undefined;
  if (!turnsAlike.test(text) || (clock !== 3 && clock !== 9)) return undefined;
  return text.replace(turnsAlike, (clock === 3) === (same !== undefined) ? 'to the right' : 'to the left');
}

/** "Thirty five, back to round": what was out of round ends. */
function roundAgain({ items }: Talk, text: string): string | undefined {
  const isOut = items.some(
    ({ entry }) => entry.kind === 'finding' && entry.finding === 'deformation' && entry.to_ft === undefined,
  );
  const round =
    /\b(?:(?:it's|it\s+(?:goes|comes|is)|pipe's)\s+)?(?:back\s+to\s+round|back\s+round|round\s+again)(?:\s+again)?\W*$/i;
  return isOut && round.test(text) ? text.replace(round, 'deformation ends') : undefined;
}

/** "Every joint from here to twenty eight", "every joint from here on": "here" is the head's position. */
function fromHere(talk: Talk, sentence: string): string {
  // "Water behind it, half inch, back to ten"
  const text = sentence.replace(
    /(?<=\bwater\b.{0,30})\bbehind\s+(it|that|this),\s*([^,;]{2,24}),\s+(?=(?:all\s+the\s+way\s+)?back\s+to\s)/i,
    '$2, water behind $1 ',
  );
  const here =
    /\bfrom\s+(?:here|there)\s+(?:on\s+)?(?:out\s+|up\s+|down\s+|back\s+)?(?=to\b|through\b)/i.exec(text) ??
    /(?<=\bwater\b.{0,30})\bbehind\s+(?:it|that|this|the\s+[a-z]+)\s+(?:all\s+the\s+way\s+)?(?:back\s+)?(?=to\s)/i.exec(
      text,
    ) ??
    /(?<=\b(?:every|each|all)\b.{0,20}\bjoints?\b.*)\bfrom\s+(?:here|there)\s+(?=on\b|out\b)/i.exec(text);
  if (!here) return text;
  // "Eighteen, the pipe's flat from here to twelve": the place it begins with.
  const said = /^\W*(?:at\s+)?~?\s*(\d+(?:\.\d+)?)\b/.exec(
    normalize(text.slice(0, here.index)).heard.text,
  )?.[1];
  const reading = said ?? talk.reading;
  return reading === undefined
    ? text
    : `${text.slice(0, here.index)}from ${reading} ${text.slice(here.index + here[0].length)}`;
}
