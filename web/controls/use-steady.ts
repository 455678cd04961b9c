import { useLayoutEffect, useRef, useState } from 'react';

type Handler = (...args: unknown[]) => unknown;

/**
 * Handlers with a stable identity that always call the newest version, so that the rows of a long list are not rendered
 * again for each change. For presses and keys, not to be called while rendering.
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
