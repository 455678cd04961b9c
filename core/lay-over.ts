const isTable = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A table's own value: never one inherited from Object.prototype. */
const own = (table: Record<string, unknown>, key: string): unknown =>
  Object.hasOwn(table, key) ? table[key] : undefined;

/**
 * Plain JSON with other values laid over it: tables merge key by key, anything else is replaced, undefined changes
 * nothing.
 */
export function layOver(under: unknown, over: unknown): unknown {
  if (!isTable(under) || !isTable(over)) return over ?? under;
  const keys = [...new Set([...Object.keys(under), ...Object.keys(over)])];
  return Object.fromEntries(keys.map((key) => [key, layOver(own(under, key), own(over, key))]));
}
