/**
 * A pure function of an object that computes its result once for each, or once for all that have the same key. Neither
 * the object nor its key may be changed in place.
 */
export function oncePer<K extends object, V extends object | string>(
  compute: (of: K) => V,
  keyOf: (of: K) => object = (of) => of,
): (of: K) => V {
  const results = new WeakMap<object, V>();
  return (of) => {
    const key = keyOf(of);
    const known = results.get(key);
    if (known !== undefined) return known;
    const result = compute(of);
    results.set(key, result);
    return result;
  };
}

/** The same for a function of a small whole number, such as an index. */
export function oncePerIndex<V>(compute: (index: number) => V): (index: number) => V {
  const results: ({ readonly is: V } | undefined)[] = [];
  return (index) => (results[index] ??= { is: compute(index) }).is;
}
