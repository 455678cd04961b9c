import * as z from 'zod';
import { scopeFileSchema } from './scope-file-schema.js';
import { firmSchema } from '../job/firm-schema.js';
import { jobSchema } from '../job/schema.js';

/**
 * The open formats as JSON Schema (2020-12), published under docs/. Rules between fields are checked by the reader.
 */
export function publishedSchemas(): Record<'job' | 'scope' | 'firm', object> {
  const publish = (schema: z.ZodType) =>
    z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', reused: 'ref' });
  return { job: publish(jobSchema), scope: publish(scopeFileSchema), firm: publish(firmSchema) };
}
