import fc from 'fast-check';

const bits = [
  ...['46', '46.5.5', '-3', '1/2', '0/0', '½', '15%', '110%', '11-2', '9:61', '99999999999', "5'6", '"', '“'],
  ...['roots', 'gap', 'joint', 'belly', 'abs', 'clay', 'main', 'cleanout', 'wye', 'back', 'out', 'video 1:2'],
  ...[
    'at',
    'to',
    '>',
    ';',
    '-',
    '~',
    'no,',
    'about',
    'half',
    'full',
    'deep',
    'riser',
    'starts',
    'the change',
  ],
  ...['\u0000', '\u202e', '🙂', '\ud800', '\n', '\t', ''],
];

/** A typed line as nobody would type it: log words in any order, punctuation, and anything else. */
export const oddLine = fc.oneof(
  fc.string({ maxLength: 60, unit: 'binary' }),
  fc.array(fc.constantFrom(...bits), { maxLength: 16 }).map((all) => all.join(' ')),
  fc
    .tuple(fc.constantFrom(...bits), fc.integer({ min: 1, max: 100 }))
    .map(([bit, times]) => bit.repeat(times)),
);

const oddValue = fc.oneof(
  fc.constantFrom(
    null,
    true,
    '',
    'x',
    '\u0000',
    '\ud800',
    '__proto__',
    [],
    {},
    -1,
    0,
    1e308,
    0.5,
    [3, 1],
    ['a'],
  ),
  fc.double(),
  fc.string({ maxLength: 5 }),
);

/** Sets, removes or doubles one thing somewhere in a value. */
export const oddChange = fc.record({
  at: fc.array(fc.nat({ max: 40 }), { minLength: 1, maxLength: 9 }),
  does: fc.constantFrom('set', 'remove', 'double', 'rename'),
  value: oddValue,
});
type OddChange = typeof oddChange extends fc.Arbitrary<infer T> ? T : never;

/** A copy of a value with one thing changed, at a random place. */
export function withOddChange(whole: unknown, { at, does, value }: OddChange): unknown {
  const copy = structuredClone(whole);
  let inside = copy as Record<string, unknown>;
  for (const [depth, turn] of at.entries()) {
    const keys = Object.keys(inside);
    const key = keys[turn % Math.max(1, keys.length)];
    if (key === undefined) break;
    const next = inside[key];
    if (depth < at.length - 1 && typeof next === 'object' && next !== null) {
      inside = next as Record<string, unknown>;
      continue;
    }
    if (does === 'set') inside[key] = value;
    else if (does === 'double' && Array.isArray(inside)) inside.push(structuredClone(next));
    else if (does === 'rename') inside[`${key}x`] = next;
    else Reflect.deleteProperty(inside, key);
    break;
  }
  return copy;
}
