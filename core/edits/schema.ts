import * as z from 'zod';
import * as jobSchemas from '../job/schema.js';
import { editKinds } from './index.js';
import type { AnyEdit, EditKind } from './kind.js';

/** An edit of a line, run or entry carries its id twice: in its address and in the value it sets. */
function isOfWhatItSets({ kind, set, ...address }: AnyEdit): boolean {
  const own = (address as Record<string, unknown>)[kind];
  const sets = typeof set === 'object' && set !== null && 'id' in set ? set.id : undefined;
  return own === undefined || sets === undefined || own === sets;
}

type Schemas<Kinds> = {
  readonly [K in keyof Kinds]: Kinds[K] extends EditKind<infer Schema> ? Schema : never;
};

/** What the kinds use: all of `z` would bring its every language along. */
const parts = { literal: z.literal, strictObject: z.strictObject };

/** One change to a job, as it is sent to the server. */
export const editSchema = z
  .discriminatedUnion(
    'kind',
    editKinds.map(({ schema }) => schema({ ...jobSchemas, z: parts })) as unknown as Schemas<
      typeof editKinds
    >,
  )
  .refine(isOfWhatItSets, {
    path: ['set', 'id'],
    error: 'is not the id that the edit is of: they must be the same',
  });
