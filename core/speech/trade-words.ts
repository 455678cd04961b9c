import { materialRegistry } from '../catalog/materials.js';
import { findingRegistry } from '../findings/kinds.js';
import type { Sets } from '../findings/row.js';
import type { Point } from '../job/schema.js';
import type { PointKind, Size } from '../job/vocabulary.js';
import { chatter } from './chatter.js';
import type { Meaning, QuotedField } from './meaning.js';

/** Trade words and their meanings. Findings and materials add their own. */

type Rows = readonly (readonly [phrases: string, meaning: Meaning])[];
const nothing: Meaning = { is: 'nothing' };
const field = (set: Sets): Meaning => ({ is: 'field', set });
const size = (word: Size): Meaning => ({ is: 'size', size: word });
const kind = (word: Extract<Meaning, { is: 'kind' }>['kind'], more?: Sets): Meaning => ({
  is: 'kind',
  kind: word,
  ...(more ? { with: more } : {}),
});
const test = (what: string): Meaning => ({ is: 'test', what });
const point = (kind_: PointKind, about?: Partial<Point>): Meaning => ({
  is: 'point',
  kind: kind_,
  ...(about ? { about } : {}),
});
const aboutPoint = (set: Partial<Point>): Meaning => ({ is: 'about-point', set });
const endCall = (end: 'start' | 'end'): Meaning => ({ is: 'end-call', end });
const quoted = (field_: QuotedField): Meaning => ({ is: 'quoted', field: field_ });
const clock = (at: number | readonly [number, number]): Meaning => ({ is: 'clock', clock: at });
const hiddenWhy = (why: string): Meaning => ({ is: 'hidden-why', why });

const sizes: Rows = [
  ['some', { is: 'size', size: 'moderate', weak: true }],
  [
    'few, a few, little, a little, a little bit, a little bit of, a bit of',
    { is: 'size', size: 'small', weak: true },
  ],
  [
    'hardly any, barely any, small, sm, sml, smaller, slight, slightly, light, lightly, minor, tiny, thin, faint, lt, very small, very slight',
    size('small'),
  ],
  [
    'moderate, medium, med, mod, decent, fair amount of, a fair amount of, medium sized, moderately',
    size('moderate'),
  ],
  [
    'too much, too many, large, lrg, lge, lg, heavy, hvy, heavily, bad, badly, pretty bad, really bad, big, severe, severely, major, massive, huge, thick, a lot of, lots of, full of, loaded with, packed with, a ton of, tons of, a bunch of, solid',
    size('large'),
  ],
];

const shared: Rows = [
  [
    'at joint, at the joint, at a joint, at that joint, at this joint, in the joint, in a joint, through the joint, through a joint, at joints, on the joint, on a joint, from the joint',
    field({ atJoint: true }),
  ],
  [
    'each joint, every joint, at each joint, at every joint, all the joints, at all the joints, at all joints, every single joint, at every single joint, every one of the joints, in every joint',
    field({ eachJoint: true }),
  ],
  ['in the flow, in the flow line, in the flowline', field({ touchesFlow: true })],
  [
    "on the main’s side, on the main's side, main side, of the connection, of the tap, of the saddle",
    field({ ofConnection: true }),
  ],
  [
    "possible, possibly, maybe, perhaps, might be, may be, could be, might have, can't tell, cannot tell, can not tell, hard to tell, can't really tell, can't quite tell, cannot really tell, couldn't tell, not sure, i'm not sure, suspected, suspect, suspicious, questionable, might see, may have, could have",
    field({ possible: true }),
  ],
  ['definite, for certain, confirmed', field({ possible: undefined })],
  [
    "looks like, look like, appears to be, seems like, seems to be, i'd say, i would say, about, bout, approximately, roughly",
    field({ about: true }),
  ],
  ['out, on the way out, going out, pushing out, heading out', field({ pass: 'out' })],
  ['back, on the way back, coming back, pulling back, going back', field({ pass: 'back' })],
  ['this one stands, stands', field({ use: true })],
  ['seen before cleaning', field({ stage: 'before-cleaning' })],
  ['seen now', field({ stage: 'current' })],
  ['seen earlier', field({ stage: 'earlier' })],
  ['seen after repair', field({ stage: 'after-repair' })],
  ['upright', field({ waterClock: undefined })],
  ['starts, start, begins, begin, starting, started, beginning, began', endCall('start')],
  [
    'ends, end, ending, ended, out of the dip, out of the belly, out of the sag, out of the low spot, seen again, picture is back, picture back, got the picture back, got picture back, got my picture back, back up out of it, come up out of it, comes up out of it, out of the water, comes up out of the water, comes out of the water, back out of the water, up out of the water, came out of the water, can see again, clear again, clears up again, clears up, out of it, finishes',
    endCall('end'),
  ],
  ['because, why', quoted('why')],
  ['marked, painted', quoted('mark')],
  ['photo', quoted('photo')],
];

