import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { readJobText } from '../core/files/read.js';
import { scopeFile } from '../core/files/scope-file.js';
import { scopeOf } from '../core/scope/scope.js';
import { readyJob } from '../core/solve/ready.js';

/** What one file came to: its scope as JSON, and what was wrong, each with the file's path. */
export interface Answer {
  readonly scope?: string;
  readonly faults: readonly string[];
}

/** The scope of one job file; indented where it is the only one. */
export function answerOf(path: string, only: boolean): Answer {
  const read = load(path);
  if (read.faults)
    return {
      faults: read.faults.map(({ path: at, message }) => `${path}: ${at ? `${at}: ` : ''}${message}`),
    };
  try {
    const ready = readyJob(read.job);
    const scope = scopeFile(ready, scopeOf(ready));
    return { scope: only ? JSON.stringify(scope, null, 2) : JSON.stringify(scope), faults: [] };
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return {
      faults: [`${path}: could not be calculated (a fault of the program, not of the job): ${why}`],
    };
  }
}

type Say = (text: string) => void;
export type Answers = (paths: readonly string[]) => Iterable<Answer> | AsyncIterable<Answer>;

/**
 * The headless scope. One file: the scope as indented JSON. Several: one scope per line, in the order given; a bad
 * file, or one that cannot be computed, does not stop the others. Faults go to standard error, one per line with its
 * path; exit code 2 when there were any. `answers` computes them.
 */
export async function run(
  paths: readonly string[],
  out: Say,
  fault: Say,
  answers: Answers = oneByOne,
): Promise<0 | 2> {
  if (paths.length === 0) {
    fault('give one or more job files: npm run --silent scope -- JOB.json');
    return 2;
  }
  let bad = false;
  for await (const { scope, faults } of answers(paths)) {
    if (scope !== undefined) out(scope);
    for (const each of faults) {
      bad = true;
      fault(each);
    }
  }
  return bad ? 2 : 0;
}

/** In this thread, each when it is asked for. */
export const oneByOne: Answers = function* (paths) {
  for (const path of paths) yield answerOf(path, paths.length === 1);
};

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
