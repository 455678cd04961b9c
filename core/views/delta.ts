/**
 * How one value of plain data differs from another. Unchanged parts are left out, so a delta crosses to another thread in
 * proportion to what changed, and applying it keeps the identity of everything that did not. Undefined means no change.
 */
export type Delta =
  | { readonly is: unknown }
  /** Fields that changed, and those that are gone. */
  | { readonly fields: Readonly<Record<string, Delta>>; readonly gone: readonly string[] }
  /** Each item: the index of an equal former one, or a change of a former one, or a new value. */
  | { readonly items: readonly Item[] };

type Item = number | { readonly of: number; readonly delta: Delta } | { readonly is: unknown };
type Plain = Readonly<Record<string, unknown>>;

/** The delta from `was` to `now`, both plain data as JSON has it; undefined where they are equal. */
export function deltaOf(was: unknown, now: unknown): Delta | undefined {
  if (was === now || textOf(was) === textOf(now)) return undefined;
  if (isList(was) && isList(now)) return itemsFrom(was, now);
  if (isPlain(was) && isPlain(now)) return fieldsFrom(was, now);
  return { is: now };
}

/** The value that `was` has become, sharing every unchanged part with it. */
export const applyDelta = <T>(was: T, delta: Delta | undefined): T => applied(was, delta) as T;

function applied(was: unknown, delta: Delta | undefined): unknown {
  if (delta === undefined) return was;
  if ('is' in delta) return delta.is;
  if ('items' in delta) {
    const former = was as readonly unknown[];
    return delta.items.map((item) => {
      if (typeof item === 'number') return former[item];
      return 'is' in item ? item.is : applied(former[item.of], item.delta);
    });
  }
  const former = Object.entries(was as Plain).filter(([name]) => !delta.gone.includes(name));
  const fields = new Map<string, unknown>(former);
  for (const [name, each] of Object.entries(delta.fields)) fields.set(name, applied(fields.get(name), each));
  return Object.fromEntries(fields);
}

function fieldsFrom(was: Plain, now: Plain): Delta {
  const fields = Object.entries(now).flatMap(([name, value]) => {
    const delta = Object.hasOwn(was, name) ? deltaOf(was[name], value) : { is: value };
    return delta ? [[name, delta] as const] : [];
  });
  const gone = Object.keys(was).filter((name) => !Object.hasOwn(now, name));
  return { fields: Object.fromEntries(fields), gone };
}

/** Items are found again by their content wherever they moved, else by their id. */
function itemsFrom(was: readonly unknown[], now: readonly unknown[]): Delta {
  const placeOf = new Map(was.map((item, i) => [textOf(item), i]));
  const placeOfId = new Map(was.map((item, i) => [idOf(item), i]));
  return {
    items: now.map((item) => {
      const equal = placeOf.get(textOf(item));
      if (equal !== undefined) return equal;
      const id = idOf(item);
      const of = id === undefined ? undefined : placeOfId.get(id);
      const delta = of === undefined ? undefined : deltaOf(was[of], item);
      return of === undefined || delta === undefined ? { is: item } : { of, delta };
    }),
  };
}

const textOf = (value: unknown): string => (value === undefined ? 'undefined' : JSON.stringify(value));

const isList = (value: unknown): value is readonly unknown[] => Array.isArray(value);
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !isList(value);

const idOf = (item: unknown): unknown => (isPlain(item) ? item.id : undefined);
