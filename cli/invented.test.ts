import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '../core/job/schema.js';
import { findingKinds, methods, type Method } from '../core/job/vocabulary.js';
import type { ScopeFile } from '../core/files/scope-file.js';
import { run } from './scope.js';
import { deep, spokenJob } from '../core/test/spoken-job.js';

interface Expected {
  readonly job: Job;
  readonly verdict: string;
  readonly methods: readonly Method[];
  readonly refused: readonly string[];
}

const street = [{ from: 'CO1', to: 'MAIN', kind: 'street' as const }];

/** Expected results for each invented job: common practice, and the refusals of calculations §4. */
const expected: readonly Expected[] = [
  {
    job: spokenJob('3 Alder Close: sound', ['80 main', '41 crack hairline'], { depths: deep(3, 5) }),
    verdict: 'serviceable',
    methods: ['leave'],
    refused: ['not-needed'],
  },
  {
    job: spokenJob(
      '9 Alder Close: roots and grease',
      ['80 main', '20 roots 30% 10-2 at joint', '50 to 58 grease 20%'],
      {
        depths: deep(8, 10),
        surfaces: street,
      },
    ),
    verdict: 'clean',
    methods: ['clean', 'leave'],
    refused: ['must-be-cleaned', 'not-clean'],
  },
  {
    job: spokenJob('6 Mill Row: a gas line runs through it', ['80 main', '40 gas line through the pipe'], {
      depths: deep(4, 6),
    }),
    verdict: 'urgent',
    methods: ['leave'],
    refused: ['must-be-cured'],
  },
  {
    job: spokenJob('2 Brook Row: one break, shallow', ['80 main', '12 broken'], { depths: deep(2.5, 4) }),
    verdict: 'urgent',
    methods: ['spot'],
    refused: ['must-be-cured', 'no-sag'],
  },
  {
    job: spokenJob(
      '5 Brook Row: cracked under the street',
      [
        '80 main',
        '10 to 70 crack several',
        '40 bend 45 degrees',
        '30 lip 1/4 judged 1 because "there for decades"',
      ],
      { depths: deep(8, 10), surfaces: street },
    ),
    verdict: 'repair',
    methods: ['line'],
    refused: ['must-be-cured', 'bend'],
  },
  {
    job: spokenJob(
      '7 Brook Row: one bad joint, deep',
      ['80 main', '40 crack around shifting', '40 gap 1 1/2'],
      {
        depths: deep(9, 11),
        surfaces: street,
      },
    ),
    verdict: 'urgent',
    methods: ['short-line'],
    refused: ['costs-more'],
  },
  {
    job: spokenJob(
      '11 Copse End: worn out and shallow',
      ['60 main', '5 to 55 blister 20%', '20 deformation 12%', '40 hole'],
      { depths: deep(1.8, 2.4, 60), pipe: { material: 'fibre', diameter_in: 4 } },
    ),
    verdict: 'urgent',
    methods: ['open-cut'],
    refused: ['stops-a-liner', 'cover'],
  },
  {
    job: spokenJob('14 Copse End: oval and deep', ['80 main', '5 to 75 deformation 20%'], {
      depths: deep(8, 10),
      pipe: { material: 'fibre', diameter_in: 4 },
      surfaces: street,
    }),
    verdict: 'repair',
    methods: ['burst'],
    refused: ['stops-a-liner'],
  },
  {
    job: spokenJob('1 Dell Lane: a sag to regrade', ['80 main', '30 to 36 belly 2 1/4 in'], {
      depths: deep(2, 5),
    }),
    verdict: 'repair',
    methods: ['regrade'],
    refused: ['does-not-cure'],
  },
  {
    job: spokenJob(
      '4 Dell Lane: flat, and nobody located it',
      ['80 main', '30 to 36 belly 3/4', '60 bottom gone'],
      {
        rules: { school: 'repair' },
        pins: [{ from_ft: 25, to_ft: 40, never: ['burst'] }],
      },
    ),
    verdict: 'urgent',
    methods: [],
    refused: ['pinned'],
  },
  {
    job: spokenJob(
      '6 Dell Lane: flat between two depths',
      ['80 main', '30 to 36 belly 1 1/2', '60 worn bottom'],
      {
        depths: deep(4, 4.1),
        pipe: { material: 'cast-iron', diameter_in: 4 },
      },
    ),
    verdict: 'repair',
    methods: [],
    refused: ['not-enough-fall'],
  },
  {
    job: spokenJob(
      '8 Elm Yard: under the house and an oak',
      ['80 main', '8 hole', '45 offset 3/4', '45 infiltration running', '62 collapse'],
      {
        depths: deep(3, 6),
        surfaces: [
          { from_ft: 0, to_ft: 20, kind: 'building' },
          { from_ft: 20, to: 'MAIN', kind: 'lawn' },
        ],
        noDig: [{ from_ft: 43, to_ft: 47, why: 'old oak' }],
        crossings: [{ station_ft: 50, utility: 'gas' }],
      },
    ),
    verdict: 'urgent',
    methods: ['short-line', 'spot'],
    refused: ['under-building', 'no-dig', 'utility-near', 'stops-a-liner'],
  },
  {
    job: spokenJob(
      '10 Elm Yard: asbestos cement with a valve and bends',
      [
        '80 main',
        '20 valve',
        '35 bend 45 degrees',
        '25 to 60 crack several',
        '70 intrusion 30%',
        '74 tie-in 3 in',
      ],
      { depths: deep(3, 6), pipe: { material: 'asbestos-cement', diameter_in: 4 } },
    ),
    verdict: 'repair',
    methods: ['line'],
    refused: ['asbestos-cement', 'valve'],
  },
  {
    job: spokenJob(
      '12 Elm Yard: 4 inch into 6, part of it the city’s',
      [
        '80 main',
        '30 abs 4 > clay 6',
        '20 to 45 crack several',
        '70 broken',
        '80 main backed up',
        '80 lip 1 of the saddle',
      ],
      {
        depths: deep(3, 6),
        owners: [
          { from: 'CO1', to_ft: 60, owner: 'private' },
          { from_ft: 60, to: 'MAIN', owner: 'public' },
        ],
        rules: { publicPart: 'owner' },
      },
    ),
    verdict: 'urgent',
    methods: ['line'],
    refused: ['public-part', 'one-bore'],
  },
  {
    job: spokenJob('15 Fern Path: stopped by roots', ['52 roots 70% stopped', '20 crack several'], {
      depths: deep(3, 6),
    }),
    verdict: 'blocked',
    methods: [],
    refused: ['not-seen'],
  },
  {
    job: spokenJob('16 Fern Path: hung under the floor', ['40 main', '10 to 15 belly 2 in'], {
      depths: deep(2, 4, 40),
      surfaces: [{ from: 'CO1', to: 'MAIN', kind: 'crawl-space' }],
      pipe: { material: 'cast-iron', diameter_in: 4 },
    }),
    verdict: 'repair',
    methods: ['regrade'],
    refused: [],
  },
  {
    job: spokenJob('17 Fern Path: very deep', ['80 main', '20 to 40 crack several'], {
      depths: deep(34, 36),
      pipe: { material: 'concrete', diameter_in: 8 },
      groundwater_ft: 2,
      rules: { ovality_percent: 8 },
    }),
    verdict: 'repair',
    methods: [],
    refused: ['too-thick'],
  },
  {
    job: spokenJob('18 Fern Path: nothing can cure it', ['80 main', '30 to 36 belly 1 1/2'], {
      depths: [{ station_ft: 40, invert_ft: 4 }],
    }),
    verdict: 'repair',
    methods: [],
    refused: [],
  },
];

