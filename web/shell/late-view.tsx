import { lazy, useState, type ComponentType, type LazyExoticComponent } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { lazyPart } from './lazy-part';
import { Trouble } from './trouble';

/** A view at an address, and its code asked for ahead of its first drawing. */
export interface LateView {
  readonly View: ComponentType;
  load: () => Promise<unknown>;
}

/**
 * A view whose code is loaded when it is first opened, while the view before it stays. Code that is loaded already is drawn
 * at once: a view that waits, even for a moment, is held back by React so that pages do not flicker. An error in a view
 * leaves everything around it standing.
 */
export function lateView(name: string, fetchView: () => Promise<ComponentType>): LateView {
  let loaded: ComponentType | undefined;
  const load = async () => {
    loaded ??= await fetchView().catch(() => lazyPart(name, fetchView));
    return { default: loaded };
  };
  const Awaited: LazyExoticComponent<ComponentType> = lazy(load);
  function View() {
    const [Shown] = useState<ComponentType>(() => loaded ?? Awaited);
    const { key } = useLocation();
    return (
      <ErrorBoundary FallbackComponent={Trouble} resetKeys={[key]}>
        <Shown />
      </ErrorBoundary>
    );
  }
  return { View, load };
}
