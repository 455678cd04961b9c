import { defaultPrices as p } from '../job/prices.js';
import type { Job, Line } from '../job/schema.js';
import type { Method, SurfaceKind } from '../job/vocabulary.js';
import type { Protection } from '../excavation/section.js';
import type { Verdict } from '../explain/verdict.js';
import { deep } from './spoken-job.js';

/** A job as a plumber would describe it: the log in his words, and what a good one would do about it. */
export interface FieldJob {
  readonly title: string;
  readonly log: readonly string[];
  readonly more?: Partial<Line> & Pick<Job, 'rules' | 'prices'>;
  /** What an experienced plumber would do, in two lines. */
  readonly good: readonly [string, string];
  readonly expect: Expected;
}

/** The same, in terms a test can check. */
export interface Expected {
  readonly verdict?: Verdict;
  /** One of these methods at a station. */
  readonly at?: Readonly<Record<number, Method | readonly Method[]>>;
  readonly holes?: number;
  readonly held?: Protection;
  /** Money, from the parts of the work at the rates: the price must lie between 0.6 and 1.6 times it. */
  readonly about?: number;
  readonly referredTo?: string;
  readonly notPossible?: number;
  readonly warns?: readonly string[];
  readonly firstStep?: RegExp;
  readonly option?: RegExp;
  readonly priced?: readonly RegExp[];
}

const set = (...methods: (keyof typeof p.mobilisation)[]) =>
  methods.reduce((sum, method) => sum + (p.mobilisation[method] ?? 0), 0);
const perFoot = (bore: number) => p.pipe_per_ft['pvc-sch40']?.[String(bore)] ?? 0;
/** An excavation shored or in a shield over this many feet: volume, walls, surface, and the pipe in it. */
function dug(feet: number, depth: number, surface: SurfaceKind = 'lawn', bore = 4): number {
  const [long, wide] = [feet + 5, depth > 3.4 ? 3 : 1.8];
  const yards = (long * wide * depth) / 27;
  const deep_ = depth >= 4.5;
  const restore = p.restore_per_ft2[surface];
  return (
    yards * ((deep_ ? p.digBelow5_per_yd3 : p.digTo5_per_yd3) + p.backfill_per_yd3) +
    (deep_ ? 2 * depth * (long + wide) * p.shield_per_ft2 : 0) +
    long * (wide + 1) * (typeof restore === 'number' ? restore : 0) +
    feet * perFoot(bore) +
    2 * (p.coupling_each[String(bore)] ?? 0)
  );
}
const lined = (feet: number, bore = 4) => feet * (p.liner_per_ft['0.118'][String(bore)] ?? 0) + p.liner_each;
const sectional = (feet: number, bore = 4) =>
  feet * (p.liner_per_ft['0.118'][String(bore)] ?? 0) + p.shortLiner_each;
const cleaned = (feet: number) => set('clean') + feet * p.cleaning_per_ft;

const lawn = (length = 80): Line['surfaces'] => [{ from_ft: 0, to_ft: length, kind: 'lawn' }];
/** Lawn, then sidewalk, then street to the main, the last 20 ft of it public. */
const toStreet: Pick<Line, 'surfaces' | 'owners'> = {
  surfaces: [
    { from_ft: 0, to_ft: 55, kind: 'lawn' },
    { from_ft: 55, to_ft: 60, kind: 'sidewalk' },
    { from_ft: 60, to: 'MAIN', kind: 'street' },
  ],
  owners: [
    { from_ft: 0, to_ft: 60, owner: 'private' },
    { from_ft: 60, to: 'MAIN', owner: 'public' },
  ],
};
/** A slab over the first 25 ft, then lawn. */
const underSlab: Pick<Line, 'depths' | 'surfaces'> = {
  depths: deep(1.5, 4, 60),
  surfaces: [
    { from_ft: 0, to_ft: 25, kind: 'building' },
    { from_ft: 25, to_ft: 60, kind: 'lawn' },
  ],
};
const shallow = { depths: deep(2, 3), surfaces: lawn() };
const middling = { depths: deep(2.5, 5), surfaces: lawn() };

