import fc from 'fast-check';
import { mergeThree, sameJson } from './merge.js';
import { undoState, type ChangeSet } from './undo.js';

const thing = fc.record(
  {
    id: fc.constantFrom('a', 'b', 'c'),
    x: fc.integer({ max: 3, min: 0 }),
    y: fc.integer({ max: 3, min: 0 }),
  },
  { requiredKeys: ['id'] },
);
const value = fc.record(
  {
    title: fc.constantFrom('one', 'two'),
    list: fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 2 }),
    things: fc.uniqueArray(thing, { selector: ({ id }) => id, maxLength: 3 }),
  },
  { requiredKeys: [] },
);

// Laws of any three-way merge: an untouched side changes nothing, equal sides agree, and the order of the sides does
// not matter.
test('three-way merge: identity, agreement, symmetry, nothing invented', () => {
  fc.assert(
    fc.property(value, value, value, (base, theirs, mine) => {
      expect(mergeThree(base, theirs, base)).toEqual({ merged: theirs });
      expect(mergeThree(base, base, mine)).toEqual({ merged: mine });
      expect(mergeThree(base, mine, mine)).toEqual({ merged: mine });
      const [one, other] = [mergeThree(base, theirs, mine), mergeThree(base, mine, theirs)];
      expect('clash' in one).toBe('clash' in other);
      if ('merged' in one) {
        for (const field of ['title', 'list'] as const) {
          const from = [base, theirs, mine].map((each) => each[field]);
          expect(from.some((each) => sameJson(each, one.merged[field]))).toBe(true);
        }
      }
    }),
  );
});

test('two who add different points to one line both keep theirs; the same field twice clashes by name', () => {
  const base = { name: 'House', points: [{ id: 'CO1', x: 1 }] };
  const theirs = {
    name: 'House',
    points: [
      { id: 'CO1', x: 2 },
      { id: 'B1', x: 0 },
    ],
  };
  const mine = {
    name: 'House line',
    points: [
      { id: 'CO1', x: 1 },
      { id: 'T1', x: 0 },
    ],
  };
  expect(mergeThree(base, theirs, mine)).toEqual({
    merged: {
      name: 'House line',
      points: [
        { id: 'CO1', x: 2 },
        { id: 'B1', x: 0 },
        { id: 'T1', x: 0 },
      ],
    },
  });
  expect(mergeThree(base, theirs, { ...base, points: [{ id: 'CO1', x: 3 }] })).toEqual({
    clash: ['points.CO1.x'],
  });
});

// A reference model: a plain list of states with a cursor, as any editor keeps it.
test('undo and redo walk back and forth through the sets; something new ends what could be redone', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('new', 'undo', 'redo'), { maxLength: 30 }), (acts) => {
      const sets: ChangeSet[] = [];
      const done: number[] = [];
      let undone: number[] = [];
      acts.forEach((act, i) => {
        const { undo, redo } = undoState(sets);
        expect([undo === undefined, redo === undefined]).toEqual([done.length === 0, undone.length === 0]);
        if (act === 'new') {
          sets.push({ sent: `s${i}` });
          done.push(i);
          undone = [];
        } else if (act === 'undo' && undo !== undefined) {
          sets.push({ sent: `s${i}`, undoes: undo });
          undone.push(done.pop() ?? 0);
        } else if (act === 'redo' && redo !== undefined) {
          sets.push({ sent: `s${i}`, undoes: redo });
          done.push(undone.pop() ?? 0);
        }
      });
    }),
  );
});
