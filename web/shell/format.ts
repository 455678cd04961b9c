import { format, parseISO } from 'date-fns';
import type { School } from '../../core/job/vocabulary.js';

/** Whole money for the eye, cents kept where they matter. */
export const money = (amount: number, currency: string, digits = 0): string =>
  new Intl.NumberFormat('en-US', {
    style: 'currency',
    currency,
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  }).format(amount);

export const feet = (value: number, digits = 1): string => {
  const text = value.toFixed(digits);
  return text === '-0.0' ? '0.0' : text.replace('-', '−');
};

export const day = (iso: string | undefined): string => (iso ? format(parseISO(iso), 'd MMMM') : '');
export const longDay = (iso: string): string => format(parseISO(iso), 'd MMMM yyyy');
export const shortDay = (iso: string): string => format(parseISO(iso), 'd MMM yyyy');
export const dayAndTime = (iso: string): string => format(parseISO(iso), 'd MMM yyyy, HH:mm');

export const videoTime = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

export const schoolWords: Record<School, { name: string; means: string }> = {
  maintain: { name: 'Keep it clean', means: 'dig only what has failed' },
  repair: { name: 'Fix what failed', means: 'and watch the rest' },
  renew: { name: 'Renew it whole', means: 'every old run that holds trouble' },
};

export const verdictWords: Record<string, string> = {
  blocked: 'Blocked',
  urgent: 'Urgent',
  repair: 'Repair',
  clean: 'Clean',
  serviceable: 'Serviceable',
  incomplete: 'Incomplete',
};
