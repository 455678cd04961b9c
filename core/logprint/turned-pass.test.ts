import fc from 'fast-check';
import type { Entry } from '../job/schema.js';
import { typedLog } from '../test/in-short.js';
import { turnedPass } from './turned-pass.js';

const typed = (lines: readonly string[], pass: 'out' | 'back') => typedLog(lines, pass).entries;
const upward = ['0 cleanout', '9 wye', '14, 17, 20 roots', '38 clay > 6 in pvc', '55 offset', '61 main'];
/** Without the ids, which are counted in each log. */
const bare = (entries: readonly Entry[]) => entries.map(({ id: _, ...entry }) => entry);

test('readings written in the wrong pass become what they are when written in the right one', () => {
  for (const [lines, wrong, right] of [
    [upward, 'back', 'out'],
    [upward.toReversed(), 'out', 'back'],
  ] as const) {
    const said = turnedPass(typed(lines, wrong));
    expect(said?.written).toBe(wrong);
    expect(bare(said?.turned ?? [])).toEqual(bare(typed(lines, right)));
    // Clay is what the camera meets first.
    const sides = right === 'out' ? ['clay', '6 in white PVC'] : ['6 in white PVC', 'clay'];
    expect(said?.changes).toEqual([`at 38, ${sides[0]} toward the house, ${sides[1]} toward the street`]);
    expect(turnedPass([...(said?.turned ?? [])])).toBeUndefined();
    expect(turnedPass(typed(lines, right))).toBeUndefined();
  }
});

test('a log typed the way the camera goes is never questioned, nor one of few readings', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 300 }), { maxLength: 12 }), (readings) => {
      const rising = [...readings].sort((a, b) => a - b);
      const entries = (order: readonly number[], pass: 'out' | 'back') =>
        order.map((reading_ft, i): Entry => ({ kind: 'joint', id: `e${i}`, reading_ft, pass }));
      expect(turnedPass(entries(rising, 'out'))).toBeUndefined();
      expect(turnedPass(entries(rising.toReversed(), 'back'))).toBeUndefined();
      expect(turnedPass(entries(rising.slice(0, 3), 'back'))).toBeUndefined();
      const distinct = [...new Set(rising)];
      const wrong = turnedPass(entries(distinct, 'back'));
      expect(wrong?.written).toBe(distinct.length > 3 ? 'back' : undefined);
    }),
  );
  // Out to the main and back again.
  const both = [...typed(upward, 'out'), ...typed(upward.toReversed(), 'back')];
  expect(turnedPass(both)).toBeUndefined();
});
