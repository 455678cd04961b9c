import fc from 'fast-check';
import { sayChance } from './say-risk.js';

/** The probability that a reader takes from the words. */
function heard(words: string): number {
  const [, of, among] = /^about (\d+) in (\d+)$/.exec(words) ?? [];
  return Number(of) / Number(among);
}

test('a chance in words is as near to it as its few numbers come', () => {
  const chances = fc.double({ min: 0.005, max: 0.949, noNaN: true });
  fc.assert(
    fc.property(chances, (chance) => {
      const said = heard(sayChance(chance));
      // In tenths above a half; below that, 1 in n with the whole n closest to 1 / chance.
      if (chance > 0.55) expect(Math.abs(said - chance)).toBeLessThanOrEqual(0.05 + 1e-9);
      else expect(Math.abs(1 / said - 1 / chance)).toBeLessThanOrEqual(0.5 + 1e-9);
    }),
  );
  expect(sayChance(0.35)).toBe('about 1 in 3');
  expect([0.95, 1].map(sayChance)).toEqual(['almost sure', 'almost sure']);
});