/** Every refusal of calculations §4 possible on a stretch of uniform pipe; a change of bore needs two. */
const rules = [
  'asbestos-cement',
  'bend',
  'burst-stopped',
  'costs-more',
  'cover',
  'does-not-cure',
  'must-be-cleaned',
  'must-be-cured',
  'no-dig',
  'no-sag',
  'not-clean',
  'not-enough-fall',
  'not-needed',
  'not-seen',
  'one-bore',
  'pinned',
  'public-part',
  'stops-a-liner',
  'too-thick',
  'under-building',
  'utility-near',
  'valve',
] as const;

const folder = mkdtempSync(join(tmpdir(), 'open-trench-invented-'));
afterAll(() => {
  rmSync(folder, { recursive: true, force: true });
});
const paths = expected.map(({ job }, index) => {
  const path = join(folder, `${String(index + 1).padStart(2, '0')}.json`);
  writeFileSync(path, JSON.stringify(job));
  return path;
});
const out: string[] = [];
const faults: string[] = [];
const code = await run(
  paths,
  (text) => out.push(text),
  (text) => faults.push(text),
);
const scopes = out.map((text) => JSON.parse(text) as ScopeFile);
const used = (scope: ScopeFile) =>
  new Set(scope.lines.flatMap(({ segments }) => segments.map(({ method }) => method)));
