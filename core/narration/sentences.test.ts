import fc from 'fast-check';
import { ones, tens } from '../number-words.js';
import { narrate } from './narrate.js';

/** Dictation writes no full stops: what is said in one breath is what is said sentence by sentence (common practice). */
const inWords = (n: number): string =>
  n < 20
    ? (ones[n] ?? '')
    : [tens[Math.floor(n / 10) - 2], n % 10 === 0 ? '' : ones[n % 10]].join(' ').trim();

const things = [
  'light roots at the joint',
  'roots thirty percent',
  'crack on the top',
  'offset half inch',
  'hole in the side you can see dirt',
  "it's broken on the left side",
  'wye on the right',
  'changes to clay',
  'open joint three quarters of an inch',
  'heavy grease',
  'forty five to the left',
  'pipe is cracked all the way around',
] as const;

const leads = ['', 'at ', 'and then at ', 'okay '] as const;
const feet = ['', ' feet', ' feet'] as const;

const steps = fc
  .array(
    fc.record({
      by: fc.integer({ min: 2, max: 9 }),
      thing: fc.constantFrom(...things),
      lead: fc.constantFrom(...leads),
      unit: fc.constantFrom(...feet),
    }),
    { minLength: 4, maxLength: 9 },
  )
  .map((all) => {
    let reading = 12;
    return all.map(({ by, thing, lead, unit }) => {
      reading += by;
      return `${lead}${inWords(reading)}${unit} ${thing}`;
    });
  });

const entriesOf = (texts: readonly string[]) =>
  narrate(texts.map((text) => ({ start_s: null, end_s: null, text }))).items.map(({ entry }) => entry);

test('a talk without full stops is read as the same talk with them', () => {
  fc.assert(
    fc.property(steps, fc.constantFrom(' ', ', ', ', then ', ' and '), (said, between) => {
      expect(entriesOf([said.join(between)])).toEqual(entriesOf(said));
    }),
    { numRuns: 150 },
  );
});

test('a place that comes after its thing ends it', () => {
  expect(
    entriesOf([
      'so we had roots at sixteen and a crack at twenty five and then an offset at thirty one half inch main at forty',
    ]),
  ).toMatchObject([
    { finding: 'roots', reading_ft: 16 },
    { finding: 'crack', reading_ft: 25 },
    { finding: 'offset', reading_ft: 31 },
    { kind: 'point', point: 'MAIN', reading_ft: 40 },
  ]);
});

test.each(['water starts at thirty two and it is about an inch and a half deep all the way to thirty eight'])(
  '“%s” is one sentence',
  (text) => {
    expect(entriesOf([text])).toHaveLength(1);
  },
);
