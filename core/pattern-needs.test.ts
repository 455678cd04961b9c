import fc from 'fast-check';
import { codedNeeds, LetterRuns, needsOf } from './pattern-needs.js';

const runsOf = (pattern: RegExp) => needsOf(pattern).map(({ runs }) => runs.join('|'));

/** A pattern, and a text that it matches. */
type Pair = readonly [source: string, text: string];

const once: readonly Pair[] = [
  ...['at', 'roots', 'ThrU', 'a', 'y', '45'].map((text): Pair => [text, text]),
  ...([
    ['[abc]', 'b'],
    ['[^a-z|)]', '('],
    ['\\d', '7'],
    ['\\s+', '  '],
    ['\\w', 'k'],
    ['\\u0041', 'A'],
    ['.', ';'],
  ] as const),
  ...([
    ['roots?', 'root'],
    ['at*', 'a'],
    ['y+', 'yyy'],
    ['hi{0,2}', 'h'],
    ['of{2}', 'off'],
    ['no(?!pe)', 'no'],
    ['\\b', ''],
  ] as const),
];
const leaf = fc.constantFrom(...once);
const inOrder = (parts: readonly Pair[]): Pair => [
  parts.map(([it]) => it).join(''),
  parts.map(([, text]) => text).join(''),
];
const sequenceOf = (part: fc.Arbitrary<Pair>) => fc.array(part, { minLength: 1, maxLength: 4 }).map(inOrder);
/** Alternatives, of which the text has one. */
const choiceOf = (part: fc.Arbitrary<Pair>) =>
  fc
    .tuple(fc.array(sequenceOf(part), { minLength: 1, maxLength: 3 }), fc.nat())
    .map(([all, i]): Pair => [all.map(([it]) => it).join('|'), all[i % all.length]?.[1] ?? '']);
/** A group, once, or more, or not at all. */
const groupOf = (part: fc.Arbitrary<Pair>) =>
  fc
    .tuple(
      choiceOf(part),
      fc.constantFrom(['', 1], ['?', 1], ['?', 0], ['{0,1}', 0], ['{2}', 2], ['{1,2}?', 1]),
      fc.constantFrom('(', '(?:'),
    )
    .map(([[inner, text], [count, times], opening]): Pair => [
      `${opening}${inner})${count}`,
      text.repeat(times),
    ]);
const pairs = choiceOf(fc.oneof(leaf, groupOf(fc.oneof(leaf, groupOf(leaf)))));

// Reference: the engine's own search.
test('a pattern that is found in a text is never said to be impossible there', () => {
  let found = 0;
  fc.assert(
    fc.property(pairs, pairs, fc.boolean(), ([before, ahead], [source, text], looks) => {
      const pattern = new RegExp(looks ? `(?<=${before})(?:${source})` : source, 'i');
      const all = ahead + text;
      if (!pattern.test(all)) return;
      found++;
      expect([pattern.source, all, new LetterRuns(all).meet(codedNeeds(pattern))]).toEqual([
        pattern.source,
        all,
        true,
      ]);
    }),
    { numRuns: 2000 },
  );
  expect(found).toBeGreaterThan(800);
});

// By hand, from the syntax of patterns (ECMA-262, 22.2.1).
test('what is optional or excluded is not needed; what is ahead or behind is', () => {
  for (const [source, needs] of [
    ['\\broots?\\b', ['root']],
    ['(?<=\\bwater\\s)behind(?!\\s+it)', ['behind', 'water']],
    ['(?:the\\s+)?(?:cat|dogs)', ['cat|dogs']],
    ['(?:of|\\d+)\\s+it', ['it']],
    ['(?=.*\\bclay)[a-z]+\\d*', ['clay']],
    ['x{0}yes{2}', ['yes']],
    ['\\u0041\\cAin', ['in']],
  ] as const)
    expect([source, runsOf(new RegExp(source))]).toEqual([source, needs]);
  const runs = new LetterRuns('Roots at 42');
  const meets = (source: string) => runs.meet(codedNeeds(new RegExp(source, 'i')));
  expect(['root', 'roof', 'at', 'to', 'rat|oots', 'rats|toots', 'ROOTS', '4x'].filter(meets)).toEqual([
    ...['root', 'at', 'rat|oots', 'ROOTS', '4x'],
  ]);
  runs.add('roof');
  expect(['root', 'roof', 'roofs'].filter(meets)).toEqual(['root', 'roof']);
});
