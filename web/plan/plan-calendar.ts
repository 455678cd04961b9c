import ical from 'ical-generator';
import { planDays } from '../../core/plan/day.js';
import { sayTime, type Plan } from '../../core/plan/plan.js';

/** A calendar line must not contain a line break. */
const oneLine = (text: string) => text.replaceAll(/\s+/g, ' ').trim();

/**
 * The days of a plan as a calendar file (RFC 5545): one event per working day, from its first task to its last, in
 * floating time; the work, and when the water is off, in its text.
 */
export function planCalendar(
  job: { readonly id: string; readonly title: string; readonly address: string | undefined },
  plan: Plan,
): string {
  const title = oneLine(job.title);
  const calendar = ical({ name: `Days of ${title}`, prodId: '//Open Trench//Plan//EN' });
  for (const { day, tasks, water } of planDays(plan)) {
    const times = tasks.flatMap(({ from, to }) => [from, to]).sort();
    calendar.createEvent({
      id: `${job.id}-plan-${day}@open-trench`,
      // No time zone: the hours are local to the work.
      start: `${day}T${times[0] ?? '07:00'}:00`,
      end: `${day}T${times.at(-1) ?? '15:00'}:00`,
      floating: true,
      summary: title,
      description: [
        ...tasks.map(({ task, from, to }) =>
          oneLine(`${sayTime(from)} to ${sayTime(to)}: ${task.what} (${task.crew})`),
        ),
        ...water.map(({ from, to }) => `Water off ${sayTime(from.time)} to ${sayTime(to.time)}.`),
      ].join('\n'),
      ...(job.address ? { location: oneLine(job.address) } : {}),
    });
  }
  return calendar.toString();
}
