/** A date as the job file writes it, `2026-03-04`. */
export type Day = string;

const parts = (day: Day): [number, number, number] => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return [year, month, date];
};

const written = (utc_ms: number): Day => new Date(utc_ms).toISOString().slice(0, 10);

export function addDays(day: Day, days: number): Day {
  const [year, month, date] = parts(day);
  return written(Date.UTC(year, month - 1, date + days));
}

/** This many months later; clamped to the last day of a shorter month. */
export function addMonths(day: Day, months: number): Day {
  const [year, month, date] = parts(day);
  const lastOfMonth = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return written(Date.UTC(year, month - 1 + months, Math.min(date, lastOfMonth)));
}

/** The latest of the dates; undefined where there are none. */
export const latest = (days: readonly (Day | undefined)[]): Day | undefined =>
  days.reduce<Day | undefined>(
    (last, each) => (each !== undefined && (last === undefined || each > last) ? each : last),
    undefined,
  );

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A date for display: `Mar 4, 2026`. */
export function sayDay(day: Day): string {
  const [year, month, date] = parts(day);
  return `${months[month - 1] ?? ''} ${date}, ${year}`;
}
