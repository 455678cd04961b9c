// Says which mistake is on, and writes down which ones the code of a test file came by.
import { afterAll, expect } from '@jest/globals';
import fc from 'fast-check';
import { writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';

const on = Number(process.env.MUTANT_ON ?? -1);
const met = new Set();
globalThis.isMutantOn = (id) => {
  if (on === -1) met.add(id);
  return id === on;
};
// That a property fails is enough; the smallest case of it is nobody's here.
if (on !== -1) fc.configureGlobal({ ...fc.readConfigureGlobal(), endOnFailure: true });

afterAll(() => {
  const { testPath } = expect.getState();
  if (on === -1)
    writeFileSync(
      join(process.env.MUTANT_MET, `${basename(testPath)}.${process.pid}.${Date.now()}.json`),
      JSON.stringify({ testPath, met: [...met] }),
    );
});
