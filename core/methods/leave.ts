import type { MethodRow } from './method.js';

/** Leave the pipe as it is. */
export const leave: MethodRow = {
  id: 'leave',
  words: { name: 'Leave', setUp: 'leave', asked: { name: 'Leave', key: 'k', does: 'leave it as it is' } },
  drawing: { fill: 'keep', ink: 'ink' },
  cures: [],
};
