// Jest's transformer with all chosen mutants compiled in, inactive; bench/mutants.ts selects the active one. The source
// on disk is never touched, and a file is compiled once for all of them.
import { readFileSync } from 'node:fs';
import transform from '../../scripts/jest-transform.mjs';

const files = JSON.parse(readFileSync(process.env.MUTANT_FILES, 'utf8'));
const changed = (source, path) =>
  path in files ? `const __isOn = globalThis.isMutantOn; ${files[path]}` : source;

export default {
  process: (source, path, ...rest) => transform.process(changed(source, path), path, ...rest),
  processAsync: (source, path, ...rest) => transform.processAsync(changed(source, path), path, ...rest),
  getCacheKey: (source, path, ...rest) => transform.getCacheKey(changed(source, path), path, ...rest),
};
