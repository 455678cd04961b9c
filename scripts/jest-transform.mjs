// TypeScript for Jest. Jest runs a test in a context of its own, where every access to a global (Infinity, Math, Map)
// goes
// through an interceptor and never becomes a constant: the search took four times as long as in plain Node. So each
// module gets the globals it uses as constants of its own.
import { createTransformer } from '@swc/jest';

const swc = createTransformer({
  jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' },
  module: { type: 'es6' },
});

// prettier-ignore
const standard = [
  'Infinity', 'NaN', 'Math', 'Number', 'BigInt', 'String', 'Boolean', 'Object', 'Array', 'Map', 'Set', 'WeakMap', 'JSON',
  'Symbol', 'Uint8Array', 'Uint16Array', 'Uint32Array', 'Int8Array', 'Int16Array', 'Int32Array', 'Float64Array',
];

function withConstants({ code, ...rest }) {
  const declared = new Set(
    [...code.matchAll(/\b(?:import|const|let|var|class|function)\b[^;=(]*/g)].flatMap(([text]) =>
      text.match(/[\w$]+/g),
    ),
  );
  const named = standard.filter(
    (name) => !declared.has(name) && new RegExp(`(?<![.\\w$])${name}\\b`).test(code),
  );
  return { ...rest, code: named.length > 0 ? `const { ${named.join(', ')} } = globalThis; ${code}` : code };
}

export default {
  process: (...args) => withConstants(swc.process(...args)),
  processAsync: async (...args) => withConstants(await swc.processAsync(...args)),
  getCacheKey: (source, ...rest) => swc.getCacheKey(`constants ${standard.length} ${source}`, ...rest),
};
