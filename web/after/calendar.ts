import ical from 'ical-generator';
import { addDays } from '../../core/job/days.js';
import type { Due } from '../../core/upkeep/upkeep.js';

const whatWords = { clean: 'Clean the line', look: 'Look at the line by camera' } as const;

/** Upkeep dates as a calendar file (RFC 5545): an all-day event on the first day of each, its last day in its text. */
export function calendarText(
  job: { readonly id: string; readonly title: string; readonly address: string | undefined },
  dues: readonly Due[],
  several: boolean,
): string {
  const calendar = ical({ name: `Upkeep of ${job.title}`, prodId: '//Open Trench//Upkeep//EN' });
  for (const { line, lineName, what, from, to, why } of dues) {
    calendar.createEvent({
      id: `${job.id}-${line}-${what}-${from}@open-trench`,
      start: new Date(`${from}T00:00:00Z`),
      end: new Date(`${addDays(from, 1)}T00:00:00Z`),
      allDay: true,
      timezone: 'UTC',
      summary: `${whatWords[what]}: ${job.title}${several ? `, ${lineName}` : ''}`,
      description: `${to === from ? '' : `Not later than ${to}. `}${why}.`,
      ...(job.address ? { location: job.address } : {}),
    });
  }
  return calendar.toString();
}
