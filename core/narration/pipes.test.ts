import { materials, inWords } from '../test/phrasings.js';
import { cues, short, spoken, talked } from '../test/in-short.js';
import { narrate } from './narrate.js';
import { narrationParts, pipeToSet } from './parts.js';

// Which pipe lies where, as it is said while the camera goes through it: common practice.

test('the one pipe that is named lies all along, as a proposal apart from the others', () => {
  for (const [said, is] of materials)
    for (const first of [
      `Six inch ${said}.`,
      `It's ${said}, six inch.`,
      `Okay, six inch ${said} pipe, pretty old.`,
      `We start out in six inch ${said}.`,
    ]) {
      const { pipe, items, notes } = narrate(cues(['Alright, pushing out.', first, 'Roots at nine.']));
      expect([first, pipe && short(pipe), pipe?.certain]).toEqual([
        first,
        { is: 'change', at: 0, far: is },
        false,
      ]);
      expect(pipe?.entry).toMatchObject({ downstream: { diameter_in: 6 } });
      // It is no entry of the talk: its sentence stays among the notes.
      expect([items.map(short), notes.map(({ sentence }) => sentence)]).toEqual([
        [{ is: 'roots', at: 9 }],
        ['Alright, pushing out.', first],
      ]);
    }
});

test('the pipe of the line is proposed only where the line is not known to be of it', () => {
  const said = narrate(cues(['Six inch clay.', 'Roots at nine.']));
  expect(pipeToSet(said, {})).toEqual({ material: 'clay', diameter_in: 6 });
  expect(pipeToSet(said, { pipe: { material: 'clay', diameter_in: 4 } })).toEqual({
    material: 'clay',
    diameter_in: 6,
  });
  expect(pipeToSet(said, { pipe: { material: 'clay', diameter_in: 6, piece_ft: 2 } })).toBeUndefined();
  // Where no size was said, the line keeps its own.
  const unsized = narrate(cues(["It's all clay.", 'Roots at nine.']));
  expect(pipeToSet(unsized, { pipe: { material: 'abs', diameter_in: 4 } })).toEqual({
    material: 'clay',
    diameter_in: 4,
  });
  expect(pipeToSet(unsized, { pipe: { material: 'clay', diameter_in: 4 } })).toBeUndefined();
  // The length of a piece is one of the material: kept where the size is another, gone where the material is.
  const known = { material: 'clay', diameter_in: 4, piece_ft: 3 } as const;
  expect(pipeToSet(said, { pipe: known })).toEqual({ ...known, diameter_in: 6 });
  expect(pipeToSet(said, { pipe: { ...known, material: 'abs' } })).toEqual({
    material: 'clay',
    diameter_in: 6,
  });
  for (const sticks of ['two foot sticks', 'two foot pieces', 'joints every two feet']) {
    const pieces = narrate(cues([`Six inch clay, ${sticks}.`, 'Roots at nine.']));
    expect(pipeToSet(pieces, { pipe: known })).toEqual({ material: 'clay', diameter_in: 6, piece_ft: 2 });
    expect(pipeToSet(pieces, { pipe: { ...known, diameter_in: 6, piece_ft: 2 } })).toBeUndefined();
  }
});

test('how it is joined is written of the line’s own end', () => {
  const { items } = narrate(cues(["Tapped in at the main at fifty-nine, saddle's good."]));
  const context = {
    pass: 'out',
    end: 'M1',
    points: [{ id: 'M1', kind: 'main', name: 'city main' }],
  } as const;
  expect(narrationParts(items, context)).toMatchObject([
    {
      entry: { kind: 'point', point: 'M1', reading_ft: 59 },
      point: { id: 'M1', kind: 'main', name: 'city main', connection: 'saddle' },
    },
  ]);
});

