// ESLint and the types of all sources: both read one program, so that nothing is checked twice.
import { ESLint } from 'eslint';
import ts from 'typescript';
import { root } from './setup.mjs';

const { fileNames, options } = ts.getParsedCommandLineOfConfigFile(`${root}/tsconfig.lint.json`, {}, ts.sys);
const program = ts.createProgram(fileNames, options);
const eslint = new ESLint({
  cwd: root,
  overrideConfig: [
    {
      files: ['**/*.{ts,tsx}'],
      languageOptions: { parserOptions: { programs: [program], project: null } },
    },
  ],
});
const results = await eslint.lintFiles(['.']);
const stylish = await eslint.loadFormatter('stylish');
process.stdout.write(await stylish.format(results));

const faults = ts.getPreEmitDiagnostics(program);
const host = {
  getCanonicalFileName: (file) => file,
  getCurrentDirectory: () => root,
  getNewLine: () => '\n',
};
process.stdout.write(ts.formatDiagnostics(faults, host));
process.exitCode = faults.length > 0 || results.some(({ errorCount }) => errorCount > 0) ? 1 : 0;
