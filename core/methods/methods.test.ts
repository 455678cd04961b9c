import { bareScope } from '../test/own-scope.js';
import { readJob } from '../files/read.js';
import { scopeFile } from '../files/scope-file.js';
import type { Method } from '../job/vocabulary.js';
import { readyJob } from '../solve/ready.js';

// The conditions of each method are house rules and common practice. Each is tried at its limit and past it by
// requesting
// the method with a pin: either it is done, or the line has no scope and the rule is named.

interface Case {
  readonly entries?: object[];
  readonly points?: object[];
  readonly line?: object;
  readonly rules?: object;
  readonly from_ft?: number;
  readonly to_ft?: number;
}

function ask(
  method: Method,
  { entries = [], points = [], line = {}, rules = {}, from_ft = 20, to_ft = 36 }: Case,
) {
  const read = readJob({
    format: 'open-trench-job',
    version: 1,
    title: 'asked',
    // Depths as located; cases where their ± matters are tested with the excavations.
    rules: { depthMargin_percent: 0, ...rules },
    lines: [
      {
        id: 'house',
        datum: 'CO1',
        end: 'MAIN',
        pipe: { material: 'clay', diameter_in: 4 },
        points: [
          { id: 'CO1', kind: 'cleanout', ways: 2, riser_ft: 2, diameter_in: 4 },
          { id: 'MAIN', kind: 'main' },
          ...points,
        ],
        depths: [
          { station_ft: 0, invert_ft: 4 },
          { station_ft: 60, invert_ft: 6 },
        ],
        surfaces: [{ from_ft: 0, to_ft: 60, kind: 'lawn' }],
        owners: [{ from_ft: 0, to_ft: 60, owner: 'private' }],
        soil: 'B',
        groundwater_ft: 12,
        runs: [
          {
            id: 'R1',
            access: 'CO1',
            direction: 'downstream',
            zero: 'pipe',
            entries: [
              { id: 'end', kind: 'point', reading_ft: 60, pass: 'back', point: 'MAIN' },
              ...entries.map((entry, i) => ({ id: `f${i}`, kind: 'finding', reading_ft: 28, ...entry })),
            ],
          },
        ],
        pins: [{ from_ft, to_ft, method }],
        ...line,
      },
    ],
  });
  if (!read.job) throw new Error(JSON.stringify(read.faults));
  const ready = readyJob(read.job);
  const file = scopeFile(ready, bareScope(ready));
  const [own] = file.lines;
  return {
    allowed: own?.feasible ?? false,
    actions: own?.actions ?? [],
    pits: own?.pits ?? [],
    warnings: file.warnings.map(({ rule }) => rule),
    noWay: file.warnings.find(({ rule }) => rule === 'no-way')?.message ?? '',
    notPossible: own?.notPossible ?? [],
    firstStep: file.firstStep,
    price: file.price,
  };
}
const allowed = (method: Method, what: Case) => ask(method, what).allowed;
const at = (id: string, kind: string, station_ft: number, more: object = {}) => ({
  id,
  kind,
  station_ft,
  plusMinus_ft: 0.1,
  ...more,
});

