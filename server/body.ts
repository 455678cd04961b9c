import { zValidator } from '@hono/zod-validator';
import { createMiddleware } from 'hono/factory';
import type * as z from 'zod';
import { faultsOf, textFaults } from '../core/job/faults.js';
import { problem } from './problem.js';

/** Bodies must be declared as JSON: a form on a foreign page cannot send that without a preflight. */
export const asJson = createMiddleware(async (c, next) => {
  if (!c.req.header('content-type')?.includes('json')) {
    return problem(c, 415, 'Send JSON', { detail: 'send the body as application/json' });
  }
  await next();
  return undefined;
});

/** A body by its schema: invalid JSON and every fault are reported with what would be right. */
export const body = <Schema extends z.ZodType>(schema: Schema) =>
  zValidator('json', schema, (result, c) => {
    const errors = result.success ? textFaults(result.data) : faultsOf(result.error, result.data);
    return errors.length > 0 ? problem(c, 422, 'This cannot be accepted as it is', { errors }) : undefined;
  });

/** The query of the address, by its schema. */
export const query = <Schema extends z.ZodType>(schema: Schema) =>
  zValidator('query', schema, (result, c) =>
    result.success
      ? undefined
      : problem(c, 422, 'This cannot be accepted as it is', { errors: faultsOf(result.error, result.data) }),
  );
