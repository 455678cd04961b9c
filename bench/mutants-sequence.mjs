import Sequencer from '@jest/test-sequencer';

/** Test files in the order they were given in MUTANT_TESTS. */
export default class InOrder extends Sequencer {
  sort(tests) {
    const order = (process.env.MUTANT_TESTS ?? '').split('\n');
    return [...tests].sort((a, b) => order.indexOf(a.path) - order.indexOf(b.path));
  }
}
