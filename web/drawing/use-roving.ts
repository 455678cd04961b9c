import { useState } from 'react';

interface Stop {
  readonly tabIndex: 0 | -1;
  readonly 'data-rove': string;
}
const stops = new Map<string, Stop>();

/** The same object each time, so that of a row only the two things change between which the tab stop moves. */
function stopOf(rove: string, isActive: boolean): Stop {
  const key = `${rove} ${isActive}`;
  const stop = stops.get(key) ?? { tabIndex: isActive ? 0 : -1, 'data-rove': rove };
  stops.set(key, stop);
  return stop;
}

/** One tab stop for a row of things; arrow keys move along it. */
export function useRoving(name: string, count: number) {
  const [at, setAt] = useState(0);
  const active = Math.min(at, Math.max(0, count - 1));
  return {
    item: (index: number) => stopOf(`${name} ${index}`, index === active),
    // The row handles the keys for all its things, so that they need not be rendered again.
    row: {
      onFocus: (event: React.FocusEvent) => {
        const on = event.target.closest(`[data-rove^="${name} "]`)?.getAttribute('data-rove');
        if (on) setAt(Number(on.slice(name.length + 1)));
      },
      onKeyDown: (event: React.KeyboardEvent) => {
        const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1, Home: -count, End: count }[
          event.key
        ];
        if (by === undefined || !(event.target as Element).closest(`[data-rove^="${name} "]`)) return;
        event.preventDefault();
        event.stopPropagation();
        const next = Math.min(count - 1, Math.max(0, active + by));
        setAt(next);
        event.currentTarget.querySelector<SVGElement | HTMLElement>(`[data-rove="${name} ${next}"]`)?.focus();
      },
    },
  };
}
