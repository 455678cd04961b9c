import { createContext, use, useLayoutEffect, useState, useSyncExternalStore, type ReactNode } from 'react';

interface Store<T> {
  readonly get: () => T;
  readonly set: (value: T) => void;
  readonly subscribe: (heard: () => void) => () => void;
}

function storeOf<T>(first: T): Store<T> {
  let value = first;
  const listeners = new Set<() => void>();
  return {
    get: () => value,
    set: (next) => {
      if (Object.is(next, value)) return;
      value = next;
      for (const heard of listeners) heard();
    },
    subscribe: (heard) => {
      listeners.add(heard);
      return () => {
        listeners.delete(heard);
      };
    },
  };
}

/**
 * A value for everything below a component, and the hook that reads it. For a value that changes with every entry above
 * a large page: when a context changes, React searches all that did not change for its readers, a fifth of an Enter's
 * time on the log. Here each reader has subscribed. The hook throws outside the component.
 */
export function sharedValue<T>() {
  const Current = createContext<Store<T> | undefined>(undefined);

  function Shared({ value, children }: { readonly value: T; readonly children: ReactNode }) {
    const [store] = useState(() => storeOf(value));
    useLayoutEffect(() => {
      store.set(value);
    }, [store, value]);
    return <Current value={store}>{children}</Current>;
  }

  function useShared(): T {
    const store = use(Current);
    if (!store) throw new Error('read outside of what shares it');
    return useSyncExternalStore(store.subscribe, store.get);
  }
  return [Shared, useShared] as const;
}
