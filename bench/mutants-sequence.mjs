/** Test files in the order they were given in MUTANT_TESTS, none left out; Jest asks a sequencer for these four. */
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
