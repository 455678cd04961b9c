import {
  addMonths as addMonthsByReference,
  format,
  formatISO,
  parseISO,
  addDays as addDaysByReference,
} from 'date-fns';
import fc from 'fast-check';
import { addDays, addMonths, sayDay } from '../days.js';
import { emptyFirm, type Firm } from '../job/firm.js';
import type { Job, Line, Run } from '../job/schema.js';
import type { School } from '../job/vocabulary.js';
import { accept } from '../offer/accept.js';
import { deep, spokenJob } from '../test/spoken-job.js';
import { timelineOf } from './timeline.js';
import { upkeepOf } from './upkeep.js';

const days = fc
  .date({ min: new Date('1990-01-01'), max: new Date('2060-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const asDay = (date: Date) => formatISO(date, { representation: 'date' });

// Against date-fns, which counts months and days by the calendar.
test('months and days are counted as the calendar does, and written as Americans write them', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -60, max: 240 }), (day, count) => {
      expect(addMonths(day, count)).toBe(asDay(addMonthsByReference(parseISO(day), count)));
      expect(addDays(day, count)).toBe(asDay(addDaysByReference(parseISO(day), count)));
      expect(sayDay(day)).toBe(format(parseISO(day), 'MMM d, yyyy'));
    }),
  );
  expect(addMonths('2026-08-31', 6)).toBe('2027-02-28');
});

const log = (roots: string) => ['80 main', `40 roots ${roots} 10-2 at joint`, '41 joint'];
/** Inspected on 2 April 2026; cleaned on the days given. */
function rootJob(roots: string, cleanedOn: readonly string[], school: School = 'maintain'): Job {
  return spokenJob('3 Bay Street', log(roots), {
    depths: deep(3, 6),
    rules: { school },
    cleanings: cleanedOn.map((on) => ({ from_ft: 0, to_ft: 80, tool: 'jet', on })),
  });
}
const dues = (job: Job, firm: Firm = emptyFirm) =>
  upkeepOf(job, firm).map(({ what, from, to }) => [what, from, to]);

// Intervals of calculations §12: 8 to 12 months, 3 to 6 the first time after bad roots, a look each year where roots stay.
test('roots left are cleaned every 8 to 12 months, sooner the first time after roots past half the diameter', () => {
  expect(dues(rootJob('30%', ['2026-04-02']))).toEqual([
    ['clean', '2026-12-02', '2027-04-02'],
    ['look', '2027-04-02', '2027-04-02'],
  ]);
  expect(dues(rootJob('60%', ['2026-04-02']))[0]).toEqual(['clean', '2026-07-02', '2026-10-02']);
  // A range counts by its larger end.
  expect(dues(rootJob('40-60%', ['2026-04-02']))[0]).toEqual(['clean', '2026-07-02', '2026-10-02']);
  expect(dues(rootJob('40-50%', ['2026-04-02']))[0]).toEqual(['clean', '2026-12-02', '2027-04-02']);
  // From the second time on it is the usual interval.
  expect(dues(rootJob('60%', ['2026-04-02', '2026-08-20']))).toContainEqual([
    'clean',
    '2027-04-20',
    '2027-08-20',
  ]);
  const own: Firm = { ...emptyFirm, rules: { cleanEvery_months: [4, 5], lookRoots_months: 9 } };
  expect(dues(rootJob('30%', ['2026-04-02']), own)).toEqual([
    ['clean', '2026-08-02', '2026-09-02'],
    ['look', '2027-01-02', '2027-01-02'],
  ]);
});

test('a line without roots, or renewed, is only looked at every second year; an earthquake makes it due at once', () => {
  const sound = spokenJob('4 Bay Street', ['80 main', '41 crack hairline'], { depths: deep(3, 5) });
  expect(dues(sound)).toEqual([['look', '2028-04-02', '2028-04-02']]);
  expect(dues(sound, { ...emptyFirm, rules: { earthquakeOn: '2026-06-30' } })).toEqual([
    ['look', '2026-06-30', '2026-06-30'],
  ]);
  expect(dues(sound, { ...emptyFirm, rules: { earthquakeOn: '2026-01-30' } })).toEqual(dues(sound));
  const renewed = rootJob('30%', ['2026-04-02']);
  const accepted = accept(renewed, emptyFirm, 'renew', '2026-05-01');
  expect(dues({ ...renewed, accepted })).toEqual([['look', '2028-05-01', '2028-05-01']]);
});

test('roots found after the repair keep the line under yearly looks', () => {
  const job = spokenJob('5 Bay Street', ['80 main', '20 broken'], { depths: deep(2, 3) });
  expect(dues(job)[0]?.[0]).toBe('look');
  const [line] = job.lines as [Line];
  const after: Run = {
    id: 'R2',
    access: 'CO1',
    direction: 'downstream',
    zero: 'pipe',
    stage: 'after-repair',
    on: '2026-05-10',
    entries: [{ id: 'a1', kind: 'finding', finding: 'roots', reading_ft: 60, percent: 12 }],
  };
  expect(dues({ ...job, lines: [{ ...line, runs: [...line.runs, after] }] })).toContainEqual([
    'look',
    '2027-05-10',
    '2027-05-10',
  ]);
});

test('listed up to a day, dates go on in order, none past it, each no sooner after the last than the rule says', () => {
  const until = '2031-01-01';
  const all = upkeepOf(rootJob('60%', ['2026-04-02']), emptyFirm, until);
  expect(all.length).toBeGreaterThan(6);
  expect(all.map(({ from }) => from)).toEqual(all.map(({ from }) => from).sort());
  const cleans = all.filter(({ what }) => what === 'clean');
  cleans.slice(1).forEach((due, i) => {
    const before = cleans[i];
    if (before) expect(due).toMatchObject({ from: addMonths(before.to, 8), to: addMonths(before.to, 12) });
  });
  expect(all.every(({ from }) => from <= until)).toBe(true);
});

test('the timeline tells what was done, what was agreed and what comes, in the order of its days', () => {
  const job = rootJob('30%', ['2026-04-09']);
  const accepted = accept(job, emptyFirm, 'maintain', '2026-04-05');
  const moments = timelineOf({ ...job, accepted }, upkeepOf({ ...job, accepted }, emptyFirm));
  expect(moments.map(({ on, what }) => `${on} ${what}`)).toEqual([
    '2026-04-02 Inspected',
    '2026-04-05 Offer accepted',
    '2026-04-09 Cleaned, jet',
    '2026-12-09 To clean',
    '2027-04-05 To inspect',
  ]);
});
