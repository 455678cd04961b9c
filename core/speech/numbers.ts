/**
 * Numbers as people write them in a log: 41.5, 41 1/2, 41½, 41' 6", 41ft 6in; clock times; and formatting them again.
 */

const vulgar: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};
const vulgarClass = `[${Object.keys(vulgar).join('')}]`;
const decimal = String.raw`(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?`;
const fraction = String.raw`(?:\d+\/\d+|${vulgarClass})`;

/** Pattern of one number, without capture groups. */
export const number = String.raw`(?:\d+\s+${fraction}|\d+${vulgarClass}|${fraction}|${decimal})`;
export const footMark = String.raw`(?:'|’|′|ft\b\.?|feet\b|foot\b)`;
export const inchMark = String.raw`(?:"|”|″|in\b\.?|inch(?:es)?\b)`;
/** A distance in feet, optionally with inches, without capture groups. */
export const distance = String.raw`(?:\d+\s*${footMark}\s*${number}\s*${inchMark}|${number}\s*${footMark}?)`;
export const clockTime = String.raw`(?:1[0-2]|[1-9])(?::[0-5]\d)?`;
export const dash = String.raw`(?:-|–|—|to\b|until\b)`;

const vulgarSigns = new RegExp(vulgarClass, 'g');
const feetInchesFirst = new RegExp(String.raw`^(\d+)\s*${footMark}\s*(${number})\s*${inchMark}`, 'i');
const footMarkLast = new RegExp(`${footMark}\\s*$`, 'i');

/** The numeric value of a `number`. */
export function toNumber(text: string): number {
  const spread = text.trim().replace(vulgarSigns, (sign) => ` ${vulgar[sign] ?? 0}`);
  return spread.split(/\s+/).reduce((sum, part) => {
    if (part === '') return sum;
    const [over = '0', under] = part.split('/');
    return sum + (under === undefined ? Number(over) : Number(over) / Math.max(1, Number(under)));
  }, 0);
}

/** The value of a `distance`, ft, with binary rounding error from inches removed. */
export function toFeet(text: string): number {
  const match = feetInchesFirst.exec(text.trim());
  if (match) return Math.round((Number(match[1]) + toNumber(match[2] ?? '0') / 12) * 10_000) / 10_000;
  return toNumber(text.replace(footMarkLast, ''));
}

/** Inches in ft, with binary rounding error removed. */
export const feetOfInches = (inches: number): number => Math.round((10_000 * inches) / 12) / 10_000;

/** A time such as 4:30 as a clock position, 0 < c ≤ 12. */
export function toClock(time: string): number {
  const [hours = '12', minutes = '0'] = time.replace(/\s*o['’]?clock/i, '').split(':');
  const at = (Number(hours) % 12) + Number(minutes) / 60;
  return at === 0 ? 12 : at;
}

/** Formats a number so that `toNumber` returns the same value. */
export const numberText = (value: number): string => String(value);

/** Shortest form of a clock position that reads back to the same value: 4:30, or the plain decimal. */
export function clockText(at: number): string {
  const minutes = Math.round((at % 1) * 60);
  const hours = Math.floor(at) === 0 ? 12 : Math.floor(at);
  const time = minutes === 0 ? String(hours) : `${hours}:${String(minutes).padStart(2, '0')}`;
  return minutes < 60 && toClock(time) === at ? time : numberText(at);
}