describe('line', () => {
  test('over seen, clean, round pipe in one piece it is allowed', () => {
    const { allowed: may, actions } = ask('line', {});
    expect(may).toBe(true);
    expect(actions[0]).toMatchObject({ method: 'line', liner: { thickness_in: 0.118 } });
  });

  test.each<[string, Case, boolean]>([
    ['unseen', { entries: [{ kind: 'hidden', to_ft: 29 }] }, false],
    ['roots of 10 %', { entries: [{ finding: 'roots', percent: 10 }] }, true],
    ['roots of 11 %', { entries: [{ finding: 'roots', percent: 11 }] }, false],
    ['only possible roots', { entries: [{ finding: 'roots', percent: 40, possible: true }] }, true],
    ['an offset of a quarter', { entries: [{ finding: 'offset', inches: 1 }] }, true],
    ['an offset over a quarter', { entries: [{ finding: 'offset', inches: 1.01 }] }, false],
    [
      'water to a quarter',
      { entries: [{ finding: 'belly', to_ft: 31, inches: 1 }], rules: { school: 'maintain' } },
      false,
    ],
    ['water under a quarter', { entries: [{ finding: 'belly', to_ft: 31, inches: 0.99 }] }, true],
    ['a collapse', { entries: [{ finding: 'collapse' }] }, false],
    ['a bend of 90°', { points: [at('B', 'bend', 28, { degrees: 90 })] }, true],
    [
      '180° of bends in all',
      { points: [at('B', 'bend', 25, { degrees: 90 }), at('C', 'bend', 31, { degrees: 90 })] },
      true,
    ],
    [
      'a change of bore',
      { entries: [{ kind: 'change', upstream: { diameter_in: 4 }, downstream: { diameter_in: 6 } }] },
      true,
    ],
  ])('%s', (_, what, may) => {
    const asked = ask('line', what);
    expect(asked.allowed).toBe(may);
    if (!may) expect(asked.noWay).toContain('pins collide');
  });

  test('a valve, a bend over 90° or over 180° in all ends a liner there: two meet, none runs through', () => {
    const ends: object[][] = [
      [at('V', 'valve', 28)],
      [at('T', 'trap', 28)],
      [at('B', 'bend', 28, { degrees: 91 })],
      [
        at('B', 'bend', 25, { degrees: 90 }),
        at('C', 'bend', 28, { degrees: 22 }),
        at('D', 'bend', 31, { degrees: 90 }),
      ],
    ];
    for (const points of ends) {
      const { allowed: may, actions } = ask('line', { points });
      expect([may, actions.length]).toEqual([true, 2]);
    }
    expect(ask('line', { points: [at('V', 'valve', 28)] }).actions.map(({ to_ft }) => to_ft)).toContain(28);
  });

  test('a change of bore takes two liners, or one transition liner where the house allows it', () => {
    const change = { kind: 'change', upstream: { diameter_in: 4 }, downstream: { diameter_in: 6 } };
    expect(ask('line', { entries: [change] }).actions).toHaveLength(2);
    const one = ask('line', { entries: [change], rules: { transitionLiner: true } });
    expect(one.actions).toHaveLength(1);
    expect(one.price.lines.map(({ what }) => what)).toContain('Change of diameter in the liner');
    // A transition liner is turned to suit, so the line read from the other end gets the same answer.
    const narrowing = { ...change, upstream: { diameter_in: 6 }, downstream: { diameter_in: 4 } };
    expect(ask('line', { entries: [narrowing], rules: { transitionLiner: true } }).actions).toHaveLength(1);
  });

  test('a cleanout at its end lets it in without a hole: wide enough, usable, ours, and facing the right way', () => {
    const from = (more: object) => ({
      from_ft: 0,
      to_ft: 30,
      line: {
        points: [
          { id: 'CO1', kind: 'cleanout', riser_ft: 2, diameter_in: 4, ...more },
          { id: 'MAIN', kind: 'main' },
        ],
      },
    });
    const holes = (more: object) => ask('line', from(more)).pits.length;
    expect(holes({ ways: 2 })).toBe(0);
    expect(holes({ ways: 1, faces: 'downstream' })).toBe(0);
    expect(holes({ ways: 1, faces: 'upstream' })).toBe(1);
    expect(holes({ diameter_in: 3 })).toBe(1);
    expect(holes({ usable: false })).toBe(1);
    expect(holes({ owner: 'neighbour' })).toBe(1);
    expect(holes({ state: 'broken' })).toBe(1);
    // What is repaired in the same scope makes it usable.
    expect([holes({ state: 'buried' }), holes({ state: 'cap-broken' })]).toEqual([0, 0]);
    const [action] = ask('line', from({ ways: 2 })).actions;
    // Launch 2 ft + riser 2 ft, closing tail 1 ft, and the ± of the length.
    const liner = action?.liner;
    expect(liner?.cut_ft).toBe(
      Math.ceil(((liner?.installed_ft ?? 0) + 5 + Math.max(0.5, liner?.hostPlusMinus_ft ?? 0) - 1e-6) * 2) /
        2,
    );
  });

  test('it stops short of the main, and each tie-in inside is cut open again', () => {
    const asked = ask('line', {
      from_ft: 30,
      to_ft: 60,
      points: [at('T1', 'tie-in', 40), at('T2', 'tie-in', 50)],
    });
    const liner = asked.actions[0]?.liner;
    expect((liner?.host_ft ?? 0) - (liner?.installed_ft ?? 0)).toBeCloseTo(0.25, 9);
    expect(
      asked.price.lines
        .filter(({ what }) => what.startsWith('Cut the'))
        .map(({ what, quantity }) => [what, quantity]),
    ).toEqual([['Cut the branch open again at 40.0, 50.0 ft', 2]]);
  });
});

