import { LinkProperty, Project, Workspace } from 'epanet-js';
import { depthFor, manning, roughness, slopeBetween } from './flow.js';
import { oneLine } from '../test/one-line.js';
import { lineModel } from '../line/model.js';
import { rulesInForce } from '../job/rules.js';
import { fallsOf } from './fall.js';
import { leastSlope } from './least-slope.js';

const perFoot = (inches: number) => inches / 12;

// Manning's formula: published tables of full flow in small drains, from memory.
test.each([
  [4, 1 / 8, 0.013, 2.23, 87.2],
  [4, 1 / 4, 0.013, 3.15, 123.3],
  [6, 1 / 8, 0.013, undefined, 257.0],
  [3.764, 1 / 8, 0.01, undefined, 96.4],
])('%d in at %d in/ft, n %d, full', (bore, inches, n, velocity, gpm) => {
  const flow = manning(bore, perFoot(inches), n);
  if (velocity !== undefined) expect(flow.velocity_ft_s).toBeCloseTo(velocity, 2);
  expect(flow.gpm).toBeCloseTo(gpm, 1);
});

/** Flow (gal/min) between two reservoirs through one pipe by Manning's head loss, as EPANET solves it. */
async function epanetFlow(bore_in: number, slope: number, n: number): Promise<number> {
  const workspace = new Workspace();
  await workspace.loadModule();
  const length_ft = 500;
  workspace.writeFile(
    'pipe.inp',
    `[RESERVOIRS]
 up ${100 + slope * length_ft}
 down 100
[JUNCTIONS]
 middle 0 0
[PIPES]
 first up middle ${length_ft / 2} ${bore_in} ${n} 0 Open
 second middle down ${length_ft / 2} ${bore_in} ${n} 0 Open
[OPTIONS]
 Units GPM
 Headloss C-M
 Accuracy 0.000001
[END]
`,
  );
  const project = new Project(workspace);
  project.open('pipe.inp', 'pipe.rpt', 'pipe.out');
  project.solveH();
  const flow = project.getLinkValue(project.getLinkIndex('first'), LinkProperty.Flow);
  project.close();
  return flow;
}
// EPANET 2.2, the public-domain hydraulic solver: pressure flow at a head loss equal to the fall is a pipe just full.
test('full flow is what a hydraulic solver finds for the same bore, fall and roughness', async () => {
  for (const bore of [3, 3.764, 4, 6, 8]) {
    for (const slope of [1 / 8 / 12, 1 / 4 / 12, 0.05]) {
      for (const n of [0.01, 0.013]) {
        const { gpm } = manning(bore, slope, n);
        // Its exponents are rounded to two places.
        expect(Math.abs((await epanetFlow(bore, slope, n)) / gpm - 1)).toBeLessThan(0.005);
      }
    }
  }
});

// The hydraulic elements of a circle, a handbook chart.
test('half full runs at full-pipe velocity; most flow at 0.938 depth, top speed at 0.813', () => {
  const full = manning(4, 0.01, 0.013);
  expect(manning(4, 0.01, 0.013, 0.5).velocity_ft_s).toBeCloseTo(full.velocity_ft_s, 9);
  const depths = Array.from({ length: 999 }, (_, i) => (i + 1) / 1000);
  const most = (pick: 'gpm' | 'velocity_ft_s') =>
    depths.reduce((best, depth) =>
      manning(4, 0.01, 0.013, depth)[pick] > manning(4, 0.01, 0.013, best)[pick] ? depth : best,
    );
  expect([most('gpm'), most('velocity_ft_s')]).toEqual([0.938, 0.813]);
  expect(manning(4, 0.01, 0.013, 0.938).gpm / full.gpm).toBeCloseTo(1.076, 3);
  expect(manning(4, 0.01, 0.013, 0.813).velocity_ft_s / full.velocity_ft_s).toBeCloseTo(1.14, 3);
});

test('the depth for a flow is the inverse of the flow at a depth', () => {
  for (const depth of [0.1, 0.35, 0.6, 0.9]) {
    const { gpm } = manning(6, 0.02, 0.01, depth);
    expect(depthFor(gpm, 6, 0.02, 0.01)).toBeCloseTo(depth, 6);
  }
  expect(depthFor(1000, 4, 0.01, 0.013)).toBeUndefined();
  expect(manning(4, 0, 0.013)).toEqual({ velocity_ft_s: 0, gpm: 0 });
});

test('roughness of plastic and liner, and of the rest', () => {
  expect([roughness('liner'), roughness('abs'), roughness('clay'), roughness('unknown')]).toEqual([
    0.01, 0.01, 0.013, 0.013,
  ]);
});

// Model-code families, from memory.
test('least slope by bore and family', () => {
  const a = { slopeFamily: 'A', localSlope_in_per_ft: 0.25 } as const;
  expect([2, 2.5, 3, 6, 8].map((bore) => leastSlope(bore, a) * 12)).toEqual(
    [1 / 4, 1 / 4, 1 / 8, 1 / 8, 1 / 16].map((x) => expect.closeTo(x, 9) as number),
  );
  expect(leastSlope(4, { ...a, slopeFamily: 'B' }) * 12).toBeCloseTo(1 / 4, 9);
  const approved = { ...a, slopeFamily: 'B-approved' } as const;
  expect([3, 4, 6, 8].map((bore) => leastSlope(bore, approved) * 12)).toEqual(
    [1 / 4, 1 / 8, 1 / 8, 1 / 16].map((x) => expect.closeTo(x, 9) as number),
  );
  expect(leastSlope(4, { slopeFamily: 'local', localSlope_in_per_ft: 0.3 }) * 12).toBeCloseTo(0.3, 9);
});

test('slope of a profile between any two stations', () => {
  expect(
    slopeBetween(
      [
        [0, 100],
        [50, 99],
        [80, 97],
      ],
      25,
      65,
    ),
  ).toBeCloseTo((99.5 - 98) / 40, 9);
});

// 5 ft of depth gained over 80 ft of level ground is ¾ in/ft; the last stretch is flat. Family A asks ⅛ in/ft of a 4
// in.
test('the fall of a line by stretches: its slope, whether it is enough, and what it carries', () => {
  const line = oneLine([], {
    depths: [
      { station_ft: 0, invert_ft: 3 },
      { station_ft: 64, invert_ft: 7 },
      { station_ft: 80, invert_ft: 7 },
    ],
  });
  const falls = fallsOf(lineModel(line), rulesInForce(undefined));
  expect(falls.map(({ from_ft, to_ft }) => [from_ft, to_ft])).toEqual([
    [0, 64],
    [64, 80],
  ]);
  expect(falls.map(({ slope }) => slope.value)).toEqual([expect.closeTo(0.75, 9), expect.closeTo(0, 9)]);
  expect(falls.map(({ enough }) => enough)).toEqual([true, false]);
  expect(falls.map(({ least_in_per_ft }) => least_in_per_ft)).toEqual([0.125, 0.125]);
  expect(falls[0]?.capacity_gpm).toBeCloseTo(manning(4, 0.75 / 12, 0.013).gpm, 9);
  expect(falls[1]?.capacity_gpm).toBe(0);
  expect(fallsOf(lineModel(oneLine([])), rulesInForce(undefined))).toEqual([]);
});