const kinds: Rows = [
  ['joint, jt, jts, jnt, hub, bell, bell end, socket, bell joint, spigot, spigot end', kind('joint')],
  [
    'coupling, repair coupling, transition coupling, no hub coupling, no-hub coupling, flex coupling, flexible coupling, banded coupling, no hub band, no hub, no-hub, clamp, band',
    kind('joint', { note: 'coupling' }),
  ],
  [
    "hidden, not seen, cannot see, can't see, cannot see anything, can't see anything, can't see a thing, can't see nothing, can't see past, cannot see past, can't see beyond, couldn't see, could not see, couldn't see anything, no visibility, lost picture, lost the picture, lost my picture, lost our picture, picture is gone, lost visibility, no picture, obscured",
    kind('hidden'),
  ],
  [
    'under water, underwater, submerged, camera submerged, camera is submerged, lens submerged, camera under water, camera underwater, head under water, camera goes under water, goes under water, going under water, went under water, goes under, going under, went under, camera is under water, fully under water, lens is under water',
    hiddenWhy('under water'),
  ],
  ['behind roots', hiddenWhy('behind roots')],
  [
    "lens dirty, dirty lens, muddy lens, lens is muddy, camera is muddy, camera's muddy, lens's muddy, lens is dirty, lens in mud, lens is in mud, lens is covered, lens covered, mud on the lens, grease on the lens, something on the lens, lens is fogged, lens fogged, lens fogged up, fogged lens, fogged up lens, fogged up",
    hiddenWhy('lens dirty'),
  ],
  ['steamed up, too much steam, too steamy, full of steam', hiddenWhy('steam')],
  ['lens under water', hiddenWhy('lens under water')],
  [
    "stop, stopped, stopped by, stopped at, camera stopped, camera stops, can't go, cannot go, won't go, can't go any further, can't go any farther, can't get any farther, as far as it goes, can't push, cannot push, won't push, pushed as far as possible, pushed as far as i can, wouldn't go, wouldn't push, couldn't push, can not continue, cannot continue, can't continue, could not continue, couldn't continue, unable to continue, not going any further, not going any farther",
    kind('stop'),
  ],
  // Something is in the way, whatever it is.
  [
    "camera stuck, camera is stuck, camera's stuck, stuck, can't get through, can't get past, can't get by, couldn't get past, couldn't get through, camera hung up, camera is hung up, cannot pass, can't pass, won't pass, camera won't pass, will not pass, camera will not pass, wouldn't pass, won't budge, wouldn't budge, unable to pass, won't move",
    { is: 'kind', kind: 'stop', weak: { why: 'could not get past' } },
  ],
  [
    'ran out of cable, out of cable, no more cable, end of the cable, end of my cable, ran out of rod, ran out of hose, out of reel, out of push, out of rod, out of push rod',
    kind('stop', { why: 'out of cable' }),
  ],
  ['locate, located, locates, locating, loc', kind('locate')],
  ['sonde, sonde reads, sonde says, locator, locator reads, locator says, transmitter', kind('locate')],
  ['of water, of standing water, of water standing', { is: 'of-water' }],
  [
    'change, changes, changed, changing, trans, transition, transitions, transitioned, transitioning, switches, material change, pipe change, change of material, change in material, pipe changes, material changes, changes material, changes pipe, reducer',
    kind('change'),
  ],
  ['lined, has a liner, relined', { is: 'lined' }],
  [
    'upstream, upstream side, on the upstream side, toward the house, towards the house, from here up, from there up, up from here, up from there, from here to the house, from here back to the house, from there to the house, from here to the building, on the house side, house side, uphill',
    { is: 'side', side: 'upstream' },
  ],
  [
    'downstream, downstream side, on the downstream side, toward the street, towards the street, from here down, from there down, down from here, down from there, from here to the street, from here to the main, from here to the city main, from there to the street, from there to the main, toward the main, towards the main, on the street side, street side, downhill',
    { is: 'side', side: 'downstream' },
  ],
  [
    'other way round, the other way round, other way around, the other way around, swapped',
    { is: 'swapped' },
  ],
  [
    'just a stain, only a stain, just staining, just a shadow, only a shadow, just a scratch, just a mark, just a reflection, false alarm, just discoloration, none, none seen',
    { is: 'retract' },
  ],
];

