import { useState } from 'react';

/** What makes a thing of a row a stop: only the two between which the tab stop moves change. */
export interface RovingStop {
  readonly tabIndex: 0 | -1;
  readonly 'data-rove': string;
}

/** One tab stop for a row of things, each by its own key, in the order drawn; arrow keys move along it. */
export function useRoving(name: string, keys: readonly string[]) {
  const [last, setLast] = useState({ key: keys[0], at: 0 });
  // A thing may come back under another key: then the stop stays at its place in the row.
  const active = keys.find((key) => key === last.key) ?? keys[Math.min(last.at, keys.length - 1)];
  const stopOn = (key: string) => {
    setLast({ key, at: keys.indexOf(key) });
  };
  const stopAt = (target: EventTarget) => (target as Element).closest(`[data-rove^="${name} "]`);
  return {
    item: (key: string): RovingStop => ({
      tabIndex: key === active ? 0 : -1,
      'data-rove': `${name} ${key}`,
    }),
    // The row handles the keys for all its things, so that they need not be rendered again.
    row: {
      onFocus: (event: React.FocusEvent) => {
        const on = stopAt(event.target)?.getAttribute('data-rove');
        if (on) stopOn(on.slice(name.length + 1));
      },
      onKeyDown: (event: React.KeyboardEvent) => {
        const count = keys.length;
        const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1, Home: -count, End: count }[
          event.key
        ];
        if (by === undefined || !stopAt(event.target)) return;
        event.preventDefault();
        event.stopPropagation();
        const now = active === undefined ? 0 : keys.indexOf(active);
        const next = keys[Math.min(count - 1, Math.max(0, now + by))];
        if (next === undefined) return;
        stopOn(next);
        event.currentTarget
          .querySelector<SVGElement | HTMLElement>(`[data-rove="${CSS.escape(`${name} ${next}`)}"]`)
          ?.focus();
      },
    },
  };
}
