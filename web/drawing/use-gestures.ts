import type * as Gestures from '@use-gesture/vanilla';
import { useCallback, useEffect, type RefCallback, type RefObject } from 'react';
import { useSteady } from '../controls/use-steady';

type Package = typeof Gestures;
type Handler<Key extends 'drag' | 'wheel' | 'pinch'> = Gestures.Handler<Key>;
interface Recognizer {
  readonly destroy: () => void;
}

/** Loaded with the first thing that can be moved, once it is drawn: the first view does not wait for it. */
let loading: Promise<Package> | undefined;

/** Has gestures on an element recognized as soon as the package is there, until the returned function is called. */
function recognize(by: (gestures: Package) => Recognizer): () => void {
  let recognizer: Recognizer | undefined;
  let wanted = true;
  loading ??= import('@use-gesture/vanilla');
  void loading.then((gestures) => {
    if (wanted) recognizer = by(gestures);
  });
  return () => {
    wanted = false;
    recognizer?.destroy();
  };
}

const hold = (event: Event) => {
  event.preventDefault();
};

/**
 * A ref for a part that is dragged by pointer or finger; keys are its own. The page does not scroll under the finger
 * meanwhile: `touch-action` does that for a box, but Chromium ignores it inside an SVG, and cancels the drag for the
 * scroll. The click that ends a drag is not heard.
 */
export function useDrag(onDrag: Handler<'drag'>): RefCallback<Element> {
  const { drag } = useSteady({ drag: onDrag });
  return useCallback(
    (element: Element | null) => {
      if (!element) return undefined;
      const stop = recognize(
        ({ DragGesture }) =>
          new DragGesture(element, drag, {
            filterTaps: true,
            pointer: { keys: false },
            eventOptions: { passive: false },
          }),
      );
      element.addEventListener('touchmove', hold, { passive: false });
      return () => {
        element.removeEventListener('touchmove', hold);
        stop();
      };
    },
    [drag],
  );
}

/** A ref's wheel and two-finger gestures. The page is kept from scrolling only by a handler that says so. */
export function useWheelAndPinch(
  on: RefObject<Element | null>,
  handlers: { readonly onWheel: Handler<'wheel'>; readonly onPinch: Handler<'pinch'> },
): void {
  const steady = useSteady(handlers);
  useEffect(() => {
    const element = on.current;
    if (!element) return undefined;
    return recognize(
      ({ Gesture }) =>
        new Gesture(element, steady, {
          eventOptions: { passive: false },
          wheel: { preventDefault: false },
        }),
    );
  }, [on, steady]);
}
