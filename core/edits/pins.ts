import type { Pin } from '../job/schema.js';
import type { Method } from '../job/vocabulary.js';
import { editKind, lineOf, within, type EditWords } from './kind.js';

/** The pins of a line; null where it has none. */
export const pinsEdit = editKind({
  kind: 'pins',
  schema: ({ z, idSchema, pinsSchema }) =>
    z.strictObject({ kind: z.literal('pins'), line: idSchema, set: pinsSchema.nullable() }),
  read: (job, { line }) => lineOf(job, line)?.pins ?? null,
  write: (job, { line, set }) =>
    within(job, line, ({ pins: _old, ...rest }) => (set ? { ...rest, pins: set } : rest)),
  things: ({ line }) => [`pins ${line}`],
  isHomeless: (job, { line }) => lineOf(job, line) === undefined,
  isList: true,
  row: ({ line }) => ({ of: 'line', line }),
  say: ({ set }, before, _job, words) => {
    const [old, now] = [before.set ?? [], set ?? []];
    const added = now.filter((pin) => !old.some(({ id }) => id === pin.id));
    if (now.length < old.length) return `Lifted ${count(old.length - now.length)}`;
    return added.length > 0 ? `Pinned ${added.map((pin) => sayPin(pin, words)).join(', ')}` : 'Moved a pin';
  },
});

const count = (pins: number) => (pins === 1 ? 'a pin' : `${pins} pins`);

function sayPin({ method, never, from_ft, to_ft }: Pin, words: EditWords): string {
  const name = (each: Method) => words.method(each).toLowerCase();
  const what = method ? name(method) : never ? `never ${never.map(name).join(', ')}` : 'a split';
  const ends = [from_ft, to_ft].flatMap((x) => (x === undefined ? [] : [x.toFixed(1)]));
  return ends.length > 0 ? `${what} at ${[...new Set(ends)].join(' to ')} ft` : what;
}
