import ical from 'ical-generator';
import { addDays } from '../../core/days.js';
import type { Due } from '../../core/upkeep/upkeep.js';

const whatWords = { clean: 'Clean the line', look: 'Inspect the line by camera' } as const;

/** A calendar line must not contain a line break. */
const oneLine = (text: string) => text.replaceAll(/\s+/g, ' ').trim();

/** Upkeep dates as a calendar file (RFC 5545): an all-day event on the first day of each, its last day in its text. */
export function calendarText(
  job: { readonly id: string; readonly title: string; readonly address: string | undefined },
  dues: readonly Due[],
  several: boolean,
): string {
  const title = oneLine(job.title);
  const calendar = ical({ name: `Upkeep of ${title}`, prodId: '//Open Trench//Upkeep//EN' });
  for (const { line, lineName, what, from, to, why } of dues) {
    calendar.createEvent({
      id: `${job.id}-${line}-${what}-${from}@open-trench`,
      start: new Date(`${from}T00:00:00Z`),
      end: new Date(`${addDays(from, 1)}T00:00:00Z`),
      allDay: true,
      timezone: 'UTC',
      summary: `${whatWords[what]}: ${title}${several ? `, ${oneLine(lineName)}` : ''}`,
      description: `${to === from ? '' : `Not later than ${to}. `}${oneLine(why)}.`,
      ...(job.address ? { location: oneLine(job.address) } : {}),
    });
  }
  return calendar.toString();
}
