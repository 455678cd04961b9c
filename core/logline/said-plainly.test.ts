import fc from 'fast-check';
import { materialRegistry } from '../catalog/materials.js';
import { findingRegistry } from '../findings/kinds.js';
import type { EntryDraft, LogContext } from './context.js';
import { parseLogLine } from './parse.js';

/** How plumbers put things: the lines and what they mean are common practice. */
const base: LogContext = { points: [], pass: 'back', end: 'main' };
const parts = (line: string, more: Partial<LogContext> = {}) => parseLogLine(line, { ...base, ...more });
function clean(line: string, more: Partial<LogContext> = {}): (EntryDraft | undefined)[] {
  const all = parts(line, more);
  expect([line, all.flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([line, []]);
  return all.map(({ entry }) => entry);
}

test.each([
  ['11 pipe rotted out on the bottom, can see dirt', [{ finding: 'bottom-gone' }]],
  ['14 reverse fall', [{ finding: 'belly' }]],
  ['35 deep belly 35-42', [{ finding: 'belly', to_ft: 42, size: 'large' }]],
  ['30-44 standing water deepest at 37 about 2 inches', [{ finding: 'belly', to_ft: 44, inches: 2 }]],
  ['50 water comes up to about half', [{ finding: 'belly' }]],
  ['13 joint is open you can see mud', [{ finding: 'separation', atJoint: true }]],
  ['80 spigot pulled out of the hub', [{ finding: 'separation', atJoint: true }]],
  ['31 fine roots, just whiskers', [{ finding: 'roots', size: 'small' }]],
  ['36 root mass almost full', [{ finding: 'roots', size: 'large' }]],
  ['67 sand and gravel in the bottom', [{ finding: 'deposit', clock: 6 }]],
  ['65 piece of the wall has fallen in', [{ finding: 'hole' }]],
  ['80 missing 6 inches of pipe on the bottom', [{ finding: 'hole', clock: 6 }]],
  ['60 intruding seal at 6', [{ finding: 'intrusion', clock: 6 }]],
  ['63 broken snake in pipe', [{ finding: 'intrusion' }]],
  ['96 plastic bottle', [{ finding: 'deposit' }]],
  ['84 steel pipe through the sewer', [{ finding: 'utility-through' }]],
  ['85 gas line crosses right through it', [{ finding: 'utility-through' }]],
  ['20 gas line crosses over', [{ kind: 'note' }]],
  ['43 change in grade', [{ kind: 'note' }]],
  ['25 cleared roots here last year', [{ kind: 'note' }]],
  ['75 camera will not go past', [{ kind: 'stop' }]],
  ['30 belly ends here, max depth 2 inches', [{ finding: 'belly', inches: 2 }]],
  ['33 pipe cracked top and bottom', [{ clock: 12 }, { clock: 6 }]],
  ["36 cracks at 3, 9 and 12 o'clock", [{ clock: 3 }, { clock: 9 }, { clock: 12 }]],
  ['46 roots growing out of the joint at 9 oclock', [{ finding: 'roots', atJoint: true, clock: 9 }]],
  ['54 pipe is out of round', [{ finding: 'deformation' }]],
  ['20 roots & crack', [{ finding: 'roots' }, { finding: 'crack' }]],
  ['20 roots + offset 1/2"', [{ finding: 'roots' }, { finding: 'offset', inches: 0.5 }]],
  ['20 roots / crack', [{ finding: 'roots' }, { finding: 'crack' }]],
  ['88 grease trap', [{ kind: 'note' }]],
  ['45 pipe necks down to 3 inches', [{ kind: 'change', upstream: { diameter_in: 3 } }]],
  ['22 located, 6 ft 6', [{ kind: 'locate', depth_ft: 6.5 }]],
  ['22 located, 6 foot 3 inches', [{ kind: 'locate', depth_ft: 6.25 }]],
  ['roots at 31 ft and 33 ft 6 in', [{ reading_ft: 31 }, { reading_ft: 33.5 }]],
  ['belly 88 to 94 camera goes under at 90', [{ finding: 'belly' }, { kind: 'hidden', reading_ft: 90 }]],
  ['20 water coming through the crack', [{ finding: 'infiltration' }, { finding: 'crack' }]],
  ['20 clean and clear', [{ kind: 'note' }]],
  ['22 good from here to the main', [{ kind: 'note' }]],
  ['12 cracked clay pipe', [{ finding: 'crack' }]],
  ['14 broken clay at the joint', [{ finding: 'broken', atJoint: true }]],
  ['41 spiderweb cracking', [{ finding: 'crack', form: 'several' }]],
  ['48 circumferential crack 360', [{ finding: 'crack', form: 'around' }]],
  ['50 multiple fractures w/ pieces displaced', [{ finding: 'broken' }]],
  ['56 vertical offset half inch', [{ finding: 'offset', inches: 0.5, note: 'vertical' }]],
  ['57 squashed flat', [{ finding: 'deformation' }]],
  ['64 half full', [{ finding: 'belly', size: 'large' }]],
  ['68 holds 1" of water', [{ finding: 'belly', inches: 1 }]],
  ['97 rag hung up on offset', [{ finding: 'deposit' }, { finding: 'offset' }]],
  ['104 concrete slurry hardened in bottom', [{ finding: 'intrusion', note: 'concrete' }]],
  ['105 fence post in pipe', [{ finding: 'intrusion', note: 'fence post' }]],
  ['108 channel rot', [{ finding: 'worn-bottom' }]],
  ['111 hole in top the size of a quarter', [{ finding: 'hole', clock: 12 }]],
  ['118 o ring showing', [{ finding: 'intrusion', note: 'gasket' }]],
  ['109 oak roots at joint', [{ finding: 'roots', atJoint: true }]],
  ['24 roots clogging half the pipe', [{ finding: 'roots', percent: 50 }]],
  ['30 heavy roots cutter needed', [{ finding: 'roots', size: 'large', note: 'cutter needed' }]],
  ['44 broken joint w roots', [{ finding: 'broken', atJoint: true }, { finding: 'roots' }]],
  ['58 pipe deflected 10%', [{ finding: 'deformation', percent: 10 }]],
  ['72 heavily scaled, about 40% restricted', [{ finding: 'deposit', of: 'scale', percent: 40 }]],
  ['76 grease on top half', [{ finding: 'deposit', clock: [9, 3] }]],
  ['80 inch and a half offset', [{ finding: 'offset', inches: 1.5 }]],
  ['88 joint pulled 2"', [{ finding: 'separation', inches: 2, atJoint: true }]],
  ['96 belly 6 to 8 feet long', [{ finding: 'belly', to_ft: 88 }]],
  ['112 depth at 112 is 7 foot 6', [{ kind: 'locate', depth_ft: 7.5 }]],
  ['116 7.5 feet down to the pipe', [{ kind: 'locate', depth_ft: 7.5 }]],
  ['144 main has roots', [{ kind: 'note' }]],
  ['146 street main full of water', [{ finding: 'main-backed-up' }]],
] as const)('%s', (line, entries) => {
  const [place = ''] = /^\d+/.exec(line) ?? [];
  const read = clean(line);
  expect(read).toMatchObject(entries);
  expect(read).toHaveLength(entries.length);
  if (place) expect(read[0]?.reading_ft).toBe(Number(place));
  for (const entry of read) expect(entry?.pass).toBe('back');
});

test.each([
  ['75.5 main, 8" clay', { kind: 'main', diameter_in: 8 }],
  ['76 8 inch clay main', { kind: 'main', diameter_in: 8 }],
  ['93 lateral from next door comes in on the right', { kind: 'tie-in', clock: 3 }],
  ['66 lateral on right, active', { kind: 'tie-in', clock: 3 }],
  ['82 valve stuck open', { kind: 'valve' }],
  ['61 stub capped', { kind: 'tie-in', note: 'capped' }],
  ['92 wye, unused', { kind: 'tie-in', connection: 'wye', note: 'not in use' }],
  ['57 tee facing up', { kind: 'tie-in', connection: 'tee', clock: 12 }],
  ['90 two 45s back to back', { kind: 'bend', degrees: 90 }],
  ['0 house cleanout 4 inch, buried about a foot', { kind: 'cleanout', diameter_in: 4, state: 'buried' }],
  ["3 ft out of the cleanout there's a 45", { kind: 'bend', degrees: 45 }],
  ['26 drops about 6 inches then levels out', { kind: 'drop', fall_ft: 0.5 }],
  ['108 big oak over the line', { kind: 'tree' }],
  ['112 connects to septic tank', { kind: 'septic-tank' }],
  ['120 backwater valve flap stuck', { kind: 'valve' }],
  ['123 santee at 2 o’clock', { kind: 'tie-in', connection: 'tee', clock: 2 }],
  ['128 cleanout under mulch', { kind: 'cleanout', state: 'buried' }],
  ['130 buried cleanout 1 foot down', { kind: 'cleanout', state: 'buried' }],
  ['136 tie in to 8" clay main at 9 oclock', { kind: 'main', diameter_in: 8, clock: 9 }],
] as const)('%s', (line, point) => {
  clean(line);
  const all = parts(line);
  expect(all).toHaveLength(1);
  expect(all[0]?.point).toMatchObject(point);
  expect(all[0]?.entry?.reading_ft).toBe(Number.parseFloat(line));
});

test('a measure with a fraction is one measure, wherever its comma stands', () => {
  const whole = fc.integer({ min: 1, max: 12 });
  const place = fc.integer({ min: 13, max: 199 });
  const part = fc.constantFrom('1/2', '1/4', '3/4', '1/8');
  fc.assert(
    fc.property(place, whole, part, fc.constantFrom(', ', ' '), (at, inches, fraction, comma) => {
      const [top = 0, bottom = 1] = fraction.split('/').map(Number);
      expect(clean(`${at} offset${comma}${inches} ${fraction} in`)).toMatchObject([
        { reading_ft: at, finding: 'offset', inches: inches + top / bottom },
      ]);
    }),
    { numRuns: 60 },
  );
});

test('what a thing comes through is a finding too, once', () => {
  const structural = findingRegistry.rows.filter(({ id }) =>
    ['crack', 'hole', 'offset', 'separation'].includes(id),
  );
  for (const { id, noun } of structural) {
    const line = `20 roots through the ${noun}`;
    expect([line, clean(line)]).toMatchObject([line, [{ finding: 'roots' }, { finding: id }]]);
    const entries = [{ id: 'E1', kind: 'finding', finding: id, reading_ft: 20.5, pass: 'back' }];
    expect([line, clean(line, { entries } as never)]).toMatchObject([line, [{ finding: 'roots' }]]);
    expect(clean(line, { entries } as never)).toHaveLength(1);
  }
  // Said twice of one place, it is one; with another hour or "another", two.
  expect(clean('40 offset, half inch offset')).toMatchObject([{ finding: 'offset', inches: 0.5 }]);
  expect(clean("31 roots at 3 o'clock and roots at 9")).toHaveLength(2);
  expect(clean('31 roots, and another root')).toHaveLength(2);
});

test('pieces of a pipe lying in it, and a pipe that is alike on both sides, change nothing', () => {
  for (const word of ['clay', 'concrete', 'cast iron', 'pvc', 'abs']) {
    expect(materialRegistry.rows.some(({ spoken }) => spoken.includes(word))).toBe(true);
    for (const pieces of [`${word} shards`, `pieces of ${word}`, `broken ${word} chunks`])
      expect([pieces, clean(`66 ${pieces} lying in the bottom`)]).toMatchObject([
        pieces,
        [{ finding: 'deposit' }],
      ]);
    expect(clean(`78 ${word} on both sides`)).toMatchObject([{ kind: 'note' }]);
  }
});

test('what is wanted is not there: a wish or a plan is a note, whatever it names', () => {
  for (const wish of [
    'customer wants a cleanout here',
    'recommend spot repair here',
    'needs a new wye',
    'recommend we install a cleanout',
    'dig here',
  ])
    expect([wish, clean(`95 ${wish}`)]).toEqual([
      wish,
      [expect.objectContaining({ kind: 'note', note: wish })],
    ]);
  expect(clean('40 crack, needs to be lined')).toMatchObject([
    { finding: 'crack', note: 'needs to be lined' },
  ]);
});

test('a metric measure is refused, never taken for an hour', () => {
  for (const line of ['20 crack 2 mm', '20 offset 3 cm', '20 hole 5 millimeters'])
    expect([line, parts(line).flatMap(({ errors }) => errors)]).not.toEqual([line, []]);
});

test('letters that may stand for a finding are never a note in silence', () => {
  fc.assert(
    fc.property(fc.stringMatching(/^[bcdfghjklmnpqrstvwxz]{2,4}$/), (letters) => {
      for (const { entry, errors } of parts(`40 ${letters} 3:00`))
        if (entry?.kind === 'note') expect([letters, errors]).not.toEqual([letters, []]);
    }),
  );
});

test('a pipe that goes as far as a place, and what comes after it', () => {
  const there = [
    { kind: 'change', reading_ft: 15, downstream: { material: 'pvc-sch40' } },
    {
      kind: 'change',
      reading_ft: 18,
      upstream: { material: 'pvc-sch40' },
      downstream: { material: 'cast-iron' },
    },
  ];
  for (const line of [
    '15 plastic to 18 and back to cast iron',
    '15 to 18 plastic then back to cast iron',
    '15 a piece of plastic that goes to 18 and then back to cast iron',
  ])
    expect([line, ...clean(line)]).toMatchObject([line, ...there]);
  // An inch mark makes it a diameter.
  expect(clean('24 abs to 6 inch clay')).toMatchObject([{ reading_ft: 24, upstream: { diameter_in: 6 } }]);
});

test('a depth is of what it is named by, where that was written', () => {
  const entries = [
    { id: 'E1', kind: 'finding', finding: 'offset', reading_ft: 46, pass: 'back' },
    { id: 'E2', kind: 'point', point: 'T1', reading_ft: 31, pass: 'back' },
    { id: 'E3', kind: 'point', point: 'T2', reading_ft: 20, pass: 'back' },
  ];
  const points = [
    { id: 'T1', kind: 'tie-in', name: 'laundry branch connection' },
    { id: 'T2', kind: 'tie-in', name: 'kitchen branch connection' },
  ];
  const known = { entries, points } as never;
  expect(clean('located the offset, 6 ft deep', known)).toMatchObject([{ reading_ft: 46, depth_ft: 6 }]);
  expect(clean("at the laundry tie in I'm getting 4 8", known)).toMatchObject([
    { kind: 'locate', reading_ft: 31, depth_ft: 4.6667 },
  ]);
  expect(parts('located the crack, 6 ft deep', known)[0]?.errors).not.toEqual([]);
});

test('what was written last is put right in the words people use for it', () => {
  const entries = [{ id: 'E1', kind: 'finding', finding: 'hole', reading_ft: 18, pass: 'back' }] as never;
  for (const [line, now] of [
    ["18 no that's a crack", { finding: 'crack', reading_ft: 18 }],
    ["no, it's roots", { finding: 'roots', reading_ft: 18 }],
    ["it's at 18.5", { finding: 'hole', reading_ft: 18.5 }],
    ['no that is a break', { finding: 'broken', reading_ft: 18 }],
  ] as const) {
    const [part, ...others] = parts(line, { entries });
    expect([line, part]).toMatchObject([line, { entry: now, replaces: 'E1', errors: [] }]);
    expect(others).toEqual([]);
  }
  // A denial of it stays a denial.
  expect(clean("no it's not a hole", { entries })).toMatchObject([{ kind: 'note' }]);
});
