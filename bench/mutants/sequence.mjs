/**
 * Runs the test files in the order given in MUTANT_TESTS, none left out; Jest requires these four methods of a
 * sequencer.
 */
export default class InOrder {
  sort(tests) {
    const order = (process.env.MUTANT_TESTS ?? '').split('\n');
    return [...tests].sort((a, b) => order.indexOf(a.path) - order.indexOf(b.path));
  }
  shard(tests) {
    return tests;
  }
  allFailedTests() {
    return [];
  }
  cacheResults() {}
}
