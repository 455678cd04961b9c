import type { Talk } from './talk.js';

const back =
  /\b(?:pull(?:ing|ed)?\s+(?:it\s+|her\s+|the\s+camera\s+|slow(?:ly)?\s+)*(?:back|out)(?!\s+(?:of\s+(?:here|there|it)\s+(?:and|then)\s+(?:run|get|grab|cut|jet|cable|clean|put|swap)\b|a\s+(?:little|bit|foot|hair|touch)\b|(?:to|and|for)\s+(?:(?:take|get|have|a|another|better)\s+)*(?:look|see|check|view|clear|clean|wipe)|\s*,?\s*(?:(?:and|then|so|i'm|we're|we|i)\s+)*(?:gonna|going\s+to|to)\s+(?:go\s+)?(?:cut|jet|clean|cable|clear|swap|get|grab|put|switch|change)))|(?:com(?:e|ing)|head(?:ing)?|work(?:ing)?|go(?:ing)?|bring(?:ing)?\s+(?:it|her))(?<!\b(?:roots?|they|grease|growth)(?:'re|'ve|\s+have|\s+are|\s+is|\s+will\s+be|\s+have\s+been|\s+keep)?\s+(?:just\s+|already\s+)?com(?:e|ing))\s+(?:our\s+way\s+|my\s+way\s+)?back(?!\s+(?:to(?!\s+(?:the\s+|our\s+|my\s+)?(?:cleanout|access|start|beginning|truck|reel|zero)\b)|in|out\s+of|and\s+look|up(?!\s+(?:the|to|toward)\b))\b)|(?:coming|heading|working)\s+(?:our\s+way\s+|my\s+way\s+)?back\s+up\W*$|(?<!\b(?:water|sewage)(?:'s|\s+is|\s+keeps|\s+was)?\s+)backing\s+(?:it\s+)?(?:out|up)|(?:on|over)\s+(?:the|my|our)\s+way\s+back|turn(?:ing)?\s+(?:it\s+)?around|start(?:ing)?\s+(?:to\s+pull|back)|retract(?:ing)?|retriev(?:e|ing)|reel(?:ing)?\s+(?:it\s+|her\s+|this\s+)?(?:in|back|out|up)|(?:going|moving|running)\s+in\s+reverse|bring(?:ing)?\s+(?:it|her|this|the\s+camera)\s+(?:home|in|out)|(?<=^\W*(?:(?:okay|ok|and|so|now|alright|all\s+right)\W+)*(?:(?:i'm|we're)\s+)?)coming\s+out(?=(?:\s+now)?\W*$))\b/i;
const out =
  /\b(?:push(?:ing|ed)?\s+(?:it\s+|her\s+|on\s+|back\s+|slow(?:ly)?\s+)*(?:out|in|on|down|forward|ahead|downstream|through)|(?:go(?:ing)?|head(?:ing)?)\s+(?:on\s+)?(?:out|downstream|down\s+the\s+(?:line|pipe))|on\s+(?:the|my|our)\s+way\s+(?:out|in|down)|(?:nosing|squeezing|easing|working|going|pushing)\s+(?:(?:it|her|on)\s+)?(?:past|by|around|over|through)\s+(?:it|that|this)\b|continu(?:e|ing)\s+(?:on\s+)?(?:out|downstream|down)|back\s+(?:again|at\s+it|down\s+(?:here|there))(?=\s+(?:now\s+)?after\b)|back\s+in(?=\s*(?:$|[,.;]|(?:again|now|after|with|there)\b)))\b/i;
/** "Not sure I can get over that coming back": what may be, no turn. */
const supposed =
  /\b(?:not\s+sure|don't\s+know|if|whether|might|may|could|can|can't|hope(?:fully)?|trouble|worr(?:y|ied)|careful|hard)\b[^,.;]*$/i;
/** "Gonna have to jet this and come back": another day. */
const another = /\b(?:have|need|gonna|going|got)\s+(?:to\s+)?[^,.;]*\band\s+$/i;
/** Mentions the other pass without turning: "I had that at 32 on the way out". */
const remembered = /\b(?:had|saw|called|marked|logged|read)\b/i;

const isSupposed = (before: string, said: string): boolean =>
  supposed.test(before) || (/^come\b/i.test(said) && another.test(before));

/** Where a sentence says that the head turns, and in which direction. */
export function turnIn(text: string): { readonly at: number; readonly pass: 'out' | 'back' } | undefined {
  if (remembered.test(text) && /\bon\s+(?:the|my|our)\s+way\b/i.test(text)) return undefined;
  const turns = [
    { match: back.exec(text), pass: 'back' as const },
    { match: out.exec(text), pass: 'out' as const },
  ].flatMap(({ match, pass }) =>
    match && !isSupposed(text.slice(0, match.index), match[0]) ? [{ at: match.index, pass }] : [],
  );
  return turns.sort((a, b) => a.at - b.at)[0];
}

const toHouse =
  /\b(?:heading|going|pushing|working|coming|running|shooting)\s+(?:back\s+)?(?:up\s+)?(?:to|toward|towards)\s+the\s+(?:house|building|foundation)\b/i;

/** "Heading back up to the house": pushing out, where that is where the head looks. */
function towardEnd({ direction }: Talk, text: string): ReturnType<typeof turnIn> {
  const to = direction === 'upstream' ? toHouse.exec(text) : null;
  return to ? { at: to.index, pass: 'out' } : undefined;
}

/** Words for what should be done, was reported by others, or was there once: none of it was seen now. */
const notSeen =
  /\b(?:(?:gonna|going\s+to|i'll|let\s+me|let's|we'll)\s+(?:go\s+)?(?:locate|mark|get\s+a\s+locate|find|put)|(?:i|we)\s+want\s+to\s+(?:go\s+)?(?:locate|mark|find|get|look|see|show|put)|gonna\s+want|going\s+to\s+want|you(?:'ll|\s+will)\s+(?:want|need)|needs?\s+to\s+(?:be|get)|we\s+need\s+to|should\s+(?:be|get|probably)|supposed\s+to\s+(?:be|have)|(?:gonna|going\s+to|will|would|could|might)\s+(?:catch|grab|snag|collect|clog|plug|cause|hang\s+up|back\s+up)|recommend|would\s+(?:like|want|suggest|recommend)|i'd\s+(?:like|suggest|recommend)|come\s+back\s+and|price|quote|estimate|customer|homeowner|tenant|neighbor|they\s+(?:said|told|had|say)|(?:he|she)\s+(?:said|told|says)|last\s+(?:year|time|month|week)|years?\s+ago|usually|in\s+case|let\s+me\s+know|thanks|thank\s+you|looking\s+for|watch(?:ing)?\s+for|keep\s+an\s+eye|if\s+(?:you|we|there|it)|used\s+to|typical|before\s+we|called\s+(?:us|me)|backs?\s+up\s+(?:every|when)|been\s+having|history\s+of|(?:all\s+in\s+all|to\s+sum\s+(?:it\s+)?up|in\s+summary|bottom\s+line)|^\W*so\s+(?:basically\s+)?(?:you've|we've)\s+got)\b/i;

export const speaksOfOther = (text: string): boolean => notSeen.test(text);

/** An address, or something that is gone: not a reading of anything there now. */
export const isElsewhere = (text: string): boolean =>
  /(?<!\b(?:the|city)\s)\b(?:street(?!\s+(?:connection|tap|tie[\s-]?in|main|side)\b)|avenue|boulevard|road|drive|court|lane)\b/i.test(
    text,
  ) || /\b(?:were|was)\b.{0,30}\b(?:gone|cleaned\s+out|cut\s+out|removed)\b|\bused\s+to\s+be\b/i.test(text);

/** "Guessing the main is at sixty", said where the camera went no farther: nobody saw it. */
export const guessesMain = ({ items, pass }: Talk, text: string): boolean =>
  items.some(({ entry }) => entry.kind === 'stop' && entry.pass === pass) &&
  /\b(?:guess(?:ing)?|figur(?:e|ing)|assum(?:e|ing)|suppose|bet)\b[^,.;]{0,25}\bmain\b/i.test(text);

const onTheWayOut = /^\W*(?:(?:and|so|now|okay)\W+)*on\s+(?:the|my|our)\s+way\s+out\b/i;

/** "On the way out", once the camera is pulled out: on the way back. */
export const asOnTheWay = ({ pulledOut }: Talk, text: string): string =>
  pulledOut ? text.replace(onTheWayOut, 'on the way back') : text;

/**
 * Changes the pass at the start of a sentence that begins with it, or after the things of a sentence that ends with it.
 */
export function turn(talk: Talk, text: string, firstThingAt: number | undefined): () => void {
  const turned = towardEnd(talk, text) ?? turnIn(text);
  if (!turned) return () => undefined;
  const now = () => {
    talk.pass = turned.pass;
    talk.pulledOut =
      turned.pass === 'back' && (talk.pulledOut || /\b(?:out|in)\b/i.test(text.slice(turned.at)));
  };
  if (firstThingAt === undefined || turned.at < firstThingAt) {
    now();
    return () => undefined;
  }
  return now;
}
