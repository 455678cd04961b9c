// Jest's transformer with one change put into one file, named by the environment. The source on disk is never touched.
import { createTransformer } from '@swc/jest';
import jestConfig from '../jest.config.js';

const [[, [, options]]] = Object.entries(jestConfig.transform);
const swc = createTransformer(options);
const { file, from, to, text } = JSON.parse(process.env.MUTANT ?? '{}');
const changed = (source, path) => (path === file ? source.slice(0, from) + text + source.slice(to) : source);

export default {
  process: (source, path, ...rest) => swc.process(changed(source, path), path, ...rest),
  processAsync: (source, path, ...rest) => swc.processAsync(changed(source, path), path, ...rest),
  getCacheKey: (source, path, ...rest) => swc.getCacheKey(changed(source, path), path, ...rest),
};
