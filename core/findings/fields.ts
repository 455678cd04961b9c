import { z } from 'zod';

/** A measure in the job file: one number, or a range from its low to its high value. */
function measure(most: number) {
  const one = z.number().min(0).max(most);
  return z.union([
    one,
    z.tuple([one, one]).refine(([low, high]) => low <= high, 'a range runs from its low to its high value'),
  ]);
}

export const percent = measure(100).optional();
export const inches = measure(600).optional();
