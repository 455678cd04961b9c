import fc from 'fast-check';
import { number, toNumber } from './numbers.js';

test('a fraction sign is the fraction that Unicode takes it apart into', () => {
  // Source: the Unicode Character Database, by NFKD: ⅝ is 5⁄8.
  const signs = Array.from('½¼¾⅛⅜⅝⅞⅓⅔');
  fc.assert(
    fc.property(fc.constantFrom(...signs), fc.nat({ max: 300 }), (sign, whole) => {
      const [over = 0, under = 1] = sign.normalize('NFKD').split('⁄').map(Number);
      for (const text of [`${whole}${sign}`, `${whole} ${sign}`, `${whole} ${over}/${under}`]) {
        expect(new RegExp(`^${number}$`).test(text)).toBe(true);
        expect(toNumber(text)).toBeCloseTo(whole + over / under, 12);
      }
    }),
  );
});
