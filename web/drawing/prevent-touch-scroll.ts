const hold = (event: Event) => {
  event.preventDefault();
};

/**
 * A ref for a draggable part of a drawing: the page does not scroll under the finger meanwhile. `touch-action` does
 * that for a box; Chromium ignores it inside an SVG, and cancels the drag for the scroll.
 */
export function preventTouchScroll(element: Element | null): (() => void) | undefined {
  if (!element) return undefined;
  element.addEventListener('touchmove', hold, { passive: false });
  return () => {
    element.removeEventListener('touchmove', hold);
  };
}
