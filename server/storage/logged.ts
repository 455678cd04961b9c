import { DrizzleQueryError } from 'drizzle-orm';

/**
 * Log form of an error: for a failed query its text and PostgreSQL's code, never the values, which are customers' data.
 */
export function logged(error: unknown): unknown {
  if (!(error instanceof DrizzleQueryError)) return error;
  const { code, severity, routine } = (error.cause ?? {}) as Partial<Record<string, unknown>>;
  return { failed: 'a query', query: error.query, code, severity, routine };
}
