import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { readJobText } from '../core/files/read.js';
import { scopeFile } from '../core/files/scope-file.js';
import { scopeOf } from '../core/scope/scope.js';
import { readyJob } from '../core/solve/ready.js';

/**
 * The headless scope. One file: the scope as indented JSON. Several: one scope per line, in the order given; a bad
 * file, or one that cannot be computed, does not stop the others. Faults go to standard error, one per line with its
 * path; exit code 2 when there were any.
 */
export function run(
  paths: readonly string[],
  out: (text: string) => void,
  fault: (text: string) => void,
): 0 | 2 {
  if (paths.length === 0) {
    fault('give one or more job files: npm run --silent scope -- JOB.json');
    return 2;
  }
  let bad = false;
  for (const path of paths) {
    const read = load(path);
    if (read.faults) {
      bad = true;
      for (const { path: at, message } of read.faults) fault(`${path}: ${at ? `${at}: ` : ''}${message}`);
      continue;
    }
    try {
      const ready = readyJob(read.job);
      const scope = scopeFile(ready, scopeOf(ready));
      out(paths.length === 1 ? JSON.stringify(scope, null, 2) : JSON.stringify(scope));
    } catch (error) {
      bad = true;
      const why = error instanceof Error ? error.message : String(error);
      fault(`${path}: could not be calculated (a fault of the program, not of the job): ${why}`);
    }
  }
  return bad ? 2 : 0;
}

function load(path: string): ReturnType<typeof readJobText> {
  let text: string;
  try {
    // npm runs scripts in the package's folder; paths are relative to where the command was typed.
    text = readFileSync(resolve(process.env.INIT_CWD ?? '', path), 'utf8');
  } catch (error) {
    return {
      faults: [
        { path: '', message: `cannot be read: ${error instanceof Error ? error.message : String(error)}` },
      ],
    };
  }
  return readJobText(text);
}
