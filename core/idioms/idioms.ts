import { correctingFigures, correctingIdioms } from './corrections.js';
import { debrisIdioms } from './debris.js';
import { cleanedAway, denyingIdioms, hearsayIdioms } from './denying.js';
import { depthFigures } from './depths.js';
import { afterPlace, asNote, besideIt, type Idiom, quoted } from './traced-text.js';
import { aNumber, inchesEnd } from '../number-words.js';
import { pipeIdioms, spokenPipes } from './pipes.js';
import { placeFigures, readingFigures, stretchIdioms } from './places.js';
import { bendUpOrDown, pointFigures, pointIdioms } from './points.js';
import { listMarks, separatorIdioms } from './punctuation.js';
import { backwardFigures, leadingWords, remarkIdioms } from './remarks.js';
import { findingIdioms } from './findings.js';
import { stopIdioms } from './stopping.js';
import { testingIdioms } from './testing.js';
import { waterFigures, waterIdioms } from './water.js';

/** "goes straight through", and what it goes through. */
const crossing = String.raw`(?:(?:is|was|been|goes|going|runs|running|crosses|crossing|comes|coming|sticking|bored|drilled|punched|shot|pushed|driven|passes|passing|right|straight|clean|clear|all\s+the\s+way|across)\s+)*thr(?:ough|u)\s+`;
const ourPipe = String.raw`(?:(?:the|our|this|my|that)\s+)?(?:(?:sewer|clay|cast\s+iron)\s+)?(?:pipe|sewer|lateral|line)`;

const sideOf = (short: string): 'left' | 'right' => (/^l/i.test(short) ? 'left' : 'right');

/** "rt" and "lt" where they can only be a side; `%` is their place in the pattern. */
const sides = (pattern: string): (readonly [string, string])[] =>
  (['right', 'left'] as const).map((side) => [pattern.replace('%', side === 'right' ? 'rt' : 'lt'), side]);

/** Words cut short as a thumb types them. */
const shorthand: readonly Idiom[] = (
  [
    ['wtr', 'water'],
    ['bldg', 'building'],
    ['rpr', 'repair'],
    ['bnd', 'bend'],
    ['scl', 'scale'],
    ['mult', 'multiple'],
    ['vis', 'visible'],
    ['fact(?=\\.?\\s+tap\\b)', 'factory'],
    ['brk-?in(?=\\s+tap\\b)', 'break-in'],
    ['comb(?=\\.?\\s+(?:wye|tee)\\b)', ''],
    ['misalign(?:ment)?', 'misaligned'],
    ['obst(?:r|n)?', 'obstruction'],
    ['dn(?=\\s*(?:$|[,;]))', 'down'],
    ['misal', 'misaligned'],
    ['lite', 'light'],
    ['brkn', 'broken'],
    ['bot(?=\\.?\\s+(?:gone|missing|worn|rotted|out|of)\\b)', 'bottom'],
    ['(?<!\\d\\s*)rt(?=\\.?\\s*(?:$|[,;(]|capd?\\b|live\\b|dead\\b|active\\b|side\\b))', 'right'],
    ...sides('(?<=\\b(?:bend|turn|ell|elbow|sweep)\\s+\\d[\\d.]*\\s*(?:deg\\s*)?)%'),
    ['thk', 'thick'],
    ['pc(?=\\s+of\\b)', 'piece'],
    ['o\\W?cl?k', "o'clock"],
    ['lr(?=\\s+(?:90|45|bend|sweep|ell))', 'long radius'],
    ['(?<=inf(?:il(?:tration)?)?\\s+)dripper', 'dripping'],
    ...sides('%(?=\\.?\\s+(?:wye|tee|tap|branch|lateral|bend|saddle)\\b)'),
    ['cont(?:inue)?d?(?=\\s+to\\b)', 'runs'],
    ['(?<=\\b(?:cleanout|co|c\\/o)\\s+)#?[12](?=\\s*(?:$|[,;]))', ''],
    ['rt(?=\\s+(?:ball|mass|mat|wad|hair)\\b)', 'root'],
    ['chip(?=\\s+(?:bell|hub)\\b)|(?<=\\b(?:bell|hub)\\s+)chip', 'chipped'],
    ['minerals?(?!\\s+(?:deposit|build))', 'mineral deposits'],
    ['seam(?=\\s+(?:is\\s+)?(?:separated|open|opened|leaking|offset))', 'joint'],
    ['di(?=\\s*(?:$|[,;>]|to\\b|pipe\\b))', 'ductile iron'],
    ['til(?=\\s+(?:about\\s+|~\\s*)?\\d)', 'to'],
    ['w\\/l', 'water level'],
    ['fdn', 'foundation'],
    ['def(?=\\.?\\s+\\d)', 'deformed'],
    ['bi(?=\\s+tap\\b)', 'break-in'],
    ['neg(?=\\.?\\s+(?:grade|slope|fall|pitch)\\b)', 'negative'],
    ['lft', 'left'],
    ['capd', 'capped'],
    ['cpl(?:g|r|gs|rs)', 'coupling'],
    ['xs(?=\\s+(?:mortar|grout|cement))', 'excess'],
    ['rb(?=\\s*(?:$|[,;~]|\\d))', 'root ball'],
    ['cond(?=\\s+(?:pipe|thr(?:u|ough)|in)\\b)', 'conduit'],
    ['cam(?=\\s+(?:under|uw|stuck|stopped|out|up|flipped|in)\\b)', 'camera'],
    ['prob(?=\\.?\\s+[a-z])', 'probably'],
    ['dir(?=\\.?\\s*(?:$|[,;\\d]))', 'direction'],
    ['ea\\s+j(?:oin)?ts?', 'each joint'],
    ['inf(?=\\.?\\s*(?:$|[,;@]|runner|gusher|dripper|drip|at\\b))', 'infiltration'],
    ['conn', 'connection'],
    ['chg(?:\\s+mat\\b)?', 'change'],
    ['fnd(?=\\.?\\s+wall\\b)', 'foundation'],
    ['bdry(?=\\.?\\s+line\\b)', 'property'],
    ['(?:cam(?:era)?\\s+)?uw', 'under water'],
    ['lost\\s+vis(?:ible)?', 'lost picture'],
    ['lining', 'liner'],
    ['flex\\s+cplg?', 'rubber coupling'],
    ['dep(?=\\s+\\d)', 'depth'],
    ['prot', 'protruding'],
    ['off(?=\\s+(?:\\d\\/\\d|[½¼¾]|\\d+\\s*(?:in\\b|")))', 'offset'],
    ['lat(?=\\.?\\s+(?:lt|rt|l|r|left|right|live|dead|active|@|at|\\d))', 'branch'],
    ['live(?=\\s*(?:$|[,;]))', 'in use'],
    ['abandon\\s+survey', 'survey abandoned'],
    ['dp(?=\\s+\\d)', 'depth'],
    ['dp(?=\\s*(?:$|[,;]))', 'deep'],
    ['dia(?:m)?(?=\\.?\\s*(?:$|[,;]))', 'of the pipe'],
    ['os(?=\\s+(?:jt|joint|\\d))', 'offset'],
  ] as const
).map(([short, long]): Idiom => [new RegExp(String.raw`\b${short}\b\.?(?<=\d\s[^;]*)`, 'gi'), long]);

