import fc from 'fast-check';
import { placeLabels, textWidth } from './labels';

// A drawing rule: no label overlaps another, and none leaves the sheet.
test('labels never overlap', () => {
  const label = fc.record({
    x: fc.double({ min: 0, max: 800, noNaN: true }),
    text: fc.string({ minLength: 1, maxLength: 14 }),
    weight: fc.nat(4),
  });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 30 }), (all) => {
      const stood = placeLabels(
        all.map((each, i) => ({ ...each, key: String(i) })),
        { size_px: 13, rows: 2, from: 0, to: 800 },
      );
      const boxes = stood.map(({ left, text, row }) => ({ left, right: left + textWidth(text, 13), row }));
      boxes.forEach((one, i) => {
        for (const other of boxes.slice(i + 1)) {
          expect(one.row === other.row && one.left < other.right && other.left < one.right).toBe(false);
        }
      });
    }),
  );
});
