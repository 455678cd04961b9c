import type { Run } from './schema.js';

/** A run's name, else its number. */
export const runName = ({ id, name }: Pick<Run, 'id' | 'name'>): string =>
  name ?? `Run ${id.replace(/^R(?=\d)/, '')}`;
