import { useLayoutEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';

/** Everything that has a key of its own beside the typed line. */
const keyNames = {
  passOut: 'Alt+Digit1',
  passBack: 'Alt+Digit2',
  waterLeft: 'Alt+BracketLeft',
  waterRight: 'Alt+BracketRight',
  stamp: 'Alt+KeyS',
  locate: 'Alt+KeyL',
  zero: 'Alt+Digit0',
  mark: 'Alt+KeyM',
  readNext: 'Alt+KeyN',
  keepOut: 'Alt+KeyO',
  keepBack: 'Alt+KeyB',
  keepPicture: 'Alt+KeyK',
  play: 'Alt+KeyP',
  back: 'Alt+Comma',
  line: 'Alt+KeyI',
} as const;

/** What is not given has no key here. */
export type LogKeyActions = Readonly<Partial<Record<keyof typeof keyNames, () => void>>>;

/** Listens for the log's keys as long as it is open; the newest actions are done. */
export function useLogKeys(actions: LogKeyActions): void {
  const newest = useRef(actions);
  useLayoutEffect(() => {
    newest.current = actions;
  });
  useLayoutEffect(() => {
    const bindings = (Object.keys(keyNames) as (keyof typeof keyNames)[]).map((name) => [
      keyNames[name],
      (event: KeyboardEvent) => {
        const act = newest.current[name];
        if (!act) return;
        event.preventDefault();
        act();
      },
    ]);
    return tinykeys(window, Object.fromEntries(bindings) as Record<string, (event: KeyboardEvent) => void>);
  }, []);
}
