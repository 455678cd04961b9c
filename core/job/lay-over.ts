const isTable = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What a table says itself: never what every object has by that name. */
const own = (table: Record<string, unknown>, key: string): unknown =>
  Object.hasOwn(table, key) ? table[key] : undefined;

/** Plain JSON with other values laid over it: tables merge key by key, all else is replaced; undefined says nothing. */
export function layOver(under: unknown, over: unknown): unknown {
  if (!isTable(under) || !isTable(over)) return over ?? under;
  const keys = [...new Set([...Object.keys(under), ...Object.keys(over)])];
  return Object.fromEntries(keys.map((key) => [key, layOver(own(under, key), own(over, key))]));
}
