import { format, parseISO } from 'date-fns';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { applyEdit } from '../core/edits/index.js';
import { readJob, readJobText } from '../core/files/read.js';
import { pricesSchema } from '../core/job/prices-schema.js';
import { rulesSchema } from '../core/job/rules-schema.js';
import type { Entry, Job } from '../core/job/schema.js';
import { planRulesInForce } from '../core/plan/rules.js';
import { planOf } from '../core/plan/plan.js';
import { jobView } from '../core/views/job-view.js';
import Papa from 'papaparse';
import { logColumns, readRows, rowOf } from '../core/logprint/csv-rows.js';
import { parseLogLine } from '../core/logline/parse.js';
import { contextOf, counterOf, editsOf, twinOf } from './log/entries';
import { readReelMessage } from './video/reel';
import { newJob } from './jobs/new-job';
import { dxfText } from './drawing/dxf';
import { sayDay } from '../core/days.js';
import { clockTime, dayAndTime, money } from './controls/format';
import { tableText } from './files/table-file';
import { barDetail, barsOf } from './drawing/scope-bars';
import { clockSpan, onRing, ringAt, size } from './picture/lens';
import { axisOf } from './plan/axis';
import { planCalendar } from './plan/plan-calendar';
import { rateFields, ruleFields, tableFields } from '../core/offer/labels.js';
import { depthAt, plusMinusAt, sheetScale } from './drawing/sheet-scale';

const { job } = readJobText(
  readFileSync(join(import.meta.dirname, '../demo/jobs/1-quarry-lane.json'), 'utf8'),
);
if (!job) throw new Error('the demo job cannot be read');
const view = jobView(job);
const [lineView] = view.lines;
const [lineScope] = view.scope.lines;
const [line] = job.lines;
if (!lineView || !lineScope || !line) throw new Error('the demo job has a line');

// What the screens derive from the view, checked against the view itself.
test('bars of the scope lie end to end over the whole line and name each action once', () => {
  const bars = barsOf(lineScope, view.scope.methods);
  expect(bars[0]?.from_ft).toBe(lineView.from_ft);
  expect(bars.at(-1)?.to_ft).toBe(lineView.to_ft);
  bars.slice(1).forEach((bar, i) => expect(bar.from_ft).toBe(bars[i]?.to_ft));
  expect(bars.flatMap(({ action }) => action?.id ?? [])).toEqual(lineScope.actions.map(({ id }) => id));
  const liner = bars.find(({ action }) => action?.liner);
  expect(liner && barDetail(liner)).toContain(`cut ${liner?.action?.liner?.cut.value.toFixed(1) ?? ''}`);
});

test('one axis: stations keep their order and stay inside the sheet', () => {
  const { x } = sheetScale(lineView, 944);
  expect(x(lineView.from_ft)).toBeGreaterThanOrEqual(100);
  expect(x(lineView.to_ft)).toBeLessThan(944);
  expect(depthAt(lineView, 0)).toBeCloseTo(2.3, 9);
  const main = lineView.points.find(({ kind }) => kind === 'main');
  expect(plusMinusAt(lineView, main?.station.value ?? 0)).toBe(main?.station.plusMinus);
});

test('every row of the log has a station whose working ends in it, and every reading is shown once', () => {
  const told = lineView.rows.flatMap(({ readings, details, entry }) => [
    entry.id,
    ...readings.map((each) => each.entry),
    ...details.map(({ id }) => id),
  ]);
  const all = line.runs.flatMap(({ entries }) => entries.map(({ id }) => id));
  expect([...new Set(told)].sort()).toEqual([...all].sort());
  for (const row of lineView.rows) expect(row.station?.steps.length).toBeGreaterThan(0);
});

