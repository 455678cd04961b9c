import { findingRegistry } from '../findings/kinds.js';
import type { FindingRow } from '../findings/row.js';
import { scopeFile } from '../files/scope-file.js';
import { plain } from '../figure.js';
import type { FindingEntry, Job } from '../job/schema.js';
import type { FindingKind, Method } from '../job/vocabulary.js';
import { Trait } from '../methods/candidates.js';
import { digRefusal } from '../methods/dig.js';
import { methodName, methodRegistry } from '../methods/index.js';
import { summaryOf, type MethodRow } from '../methods/method.js';
import { laidLength } from '../pipe/laid.js';
import { drafter } from '../price/price-line.js';
import { int, num } from '../search/columns.js';
import { scopeOf } from '../scope/scope.js';
import { readyJob } from '../solve/ready.js';
import { spokenJob } from '../test/spoken-job.js';
import { barredFor } from '../track/barred.js';
import { Arrives, Departs } from '../track/joins.js';
import { over } from '../track/sums.js';
import { jobView } from './job-view.js';
import { shoppingList } from './shopping.js';

// The two recipes of docs/architecture.md, followed for things that do not exist: registered only here.

/** An invented finding: the wall etched, graded by percent, cured from inside. */
const etched: FindingRow = {
  id: 'etched',
  name: 'Etched wall',
  noun: 'etching',
  fields: () => ({}),
  spoken: ['etched'],
  grading: { measure: 'percent', bounds: [10, 20, 40], cures: ['liner'], structural: true, stopsLinerAt: 1 },
};

const perFoot = 3;
/** An invented method: a sleeve of up to 6 ft pulled in from anywhere, without an excavation. */
const sleeve: MethodRow = {
  id: 'sleeve' as Method,
  words: { name: 'Sleeve', setUp: 'pull sleeves', asked: { name: 'Sleeve', key: 'v', does: 'sleeve it' } },
  drawing: { fill: 'liner', ink: 'on-liner' },
  cures: ['liner'],
  standsFor: 'liner',
  work: {
    kind: 'dig',
    offered: (length, where) => `A sleeve of ${length} ft, ${where}`,
    offers: (track) => {
      const barred = barredFor(track, 'sleeve' as Method);
      const fine = Int32Array.from(track.boundaries);
      return (from, offer) => {
        track.boundaries.forEach((end, to) => {
          const start = int(fine, from);
          const length = num(track.breaks, end) - num(track.breaks, start);
          if (to <= from || length > 6 || over(barred, start, end) > 0) return;
          if (digRefusal(track, { from_ft: 0, to_ft: 0 }, track.cells.slice(start, end))) return;
          offer(to, perFoot * length, Trait.exposed);
        });
      };
    },
    refusal: (_, { from_ft, to_ft }) =>
      to_ft - from_ft > 6
        ? { rule: 'sleeve-too-long', why: `${plain(to_ft - from_ft)} ft`, lift: 'two sleeves' }
        : undefined,
    joins: () => [[Departs.ExposedPipe, Arrives.NewPipe]],
    aloneCost: () => () => 0,
    drafts: (_, { id, from_ft, to_ft }) => [
      drafter(id)('Sleeve', to_ft - from_ft, 'ft', perFoot, 'sleeve_per_ft'),
    ],
    order: (_, { from_ft, to_ft }) => ({
      pipe: laidLength({ from_ft, to_ft, material: 'abs', diameter_in: 4, pits: 0 }),
    }),
    newPipe: { material: () => 'abs', buys: () => true },
  },
};

function etchedJob(): Job {
  const job = spokenJob('Etched', ['60 main', '30 hole']);
  const [line] = job.lines;
  if (!line) throw new Error('the job has a line');
  const runs = line.runs.map((run) => ({
    ...run,
    entries: run.entries.map((entry) =>
      entry.kind === 'finding'
        ? ({ ...entry, finding: 'etched', percent: 30 } as unknown as FindingEntry)
        : entry,
    ),
  }));
  return { ...job, lines: [{ ...line, runs }] };
}

const undo: (() => void)[] = [];
beforeAll(() => {
  undo.push(findingRegistry.register(etched as FindingRow<FindingKind>), methodRegistry.register(sleeve));
});
afterAll(() => {
  for (const each of undo) each();
});

test('an invented finding and method are graded, refused, scoped, priced, drawn, named and bought', () => {
  const job = etchedJob();
  const ready = readyJob(job);
  const scope = scopeOf(ready);
  const [line] = scope.lines;
  const [finding] = ready.lines[0]?.condition.findings ?? [];
  // Graded by its row: 30 % lies between 20 and 40.
  expect(finding).toMatchObject({ grade: 3, structural: true });
  // Scoped: the sleeve is the only method that cures it without an excavation, since it stops a liner.
  const [action] = line?.actions ?? [];
  expect(action).toMatchObject({ method: 'sleeve' });
  const length = (action?.to_ft ?? 0) - (action?.from_ft ?? 0);
  // Priced.
  expect(action?.cost).toBeCloseTo(perFoot * length, 2);
  expect(scope.prices.lines.map(({ what }) => what)).toContain('Set up to pull sleeves');
  // Refused elsewhere, by its own rule; and the finding refuses a liner by its own limit.
  const refused = line?.segments.flatMap(({ rejected }) => rejected) ?? [];
  expect(refused.map(({ rule }) => rule)).toEqual(
    expect.arrayContaining(['sleeve-too-long', 'stops-a-liner']),
  );
  // Named, with a key of its own.
  expect(methodName('sleeve' as Method)).toBe('Sleeve');
  expect(scopeFile(ready, scope).lines[0]?.findings[0]).toMatchObject({
    finding: 'etched',
  });
  expect(scopeFile(ready, scope).lines[0]?.findings[0]?.cures).toContain('sleeve');
  // Drawn: a bar in its own colors; the finding as the plain mark (web/lanes has no drawing of it).
  expect(scope.ways.find(({ school }) => school === scope.school)?.bars.house).toContainEqual(
    expect.objectContaining({ method: 'sleeve' }),
  );
  const view = jobView(job);
  expect(summaryOf(view.scope.methods, 'sleeve' as Method)).toMatchObject({
    name: 'Sleeve',
    drawing: sleeve.drawing,
  });
  expect(view.lines[0]?.findings[0]).toMatchObject({ kind: 'etched', name: etched.name });
  // Bought.
  expect(shoppingList(scope).some(({ what }) => what.includes('ABS'))).toBe(true);
});

test('what was registered is gone again, and a taken id is refused', () => {
  expect(() => methodRegistry.register(sleeve)).toThrow('registered already');
  expect(() => methodRegistry.row('nothing' as Method)).toThrow('no method is called "nothing"');
});