/** "something across the pipe, looks like a gas line", before anything is known of whose it is. */
const somethingAcross =
  /\b(?:something|(?:an?|another)\s+(?:pipe|line|conduit|cable))\s+(?:(?:going|running|coming|bored|right|straight)\s+)*(?:across|through|thru)\s+(?:the|our|my|this)\s+(?:pipe|line|sewer)(?:\s*,?\s+(?:and\s+)?(?:it\s+)?(?:(?:looks\s+like|might\s+be|could\s+be|probably|that's|it's|maybe)\s+)+(?:an?\s+|the\s+)?(?:gas|water|electric(?:al)?|power|cable|fiber|telecom|phone|irrigation)(?:\s+(?:line|main|pipe|service|conduit))?)?/gi;

/** Applied before numbers are turned into digits. */
export const spokenIdioms: readonly Idiom[] = [
  ...shorthand,
  // "first 3' is cast iron"; 5'6 and 7' 2" stay as they are.
  [/(?<=\d)\s*['’′](?=\s|[,;:)]|\.(?!\d)|$)(?!\s*\d)/g, ' ft'],
  [/\b(?:every|each|ea)\s+jts?\b\.?/gi, 'each joint'],
  ...hearsayIdioms,
  // "a tee on the right here at 4": "right here" is no side.
  [
    /\b(on|to|from)\s+(the|your|our|my)\s+right\s+(?=(?:right\s+)?(?:here|there|just|now|a\s+little)\b)/gi,
    ([, on = '', the = '']) => `${on} ${the} right side `,
  ],
  ...leadingWords,
  // "vert misalign 1/2"
  [
    /\b(vert(?:ical)?|horiz(?:ontal)?)(?:ly)?\.?\s+(misalign(?:ment|ed)?|offset)\b/gi,
    ([, how = '', what = '']) =>
      `${/^m/i.test(what) ? 'misaligned' : what} ${quoted(/^v/i.test(how) ? 'vertical' : 'horizontal')}`,
  ],
  ...listMarks,
  ...correctingIdioms,
  ...correctingFigures,
  // "two bends at 12 and 14", "2 cracks at 30": how many is not where.
  [
    /(?<=(?:^|[;,]|\band)\s*)(?:(?:two|three|four|five|six|several|a\s+(?:couple|pair)(?:\s+of)?)|[2-6](?=\s[^;]*\b(?:at|from|between)\s+~?\s*(?:1[3-9]|[2-9]\d|1\d\d)(?!\s*(?:%|percent|o'?clock))))\s+(?=(?!(?:in(?:ch(?:es)?)?|feet|foot|ft|percent|degrees?|pieces|places|spots|hundred|goes|drops|reduces|is|was|changes|necks|steps|opens|bumps)\b)(?:[a-z]+\s+){0,2}[a-z]+s\b(?!\s+of\b)[^;]*\b(?:at|from|between)\s+~?\s*(?:\d|[a-z]+))/gi,
    ' ',
  ],
  // "off set", as some recognizers write it
  [/\boff[\s-]set(?=s?\b)/gi, 'offset'],
  // "I'd put it at a quarter": of the roots.
  [
    /(?:,\s*)?\b(?:(?:i'd|i\s+would|i'll|let's|we'll)\s+)?(?:put|call|peg|mark)\s+(?:it|that|this|them|those)\s+(?:at\s+)?(?:(?:about|around|maybe|like)\s+)*(?:an?\s+)?(quarter|third|half|fifth)(?:\s+(?:of\s+the\s+pipe|full|blocked|closed))?(?=\s*(?:$|[,.;]))(?<=\b(?:roots?|scale|grease|wipes|debris|mud|sand|gravel|paper)\b[^;]*)/gi,
    ([, share = '']) => `, a ${share} of the pipe`,
  ],
  // "she's reading zero at the bottom of the wye": where it is set to zero.
  [
    /\b(?:(?:she's|it's|counter's|i'm|we're)\s+)?(?:reading\s+|at\s+)?(?:zero(?:ed)?|0)\s+at\s+the\s+(?:bottom|top|throat|base|edge)\s+of\s+the\s+(?:wye|tee|riser|two[\s-]?way|sweep|stack)\b/gi,
    asNote,
  ],
  // "depth here with the wand was 8 feet 4"
  [/\bwith\s+(?:the|my|our)\s+(?:wand|locator|receiver|stick)\s+(?=(?:was|is|reads|says|shows|at)\b)/gi, ' '],
  // "counter's at zero and we're on 3 inch abs"
  [
    /\b(?:the\s+)?(?:counter|footage|reel|reading)(?:'s|\s+is)?\s+(?:(?:at|on|reads|says|set\s+to)\s+)+(?:zero|0)\b(?=\s*(?:$|[,.;]|and\b))/gi,
    asNote,
  ],
  // "zeroed at the cleanout"
  [
    /(?<=(?:^|[;,.])\s*)(?:zero(?:ed)?|zeroing|(?:counter|footage|reel|distance|reading)\s+(?:(?:at|is|reads)\s+)?zero)\s+(?:it\s+)?(?:at|on|from)\s+(?=(?:the\s+|a\s+)?[a-z])/gi,
    '0 ',
  ],
  [somethingAcross, ([said]) => `utility through the pipe ${quoted(said)}`],
  // "first coupling I see is at about 7.5"
  [
    /\b((?:the\s+)?(?:first|next|only|last)\s+(?:[a-z]+\s+)?[a-z]+)\s+(?:that\s+)?(?:i|we|you)(?:'ll|\s+can|\s+will)?\s+(?:see|get|get\s+to|come\s+to|hit|find|run\s+into)\s+(?:is|was)\s+(?=(?:right\s+)?(?:at|around|about)\b)/gi,
    ([, what = '']) => `${what} `,
  ],
  // "start @ co"
  [/@\s*(?=[a-z])/gi, 'at '],
  // "co (outside)": what is in brackets is said of it.
  [
    /\s*\((outside|inside|house|yard|street|city|front|back|rear|buried|capped)\)/gi,
    ([, where = '']) => ` ${quoted(where)}`,
  ],
  // "at the lip of the cleanout"
  [/\bthe\s+(?:lip|rim|edge|mouth|collar)\s+of\s+(?=the\s+(?:[a-z]+\s+)?clean\s?-?out\b)/gi, ' '],
  // "a joint I don't like": nothing is denied.
  [
    /\b(?:that\s+|which\s+)?i\s+(?:really\s+)?(?:don't|do\s+not)\s+(?:like|love)(?:\s+(?:the\s+looks?\s+of|it|that|this))*\b/gi,
    ' ',
  ],
  // "thirty six eight, oh boy"
  [
    /\boh\s+(?=(?:boy|man|wow|no|yeah|yes|well|look|there|here|my|shoot|jeez|okay|ok|hey|that's|it's|we|i)\b)/gi,
    ', ',
  ],
  // "at 118 Larkin", "118 larkin street": an address is not a reading.
  [
    /\b(?:\d{2,5}(?=\s+(?!(?:to|toward|towards|the|a|under|in|into|at|from|of|and|ft|feet)\b)[a-z]+\s+(?:street|avenue|ave|road|lane|drive|court|boulevard|blvd)\b)|(?<=\b(?:at|for)\s)\d{2,5}(?=\s[A-Z][a-z]{3,}\s*(?:,|\.|$)))/g,
    ' ',
  ],
  // "the bottom's gone"
  [
    /\b(bottom|invert|pipe|joint|cap|top|crown|liner|camera|lens|line|main|picture|wall)'s(?=\s)/gi,
    ([, noun = '']) => `${noun} is`,
  ],
  // "twenty, give or take a foot"
  [
    new RegExp(
      String.raw`\s*,?\s*\b(?:give\s+or\s+take|plus\s+or\s+minus|plus\s+minus|\+\/-)\s+(?:(?:about|maybe)\s+)?(?:an?|half\s+an?|\d+(?:\.\d+)?|${aNumber})\s+(?:foot|feet|ft|inch(?:es)?)(?:\s+or\s+(?:so|two))?`,
      'gi',
    ),
    ({ index, input }) =>
      /[\d]\s*$|(?:ty|teen|ten|eleven|twelve|one|two|three|four|five|six|seven|eight|nine)\s*$/i.test(
        input.slice(0, index),
      )
        ? ' give or take'
        : '',
  ],
  // "twenty three and change" is a little more.
  [/(?<=[a-z\d])\s+and\s+(?:(?:some|a\s+little|a\s+bit\s+of)\s+)?change\b(?!\s+(?:to|of|in)\b)/gi, ' '],
  [
    /\bright\s+(?=(?:out\s+of\s+the\s+(?:gate|chute|box)|from\s+the\s+(?:start|get[\s-]?go|beginning)|off\s+the\s+bat)\b)/gi,
    ' ',
  ],
  ...spokenPipes,
  // "there's like three cracks": how many.
  [
    /(?<=[a-z,]\s+)(?:(?:there's|we've\s+got|i\s+see|got|like|about|maybe|probably)\s+)*(?:like|about|maybe|probably)\s+(?:a\s+)?(?:two|three|four|five|six|seven|eight|nine|\d|dozen)\s+(?=(?:cracks|fractures)\b)/gi,
    'multiple ',
  ],
  // "scale from the get go to about eight", "starting right at the cleanout and going to eight"
  [
    new RegExp(
      String.raw`\b(?:(?:starting\s+|starts\s+)?(?:(?:from|at|off)\s+the\s+(?:very\s+)?(?:start|get[\s-]?go|beginning|jump|bat)|right\s+away)|(?:starting|starts)\s+(?:right\s+)?at\s+the\s+clean\s?out)\s*,?\s+(?:(?:and|all\s+the\s+way|on|out|down|it|we|goes|going|runs|running)\s+)*(?:to|till|until|through)\s+(?=(?:(?:about|around|maybe|roughly)\s+)*${aNumber})`,
      'gi',
    ),
    'from 0 to ',
  ],
  // "right at seventy nine" is not a side of the pipe.
  [
    /(?<!\b(?:on|to|from)\s+(?:the|your|our|my|its)\s+|\b(?:hard|sharp|slight|easy)\s+|\b(?:bend|turn|elbow|ell)\s+(?:11\.25|22\.5|22|45|60|90)\s+|\b(?:upper|lower|top|bottom)\s+|\b(?:turns|bends|curves|veers|hooks|swings|jogs|angles|sweeps)\s+)\bright\s+(?=(?:at|about|above|around|below|near|after|before|past|off|now|next|overhead|under(?:neath)?|up|over|in|on|away|as|when|where|by|beside|behind)\b(?!\s+(?:side|hand)))/gi,
    ' ',
  ],
  [/ {2,}/g, ' '],
  [/\b(?:astm\s+)?(?:d[\s-]*)?3034\b|\bsdr[\s-]*(?:35|thirty[\s-]five)\b/gi, 'sdr35'],
  [/\bsdr[\s-]*(?:26|twenty[\s-]six)\b/gi, 'sdr26'],
  ...stopIdioms,
  [/\b(in|through|inside)\s+(?=(?:pipe|line|sewer|bottom|invert)\b)/gi, ([, where = '']) => `${where} the `],
  [/\bschedule\s+forty\b/gi, 'schedule 40'],
  [/\bw(?:\/\s?|\s+)(?=[a-z])/gi, 'with '],
  // "80 inch and a half offset": one and a half inches at 80.
  [
    /(?<=^\s*~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s+)inch\s+(?:and\s+an?\s+)(half|quarter)\b/gi,
    ([, part = '']) => `1 and a ${part} inch`,
  ],
  // "toilet flush came thru", "dye seen at the main"
  [
    /\b(came|comes|coming|come|made\s+it|makes\s+it|poking|sticking|growing)\s+(right\s+)?thru\b/gi,
    ([, how = '']) => `${how} through`,
  ],
  [
    /\b(dye|paper|water)\s+(?:was\s+|is\s+)?(?:seen|visible|spotted)(?=\s*(?:$|[,;.]|at\b|in\b|here\b|coming\b))/gi,
    ([, what = '']) => `${what} shows up`,
  ],
  [
    /\b(?:toilet\s+)?paper\s+(?:came|comes|coming)\s+(?:right\s+)?through\b/gi,
    `flush came through ${quoted('paper')}`,
  ],
  ...testingIdioms,
  ...findingIdioms,
  ...waterIdioms,
  ...pointIdioms,
  cleanedAway,
  ...remarkIdioms,
  ...debrisIdioms,
  [/\s*,?\s*\b(?:and\s+)?(?:then\s+)?(?:levels|flattens|straightens)\s+(?:back\s+)?out\b/gi, ' '],
  // "channeled out" is not on the way out.
  [
    /(?<=\b(?!(?:going|pushing|heading|coming|running|headed|pushed|rusted|rotten|rotted|eaten|worn|cleaned|cleared|taken|removed)\b)[a-z]{3,}(?:ed|en|ing|own)\s+)out\b(?!\s+(?:to|of)\b)/gi,
    ' ',
  ],
  // "missing 6 inches of pipe"
  [
    /\bmissing\s+(?:about\s+|~\s*)?((?:an?|\d+(?:[./]\d+)?)\s*(?:inch(?:es)?|in|"|foot|feet|ft))\s+of\s+(?:the\s+)?(?:pipe|wall|top|bottom)/gi,
    ([, size = '']) => `missing piece ${quoted(`${size.replace('"', ' in')} missing`)}`,
  ],
  [
    /\b(growing|coming|sticking|poking|hanging)\s+out\s+of\s+(?=(?:the|a)\s+(?:joint|wall|side|top|bottom|pipe|hub|bell|crack|hole|tap|connection|branch)\b)/gi,
    ([, how = '']) => `${how} at `,
  ],
  // "offset, drops down maybe 3/8": how large it is.
  [
    /(?<=\boffset(?:\s+joint)?)\s*,?\s+(?:and\s+)?(?:it\s+)?(?:drop(?:s|ped)?|step(?:s|ped)?)\s+(?:down\s+|up\s+)?(?=(?:(?:maybe|about|around|like|~)\s+)*(?:\d|½|¼|¾|half|quarter|a\s+|an\s+|one|two|three|five))/gi,
    ' ',
  ],
  [
    /,?\s+(?:and\s+)?(?:it\s+)?(?:drops|dropped|steps|stepped)\s+(?:down|up)(?=\s*(?:$|[.,;]))(?<=\boffset\b[^;.]*?,?\s+(?:and\s+)?(?:it\s+)?(?:drops|dropped|steps|stepped)\s+(?:down|up))/gi,
    ' ',
  ],
  // "not real bad"
  [
    /\b(?:(?:it's|they're|that's|is|are|looks)\s+)?not\s+(?:(?:real|really|too|that|so|very|all\s+that|terribly)\s+)*bad\b/gi,
    // Alone it is a note.
    (match) => (match.input.trim() === match[0].trim() ? undefined : ' '),
  ],
  // "roots, about half"
  [
    /(?<=\b(?:roots?|grease|scale|debris|wipes)\b,?\s+)(?:(?:about|maybe|probably|like)\s+)*half(?=\s*(?:$|[,.;]))/gi,
    ' 50% ',
  ],
  // "camera won't fit"
  [
    /\b(?:(?:the\s+)?(?:camera|head|it)\s+)(?:won't|can't|cannot|couldn't|will\s+not|doesn't)\s+fit(?:\s+through)?(?=\s*(?:$|[.,;]))/gi,
    "can't get past ",
  ],
  // "on the left and the right"
  [
    /\b(?:on|at|from)\s+(?:the\s+)?(?:left|right)(?:\s+side)?\s+and\s+(?:on\s+)?(?:the\s+)?(?:left|right)(?:\s+side)?\b(?!\s+hand)/gi,
    'both sides',
  ],
  // "on the top and the left side"
  [
    /\b(?:on\s+|at\s+)?(?:the\s+)?(top|bottom)\s+and\s+(?:on\s+)?(?:the\s+)?(left|right)(?:\s+side)?\b(?!\s+(?:hand|half))/gi,
    ([, end, side]) => `${end === 'top' ? 12 : 6} o'clock and ${side === 'left' ? 9 : 3} o'clock`,
  ],
  [/\b(?:at\s+)?(?:the\s+)?top\s+and\s+(?:the\s+)?bottom\b/gi, "12 o'clock and 6 o'clock"],
  // "roots take up 3/4 of the pipe"
  [
    /\b(?:tak(?:es?|ing)|fill(?:s|ing)?|eat(?:s|ing)?)\s+up\s+(?=(?:(?:about|around|maybe|roughly|~)\s*)*(?:\d|half|a\s+(?:third|quarter)|two|three|most))/gi,
    ' ',
  ],
  [/\b(?:pipe\s+)?size\s+change|change\s+(?:in|of)\s+(?:pipe\s+|the\s+)?(?:size|diameter)\b/gi, 'change'],
  // "right at an inch"
  [
    /\b(?:(?:right|about|just)\s+)*at\s+(?=(?:an?|half\s+an|one|two|three|\d+(?:[.]\d+)?)\s*-?\s*inch(?:es)?\b)/gi,
    ' ',
  ],
  // "two couplings three feet apart"
  [
    new RegExp(
      String.raw`\b(?:about\s+|maybe\s+)?(?:\d+(?:\.\d+)?|${aNumber})\s*(?:feet|foot|ft|')\s+apart\b`,
      'gi',
    ),
    asNote,
  ],
  [
    /\b(?:two|2|a\s+pair\s+of|a\s+couple(?:\s+of)?)\s+(?=(?:(?:rubber|shielded|no-hub|banded|flexible)\s+)*(?:couplings|bands|clamps|adapters)\b)/gi,
    ' ',
  ],
  // "dirt quits at 26": what lay in the pipe, not soil seen through it.
  [
    /\b(?:dirt|soil)\s+(?=(?:quits?|lets\s+up|peters\s+out|goes\s+away|tapers\s+off|ends|stops|clears)\b)/gi,
    'debris ',
  ],
  // "it opens up at 60": what was named before, no joint.
  [/(?<=^\W*(?:(?:and|then)\s+)?)it\s+opens\s+up\b(?=\s*(?:at|around|by|here|$))/gi, asNote],
  // "crack stops at the joint": the crack, not the camera.
  [
    /\b(?:and\s+)?(?:it\s+)?(?:stops|ends|quits|dies(?:\s+out)?)\s+(?:right\s+)?(?:at|in)\s+(?:the|that)\s+(?:next\s+|same\s+)?(?:joint|hub|bell|coupling)\b(?<=\b(?:cracks?|fracture|it|that)\b[^;]*)/gi,
    asNote,
  ],
  // "crack runs to the next joint, which is 29"
  [
    new RegExp(
      String.raw`\bto\s+(?:the\s+)?(?:last|next|previous|other)\s+joint\s*,?\s+(?:and\s+)?(?:that's|which\s+is|that\s+is|it's)\s+(?:at\s+)?(?=~?\d|${aNumber}\b)`,
      'gi',
    ),
    'to ',
  ],
  // "crack runs back to the last joint"
  [
    /\b(?:(?:and|it|that)\s+)?(?:runs?|goes|extends|continues)\s+(?:back\s+|on\s+|out\s+|up\s+|down\s+|all\s+the\s+way\s+)*to\s+(?:the\s+)?(?:last|next|previous|prior|other|same)\s+joint\b/gi,
    asNote,
  ],
  // "rusted clean through"
  [
    /\b(rott(?:ed|en)|rusted|eaten|worn|corroded)\s+(?:clean|clear|right|plumb|completely|all\s+the\s+way)\s+(?=(?:through|out|away)\b)/gi,
    ([, how = '']) => `${how} `,
  ],
  // "rotted out on the bottom"
  [
    /\b(?:rott(?:ed|en)|rusted|eaten|worn|corroded)\s+(?:out|through|away)\s+(?:on|at|along|in)\s+the\s+bottom\b/gi,
    'bottom gone',
  ],
  // "root mass almost full"
  [
    /\b(?:almost|nearly|practically|mostly)\s+(?:completely\s+)?(?:full|plugged|blocked|clogged|closed(?:\s+off)?)\b(?!\s+(?:of|with)\b)/gi,
    'large',
  ],
  // "starting to collapse" is no start of a stretch.
  [
    /\b(?:starting|beginning|starts|begins)\s+(?:(?=getting\b)|to\s+(?=(?:get|look|hinge|egg|oval|sag|belly|collaps|crack|break|separat|fail|rust|rot|pull|cave|deform|flatten|open|shift|offset|go\b)[a-z]*))/gi,
    ' ',
  ],
  ...separatorIdioms,
  [/\b(?:hub|bell)\s+and\s+spigot\b/gi, ' '],
  [
    /\b(1[0-2]|[1-9])((?::[0-5]\d)?)\s*o\s?clock\b/gi,
    ([, hour = '', minutes = '']) => `${hour}${minutes} o'clock`,
  ],
  // "15'6", "15'-6"
  [
    new RegExp(String.raw`\b(\d+)\s*['’′]-?(1[01]|\d)${inchesEnd}`, 'g'),
    ([, feet = '', inches = '']) => `${feet}' ${inches}"`,
  ],
  // "10..16", "10...16": a stretch.
  [/(?<=\d)\s*(?:\.{2,3}|…)\s*(?=\d)/g, '-'],
  [/\bper\s+cent\b/gi, 'percent'],
  // "goes from clay to, looks like, concrete"
  [
    /\b(to|into)\s*,\s*(?:(?:(?:it\s+)?looks\s+like|what\s+looks\s+like|probably|maybe|perhaps)\s*,?\s+)?/gi,
    ([, to = '']) => `${to} `,
  ],
  [/\b(?:a\s+)?(?:full|good|solid|whole)\s+inch\b/gi, '1 inch'],
  [
    /\b(is|are)\s+(?:(?:just|completely|totally|all|pretty\s+much|basically)\s+)+(?=(?:gone|missing|rotted|rusted|broken|open|cracked|crushed|collapsed)\b)/gi,
    ([, be = '']) => `${be} `,
  ],
  // "30 %, maybe more": as it was said.
  [/[\s,]+(?:maybe|possibly|probably|perhaps)\s+(?:a\s+(?:little|bit)\s+)?more(?=\s*(?:$|[,.;]))/gi, ' '],
  ...stretchIdioms,
  // "46 roots?": not sure.
  [/(?<=[a-z%]\s*)\?+(?=\s*$)/gi, ' possible'],
  [/(?<=^\s*\d+(?:\.\d+)?)\s*\?+(?=\s+[a-z])/gi, ' ~'],
  ...denyingIdioms,
  [/\bc\.\s?i\.(?!\w)/gi, 'ci'],
  [/\b([12])[\s-]?way\b/gi, ([, ways]) => (ways === '1' ? 'one-way' : 'two-way')],
  // "31 1/4 bend" is a quarter bend at 31.
  [/(?<=\d\s+)1\/([48])\s+(?=bend\b)/gi, ([, part]) => (part === '4' ? 'quarter ' : 'eighth ')],
  [
    /(?<=\d\s+)1\/(16|6|5)\s+bend\b/gi,
    ([, part]) => `bend ${{ '16': 22.5, '6': 60, '5': 72 }[part ?? ''] ?? ''} degrees`,
  ],
  // "roots-15%"
  [/-(?=\d+\s*%)(?<=\d\s[^;]*[a-z]-)/gi, ' '],
  // "12oc", "6 o c"
  [/\b(1[0-2]|[1-9])\s*o\s?c\b\.?(?!\s*l)/gi, ([, hour = '']) => `${hour} o'clock`],
  // "rt side"
  [/\b(lt|rt)\.?\s+side\b/gi, ([, side = '']) => `${sideOf(side)} side`],
  // "12 wye l", "12 wye l cap"
  [
    /(?<=\d\s+(?:wye|tee|tap|y|lateral|branch)\s+)(l|r)\b(?:\s+(cap)(?:ped)?\b)?(?=\s*(?:$|[,;]))/gi,
    ([, side = '', cap]) => `${sideOf(side)}${cap === undefined ? '' : ' capped'}`,
  ],
  // "0 co cap": the counter is zeroed there.
  [/(?<=\b(?:co|cleanout)\s+)cap(?=\s*(?:$|[,;]))/gi, asNote],
  // "91 wye lt", "53 bend rt", "57 saddle 4 in lt", "lt branch"
  [
    /\b(lt|rt)\b\.?(?=\s*(?:$|[,;)@]|\d|at\b|(?:in\s+use|live|capped|active|dead)\b))(?<=\b(?:wye|tee|tap|saddle|bend|turn|elbow|ell|22|45|90|branch|lateral|tie-?in|crack|hole|break|broken)\b(?:[\s,@]+|\d[\d./]*|['"]|(?:at|ft|feet|in|inch)\b)*\s(?:lt|rt)\.?)/gi,
    ([, side = '']) => sideOf(side),
  ],
  [
    /\b(lt|rt)\b\.?(?=\s+(?:\d\s*-?(?:in|inch|")\s+)?(?:wye|tee|tap|saddle|branch|lateral|tie-?in)\b)/gi,
    ([, side = '']) => sideOf(side),
  ],
  // "61 crk long 6"
  [
    /\b(crk|crack|frac|fracture)\s+long\b\.?(?!\s*\d+(?:\.\d+)?\s*(?:feet|foot|ft|'|in\b|inch))/gi,
    ([, what = '']) => `${what} along`,
  ],

  // Anything that says something else runs through the sewer.
  [
    new RegExp(
      String.raw`\b(?:(?:gas|electric(?:al)?|power|telephone|phone|fiber(?:\s+optic)?|cable(?:\s+tv)?|water|steel|copper|irrigation|sprinkler|another|other|small)\s+(?:line|main|pipe|service|conduit|cable|wire|duct)|conduit|cable|wire)\s+(?:(?!clay|iron|abs|pvc)[a-z]+\s+){0,4}?thr(?:ough|u)\s+(?:it|us|${ourPipe})\b`,
      'gi',
    ),
    'utility through the pipe',
  ],
  // "pipe thru pipe", "a yellow line goes through ours".
  [
    new RegExp(
      String.raw`\b(?:(?:an?|some|one|the)\s+)?(?:something|somebody(?:'s|\s+else's)\s+(?:pipe|line|service)|(?:(?:unknown|unidentified|strange|foreign|yellow|orange|black|blue|red|green|white|gr[ae]y|plastic|poly|metal|steel|copper|round|thin|skinny|little|different)\s+)*(?:pipe|line|tube|tubing|duct|hose|object))\s+${crossing}(?:${ourPipe}|ours)\b`,
      'gi',
    ),
    ([said]) => `utility through the pipe ${quoted(said)}`,
  ],
  // "gas line crossing in pipe", "plastic line in the top of the pipe"
  [
    new RegExp(
      String.raw`\b(?:(?:an?|some|the)\s+)?(?:(?:gas|electric(?:al)?|power|phone|fiber(?:\s+optic)?|cable(?:\s+tv)?|water|irrigation|sprinkler)\s+(?:line|pipe|conduit|duct|service)|(?:(?:plastic|poly|steel|copper|yellow|orange|blue|red|black|small|unknown)\s+)+(?:line|tube|tubing|conduit|duct))\s+(?:(?:is|was|goes|going|runs|running|crosses|crossing|laying|lying|comes|coming)\s+)*(?:in|inside|inside\s+of|across|along)\s+(?:(?:the|our|this|my)\s+)?(?:(?:top|bottom|side|middle|crown|invert)\s+of\s+)?${ourPipe}\b`,
      'gi',
    ),
    ([said]) => `utility through the pipe ${quoted(said)}`,
  ],
  // "bored through", "pipe drilled thru", "directional bore hit pipe"
  [
    new RegExp(
      String.raw`\b(?:(?:(?:fiber|cable|gas|power|electric|phone|water|pipe|line|it(?:'s)?|somebody|someone|they)\s+)?(?:(?:was|been|is|got|has\s+been)\s+)*(?:bored|drilled|missile[d]?|punched)\s+(?:(?:right|straight|clean|clear)\s+)?thr(?:ough|u)(?:\s+${ourPipe}\b|\s+(?:it|us|ours)\b)?|(?:directional\s+)?(?:bore|drill|boring)\s+(?:(?:rig|shot|crew)\s+)?(?:hit|went\s+through|cut|got|went\s+into)\s+${ourPipe}\b)`,
      'gi',
    ),
    ([said]) => `utility through the pipe ${quoted(said)}`,
  ],
  // "conduit pipe thru top", "gas line through the side"
  [
    /\b(?:an?\s+|the\s+)?(?:(?:conduit|gas|electric(?:al)?|power|phone|fiber|cable|water|irrigation)\s+(?:pipe|line|conduit|duct|service)|conduit|gas\s+line)\s+(?:(?:goes|going|runs|running|right|straight)\s+)*thr(?:ough|u)\s+(?:the\s+)?(?:top|bottom|side|crown|invert|middle)\b(?:\s+of\s+(?:the\s+|our\s+)?(?:pipe|line|sewer))?/gi,
    ([said]) => `utility through the pipe ${quoted(said)}`,
  ],
  // "rebar thru pipe"
  [
    new RegExp(
      String.raw`\b(?:an?\s+)?(?:(?:piece|length)\s+of\s+)?(?:re-?bar|nail|stake|spike|bolt|screw|(?:fence\s+|sign\s+|mailbox\s+)?post|(?:ground\s+)?rod|pin|anchor|pile|piling)\s+${crossing}${ourPipe}\b`,
      'gi',
    ),
    ([said]) => `intrusion ${quoted(said)}`,
  ],
];

/** "We made it all the way to the main": the head is there. */
const arrives = /\b(?:made\s+it|got|pushed|went|ran)(?:\s+(?:it|her))?\s+$/i;

/** Applied once numbers are digits: what a number belongs to. */
export const figureIdioms: readonly Idiom[] = [
  // "that's at one o clock"
  [/\b(1[0-2]|[1-9])\s+o\s?clock\b/gi, ([, hour = '']) => `${hour} o'clock`],
  ...readingFigures,
  ...correctingFigures,
  // "roots in it, 15 maybe", "5 % maybe": how much is not sure, not whether.
  [
    /\b(\d+(?:[./]\d+)?\s*(?:%|percent|in(?:ch(?:es)?)?\b|"))\s*,?\s+(?:maybe|probably|possibly|i'd\s+(?:say|guess)|or\s+so)(?=\s*(?:$|[,.;]))/gi,
    ([, much = '']) => much,
  ],
  [
    /(?<=\b(?:roots?|grease|scale|debris|hair)\b[^;\d]*,\s+)(\d*[05])\s+(?:maybe|probably|tops|or\s+so)(?=\s*(?:$|[.;]))/gi,
    ([, share = '']) => `${share}%`,
  ],
  // "17, more of them", "20, those are serious": the same again.
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:some|a\s+few|lots|even|and)\s+)?more\s+of\s+(?:them|those|these|it|that)\b/gi,
    `same`,
  ],
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:those|these|they)\s+are|(?:those|these|they)'re|them's)\s+((?:(?:really|pretty|very|real|getting|some)\s+)*(?:serious|bad|heavy|big|thick|ugly|worse|nasty|huge|monsters?|fine|small|light|little))(?:\s+ones)?(?=\s*(?:$|[,.;]))/gi,
    ([, how = '']) => `same, ${quoted(how)}`,
  ],
  // "offset, looks like 20 % of the pipe": measured in inches, or not at all.
  [
    /(?<=\b(?:offset|step|drop)\s*,?\s*(?:(?:here|there|it's|that's|and)\s+)?)(?:(?:it\s+)?looks\s+like\s+|(?:i'd\s+)?say\s+)?(?:(?:about|around|maybe|~)\s*)*\d+\s*(?:%|percent)(?:\s+of\s+(?:the\s+)?(?:pipe|diameter|bore))?/gi,
    besideIt,
  ],
  // "31's the worst one, it's almost plugged"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?)(?:'s|\s+is|\s*,)\s+(?:(?:really|probably)\s+)?(the\s+worst|a\s+bad|the\s+big)\s+one(?:\s+of\s+(?:them|the\s+bunch|all))?(?=\s*(?:$|[,.;]|it's\b))/gi,
    ([, how = '']) => ` same, ${quoted(`${how} one`)},`,
  ],
  // "the worst one is ten, half closed"
  [
    /^\s*(?:(?:and|the|but)\s+)*(worst|biggest|heaviest)\s+(?:one|spot|of\s+(?:them|it|the\s+bunch))(?:'s|\s+is|\s+was)\s+(?:at\s+)?(~?\d+(?:\.\d+)?)(?=\s*(?:$|[,.;]))/gi,
    ([, how = '', at = '']) => `${at} same, ${quoted(`the ${how.toLowerCase()} one`)}`,
  ],
  // "31.3, the pipe's worse, maybe 20"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,?\s+)(?:(?:the\s+)?(?:pipe|joint|line)(?:\s+is|'s)|it's)\s+(?:getting\s+)?(worse|better)\s*,\s+(?:(?:maybe|about|say|like|i'd\s+say|call\s+it)\s+)+(\d+)(?:\s*(?:%|percent))?(?=\s*(?:$|[.;]))/gi,
    ([, how = '', share = '']) => `same, ${quoted(how)} ${share}%`,
  ],
  // "three more feet and there's a joint at 7": the place is said after it.
  [
    /^\s*(?:(?:about|maybe|another|okay|and|so)\s+)*\d+(?:\.\d+)?\s+(?:more\s+)?(?:feet|foot|ft)\s*(?:more|farther|further|later)?\s*,?\s+(?:and\s+)?(?:there's|there\s+is|we've\s+got|i've\s+got|we\s+hit|i\s+hit|it's)\s+(?=(?:an?|the|our|another|some)\s+[^;,]*\bat\s+~?\d)(?<=\b(?:more|another|farther|further|later)\b.*)/gi,
    '',
  ],
  // "two o'clock position at 5, there's a crack"
  [
    /^\s*(\d{1,2})\s*o'clock(?:\s+position)?\s+at\s+(~?\d+(?:\.\d+)?)\s*,\s*(?:there's\s+|we've\s+got\s+|i've\s+got\s+)?(?=an?\s)/gi,
    ([, hour = '', at = '']) => `${at} at ${hour} o'clock `,
  ],
  // "bigger root, call it ten": percent of the pipe.
  [
    /(?<=\broots?\b[^;\d]*,\s*)(?:i'd\s+)?(?:call\s+it|say|make\s+it)\s+(?:about\s+|maybe\s+)?(\d*[05])(?=\s*[.]?\s*$)/gi,
    ([, share = '']) => `${share}%`,
  ],
  // "21.5, that's 25 percent easy"
  [
    /(?<=^\s*(?:at\s+)?~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,\s+)(?:that's|that\s+one's|it's)\s+(?:(?:about|maybe|probably|like)\s+)*(\d+)\s*(?:%|percent)(?:\s+(?:easy|easily|at\s+least|or\s+(?:so|better|more)|there))?(?=\s*[.]?\s*$)/gi,
    ([, share = '']) => `same, ${share}%`,
  ],
  // "33.7, piece missing 10 to 11": hours, past the twelfth foot.
  [
    /(?<=^\s*(?:at\s+)?~?(\d+)(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\b[^;]*\b(?:missing|hole|crack(?:s|ed)?|broken|fractured?|spalled)\s*,?\s+(?:from\s+)?)(1[0-2]|[1-9])\s*(?:-|to)\s*(1[0-2]|[1-9])(?=\s*[.]?\s*$)/gi,
    ([, place = '', from = '', to = '']) =>
      Number(place) > 12 ? `from ${from} o'clock to ${to} o'clock` : undefined,
  ],
  // "a broken section, about 2 feet": how long it is.
  [
    /(?<=^\s*(?:at\s+)?~?(\d+)(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\b[^;]*\b(?:section|stretch|area|crack|break|cracked|broken)\s*),\s*(?:(?:about|maybe|around|~)\s*)+(\d{1,2}(?:\.\d+)?)\s*(?:feet|foot|ft)(?=\s*[.]?\s*$)/gi,
    ([, place = '', long = '']) => (Number(long) < Number(place) ? ` for ${long} ft` : undefined),
  ],
  // "35, joint, roots, 50": percent of the pipe.
  [
    /(?<=^\s*(?:at\s+)?~?\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft))?\s*,[^;\d]*\broots?\b[^;\d]*,\s*)(15|[2-9][05]|100)(?=\s*[.]?\s*$)/gi,
    ([, share = '']) => `${share}%`,
  ],
  // "I'd say 15, 20 percent": from one to the other.
  [
    /(?<=\b(?:say|about|around|maybe|like|it|probably|anywhere\s+from|roughly)\s+)(\d*[05])\s*,\s*(?=(?:maybe\s+)?(\d*[05])\s*(?:%|percent))/gi,
    ([, least = '', most = '']) => (Number(most) > Number(least) ? `${least} to ` : undefined),
  ],
  // "2 ft past the offset, a crack": the first only says where.
  [
    /(?<=^\s*)((?:\d+(?:\.\d+)?\s*(?:feet|foot|ft|')\s+)?(?:(?:just|right|a\s+little|a\s+bit)\s+)?(?:past|beyond|after|(?:up|down)stream\s+(?:of|from)|before|ahead\s+of|short\s+of|shy\s+of)\s+(?:the|that)\s+[a-z]+(?:\s+[a-z]+)?)\s*,\s+(?=[a-z])/gi,
    ([, where = '']) => `${where} `,
  ],
  // No inch is measured in thirds.
  [
    /(?<![\d./-])([12])\/3(?!\s*(?:-|\/|in\b|inch|"|full|of\b|the\b|pipe\b|blocked|closed|\d))/g,
    ([, thirds]) => (thirds === '1' ? '33%' : '67%'),
  ],
  // "12 feet, 45 to the left", "33, 90 going up"
  [
    /(?<=\d\s*(?:feet|foot|ft|'|")?(?:\s+(?:even|flat))?\s*,\s*(?:an?\s+)?)(11\.25|22\.5|22|45|60|90)(?=\s*,?\s+(?:(?:to\s+the\s+)?(?:left|right)|(?:going|turning|heading|turned)\s+(?:up|down|left|right)|up|down)\b)/gi,
    ([, degrees = '']) => `bend ${degrees} degrees`,
  ],
  // "46 and 6 inches roots"
  [/(?<=^\s*~?\s*\d+)\s+and\s+(1[01]|\d)\s*(?:inches|")\s+(?=[a-z])/gi, ([, inches = '']) => `' ${inches}" `],
  // "46 roots, 3:52 on the video"
  [
    /\b(?:at\s+)?((?:\d+:)?\d{1,2}:[0-5]\d)\s+(?:on|in|into|of)\s+(?:the\s+)?(?:video|tape|footage|recording)\b/gi,
    ([, time = '']) => `video ${time}`,
  ],
  // "for the next 3 feet"
  [
    /\b(?:for\s+|over\s+)?(?:the\s+|another\s+)?next\s+(?=(?:~\s*|about\s+)?\d+(?:\.\d+)?\s*(?:feet|foot|ft|'))/gi,
    'for ',
  ],
  // "roots at 46 end at 43": a stretch.
  [
    /\s+ends?\s+(?:at\s+|around\s+)?(?=~?\s*\d+(?:\.\d+)?\s*(?:$|[,;]|feet|foot|ft|'))(?<=(?:^|;)[^;,\d]*\d+(?:\.\d+)?(?:\s*(?:feet|foot|ft|'|%|percent))?(?:\s+(?!and\b|with\b|then\b|plus\b)[a-z]+(?:\s+\d+\s*(?:%|percent))?){0,3}\s+ends?\s+(?:at\s+|around\s+)?)/gi,
    ' to ',
  ],
  // "26 joint 26 roots": the place again.
  [/(?<=^\s*~?\s*(\d+(?:\.\d+)?)\s+joint\s+)\1(?![\d.%])(?!\s*(?:%|percent|in\b|inch|"|o'))/gi, ' '],
  // "31, 33, and 35"
  [
    /(?<=\d\s*(?:'|%|"|(?:ft|feet|foot|percent|in|inch|inches)\b)?\s*),\s*and\s+(?=(?:at\s+|about\s+|~\s*)*\d)/gi,
    ' and ',
  ],
  ...pointFigures,
  ...placeFigures,
  ...pipeIdioms,
  ...waterFigures,
  // "looks great all the way to the main": how far it was seen, not where the main is.
  [
    /\b(all\s+the\s+way|clear|clean|good|great|fine|open|smooth|from\s+(?:here|there)|rest\s+of\s+the\s+way)\s+(?:on\s+|out\s+|down\s+)?(?:to|till|until)\s+the\s+(?:city\s+)?main\b(?!\s+at\b)/gi,
    ({ index, input, 1: far = '' }) => (arrives.test(input.slice(0, index)) ? undefined : far),
  ],
  [/\bfrom\s+(?=~?\s*\d+(?:\.\d+)?(?:\s*(?:feet|ft|foot))?\s+on\b(?!\s+(?:the|a)\b))/gi, 'at '],
  // "the joints are about every four feet": how long its pieces are.
  [
    /\b(?:the\s+|a\s+)?(?:(?:hub|bell)\s+)?joints?\s+(?:is\s+|are\s+)?(?:~\s*|about\s+)?every\s+(?:~\s*|about\s+)?(\d+(?:\.\d+)?)\s*(?:feet|foot|ft|')/gi,
    ([, long = '']) => `${long} ft pieces`,
  ],
  // "clay's in 2.5 ft lengths, so figure a joint about every 30 inches"
  [
    /\b(?:in|about)\s+(\d+(?:\.\d+)?)\s*(?:foot|feet|ft)\s+(?:lengths|sticks|pieces|sections)\b(?:\s*,?\s+(?:so\s+)?(?:figure|call\s+it|that's|say|about)\s+(?:an?\s+)?joint[^;.]*)?/gi,
    ([, long = '']) => `${long} ft pieces`,
  ],
  // "seventeen feet of that's not seen"
  [/\b\d+(?:\.\d+)?\s*(?:feet|foot|ft)\s+of\s+(?:that|it|this|the\s+(?:line|pipe))(?:'s)?\b/gi, ' '],
  // "6 to 8 feet long": the longer of them, with what was said.
  [
    /(?<=[a-z]\s+(?:(?:about|maybe|~)\s*)*)(\d{1,2})\s*(?:-|to)\s*(\d{1,2})\s*(?:feet|foot|ft)\s+long\b/gi,
    ([said, , long = '']) => `${long} ft long ${quoted(said)}`,
  ],
  // "that's about a five foot belly": how long it is.
  [
    /\b(?:a|an)\s+(?:about\s+|~\s*)?(\d+(?:\.\d+)?)\s*-?(?:foot|feet|ft)\s+(?:long\s+)?(?=(?:belly|sag|dip|crack|break|hole|low\s+spot|flat\s+spot|section\s+of)\b)/gi,
    ([, long = '']) => `${long} ft long `,
  ],
  // "40 and it quits"
  [
    afterPlace(
      String.raw`(?:and\s+)?(?:that's\s+where\s+)?(?:it|that|they|(?:the\s+)?(cracks?|cracking|roots|scale|rust|corrosion|grease|gravel|(?:standing\s+)?water|sag|belly|dip))(?:\s+(?:finally\s+|just\s+)?(?:quits?|stops?|ends?|dies\s+out|peters?\s+out|goes\s+away|fades?\s+out|lets?\s+up)|(?<=\b(?:sag|belly|dip|crack|roots|scale|rust|grease))(?:'s|\s+is|\s+are)\s+(?:done|over|gone))(?:\s*,?\s+or\s+(?:gets|is|at\s+least)\s+[a-z\s]+)?(?=\s*$)`,
    ),
    ([, what = '']) => `${what} ends`,
  ],
  // "gravel quits at 30"
  [
    /(?<=\b(?:roots?|grease|scale|debris|gravel|sand|mud|dirt|silt|sludge|rocks?|cracks?|cracking|infiltration|it|that)\s+)(?:quits?|lets\s+up|peters\s+out|goes\s+away|tapers\s+off|fades\s+(?:out|away)|thins\s+out|lightens\s+up|(?:gets|is)\s+(?:a\s+lot\s+|much\s+)?(?:better|lighter)|(?:is|are)\s+(?:done|gone|over))\s+(?:at|by|around|(?:just\s+|right\s+)?(?:after|past))\s+(?=(?:~\s*|about\s+)?\d)/gi,
    'ends at ',
  ],
  // "it clears up at 31"
  [
    /\b(?:it|that|water)\s+(?:clears|cleared|dries|drains)\s+(?:(?:up|out|off|again)\s+)*(?:at|by|around)\s+(?=(?:~\s*|about\s+)?\d)/gi,
    'ends at ',
  ],
  // "grease, 10 %, fades out by 30"
  [
    /(?<=\b(?:roots?|grease|scale|debris|crack)\b[^;]*,\s*)(?:(?:it|that)\s+)?(?:fades|tapers|peters|thins)\s+(?:out|away|off)\s+(?:at|by|around)\s+(?=~?\s*\d)/gi,
    'to ',
  ],
  // "it runs out at 31"
  [/\b(?:it\s+)?(?:runs|comes|goes)\s+out\s+(?:at|by|around)\s+(?=(?:~\s*|about\s+)?\d)/gi, 'ends at '],
  ...depthFigures,
  bendUpOrDown,
  ...backwardFigures,
];
