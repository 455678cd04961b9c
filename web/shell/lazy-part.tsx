import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { lazy, useState, type ComponentType, type LazyExoticComponent } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { Trouble } from './trouble';

const askAgain_ms = 2000;

/**
 * A part of the page whose code is loaded when it is first shown. Where loading fails, as when the server went away
 * before this device had it, its place says so, or shows `Missing`, and loading is retried until it succeeds.
 */
export function lazyPart<Props extends object>(
  name: string,
  fetchPart: () => Promise<ComponentType<Props>>,
  Missing: ComponentType<Props> = NotHereYet,
): ComponentType<Props> {
  return function Late(props: Props) {
    const { data, failureCount } = useQuery({
      queryKey: ['code', name],
      // In an object, since react-query would call a bare function as an updater.
      queryFn: async () => ({ Part: await fetchPart() }),
      retry: true,
      retryDelay: askAgain_ms,
      staleTime: Infinity,
      structuralSharing: false,
    });
    if (data) return <data.Part {...props} />;
    return failureCount > 0 ? <Missing {...props} /> : null;
  };
}

/**
 * Loads the code of a part once what is drawn now is on the screen: to ask for its files takes as long as a frame or two.
 * At once in a hidden page, which draws nothing.
 */
export const oncePainted =
  <T,>(load: () => Promise<T>) =>
  async (): Promise<T> => {
    if (!document.hidden)
      await new Promise<void>((painted) => {
        requestAnimationFrame(() => setTimeout(painted));
      });
    return load();
  };

/** What is said where code is missing. */
export const notHereYet = 'This part of Open Trench is not on this device yet';

/** Shown in place of a part whose code is not on this device. */
export const NotHereYet = () => (
  <Box role="status" p="6" maxWidth="560px">
    <Text fontWeight={700}>{notHereYet}</Text>
    <Text>It opens as soon as the server answers. What you typed is kept.</Text>
  </Box>
);

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