test('a second reading finds its twin on the other pass, and is tied to it only when asked', () => {
  const run = line.runs.at(-1);
  if (!run) throw new Error('the demo line has a run');
  const parts = parseLogLine('43.4 offset 1 in', { pass: 'out', end: 'MAIN', points: line.points });
  const [draft] = parts;
  expect(draft?.entry && twinOf(draft.entry, run, lineView)).toBeUndefined();
  const back = parseLogLine('42.9 roots 10%', { pass: 'back', end: 'MAIN', points: line.points });
  expect(back[0]?.entry && twinOf(back[0].entry, run, lineView)).toBeUndefined();
  const change = parseLogLine('54.9 pvc 4 > clay 4', { pass: 'out', end: 'MAIN', points: line.points });
  const twin = change[0]?.entry && twinOf(change[0].entry, run, lineView);
  expect(twin?.id).toBe('e13');
  const entry = (tieTo?: typeof lineView) => editsOf(change, line, run, { tieTo }).map(({ set }) => set)[0];
  expect(entry(lineView)).toMatchObject({ sameAs: 'e13' });
  expect(line.runs.flatMap(({ entries }) => entries.map(({ id }) => id))).not.toContain(
    (entry() as Entry).id,
  );
  expect(entry()).not.toHaveProperty('sameAs');
  expect(counterOf(lineView, run.id)?.place(1.7)).toBeCloseTo(0, 1);
});

test('a typed line that speaks of its own parts and meets new points becomes edits that make a valid job', () => {
  const run = line.runs.at(-1);
  if (!run) throw new Error('the demo line has a run');
  const typed =
    '20 bend 45 degrees; 22 belly starts; 26 belly ends 1 in; 2 past the bend: joint; then roots 5%';
  const edits = editsOf(
    parseLogLine(typed, contextOf(line, lineView, run.id, { pass: 'back', waterClock: 3 })),
    line,
    run,
    {},
  );
  const after = edits.reduce<Job>((each, edit) => applyEdit(each, edit), job);
  expect(readJob(after).faults).toBeUndefined();
  const added = after.lines[0]?.runs.at(-1)?.entries.slice(run.entries.length) ?? [];
  expect(added.map(({ kind }) => kind)).toEqual(['point', 'finding', 'joint', 'finding']);
  expect(added[1]).toMatchObject({ reading_ft: 22, to_ft: 26, inches: 1 });
  expect([added[2]?.after, added[3]?.after]).toEqual([added[0]?.id, added[2]?.id]);
  expect(after.lines[0]?.points).toContainEqual(expect.objectContaining({ kind: 'bend', degrees: 45 }));
});

// RFC 4180 through a reference parser: a log exported as a table and imported again is the same.
test('the log of a run comes back the same from its table; each bad row says what is wrong', () => {
  const run = line.runs.at(-1);
  if (!run) throw new Error('the demo line has a run');
  const csv = tableText(run.entries.map(rowOf), logColumns);
  const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
  const context = contextOf({ ...line, runs: [] }, undefined, run.id, { pass: 'out', waterClock: 3 });
  const rows = readRows(data, context);
  expect(rows.flatMap(({ faults }) => faults)).toEqual([]);
  expect(rows.map(({ id, part }) => ({ ...part?.entry, id }))).toEqual(
    run.entries.map((entry) => ({ pass: 'back', ...entry })),
  );
  const bad = readRows(
    [
      { reading_ft: 'forty', what: 'roots' },
      { reading_ft: '40', what: 'rots' },
      { reading_ft: '40', what: 'roots; gap' },
      { reading_ft: '40', what: 'joint', pass: 'in' },
      { reading: '40', what: 'joint' },
    ],
    context,
  );
  expect(bad.map(({ part, faults }) => [part, faults.length > 0])).toEqual(bad.map(() => [undefined, true]));
});

test('the reel is heard line by line; a line it does not know changes nothing', () => {
  const said = [
    'reel simulated',
    'pipe p1 CO1,CO2 a pipe',
    'reading 3.4',
    `picture ${JSON.stringify({ things: [] })}`,
    'depth 4.1',
    'nonsense',
    'reading 3.6',
    'stopped main',
  ];
  expect(said.reduce(readReelMessage, { pipes: [] })).toEqual({
    name: 'simulated',
    pipes: [{ id: 'p1', accesses: ['CO1', 'CO2'], name: 'a pipe' }],
    reading_ft: 3.6,
    // The picture is still the one before.
    picture: { things: [] },
    pictured_ft: 3.4,
    depth_ft: undefined,
    fault: undefined,
    stopped: 'main',
  });
});

