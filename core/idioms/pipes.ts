import { materialRegistry } from '../catalog/materials.js';
import { asNote, boundary, placeFirst, quoted, type Idiom } from './traced-text.js';

/** Any word for a material, the longest first. */
export const anyMaterial = `(?:${materialRegistry.rows
  .flatMap(({ spoken }) => spoken)
  .sort((a, b) => b.length - a.length)
  .join('|')})`;

/** "cast iron", "asbestos cement": two words, one material. */
const oneMaterial = new RegExp(`^${anyMaterial}$`, 'i');

const feetLong = String.raw`\d+(?:\.\d+)?\s*-?\s*(?:feet|foot|ft|')(?:\s+long)?`;

/** Pipes while numbers are still words. */
export const spokenPipes: readonly Idiom[] = [
  // "six feet of plastic, then we get into the old clay"
  [
    new RegExp(
      String.raw`\b(?<=\b(?:feet|foot|ft)\s+(?:of\s+)?[a-z\s]{2,24},?\s+(?:and\s+)?)then\s+(?:it's|it|we're|we|you're|you)\s+(?:(?:get|gets|getting|go|goes|going|back|right)\s+)*in(?:to)?\s+(?:(?:the|some|old)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    'then ',
  ],
  // "eight feet of new ABS, and there's a rubber boot onto cast"
  [
    new RegExp(
      String.raw`(?<=\b(?:feet|foot|ft)\s+of\s+(?:(?:new|old|white|black)\s+)*${anyMaterial}(?:\s+pipe)?)\s*,?\s+(?:(?:and|then|there's|it's\s+got|with|an?)\s+)*(?:(?:rubber|shielded|flex|no-?hub)\s+)?(?:boot|coupling|band|adapter|transition)\s+(?:on\s?to|in\s?to|to|over\s+to)\s+(?:(?:the|old)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ', then a coupling to ',
  ],
  // "no, other way around, clay to cast": what follows is meant.
  [
    new RegExp(
      String.raw`\b(?:(?:no|wait|sorry)\W+)*(?:the\s+)?other\s+way\s+a?round\s*,\s*(?:it's\s+)?(?=${anyMaterial}\s+(?:in)?to\s+${anyMaterial}\b)`,
      'gi',
    ),
    'no, ',
  ],
  // "36, back in the old clay", "another coupling and we're back in clay": no way back of the camera.
  [
    new RegExp(
      String.raw`\bback\s+(?:to|in|into|onto)\s+(?:the\s+)?(?:(?:original|old|same|existing|regular)\s+)+(?=${anyMaterial}\b)`,
      'gi',
    ),
    'back to ',
  ],
  [
    new RegExp(
      String.raw`(?<=\b(?:coupling|band|boot|adapter))\s*(?:,|\band\b)\s*(?:we're\s+|it's\s+|then\s+)*back\s+(?:to|in|into)\s+(?:the\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ', turns to ',
  ],
];

/** Which pipe lies where, how wide it is, and whether it is lined, once numbers are digits. */
export const pipeIdioms: readonly Idiom[] = [
  // "after 14 it's all clay"
  [
    new RegExp(
      String.raw`\b(?:after|past|beyond)\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:it's|it\s+is|(?:you're|we're)\s+in|it\s+goes\s+to)\s+(?:all\s+)?(?=(?:old\s+|new\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ([, at = '']) => `at ${at} change to `,
  ],
  // "first 14 feet is cast iron, rest is clay"
  [
    new RegExp(
      String.raw`\b(?:the\s+)?(?:first|0\s+to)\s+(~?\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s*(?:is|are|'s)\s+(?:all\s+)?(${anyMaterial})\s*,?\s+(?:and\s+)?(?:then\s+)?(?:the\s+)?(?:rest|remainder)(?:\s+of\s+(?:it|the\s+(?:line|pipe)))?(?:'s|\s+is|\s+are)\s+(?:all\s+)?(${anyMaterial})\b`,
      'gi',
    ),
    ([, at = '', near = '', far = '']) => `at ${at} ${near} > ${far}`,
  ],
  // "14, there's a patch of PVC to 17"
  [
    new RegExp(
      String.raw`(?<=^\s*)(?:at\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:¦\s*)?(?:there's\s+)?an?\s+(?:new\s+|little\s+|short\s+)?(?:patch|piece|section|stick|run)\s+of\s+(${anyMaterial})\s+(?:that\s+goes\s+|going\s+|out\s+)?to\s+(~?\d+(?:\.\d+)?)(?=\s*(?:$|[,.;]|feet|foot|ft))`,
      'gi',
    ),
    ([, from = '', pipe = '', to = '']) => `${pipe} from ${from} to ${to}`,
  ],
  // "it's 4 inch PVC to start": no change there.
  [
    new RegExp(
      String.raw`\bto\s+(?:start|begin)(?:\s+(?:with|out|off))?(?=\s*(?:$|[,.;]))(?<=\b(?:${anyMaterial}|pipe)\s*,?\s+to\s+(?:start|begin)(?:\s+(?:with|out|off))?)`,
      'gi',
    ),
    '',
  ],
  // "reducer at 14, 4 to 6": two sizes.
  [
    /(?<![\d.:])([2-9]|1[0-2])\s*(?:to|x|by)\s*([2-9]|1[0-2])(?=\s*(?:$|[,.;]))(?<=\b(?:reducer|increaser|reduces|reduction|size\s+change|changes\s+size)\b[^;]*)/gi,
    ([, one = '', other = '']) => `${one} in to ${other} in`,
  ],
  // "there's a liner from 14 to 20"
  [
    /\b(?:(?:an?|the)\s+)?(?:old\s+)?liner\s+(?:(?:runs|goes|is\s+in)\s+)?(?=(?:from\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:to|-)\s*~?\d)/gi,
    'lined ',
  ],
  // "the clay is cracked", "cast iron has heavy scale": what is wrong with it, not where it begins.
  [
    new RegExp(
      String.raw`(?<=^\s*(?:at\s+)?(?:~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'))?\s*,?\s+)?)(?:the\s+)?(?:${anyMaterial})(?:\s+(?:pipe|line))?(?:'s(?=\s+got\b)|\s+(?:is|are|was|has|have|looks|shows))\s+(?=(?:(?:some|a|an|heavy|bad|badly|all|pretty|really|very|several|got|hairline|big|small|little|thick|layer\s+of|coat\s+of|coating\s+of)\s+)*(?:crack|fractur|broke|break|gunk|sludge|scal|rust|corro|rott|spall|belli|sag|root|offset|separat|hole|collaps|crush|deform|flatten|squash|oval|shift|worn|leak|greas)[a-z]*)`,
      'gi',
    ),
    ' ',
  ],
  // "the cast is real rough from 9 to 17", "clay's in bad shape 9 to 17": how it looks there, not where it begins.
  [
    new RegExp(
      String.raw`(?<=^\s*)((?:the\s+)?(?:${anyMaterial})(?:\s+(?:pipe|line))?(?:'s|\s+(?:is|are|was|looks|gets))\s+(?:(?:all|pretty|really|real|very|kind\s+of|in|a|bit|little)\s+)*(?:rough|bad|good|great|decent|fine|ugly|tired|shot|beat\s+up|pitted|thin)(?:\s+shape|\s+looking)?)\s*,?\s+(?:from\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*(?:to|-)\s*(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[,;]|[.](?!\d)))`,
      'gi',
    ),
    ([, said = '', from = '', to = '']) => `${from} to ${to} note ${quoted(said)}`,
  ],
  // "we leave the cast, goes to clay", "leaves clay into pvc"
  [
    new RegExp(
      String.raw`\b(?:(?:we|it|i|camera)\s+)?leav(?:es?|ing)\s+(?:the\s+)?(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:(?:and|we|it|i)\s+)*(?:(?:go(?:es)?|going|gets?|changes?|drops?|enters?|comes?|moves?|switch(?:es)?|picks?\s+up)\s+)?(?:(?:in)?to\s+|on\s+)?(?:the\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '']) => `${near} to `,
  ],
  // "somebody's put a piece of pvc in, 4 ft worth"
  [
    new RegExp(
      String.raw`\b(?:(?:somebody|someone|they)(?:'s|'ve|\s+has|\s+have|\s+had)?\s+)?(?:put|stuck|set|dropped|laid|spliced|patched|threw)\s+(?:in\s+)?(?:an?\s+)?(?:(?:new|little|short)\s+)*(?:piece|stick|section|chunk|length|joint)\s+of\s+(${anyMaterial})(?:\s+pipe)?(?:\s+in)?(?:\s+(?:here|there))?\b`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} repair`,
  ],
  [
    new RegExp(
      String.raw`,?\s+(\d+(?:\.\d+)?\s*-?\s*(?:feet|foot|ft|'))(?:\s+or\s+so)?\s+worth\b(?<=\b${anyMaterial}\b[^;]*)`,
      'gi',
    ),
    ([, length = '']) => ` ${length} long`,
  ],
  // "coupling at 6.5 and then it's clay the rest of the way, far as I know", "and clay from there out"
  [
    new RegExp(
      String.raw`(?<=\b(?:coupling|transition|adapter|joint|band|boot|tee|wye|wall)\s+(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)\s*,?\s+(?:(?:and|then|from|there|it's|it\s+is|we're\s+in|all|old|on|out)\s+)*(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:(?:all\s+)?the\s+(?:rest\s+of\s+the|whole)\s+way|(?:on\s+)?from\s+(?:there|here)|after\s+that|on\s+out)(?:\s+(?:on|out|down|up))*(?:[\s,]+(?:as\s+)?far\s+as\s+(?:i|we|you)\s+(?:can\s+)?(?:know|see|tell))?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, pipe = '']) => `, change to ${pipe}`,
  ],
  // "clay from 3.5 on", "clay from 12"
  [
    new RegExp(
      String.raw`^\W*(?:(?:and|then|it's|it\s+is|all|old)\s+)*(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:from|starting\s+at)\s+(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s+(?:on|onwards?|out|down|up|forward))*(?=\s*[.]?\s*$)`,
      'gi',
    ),
    ([, pipe = '', at = '']) => `${at} change to ${pipe}`,
  ],
  // "then it's clay, 26 on"
  [
    new RegExp(
      String.raw`^\s*(?:(?:and|then|now|it's|it\s+is|we're|in|into|goes\s+to|back\s+to)\s+)*(?:old\s+)?(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:from\s+)?(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+on(?:wards?)?(?=\s*$)`,
      'gi',
    ),
    ([, pipe = '', at = '']) => `${at} change to ${pipe}`,
  ],
  // "to clay through a rubber coupling"
  [
    new RegExp(
      String.raw`(?<=\b${anyMaterial}(?:\s+pipe)?\s+)(?:through|via|with|using|by)\s+(?:an?\s+)?((?:[a-z]+\s+)?(?:coupling|adapter|boot))\b`,
      'gi',
    ),
    ([, coupling = '']) => quoted(coupling),
  ],
  // "pvc repair, 4 ft of it"
  [
    new RegExp(
      String.raw`,?\s+(\d+(?:\.\d+)?\s*-?\s*(?:feet|foot|ft|'))\s+of\s+it\b(?<=\b${anyMaterial}\b[^;]*)`,
      'gi',
    ),
    ([, length = '']) => ` ${length} long`,
  ],
  // "rubber coupling and then it's cast"
  [
    new RegExp(
      String.raw`\b(coupling|transition|adapter|joint)\s*,?\s+(?:(?:and\s+)?then|and(?=\s+(?:it's|it\s+is|we're)\s))\s+(?:(?:it's|it\s+is|we're|we|it|goes|go|into|in|to|back|becomes|old|new|the|some)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, what = '']) => `${quoted(what)} change to `,
  ],
  // "plastic quits and it's cast"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:stops|ends|quits|gives\s+out|runs\s+out|comes\s+to\s+an\s+end|(?:is|'s)\s+(?:done|over))\s*,?\s+(?:and|then)\s+(?:(?:then|it's|it\s+is|we're|we've\s+got|i've\s+got|in|into|to|goes)\s+)*(?=(?:old\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '']) => `${near} to `,
  ],
  // "coupling at 5.6 and it's clay on the other side", "transitions, rubber, to clay"
  [
    new RegExp(
      String.raw`\s*,?\s+(?:and\s+)?(?:then\s+)?(?:it's|it\s+is|we've\s+got|there's)\s+(?:old\s+)?(${anyMaterial})(?:\s+pipe)?\s+on\s+the\s+(?:other|far)\s+side\b`,
      'gi',
    ),
    ([, pipe = '']) => `, change to ${pipe}`,
  ],
  [
    new RegExp(
      String.raw`\b(?:transitions?|changes)\s*,\s*(?:an?\s+)?((?:rubber|shielded|banded|hard|glued)(?:\s+(?:coupling|one|band|adapter))?)\s*,\s*(?:in)?to\s+(?=(?:the\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ([, how = '']) => `${quoted(how)} change to `,
  ],
  // "52 clay to 6 pvc": the size of what follows, no place.
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:\d+\s*(?:in(?:ch)?\b|")?\s*)?${anyMaterial}\s+)(?:in)?to\s+(3|4|6|8|10|12)\s+(?=(?:new\s+|old\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ([, bore = '']) => `> ${bore} in `,
  ],
  // "vcp 6 in 3 ft jts": how long its pieces are.
  [
    new RegExp(
      String.raw`(?<=${anyMaterial}(?:\s+pipe)?(?:\s*,?\s*\d+\s*-?(?:in(?:ch)?\b|"))?)\s+(\d(?:\.\d)?)\s*-?(?:feet|foot|ft|')\s*(?:jts?|joints?|pcs?|pieces?|lengths?|sticks?|sections?)\b`,
      'gi',
    ),
    ([, long = '']) => `, ${long} ft pieces`,
  ],
  // "43 pvc repair to 49"
  [
    new RegExp(
      String.raw`(?<=^\s*)(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(${anyMaterial})\s+((?:spot\s+)?(?:repair|patch)(?:ed)?)\s+(?:to|till?|until|thru|through|-)\s*(~?\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[,;]))`,
      'gi',
    ),
    ([, from = '', pipe = '', what = '', to = '']) => `${from} to ${to} ${pipe} ${what}`,
  ],
  // "turns into transite at 31": a pipe that has no name here, no bend.
  [
    new RegExp(
      String.raw`\b(?:it\s+|pipe\s+|line\s+)?turns\s+into\s+(?!(?:the|an?|our|your|another|that|this|some|old|new|\d)\b|${anyMaterial}\b)[a-z]+(?:\s+pipe)?(?=\s*(?:$|[,.;]|at\b|right\b|around\b|here\b))`,
      'gi',
    ),
    asNote,
  ],
  // "turns from cast to fiber": no bend.
  [new RegExp(String.raw`\b(?:it\s+)?turns\s+from\s+(?=(?:the\s+)?${anyMaterial}\b)`, 'gi'), 'changes from '],
  // "plastic stops, clay after that"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:stops|ends|quits)\s*,\s*(?:(?:and|then|it's|old|it\s+is)\s+)*(${anyMaterial})\s+(?:after\s+(?:that|it)|from\s+(?:there|here)|beyond|past\s+that)\b`,
      'gi',
    ),
    ([, near = '', far = '']) => `${near} to ${far}`,
  ],
  // "cracked clay pipe": what is wrong with it, not where it begins.
  [
    new RegExp(
      String.raw`\b(cracked|broken|crushed|collapsed|spalled|shattered|deformed|fractured|rotted|separated)\s+(?:${anyMaterial})(?:\s+pipe)?\b(?!\s*(?:>|(?:in)?to\b|from\b|starts|begins|ends|stops|upstream|downstream|pieces?|chunks?|shards?))`,
      'gi',
    ),
    ([, how = '']) => how,
  ],
  // "44 liner end 6 in short": how far short of the main.
  [
    /(?<=^\s*~?\d+(?:\.\d+)?\s+)liner\s+(?:ends?|stops?)\s*,?\s+((?:about\s+|~\s*)?\d+(?:\.\d+)?\s*(?:in(?:ch(?:es)?)?|"|ft|feet|foot|')\s+(?:short|shy)(?:\s+of\s+(?:the\s+)?(?:city\s+)?main)?)(?=\s*$)/gi,
    ([, short = '']) => `liner ends ${quoted(short)}`,
  ],
  // "12-60 cipp"
  [
    /\b(?:has\s+(?:an?\s+)?)?(?:cipp|cured[\s-]in[\s-]place(?:\s+pipe)?)\b(?:\s+(?:liner|lining|lined))?/gi,
    'lined',
  ],
  [
    /\bliner\s+(?:stops|ends|quits)(?<at>\s+at\s+~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?\s*,?\s+((?:(?:about|maybe|just)\s+)*(?:(?:an?|a\s+couple(?:\s+of)?|a\s+few|some|\d+(?:\.\d+)?)\s+(?:inch(?:es)?|feet|foot|ft)\s+)?(?:short|shy)\s+of\s+(?:the\s+)?(?:city\s+)?main)\b/gi,
    ([, at = '', short = '']) => `liner ends${at} ${quoted(short)}`,
  ],
  [
    new RegExp(String.raw`\b((?:pipe\s+)?burst(?:ed)?)\s+(?:in\s+)?(?=${anyMaterial}\b)`, 'gi'),
    ([, how = '']) => quoted(how),
  ],
  // "4x6 abs to clay"
  [
    new RegExp(
      String.raw`\b([346]|8)\s*x\s*([346]|8)\s+(${anyMaterial})\s*(?:to|>|into|\/)\s*(${anyMaterial})\b`,
      'gi',
    ),
    ([, one = '', other = '', pipe = '', next = '']) => `${one} in ${pipe} to ${other} in ${next}`,
  ],
  // "20 clay to the main": where it begins.
  [
    new RegExp(
      String.raw`(?<=${placeFirst}(?:\d+\s*(?:in(?:ch)?\b|")\s*)?)(${anyMaterial})(?:\s+pipe)?\s+(?:(?:all\s+the\s+way|the\s+rest\s+of\s+the\s+way|from\s+here|on)\s+)*to\s+(?:the\s+)?(?:(?:city\s+)?main|street|end)(?=\s*$)`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} toward the street`,
  ],
  // "plastic, looks like sdr35": which plastic.
  [
    /\bplastic(?:\s+pipe)?\s*,\s+(?:(?:it|that|and|this|i|probably|maybe|it's|that's|looks?|like|think|believe|the)\s+)+(?=(?:abs|pvc|sdr\s?-?\s?35|sdr|schedule\s+40|sch\.?\s?40|hdpe|white|green|black)\b)/gi,
    '',
  ],
  // "pvc shoved inside the clay": one, then the other.
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:is\s+|was\s+|just\s+)*(?:shoved|glued|cemented|inserted|fitted|grouted|sleeved|slid|slipped|jammed|stuffed|stuck|pushed|stabbed)\s+(?:in|into|inside|inside\s+of)\s+(?:the\s+|of\s+the\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} > `,
  ],
  // "I see cast iron ahead": not there yet.
  [
    new RegExp(
      String.raw`\b(?:i|we|you)\s+(?:can\s+|could\s+)?(?:see|got|have)\s+(?:(?:the|a|some)\s+)?${anyMaterial}(?:\s+pipe)?\s+(?:just\s+|up\s+|right\s+)?(?:ahead|coming\s+up|in\s+the\s+distance)(?:\s+of\s+(?:me|us))?\b`,
      'gi',
    ),
    asNote,
  ],
  // "11 we go from 3 inch to 4 inch"
  [
    /\b(?:(?:we|it|pipe|line|and)\s+)*(?:go(?:es)?|going|went|chang(?:es?|ing)|steps?|jumps?|bumps?|reduces?|opens?)\s+(?:(?:up|down|out|over)\s+)?from\s+(?:an?\s+)?(\d+)\s*-?in(?:ch)?\b\.?\s+(?:up\s+|down\s+)?(?:in)?to\s+(?:an?\s+)?(\d+)\s*-?in(?:ch)?\b\.?(?:\s+pipe)?(?=\s*(?:$|[,.;]))/gi,
    ([, near = '', far = '']) => `change ${near} in > ${far} in`,
  ],
  // "a piece of cast iron somebody stuck in"
  [
    new RegExp(
      String.raw`\b(?:an?\s+)?(?:(?:new|little|short)\s+)*(?:piece|stick|section|chunk|length)\s+of\s+(${anyMaterial})(?:\s+pipe)?\s+(?:that\s+)?(?:somebody|someone|they)(?:'s|'ve)?\s+(?:put|stuck|set|dropped|laid|spliced|patched|threw)(?:\s+in)?(?:\s+(?:here|there))?\b`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} repair`,
  ],
  // "at the foundation, goes cast"
  [
    new RegExp(
      String.raw`(?<=,\s+)(?:(?:and|then|it|pipe|line)\s+)*(?:goes|turns|becomes|is\s+now)\s+(?=(?:cast|clay|plastic|pvc|abs|concrete)\b(?:\s+(?:iron|pipe|tile))?\s*(?:$|[,.;]))`,
      'gi',
    ),
    'change to ',
  ],
  // "shielded coupling, now it's clay"
  [
    new RegExp(
      String.raw`(?<=[a-z\d]),\s+(?:and\s+)?(?:now\s+(?:it's|we're\s+in(?:to)?|we've\s+got|i'm\s+in(?:to)?|in(?:to)?)|(?:it's|we're\s+in(?:to)?)\s+now)\s+(?:(?:old|the|some)\s+)*(?=(?:\d+\s*-?in(?:ch)?\b\.?\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ', change to ',
  ],
  // "there's the repair coupling and old 6 inch concrete"
  [
    new RegExp(
      String.raw`\b((?:[a-z]+\s+)?(?:coupling|band|adapter))\s+and\s+(?:(?:the|old|new|then|some)\s+)+(?=(?:\d+\s*-?in(?:ch)?\b\.?\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    ([, how = '']) => `${quoted(how)} change to `,
  ],
  // "cl>pvc": clay, between pipes.
  [
    new RegExp(
      String.raw`\bcl(?=\s*(?:>|to|\/)\s*${anyMaterial}\b)|(?<=\b${anyMaterial}\s*(?:>|to|\/)\s*)cl\b`,
      'gi',
    ),
    'clay',
  ],
  // "0-14 ci heavy scale": the pipe along it, and what is in it.
  [
    new RegExp(
      String.raw`(?<=^\s*)(\d+(?:\.\d+)?\s*(?:-|to)\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?\s+(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?=(?:(?:heavy|hvy|light|lt|lite|moderate|mod|medium|some|bad|all)\s+)*(?:scale|scaling|scaled|rust|rusty|corrosion|tuberculation|grease|roots|rts|debris)\b)`,
      'gi',
    ),
    ([, place = '', pipe = '']) => `${place} ${pipe}; ${place} `,
  ],
  // "36 to the main is clay"
  [
    new RegExp(
      String.raw`(?<=^\s*(?:from\s+)?)(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?\s*(?:to|-)\s*(?:the\s+)?(?:city\s+)?main\s*,?\s+(?:(?:is|it's|that's)\s+)?(?:all\s+)?(${anyMaterial})(?:\s+pipe)?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, at = '', pipe = '']) => `at ${at} ${pipe} toward the street`,
  ],
  // "pipe's pvc from the wye to about 11": from where the counter stands at zero.
  [
    new RegExp(
      String.raw`^\s*(?:(?:the|pipe|line|it|it's|pipe's|is)\s+)*(${anyMaterial})(?:\s+pipe)?\s+from\s+(?:the\s+)?(?:wye|y|cleanout|riser|tee|bend|coupling|stack|toilet|access)\s+(?:out\s+|down\s+|on\s+)?to\s+(?:(?:about|around|~)\s*)*(?=\d)`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} until `,
  ],
  // "pipe changes color but it's still clay"
  [/\b(?:the\s+)?(?:pipe|it)\s+changes?\s+(?:in\s+)?colou?rs?\b[^;.]*/gi, asNote],
  // "clay tile, 2 footers"
  [/\b(?:in\s+)?(\d+(?:\.\d+)?)\s*-?footers\b/gi, ([, long = '']) => `${long} ft pieces`],
  // "joints are 3 foot"
  [
    /\b(?:the\s+)?(?:joints|pieces|sections|sticks|lengths)\s+(?:are|look|run)\s+(?:(?:about|all|like|~)\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')(?:\s+(?:long|each|apart))?(?=\s*(?:$|[,.;]))/gi,
    ([, long = '']) => `${long} ft pieces`,
  ],
  // "reducer, 6 down to 4", "6 to 4 reducer", "6 inch down to 4", "4 to 6 increaser"
  [
    /\b(?:(?:an?\s+)?reducer\s*,?|(?:it\s+|pipe\s+)?(?:steps|necks|chokes)\s+down|(?:it\s+|pipe\s+)?reduces)\s+(?:from\s+)?(?:an?\s+)?(1[02]|[2-8])(?:\s*-?in(?:ch)?\b|")?\s+(?:down\s+)?to\s+(?:an?\s+)?(1[02]|[2-8])\b(?:\s*-?in(?:ch)?\b|")?(?!\s*(?:feet|foot|ft|o'?\s?clock|:|\/|\.\d|%|percent))|(?<=\d[,\s].*)(?:(?<![\d.]\s?)|(?<=^\s*~?\d[\d.]*\s+))\b(1[02]|[2-8])(?:\s*-?in(?:ch)?\b|")?\s+(?:by|to|x|down\s+to)\s+(1[02]|[2-8])(?:\s*-?in(?:ch)?\b|")?\s+(?:reducer|reducing\s+coupling|increaser|bushing)\b|(?<=\d[,\s].*)\b(1[02]|[2-8])(?:\s*-?in(?:ch)?\b|")\s+down\s+to\s+(?:an?\s+)?(1[02]|[2-8])\b(?:\s*-?in(?:ch)?\b|")?(?!\s*(?:feet|foot|ft|o'?\s?clock|:|\/|\.\d|%|percent))/gi,
    ([, a, b, c = a, d = b, e = c, f = d]) => ` goes from ${e ?? ''} inch to ${f ?? ''} inch `,
  ],
  // "that's where the new stuff stops and the old clay picks up", "the newer pipe ends and it's clay from there"
  [
    new RegExp(
      String.raw`\b(?:(?:that's|this\s+is|is)\s+)?(?:where\s+)?(?:the\s+)?(?:new|newer)\s+(?:stuff|pipe|work|section|line)\s+(?:stops|ends|quits|leaves\s+off)\s*,?\s+(?:and\s+)?(?:(?:then|it's|we're|back|in|into|the|old|it|goes|to)\s+)*(${anyMaterial})(?:\s+pipe)?(?:\s+(?:picks\s+up|starts|begins|takes\s+over|from\s+there(?:\s+on)?|after\s+that))?`,
      'gi',
    ),
    ([, far = '']) => `changes to ${far}`,
  ],
  // "lead to cast": the metal
  [
    new RegExp(
      String.raw`(?<=^\s*(?:(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)?)lead\s+(?:goes\s+|changes\s+)?(?:in)?to\s+(?=${anyMaterial}\b)`,
      'gi',
    ),
    'lead pipe to ',
  ],
  // "clay to cast iron at the foundation wall": where that is.
  [
    new RegExp(
      String.raw`(?<=\bto\s+${anyMaterial}\s+)(?:right\s+)?(?:at|under)\s+the\s+(?:foundation|house|building)(?:\s+wall)?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    asNote,
  ],
  // "first five feet is plastic, then clay"
  [
    new RegExp(
      String.raw`^\s*(?:0\s+to|(?:the\s+)?first)\s+(?:(?:about|~)\s*)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)(?:'s|\s+is|\s+are|\s+of\s+it\s+is)\s+(?:all\s+)?(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:and\s+)?then\s+(?:it's\s+|it\s+goes\s+to\s+)?(?:(?:the|old|into)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, at = '', near = '']) => `at ${at} ft ${near} to `,
  ],
  // "clay meets cast"
  [
    new RegExp(String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+meets\s+(?:the\s+)?(?=${anyMaterial}\b)`, 'gi'),
    ([, near = '']) => `${near} to `,
  ],
  // "a reducing coupling, 3 inch to 4 inch"
  [
    /\b(?:an?\s+)?reduc(?:ing|er)\s+(coupling|bushing|fitting)\s*,?\s*(?:from\s+)?(\d+)\s*-?in(?:ch)?\b\.?\s+(?:in)?to\s+(\d+)\s*-?in(?:ch)?\b\.?/gi,
    ([, what = '', near = '', far = '']) => `change ${near} in > ${far} in ${quoted(`reducing ${what}`)}`,
  ],
  // "clay pipe begins after the cleanout wye"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(begins|starts)\s+(?:right\s+|just\s+)?(?:after|past|beyond)\s+(?:the|that)\s+[a-z]+(?:\s+[a-z]+)?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, pipe = '', begins = '']) => `${pipe} ${begins}`,
  ],
  // "23, pvc repair with two couplings, 23 to 26"
  [
    new RegExp(
      String.raw`^\s*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,\s*(?:an?\s+)?(${anyMaterial})(?:\s+pipe)?\s+(?:repair|patch|splice)([^,;\d]*),\s*(?:from\s+)?(?=\1\s*(?:feet\s+|foot\s+)?(?:to|-)\s*\d)`,
      'gi',
    ),
    ([, , pipe = '', how = '']) => `${pipe} ${how.trim()} `,
  ],
  // "the cast is a patch, it's only to 26"
  [
    new RegExp(
      String.raw`\b(?:the\s+)?(${anyMaterial})(?:\s+pipe)?(?:\s+is|'s)\s+(?:(?:just|only)\s+)?(?:a\s+)?(?:short\s+)?(?:patch|repair|piece|spool|splice|section)\s*,?\s+(?:and\s+)?(?:it\s+|it's\s+)?(?:only\s+|just\s+)?(?:goes\s+|runs\s+|lasts\s+)?(?:only\s+)?(?:out\s+)?(?:to|until|till)\s+(?=~?\s*\d)`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} ends at `,
  ],
  // "vitrified clay pipe 6 inch, 3 foot joints": how long its pieces are.
  [
    new RegExp(
      String.raw`,\s*(?:in\s+|with\s+)?(${feetLong})\s+(?:joints|sections|lengths|sticks)(?=\s*(?:$|[,.;]))(?<=^[^;\d]*\b${anyMaterial}\b[^;\d]*(?:\d+\s*-?(?:in(?:ch)?\b\.?|")[^;\d]*)?,[^,;]*)`,
      'gi',
    ),
    ([, long = '']) => `, ${long} pieces`,
  ],
  // "coupling into PVC", "coupling, rubber one, to PVC": the pipe changes there.
  [
    new RegExp(
      String.raw`\b((?:[a-z]+\s+)?(?:coupling|adapter|band))\s*,?\s*(?:(?:an?\s+)?[a-z]+\s+one\s*,?\s*)?(?:in|on)?to\s+(?:the\s+|an?\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, coupling = '']) => `${coupling}, change to `,
  ],
  // "past the coupling we're in fiber"
  [
    new RegExp(
      String.raw`^\s*(?:and\s+)?(?:past|after|beyond|on\s+the\s+(?:other|far)\s+side\s+of)\s+(?:the|that)\s+(coupling|adapter|band|transition|fitting)\s*,?\s+(?:(?:we're|it's|i'm|it\s+is|we\s+are|it|goes|we|go|now|all|back)\s+)+(?:in\s?to\s+|in\s+|to\s+)?(?:the\s+|old\s+)*(${anyMaterial})(?:\s+pipe)?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, what = '', pipe = '']) => `here ${quoted(what)} change to ${pipe}`,
  ],
  // "starts out cast iron and at 4 it goes to clay", "starts as clay, changes to pvc at 4"
  [
    new RegExp(
      String.raw`\bstart(?:s|ed|ing)?\s+(?:out\s+)?(?:as\s+|in\s+|with\s+|being\s+)?(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:(?:and|then|but|it)\s+)*at\s+((?:about\s+|~\s*)*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s*,?\s+(?:(?:it|we|pipe|then)\s+)*(?:goes|go|changes|change|switches|switch|turns|turn|transitions|becomes)\s+(?:over\s+)?(?:(?:in)?to\s+)?(?:the\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '', at = '']) => `at ${at} ${near} > `,
  ],
  [
    new RegExp(
      String.raw`\bstart(?:s|ed|ing)?\s+(?:out\s+)?(?:as\s+|in\s+|with\s+|being\s+)?(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:(?:and|then|but|it|we)\s+)*(?:goes|go|changes|change|switches|switch|turns|turn|transitions|becomes)\s+(?:over\s+)?(?:(?:in)?to\s+)?(?:the\s+|old\s+)*(${anyMaterial})(?:\s+pipe)?\s+at\s+((?:about\s+|~\s*)*\d+(?:\.\d+)?)`,
      'gi',
    ),
    ([, near = '', far = '', at = '']) => `at ${at} ${near} > ${far}`,
  ],
  // "4, out of cast iron, into clay", "14, leaving clay, entering pvc"
  [
    new RegExp(
      String.raw`(?<=\d\s*(?:feet|foot|ft)?)\s*,\s*(?:(?:we're|i'm|we|i)\s+)?(?:out\s+of|leav(?:e|ing))\s+(?:the\s+)?(${anyMaterial})(?:\s+pipe)?\s*,\s*(?:and\s+)?(?:into|entering|in|on\s+to|onto)\s+(?:the\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '']) => ` ${near} > `,
  ],
  // "we switch from clay to pvc"
  [
    new RegExp(
      String.raw`\bswitch(?:es|ed)?\s+(?:over\s+)?(?=(?:from\s+|to\s+)(?:the\s+)?${anyMaterial}\b)`,
      'gi',
    ),
    'changes ',
  ],
  // "cast iron for 9 feet, then clay": from where the counter stands at zero.
  [
    new RegExp(
      String.raw`^\s*(?:(?:it's|it\s+is|we've\s+got|we\s+have|got|there's|we're\s+in|all|so|okay)\s+)*(${anyMaterial})(?:\s+pipe)?\s+for\s+(?:(?:about|maybe|around|~)\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s*,?\s+(?:and\s+)?then\s+(?:(?:it's|it\s+is|it|we're\s+in|goes|into|to|in)\s+)*(?:the\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '', at = '']) => `at ${at} ft ${near} > `,
  ],
  // "cast iron out to 9, clay after that", "cast iron stops at 9, clay from there"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:(?:runs|goes|lasts)\s+)?(?:(?:out\s+|up\s+|down\s+|on\s+)*(?:to|until|till)|(?:ends|stops|quits)\s+at)\s+(?:(?:about|around|~)\s*)*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?\s*,?\s+(?:(?:and|then|it's|with)\s+)*(?:the\s+|old\s+)*(${anyMaterial})(?:\s+pipe)?\s+(?:after(?:\s+(?:that|it)|(?=\s*(?:$|[,;])))|from\s+(?:there|here|then)(?:\s+on)?|past\s+(?:that|it)|beyond(?:\s+(?:that|it))?|the\s+rest(?:\s+of\s+the\s+way)?)\b`,
      'gi',
    ),
    ([, near = '', at = '', far = '']) => `at ${at} ft ${near} > ${far}`,
  ],
  // "clay from 9 on, cast iron before that"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:from|after|past)\s+(?:(?:about|around|~)\s*)*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?(?:\s+on(?:ward)?)?\s*,?\s+(?:(?:and|it's)\s+)*(?:the\s+|old\s+)*(${anyMaterial})(?:\s+pipe)?\s+(?:before|up\s+to|until)\s+(?:that|there|it|then)\b`,
      'gi',
    ),
    ([, far = '', at = '', near = '']) => `at ${at} ft ${near} > ${far}`,
  ],
  // "rubber coupling, plastic after that"
  [
    new RegExp(
      String.raw`\b(coupling|adapter|transition)\s*,\s+(?:(?:and|then|it's|it\s+is|we're\s+in|all)\s+)*(${anyMaterial})(?:\s+pipe)?\s+(?:after\s+(?:that|it)|from\s+(?:there|here)(?:\s+on)?|past\s+(?:that|it)|beyond(?:\s+(?:that|it))?|the\s+rest\s+of\s+the\s+way)\b`,
      'gi',
    ),
    ([, what = '', pipe = '']) => `${quoted(what)} change to ${pipe}`,
  ],
  // "6 feet in we've got our first coupling and the clay starts"
  [
    new RegExp(
      String.raw`\b((?:rubber\s+|shielded\s+|banded\s+)?(?:coupling|adapter|band))\s*,?\s+(?:and|where)\s+(?:(?:then|that's\s+where)\s+)?(?:the\s+)?(${anyMaterial})(?:\s+pipe)?\s+(?:starts|begins|takes\s+over|picks\s+up)\b`,
      'gi',
    ),
    ([, what = '', pipe = '']) => `${quoted(what)} change to ${pipe}`,
  ],
  // "a four foot stick of abs"
  [
    new RegExp(
      String.raw`\b(?:an?\s+)?(?:new\s+)?(\d+(?:\.\d+)?\s*-?\s*(?:feet|foot|ft|'))\s+(?:long\s+)?(?:stick|piece|section|chunk|length|spool)\s+of\s+(?:new\s+)?(${anyMaterial})(?:\s+pipe)?\b`,
      'gi',
    ),
    ([, long = '', pipe = '']) => `${pipe} repair ${long} long`,
  ],
  // "about a foot of plastic and then it's clay": from where the counter stands at zero.
  [
    new RegExp(
      String.raw`^\D*?\b(?:about\s+|maybe\s+|~\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s+of\s+(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:and\s+)?then\s+(?:(?:it's|it\s+is|we're\s+(?:in|into)|into|goes\s+to|it\s+goes\s+to|to)\s+)?(?:the\s+)?(${anyMaterial})\b(?:\s+pipe)?(?:\s*,?\s+so\s+the\s+change\s+is\s+at\s+(?:about\s+|~\s*)?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?`,
      'gi',
    ),
    ([, at = '', near = '', far = '']) => `at ${at} ft ${near} to ${far}`,
  ],
  // "pvc-clay coupling": one, then the other.
  [
    new RegExp(String.raw`(?<=\d\s+)\b(${anyMaterial})-(?=(${anyMaterial})\b)`, 'gi'),
    ([said, one = '', other = '']) =>
      oneMaterial.test(`${one} ${other}`) ? undefined : `${said.slice(0, -1)} to `,
  ],
  // "it's clay, yeah, clay pipe"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})\s*,?\s+(?:(?:yeah|yep|yup|yes)\s*,?\s+)?(?:it's\s+)?(?=\1\b)`,
      'gi',
    ),
    ' ',
  ],
  // "3 inch line to start, reduces up to 4 at 5 foot"
  [
    new RegExp(
      String.raw`^\D{0,20}?(\d+(?:\.\d+)?)\s*-?in(?:ch)?\.?\s+(?:(${anyMaterial})\s+)?(?:line|pipe|drain)?\s*(?:to\s+start|at\s+first|to\s+begin(?:\s+with)?)\s*,?\s+(?:(?:and|then|it|it's)\s+)*(?:reduces|goes|steps|opens|bumps|drops|upsizes|changes|increases|necks)\s+(?:(?:up|down|out)\s+)?to\s+(\d+(?:\.\d+)?)\s*(?:-?in(?:ch)?\.?\s+)?(?:(${anyMaterial})\s+)?(?:at|around|by)\s+(?:(?:about|around|~)\s*)*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, near = '', pipe = '', far = '', next = '', at = '']) =>
      `${near} in ${pipe} > ${far} in ${next} at ${at} ft`.replaceAll(/ {2,}/g, ' '),
  ],
  // "2 inch galvanized goes about 6 feet": from where the counter stands at zero.
  [
    new RegExp(
      String.raw`^\s*(?:(?:the|it's|that's)\s+)*((?:\d+(?:\.\d+)?\s*-?in(?:ch)?\.?\s+)?(?:${anyMaterial}))(?:\s+pipe)?\s+(?:goes|runs|lasts)\s+(?:for\s+)?(?:(?:about|maybe|around|like|~)\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, pipe = '', at = '']) => `${pipe} ends at ${at} ft`,
  ],
  // "lateral liner from the city starts"
  [
    /\b(?:lateral\s+)?liner\s+from\s+the\s+(?:city|main|street)\s+(?=(?:starts|begins|ends|stops)\b)/gi,
    'liner ',
  ],
  // "cast iron ends clay begins"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:ends|stops|quits)\s*,?\s+(?:and\s+)?(?:the\s+)?(${anyMaterial})(?:\s+pipe)?\s+(?:begins|starts|takes\s+over|picks\s+up)\b`,
      'gi',
    ),
    ([, near = '', far = '']) => `${near} to ${far}`,
  ],
  // "31 to 40 clay is good, no defects": how it looked, no change.
  [
    new RegExp(
      String.raw`(?<=^\s*(?:from\s+)?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*(?:to|-|through)\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:the\s+)?${anyMaterial}(?:\s+pipe)?(?:'s|\s+is|\s+looks)\s+(?:(?:all|pretty|very|really|mostly)\s+)*(?:good|fine|clean|clear|perfect|okay|ok|great|solid|sound)\b[^;]*$`,
      'gi',
    ),
    asNote,
  ],
  // "8 inch stub for the first 3 feet, then it's 6 inch clay"
  [
    new RegExp(
      String.raw`^\D{0,20}?((?:\d+\s*-?in(?:ch)?\.?\s+)(?:${anyMaterial}\s+)?)(?:stub|piece|section|pipe)\s+(?:0\s+to|for\s+(?:the\s+first\s+|about\s+)?)\s*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s*,?\s+(?:and\s+)?then\s+(?:(?:it's|it\s+is|it|goes|drops|we're|in|to|down|into)\s+)*((?:\d+\s*-?in(?:ch)?\.?\s+)?(?:${anyMaterial}\b|pipe\b)|\d+\s*-?in(?:ch)?\b)`,
      'gi',
    ),
    ([, near = '', at = '', far = '']) => `${near.trim()} > ${far} at ${at} ft`,
  ],
  // "I'm out of the plastic, it's clay tile"
  [
    new RegExp(
      String.raw`\b(?:and\s+)?(?:(?:i'm|we're|camera's|it's|we\s+are|come|came|coming)\s+)?out\s+of\s+the\s+(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:and\s+)?(?:(?:it's|it\s+is|into|in|now|then|we're|we've\s+got|on|to)\s+)+(?:the\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '']) => `${near} to `,
  ],
  // "pipe changes, plastic from here", "change of pipe there, going to clay"
  [
    new RegExp(
      String.raw`\b(?:(?:(?:the\s+)?pipe|it|we)\s+(?:changes?|transitions?|switch(?:es)?)|we(?:'ve|\s+have)\s+(?:transitioned|changed|switched)|change\s+(?:of|in)\s+(?:the\s+)?(?:pipe|material)|(?:pipe|material)\s+change)(?:\s+(?:here|there))?\s*,\s*(?:(?:it's|it\s+is|that's|that\s+is|we're\s+in|going\s+to|goes\s+to|to|into|now|all)\s+)*(${anyMaterial})(?:\s+pipe)?\b(?:\s+(?:from\s+(?:here|there)(?:\s+on)?|after\s+(?:that|this)|now|beyond))?`,
      'gi',
    ),
    ([, pipe = '']) => `change to ${pipe}`,
  ],
  // "hub adapter at 10.2 and old clay after"
  [
    new RegExp(
      String.raw`\b((?:[a-z]+\s+)?(?:coupling|adapter|transition))(\s+at\s+~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)?\s*,?\s+(?:and|then)\s+(?:(?:it's|old|all)\s+)*(${anyMaterial})(?:\s+pipe)?\s+(?:after(?:\s+(?:that|it))?|from\s+(?:there|here)|beyond)(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, what = '', at = '', pipe = '']) => `${quoted(what)} change to ${pipe}${at}`,
  ],
  // "abs to cast iron the cast iron has heavy scale"
  [
    new RegExp(
      String.raw`(?<=\b${anyMaterial})(?:\s+pipe)?\s+the\s+(?:${anyMaterial})(?:\s+pipe)?\s+(?:has|is|looks|shows)\s+`,
      'gi',
    ),
    '; ',
  ],
  // "4 in abs for the first 9 feet then 4 in clay with roots at …"
  [
    new RegExp(
      String.raw`^\D{0,40}?((?:\d+\s*-?in(?:ch)?\s+)?${anyMaterial})(?:\s+pipe)?\s+for\s+the\s+first\s+(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\s*,?\s+(?:and\s+)?then\s+(?:it's\s+)?((?:\d+\s*-?in(?:ch)?\s+)?${anyMaterial})(?:\s+pipe)?\s+(?:with|has|and\s+there's)\s+(?=[a-z])`,
      'gi',
    ),
    ([, near = '', at = '', far = '']) => `at ${at} ft ${near} to ${far}; `,
  ],
  // "no-hub to clay"
  [
    new RegExp(String.raw`\b(no[\s-]?hub)\s*,?\s+(?:in)?to\s+(?:the\s+)?(?=${anyMaterial}\b)`, 'gi'),
    ([, how = '']) => `${quoted(`${how} coupling`)} change to `,
  ],
  // "it's plastic at the city cleanout, goes about nine feet"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:right\s+)?at\s+(?:the\s+)?(?:[a-z]+\s+)?cleanout\s*,?\s+(?:and\s+)?(?:it\s+|that\s+)?(?:goes|runs|lasts)\s+(?:for\s+)?(?:(?:about|maybe|around|~)\s*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft)\b`,
      'gi',
    ),
    ([, pipe = '', to = '']) => `0 to ${to} ${pipe}`,
  ],
  // "where the new pipe ties to the old" … "new is sdr26, old is concrete"
  [
    /\bwhere\s+the\s+(?:new(?:er)?|old(?:er)?)\s+(?:pipe|line|stuff)?\s*(?:ties|connects|joins|meets|hooks|goes)\s+(?:(?:in|up|on)\s*)?(?:to\s+)?(?:the\s+)?(?:new(?:er)?|old(?:er)?)(?:\s+(?:pipe|line|stuff|one))?\b/gi,
    asNote,
  ],
  [
    new RegExp(
      String.raw`^\s*(?:the\s+)?new(?:er)?(?:\s+(?:pipe|one|stuff|side))?(?:'s|\s+is)\s+(${anyMaterial})(?:\s+pipe)?\s*,?\s+(?:and\s+)?(?:the\s+)?old(?:er)?(?:\s+(?:pipe|one|stuff|side))?(?:'s|\s+is)\s+(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, near = '']) => `here ${near} to `,
  ],
  // "pvc repair 3'"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:repair|patch)\s+(\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))(?=\s*(?:$|[,;]))`,
      'gi',
    ),
    ([, pipe = '', length = '']) => `${pipe} repair ${length} long`,
  ],
  // "cast iron no hub"
  [/\b((?:cast\s+)?iron|ci)\s+no[\s-]?hub\b(?!\s+(?:band|coupling|joint))/gi, ([, pipe = '']) => pipe],
  // "somebody has been here before, 3 ft of pvc with couplings either end"
  [
    new RegExp(
      String.raw`\b(?:(?:about|maybe|~)\s*)*(${feetLong})\s+of\s+(?:new(?:er)?\s+)?(${anyMaterial})(?:\s+pipe)?\s+with\s+((?:[a-z-]+\s+)?(?:couplings?|bands?|boots?)\s+(?:(?:at|on)\s+)?(?:either|each|both)\s+(?:ends?|sides?))\b`,
      'gi',
    ),
    ([, long = '', pipe = '', couplings = '']) => `${pipe} repair ${long} long ${quoted(couplings)}`,
  ],
  [
    new RegExp(
      String.raw`\b(?:(?:about|maybe|~)\s*)*(${feetLong})\s+of\s+(?:new(?:er)?\s+)?(${anyMaterial})(?:\s+pipe)?(?<=\b(?:somebody|someone|been\s+here\s+before|repair(?:ed)?|patch(?:ed)?|spliced?|dug)\b[^;]*)(?=\s*(?:$|[,.;¦]))`,
      'gi',
    ),
    ([, long = '', pipe = '']) => `${pipe} repair ${long} long`,
  ],
  // "it's plastic from here, looks like forty"
  [
    /\b(?:looks\s+like|probably|i\s+think|must\s+be)\s+(?:it's\s+)?(?:(?:schedule|sch)\s+)?(40|35)(?=\s*(?:$|[,.;]))(?<=\b(?:plastic|pvc)\b[^;]*)/gi,
    ([, kind = '']) => (kind === '40' ? 'schedule 40' : 'sdr35'),
  ],
  // "no-hub cast iron": the kind of pipe, no coupling.
  [/\bno[\s-]?hub\s+(?=(?:cast\s+)?iron\b|ci\b|pipe\b)/gi, ' '],
  // "clay both sides": nothing changes here.
  [
    new RegExp(String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:on\s+)?(both|each|either)\s+sides?\b`, 'gi'),
    ([, pipe = '', sides = '']) => quoted(`${pipe} on ${sides} side${sides === 'both' ? 's' : ''}`),
  ],
  // "clay, 2' joints", "2 ft sections of clay": how long its pieces are.
  [
    new RegExp(
      String.raw`(?<=\b${anyMaterial}(?:\s+pipe)?\s*,?\s+)(?:in\s+)?(${feetLong})\s+(?:sections?|joints|sticks|lengths)\b(?!\s+of\b)`,
      'gi',
    ),
    ([, long = '']) => `${long} pieces`,
  ],
  [
    new RegExp(
      String.raw`(${feetLong})\s+(?:sections|joints|sticks|lengths)\s+(?:of|on|in|with)\s+(?:this\s+|the\s+|that\s+)?(${anyMaterial})\b`,
      'gi',
    ),
    ([, long = '', pipe = '']) => `${pipe} ${long} pieces`,
  ],
  // "22 cast iron, ABS": one pipe, then the other, as the head meets them.
  [
    new RegExp(
      String.raw`(?<=${placeFirst})(${anyMaterial})(?:\s*,\s*|\s+)(?=(${anyMaterial})(?:\s+pipe)?\s*$)`,
      'gi',
    ),
    ([said, first = '', then = '']) =>
      first.toLowerCase() === then.toLowerCase() || oneMaterial.test(`${said}${then}`) ? said : `${first} > `,
  ],
  // "49, somebody put a piece of pvc in there, maybe 3 feet of it"
  [
    new RegExp(
      String.raw`\b(?:an?\s+|some\s+)?(?:piece|section|length|stretch|chunk|patch|stick)\s+of\s+(${anyMaterial})(?:\s+pipe)?(?:\s+in\s+(?:there|here|it))?[\s,]*(?:(?:maybe|about|like|it's|is|probably|roughly|~)[\s,]*)*(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')(?:\s+(?:of\s+it|of\s+that|long))?(?=\s*(?:$|[,.;]))`,
      'gi',
    ),
    ([, pipe = '', long = '']) => `${pipe} for ${long} feet`,
  ],
  // "15 plastic to 18", "15 a piece of plastic that goes to 18": a stretch of it.
  [
    new RegExp(
      String.raw`(?<=(?:^|[;¦]|\bat)\s*)(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?\s+((?:(?!to\b|is\b)[a-z]+\s+){0,3}?)(?:(?:a|the|some)\s+)?(?:(?:piece|section|length|stretch)\s+of\s+)?(${anyMaterial})(?:\s+pipe)?\s+(?:that\s+|it\s+)?(?:goes\s+|runs\s+)?(?:out\s+|down\s+)?(?:to|until|till)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?!\s*-?(?:[\d./]|in\b|inch|"))`,
      'gi',
    ),
    ([, from = '', , pipe = '', to = '']) => `${from} to ${to} ${pipe}`,
  ],
  // "that goes to 18 and back to cast iron", of the pipe named before.
  [
    new RegExp(
      String.raw`\b(?:that|it|this)\s+(?:goes|runs|lasts)\s+(?:on\s+|out\s+)?(?:to|until|till)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?[\s,]+(?:and\s+|then\s+)+(?:(?:it|it's|goes|changes|turns|back|over|right)\s+)*(?:in)?to\s+(?:the\s+|some\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, at = '']) => ` ${boundary} at ${at} change `,
  ],
  // "cast iron to 12 then clay", "clay from the house to 24": which pipe lies where.
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:(?:runs|goes|continues|lasts)\s+)?(?:(?:out|up|down|on)\s+)?(?:to|until|till)\s+(?:about\s+|~\s*)?(?!(?:3|4|6|8|10|12)\s+in\s+(?:(?:new|old)\s+)?${anyMaterial}\b)(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft|'))?[\s,]+(?:(?:and|then|it|it's|is|that|the|old|you|you're|we|we're|we've|have|got|in|goes|changes|turns|back|over|to|into)\s+)+(?:(?:there's\s+|there\s+is\s+)?(?:an?\s+)?((?:[a-z]+\s+)?(?:coupling|adapter|band))\s+(?:back\s+)?(?:to|into)\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '', at = '', coupling]) =>
      ` ${at} ${coupling === undefined ? '' : `${quoted(coupling)} `}${pipe} > `,
  ],
  // "back in clay at 52": a change, no way back.
  [
    new RegExp(
      String.raw`\b(?:(?:and|then|now|okay|we're|we\s+are|it's)\s+)*back\s+(?:in|on|into|onto)\s+(?:the\s+)?(?=${anyMaterial}\b)`,
      'gi',
    ),
    'change to ',
  ],
  // "we come out of the cast at 11 and go to clay"
  [
    new RegExp(
      String.raw`\b(?:comes?|came|coming|gets?|go|goes)\s+out\s+of\s+(?:the\s+)?(${anyMaterial})(?:\s+pipe)?\s+at\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?[\s,]+(?:(?:and|we|it|then|goes|go|going|get|change|changes|we're|back)\s+)+(?:in\s?to|to|on)\s+(?:the\s+|some\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '', at = '']) => ` at ${at} ${pipe} > `,
  ],
  // "cast iron stops at 16 and goes to orange clay"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:ends|stops|quits|runs\s+out)\s+(?:at|around)\s+(~?\s*\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?[\s,]+(?:(?:and|then|it|we|we're|you|you're|goes|go|changes|turns|switches|back)\s+)+(?:in\s?to|to|in)\s+(?:(?:the|some|old|new|orange|red|brown|white|black|green)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '', at = '']) => ` at ${at} ${pipe} > `,
  ],
  // "clay stops here": the pipe does, not the camera.
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:stops|quits|runs\s+out)(?=\s*(?:$|[,.;]|(?:here|there|at|around)\b))`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} ends`,
  ],
  // "the pvc ends and we're into clay"
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:ends|stops|quits)\s*,?\s+(?:(?:here|there|and|then|we're|we|now|go|goes|back)\s+)*(?:in\s?to|in|on|it's|it\s+is|to)\s+(?:the\s+|some\s+|old\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '']) => `${pipe} > `,
  ],
  // "pvc for the first 8 feet, then clay"
  [
    new RegExp(
      String.raw`(?<=^\s*(?:(?:it's|we've\s+got|we\s+got|got|starts\s+(?:out\s+)?(?:as|in|with))\s+)?)(${anyMaterial})(?:\s+pipe)?\s+(?:for\s+)?(?:about\s+)?(?:the\s+)?first\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')[\s,]+(?:(?:and|then|it|it's|is|goes|changes|turns|to|into)\s+)+(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, pipe = '', at = '']) => `at ${at} ft ${pipe} > `,
  ],
  // "green sdr", "orange plastic": a color is no kind of pipe, unless pipes go by it.
  [
    new RegExp(
      String.raw`\b((?:green|orange|white|black|gr[ae]y|tan|brown|red|blue|yellow)\s+)(?=((?:${anyMaterial}))\b)`,
      'gi',
    ),
    ({ 1: color = '', 2: pipe = '', index, input }) => {
      if (oneMaterial.test(color + pipe)) return undefined;
      return /(?:\b(?:to|into|over|then)\s+|>\s*)$/i.test(input.slice(0, index))
        ? ''
        : `${quoted(color.trim())} `;
    },
  ],
  // "clay from 12 to 50 then pvc": the next begins where the first ends.
  [
    new RegExp(
      String.raw`((?:\b${anyMaterial}\s+)?(?:from\s+)?\d+(?:\.\d+)?\s*(?:-|to)\s*(\d+(?:\.\d+)?)(?:\s*(?:feet|foot|ft))?(?:\s+(?:is\s+|it's\s+)?${anyMaterial})?)[\s,]+(?:(?:and\s+)?then|and(?=\s+(?:it\s+|it's\s+)?(?:goes\s+|changes\s+)?back\b))\s+(?:(?:it|it's|is|goes|changes|turns|back|over|to|into)\s+)*(?=${anyMaterial}\b)`,
      'gi',
    ),
    ([, first = '', end = '']) => `${first} ${boundary} at ${end} `,
  ],
  // "pvc to the main", "clay to the house": on which side it lies.
  [
    new RegExp(
      String.raw`\b(${anyMaterial})(?:\s+pipe)?\s+(?:(?:all|the|rest|of|way|on|out|down|from|there)\s+)*to\s+the\s+(?:(main|city\s+main|street|sewer)|(?:house|building|foundation|cleanout))\b`,
      'gi',
    ),
    ([, pipe = '', street]) => `${pipe} ${street === undefined ? 'upstream' : 'downstream'} side`,
  ],
  [
    /\bfrom\s+the\s+(?:house|building|foundation)\s+(?:out\s+|down\s+)?to\s+(?=~?\s*\d)/gi,
    'upstream side at ',
  ],
  [
    /\bfrom\s+(~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)\s+(?:on\s+|all\s+the\s+way\s+|out\s+|down\s+)*to\s+(?:the\s+)?(?:street|main|city\s+main|sewer)\b/gi,
    ([, at = '']) => `downstream side at ${at}`,
  ],
  // "clay to clay": no change.
  [
    new RegExp(String.raw`\b(${anyMaterial})\s+(?:to|>|into)\s+(${anyMaterial})\b`, 'gi'),
    (match) => (match[1]?.toLowerCase() === match[2]?.toLowerCase() ? asNote(match) : undefined),
  ],
  // "6 inch reducing down to 4": from one diameter to the other.
  [
    /(?<!(?:['’]|\b(?:ft|feet|foot))\s*)\b(\d+)\s*-?(?:in(?:ch)?\b\.?|")\s*(?:pipe\s+|line\s+)?(?:that\s+|it\s+)?(?:reduc(?:ing|es|ed)|neck(?:ing|s|ed)|chok(?:ing|es|ed)|step(?:ping|s|ped)|drop(?:ping|s|ped)|go(?:ing|es)|chang(?:ing|es|ed)|open(?:ing|s|ed))\s+(?:down\s+|up\s+)?(?:in)?to\s+(?:an?\s+)?(\d+)\b(?!\s*(?:feet|foot|ft|'))(?:\s*-?(?:in(?:ch)?\b\.?|"))?/gi,
    ([, from = '', to = '']) => `${from} to ${to} in reducer`,
  ],
  // "reducer 6 to 4", "6 by 4 reducer": from one diameter to the other.
  [
    /\b(reducer|increaser)\s*,?\s+(?:from\s+)?(\d+)\s*(?:in(?:ch)?\b|")?\s*(?:to|by|x|into)\s*(\d+)\b(?:\s*(?:in(?:ch)?\b|"))?/gi,
    ([, , from = '', to = '']) => `${from} to ${to} in reducer`,
  ],
  [
    /\b(\d+)\s*(?:in(?:ch)?\b|")?\s*(?:by|x)\s*(\d+)\s*(?:in(?:ch)?\b|")?\s+(?:reducer|increaser|reducing|bushing)\b(?:\s+coupling)?/gi,
    ([, from = '', to = '']) => `${from} to ${to} in reducer`,
  ],
  // "opens up to 4 inch cast": the pipe does, no joint.
  [
    new RegExp(
      String.raw`\b(?:(?:up|down)siz(?:es?|ed)|reduc(?:es?|ed|ing)|enlarges?|widens?|(?:bump|step|neck|open|drop|jump)(?:s|p?ed|p?ing)?|goes|went)\s+(?:(?:it|back|up|down|out|over)\s+)*(?:in)?to\s+(?:(?:an?|some|the)\s+)?(?=\d+\s*-?\s*(?:in(?:ch)?\b\.?|")\s*${anyMaterial}\b)`,
      'gi',
    ),
    'change to ',
  ],
  // "it goes from a 3 to a 4": two sizes.
  [
    /\b(?:(?:it|pipe|line)\s+)?(?:goes|steps|bumps|jumps|changes)\s+(?:up\s+|down\s+)?from\s+an?\s+([2-9]|1[0-2])\s+(?:up\s+|down\s+)?to\s+an?\s+([2-9]|1[0-2])(?=\s*(?:$|[,.;]|here\b))/gi,
    ([, near = '', far = '']) => `change ${near} in > ${far} in`,
  ],
  // "goes to 6 inch": only the diameter changes.
  [
    /\b(?:goes|went|going|changes|changed|steps|bumps|jumps|opens|necks|reduces|increases|drops)\s+(?:up\s+|down\s+|back\s+|over\s+)?(?:in)?to\s+(?:an?\s+)?(\d+)\s*-?\s*(?:in(?:ch(?:es)?)?\b\.?|")(?:\s+(?:pipe|line))?(?=\s*(?:$|[,.;]|at\b|here\b))/gi,
    ([, bore = '']) => `change ${bore} in`,
  ],
  // "22 4 inch pipe", "22 pipe is 4 inch": its diameter, from there on.
  [
    /(?<=(?:^|;)\s*~?\s*\d+(?:\.\d+)?\s+)(?:(?:it's|pipe|line)\s+(?:is\s+)?(?:an?\s+)?(\d+)\s*-?(?:in(?:ch)?\b\.?|")|(\d+)\s*-?(?:in(?:ch)?\b\.?|")\s+(?:pipe|line))\s*(?=$|[,;])/gi,
    ([, one, other = '']) => `change ${one ?? other} in`,
  ],
  [
    /\b(?:the\s+|old\s+|existing\s+)*liner\s+(starts?|begins?|ends?|stops)\b/gi,
    ([, how = '']) => `lined ${/^[eo]|stop/i.test(how) ? 'ends' : 'starts'}`,
  ],
  [
    /(?<=\d\s+)(?:old\s+|existing\s+)?(?:liner|relined)(?=\s*(?:$|[,;]))|^\s*(?:old\s+|existing\s+)?liner\s+(?=(?:from\s+)?\d)/gi,
    'lined ',
  ],
  [
    /\b(?:start|beginning)\s+of\s+(?:the\s+|an?\s+|old\s+|existing\s+)*liner\b|\b(?:we\s+|you\s+)?(?:get|go|come|run)\s+into\s+(?:the\s+|an?\s+|old\s+|existing\s+)*liner\b|\b(?:you|i|we)\s+can\s+see\s+the\s+liner\b[^,;]*,\s*it\s+(?:starts|begins)(?:\s+(?:right\s+)?here)?/gi,
    'lined starts',
  ],
  [/\bend\s+of\s+(?:the\s+|an?\s+|old\s+|existing\s+)*liner\b/gi, 'lined ends'],
];
