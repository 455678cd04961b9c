// Jest's transformer with one change put into one file, named by the environment. The source on disk is never touched.
import transform from '../scripts/jest-transform.mjs';

const { file, from, to, text } = JSON.parse(process.env.MUTANT ?? '{}');
const changed = (source, path) => (path === file ? source.slice(0, from) + text + source.slice(to) : source);

export default {
  process: (source, path, ...rest) => transform.process(changed(source, path), path, ...rest),
  processAsync: (source, path, ...rest) => transform.processAsync(changed(source, path), path, ...rest),
  getCacheKey: (source, path, ...rest) => transform.getCacheKey(changed(source, path), path, ...rest),
};
