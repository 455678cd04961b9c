/**
 * Lines typed into a log that already holds something, and what becomes of them: all fields of each entry, which earlier
 * one it replaces, the words that are asked about, and how many doubts are raised. Chosen so that few lines reach much
 * of the grammar; what each means was decided by reading it (common practice).
 */
type Understood = Readonly<Record<string, unknown>>;

export const linesInLog: readonly (readonly [line: string, ...entries: Understood[]])[] = [
  [
    '33 horizontal split both sides',
    { kind: 'finding', reading_ft: 33, finding: 'crack', clock: 9, note: 'horizontal' },
    { kind: 'finding', reading_ft: 33, finding: 'crack', clock: 3, note: 'horizontal' },
  ],
  [
    '0 to 12 cast iron 4 inch, 12 to 40 6 inch clay, 40 to 77 pvc',
    {
      kind: 'change',
      reading_ft: 12,
      upstream: { material: 'cast-iron', diameter_in: 4 },
      downstream: { material: 'clay', diameter_in: 6 },
    },
    {
      kind: 'change',
      reading_ft: 40,
      upstream: { material: 'clay', diameter_in: 6 },
      downstream: { material: 'pvc-sch40' },
    },
    { kind: 'change', reading_ft: 77, upstream: { material: 'pvc-sch40' } },
  ],
  [
    '93 half pipe of water till 97',
    { kind: 'finding', reading_ft: 93, to_ft: 97, finding: 'belly', inches: 2, doubts: 1 },
  ],
  [
    '51 horizontal crack on both sides for about three feet',
    { kind: 'finding', reading_ft: 51, to_ft: 48, finding: 'crack', clock: 9, note: 'horizontal' },
    { kind: 'finding', reading_ft: 51, to_ft: 48, finding: 'crack', clock: 3, note: 'horizontal' },
  ],
  [
    '31, 33, 35 roots',
    { kind: 'finding', reading_ft: 35, finding: 'roots' },
    { kind: 'finding', reading_ft: 31, finding: 'roots' },
    { kind: 'finding', reading_ft: 33, finding: 'roots' },
  ],
  ['60 city responsibility starts', { asks: ['city', 'responsibility', '60 city responsibility starts'] }],
  ['no, hairline', { kind: 'finding', reading_ft: 41, finding: 'crack', form: 'hairline', replaces: 'e4' }],
  [
    '100 into manhole',
    { kind: 'point', reading_ft: 100, point: { kind: 'manhole', name: 'manhole 1' }, doubts: 1 },
  ],
  ['55 sonde 62 inches deep', { kind: 'locate', reading_ft: 55, depth_ft: 5.1667 }],
  [
    '55 lat tap 9 oclock protruding 1"',
    {
      kind: 'point',
      reading_ft: 55,
      point: { kind: 'tie-in', name: 'branch connection 1', connection: 'tap', clock: 9 },
      clock: 9,
    },
    {
      kind: 'finding',
      reading_ft: 55,
      finding: 'intrusion',
      clock: 9,
      note: '1 in',
      percent: 25,
      asks: ['lat'],
    },
  ],
  [
    '98 a lot of water coming from the kitchen',
    {
      kind: 'point',
      reading_ft: 98,
      point: { kind: 'tie-in', name: 'kitchen branch connection' },
      note: 'a lot of water coming from the kitchen',
      doubts: 1,
    },
  ],
  ['22 cracked 3 to 9', { kind: 'finding', reading_ft: 22, finding: 'crack', clock: [3, 9] }],
  ['seven one at the main', { kind: 'point', reading_ft: 7, point: 'MAIN', asks: ['seven one'] }],
  [
    '158 old liner starts here to 166',
    { kind: 'change', reading_ft: 158, upstream: { lined: true }, asks: ['to 166'], doubts: 2 },
  ],
  ['22 toothbrush', { kind: 'finding', reading_ft: 22, finding: 'deposit', note: 'toothbrush' }],
  ['103 depth 64 in', { kind: 'locate', reading_ft: 103, depth_ft: 5.3333, doubts: 1 }],
  [
    '20 roots at the offset',
    { kind: 'finding', reading_ft: 20, finding: 'roots' },
    { kind: 'finding', reading_ft: 20, finding: 'offset' },
  ],
  [
    '20 roots from 20 to 24 at every joint',
    { kind: 'finding', reading_ft: 20, to_ft: 24, finding: 'roots', eachJoint: true },
  ],
  ['27 1 1/2" deep', { kind: 'finding', reading_ft: 27, finding: 'belly', inches: 1.5 }],
  [
    '22 crack at 12 going to 3',
    { kind: 'finding', reading_ft: 22, finding: 'crack', clock: 12, asks: ['to 3'] },
  ],
  [
    'cracks at fifty eight and sixty',
    { kind: 'finding', reading_ft: 58, finding: 'crack' },
    { kind: 'finding', reading_ft: 60, finding: 'crack' },
  ],
  ['BM 52', { asks: ['BM', 'BM 52'] }],
  ['22 done', { asks: ['22 done'] }],
  ['148 sdr26', { kind: 'change', reading_ft: 148, upstream: { material: 'pvc-sdr35' }, doubts: 2 }],
  [
    '96 6x4 reducer',
    {
      kind: 'change',
      reading_ft: 96,
      upstream: { diameter_in: 4 },
      downstream: { diameter_in: 6 },
      doubts: 1,
    },
  ],
  [
    '92 wye, unused',
    {
      kind: 'point',
      reading_ft: 92,
      point: { kind: 'tie-in', name: 'branch connection 1', connection: 'wye', note: 'not in use' },
      doubts: 1,
    },
  ],
  [
    '140 main tap broken',
    {
      kind: 'point',
      reading_ft: 140,
      point: { kind: 'main', connection: 'tap' },
      doubts: 1,
    },
    { kind: 'finding', reading_ft: 140, finding: 'broken', doubts: 2 },
  ],
  ['22 construction debris', { kind: 'finding', reading_ft: 22, finding: 'deposit', asks: ['construction'] }],
  ['24 clay from here down', { kind: 'change', reading_ft: 24, downstream: { material: 'clay' } }],
  [
    '162 stopped at heavy roots',
    { kind: 'finding', reading_ft: 162, finding: 'roots', size: 'large', doubts: 2 },
    { kind: 'stop', reading_ft: 162, why: 'roots', doubts: 2 },
  ],
  ['30 put a dye tab in the toilet', { kind: 'test', reading_ft: 30, what: 'dye', asks: ['put', 'tab'] }],
  [
    '85 root at every joint from 85 to 100',
    { kind: 'finding', reading_ft: 85, to_ft: 100, finding: 'roots', eachJoint: true, doubts: 1 },
  ],
  [
    '64 you can see dirt through the crack',
    { kind: 'finding', reading_ft: 64, finding: 'hole' },
    { kind: 'finding', reading_ft: 64, finding: 'crack' },
  ],
  ['undo', { asks: ['undo'] }],
  ['90 flat', { kind: 'finding', reading_ft: 90, finding: 'belly', doubts: 1 }],
  [
    '22 CI ABS',
    { kind: 'change', reading_ft: 22, upstream: { material: 'abs' }, downstream: { material: 'cast-iron' } },
  ],
  ['42 loc 5.5', { kind: 'locate', reading_ft: 42, depth_ft: 5.5 }],
  [
    'not 47, 48',
    { kind: 'finding', reading_ft: 47, finding: 'offset', inches: 0.5, replaces: 'e4', asks: ['48'] },
  ],
  ['ofs 41 1/2', { asks: ['ofs', 'ofs 41 1/2'] }],
  ['26 joint 12', { kind: 'joint', reading_ft: 26, asks: ['12'] }],
  ['91 3/4 full', { kind: 'finding', reading_ft: 91, finding: 'belly', inches: 3, doubts: 1 }],
  ['40 gasket 26', { kind: 'note', reading_ft: 40, note: 'gasket', asks: ['26'] }],
  ['22 pipe 4 inch', { kind: 'change', reading_ft: 22, upstream: { diameter_in: 4 } }],
  [
    '88 bend is a 60',
    { kind: 'point', reading_ft: 88, point: { kind: 'bend', name: 'bend 1', degrees: 60 }, doubts: 1 },
  ],
  [
    '66 roots and 70',
    { kind: 'finding', reading_ft: 66, finding: 'roots' },
    { kind: 'finding', reading_ft: 70, finding: 'roots' },
  ],
  [
    '15-18 clay to pvc',
    {
      kind: 'change',
      reading_ft: 15,
      to_ft: 18,
      upstream: { material: 'pvc-sch40' },
      downstream: { material: 'clay' },
    },
  ],
  ['89 1/3 full of sand', { kind: 'finding', reading_ft: 89, finding: 'deposit', percent: 33, doubts: 1 }],
  [
    '0 cleanout 3 ft deep',
    { kind: 'point', reading_ft: 0, point: { kind: 'cleanout', name: 'front cleanout', riser_ft: 3 } },
  ],
  ['41 roots full blockage', { kind: 'finding', reading_ft: 41, finding: 'roots', percent: 100 }],
  ['22 crack top to bottom', { kind: 'finding', reading_ft: 22, finding: 'crack', asks: ['top to bottom'] }],
  ['86 camera is on its side', { kind: 'note', reading_ft: 86, note: 'camera is on its side', doubts: 1 }],
  ['42 located at fence, 4 ft', { kind: 'locate', reading_ft: 42, note: 'at fence', depth_ft: 4 }],
  ['42 marked w/ flag, 6 foot', { kind: 'locate', reading_ft: 42, depth_ft: 6, mark: 'flag' }],
  ['40 offset, half inch offset', { kind: 'finding', reading_ft: 40, finding: 'offset', inches: 0.5 }],
  [
    '22 tap sticking in 2 inches',
    { kind: 'finding', reading_ft: 22, finding: 'intrusion', note: '2 in', percent: 50 },
  ],
  [
    '61 lined section through 70',
    { kind: 'change', reading_ft: 61, upstream: { lined: true }, asks: ['through 70'] },
  ],
  [
    '100 asphalt from 100 to 120',
    { kind: 'note', reading_ft: 100, to_ft: 120, note: 'asphalt from 100 to 120', doubts: 1 },
  ],
  [
    'belly 50 to 56, 1.5 deep at 53',
    { kind: 'finding', reading_ft: 50, to_ft: 56, finding: 'belly', inches: 1.5, asks: ['at 53'] },
  ],
  [
    '92 gap at joint, one inch, roots',
    { kind: 'finding', reading_ft: 92, finding: 'separation', atJoint: true, inches: 1, doubts: 1 },
    { kind: 'finding', reading_ft: 92, finding: 'roots', doubts: 1 },
  ],
  [
    "36 cracks at 3, 9 and 12 o'clock",
    { kind: 'finding', reading_ft: 36, finding: 'crack', clock: 3 },
    { kind: 'finding', reading_ft: 36, finding: 'crack', clock: 9 },
    { kind: 'finding', reading_ft: 36, finding: 'crack', clock: 12 },
  ],
  [
    "3 ft past the cleanout there's a 45",
    { kind: 'point', reading_ft: 3, about: true, point: { kind: 'bend', name: 'bend 1', degrees: 45 } },
  ],
  ['2 ft short of the main, roots', { kind: 'finding', reading_ft: 76, about: true, finding: 'roots' }],
  [
    "31 roots at 3 o'clock and roots at 9",
    { kind: 'finding', reading_ft: 31, finding: 'roots', clock: 3 },
    { kind: 'finding', reading_ft: 31, finding: 'roots', clock: 9 },
  ],
  [
    "eighteen the pipe's flat from here to about twelve",
    { kind: 'finding', reading_ft: 18, to_ft: 12, finding: 'belly' },
  ],
  [
    "Sixty point five there's a manhole. That's the end.",
    { kind: 'point', reading_ft: 60.5, point: { kind: 'manhole', name: 'manhole 1' } },
  ],
  [
    "there's a coupling at twenty and another one at twenty four",
    { kind: 'joint', reading_ft: 20, note: 'coupling' },
    { kind: 'joint', reading_ft: 24 },
  ],
  [
    "Concrete's in rough shape, you can see aggregate on the bottom from fifty two all the way to sixty.",
    { kind: 'change', reading_ft: 52, note: 'in rough shape', upstream: { material: 'concrete' } },
    { kind: 'finding', reading_ft: 52, to_ft: 60, finding: 'worn-bottom', clock: 6 },
  ],
  ['47 cannot get by', { kind: 'stop', reading_ft: 47, why: 'could not get past' }],
  ["47 can't go past", { kind: 'stop', reading_ft: 47, why: 'could not get past' }],
  ['nope, 48', { kind: 'finding', reading_ft: 48, finding: 'offset', inches: 0.5, replaces: 'e4' }],
  ['20 roots from here to about 12', { kind: 'finding', reading_ft: 20, to_ft: 12, finding: 'roots' }],
  [
    '18 clay from here to about 12',
    { kind: 'change', reading_ft: 18, upstream: { material: 'clay' } },
    { kind: 'change', reading_ft: 12, downstream: { material: 'clay' } },
  ],
  [
    '22 clay, pvc',
    {
      kind: 'change',
      reading_ft: 22,
      upstream: { material: 'pvc-sch40' },
      downstream: { material: 'clay' },
    },
  ],
  ['22 asbestos cement', { kind: 'change', reading_ft: 22, upstream: { material: 'asbestos-cement' } }],
  ['45 roots at 14', { kind: 'finding', reading_ft: 45, finding: 'roots', asks: ['at 14'] }],
  [
    '46 bend at 14',
    { kind: 'point', reading_ft: 46, point: { kind: 'bend', name: 'bend 1' }, asks: ['at 14'] },
  ],
  ['45 bend at 24', { kind: 'point', reading_ft: 24, point: { kind: 'bend', name: 'bend 1', degrees: 45 } }],
  ['24 bend at 45', { kind: 'point', reading_ft: 24, point: { kind: 'bend', name: 'bend 1', degrees: 45 } }],
  [
    '90 at 31 and a 45 at 33',
    { kind: 'point', reading_ft: 31, point: { kind: 'bend', name: 'bend 1', degrees: 90 } },
    { kind: 'point', reading_ft: 33, point: { kind: 'bend', name: 'bend 2', degrees: 45 } },
  ],
  [
    'two 45s at 24 and 28',
    { kind: 'point', reading_ft: 24, point: { kind: 'bend', name: 'bend 1', degrees: 45 } },
    { kind: 'point', reading_ft: 28, point: { kind: 'bend', name: 'bend 2', degrees: 45 } },
  ],
  // The bend at 12 is known to turn 45; of the other nobody said how far.
  [
    'two bends at 12 and 14',
    { kind: 'point', reading_ft: 12, point: 'P3' },
    { kind: 'point', reading_ft: 14, point: { kind: 'bend', name: 'bend 1' } },
  ],
  [
    '3 inch wyes at 22 and 31',
    {
      kind: 'point',
      reading_ft: 22,
      point: { kind: 'tie-in', name: 'branch connection 1', connection: 'wye', diameter_in: 3 },
    },
    {
      kind: 'point',
      reading_ft: 31,
      point: { kind: 'tie-in', name: 'branch connection 2', connection: 'wye', diameter_in: 3 },
    },
  ],
  ['47 -> 48', { asks: ['47 -> 48'] }],
  ['41 -> 38 roots', { reading_ft: 41, to_ft: 38, kind: 'finding', finding: 'roots' }],
  ['41 roots -> 38', { reading_ft: 41, to_ft: 38, kind: 'finding', finding: 'roots' }],
  ['41 -> roots', { reading_ft: 41, kind: 'finding', finding: 'roots' }],
  ["24 clay, 2' joints", { reading_ft: 24, kind: 'change', upstream: { material: 'clay', piece_ft: 2 } }],
  [
    '24 two foot sections of clay',
    { reading_ft: 24, kind: 'change', upstream: { material: 'clay', piece_ft: 2 } },
  ],
  ['24 clay 3 foot joints', { reading_ft: 24, kind: 'change', upstream: { material: 'clay', piece_ft: 3 } }],
  ['77 end', { reading_ft: 63, to_ft: 77, kind: 'finding', finding: 'belly', replaces: 'e3', doubts: 1 }],
  [
    '46 not roots, grease',
    { reading_ft: 46, note: 'seen, none: roots', kind: 'note' },
    { reading_ft: 46, kind: 'finding', finding: 'deposit', of: 'grease' },
  ],
  [
    "sorry, at 46 it's grease not roots",
    { reading_ft: 46, kind: 'finding', finding: 'deposit', percent: 15, of: 'grease', replaces: 'e2' },
    { reading_ft: 46, note: 'seen, none: roots', kind: 'note' },
  ],
  ["no, it's grease", { reading_ft: 41, kind: 'finding', finding: 'deposit', of: 'grease', replaces: 'e4' }],
  [
    "no, it's a separation",
    { reading_ft: 41, kind: 'finding', finding: 'separation', inches: 0.5, replaces: 'e4' },
  ],
  [
    'the roots at 46 are 30%',
    { reading_ft: 46, kind: 'finding', finding: 'roots', percent: 30, replaces: 'e2' },
  ],
  [
    'the roots at 46 are actually grease',
    { reading_ft: 46, kind: 'finding', finding: 'deposit', percent: 15, of: 'grease', replaces: 'e2' },
  ],
  [
    'offset is at 43 not 41',
    { reading_ft: 43, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' },
  ],
  [
    '41 offset should be 43',
    { reading_ft: 43, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' },
  ],
  ['change 46 to 48', { reading_ft: 48, kind: 'finding', finding: 'roots', percent: 15, replaces: 'e2' }],
  ['the bend should be at 14', { reading_ft: 14, kind: 'point', point: 'P3' }],
  ['99 should be 65', { asks: ['99 should be 65'] }],
  [
    'make the roots at 46 48',
    { reading_ft: 48, kind: 'finding', finding: 'roots', percent: 15, replaces: 'e2' },
  ],
  [
    'make the roots at 46 30%',
    { reading_ft: 46, kind: 'finding', finding: 'roots', percent: 30, replaces: 'e2' },
  ],
  ['the offset is 3/4', { reading_ft: 41, kind: 'finding', finding: 'offset', inches: 0.75, replaces: 'e4' }],
  ['46 roots 20% not 15%', { reading_ft: 46, kind: 'finding', finding: 'roots', percent: 20, doubts: 1 }],
  ['not 1/2, 3/4', { reading_ft: 41, kind: 'finding', finding: 'offset', inches: 0.75, replaces: 'e4' }],
  ['oops, 43 not 41', { reading_ft: 43, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' }],
  [
    'the last one is at 43',
    { reading_ft: 43, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' },
  ],
  ['it goes to 55', { reading_ft: 63, to_ft: 55, kind: 'finding', finding: 'belly', replaces: 'e3' }],
  ['46 roots 20%', { reading_ft: 46, kind: 'finding', finding: 'roots', percent: 20, doubts: 1 }],
  [
    '46 roots at joint, both sides',
    { reading_ft: 46, clock: 9, kind: 'finding', atJoint: true, finding: 'roots', doubts: 1 },
    { reading_ft: 46, clock: 3, kind: 'finding', atJoint: true, finding: 'roots', doubts: 1 },
  ],
  ['the 46 roots end at 43', { reading_ft: 46, to_ft: 43, kind: 'finding', finding: 'roots', doubts: 1 }],
  [
    'roots 46-43, 40-38 and 30-22',
    { reading_ft: 46, to_ft: 43, kind: 'finding', finding: 'roots', doubts: 1 },
    { reading_ft: 40, to_ft: 38, kind: 'finding', finding: 'roots' },
    { reading_ft: 30, to_ft: 22, kind: 'finding', finding: 'roots' },
  ],
  ['crack at 46, 3 to 9', { reading_ft: 46, clock: [3, 9], kind: 'finding', finding: 'crack' }],
  [
    'clay 46-30 and 22-12',
    { kind: 'change', reading_ft: 46, upstream: { material: 'clay' } },
    { kind: 'change', reading_ft: 30, downstream: { material: 'clay' } },
    { kind: 'change', reading_ft: 22, upstream: { material: 'clay' } },
    { kind: 'change', reading_ft: 12, downstream: { material: 'clay' } },
  ],
  [
    '46 roots / 43 offset',
    { reading_ft: 46, kind: 'finding', finding: 'roots', doubts: 1 },
    { reading_ft: 43, kind: 'finding', finding: 'offset' },
  ],
  ['46 no pipe for 2 ft', { reading_ft: 46, to_ft: 44, kind: 'finding', finding: 'hole' }],
  [
    '46 roots for the next 3 feet',
    { reading_ft: 46, to_ft: 43, kind: 'finding', finding: 'roots', doubts: 1 },
  ],
  [
    'all joints have roots from 36 to 30',
    { reading_ft: 36, to_ft: 30, kind: 'finding', eachJoint: true, finding: 'roots' },
  ],
  ['52 roots?', { reading_ft: 52, kind: 'finding', possible: true, finding: 'roots' }],
  ['33 and 6 inches roots', { reading_ft: 33.5, kind: 'finding', finding: 'roots' }],
  ['52 roots at 3:52 on the video', { reading_ft: 52, video_s: 232, kind: 'finding', finding: 'roots' }],
  ['52 crack 4:10', { reading_ft: 52, kind: 'finding', finding: 'crack', asks: ['4:10'] }],
  ['22 crack 1/4', { reading_ft: 22, note: '¼ in', kind: 'finding', finding: 'crack' }],
  ['2 ft past the offset, a crack', { after: 'e4', plus_ft: 2, kind: 'finding', finding: 'crack' }],
  [
    '2 ft downstream of the offset, a crack',
    { reading_ft: 43, about: true, kind: 'finding', finding: 'crack' },
  ],
  [
    'a foot upstream of the offset, roots 20%',
    { after: 'e4', plus_ft: 1, kind: 'finding', finding: 'roots', percent: 20 },
  ],
  [
    'crack 2 feet before the offset',
    { asks: ['2 feet before the offset', 'crack 2 feet before the offset'] },
  ],
  [
    'just downstream of the offset, roots',
    { asks: ['just downstream of the offset, ', 'just downstream of the offset, roots'] },
  ],
  ['delete the roots at 46', { asks: ['delete the roots at 46'] }],
  ['the main is 9 ft deep', { reading_ft: 78, kind: 'locate', depth_ft: 9 }],
  ['5 ft deep at the cleanout', { reading_ft: 0, kind: 'locate', depth_ft: 5 }],
  ['the bend is 4 feet down', { reading_ft: 12, kind: 'locate', depth_ft: 4 }],
  ['locate 46 5\'6"', { reading_ft: 46, kind: 'locate', depth_ft: 5.5 }],
  ['1 cleanout', { kind: 'point', reading_ft: 1, point: 'CO1' }],
  ['2 cleanout', { kind: 'point', reading_ft: 2, point: { kind: 'cleanout', name: 'cleanout 1' } }],
  [
    'those offsets are at 42',
    { reading_ft: 42, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' },
  ],
  ['the offset is at 60', { reading_ft: 60, kind: 'finding', finding: 'offset' }],
  [
    'the 41 joint is more like an inch',
    { reading_ft: 41, kind: 'finding', finding: 'offset', inches: 1, replaces: 'e4' },
  ],
  [
    'forty one offset should be forty three',
    { reading_ft: 43, kind: 'finding', finding: 'offset', inches: 0.5, replaces: 'e4' },
  ],
  [
    'the roots were at forty five not forty six',
    { reading_ft: 45, kind: 'finding', finding: 'roots', percent: 15, replaces: 'e2' },
  ],
  [
    "it's more like a crack than an offset",
    { reading_ft: 41, kind: 'finding', finding: 'crack', replaces: 'e4' },
  ],
  ['66.6 connects to the city', { reading_ft: 66.6, kind: 'point', point: 'MAIN' }],
  ['52 roots 30% maybe more', { reading_ft: 52, kind: 'finding', finding: 'roots', percent: 30 }],
  ["bottom's rotted from 18 to 22", { reading_ft: 18, to_ft: 22, kind: 'finding', finding: 'bottom-gone' }],
  [
    '52 separated joint three quarters',
    { reading_ft: 52, kind: 'finding', atJoint: true, finding: 'separation', inches: 0.75 },
  ],
];
