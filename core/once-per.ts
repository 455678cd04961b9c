/** A pure function of an object that computes its result once for each. The object must never be changed in place. */
export function oncePer<K extends object, V extends object | string>(compute: (of: K) => V): (of: K) => V {
  const results = new WeakMap<K, V>();
  return (of) => {
    const known = results.get(of);
    if (known !== undefined) return known;
    const result = compute(of);
    results.set(of, result);
    return result;
  };
}