export const fieldJobs: readonly FieldJob[] = [
  {
    title: 'Sound plastic, nothing to do',
    log: ['80 main', '40 joint'],
    more: { ...shallow, pipe: { material: 'pvc-sch40', diameter_in: 4 } },
    good: ['Tell the customer it is sound and charge for the look.', 'Nothing is dug, lined or cleaned.'],
    expect: { verdict: 'serviceable', at: { 40: 'leave' }, holes: 0 },
  },
  {
    title: 'Nothing logged yet',
    log: [],
    more: shallow,
    good: ['Run the camera before saying anything.', 'No price, no verdict.'],
    expect: { verdict: 'incomplete', holes: 0, firstStep: /run the camera/ },
  },
  {
    title: 'One broken place in shallow clay under lawn',
    log: ['80 main', '30 broken'],
    more: { ...shallow, pipe: { material: 'clay', diameter_in: 4, piece_ft: 3 } },
    good: [
      'One small hole, a piece of pipe joint to joint; or one sectional liner.',
      'Never a whole new line.',
    ],
    expect: {
      verdict: 'urgent',
      at: { 30: ['spot', 'short-line'], 10: 'leave', 70: 'leave' },
      about: (set('spot') + dug(3, 3) + set('short-line') + sectional(4)) / 2,
    },
  },
  {
    title: 'Collapse, 3 ft deep, in lawn',
    log: ['80 main', '30 collapse'],
    more: shallow,
    good: ['Dig it: nothing goes through a collapse.', 'One hole with no shoring, 3 ft of new pipe.'],
    expect: { verdict: 'urgent', at: { 30: 'spot' }, holes: 1, held: 'none', about: set('spot') + dug(3, 3) },
  },
  {
    title: 'Collapse, 8 ft deep, in lawn',
    log: ['80 main', '40 collapse'],
    more: { depths: deep(7.5, 8.5), surfaces: lawn() },
    good: [
      'Dig it in a shield; nobody slopes the whole yard for 3 ft of pipe.',
      'Dear, but thousands, not tens of them.',
    ],
    expect: { at: { 40: 'spot' }, holes: 1, held: 'shield', about: set('spot') + dug(3, 8.3) },
  },
  {
    title: 'Collapse, 12 ft deep, in the street',
    log: ['80 main', '70 collapse'],
    more: { ...toStreet, depths: deep(6, 13) },
    good: ['One shielded hole with a permit and the street restored.', 'The rest of the line stays.'],
    expect: {
      at: { 70: 'spot', 30: 'leave' },
      holes: 1,
      held: 'shield',
      about: set('spot') + dug(3, 12.5, 'street') + p.permit_per_hole,
      priced: [/Permit/],
    },
  },
  {
    title: 'Collapse in sandy lawn, 5 ft deep, room on all sides',
    log: ['80 main', '40 collapse'],
    more: {
      depths: deep(4.5, 4.6),
      surfaces: lawn(),
      soil: 'A',
      prices: { shield_per_ft2: 60, support_per_ft2: 60 },
    },
    good: ['Firm soil, open yard, no shield in the shop: slope it back.', 'One hole.'],
    expect: { at: { 40: 'spot' }, holes: 1, held: 'slope' },
  },
  {
    title: 'Roots at one joint, two fifths of the bore',
    log: ['80 main', '41 roots 45% at joint'],
    more: middling,
    good: ['Cut the roots from the front cleanout and look again.', 'Never dig one joint for roots.'],
    expect: { verdict: 'clean', at: { 41: 'clean', 60: 'leave' }, holes: 0, about: cleaned(41.5) },
  },
  {
    title: 'Roots in four places over 60 ft',
    log: ['80 main', '15 roots 30%', '30 roots 40%', '48 roots 35%', '70 roots 60%'],
    more: middling,
    good: [
      'One visit: cut from the cleanout to past the last roots.',
      'One price by the foot, not four visits.',
    ],
    expect: { verdict: 'clean', at: { 20: 'clean', 60: 'clean' }, holes: 0, about: cleaned(70.5) },
  },
  {
    title: 'Maintain with heavy roots',
    log: ['80 main', '41 roots 40 to 60%'],
    more: { ...middling, rules: { school: 'maintain' } },
    good: ['Even who only maintains cleans this now.', 'Then again within the year.'],
    expect: { verdict: 'clean', at: { 41: 'clean' }, about: cleaned(41.5) },
  },
  {
    title: 'Grease from the kitchen, half full',
    log: ['60 main', '20 to 35 grease 50%'],
    more: { depths: deep(2, 4, 60), surfaces: lawn(60), pipe: { material: 'cast-iron', diameter_in: 4 } },
    good: ['Jet it from the cleanout to past the grease.', 'Nothing is dug.'],
    expect: { verdict: 'clean', at: { 25: 'clean' }, holes: 0, about: cleaned(35.5) },
  },
  {
    title: 'Scaled iron under the house',
    log: ['60 main', '0 to 28 scale 40%', '28 iron 4 > pvc 4'],
    more: underSlab,
    good: [
      'Descale the iron at its own rate and look again before talk of lining.',
      'Nothing is dug under the house.',
    ],
    expect: { verdict: 'clean', at: { 10: 'clean' }, holes: 0, priced: [/Descale/] },
  },
  {
    title: 'Worn iron under the slab',
    log: ['60 main', '5 to 20 bottom worn', '25 iron 4 > pvc 4'],
    more: underSlab,
    good: ['Line it from the cleanout: nobody breaks a floor that a liner spares.', 'No hole.'],
    expect: { at: { 12: ['line'] }, holes: 0, about: set('line') + lined(22) },
  },
  {
    title: 'A collapse under the slab, beyond reach',
    log: ['60 main', '12 collapse', '45 broken'],
    more: underSlab,
    good: [
      'Say the collapse needs the floor opened, by others or by a house rule.',
      'Fix the break outside all the same.',
    ],
    expect: {
      verdict: 'urgent',
      at: { 45: ['spot', 'short-line'] },
      notPossible: 1,
      warns: ['not-possible'],
    },
  },
  {
    title: 'A sag with no depth located, and a break',
    log: ['80 main', '20 broken', '50 to 56 belly 1 1/2 in'],
    more: { surfaces: lawn() },
    good: [
      'Price both; the sag only for now, at the usual depth.',
      'Locate both ends of the sag before it is dug.',
    ],
    expect: {
      at: { 20: ['spot', 'short-line', 'regrade'], 53: 'regrade' },
      firstStep: /locate the depth at both ends/,
      warns: ['fall-unknown', 'depth-not-located'],
    },
  },
  {
    title: 'A sag with fall to spare',
    log: ['80 main', '50 to 56 belly 1 1/2 in'],
    more: { depths: deep(2, 4.5), surfaces: lawn() },
    good: ['Relay the sag to grade in one cut.', 'One hole, no more than a few feet past its ends.'],
    expect: { at: { 53: 'regrade' }, holes: 1, about: set('regrade') + dug(7, 4.2) },
  },
  {
    title: 'A sag in pipe that lies dead flat',
    log: ['80 main', '50 to 56 belly 1 1/2 in', '20 broken'],
    more: { depths: deep(3, 3.1), surfaces: lawn() },
    good: ['There is no fall to relay it to: say so.', 'Mend the break all the same.'],
    expect: { at: { 20: ['spot', 'short-line'] }, notPossible: 1 },
  },
  {
    title: 'A sagging pipe hung in the crawl space',
    log: ['60 main', '10 to 16 belly 1 1/2 in'],
    more: {
      surfaces: [
        { from_ft: 0, to_ft: 25, kind: 'crawl-space' },
        { from_ft: 25, to_ft: 60, kind: 'lawn' },
      ],
      pipe: { material: 'cast-iron', diameter_in: 4 },
    },
    good: ['Hang it again on straps: no hole, and no depth needed.', 'Cheap.'],
    expect: { at: { 13: 'regrade' }, holes: 0, about: set('regrade') + 7 * p.rehang_per_ft },
  },
  {
    title: 'Water standing because the main is backed up',
    log: ['80 main', '64 to 74 belly 2 in cause main'],
    more: middling,
    good: ['Call the owner of the main and look again when it runs.', 'No charge for what is not this pipe.'],
    expect: { verdict: 'serviceable', at: { 70: 'leave' }, holes: 0, referredTo: 'owner of the main' },
  },
  {
    title: 'The main itself is backed up',
    log: ['80 main', '78 main backed up'],
    more: middling,
    good: ['Refer it to the owner of the main.', 'Nothing on this line.'],
    expect: { at: { 40: 'leave' }, referredTo: 'owner of the main' },
  },
  {
    title: 'Bad pipe in the public part, which its owner mends',
    log: ['80 main', '70 broken'],
    more: { ...toStreet, depths: deep(3, 8), rules: { publicPart: 'owner' } },
    good: ['Tell the owner of the public part, in writing.', 'Price nothing there.'],
    expect: { at: { 70: 'leave' }, holes: 0, referredTo: 'owner of the public part' },
  },
  {
    title: 'A break on the neighbor’s ground',
    log: ['80 main', '50 collapse'],
    more: {
      ...middling,
      owners: [
        { from_ft: 0, to_ft: 40, owner: 'private' },
        { from_ft: 40, to_ft: 60, owner: 'neighbour' },
        { from_ft: 60, to_ft: 80, owner: 'private' },
      ],
    },
    good: [
      'Dig only with the neighbor’s written consent, named beside the price.',
      'Never slope into his yard.',
    ],
    expect: { at: { 50: 'spot' }, warns: ['neighbor-consent'], holes: 1 },
  },
  {
    title: 'A drain that does not arrive here',
    log: ['80 main', '80 dye from floor drain does not arrive'],
    more: middling,
    good: ['It drains somewhere else: that answers one question.', 'This line is not blocked.'],
    expect: { verdict: 'serviceable', holes: 0 },
  },
  {
    title: 'Unsized cracks close together',
    log: ['80 main', '20 crack', '24 crack', '30 crack'],
    more: middling,
    good: ['Watch them; size them from the video.', 'No method is forced by a crack nobody sized.'],
    expect: { verdict: 'serviceable', at: { 20: 'leave', 30: 'leave' }, warns: ['not-measured'], holes: 0 },
  },
  {
    title: 'A small crack all the way round',
    log: ['80 main', '33 small crack around'],
    more: middling,
    good: ['Note it and look again in two years.', 'Small ranks one lower.'],
    expect: { verdict: 'serviceable', at: { 33: 'leave' }, holes: 0 },
  },
  {
    title: 'Cracked clay from 10 to 70, bore sound',
    log: ['80 main', '10 to 70 several cracks'],
    more: middling,
    good: ['One liner from the cleanout.', 'Not sixty feet of trench.'],
    expect: { at: { 40: 'line' }, holes: 0, about: set('line') + lined(71) },
  },
  {
    title: 'Cracked clay past a branch',
    log: ['80 main', '10 to 70 several cracks', '40 tap'],
    more: middling,
    good: ['Line it and cut the branch open again.', 'The cut is in the price.'],
    expect: {
      at: { 40: 'line' },
      priced: [/Cut the branch open again at 40/],
      about: set('line') + lined(71),
    },
  },
  {
    title: 'Bituminous fiber going oval',
    log: ['60 main', '5 to 50 deformed 15%'],
    more: { depths: deep(2.5, 4.5, 60), surfaces: lawn(60), pipe: { material: 'fibre', diameter_in: 4 } },
    good: ['At the end of its life: replace it, burst or open cut.', 'Not lined, not cleaned with a blade.'],
    expect: { at: { 25: ['burst', 'open-cut'] } },
  },
  {
    title: 'Bursting past two branches',
    log: ['80 main', '8 to 72 deformed 15%', '30 tap', '50 tap'],
    more: {
      depths: deep(3.5, 5),
      surfaces: [{ from_ft: 0, to: 'MAIN', kind: 'asphalt' }],
      pipe: { material: 'fibre', diameter_in: 4 },
      prices: { burst_per_ft: { '4': 40 } },
    },
    good: [
      'Pull it in one go, with a pit at each end and at each branch.',
      'Each branch joined again and priced.',
    ],
    expect: { at: { 20: 'burst', 60: 'burst' }, priced: [/Wye at 30\.0, 50\.0/, /Reconnect the branch/] },
  },
  {
    title:
      'a house trap in the middle of broken pipe is dug up and bought anew, never pulled or lined through',
    log: ['0 cleanout', '80 main', '38-41 broken', '40 house trap'],
    more: { depths: deep(4, 5), surfaces: lawn(), pins: [{ from_ft: 36, to_ft: 44, method: 'open-cut' }] },
    good: [
      'Dig it up, new pipe, and the trap where the code keeps one.',
      'Nothing is lined or pulled through a trap.',
    ],
    expect: { verdict: 'urgent', at: { 40: 'open-cut' }, holes: 1, priced: [/House trap .*at 40\.0/] },
  },
  {
    title: 'A broken wye in the yard',
    log: ['60 main', '30 wye', '29 to 31 broken'],
    more: { depths: deep(2, 3, 60), surfaces: lawn(60) },
    good: ['Dig it, set a new wye, join the branch again.', 'The wye is bought and in the price.'],
    expect: { at: { 30: ['spot', 'short-line', 'regrade'] } },
  },
  {
    title: 'A crushed bend',
    log: ['60 main', '30 bend 45', '30 collapse'],
    more: { depths: deep(2, 3, 60), surfaces: lawn(60) },
    good: ['Dig it and set a new 45.', 'The bend is on the list to buy.'],
    expect: { at: { 30: 'spot' }, holes: 1, priced: [/Bend at 30\.0/] },
  },
  {
    title: 'A cascade of bends under the wall',
    log: ['60 main', '8 bend 90', '12 bend 90', '16 bend 45', '5 to 20 several cracks'],
    more: { depths: deep(2, 3.5, 60), surfaces: lawn(60) },
    good: ['225° of turns is more than a liner makes in one piece.', 'Dig some of it, or line in two.'],
    expect: { at: { 10: ['line', 'spot', 'open-cut', 'short-line'] } },
  },
  {
    title: 'The camera stopped at roots, 11.5 ft in',
    log: ['11 roots 80%', '11.5 stop roots'],
    more: { surfaces: lawn() },
    good: ['Clean, as far as the line may go, and look again.', 'Price no repair of what nobody saw.'],
    expect: { verdict: 'blocked', at: { 11: 'clean' }, holes: 0, firstStep: /clean and re-inspect/ },
  },
  {
    title: 'Half under water, nothing to see from 40 on',
    log: ['80 main', '40 to 78 not seen under water', '20 offset 1 1/4'],
    more: middling,
    good: ['Mend the offset; say that the rest was not seen.', 'Clean, lower the water, look again first.'],
    expect: {
      at: { 20: ['spot', 'short-line', 'line'] },
      firstStep: /clean and re-inspect/,
      warns: ['left-unseen'],
    },
  },
  {
    title: 'Two breaks 7 ft apart in clay',
    log: ['80 main', '30 broken', '37 broken'],
    more: { ...shallow, pipe: { material: 'clay', diameter_in: 4, piece_ft: 3 } },
    good: ['One repair from the first to the second.', 'Nobody leaves 4 ft of old clay between.'],
    expect: {
      at: { 30: ['spot', 'short-line', 'open-cut', 'line'], 34: ['spot', 'short-line', 'open-cut', 'line'] },
    },
  },
  {
    title: 'Clay left 2 ft short of sound plastic',
    log: ['80 main', '30 clay 4 > pvc 4', '26 collapse'],
    more: { ...shallow, pipe: { material: 'clay', diameter_in: 4 } },
    good: ['Take the clay out to the plastic.', 'Two feet of old pipe is not worth a coupling.'],
    expect: { at: { 26: 'spot', 29: 'spot' }, holes: 1 },
  },
  {
    title: 'The saddle in the street leaks',
    log: ['80 main', '80 infiltration running'],
    more: { ...toStreet, depths: deep(4, 9) },
    good: [
      'A short job at the main: dig it or line the last feet, water stopped first.',
      'With a permit where it is dug.',
    ],
    expect: { at: { 79.5: ['spot', 'short-line', 'line'] } },
  },
  {
    title: 'A crossing gas line over the break',
    log: ['80 main', '40 collapse'],
    more: {
      depths: deep(5, 6),
      surfaces: lawn(),
      crossings: [{ station_ft: 41, utility: 'gas', depth_ft: 2 }],
    },
    good: ['Locate it, dig by hand round it, shore: no shield drops over a gas line.', 'One hole.'],
    expect: { at: { 40: 'spot' }, holes: 1, held: 'shore', warns: ['hand-dig'] },
  },
  {
    title: 'A wholly blocked line, stopped at the cleanout',
    log: ["2 can't get through", '2 flush does not run away'],
    more: { surfaces: lawn() },
    good: ['Clear it, then run the camera.', 'No repair is priced.'],
    expect: { verdict: 'blocked', holes: 0, firstStep: /clean and re-inspect/ },
  },
  {
    title: 'No cleanout outside, sound line',
    log: ['80 main'],
    more: {
      depths: [
        { station_ft: 0, invert_ft: 2.5 },
        { station_ft: 68, invert_ft: 5 },
      ],
      surfaces: [
        { from_ft: -12, to_ft: 0, kind: 'building' },
        { from_ft: 0, to_ft: 68, kind: 'lawn' },
      ],
      owners: [{ from_ft: -12, to_ft: 68, owner: 'private' }],
      datum: 'WALL',
      points: [
        { id: 'CO1', kind: 'access', through: 'pulled-toilet', station_ft: -12 },
        { id: 'WALL', kind: 'building' },
        { id: 'MAIN', kind: 'main' },
      ],
    },
    good: [
      'Offer a cleanout beside the wall, at its price.',
      'Nothing is charged that the work does not need.',
    ],
    expect: { verdict: 'serviceable', holes: 0, option: /a new cleanout beside the house wall/ },
  },
];
