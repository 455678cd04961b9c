/** The first unused id of `prefix1`, `prefix2`, …; `suffix` follows the number. */
export function freeId(taken: Iterable<string>, prefix: string, suffix = ''): string {
  const known = new Set(taken);
  let next = 1;
  while (known.has(`${prefix}${next}${suffix}`)) next++;
  return `${prefix}${next}${suffix}`;
}
