const hold = (event: Event) => {
  event.preventDefault();
};

/**
 * A ref for something in a drawing that a finger drags: the page does not scroll under it meanwhile. `touch-action` says
 * that for a box; Chromium takes no notice of it inside an SVG, and ends the drag for the scroll.
 */
export function holdStill(element: Element | null): (() => void) | undefined {
  if (!element) return undefined;
  element.addEventListener('touchmove', hold, { passive: false });
  return () => {
    element.removeEventListener('touchmove', hold);
  };
}
