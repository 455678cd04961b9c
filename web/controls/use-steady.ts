import { useLayoutEffect, useRef, useState } from 'react';

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- Any handlers at all: the caller's own types come back.
type Handlers = Readonly<Record<string, (...args: any[]) => unknown>>;

/**
 * Handlers that stay the same from one drawing to the next and always do what the newest ones do, so that a long list whose
 * rows take them is not drawn again for each change. For presses and keys, not to be called while drawing.
 */
export function useSteady<T extends Handlers>(handlers: T): T {
  const newest = useRef(handlers);
  useLayoutEffect(() => {
    newest.current = handlers;
  });
  const [steady] = useState(
    () =>
      Object.fromEntries(
        Object.keys(handlers).map((name) => [name, (...args: unknown[]) => newest.current[name]?.(...args)]),
      ) as T,
  );
  return steady;
}
