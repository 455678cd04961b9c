import * as z from 'zod';

/** A measure in the job file: one number, or a range from its low to its high value. */
function measure(most: number) {
  const one = z.number().min(0).max(most);
  return z.union([
    one,
    z.tuple([one, one]).refine(([low, high]) => low <= high, 'a range runs from its low to its high value'),
  ]);
}

/** What the fields of a finding are made of in the job file. All of `z` would bring its every language into the pages. */
export const fieldTypes = {
  z: { enum: z.enum, boolean: z.boolean },
  percent: measure(100).optional(),
  inches: measure(600).optional(),
};
export type FieldTypes = typeof fieldTypes;
