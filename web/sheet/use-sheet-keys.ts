import { useLayoutEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import type { Method } from '../../core/job/vocabulary.js';
import { methodKeys } from '../reason/method-keys';
import { zoomStep } from './use-window';

interface SheetKeyActions {
  readonly doHere: (method: Method) => void;
  readonly join: () => void;
  readonly split: () => void;
  readonly lift: () => void;
  readonly menu: () => void;
  readonly go: (by: number) => void;
  readonly zoom: (times: number) => void;
  readonly fit: () => void;
  readonly pan: (share: number) => void;
  readonly grade: () => void;
  readonly keys: () => void;
  readonly stop: () => void;
}

/**
 * The keys of the sheet, wherever the focus is but in a field. What each does is listed in `sheet-keys`. They are heard from
 * the moment the sheet is seen: an effect after painting can come later than a quick finger.
 */
export function useSheetKeys(actions: SheetKeyActions): void {
  const latest = useRef(actions);
  useLayoutEffect(() => {
    latest.current = actions;
  });
  useLayoutEffect(() => {
    const on = (act: (all: SheetKeyActions) => void) => (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : undefined;
      if (
        target?.closest('input, textarea, select, [role="dialog"], [role="menu"]') &&
        event.key !== 'Escape'
      )
        return;
      event.preventDefault();
      act(latest.current);
    };
    const doing = (each: Method) =>
      on((all) => {
        all.doHere(each);
      });
    const zoom = (times: number) =>
      on((all) => {
        all.zoom(times);
      });
    const call = (name: 'join' | 'split' | 'lift' | 'fit' | 'menu' | 'grade' | 'keys' | 'stop') =>
      on((all) => {
        all[name]();
      });
    return tinykeys(window, {
      ...Object.fromEntries(methodKeys.map(({ method, key }) => [key, doing(method)])),
      j: call('join'),
      d: call('split'),
      x: call('lift'),
      m: call('menu'),
      n: on((all) => {
        all.go(1);
      }),
      p: on((all) => {
        all.go(-1);
      }),
      a: on((all) => {
        all.pan(-0.25);
      }),
      f: on((all) => {
        all.pan(0.25);
      }),
      '+': zoom(1 / zoomStep),
      'Shift++': zoom(1 / zoomStep),
      '=': zoom(1 / zoomStep),
      '-': zoom(zoomStep),
      '0': call('fit'),
      g: call('grade'),
      i: on(() => {
        document.querySelector<HTMLInputElement>('[data-testid="totals"] input')?.focus();
      }),
      'Shift+?': call('keys'),
      '?': call('keys'),
      Escape: call('stop'),
    });
  }, []);
}