test('a new job is a valid job file that claims nothing nobody said', () => {
  const made = newJob(
    {
      title: '1 New Street',
      customer: '',
      reason: 'backup',
      zero: 'cap',
      riser_ft: undefined,
      material: 'clay',
      diameter_in: 4,
      soil: 'unknown',
    },
    '2026-05-01',
  );
  const read = readJob(made);
  expect(read.faults).toBeUndefined();
  expect(made.lines[0]?.points[0]).not.toHaveProperty('riser_ft');
  expect(jobView(made).scope.verdict).toEqual(['incomplete']);
});

// date-fns is the reference; a date without a time is that day here, not midnight in Greenwich.
test('days and moments are written as they are elsewhere in the country', () => {
  const moments = fc.date({ min: new Date('1990-01-01'), max: new Date('2090-01-01'), noInvalidDate: true });
  fc.assert(
    fc.property(moments, (moment) => {
      const [at, on] = [moment.toISOString(), moment.toISOString().slice(0, 10)];
      expect(sayDay(on)).toBe(format(parseISO(on), 'MMM d, yyyy'));
      expect(dayAndTime(at)).toBe(format(parseISO(at), 'MMM d, yyyy, h:mm a'));
      expect(clockTime(at)).toBe(format(parseISO(at), 'h:mm a'));
    }),
  );
});

// Intl.NumberFormat, ECMA-402: money of a page's first sheet is written without it.
test('dollars are written as Intl writes them, those of other countries by it', () => {
  const amounts = fc.oneof(
    fc.double({ min: -2e9, max: 2e9, noNaN: true }),
    fc.integer({ min: -400, max: 4_000_000 }).map((quarters) => quarters / 4),
  );
  const written = (currency: string, digits: number) =>
    new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency,
      signDisplay: 'negative',
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    });
  fc.assert(
    fc.property(amounts, fc.constantFrom('USD', 'CAD'), fc.constantFrom(0, 2), (amount, currency, digits) => {
      expect(money(amount, currency, digits)).toBe(written(currency, digits).format(amount));
    }),
  );
});

test('every rule and every rate of the job file can be set on the screen', () => {
  const fields = ruleFields.flatMap((group) => group.fields.map(({ key }) => key));
  // Editors of their own: gradings, the resin's data sheet, upkeep.
  const upkeep = [
    'cleanEvery_months',
    'cleanFirst_months',
    'lookRoots_months',
    'look_months',
    'earthquakeOn',
  ];
  const apart = ['findings', 'potLife', ...upkeep];
  expect([...fields, ...apart].sort()).toEqual(Object.keys(rulesSchema.shape).sort());
  const rates = [...rateFields, ...tableFields].map(({ key }) => key);
  const byThickness = ['currency', 'dated', 'liner_per_ft', 'pipe_per_ft'];
  expect([...rates, ...byThickness].sort()).toEqual(Object.keys(pricesSchema.shape).sort());
});

test('nothing typed runs as a command in the program that opens a table or a drawing', () => {
  const bad = ['=HYPERLINK("http://elsewhere.invented","x")', '+1', '-2', '@sum', '\t=1', 'plain'];
  const text = tableText(
    bad.map((note, i) => ({
      id: `E${i}`,
      pass: 'out',
      reading_ft: String(i),
      to_ft: '',
      what: 'joint',
      note,
    })),
  );
  const { data } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(data.map(({ note = '' }) => /^[=+\-@\t\r]/.test(note))).toEqual(bad.map(() => false));
  // Our own reader removes the mark again.
  const context = contextOf(line, undefined, 'R1', { pass: 'out', waterClock: undefined });
  expect(readRows(data, context).map(({ part }) => part?.entry?.note)).toEqual(bad);

  const drawn = (utility: string) =>
    new DxfParser().parseSync(dxfText({ ...lineView, crossings: [{ station_ft: 5, utility }] }, lineScope))
      ?.entities.length;
  expect(drawn('gas\r\n0\r\nLINE\r\n8\r\nHOLES')).toBe(drawn('gas'));
});

