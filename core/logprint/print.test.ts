import fc from 'fast-check';
import { entrySchema, type Entry } from '../job/schema.js';
import { findingKinds, materials, sizes, stages } from '../job/vocabulary.js';
import { parseLogLine, type LogContext } from '../logline/parse.js';
import { printLogLine } from './print.js';

/** Ids as people and programs choose them, including awkward ones. */
const ids = ['e1', 'e2', 'odd id', 'say "so"; #1', 'MAIN', 'roots'];
const context: LogContext = {
  pass: 'out',
  end: 'MAIN',
  waterClock: 3,
  points: ids.slice(3).map((id) => ({ id, kind: 'other' })),
  entries: ids.slice(0, 4).map((id): Entry => ({ id, kind: 'joint', reading_ft: 1 })),
};

const feet = fc.oneof(
  fc.integer({ min: 0, max: 9999 }),
  fc.integer({ min: 0, max: 99_999 }).map((tenths) => tenths / 10),
  fc.double({ min: 0, max: 1000, noNaN: true, noDefaultInfinity: true }).map(Math.abs),
);
const clockAt = fc.oneof(
  fc.integer({ min: 1, max: 24 }).map((halves) => halves / 2),
  fc.integer({ min: 1, max: 720 }).map((minutes) => minutes / 60),
);
const clock = fc.oneof(clockAt, fc.tuple(clockAt, clockAt));
const measure = (most: number) => {
  const one = fc.integer({ min: 0, max: most * 8 }).map((eighths) => eighths / 8);
  return fc.oneof(
    one,
    fc.tuple(one, one).map(([a, b]): [number, number] => (a <= b ? [a, b] : [b, a])),
  );
};
const text = fc.oneof(fc.string({ maxLength: 12 }), fc.constantFrom('say "it"', '; or', '5"', '#e1', '"'));
const yes = fc.constant(true as const);
const entryId = fc.constantFrom(...ids.slice(0, 4));
const pipe = fc
  .record(
    {
      material: fc.constantFrom(...materials),
      diameter_in: fc.integer({ min: 1, max: 60 }),
      piece_ft: fc.integer({ min: 1, max: 40 }).map((halves) => halves / 2),
      lined: yes,
    },
    { requiredKeys: [] },
  )
  .filter((each) => Object.keys(each).length > 0);
const optional = <T>(model: { [K in keyof T]: fc.Arbitrary<T[K]> }) => fc.record(model, { requiredKeys: [] });

const place = fc.oneof(
  fc.record({ reading_ft: feet }),
  fc.record({ reading_ft: feet, to_ft: feet }),
  fc.record({ reading_ft: feet, open: yes }),
  fc.record({ after: entryId }),
  fc.record({ after: entryId, plus_ft: feet }),
  fc.record({ after: entryId, before: entryId }),
);
const shared = optional({
  pass: fc.constantFrom('out', 'back'),
  about: yes,
  sameAs: entryId,
  use: yes,
  stage: fc.constantFrom(...stages),
  clock,
  waterClock: clockAt,
  note: text,
  clip: fc.constantFrom('V1', 'the first'),
  video_s: fc.integer({ min: 0, max: 100_000 }).map((tenths) => tenths / 10),
  photos: fc.array(text, { minLength: 1, maxLength: 2 }),
});
const what = fc.oneof(
  fc.record({ kind: fc.constant('point'), point: fc.constantFrom(...ids.slice(3)) }),
  fc.tuple(optional({ upstream: pipe, downstream: pipe })).map(([both]) => ({ kind: 'change', ...both })),
  optional({ why: text }).map((more) => ({ kind: 'hidden', ...more })),
  optional({ why: text }).map((more) => ({ kind: 'stop', ...more })),
  optional({
    depth_ft: fc.integer({ min: 0, max: 400 }).map((quarters) => quarters / 4),
    of: entryId,
    end: fc.constantFrom('from', 'to'),
    station_ft: fc.integer({ min: -400, max: 4000 }).map((tenths) => tenths / 10),
    mark: text,
  }).map((more) => ({ kind: 'locate', ...more })),
  fc
    .tuple(text, optional({ of: text, arrives: fc.boolean(), runsAway: fc.boolean() }))
    .map(([said, more]) => ({ kind: 'test', what: said, ...more })),
  fc.constant({ kind: 'joint' }),
  fc
    .tuple(
      fc.constantFrom(...findingKinds),
      optional({
        size: fc.constantFrom(...sizes),
        atJoint: yes,
        eachJoint: yes,
        touchesFlow: yes,
        ofConnection: yes,
        possible: yes,
        judged: fc.record({ grade: fc.constantFrom(0, 1, 2, 3, 4), why: text }),
      }),
      optional({
        form: fc.constantFrom('hairline', 'along', 'around', 'several', 'weeping', 'running'),
        shifting: yes,
        percent: measure(100),
        inches: measure(24),
        of: fc.constantFrom('grease', 'wipes', 'sludge', 'scale'),
        cause: fc.constantFrom('sag', 'blockage', 'valve', 'unknown'),
      }),
    )
    .map(([finding, more, measured]) => ({
      kind: 'finding',
      finding,
      ...more,
      ...fitting(finding, measured),
    })),
);

/** Of the random measures, those that this finding's schema accepts. */
function fitting(finding: string, measured: Readonly<Record<string, unknown>>): object {
  return Object.fromEntries(
    Object.entries(measured).filter(
      ([field, value]) =>
        entrySchema.safeParse({ id: 'e', kind: 'finding', reading_ft: 1, finding, [field]: value }).success,
    ),
  );
}

const entries = fc
  .tuple(place, shared, what)
  .map(([where, more, thing]: [object, object, object]): unknown => ({
    id: 'new',
    ...where,
    ...more,
    ...thing,
  }))
  .filter((raw) => entrySchema.safeParse(raw).success)
  .map((raw) => entrySchema.parse(raw));

// The law of print and parse (docs/log-line.md): whatever can be printed reads back to the same entry.
test('any entry printed as a log line parses back to the same entry', () => {
  fc.assert(
    fc.property(entries, (entry) => {
      const line = printLogLine(entry);
      const parts = parseLogLine(line, context);
      expect(parts.flatMap(({ errors }) => errors)).toEqual([]);
      expect(parts.map((part) => part.entry)).toEqual([{ pass: 'back', ...without(entry, 'id') }]);
    }),
    { numRuns: 1000 },
  );
});

function without(entry: Entry, field: 'id'): object {
  const { [field]: _, ...rest } = entry;
  return rest;
}
