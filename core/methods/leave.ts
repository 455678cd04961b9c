import type { MethodRow } from './method.js';

/** Leave the pipe as it is. */
export const leave: MethodRow = {
  id: 'leave',
  words: { name: 'Keep', setUp: 'leave', asked: { name: 'Keep', key: 'k', does: 'keep it' } },
  drawing: { fill: 'keep', ink: 'ink' },
  cures: [],
};