const points: Rows = [
  [
    'main, city main, city sewer, street main, sewer main, main sewer, city line, public main, public sewer, town main, municipal main, city connection, connection to the city, connection at the main, sewer in the street, main in the street, hits the main, hit the main, main connection, connection to the main, connection to main, connection with the main, connection to the city main, at the connection, at the city connection',
    point('main'),
  ],
  [
    'drop into the main, drops into the main, dropped into the main, drop into the city main, drops into the city main, tie into the main, ties into the main, tie into the city main, ties into the city main, tie in at the main, ties in at the main, into the main, into the city main',
    point('main'),
  ],
  [
    'tap at the main, tap at main, tap on the main, main tap, city tap, tap into the main',
    point('main', { connection: 'tap' }),
  ],
  ['saddle at the main, saddle on the main', point('main', { connection: 'saddle' })],
  ['wye at the main', point('main', { connection: 'wye' })],
  ['manhole, man hole, mh', point('manhole')],
  [
    'cleanout, clean out, clean-out, cleanout riser, cleanout tee, co, c/o, cleanouts, house cleanout, building cleanout, inside cleanout, outside cleanout, back cleanout, rear cleanout, main cleanout, basement cleanout, side cleanout, curb cleanout, sidewalk cleanout, driveway cleanout, garage cleanout, city cleanout, wye cleanout, y cleanout, tee cleanout, stack cleanout, front cleanout, yard cleanout, property line cleanout, property line clean out',
    point('cleanout'),
  ],
  ['wall cleanout, floor cleanout', point('cleanout')],
  ['bend, turn, elbow, ell, sweep, long sweep, fitting', point('bend')],
  ['quarter bend, right angle', point('bend', { degrees: 90 })],
  ['eighth bend, 1/8 bend', point('bend', { degrees: 45 })],
  ['sixteenth bend', point('bend', { degrees: 22.5 })],
  [
    'tie-in, tie in, unknown connection, unknown tie in, ties in, ties into, tied in, tying in, branch, branch line, fixture branch, branch connection, connection, lateral connection, service connection, capped connection, side connection, line comes in, line coming in, lateral comes in, lateral coming in, pipe comes in, pipe coming in, connection coming in, service coming in, comes in from the side',
    point('tie-in'),
  ],
  ['tap, factory tap, break-in tap, break in tap, hammer tap', point('tie-in', { connection: 'tap' })],
  ['mortar saddle', point('tie-in', { connection: 'mortar saddle' })],
  ['saddle, saddle tap', point('tie-in', { connection: 'saddle' })],
  ['wye, y, y connection', point('tie-in', { connection: 'wye' })],
  ['test tee, testing tee', point('tie-in', { connection: 'tee', note: 'test tee' })],
  ['tee, t, sanitary tee, san tee, sani tee, santee, t connection', point('tie-in', { connection: 'tee' })],
  ['stub, stub out, stubout, capped stub', point('tie-in')],
  ['drop, drops, vertical drop, drops down, drops off', point('drop')],
  [
    'valve, backwater valve, backflow preventer, back flow preventer, backflow valve, check valve, backwater preventer',
    point('valve'),
  ],
  ['fixture', point('fixture')],
  ['toilet', point('fixture', { name: 'toilet' })],
  ['pulled toilet, toilet flange, closet flange', point('access', { through: 'pulled-toilet' })],
  ['roof vent, vent stack', point('access', { through: 'roof-vent' })],
  ['valve lid, valve box', point('access', { through: 'valve-lid' })],
  ['house trap, running trap, building trap, main trap, u-trap, u trap, trap', point('trap')],
  ['p-trap, p trap, ptrap', point('fixture', { name: 'trap' })],
  ['building, building wall, foundation, foundation wall, footing, house wall', point('building')],
  ['property line, lot line', point('property-line')],
  ['pit', point('pit')],
  ['tree', point('tree')],
  [
    'septic tank, septic, tank, tank inlet, inlet baffle, septic baffle, septic inlet baffle, septic tank inlet, septic inlet',
    point('septic-tank'),
  ],
  ['two-way, two way, 2-way, 2 way, double, dbl', aboutPoint({ ways: 2 })],
  ['one-way, one way, 1-way, 1 way, single', aboutPoint({ ways: 1 })],
  ['faces upstream, faces the house', aboutPoint({ ways: 1, faces: 'upstream' })],
  ['faces downstream, faces the street', aboutPoint({ ways: 1, faces: 'downstream' })],
  ['capped, capped off', aboutPoint({ note: 'capped' })],
  ['abandoned, dead, unused, not in use, not used, no longer used', aboutPoint({ note: 'not in use' })],
  ['storm', aboutPoint({ note: 'storm water' })],
  ['buried, below grade', aboutPoint({ state: 'buried' })],
  [
    'cap broken, broken cap, cap is broken, cap cracked, cracked cap, busted cap',
    aboutPoint({ state: 'cap-broken' }),
  ],
  [
    'cap missing, cap off, cap is off, missing cap, no cap, cap gone, cap is missing, cap is gone',
    aboutPoint({ state: 'cap-broken', note: 'cap missing' }),
  ],
];

