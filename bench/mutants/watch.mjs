// Tells which mutant is active, and records which ones each test reached.
import fc from 'fast-check';
import { writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';

const { afterAll, afterEach, beforeEach, expect } = globalThis;
/** Reaching a mutant more often than this means an endless loop. */
const most = 50_000_000;
const on = Number(process.env.MUTANT_ON ?? -1);
/** One flag per mutant: many are asked millions of times. */
const met = new Uint8Array(10_000);
let times = 0;
globalThis.isMutantOn =
  on === -1
    ? (id) => {
        met[id] = 1;
        return false;
      }
    : (id) => {
        if (id !== on) return false;
        if (++times > most) throw new Error('the mistake made a loop endless');
        return true;
      };
// A failing property is enough; its smallest counterexample is not needed.
if (on !== -1) fc.configureGlobal({ ...fc.readConfigureGlobal(), endOnFailure: true });

if (on === -1) {
  const metSinceLast = () => {
    const ids = [...met.keys()].filter((id) => met[id] === 1);
    met.fill(0);
    return ids;
  };
  const tests = [];
  /** Mutants reached while the file was loaded or prepared: all of its tests may depend on them. */
  const outside = new Set();
  let start_ms = 0;
  beforeEach(() => {
    for (const id of metSinceLast()) outside.add(id);
    start_ms = performance.now();
  });
  afterEach(() => {
    const { currentTestName } = expect.getState();
    tests.push({ name: currentTestName, ms: performance.now() - start_ms, met: metSinceLast() });
  });
  afterAll(() => {
    for (const id of metSinceLast()) outside.add(id);
    const { testPath } = expect.getState();
    writeFileSync(
      join(process.env.MUTANT_MET, `${basename(testPath)}.${process.pid}.${Date.now()}.json`),
      JSON.stringify({ path: testPath, outside: [...outside], tests }),
    );
  });
}
