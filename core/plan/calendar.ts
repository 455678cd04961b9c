import { addDays, type Day } from '../days.js';
import type { PlanRules } from '../job/plan-schema.js';

export const slotsPerHour = 4;
export const slot_min = 60 / slotsPerHour;
const dayMinutes = 24 * 60;

/** A date and a time of day, `07:30`. */
export interface Moment {
  readonly day: Day;
  readonly time: string;
}

/** Working time in quarter-hour slots, counted from the first working day. */
export interface Calendar {
  readonly slotsPerDay: number;
  /** The working day of a slot. */
  readonly dayOf: (slot: number) => Day;
  /** When a slot begins. */
  readonly startOf: (slot: number) => Moment;
  /** When work that fills all slots before this one ends: the evening rather than the next morning. */
  readonly endOf: (slot: number) => Moment;
  /** The slot that begins at a moment; undefined outside working hours. */
  readonly slotAt: (moment: Moment) => number | undefined;
  /** First slot at or after this many clock hours from the end of work, nights and days off included. */
  readonly afterHours: (end: number, hours: number) => number;
  /** First slot of the working day after this many whole working days from the end of work. */
  readonly afterDays: (end: number, days: number) => number;
}

const weekday = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay();
const daysBetween = (from: Day, to: Day): number =>
  (Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / (dayMinutes * 60_000);
const minutesOf = (time: string): number => {
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return hours * 60 + minutes;
};
const timeOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** The working days from a date on. A day off as first day moves to the next working day. */
export function calendarOf(
  { startsAt, hours, workdays }: Pick<PlanRules, 'startsAt' | 'hours' | 'workdays'>,
  startOn: Day,
): Calendar {
  const slotsPerDay = Math.round(hours * slotsPerHour);
  const opens_min = minutesOf(startsAt);
  const days: Day[] = [];
  const dayAt = (index: number): Day => {
    while (days.length <= index) {
      let next = days.length === 0 ? startOn : addDays(days.at(-1) ?? startOn, 1);
      while (!workdays.includes(weekday(next))) next = addDays(next, 1);
      days.push(next);
    }
    return days[index] ?? startOn;
  };
  const indexOf = (slot: number) => Math.floor(slot / slotsPerDay);
  const moment = (index: number, slotInDay: number): Moment => ({
    day: dayAt(index),
    time: timeOf(opens_min + slotInDay * slot_min),
  });
  /** Clock minutes since midnight before the first day. */
  const clockAtEnd = (end: number): number => {
    const index = end === 0 ? 0 : indexOf(end - 1);
    const inDay = end - index * slotsPerDay;
    return daysBetween(dayAt(0), dayAt(index)) * dayMinutes + opens_min + inDay * slot_min;
  };
  return {
    slotsPerDay,
    dayOf: (slot) => dayAt(indexOf(slot)),
    startOf: (slot) => moment(indexOf(slot), slot % slotsPerDay),
    endOf: (slot) =>
      slot % slotsPerDay === 0 && slot > 0
        ? moment(indexOf(slot) - 1, slotsPerDay)
        : moment(indexOf(slot), slot % slotsPerDay),
    slotAt: ({ day, time }) => {
      const inDay = Math.floor((minutesOf(time) - opens_min) / slot_min);
      if (day < dayAt(0) || inDay < 0 || inDay >= slotsPerDay) return undefined;
      let index = 0;
      while (dayAt(index) < day) index++;
      return dayAt(index) === day ? index * slotsPerDay + inDay : undefined;
    },
    afterHours: (end, lag) => {
      const clock = clockAtEnd(end) + Math.ceil(lag * 60);
      for (let index = 0; ; index++) {
        const opens = daysBetween(dayAt(0), dayAt(index)) * dayMinutes + opens_min;
        const inDay = Math.max(0, Math.ceil((clock - opens) / slot_min));
        if (inDay < slotsPerDay) return index * slotsPerDay + inDay;
      }
    },
    afterDays: (end, lag) => (lag === 0 ? end : (indexOf(Math.max(0, end - 1)) + 1 + lag) * slotsPerDay),
  };
}
