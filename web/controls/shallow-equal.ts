import { replaceEqualDeep } from '@tanstack/react-query';

/**
 * Comparison for `memo` on rows and marks: whether everything shown is equal in content. Results from the worker are
 * new objects each time.
 */
export const shallowEqual = <T extends object>(one: Readonly<T>, other: Readonly<T>): boolean =>
  Object.entries(one).every(([name, value]) => {
    const now: unknown = other[name as keyof T];
    return value === now || replaceEqualDeep<unknown>(value, now) === value;
  });
