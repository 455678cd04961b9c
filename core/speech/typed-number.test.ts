import fc from 'fast-check';
import { numberInField, typedNumber, type Measure } from './typed-number.js';

// Common practice: how feet, money and percent are written on a job.
test.each<[string, Measure, number | undefined]>([
  ["5'6", 'feet', 5.5],
  ['5\' 6"', 'feet', 5.5],
  ['5 ft 6 in', 'feet', 5.5],
  ['5 1/2', 'feet', 5.5],
  ['5.5 ft', 'feet', 5.5],
  ['5-1/2', 'feet', 5.5],
  ['5\'-6"', 'feet', 5.5],
  ['5\'6-1/2"', 'feet', 5 + 6.5 / 12],
  ['5ft6', 'feet', 5.5],
  ['66 in', 'feet', 5.5],
  ['4"', 'inches', 4],
  ['1-1/2 in', 'inches', 1.5],
  ['4 ft', 'inches', undefined],
  ['-3', 'feet', -3],
  ['1,250.50', 'money', 1250.5],
  ['$1,250', 'money', 1250],
  ['10', 'share', 0.1],
  ['10 %', 'share', 0.1],
  ['7.25%', 'share', 0.0725],
  ['12', 'number', 12],
  ["5'6", 'number', undefined],
  ['10 %', 'number', undefined],
  ['ten', 'feet', undefined],
  ['1,25', 'money', undefined],
  ['', 'number', undefined],
])('"%s" in a field for %s', (text, measure, value) => {
  if (value === undefined) expect(typedNumber(text, measure)).toBeUndefined();
  else expect(typedNumber(text, measure)).toBeCloseTo(value, 4);
});

test('what a field shows it reads back to the same number', () => {
  const measures = fc.constantFrom<Measure>('number', 'feet', 'inches', 'money', 'share');
  fc.assert(
    fc.property(fc.integer({ min: -9_999_999, max: 9_999_999 }), measures, (tenThousandths, measure) => {
      const value = tenThousandths / 10_000;
      expect(typedNumber(numberInField(value, measure), measure)).toBe(value === 0 ? 0 : value);
    }),
  );
});