const served: Rows = [
  'laundry',
  'laundry line',
  'washer',
  'washing machine',
  'dishwasher',
  'kitchen',
  'kitchen line',
  'kitchen sink',
  'bathroom',
  'upstairs bathroom',
  'upstairs bath',
  'hall bath',
  'upstairs toilet',
  'downstairs toilet',
  'downstairs bath',
  'guest bath',
  'master bath',
  'half bath',
  'bathroom group',
  'bath group',
  'powder room',
  'lav',
  'laundry sink',
  'roof leader',
  'storm drain',
  'shower',
  'tub',
  'bathtub',
  'faucet',
  'bath sink',
  'bathroom sink',
  'bar sink',
  'island sink',
  'mop sink',
  'utility sink',
  'guest bathroom',
  'hall bathroom',
  'master bathroom',
  'deck drain',
  'patio drain',
  'garage',
  'floor drain',
  'area drain',
  'yard drain',
  'roof drain',
  'downspout',
  'gutter',
  'water heater',
  'basement',
  'basement sink',
].map((what) => [what, { is: 'served', what: what.replace(/ line$/, '') }]);

const tests: Rows = [
  ['flush, flushed, flushing, flush test', test('flush')],
  ['dye, dyed, dye test, dye tested, put dye in, put dye down, dye in', test('dye')],
  ['ran a sink, sink, ran the sink', test('sink')],
  ['water test, ran water, ran the water, running water test', test('water')],
  ['test', quoted('what')],
  [
    'ran away, runs away, runs out fine, runs off, drains fine, drains away, drains right away, drained away, drains out, runs right out, ran right out, ran out fine, runs fine, drained fine, cleared right away, ran off, drains off, goes right down',
    field({ runsAway: true }),
  ],
  [
    "does not run away, stands still, doesn't run away, doesn't drain, does not drain, won't drain, backs up, backed up, just sits there, just sits, stays there, drains slow",
    field({ runsAway: false }),
  ],
  [
    'arrives, arrived, comes through, came through, comes right through, came right through, shows up, showed up, made it through, makes it through, comes out here, came out here, comes out, saw it come through, see it come through, see it coming through, came on through, came right out',
    field({ arrives: true }),
  ],
  [
    "does not arrive, doesn't arrive, did not arrive, didn't arrive, never arrives, never arrived, never saw it, never seen it, didn't see it, did not see it, never came through, never comes through, doesn't come through, does not come through, didn't come through, did not come through, never showed up, never shows up, doesn't show up, does not show up, didn't show up, didn't show, never showed, never made it, didn't make it, doesn't tie in here, does not tie in here, doesn't come in here, not on this line, isn't on this line, never saw the dye, didn't see the dye, didn't see any dye, no dye, never saw any dye, no dye came through, never saw any",
    field({ arrives: false }),
  ],
];

