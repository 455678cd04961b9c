import { normalize, type NormalizedText } from '../speech/normalize.js';
import { meaningsIn } from '../speech/phrases.js';
import { mostDepth_ft, type Talk } from './talk.js';

/** "Okay, locating now on the way back": what follows are places and depths. */
const begins =
  /\b(?:locating|(?:(?:i|we)(?:'ll|'m\s+going\s+to|'re\s+going\s+to|\s+will)|i'm\s+gonna|gonna|let's|let\s+me)\s+locate\s+(?:it|that|this|her)(?=\W*$)|(?:taking|getting|shooting|doing)\s+(?:the\s+|my\s+|our\s+|some\s+)?(?:locates|depths)|depths\s+now|^(?:depths|locates)(?=\W*$)|depth\s+(?:shots|readings|checks))\b/i;

const feet = String.raw`\d{1,2}(?:\.\d+)?\s*(?:feet|foot|ft|')(?:\s*(?:even|flat|\d{1,2}\s*(?:in(?:ch(?:es)?)?|")?))?`;
const spoken = String.raw`\d{1,2}\s+(?:1[01]|\d)`;
const inches = String.raw`\d{1,2}(?:\.\d+)?\s*in(?:ch(?:es)?)?`;
/** A place, what lies there, and a depth: "52, the transition, 6 foot, flag in the flower bed". */
const located = new RegExp(
  String.raw`^\D*?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s+on\s+the\s+(?:reel|counter|cable)|\s+at\s+[^,\d]*)?(?:\s*,(?:[^,\d]*,)?|(?=\s+(?:it's|is|reads)\b))\s*(?:(?:about|around|it's|at|~|is|reads|says)\s*)*(${feet}|${spoken}|${inches}|\d{1,2}\.\d+)(?:\s+(?:deep|down))?(?:\s+to\s+(?:the\s+)?(?:top|crown|center|middle)(?:\s+of\s+(?:the\s+|our\s+)?(?:pipe|line))?)?\s*(?:[.;]|$|(,.*)$)`,
  'i',
);

/** No pipe lies less deep than this, in. */
const leastDepth_in = 12;

/** The words without marks between them. */
const plainly = ({ heard }: NormalizedText): string =>
  heard.text.replaceAll(/[¦"]/g, ' ').replaceAll(/\s+/g, ' ').trim();

/** "Locates: cleanout's two foot nine, tap is eight and a half feet": what was located, each with its depth. */
const list = /^\W*(?:(?:the|my|our|got)\s+)*(?:locates|depths)\b\s*(?:are|were)?\s*[:,-]?\s+/i;
const listed = new RegExp(
  String.raw`^\s*(?:(?:the|and|then)\s+)*([a-z]+(?:\s+[a-z]+){0,2}?)(?:'s|\s+(?:is|was|at|reads)|\s*,)?\s+(?:(?:about|around|~)\s*)*(${feet}|${spoken}|${inches})(?:\s+(?:deep|down))?\W*$`,
  'i',
);

/** "I marked the cave in out in the yard, it's three foot six deep there": a thing named before, and its depth. */
const markedThing = new RegExp(
  String.raw`^\W*(?:i|we)(?:'ve|\s+have)?\s+(?:just\s+|also\s+|already\s+)?(?:marked|located|painted|flagged|staked|shot)\s+(?:the|that)\s+([a-z]+(?:[\s-][a-z]+)?)\b(?:\s+[^,;\d]*)?,\s*(?:(?:it's|it\s+is|that's|it|was|about|around|~|at|and|reads?|showed|is)\s+)*(${feet}|${spoken}|${inches})(?:\s+(?:deep|down))(?:\s+(?:there|here))?\W*$`,
  'i',
);

const toPipe =
  /\s*,?\s+to\s+(?:the\s+)?(?:top|crown|center|middle)(?:\s+of\s+(?:the\s+|our\s+)?(?:pipe|line))?\W*$/i;

/** The sentence as locates, each at a thing named before; undefined where it is no list of them. */
function asLocates(text: string): string | undefined {
  const lead = list.exec(text)?.[0];
  if (lead === undefined) return undefined;
  const all = text
    .slice(lead.length)
    .split(/\s*[,;]\s*/)
    .map((each) => listed.exec(plainly(normalize(each))));
  if (!all.every((each) => each !== null)) return undefined;
  return all.map(([, thing = '', depth = '']) => `locate at the ${thing}, depth ${inFeet(depth)}`).join('; ');
}

/**
 * While the talk goes from locate to locate: the sentence as a locate, with its depth in feet and inches; undefined where
 * it says no place and depth.
 */
export function asLocate(talk: Talk, text: string, hearing: NormalizedText): string | undefined {
  const several = asLocates(text);
  if (several !== undefined) return several;
  const [, marked, markedAt = ''] = markedThing.exec(plainly(hearing)) ?? [];
  if (marked !== undefined) return `locate at the ${marked}, depth ${inFeet(markedAt)}`;
  if (begins.test(text) && !/\d/.test(hearing.heard.text)) talk.takingDepths = true;
  if (talk.takingDepths !== true && talk.items.at(-1)?.entry.kind !== 'locate') return undefined;
  const [, thing, itsDepth = ''] = talk.takingDepths
    ? (listed.exec(plainly(hearing).replace(toPipe, '')) ?? [])
    : [];
  if (thing !== undefined)
    return isPlaced(talk, thing) ? `locate at the ${thing}, depth ${inFeet(itsDepth)}` : '';
  const [, at, depth = '', mark = ''] = located.exec(plainly(hearing)) ?? [];
  if (at === undefined) return undefined;
  // "36, dropped joint, inch and a half": its size, not how deep it lies.
  if (/^[\d.]+\s*in/i.test(depth) && Number.parseFloat(depth) < leastDepth_in) return undefined;
  // "50 feet, a crack, 53 feet, a broken pipe": two places.
  if (Number.parseFloat(depth) > mostDepth_ft && !/^[\d.]+\s*in/i.test(depth)) return undefined;
  if (namesFinding(mark)) return undefined;
  return `at ${at} located ${inFeet(depth)} deep${mark}`;
}

/** "Tree, four foot eight": where no tree was read, there is nowhere to put its depth. */
const isPlaced = ({ points, items }: Talk, thing: string): boolean =>
  meaningsIn(thing).some((each) => {
    if (each.is === 'finding')
      return items.some(({ entry }) => entry.kind === 'finding' && entry.finding === each.finding);
    if (each.is === 'kind') return items.some(({ entry }) => entry.kind === each.kind);
    if (each.is !== 'point') return false;
    const alike = points.filter(({ kind }) => kind === each.kind);
    return alike.some(
      ({ id, reading_ft }) =>
        reading_ft !== undefined || items.some(({ entry }) => entry.kind === 'point' && entry.point === id),
    );
  });

const namesFinding = (said: string): boolean => meaningsIn(said).some(({ is }) => is === 'finding');

/** "31 inches", "7 11", "6 foot even": in feet and inches. */
function inFeet(depth: string): string {
  const [whole = 0, part] = [...depth.matchAll(/\d+(?:\.\d+)?/g)].map(([number]) => Number(number));
  if (/^\S+\s*in/i.test(depth)) return `${Math.floor(whole / 12)}' ${whole % 12}"`;
  return part === undefined ? `${whole} ft` : `${whole}' ${part}"`;
}
