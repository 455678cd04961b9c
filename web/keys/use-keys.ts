import { useLayoutEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import type { KeyRow } from './table';

const fields = 'input, textarea, select, [role="dialog"]';

/** Where the view does not take a key press: in a field, a dialog or an open list. */
const taken = {
  fields,
  fieldsAndMenus: `${fields}, [role="menu"]`,
} as const;

/**
 * Handles the keys of a view while it is mounted, with its latest actions; an action that is missing has no key here. A
 * layout effect, so that keys work as soon as the view is visible: an effect after painting can be later than a quick
 * finger. @param notIn where keys are left to the focused element; Escape never is.
 */
export function useKeys<Action extends string>(
  rows: readonly KeyRow<Action>[],
  actions: Readonly<Partial<Record<Action, () => unknown>>>,
  notIn?: keyof typeof taken,
): void {
  const newest = useRef(actions);
  useLayoutEffect(() => {
    newest.current = actions;
  });
  useLayoutEffect(() => {
    const doing = (action: Action) => (event: KeyboardEvent) => {
      const act = newest.current[action];
      const { target } = event;
      if (!act || event.defaultPrevented) return;
      if (notIn && event.key !== 'Escape' && target instanceof Element && target.closest(taken[notIn]))
        return;
      event.preventDefault();
      act();
    };
    return tinykeys(
      window,
      Object.fromEntries(
        rows.flatMap(({ press }) => Object.entries(press).map(([key, action]) => [key, doing(action)])),
      ),
    );
  }, [rows, notIn]);
}
