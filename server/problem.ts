import type { Context } from 'hono';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import type { Fault } from '../core/job/faults.js';
import type { Conflict } from './jobs/conflicts.js';

/** An error as problem details (RFC 9457), with the path of each fault. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly errors?: readonly Fault[];
  readonly conflicts?: readonly Conflict[];
  /** The version of the job that the conflicts were found against. */
  readonly version?: number;
}

export function problem(
  c: Context,
  status: ContentfulStatusCode,
  title: string,
  more: Pick<Problem, 'detail' | 'errors' | 'conflicts' | 'version'> = {},
): Response {
  const body: Problem = { type: 'about:blank', title, status, ...more };
  return c.body(JSON.stringify(body), status, { 'content-type': 'application/problem+json' });
}
