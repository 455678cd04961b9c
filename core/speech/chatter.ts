/** Filler words without meaning for a log: skipped and shown pale. */

/** Removed wherever they occur, even between a number and its unit. */
export const interjections: readonly string[] = [
  ...[
    'um',
    'umm',
    'uh',
    'uhh',
    'uhm',
    'er',
    'erm',
    'ah',
    'hm',
    'hmm',
    'mhm',
    'okay',
    'ok',
    'o.k.',
    'alright',
    'yeah',
    'yep',
  ],
  ...[
    'yup',
    'basically',
    'actually',
    'literally',
    'i want to say',
    'honestly',
    'obviously',
    'you know',
    'i guess',
    'i think',
    'i believe',
    'kinda',
  ],
  ...[
    'kind of',
    'sorta',
    'sort of',
    'pretty much',
    'let’s see',
    "let's see",
    'let me see',
    'as you can see',
    'folks',
    'guys',
    'man',
  ],
  ...[
    'right there',
    'right here',
    'so far',
    'by the way',
    'anyway',
    'anyways',
    'of course',
    'for sure',
    'if you will',
    'please',
    'well',
  ],
  ...[
    'looks to be',
    'seems to be',
    'appears to be',
    'what appears to be',
    'what looks like',
    'i mean you know',
    'if you look',
    'like i said',
  ],
];

/** Skipped where nothing else uses them. */
const small =
  `a an the this that these those it its it's he she they them we us you i i'm i've i'd i'll we're we've we'll you're you've your our my
  is are was were be been being am do does did done has have had having will would can could should may shall
  of and or with at here there from on in into onto over under up down off by for as to so then than also plus too just now again still
  right very really quite pretty fairly rather somewhat only even all any each one ones bit little lot lots bunch deal
  go goes going gone went come comes coming came get gets getting got gotten see seen sees seeing saw look looks looking looked
  show shows showing call calling say says saying said think guess know want notice noticed note mark marked run runs hit hitting
  find finding found appears appear seems seem thing things stuff place places spot spots area areas point section sections
  way side sides inside through about near close next first second last other same another such like
  feet foot ft reading counter footage distance reel cable camera head video screen picture
  pipe line lateral sewer sewage water wall walls new old existing exposed
  nice clear good fine sound great crazy major worry serious
  what which who when where why how if but however though while
  what's who's where's when's here's there's that's let's lets
  definitely certainly clearly visibly apparent apparently visible obvious probably likely perhaps
  growing sticking hanging sitting holding present evidence sign signs
  held whole more mostly almost every entire throughout everything anything whatever pass passing passed
  deep high wide tall thick long short total approximately level
  thru hits reach reaches reached active made mass poor deepest liner rubber repair repaired patch couple max maximum complete completely above below blocks blocking clogging plugging choking shielded unshielded stainless flexible steep tight sharp replaced jetter slip fills filling less least onward onwards
  morning afternoon today thanks hello hi hey everybody everyone`
    .split(/\s+/)
    .filter(Boolean);

/** Phrases that say nothing about the pipe, though one of their words might. */
const phrases: readonly string[] = [
  ...[
    'nothing to worry about',
    'nothing major',
    'nothing crazy',
    'nothing serious',
    'nothing bad',
    'nothing too bad',
    'not too bad',
  ],
  ...[
    'not bad',
    'not much',
    'not a big deal',
    'no big deal',
    'not so bad',
    'not as bad',
    'no problem',
    'no worries',
    'no doubt',
  ],
  ...[
    'not to worry',
    'not really',
    'a bit',
    'a little bit',
    'the same',
    'all the way',
    'looks good',
    'looking good',
    'looks clear',
  ],
  ...[
    'lots of',
    'take a look',
    'let me',
    'let us',
    'one more',
    'all right',
    'on the reel',
    'on the counter',
    'on the screen',
    'in there',
    'in here',
  ],
  ...[
    'out there',
    'up there',
    'down there',
    'the pipe',
    'the line',
    'this line',
    'this pipe',
    'in the pipe',
    'in the line',
  ],
  ...[
    'o clock',
    ...['come back up', 'comes back up', 'came back up', 'coming back up', 'back up'],
    'position',
    'the way',
    'at this point',
    'from here',
    'from here on',
    'from there',
    'going on',
    'coming in',
    'growing in',
  ],
  ...[
    'a few feet',
    'main stack',
    'stack',
    'end of the line',
    'end of line',
    'end of the run',
    'end of run',
    'partial blockage',
    ...["but it's open", 'but it is open', 'wide open', 'still open', 'pipe is open', 'line is open'],
    ...['back to the left', 'back to the right', 'back left', 'back right', 'back around', 'back over'],
    'turn around',
    'turning around',
    'turn it around',
    'turn back',
    'turned around',
    'turn the camera',
    'sort',
    'kind',
    'type',
    'worth',
    'worth of',
    'in there is',
    'you want to',
    'we want to',
    'you’re going to',
  ],
];

export const chatter: ReadonlySet<string> = new Set([...small, ...phrases]);
