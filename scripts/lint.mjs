// ESLint, the types of all sources and the size of their folders. ESLint and types read one program, so that nothing is
// checked twice.
import { ESLint } from 'eslint';
import { dirname, relative } from 'node:path';
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

/** A folder of more files than this is parted; tests are not counted. */
const mostFiles = 15;
const filesIn = new Map();
for (const name of fileNames.filter((each) => !/\.test\.tsx?$/.test(each)))
  filesIn.set(dirname(name), (filesIn.get(dirname(name)) ?? 0) + 1);
const crowded = [...filesIn].filter(([, count]) => count > mostFiles);
for (const [folder, count] of crowded)
  process.stdout.write(`${relative(root, folder)} holds ${count} files: part it, ${mostFiles} at most\n`);

const isWrong = results.some(({ errorCount }) => errorCount > 0);
process.exitCode = faults.length > 0 || crowded.length > 0 || isWrong ? 1 : 0;