test.each([
  ['Six inch clay.', 'Twelve, goes to cast iron.'],
  ["We'll be replacing it with PVC.", 'Roots at nine.'],
  ['The house has cast iron inside.', 'Roots at nine.'],
  ["Customer says it's clay.", 'Roots at nine.'],
  ['Going in through the four inch ABS cleanout.', 'Roots at nine.'],
])('“%s %s” names no pipe all along', (...talk) => {
  expect(narrate(cues(talk))).not.toHaveProperty('pipe');
});

test('from there on is where the head is', () => {
  for (const [said, is] of materials)
    for (const next of [`${said} from there.`, `It's ${said} after that.`, `Past that we're in ${said}.`])
      expect([next, talked('Joint at fourteen.', next).map(short).at(-1)]).toEqual([
        next,
        { is: 'change', at: 14, far: is },
      ]);
});

test('the rest of the way, and from a place on, begin at that place', () => {
  for (const [said, is] of materials)
    for (const at of [6.5, 14])
      for (const line of [
        `Rubber coupling at ${inWords(at)} and then it's ${said} the rest of the way far as I know.`,
        `Coupling at ${inWords(at)} and ${said} from there out.`,
        `${said} from ${inWords(at)} on.`,
        `${said} from ${inWords(at)}.`,
      ])
        expect([line, spoken(line).map(short).at(-1)]).toEqual([line, { is: 'change', at, far: is }]);
});

test('a repair has the old pipe on its near side, and past it where that is said to go on', () => {
  const repair = [
    { is: 'change', at: 22, near: 'clay', far: 'pvc-sch40' },
    { is: 'change', at: 25, near: 'pvc-sch40', far: 'clay' },
  ];
  for (const again of ['Back in the clay at twenty-five.', 'And then clay again.'])
    expect(
      talked("We're in clay.", 'Somebody put a PVC repair in, twenty-two to twenty-five.', again).map(short),
    ).toEqual(repair);
  // How long it is was called by eye: where the old pipe is back, it ends.
  expect(
    talked(
      "We're in clay.",
      "Twenty two, somebody's put a piece of PVC in, four foot worth.",
      'Back in clay at twenty five.',
    ).map(short),
  ).toEqual(repair);
});

test('another size is of the same pipe', () => {
  for (const bump of ['At four it bumps up to four inch.', 'At four it jumps up to a four inch.'])
    expect(
      talked('This is three inch ABS to start.', bump, 'Ten, goes to clay.').map(({ entry }) => entry),
    ).toMatchObject([
      { reading_ft: 4, upstream: { material: 'abs', diameter_in: 3 }, downstream: { diameter_in: 4 } },
      { reading_ft: 10, upstream: { material: 'abs', diameter_in: 4 }, downstream: { material: 'clay' } },
    ]);
});

test('what the pipe is of takes nothing’s place; a word that names no pipe turns nothing', () => {
  for (const line of ['First pipe is six inch clay.', 'The lateral is six inch clay.'])
    expect([line, talked('Roots at nine.', line).map(short)]).toEqual([line, [{ is: 'roots', at: 9 }]]);
  expect(spoken('It turns into something at thirty-one.').map(short)).toEqual([]);
  expect(spoken('It turns into clay at thirty-one.').map(short)).toEqual([
    { is: 'change', at: 31, far: 'clay' },
  ]);
});

test('how the line is joined to the main is said of the main', () => {
  for (const [line, connection] of [
    ["Tapped in at the main at fifty-nine, saddle's good.", 'saddle'],
    ['Ties into the main at fifty-nine, good saddle.', 'saddle'],
    ['We come into the main at fifty-nine, tap looks good.', 'tap'],
    ["Main at fifty-nine, it's a wye connection.", 'wye'],
  ] as const)
    expect([line, spoken(line)]).toMatchObject([
      line,
      [{ entry: { kind: 'point', reading_ft: 59 }, point: { kind: 'main', connection } }],
    ]);
  expect(spoken('We tap the main at fifty-nine.')).toMatchObject([
    { entry: { point: 'MAIN', reading_ft: 59 } },
  ]);
});