describe('short liner', () => {
  test('2 to 10 ft, its first and last foot sound, let in from a cleanout within 100 ft', () => {
    expect(allowed('short-line', { from_ft: 22, to_ft: 31.9 })).toBe(true);
    const one = ask('short-line', { from_ft: 25, to_ft: 28 });
    expect([one.actions.length, one.pits.length]).toEqual([1, 0]);
    // Two that touch would be one, and longer than allowed.
    expect(allowed('short-line', { from_ft: 20, to_ft: 36 })).toBe(false);
    const crack = { finding: 'crack', form: 'around' };
    const [over] = ask('short-line', { from_ft: 27.5, to_ft: 28.5, entries: [crack] }).actions;
    expect(over && over.from_ft <= 26.5 && over.to_ft >= 29.5).toBe(true);
  });
});

describe('dig', () => {
  test('a spot is at most 10 ft, an open cut is longer; two digs never touch', () => {
    expect(ask('spot', { from_ft: 20, to_ft: 30 }).actions).toHaveLength(1);
    expect(allowed('spot', { from_ft: 20, to_ft: 30.5 })).toBe(false);
    const cut = ask('open-cut', { from_ft: 20, to_ft: 22 }).actions[0];
    expect((cut?.to_ft ?? 0) - (cut?.from_ft ?? 0)).toBeGreaterThan(10);
  });

  test('not where the user says no dig, and not further under a building than a hand reaches', () => {
    expect(allowed('spot', { from_ft: 25, to_ft: 28, line: { noDig: [{ from_ft: 26, to_ft: 27 }] } })).toBe(
      false,
    );
    const under = (to_ft: number) => ({
      from_ft: 28,
      to_ft: 30,
      line: {
        surfaces: [
          { from_ft: 0, to_ft: 28, kind: 'lawn' },
          { from_ft: 28, to_ft, kind: 'building' },
          { from_ft: to_ft, to_ft: 60, kind: 'lawn' },
        ],
      },
    });
    const reached = ask('spot', under(50));
    expect(reached.allowed).toBe(true);
    expect(reached.price.lines.find(({ what }) => what.startsWith('Dug by hand'))?.quantity).toBeCloseTo(
      2,
      2,
    );
    expect(allowed('spot', { ...under(50), from_ft: 36, to_ft: 38 })).toBe(false);
  });

  test('in public ground a permit a hole, unless the public part is its owner’s to act on', () => {
    const line = { owners: [{ from_ft: 0, to_ft: 60, owner: 'public' }] };
    const ours = ask('spot', { from_ft: 25, to_ft: 28, line });
    expect(ours.price.lines.filter(({ what }) => what.startsWith('Permit'))).toHaveLength(1);
    expect(allowed('spot', { from_ft: 25, to_ft: 28, line, rules: { publicPart: 'owner' } })).toBe(false);
  });

  test('exposed pipe in a crawl space needs no hole', () => {
    const line = { surfaces: [{ from_ft: 0, to_ft: 60, kind: 'crawl-space' }] };
    expect(ask('spot', { from_ft: 25, to_ft: 28, line }).pits).toEqual([]);
  });

  test('unseen pipe may be dug, with a warning', () => {
    const dug = ask('spot', { from_ft: 27, to_ft: 30, entries: [{ kind: 'hidden', to_ft: 29 }] });
    expect([dug.allowed, dug.warnings.includes('dug-unseen')]).toEqual([true, true]);
  });
});

