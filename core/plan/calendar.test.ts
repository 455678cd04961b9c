import { addBusinessDays, differenceInMinutes, format, parseISO } from 'date-fns';
import fc from 'fast-check';
import { calendarOf } from './calendar.js';

// Monday to Friday, ten hours from seven: the working days of date-fns, an outside reference.
const workdays = [1, 2, 3, 4, 5];
const calendar = calendarOf({ startsAt: '07:00', hours: 10, workdays }, '2026-11-23');
const slots = fc.integer({ min: 1, max: 40 * calendar.slotsPerDay });
const timeOf = ({ day, time }: { day: string; time: string }) => parseISO(`${day}T${time}:00Z`);

test('whole days after the end of work are working days between; none is at once', () => {
  fc.assert(
    fc.property(slots, fc.integer({ min: 1, max: 30 }), (end, days) => {
      expect(calendar.afterDays(end, 0)).toBe(end);
      const after = calendar.startOf(calendar.afterDays(end, days));
      const ended = calendar.endOf(end).day;
      expect(after).toEqual({
        day: format(addBusinessDays(parseISO(ended), days + 1), 'yyyy-MM-dd'),
        time: '07:00',
      });
    }),
    { seed: 20261127 },
  );
});

test('hours by the clock are waited out to the first slot of work after them, nights and weekends counted', () => {
  fc.assert(
    fc.property(slots, fc.double({ min: 0, max: 200, noNaN: true }), (end, hours) => {
      const slot = calendar.afterHours(end, hours);
      const waited = (at: number) =>
        differenceInMinutes(timeOf(calendar.startOf(at)), timeOf(calendar.endOf(end))) / 60;
      expect(waited(slot)).toBeGreaterThanOrEqual(hours - 1 / 60);
      if (slot > end) expect(waited(slot - 1)).toBeLessThan(hours + 1 / 60);
    }),
    { seed: 20261127 },
  );
});

test('the moment that a slot begins at is of that slot alone; nobody works at night or on a Sunday', () => {
  fc.assert(
    fc.property(slots, (slot) => {
      expect(calendar.slotAt(calendar.startOf(slot))).toBe(slot);
    }),
    { seed: 20261127 },
  );
  expect(calendar.slotAt({ day: '2026-11-24', time: '06:45' })).toBeUndefined();
  expect(calendar.slotAt({ day: '2026-11-24', time: '17:00' })).toBeUndefined();
  expect(calendar.slotAt({ day: '2026-11-29', time: '09:00' })).toBeUndefined();
});
