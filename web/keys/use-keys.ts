import { useLayoutEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import type { KeyRow } from './table';

const fields = 'input, textarea, select, [role="dialog"]';

/** Where a press is not the view's: in a field, a dialog or a list that is open. */
const taken = {
  fields,
  fieldsAndMenus: `${fields}, [role="menu"]`,
} as const;

/**
 * Listens for the keys of a view as long as it is open; the newest actions are done, and what is not given has no key here.
 * They are heard from the moment the view is seen: an effect after painting can come later than a quick finger.
 * @param notIn where keys are left to what has the focus; Escape never is.
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
