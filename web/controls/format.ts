import { format, parseISO } from 'date-fns';
import type { Run } from '../../core/job/schema.js';

/** Creating a formatter takes milliseconds; only a few are needed. */
const moneyFormats = new Map<string, Intl.NumberFormat>();

/** Money for display: whole, with cents where they matter. */
export function money(amount: number, currency: string, digits = 0): string {
  const key = `${currency} ${digits}`;
  let known = moneyFormats.get(key);
  if (!known) {
    const fraction = { minimumFractionDigits: digits, maximumFractionDigits: digits };
    known = new Intl.NumberFormat('en-US', { style: 'currency', currency, ...fraction });
    moneyFormats.set(key, known);
  }
  return known.format(amount);
}

export const feet = (value: number, digits = 1): string => {
  const text = value.toFixed(digits);
  return text === '-0.0' ? '0.0' : text.replace('-', '−');
};

export const day = (iso: string | undefined): string => (iso ? format(parseISO(iso), 'MMMM d') : '');
export const longDay = (iso: string): string => format(parseISO(iso), 'MMMM d, yyyy');
export const dayAndTime = (iso: string): string => format(parseISO(iso), 'MMM d, yyyy, h:mm a');

export const clockTime = (iso: string): string => format(parseISO(iso), 'h:mm a');

export const videoTime = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export const verdictWords: Record<string, string> = {
  blocked: 'Blocked',
  urgent: 'Urgent',
  repair: 'Repair',
  clean: 'Clean',
  serviceable: 'Serviceable',
  incomplete: 'Incomplete',
};

/** A run's name, else its number. */
export const runName = ({ id, name }: Pick<Run, 'id' | 'name'>): string =>
  name ?? `Run ${id.replace(/^R(?=\d)/, '')}`;
