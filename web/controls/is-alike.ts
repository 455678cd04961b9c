import { replaceEqualDeep } from '@tanstack/react-query';

/**
 * For `memo` of one of many rows or marks: whether all that it shows says the same. What is worked out beside the page comes
 * back as new objects each time.
 */
export const isAlike = <T extends object>(one: Readonly<T>, other: Readonly<T>): boolean =>
  replaceEqualDeep(one, other) === one;
