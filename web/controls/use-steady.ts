import { useLayoutEffect, useRef, useState } from 'react';

type Handler = (...args: unknown[]) => unknown;

/**
 * Handlers that stay the same from one drawing to the next and always do what the newest ones do, so that a long list whose
 * rows take them is not drawn again for each change. For presses and keys, not to be called while drawing.
 */
export function useSteady<T extends object>(handlers: T): T {
  const newest = useRef(handlers);
  useLayoutEffect(() => {
    newest.current = handlers;
  });
  const [steady] = useState(() => {
    const pass =
      (name: string): Handler =>
      (...args) =>
        (newest.current as Readonly<Record<string, Handler>>)[name]?.(...args);
    return Object.fromEntries(Object.keys(handlers).map((name) => [name, pass(name)])) as T;
  });
  return steady;
}
