import fc from 'fast-check';
import ICAL from 'ical.js';
import { addDays } from '../../core/days.js';
import type { Due } from '../../core/upkeep/upkeep.js';
import { calendarText } from './calendar';

const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2040-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const words = fc.oneof(
  fc.string({ maxLength: 60 }),
  fc.constantFrom('a, b; c', 'ligne à côté', 'two\nlines', '“said”'),
);
const due: fc.Arbitrary<Due> = fc
  .record({
    line: fc.constantFrom('house', 'guest'),
    lineName: words,
    what: fc.constantFrom('clean' as const, 'look' as const),
    from: day,
    days: fc.integer({ min: 0, max: 120 }),
    why: words,
  })
  .map(({ days, ...rest }) => ({ ...rest, to: addDays(rest.from, days) }));

// Read back with ical.js, an independent parser of RFC 5545.
test('every date comes back from the calendar: its day, all day long, with what is due and by when', () => {
  fc.assert(
    fc.property(fc.array(due, { maxLength: 12 }), words, fc.boolean(), (dues, title, several) => {
      const text = calendarText({ id: 'job-1', title, address: '1 Bay Street, back' }, dues, several);
      // RFC 5545, 3.1: lines end in CRLF and hold at most 75 octets.
      const lines = text.split('\r\n');
      expect(text).not.toMatch(/[^\r]\n/);
      expect(Math.max(...lines.map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75);
      const parsed = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]]);
      const events = parsed.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
      expect(events).toHaveLength(dues.length);
      events.forEach((event, i) => {
        const said = dues[i];
        if (!said) throw new Error('an event without a date');
        expect(event.startDate.isDate).toBe(true);
        expect(event.startDate.toString()).toBe(said.from);
        expect(event.endDate.toString()).toBe(addDays(said.from, 1));
        expect(event.summary.startsWith(said.what === 'clean' ? 'Clean the line' : 'Inspect the line')).toBe(
          true,
        );
        if (said.to !== said.from) expect(event.description).toContain(`Not later than ${said.to}`);
        expect(event.location).toBe('1 Bay Street, back');
      });
      const ids = events.map(({ uid }) => uid);
      expect(new Set(ids).size).toBe(
        new Set(dues.map(({ line, what, from }) => `${line} ${what} ${from}`)).size,
      );
    }),
    { numRuns: 60 },
  );
});
