import { DrizzleQueryError } from 'drizzle-orm';

/** What is logged of an error: of a failed query its text and PostgreSQL's code, and never the values, which are what customers said. */
export function logged(error: unknown): unknown {
  if (!(error instanceof DrizzleQueryError)) return error;
  const { code, severity, routine } = (error.cause ?? {}) as Partial<Record<string, unknown>>;
  return { failed: 'a query', query: error.query, code, severity, routine };
}
