import { distance, feetOfInches, footMark, inchMark, number, toFeet, toNumber } from './numbers.js';

/** Type of a number field: a plain number, feet, inches, money, or a fraction entered in percent. */
export type Measure = 'number' | 'feet' | 'inches' | 'money' | 'share';

/** Field type from the unit in a job-file field name; a rate per foot is not feet. */
export const measureOfField = (name: string): Measure => {
  const unit = /(?<!_per)_(ft|in)$/.exec(name)?.[1];
  if (unit === undefined) return 'number';
  return unit === 'ft' ? 'feet' : 'inches';
};

/** Message for a field that could not be read: what would be right. */
export const measureWords: Readonly<Record<Measure, string>> = {
  number: 'a number, such as 12 or 5 1/2',
  feet: 'feet, such as 12.5, 5 1/2 or 5\'6"',
  inches: 'inches, such as 4 or 1 1/2',
  money: 'an amount, such as 1250 or 12.50',
  share: 'percent, such as 10',
};

const whole = (pattern: string) => new RegExp(`^(?:${pattern})$`, 'i');
const feetAndInches = whole(String.raw`(\d+)\s*${footMark}\s*(${number})\s*${inchMark}?`);
const onlyInches = whole(String.raw`(${number})\s*${inchMark}`);
const patterns: Readonly<Record<Measure, RegExp>> = {
  number: whole(number),
  feet: whole(distance),
  inches: whole(String.raw`${number}\s*${inchMark}?`),
  money: whole(String.raw`\$?\s*${number}`),
  share: whole(String.raw`${number}\s*(?:%|percent)?`),
};

/**
 * Reads a number as typed into a field: thousands separators, fractions, feet and inches, a percent sign. Undefined
 * where it is not a number.
 */
export function typedNumber(text: string, measure: Measure): number | undefined {
  const said = text
    .trim()
    .replace(/(\d),(?=\d{3}(?!\d))/g, '$1')
    // 5-1/2, 5'-6" and 5ft6, as they stand on drawings.
    .replace(/(\d|['’′])\s*-\s*(?=\d+\/\d)|(['’′])\s*-\s*(?=\d)/g, '$1$2 ')
    .replace(/(\d\s*(?:feet|foot|ft)\.?)(?=\d)/gi, '$1 ');
  const [, sign, size = ''] = /^([-−])?\s*(.*)$/.exec(said) ?? [];
  const value = sizeOf(size, measure);
  return value === undefined ? undefined : sign ? -value : value;
}

function sizeOf(size: string, measure: Measure): number | undefined {
  const inFeet = measure === 'feet' ? feetAndInches.exec(size) : null;
  if (inFeet) return toFeet(`${inFeet[1] ?? ''}' ${inFeet[2] ?? ''}"`);
  const inInches = measure === 'feet' ? onlyInches.exec(size)?.[1] : undefined;
  if (inInches !== undefined) return feetOfInches(toNumber(inInches));
  if (!patterns[measure].test(size)) return undefined;
  if (measure === 'feet') return toFeet(size);
  const value = toNumber(size.replace(/[$%"”″]|percent|in(?:ch(?:es)?)?\.?/gi, ''));
  // 7.25 % becomes 0.0725, without binary rounding error.
  return measure === 'share' ? Math.round(value * 1e8) / 1e10 : value;
}

/** A stored number formatted for its field: a fraction in percent. */
export const numberInField = (value: number | undefined, measure: Measure): string =>
  value === undefined ? '' : String(measure === 'share' ? Math.round(value * 1e10) / 1e8 : value);