function demoPlan() {
  const planned = planOf({
    scope: view.scope,
    names: {},
    rules: planRulesInForce(undefined, undefined),
    temperature_F: 70,
    startOn: '2026-12-01',
  });
  if ('refused' in planned) throw new Error(planned.refused);
  return planned.plan;
}

test('the axis of the days: a slot lies where it is found again, later slots further right, days left out leave no room', () => {
  const plan = demoPlan();
  const { slotsPerDay } = plan.calendar;
  const axis = axisOf(plan);
  // The day of the call, the days on site, and one more to drag to.
  expect(axis.columns.length).toBe(plan.days.length + 1);
  let last = -1;
  for (const { index } of axis.columns)
    for (let slot = index * slotsPerDay; slot < (index + 1) * slotsPerDay; slot++) {
      const x = axis.x(slot);
      expect(x).toBeGreaterThan(last);
      expect(axis.slotAt(x)).toBe(slot);
      last = x;
    }
  expect(last).toBeLessThan(axis.width);
  // The days until utilities are marked are nobody's working days here: a double line marks them, and they take no
  // room.
  expect(axis.columns[1]?.gap).toBe(true);
  expect(axis.columns[1]?.x).toBe((axis.columns[0]?.x ?? 0) + (axis.columns[0]?.width ?? 0));
  expect(axis.slotAt(-50)).toBe(axis.columns[0]?.index);
});

test('the days go out as a calendar that another reader understands: one event a day, at the hour of the site', () => {
  const plan = demoPlan();
  const text = planCalendar({ id: 'job 1', title: 'A, B;\nC', address: '5 Sorrel Bank, Millbrook' }, plan);
  const events = ICAL.Component.fromString(text)
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));
  expect(events.map(({ startDate }) => startDate.toString().slice(0, 10))).toEqual([...plan.days]);
  for (const event of events) {
    expect(event.summary).toBe('A, B; C');
    expect(event.location).toBe('5 Sorrel Bank, Millbrook');
    // Floating: seven in the morning is seven wherever it is read.
    expect(event.startDate.zone).toBe(ICAL.Timezone.localTimezone);
    expect(event.startDate.compare(event.endDate)).toBeLessThan(0);
  }
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  const told = events.map(({ description }) => description).join('\n');
  for (const { what } of plan.tasks) expect(told).toContain(what);
  expect(told.match(/Water off/g)).toHaveLength(plan.water.length);
});

test('the lens: what is further ahead is smaller, darker and nearer the vanishing point; a clock position stays on its ring', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 7, noNaN: true }),
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      fc.double({ min: 0.1, max: 12, noNaN: true }),
      fc.tuple(
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      ),
      (ahead, more, clock, tilt) => {
        const [near, far] = [ringAt({ tilt }, ahead), ringAt({ tilt }, ahead + more)];
        expect(far.r).toBeLessThan(near.r);
        expect(far.light).toBeLessThanOrEqual(near.light);
        const off = (ring: typeof near) => Math.hypot(ring.x - size / 2, ring.y - size / 2);
        expect(off(far)).toBeGreaterThanOrEqual(off(near));
        const [x, y] = onRing(near, clock);
        expect(Math.hypot(x - near.x, y - near.y)).toBeCloseTo(near.r, 6);
      },
    ),
  );
  // Twelve is up, three right, six down, nine left, on a screen whose y grows downward.
  const ring = { x: 0, y: 0, r: 1, light: 1 };
  for (const [clock, at] of [
    [12, [0, -1]],
    [3, [1, 0]],
    [6, [0, 1]],
    [9, [-1, 0]],
  ] as const)
    onRing(ring, clock).forEach((value, i) => {
      expect(value).toBeCloseTo(at[i] ?? 0, 9);
    });
  // A range runs clockwise, also past twelve.
  expect(clockSpan([10, 2])).toEqual({ from: 10, span: 4 });
  expect(clockSpan([4, 8])).toEqual({ from: 4, span: 4 });
});
