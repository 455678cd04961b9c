import { useLayoutEffect } from 'react';
import type { Change } from '../api/jobs';

const isTyped = (target: EventTarget | null) =>
  target instanceof Element && target.closest('input, textarea, select, [role="dialog"]') !== null;

/** Undo and redo by key on every view; in a field the keys are the field's own. */
export function useUndoKeys({ undo, redo }: Pick<Change, 'undo' | 'redo'>): void {
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.defaultPrevented || !(event.ctrlKey || event.metaKey) || isTyped(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      void (key === 'y' || event.shiftKey ? redo() : undo());
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, [undo, redo]);
}
