import { replaceEqualDeep } from '@tanstack/react-query';

/**
 * For `memo` of one of many rows or marks: whether all that it shows says the same. What is worked out beside the page comes
 * back as new objects each time.
 */
export const isAlike = <T extends object>(one: Readonly<T>, other: Readonly<T>): boolean =>
  Object.entries(one).every(([name, value]) => {
    const now: unknown = other[name as keyof T];
    return value === now || replaceEqualDeep<unknown>(value, now) === value;
  });
