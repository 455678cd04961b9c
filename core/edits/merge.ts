/** Result of merging two changes to one value: the merged value, or the fields that conflict. */
export type Merged<T> = { readonly merged: T } | { readonly clash: readonly string[] };

/**
 * Three-way merge of plain JSON: a change on either side against the base is taken; where both sides changed the same
 * field differently it is a conflict, named by path. Lists of items with ids merge item by item, other lists as a
 * whole.
 */
export function mergeThree<T>(base: T, theirs: T, mine: T): Merged<T> {
  const clash: string[] = [];
  const merged = merge(base, theirs, mine, '', clash);
  return clash.length > 0 ? { clash } : { merged: merged as T };
}

export const sameJson = (a: unknown, b: unknown): boolean => {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((each, i) => sameJson(each, b[i]));
  }
  if (!isObject(a) || !isObject(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => sameJson(a[key], b[key]));
};

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isThings = (value: unknown): value is { id: string }[] =>
  Array.isArray(value) && value.every((each) => isObject(each) && typeof each.id === 'string');

function merge(base: unknown, theirs: unknown, mine: unknown, at: string, clash: string[]): unknown {
  if (sameJson(mine, theirs) || sameJson(mine, base)) return theirs;
  if (sameJson(theirs, base)) return mine;
  const under = (key: string) => (at === '' ? key : `${at}.${key}`);
  if (isObject(base) && isObject(theirs) && isObject(mine)) {
    const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
    return Object.fromEntries(
      keys
        .map((key) => [key, merge(base[key], theirs[key], mine[key], under(key), clash)] as const)
        .filter(([, value]) => value !== undefined),
    );
  }
  if (isThings(theirs) && isThings(mine) && (base === undefined || isThings(base))) {
    const find = (all: { id: string }[] | undefined, id: string) => all?.find((each) => each.id === id);
    const ids = [...new Set([...theirs, ...mine].map(({ id }) => id))];
    return ids
      .map((id) => merge(find(base, id), find(theirs, id), find(mine, id), under(id), clash))
      .filter((each) => each !== undefined);
  }
  clash.push(at);
  return theirs;
}