describe('burst', () => {
  const whole = { from_ft: 20, to_ft: 36 };
  test('a pit at each end, at least 10 ft', () => {
    const burst = ask('burst', whole);
    expect(burst.pits).toHaveLength(2);
    expect(burst.pits.map(({ bottom_ft: [, wide] }) => wide)).toEqual([3, 4]);
    for (const {
      bottom_ft: [long],
    } of burst.pits)
      expect(long).toBeGreaterThanOrEqual(4);
    const [action] = ask('burst', { from_ft: 20, to_ft: 22 }).actions;
    expect((action?.to_ft ?? 0) - (action?.from_ft ?? 0)).toBeGreaterThanOrEqual(10 - 0.01);
    expect(burst.actions[0]?.pipe?.laid_ft).toBeCloseTo(
      (burst.actions[0]?.to_ft ?? 0) - (burst.actions[0]?.from_ft ?? 0) + 4,
      2,
    );
  });

  test.each<[string, Case, boolean]>([
    ['a bend of 11¼°', { points: [at('B', 'bend', 28, { degrees: 11.25 })] }, true],
    [
      'a sag to fix',
      { entries: [{ finding: 'belly', to_ft: 31, inches: 1.2 }], rules: { school: 'maintain' } },
      false,
    ],
    ['a collapse', { entries: [{ finding: 'collapse' }] }, false],
    ['asbestos cement', { line: { pipe: { material: 'asbestos-cement', diameter_in: 4 } } }, false],
    [
      'asbestos cement where the house allows it',
      {
        line: { pipe: { material: 'asbestos-cement', diameter_in: 4 } },
        rules: { burstAsbestosCement: true },
      },
      true,
    ],
    [
      'a utility 2 ft away',
      { line: { crossings: [{ station_ft: 28, utility: 'gas', depth_ft: 2.5 }] } },
      true,
    ],
    ['a utility nearer', { line: { crossings: [{ station_ft: 28, utility: 'gas', depth_ft: 3.2 }] } }, false],
    ['a utility of unknown depth', { line: { crossings: [{ station_ft: 28, utility: 'gas' }] } }, false],
    [
      'too little cover',
      {
        line: {
          depths: [
            { station_ft: 0, invert_ft: 2.2 },
            { station_ft: 60, invert_ft: 2.2 },
          ],
        },
      },
      false,
    ],
  ])('%s', (_, what, may) => {
    expect(allowed('burst', { ...whole, ...what })).toBe(may);
  });
});

test('a burst ends at a bend over 11¼°: one pit there serves two, or two holes become one', () => {
  const two = ask('burst', { from_ft: 20, to_ft: 36, points: [at('B', 'bend', 28, { degrees: 12 })] });
  expect(two.actions.map(({ from_ft, to_ft }) => [from_ft, to_ft].includes(28))).toEqual([true, true]);
  expect(two.pits.length).toBeLessThan(4);
  expect(two.pits.filter(({ serves }) => serves.length === 2)).not.toEqual([]);
});

describe('regrade', () => {
  const sag = { finding: 'belly', reading_ft: 25, to_ft: 31, inches: 1.4 };
  test('takes the whole sag out between two points that fall enough, and says so where they do not', () => {
    const laid = ask('regrade', { from_ft: 26, to_ft: 30, entries: [sag] });
    expect(laid.actions[0] && laid.actions[0].from_ft <= 24.5 && laid.actions[0].to_ft >= 31.5).toBe(true);
    const flat = {
      line: {
        depths: [
          { station_ft: 0, invert_ft: 4 },
          { station_ft: 60, invert_ft: 4.1 },
        ],
      },
    };
    expect(allowed('regrade', { from_ft: 26, to_ft: 30, entries: [sag], ...flat })).toBe(false);
    const free = ask('leave', { from_ft: 0, to_ft: 1, entries: [sag], ...flat });
    expect([free.allowed, free.noWay]).toEqual([true, '']);
    expect(free.notPossible).toMatchObject([{ finding: 'f0', by: 'others' }]);
    expect(free.notPossible[0]?.why).toContain('flatter than the least slope');
  });

  test('where fewer than two depths were located its price is provisional, and both ends are to be located', () => {
    const one = ask('leave', {
      from_ft: 0,
      to_ft: 1,
      entries: [sag],
      line: { depths: [{ station_ft: 0, invert_ft: 4 }] },
    });
    expect(one.actions.map(({ method }) => method)).toEqual(['regrade']);
    expect(one.warnings).toContain('fall-unknown');
    expect(one.firstStep?.what).toContain('locate the depth at both ends');
  });

  test('exposed pipe is rehung on straps: no hole, no new pipe', () => {
    const line = { surfaces: [{ from_ft: 0, to_ft: 60, kind: 'crawl-space' }] };
    const rehung = ask('regrade', { from_ft: 26, to_ft: 30, entries: [sag], line });
    expect(rehung.pits).toEqual([]);
    expect(rehung.price.lines.some(({ what }) => what.startsWith('Rehung'))).toBe(true);
    expect(rehung.price.lines.some(({ what }) => what.startsWith('New 4 in pipe'))).toBe(false);
  });
});