const refusals = (scope: ScopeFile) =>
  new Set(
    scope.lines.flatMap(({ segments }) =>
      segments.flatMap(({ rejected }) => rejected.map(({ rule }) => rule)),
    ),
  );

test('the headless command takes them all, one scope a line', () => {
  expect([code, faults, scopes.length]).toEqual([0, [], expected.length]);
});

test.each(expected.map(({ job }, index) => [job.title, index] as const))('%s', (_, index) => {
  const [{ verdict, methods: wanted, refused }, scope] = [
    expected[index] as Expected,
    scopes[index] as ScopeFile,
  ];
  expect(scope.verdict[0]).toBe(verdict);
  expect([...used(scope)]).toEqual(expect.arrayContaining([...wanted]));
  expect([...refusals(scope)]).toEqual(expect.arrayContaining([...refused]));
  // Requirements for any scope: complete coverage, one action per dug or lined foot, a price equal to the sum of its
  // lines.
  for (const { segments, start_ft, length_ft, actions } of scope.lines) {
    segments.slice(1).forEach(({ from_ft }, i) => {
      expect(from_ft).toBe(segments[i]?.to_ft);
    });
    if (segments.length > 0) {
      expect([segments[0]?.from_ft, segments.at(-1)?.to_ft]).toEqual([
        start_ft,
        Math.round((start_ft + length_ft) * 100) / 100,
      ]);
    }
    for (const { method, action } of segments) {
      const acts = method !== 'leave' && method !== 'clean';
      expect(actions.some(({ id }) => id === action)).toBe(acts);
    }
  }
  const cents = scope.price.lines.reduce((sum, { amount }) => sum + Math.round(amount * 100), 0);
  expect(Math.round(scope.price.total * 100)).toBe(cents);
});

test('what nothing can cure is told with the rule that stands in it, and the rest is scoped', () => {
  const stuck = scopes.flatMap(({ lines }) => lines.filter(({ notPossible }) => notPossible.length > 0));
  expect(stuck.length).toBeGreaterThan(0);
  expect(stuck.every(({ feasible }) => feasible)).toBe(true);
  for (const { by, why, lift } of stuck.flatMap(({ notPossible }) => notPossible)) {
    expect(by).toBe('others');
    expect([why, lift]).not.toContain('');
  }
  const reasons = stuck.flatMap(({ notPossible }) => notPossible.map(({ why }) => why)).join('; ');
  expect(reasons).toContain('flatter than the least slope');
});

// Common practice: defects of the main, or of its own tap or saddle, are referred to the main's owner.
test('a backed-up main and the main’s own connection are referred, and have no grade on this line', () => {
  const [line] =
    scopes.find(({ lines }) => lines[0]?.referrals.some(({ to }) => to === 'owner of the main'))?.lines ?? [];
  const referred = line?.referrals.map(({ at_ft, to }) => [at_ft, to]) ?? [];
  expect(referred.filter(([, to]) => to === 'owner of the main')).toEqual([
    [80, 'owner of the main'],
    [80, 'owner of the main'],
  ]);
  expect(line?.findings.filter(({ finding }) => finding === 'lip' || finding === 'main-backed-up')).toEqual(
    [],
  );
});

test('together they hold every method, every finding and every refusal that a stretch can have', () => {
  const all = new Set(scopes.flatMap((scope) => [...used(scope)]));
  expect(methods.filter((method) => !all.has(method))).toEqual([]);
  const found = new Set(
    expected.flatMap(({ job }) =>
      job.lines.flatMap(({ runs }) =>
        runs.flatMap(({ entries }) =>
          entries.flatMap((entry) => (entry.kind === 'finding' ? [entry.finding] : [])),
        ),
      ),
    ),
  );
  expect(findingKinds.filter((kind) => !found.has(kind))).toEqual([]);
  const named = new Set(scopes.flatMap((scope) => [...refusals(scope)]));
  expect(rules.filter((rule) => !named.has(rule))).toEqual([]);
  expect([...named].filter((rule) => !(rules as readonly string[]).includes(rule))).toEqual([]);
});