const clocks: Rows = [
  ['crown, top, on top, at the top, top side, on the top, up top, roof of the pipe', clock(12)],
  [
    'invert, bottom, on the bottom, at the bottom, in the bottom, bottom side, flow line, flowline, bottom of the pipe',
    clock(6),
  ],
  ['top right, upper right, upper right hand, top right side, upper right side', clock(1.5)],
  ['top left, upper left, upper left hand, top left side, upper left side', clock(10.5)],
  ['bottom right, lower right, lower right side, bottom right side', clock(4.5)],
  ['bottom left, lower left, lower left side, bottom left side', clock(7.5)],
  [
    'right, right side, right hand side, right-hand side, right hand, on the right, on the right side, on the right hand side, from the right, from the right side',
    clock(3),
  ],
  [
    'left, left side, left hand side, left-hand side, left hand, on the left, on the left side, on the left hand side, from the left, from the left side',
    clock(9),
  ],
  ['upper side', clock([10, 2])],
  ['lower side', clock([4, 8])],
  [
    'top half, upper half, on top half, on the top half, in the top half, upper half of the pipe, top half of the pipe',
    clock([9, 3]),
  ],
  [
    'bottom half, lower half, on bottom half, on the bottom half, in the bottom half, bottom half of the pipe, lower half of the pipe',
    clock([3, 9]),
  ],
  [
    'left and right, right and left, both sides, on both sides, left and right side, left and right sides, either side, each side, each side of the pipe',
    { is: 'both-sides' },
  ],
];

/** Every row of findings/kinds adds its own words. */
const spokenFindings = (): Record<string, Meaning> =>
  Object.fromEntries(
    findingRegistry.rows.flatMap(({ id, spoken, says = [], impliedBy = [] }): [string, Meaning][] => [
      ...impliedBy.map((each): [string, Meaning] => {
        const [word, sets] = typeof each === 'string' ? [each] : each;
        return [word, { is: 'finding', finding: id, implied: true, ...(sets ? { with: sets } : {}) }];
      }),
      ...spoken.map((each): [string, Meaning] => {
        const [word, sets, weak] = typeof each === 'string' ? [each] : each;
        return [
          word,
          { is: 'finding', finding: id, ...(sets ? { with: sets } : {}), ...(weak ? { weak } : {}) },
        ];
      }),
      ...says.map(([word, sets]): [string, Meaning] => [word, field(sets)]),
    ]),
  );
const spokenMaterials = (): Record<string, Meaning> =>
  Object.fromEntries(
    materialRegistry.rows.flatMap(({ id, spoken }) =>
      spoken.map((word): [string, Meaning] => [word, { is: 'material', material: id }]),
    ),
  );

const listed = (rows: Rows): Record<string, Meaning> =>
  Object.fromEntries(
    rows.flatMap(([phrases, meaning]) => phrases.split(/,\s*/).map((each) => [each, meaning])),
  );

/** A plural noun means the same as its singular. */
function plurals(table: Readonly<Record<string, Meaning>>): Record<string, Meaning> {
  return Object.fromEntries(
    Object.entries(table)
      .filter(([phrase, { is }]) => ['finding', 'point', 'kind'].includes(is) && /[a-z]$/.test(phrase))
      .map(([phrase, meaning]) => [/(?:s|ch|sh|x)$/.test(phrase) ? `${phrase}es` : `${phrase}s`, meaning]),
  );
}

const trade = {
  ...spokenFindings(),
  ...listed([...sizes, ...shared, ...kinds, ...points, ...served, ...tests, ...clocks]),
  ...spokenMaterials(),
};

/** Trade words without plurals, the most common first. */
export const ownWords: readonly string[] = Object.keys(trade);

/** Trade words and filler, by the word or phrase in lower case. */
export const words: Readonly<Record<string, Meaning>> = {
  ...Object.fromEntries([...chatter].map((word) => [word, nothing])),
  ...plurals(trade),
  ...trade,
};
