import { aNumber } from '../number-words.js';
import { asNote, quoted, type Idiom } from './traced-text.js';

const loose = 'rocks?|gravel|sand|stones?|dirt|debris|soil|mud|silt';
const pieces = 'shards?|chunks?|pieces?|bits?|fragments?';
const lies = String.raw`(?:(?:is|are|was|were|that's|has|have)\s+)?(?:lying|laying|sitting|lays|lies|sits|stuck|fallen|fell)?`;
const inThePipe = String.raw`(?:in|on|down\s+in|inside)\s+(?:the\s+)?(?:bottom|invert|pipe|line|floor|flow\s*line|sewer)`;
const tool = String.raw`(?:(?:old|drain)\s+)?(?:snake|auger|cable|(?:root\s+)?cutter(?:\s+head)?|blade|(?:jetter\s+)?nozzle|jetter(?:\s+(?:head|hose|nozzle))?|tool|drill\s+bit|chain\s+knocker)`;

/** What lies loose in the pipe or was left in it: "sand and gravel", "clay shards in the bottom", "a snake stuck in the line". */
export const debrisIdioms: readonly Idiom[] = [
  // "somebody poured concrete in here", "concrete poured in the line": it lies in the pipe.
  [
    /\b(?:(?:somebody|someone|they|contractor)\s+)?(?:poured|dumped|washed(?:\s+out)?)\s+(concrete|grout|cement|mortar)\s+(?:down\s+|in|into)(?:\s+(?:here|it|there|(?:the|this)\s+(?:pipe|line|sewer|drain)))?|\b(concrete|grout|cement|mortar)\s+(?:that\s+was\s+|was\s+|been\s+|got\s+)?(?:poured|dumped|washed)\s+(?:down\s+|in|into)(?:\s+(?:here|it|there|(?:the|this)\s+(?:pipe|line|sewer|drain)))?/gi,
    ([, one, other = '']) => `${one ?? other} in the pipe`,
  ],
  // "somebody beat a hole in it and stuck a pipe in": how a branch was tapped.
  [
    /\b(?:(?:somebody|someone|they|plumber|he)\s+)?(?:just\s+)?(?:beat|knocked|busted|punched|broke|chiseled|hammered|cut)\s+an?\s+hole\s+(?:in|through)\s+(?:it|the\s+(?:pipe|clay|side|top)|there)\s*,?\s+and\s+(?:just\s+)?(?:stuck|shoved|put|ran|jammed|poked|set)\s+(?:(?:an?|the|another|their|it)\s+)?(?:[a-z]+\s+){0,2}in(?:to)?(?:\s+(?:it|there|the\s+hole))?/gi,
    asNote,
  ],
  // "nail coming through the top", "something sharp sticking through the side"
  [
    /\b(?:(?:an?|some|like|looks\s+like)\s+)*(?:(?:big|long|rusty|old)\s+)*((?:nail|screw|rebar|stake|bolt|spike|something\s+(?:sharp|hard|metal))(?:\s+or\s+(?:an?\s+)?[a-z]+){0,2})\s+(?:is\s+|that's\s+|that\s+is\s+)?(?:coming|came|comes|poking|sticking|stuck)\s+(?:in\s+|out\s+|right\s+|down\s+)*(?:through|thru)\b(?:\s+(?:the|our)\s+(?:pipe|wall|line)\b)?/gi,
    ([said]) => `sticks in ${quoted(said)}`,
  ],
  // "concrete laying in the bottom", "grout on the bottom of the pipe"
  [
    /(?<!\bof\s+(?:hard(?:ened)?\s+|dried\s+)?)\b(concrete|grout|cement|mortar)\s+(?:(?:laying|lying|sitting|stuck|all|down)\s+)*(?:in|on|along)\s+the\s+(?:bottom|invert|floor)(?:\s+of\s+(?:the|our)\s+(?:pipe|line))?/gi,
    ([, what = '']) => `hardened ${what} in the bottom`,
  ],
  // "mortar's hanging down, takes up ten percent"
  [
    /(?<!\bexcess\s+)\b(mortar|grout|cement|concrete|oakum|sealant)(?:'s|\s+is)?\s+(?:hanging|sticking|poking|squeezed|oozing)\s+(?:(?:down|in|out|into)\s+)*(?:(?:the\s+)?(?:pipe|line)\b)?(?:\s*,\s+(?:it\s+)?(?:takes|taking|takes\s+up|blocks|blocking)(?:\s+up)?)?/gi,
    ([, what = '']) => `sticks in ${quoted(what)} `,
  ],
  // "patch of concrete in the invert": what lies in the pipe, no pipe.
  [
    /\b(?:an?\s+)?(?:patch|blob|glob|lump|slug|puddle|spill|bit|dab)\s+of\s+(?:hard(?:ened)?\s+|dried\s+)?(?:concrete|grout|mortar|cement)\b/gi,
    ([said]) => `deposit ${quoted(said)}`,
  ],
  // "dirt goes from 32 to 35": what lies in the pipe.
  [
    new RegExp(
      String.raw`^\s*(?:the\s+|that\s+)?(?:dirt|soil)\s+(?:goes|runs|is|lies|lays|sits)\s+(?:from\s+)?(?=(?:about\s+)?${aNumber})`,
      'gi',
    ),
    'debris from ',
  ],
  // "plugged with concrete": no pipe of concrete.
  [
    /\b(?:plugged|filled|blocked|full|packed|choked)(?:\s+(?:up|solid|off))?\s+(?:with|of|w\/?)\s*(?:concrete|cement|grout|mortar)\b/gi,
    ([said]) => `heavy deposit ${quoted(said)}`,
  ],
  // "deposit on the bottom, rocks and mud": what it is.
  [
    /\b(?:rocks?|mud|gravel|sand|dirt|silt|sludge|sediment|paper|wipes)\s+(?:and|&)\s+(?:rocks?|mud|gravel|sand|dirt|silt|sludge|sediment|paper|wipes)\b(?<=\b(?:deposits?|debris|build-?up)\b[^;]*)/gi,
    asNote,
  ],
  // "you can see gravel through it"
  [
    /\b(?:(?:you|i|we)\s+)?can\s+(?:actually\s+|even\s+)?see\s+(?:the\s+|some\s+)?(?:gravel|dirt|soil|rocks?|sand|mud|bedding|ground)\s+(?:through|behind|outside|past)\s+(?:it|that|there)\b/gi,
    'you can see dirt',
  ],
  [
    /\b(?:(?:you|i|we)\s+)?can(?<=\b(?:hole|broken|break|missing|gap|separated|separation|open(?:ing)?|crack(?:ed)?)\b[^;.]*\bcan)\s+(?:actually\s+|even\s+)?see\s+(?:the\s+|some\s+)?(?:gravel|bedding|sand|rocks?|stones?|mud|ground)\b(?!\s+(?:in|on)\s+the)/gi,
    'you can see dirt',
  ],
  // "that joint's pulled apart, I can see gravel in the gap": soil outside, none in the pipe.
  [
    /\b(?:(?:you|i|we)\s+)?(?:can\s+)?(?:actually\s+)?see\s+(?:the\s+|some\s+)?(?:gravel|dirt|soil|rocks?|sand|mud|bedding|ground|clay|backfill)\s+(?:through|behind|in|inside)\s+(?:the\s+)?(?:gap|hole|crack|opening|break|joint|void)\b(?<=\b(?:apart|open|separated|broken|cracked|hole|missing|offset)\b[^;]*,[^;,]*)/gi,
    'you can see dirt',
  ],
  // "that gravel is coming from twenty, for sure"
  [
    new RegExp(
      String.raw`\b(?:that|the|this|your)\s+(?:gravel|sand|dirt|mud|rocks?|silt|water)(?:\s+is|'s|\s+has\s+to\s+be|\s+must\s+be)\s+(?:all\s+|probably\s+)?(?:coming|washing)\s+(?:in\s+)?from\s+(?:the\s+(?:hole|break|joint|gap)\s+)?(?:back\s+)?(?:at\s+|there\s+at\s+)?(?=${aNumber})[a-z\d.]+(?:\s+(?:one|two|three|four|five|six|seven|eight|nine))?(?:\s*(?:feet|foot|ft))?`,
      'gi',
    ),
    asNote,
  ],
  // "50 dirt/rock 30%": in the pipe, since it is measured.
  [
    /(?<=^\s*~?\d+(?:\.\d+)?\s+)(dirt(?:\s*(?:\/|&|and)\s*(?:rocks?|gravel|sand|mud))?)\s+(?=~?\s*\d+\s*(?:%|percent|pct))/gi,
    ([, what = '']) => `debris ${quoted(what)} `,
  ],
  // "33 excess mortar at joint", "mortar lump": it sticks in.
  [
    /(?<=^\s*~?\d+(?:\.\d+)?\s+)(?:excess\s+|old\s+|some\s+)?(mortar|grout|cement)\s+(?:lump|bump|blob|ridge|fin|squeeze[\s-]?out|on\s+(?:the\s+)?bottom|(at|in)\s+(?:the\s+)?(?:jt|joint))(?=\s*(?:$|[,;]))/gi,
    ([said, , at]) => `intrusion${at ? ' at joint' : ''} ${quoted(said)}`,
  ],
  [
    /(?<=^\s*~?\d+(?:\.\d+)?\s+)(?:a\s+)?(?:loose\s+|broken\s+)?bricks?(?:\s+in\s+(?:the\s+)?(?:line|pipe|invert|bottom))?(?=\s*$)/gi,
    ([said]) => `debris ${quoted(said)}`,
  ],
  // "thick by 26", "here's where that gravel's coming from"
  [
    new RegExp(
      String.raw`\b(?:and\s+)?(?:(?:it|it's|gets?|getting|really|pretty)\s+)*(?:thick|heavy|bad|worse|solid|deep)\s+by\s+(?=${aNumber})[a-z\d.]+(?:\s+(?:one|two|three|four|five|six|seven|eight|nine))?(?:\s*(?:feet|foot|ft))?`,
      'gi',
    ),
    asNote,
  ],
  [
    /\b(?:(?:here|that|this|there)(?:'s|\s+is)\s+)?where\s+(?:(?:the|that|those|all|this)\s+)+(?:gravel|dirt|sand|debris|mud|rocks?|soil|water|stones?)(?:'s|\s+is|\s+are)\s+(?:coming|getting|washing)\s+(?:in\s+)?(?:from|in)\b/gi,
    asNote,
  ],
  // Soil seen through a break, not what lies in the pipe.
  [/\b(?:can\s+)?see(?:ing|s)?\s+(?:the\s+|some\s+)?mud\b(?!\s+(?:in|on)\b)/gi, 'dirt showing'],
  [
    /\b(voids?|soil|dirt)\s+(?:outside|behind|around|beside)\s+(?:of\s+)?(?:the\s+)?pipe\b/gi,
    ([, what = '']) => what,
  ],
  // "rubber ring hanging into the pipe"
  [
    /\b(?:rubber\s+(?:ring|gasket|seal)|o[\s-]?ring|sealing\s+ring)(?=\s+(?:is\s+)?(?:hang|stick|intrud|protrud|dangl|show|expos|visible|poking))/gi,
    'gasket',
  ],
  [
    /\bgasket\s+(?:is\s+)?(?:hanging|sticking|intruding|protruding|dangling|poking|hangs|sticks|intrudes)(?:\s+(?:down|in|into|out))*(?:\s+(?:to\s+)?(?:the\s+)?(?:pipe|line|flow))?\b/gi,
    'gasket hanging',
  ],
  [
    /\b(?:rolled|displaced|loose|pinched|dropped)\s+(?:rubber\s+)?gasket\b|\bgasket\s+(?:is\s+|has\s+)?(?:rolled|displaced|popped|come|pushed|loose|out)(?:\s+(?:out|in|over|off))?\b/gi,
    'gasket hanging',
  ],
  // "stake driven through the pipe"
  [
    /\b((?:fence\s+|sign\s+|ground\s+|tent\s+)?(?:stake|post|pole|rod|pin|pile|anchor|spike))\s+(?:was\s+|is\s+|has\s+been\s+)?(?:driven|hammered|pounded|punched|drilled|pushed|stuck)\s+(?:right\s+)?(?:through|thru|into)\s+(?:the\s+)?(?:pipe|sewer|line|lateral)\b/gi,
    ([, what = '']) => `${what} through the pipe`,
  ],
  // "full of dirt": what lies in it, no hole.
  [
    /\b((?:full\s+of|filled\s+with|packed\s+with|plugged\s+(?:up\s+)?with|loaded\s+with|choked\s+with)\s+)(dirt|soil)\b/gi,
    ([, how = '', what = '']) => `${how}debris ${quoted(what)}`,
  ],
  // "glue glob at the joint", "bead of glue"
  [
    /\b(?:(?:an?|some|big|little|excess|extra|dried|hardened|hard|too\s+much)\s+)*(?:(?:glue|(?:pvc\s+|abs\s+)?cement|primer)\s+(?:glob|blob|bead|drip|drop|run|ridge|lump|ring)s?|(?:glob|blob|bead|drip|lump|ridge)s?\s+of\s+(?:glue|cement)|excess\s+glue|extra\s+glue)\b/gi,
    ([said]) => `sticks in ${quoted(said)}`,
  ],
  // "obstruction, brick": whatever it is, it lies in the pipe.
  [
    /\b(?:an?\s+|some\s+|partial\s+)?obstructions?\b(?<!(?:\b(?:no|any|without|zero|or|complete|total|full|fully|percent)|%)\s+(?:[a-z]+\s+)?obstructions?)(?:\s*,\s*(?:an?\s+)?(?:bricks?|wood|rocks?|stones?|metal|tool|cable|blade|toy|bottle|can|concrete|mortar)\b)?/gi,
    ([said]) => `debris ${quoted(said)}`,
  ],
  // "bricks in the pipe"
  [
    new RegExp(
      String.raw`\b(?:(?:an?|some|a\s+few|old|broken)\s+)*(bricks?|boards?|(?:piece\s+of\s+)?wood|sticks|branches|cinder\s+blocks?|blocks?)\s+${lies}\s*${inThePipe}`,
      'gi',
    ),
    ([, what = '']) => `debris ${quoted(what)}`,
  ],
  // One deposit.
  [
    new RegExp(String.raw`\b(${loose})(?:\s*(?:,|&|\band\b)\s*(?:and\s+)?(?:some\s+)?(?:${loose})\b)+`, 'gi'),
    ([, first = '']) => first,
  ],
  // "a piece of the wall has fallen in"
  [
    new RegExp(
      String.raw`\b(?:a\s+)?(?:big\s+|large\s+|small\s+)?(?:pieces?|chunks?|part|section)\s+of\s+(?:the\s+)?(?:wall|pipe|top|crown|side|bell|hub)\s+(?:is\s+|has\s+|have\s+)?(?:fallen|fell|caved|broken|broke|come|came|popped|knocked)\s+(?:in|out|off|down)\b`,
      'gi',
    ),
    'missing piece',
  ],
  [
    /\b(?:a\s+)?(?:big\s+|large\s+|small\s+|little\s+)?(?:pieces?|chunks?|part|section|bit)\s+(?:out\s+)?of\s+(?:the\s+)?(?:wall|pipe|top|crown|side|bell|hub|clay|concrete)\s+(?:is\s+|that's\s+|that\s+is\s+)?(?:missing|gone)\b/gi,
    'missing piece',
  ],
  // "top of the pipe's gone"
  [
    /\b(?:the\s+)?(top|crown)\s+(?:of\s+(?:the\s+)?(?:pipe|line|sewer)(?:'s)?\s+)?(?:is\s+|has\s+been\s+|was\s+)?(?:(?:just|all|completely)\s+)?(?:gone|knocked\s+(?:out|off)|ripped\s+(?:out|off|open)|torn\s+(?:out|off|open)|caved\s+in|broken\s+(?:out|off))\b/gi,
    ([, where = '']) => `${where} of pipe missing`,
  ],
  // "chunk of the bell is laying in the pipe"
  [
    /\b(?:(?:an?|some)\s+)?(?:(?:big|large|small|little|whole)\s+)?(?:pieces?|chunks?|part|section)\s+(?:out\s+)?of\s+(?:the\s+)?(bell|hub|wall|top|crown|side)\s+(?:(?:is|are|that's|just)\s+)*(?:la?ying|sitting|resting|down)\s+(?:there\s+)?(?:in|on)\s+(?:the\s+)?(?:pipe|line|bottom|invert|flow\s?line)\b/gi,
    ([said]) => `missing piece ${quoted(said)}`,
  ],
  // "wall missing at 3", "side of the pipe is gone"
  [
    /\b(?:(?:the\s+)?(?:side|(?:pipe\s+)?wall)(?:\s+of\s+(?:the\s+)?pipe)?\s+(?:is\s+|has\s+)?(?:missing|gone|rotted\s+(?:out|away)|rusted\s+(?:out|through|away))|missing\s+(?:pipe\s+)?(?:wall|side))\b/gi,
    'missing piece',
  ],
  // "fractures with pieces displaced"
  [
    /\b(?:multiple\s+|several\s+|some\s+)?(?:cracks?|cracked|fractures?|fractured)\s*,?\s+(?:with\s+|and\s+)+(?:some\s+)?(?:pieces|chunks|parts)\s+(?:are\s+|have\s+)?(?:displaced|missing|moved|shifted|loose|out\s+of\s+place|fallen(?:\s+(?:in|out))?)\b/gi,
    'broken',
  ],
  [
    /\b(?:squashed|squeezed|pressed|mashed|smashed|crushed|flattened)\s+(?:completely\s+|almost\s+)?flat\b/gi,
    'squashed',
  ],
  // "crack 360"
  [/(?<=[a-z]\s+)360(?:\s*(?:degrees?|°))?(?=\s*(?:$|[,;.]|at\b|around\b))/gi, 'all around'],
  // "rag hung up on offset": both are there.
  // "a rag stuck here", "something stuck in the pipe": that is, and no camera.
  [
    /\bsomething(?:'s|\s+is|\s+got)?\s+(?:stuck|jammed|wedged|lodged)\b(?:\s+(?:right\s+)?(?:in\s+)?(?:here|there|(?:the\s+)?(?:pipe|line)))?/gi,
    asNote,
  ],
  [
    /(?<=\b(?:rags?|wipes?|paper|towels?|toys?|rocks?|sticks?|balls?|bricks?|bottles?|cans?|wood|hair|grease|debris|bags?)\s+)(?:(?:is|are|that's|got|was)\s+)?(?:stuck|jammed|wedged|lodged)\b(?:\s+(?:right\s+)?(?:in\s+)?(?:here|there)\b)?(?!\s+on\b)/gi,
    ([said]) => quoted(said.trim()),
  ],
  [
    /\b(rags?|wipes?|paper|debris)\s+(?:is\s+|are\s+)?(?:hung|caught|snagged|stuck|hanging)\s+(?:up\s+)?(?:on|at)\s+(?=(?:the\s+|an?\s+)?(?:offset|roots?|tap|protruding)\b)/gi,
    ([, what = '']) => `${what} and `,
  ],
  [/\b(wipes?|rags?|paper)\s+(?:all\s+)?(?:balled|bunched|wadded)\s+up\b/gi, ([, what = '']) => what],
  [
    /\bconcrete\s+(?:slurry|washout|splatter)(?:\s+(?:has\s+)?(?:hardened|set(?:\s+up)?|dried))?\b/gi,
    'hardened concrete',
  ],
  [
    /\b(?:something|stuff)\s+(?:(?:in|on|along)\s+the\s+bottom|in\s+(?:here|there))\s*,?\s+(?:(?:it\s+)?looks\s+like|probably|maybe)\s+(?:it's\s+)?(?:some\s+)?(?=(?:concrete|cement|mortar|grout|gravel|rocks?|mud|sand|dirt|grease|scale|paper|wipes)\b)/gi,
    ' ',
  ],
  [
    /\b(concrete|cement|mortar|grout)\s*,?\s+(?:has\s+|it's\s+|all\s+)?(?:hardened|set\s+up|dried)\b/gi,
    ([, what = '']) => `hardened ${what}`,
  ],
  // Pieces, not a change of pipe.
  [
    new RegExp(
      String.raw`\b(?:(?:some|broken|loose|a\s+few|a)\s+)*((?:clay|concrete|pipe|tile|cast\s+iron|pvc|abs)\s+(?:${pieces})|(?:${pieces})\s+of\s+(?:(?:the|broken|old)\s+)*(?:clay|concrete|pipe|tile|cast\s+iron|pvc|abs|wall|brick))\s+${lies}\s*(?:loose\s+)?${inThePipe}`,
      'gi',
    ),
    ([, what = '']) => `debris ${quoted(what)}`,
  ],
  [
    /\b(?:a\s+|an\s+|some\s+|kid's\s+)?((?:plastic|glass|water|beer|soda)\s+(?:bottle|bag|toy|cup|spoon|fork|lid|wrapper|can|piece)|toy(?:\s+[a-z]+)?|bottle|tooth\s?brush|(?:tennis|golf|rubber)\s+ball)(?:\s+(?:in|inside)\s+(?:the\s+)?(?:pipe|line|bottom|sewer))?(?=\s*(?:$|[,;.]|stuck|lodged|at\b|here\b))/gi,
    ([, what = '']) => `debris ${quoted(what)}`,
  ],
  // A tool that was left, not a broken pipe and not our camera.
  [
    new RegExp(
      String.raw`\b(?:(?:a|an|the|some|somebody's|someone's)\s+)?((?:broken|lost|old|stuck)\s+(?:off\s+)?${tool}|${tool})\s+(?:is\s+|was\s+|got\s+|that's\s+)?(?:(?:stuck|left|lost|broken(?:\s+off)?|jammed|lodged)\s+)?${inThePipe}`,
      'gi',
    ),
    ([, what = '']) => `sticks in ${quoted(`${what} in the pipe`)}`,
  ],
  // "jetter hose lost", "lost a cutter head here"
  [
    new RegExp(
      String.raw`\b(?:(?:we\s+|i\s+|they\s+)?(?:lost|left|broke\s+off)\s+(?:an?|the|my|our|their)\s+(${tool})|(${tool})\s+(?:(?:is|was|got|broke)\s+)?(?:lost|left|broken\s+off|snapped\s+off|off))(?:\s+(?:here|there))?(?=\s*(?:$|[,;.]))`,
      'gi',
    ),
    ([, one, other]) => `sticks in ${quoted(`${one ?? other ?? ''} in the pipe`)}`,
  ],
];
