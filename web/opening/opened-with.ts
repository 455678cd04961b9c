import type { Query } from '@tanstack/react-query';

let opening = true;

/** To be called when the first drawing is done. */
export const endOpening = (): void => {
  opening = false;
};

/** Nothing is drawn yet. */
export const isOpening = (): boolean => opening;

/**
 * How long data is fresh, ms: what this page fetched before its first drawing is not fetched again by what draws it.
 * Anything else, as from the browser's storage, is shown at once but always refetched.
 */
export const unlessOpenedWith = ({ state }: Pick<Query, 'state'>): number =>
  opening && state.dataUpdatedAt >= performance.timeOrigin ? Infinity : 0;
