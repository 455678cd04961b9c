/** Removes emptied fields instead of saving them empty; a list named in `keep` stays even when empty. */
export const withoutEmpty = <T extends object>(item: T, keep: readonly string[] = []): T =>
  Object.fromEntries(
    Object.entries(item as Record<string, unknown>).filter(
      ([field, value]) =>
        value !== undefined &&
        (keep.includes(field) ||
          typeof value !== 'object' ||
          value === null ||
          Object.keys(value).length > 0),
    ),
  ) as T;
