import { legsOf } from './legs.js';
import { passesOf, type PassRule } from './passes.js';
import type { Problem } from './problem.js';

/** A problem as it is stated: its passes by a rule. */
export interface ProblemInput extends Omit<Problem, 'legs' | 'passes'> {
  /** Number of arrivals. */
  readonly arrivals: number;
  readonly pass: PassRule;
}

/** A problem with its moves and passes expanded onto levels, ready for any number of searches. */
export function buildProblem({ arrivals, pass, ...stated }: ProblemInput): Problem {
  const legs = legsOf({ ...stated, arrivals });
  return { ...stated, legs, passes: passesOf({ ...stated, arrivals, legs }, pass) };
}
