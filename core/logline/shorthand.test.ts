import fc from 'fast-check';
import type { EntryDraft, LogContext } from './context.js';
import { parseLogLine } from './parse.js';

/** Notes copied from a phone, a pad or a spreadsheet: what the lines mean is common practice. */
const base: LogContext = { points: [{ id: 'MAIN', kind: 'main' }], pass: 'out', end: 'MAIN' };

function read(line: string): (EntryDraft | undefined)[] {
  const all = parseLogLine(line, base);
  expect([line, all.flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([line, []]);
  return all.map(({ entry }) => entry);
}

// How a list is numbered, bulleted or ruled says nothing about the pipe.
test('a line of a list reads as it does alone', () => {
  const marks = ['1. ', '2) ', '12) ', 'a) ', '* ', '• ', '- ', '– ', '1.  '];
  const lines = [
    '41 roots 20%',
    '46.5 offset 1/2 in',
    '30-44 belly',
    '12 wye at 3',
    '24 clay > abs',
    '74 main',
  ];
  fc.assert(
    fc.property(fc.constantFrom(...marks), fc.constantFrom(...lines), (mark, line) => {
      expect(read(mark + line)).toEqual(read(line));
    }),
  );
  expect(read('41.5 | roots | medium')).toEqual(read('41.5 roots medium'));
});

test.each([
  ['41/46/52 roots', '41, 46, 52 roots'],
  ['roots at 31 & 40', 'roots at 31, 40'],
  ['roots 31 & 40', 'roots at 31, 40'],
  ['roots 31-40-52', 'roots at 31, 40, 52'],
  ['roots at 31 40', 'roots at 31, 40'],
  ['btwn 40 and 44 roots', '40-44 roots'],
  ['33 lat lt live', '33 branch left, in use'],
  ['46.0 roots-15%', '46 roots 15%'],
  ['46 lite roots', '46 light roots'],
  ['46 hvy roots rt side', '46 heavy roots right'],
  ['46 crack 12oc', "46 crack at 12 o'clock"],
  ['46 hole 6 o c soil', "46 hole at 6 o'clock"],
  ['46 off 1/2', '46 offset 1/2'],
  ['46 brkn 9-3', '46 broken 9-3'],
  ['46 standing water 1/3 full', '46 standing water 33%'],
  ['46 H2O 1/3', '46 standing water 33%'],
  ['46 cam uw', '46 under water'],
  ['46 flex cpl', '46 rubber coupling'],
  ['46 fnd wall', '46 foundation wall'],
  ['46 bdry line', '46 property line'],
  ['46 chg mat clay to pvc', '46 clay > pvc'],
  ['46 root ball 70%, could not pass', '46 root ball 70%; 46 stop'],
  ['12 wye l cap', '12 wye left capped'],
  ['30 pvc-clay coupling', '30 pvc > clay "coupling"'],
  ["41 4'6 dp", '41 4\'6" deep'],
  ['5 dp 3', '5 depth 3'],
  ['29 jt misal 1/4', '29 joint misaligned 1/4'],
  ['56-60 water 1/2 dia', '56-60 standing water 50%'],
  ['71 abandon survey, roots', '71 stop roots'],
  ['55 patch of concrete in invert', '55 deposit in the bottom "patch of concrete"'],
  ['46 its roots', '46 roots'],
  ['20 cant pass', '20 stop'],
  ['11 tee on its back', '11 tee "on its back"'],
  ['11 hub pulled 3/8', '11 separated joint 3/8'],
  ['18 RB 60%', '18 root ball 60%'],
  ['26 wye rt capd', '26 wye right capped'],
  ['28 wye lft live', '28 wye left, in use'],
  ['31 cl>pvc w/ cplg', '31 clay > pvc "coupling"'],
  ['33 xs mortar at jt', '33 intrusion at joint "excess mortar at jt"'],
  ['33 mortar lump', '33 intrusion "mortar lump"'],
  ['41 bot gone 3 ft', '41-44 bottom gone'],
  ['47 roots thru crack', '47 roots; 47 crack'],
  ['58 main 8", tap', '58 tap at the main 8"'],
  ['0-14 ci heavy scale', '14 cast iron ends; 0-14 heavy scale'],
  ['25 drop joint', '25 dropped joint'],
  ['27 L 45', '27 bend 45 left'],
  ['39 lateral change dir 45 R', '39 bend 45 right'],
  ['8 co tee, riser cracked', '8 cleanout tee "riser cracked"'],
  ['10 cond pipe thru top', '10 utility through the pipe "conduit pipe thru top"'],
  ['from 30 to 36 water', '30-36 standing water'],
  ['36 to main pvc', '36 pvc toward the street'],
  ['41 sonde 66"', `41 located 5'6" deep`],
  ['31-44 rts ea jt lt', '31-44 light roots at each joint'],
  ['48 inf. runner @ 2', '48 infiltration at 2 o\'clock "runner"'],
  ['52 prob roots', '52 roots'],
  ['33 lt. wye, abandoned', '33 left wye, abandoned'],
  ['50.5 dirt/rock 30%', '50.5 deposit 30% "dirt/rock"'],
  ['24 RB ~ 40%', '24 root ball ~40%'],
  ['28-36 w/l 20%', '28-36 water level 20%'],
  ['22 fdn', '22 foundation'],
  ['30 def. 15%', '30 deformed 15%'],
  ['58 BI tap', '58 break-in tap'],
  ['56-62 neg. grade', '56-62 negative grade'],
  ['51 heavy roots, 75%, jet & recheck', '51 heavy roots 75% "jet & recheck"'],
  ['64 brick', '64 deposit "brick"'],
  ['61 pipe thru pipe', '61 utility through the pipe "pipe thru pipe"'],
  ['61 something through pipe', '61 utility through the pipe "something through the pipe"'],
  ['61 a yellow line goes through ours', '61 utility through the pipe "a yellow line goes through ours"'],
  ['61 unknown pipe through the sewer', '61 utility through the pipe "unknown pipe through the sewer"'],
  ['61 rebar thru pipe', '61 intrusion "rebar thru pipe"'],
  ['38 gas line crossing in the pipe', '38 utility through the pipe "gas line crossing in the pipe"'],
  [
    '38 plastic line in the top of the pipe',
    '38 utility through the pipe "plastic line in the top of the pipe"',
  ],
  ['38 pipe drilled thru', '38 utility through the pipe "pipe drilled thru"'],
  ['38 directional bore hit pipe', '38 utility through the pipe "directional bore hit pipe"'],
  ['66 plugged with concrete', '66 heavy deposit "plugged with concrete"'],
  ['66 ends in dirt', '66 stop "ends in dirt"'],
  ['45 see gravel', '45 see dirt'],
  ['0 start @ co', '0 start at cleanout'],
  ['18 co (outside)', '18 cleanout "outside"'],
  ['16 45 deg L', '16 bend 45 left'],
  ['55-61 h2o 2"', '55-61 standing water 2 in'],
  ['60 sag begins, ends 66', '60-66 sag'],
  ['72 tap @ main', '72 main'],
  ['25 line makes a hard left', '25 bend left'],
  ['50 water comes in at joint', '50 infiltration at joint'],
  ['16 rust through', '16 rusted through'],
  ['scale zero to six feet', '0-6 scale'],
  ["18 bottom's thin", '18 worn bottom'],
  ['61-63 standing water, inch', '61-63 standing water 1 in'],
  ["60.5 that's the sewer", '60.5 main'],
  ['10.1 service on the left', '10.1 tie in on the left'],
  ['28 crack along, stops at the joint', '28 crack along "stops at the joint"'],
  ["11 there's a hub that's pulled, 3/8", '11 separated joint 3/8'],
  ["36.8 pipe's broke here", '36.8 broken'],
  ['nine six broken', '9.6 broken'],
  ['ten two cracks', '10 2 cracks'],
  ['twelve six fifteen six eighteen six all have roots', '12.6, 15.6, 18.6 roots'],
  ['17 the plastic quits and it is cast', '17 plastic > cast'],
  ['30 turns from cast to fiber pipe', '30 cast > fiber pipe'],
  ['27 crack along to the next joint which is 29', '27-29 crack along'],
  ['holes, one at 21 and one at 25', 'hole at 21 and hole at 25'],
  ["40 I've got water", '40 standing water starts'],
  ["45 water's standing", '45 standing water'],
  ["54 there's our tap", '54 main'],
  ['48 under the wall', '48 building'],
  ['kitchen line ties in at 12 on the left', '12 kitchen line ties in on the left'],
  ['32.5 roots in it, 15 maybe', '32.5 roots 15%'],
  ['51 roots 5% maybe', '51 roots 5%'],
  ["11 joint I don't like, lip 1/4 in", '11 joint, lip 1/4 in'],
  ['3 root intrusions between 40 and 50', '40-50 roots'],
  ['every 3 feet a joint with roots from 30 to 48', '30-48 roots every joint'],
  ['44 crack 3/9', '44 crack at 3 and 9'],
  ['44 crack at 12/6', '44 crack at 12 and 6'],
  ['44 lrg roots', '44 large roots'],
  ['40 roots take up 3/4 of the pipe', '40 roots 75%'],
  ['40 root mat', '40 root curtain'],
  ['40 roots > 50%', '40 roots 50%'],
  ['40 <10% roots', '40 roots 10%'],
  ['41 in water, 55 out of water', '41 water starts, 55 water ends'],
  ['41 water in / 55 water out', '41 water starts, 55 water ends'],
  ['41 enter water, 55 exit water', '41 water starts, 55 water ends'],
  ['2 in water at 41', '41 standing water 2 in'],
  ['15-30 1/4 standing water', '15-30 standing water 1/4 in'],
  ['15-30 25% water', '15-30 standing water 25%'],
  ['15-30 no grade', '15-30 flat'],
  ['puddle at 22', '22 standing water'],
  ['36 4x3 bushing', '36 4x3 reducer'],
  ['6 opens up to 4 inch cast', '6 change 4 in cast iron'],
  ['30 bumps up to 6 inch vcp', '30 change 6 in vcp'],
  ['22 reduces to 3 inch pvc', '22 change 3 in pvc'],
  ['pvc for the first 8 feet then clay', '8 pvc > clay'],
  ['abs runs to 22.5 then back to clay', '22.5 abs > clay'],
  ['30 abs to orange clay', '30 abs > clay'],
  ['49 piece of pvc about 3 feet long', '49-52 pvc'],
  ['22-31 4 in cast, heavy scale 40%', '22-31 4 in cast; 22-31 heavy scale 40%'],
  ["51.5 joint's wide open, inch and a half", '51.5 open joint 1.5 in'],
  ["33.5 pipe's in two pieces, shoved over about an inch", '33.5 broken; 33.5 offset 1 in'],
  ['50-55 bleeding water', '50-55 infiltration'],
  ['23 gravel, a third', '23 gravel 33%'],
  ['dip at 10, clears up at 13', '10-13 dip'],
  ["10 belly half inch, and it's gone by 14", '10-14 belly 1/2 in'],
  ["29 low spot, maybe an inch, 32 it's out", '29-32 belly 1 in'],
  ["water's holding from 39 all the way down to 45", '39-45 standing water'],
  ['water at 35 stays with us to 39', '35-39 standing water'],
  ['24 26 28 and 30 all have roots', 'roots at 24, 26, 28, 30'],
  ['22 and 24, roots both joints, 20 percent, 10 percent', '22 roots 20%; 24 roots 10%'],
  ['joint at 21, 23, 25, all tight', 'joint at 21, 23, 25'],
  ['twelve nine is our first joint', '12.9 joint'],
  ['80 crack 3, 9 and 12', "80 crack 3 o'clock; 80 crack 9 o'clock; 80 crack 12 o'clock"],
  ['80 crack, three and nine', "80 crack 3 o'clock; 80 crack 9 o'clock"],
  ['33.6, ninety going up, end of run', "33.6 bend 90 degrees at 12 o'clock; 33.6 stop"],
  ["25 tee, goes up, it's a cleanout", '25 cleanout'],
  ['43 depth is 4.5 feet', '43 depth 4.5'],
  ['62 pipe wall missing 10-2', '62 hole 10-2'],
  ['40 high joint 1/2', '40 offset joint 1/2'],
  ['40 low joint', '40 offset joint'],
  ['22 tap, 4 inch, live', '22 tap 4 inch "in use"'],
  ['22 live tap', '22 tap "in use"'],
  ['12 cleanout to grade', '12 cleanout "to grade"'],
  ['18.5 clay to cast, banded', '18.5 clay > cast "banded"'],
  ['36 flex coupling leaking', '36 coupling leaking'],
  ['12-60 cipp', '12-60 lined'],
  ['60 P/L', '60 property line'],
  ['74 out of push', '74 out of cable'],
  ['44 joint shifted', '44 offset joint'],
  ['44 joint off a half inch', '44 offset joint 1/2 in'],
  ['33ft hub roots 20pct', '33 hub roots 20%'],
  ['33.5 = roots', '33.5 roots'],
  ['33.5/roots', '33.5 roots'],
  ['33.5; roots', '33.5 roots'],
  ['33.5 roots [heavy]', '33.5 heavy roots'],
  ['33.5 roots {30%}', '33.5 roots 30%'],
  ['[01:22] 33 roots', '33 roots video 1:22'],
  ['(1:02:13) thirty three, roots', '33 roots video 1:02:13'],
  ['33.5 pipe reduced 25% by scale', '33.5 scale 25%'],
  ['33.5 mud to the springline', '33.5 mud 50%'],
  ['33.5 roots coming thru crack', '33.5 roots; crack'],
  ['33.5 roots, jetted, now clear', '33.5 no roots'],
  ['33.5 stake driven through pipe', '33.5 stake through the pipe'],
  ['33.5 sprinkler line thru sewer', '33.5 utility through the pipe'],
  ['8 reducer, 6 to 4', '8 6x4 reducer'],
  ['55, cracked at 9 and 3', '55 crack at 9 and 3'],
  ['60, 62, 64, all light roots', '60, 62, 64 light roots'],
  ["38, 41, 44, every joint's got roots", '38 to 44 roots every joint'],
  ['16 forty five to the left', '16 45 bend left'],
  ['21 locate four ten', '21 locate 4\' 10"'],
  ['21 locate, five six', '21 locate 5\' 6"'],
  ['34 pvc shoved inside the clay', '34 pvc > clay'],
  ['34 pvc glued into the clay hub', '34 pvc > clay'],
  ['20 4x6 abs to clay', '20 4 in abs > 6 in clay'],
  ['20 clay to the main', '20 clay toward the street'],
  ['22 wye, 2 ft later an offset', '22 wye; 2 ft past it offset'],
  ['22 c.o.', '22 cleanout'],
  ['22 cleanout facing the house', '22 cleanout faces upstream'],
  ['22 trap full of dirt', '22 trap; debris large "dirt"'],
  ['entire line scale 20%', '0 to end scale 20%'],
  ['scale throughout', '0 to end scale'],
  ['20 enlarges to 6', '20 upsizes to 6'],
  ['16 every joint to 40 has fine roots', '16-40 every joint fine roots'],
  ['16 clay pipe starts; every joint to 40 has roots', '16 clay starts; 16-40 every joint roots'],
  ['41-44 pipe is crushed, 30%', '41-44 out of round 30% "crushed, 30%"'],
  ['13 rusted clean through', '13 rusted through'],
  ['2 drops into a ninety', '2 bend 90'],
  ["4 second 45, now we're flat", '4 bend 45 "now we\'re flat"'],
  ['seventeen eight, roots', '17.8 roots'],
  ['three six, bend, 45', '3.6 bend 45'],
  ['twelve two, vertical crack', '12.2 crack "vertical"'],
  ['nine feet four, offset', '9\' 4" offset'],
  ['fifty flat, joint separated', '50 joint separated'],
  ['19 we leave the cast, goes to clay', '19 cast iron > clay'],
  ["6.5 rubber coupling and then it's cast", '6.5 change to cast iron "coupling"'],
  ['66 pvc repair, 4 ft of it', '66 pvc patch 4 ft long'],
  ['23-34 water', '23-34 standing water'],
  ['61 camera under water 4 ft', '61-65 under water'],
  ["42 belly's right at an inch", '42 belly 1 in'],
  [
    "31 fitting's not seated, gap on the bottom about three quarters",
    '31 open joint 3/4 in at 6 "fitting\'s not seated"',
  ],
  ['11 bathroom coming in from the right, 2 in', '11 bathroom tie in 2 in at 3'],
  ['38 chunk of the bell is laying in the pipe', '38 hole "chunk of the bell is laying in the pipe"'],
  ["44 top of the pipe's gone", '44 hole at 12'],
  ['52 main, tap is on the top', '52 main "tap is on the top"'],
  ['dirt quits at 26', 'debris quits at 26'],
  ["31 joint's out of line, down, 3/4", '31 offset joint 3/4 in "down"'],
  ['21 plastic stops, clay after that', '21 pvc > clay'],
  ['22 crack, runs back to the last joint', '22 crack "runs back to the last joint"'],
  ['39 drops into main 8 in', '39 main "drops into main 8 in"'],
  ["31 water's over the lens for 2 ft", '31-33 camera under water'],
  ['9 double wye, both sides dry', '9 double wye "both sides dry"'],
  ['16 leaves the building', '16 building'],
  ['13 we leave the house', '13 building'],
  ['60 obstruction, brick', '60 debris "obstruction, brick"'],
  ['60 obstruction 40%', '60 debris 40% "obstruction"'],
  ['73 tap not cut out', '73 tap "not cut out"'],
  ['25 pipe is 6 in here', '25 change to 6 in'],
  ['35-37 water behind the offset', '35-37 standing water "behind the offset"'],
  ['57 tap 9', '57 tap at 9'],
  ['57 wye 4 10', '57 4 in wye at 10'],
  ['96 1/16 bend down', '96 bend 22.5 down'],
  ['91 wye lt', '91 wye left'],
  ['53 45 bnd rt', '53 bend 45 right'],
  ['47-52 wtr 1"', '47-52 standing water 1 in'],
  ['61 crk long 6', '61 crack along at 6'],
  ['83 vert misalign 1/2', '83 misaligned 1/2 in "vertical"'],
  ["54 pvc rpr 3'", '54 pvc patch 3 ft long'],
  ['61.8 connection at the main, wye', '61.8 main wye'],
  ['82 saddle, main', '82 main saddle'],
  ['14 spider cracks, top and both sides', '14 several cracks "top and both sides"'],
  ["6 goes to 4 at 18, it's a reducer", '18 change 6 to 4 in'],
  ['35 reducer, 6 on the city side, 4 on the house side', '35 4 to 6 in reducer'],
  ['29 crack, both sides, three and nine', "29 crack at 3 o'clock and 9 o'clock"],
  ['27 joint offset, large, one and a quarter', '27 joint offset, large, 1.25 in'],
  ['47 and 49, roots', 'roots at 47 and 49'],
  ['26, 29 and 32, roots at all three', 'roots at 26, 29 and 32'],
  ['55, water, 59, no water', '55-59 standing water'],
  ['19 no-hub to clay', '19 change to clay "no-hub coupling"'],
  ['17 pipe passes through foundation wall', '17 building'],
  ['23-26 the top of the pipe is missing', '23-26 hole at the top'],
  [
    '43 something across the pipe, looks like a gas line',
    '43 utility through the pipe "something across the pipe, looks like a gas line"',
  ],
  ['66 lost a cutter head here', '66 sticks in "cutter head in the pipe"'],
])('“%s” is “%s”', (short, long) => {
  expect(read(short)).toEqual(read(long));
});

test.each([
  ['74 abandoned survey', [{ kind: 'stop' }]],
  ['70 end of run, capped', [{ kind: 'stop', note: 'end of run, capped' }]],
  ['70 dead end', [{ kind: 'stop', note: 'dead end' }]],
  ['44 to the main is shared', [{ kind: 'note', note: 'to the main is shared' }]],
  ['47 roots as thick as my thumb', [{ finding: 'roots', note: 'as thick as my thumb' }]],
  ['30 two couplings 3 ft apart', [{ kind: 'joint', note: '3 ft apart' }]],
  ['28 cleanout plug, back of the house', [{ kind: 'point', note: 'back of the house, plug' }]],
  ['44 wall missing at 3', [{ finding: 'hole', clock: 3 }]],
  ['30 rolled gasket at 6', [{ finding: 'intrusion', clock: 6 }]],
  ['41 roots cut, regrew', [{ finding: 'roots', note: 'cut, regrew' }]],
  ['41 roots were cut out last year and came back', [{ finding: 'roots' }]],
  ['41 roots cut', [{ kind: 'note' }]],
  ['12 lead and oakum joint', [{ kind: 'joint', note: 'lead and oakum' }]],
  ['44 deflected joint', [{ kind: 'joint', note: 'deflected' }]],
  ['44 chipped bell', [{ kind: 'joint', note: 'chipped' }]],
  ['44 fractured, one piece shifted', [{ finding: 'crack', shifting: true }]],
  ['74 drops into manhole', [{ kind: 'point', point: 'manhole-1' }]],
  ['74 at tap, top of main', [{ kind: 'point', point: 'MAIN' }]],
  ['15 combo', [{ kind: 'point', point: 'tie-in-1' }]],
  ['15 hard left', [{ kind: 'point', point: 'bend-1', clock: 9 }]],
  ['40 pipe goes off to the left', [{ kind: 'point', point: 'bend-1', clock: 9 }]],
  ['15 back to back 45s', [{ kind: 'point', point: 'bend-1' }]],
  ['15 vertical 90', [{ kind: 'point', point: 'bend-1' }]],
  ['43 goes under the driveway', [{ kind: 'note', note: 'goes under the driveway' }]],
  ['43 goes under the slab', [{ kind: 'point', point: 'building-1' }]],
  ['20 building, give or take a foot', [{ kind: 'point', point: 'building-1' }]],
  ['21 deformed, 70% of what it should be', [{ finding: 'deformation', percent: 30 }]],
  ['9 roots just starting', [{ finding: 'roots', size: 'small' }]],
  ['38 crack running forward 1.5 feet', [{ finding: 'crack', to_ft: 39.5 }]],
  ['60 liner stops short of main', [{ kind: 'change', upstream: { lined: true } }]],
])('“%s” is one thing', (line, entries) => {
  expect(read(line)).toMatchObject(entries);
});

// Not of the pipe's state, or nothing that can be graded: kept in the words it was said in.
test.each([
  '44 pipe paper thin',
  '22 liner not open at wye',
  '41 jetted twice',
  '41 flowing half full',
  '41 low flow',
  '74 EOL',
  '30 flagged at edge of drive',
  '36 bad transition',
  '15-30 pitch 1/4 in per foot',
  '15-30 2% fall',
  '44 pitting',
  '33.5 water main above',
  '33.5 sewer gas smell',
  '33.5 see photo 3',
  '15 was plugged, open now',
  "35 couldn't see it before",
])('“%s” is a note in its own words', (line) => {
  const note = line.replace(/^[\d.-]+ /, '');
  expect(read(line)).toMatchObject([{ kind: 'note', note }]);
});

test('how many cleanouts there are is no diameter', () => {
  for (const line of ['22 two cleanouts', '22 cleanouts (2)']) {
    const [part] = parseLogLine(line, base);
    expect([line, part?.point, part?.errors]).toMatchObject([line, { kind: 'cleanout' }, []]);
    expect(part?.point).not.toHaveProperty('diameter_in');
  }
});

test('what was said of a thing twice over is no longer missing', () => {
  for (const line of ['40 offset, half inch offset', 'debris at 38, gravel, 25%'])
    expect([line, parseLogLine(line, base).map(({ missing }) => missing)]).toEqual([line, [[]]]);
});

test.each([
  ["69 main, flow's going right to left, looks like six inches deep in there"],
  ['69 main, 6 inches deep'],
])('in “%s” what runs in the main is no size of it', (line) => {
  const [part] = parseLogLine(line, base);
  expect(part?.entry).toMatchObject({ kind: 'point', point: 'MAIN', reading_ft: 69 });
  expect(part?.entry).not.toHaveProperty('clock');
  expect(part?.point ?? {}).not.toHaveProperty('diameter_in');
});

test.each([
  ['44 offset 1 pipe thickness', '1 pipe thickness'],
  ['44 offset slight, catching paper', 'catching paper'],
])('in “%s” a number or a word beside the offset stays a note of it', (line, note) => {
  const [offset, ...more] = read(line);
  expect(more).toEqual([]);
  expect(offset).toMatchObject({ finding: 'offset', note });
  expect(offset).not.toHaveProperty('inches');
});

test.each([
  ['33.5 scale down to 3 inches', 'down to 3 inches'],
  ['33.5 only 2 in open, scale', 'only 2 in open'],
  ["33.5 roots, can't tell how bad", "can't tell how bad"],
  ['33.5 roots heavy, need to jet', 'need to jet'],
  ['25 some roots left, little hairs', 'hairs'],
])('in “%s” nothing is measured or placed that was not', (line, note) => {
  const [finding, ...more] = read(line);
  expect(more).toEqual([]);
  expect(finding).toMatchObject({ kind: 'finding', note });
  for (const field of ['inches', 'percent', 'clock', 'possible']) expect(finding).not.toHaveProperty(field);
});
