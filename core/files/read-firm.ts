import { firmSchema } from '../job/firm-schema.js';
import type { Firm } from '../job/firm.js';
import { faultsOf, parseText, type Fault } from '../job/faults.js';
import { ruleFaults } from './rule-faults.js';

export type ReadFirm =
  | { readonly firm: Firm; readonly faults?: undefined }
  | { readonly firm?: undefined; readonly faults: readonly Fault[] };

/** Reads a company from a parsed file: the company, or every fault with its path. */
export function readFirm(value: unknown): ReadFirm {
  const parsed = firmSchema.safeParse(value);
  if (!parsed.success) return { faults: faultsOf(parsed.error, value) };
  const faults = ruleFaults(parsed.data.rules);
  return faults.length > 0 ? { faults } : { firm: parsed.data };
}

/** The same from the text of the file. */
export function readFirmText(text: string): ReadFirm {
  const parsed = parseText(text);
  return 'faults' in parsed ? parsed : readFirm(parsed.value);
}
