import { useSyncExternalStore } from 'react';

/** Below the theme's "md": a phone, or a window as narrow as one. */
const narrow = window.matchMedia('(width < 48rem)');

function listen(changed: () => void): () => void {
  narrow.addEventListener('change', changed);
  return () => {
    narrow.removeEventListener('change', changed);
  };
}

/** Whether the window is as narrow as a phone, where things are placed differently. */
export const useNarrow = (): boolean => useSyncExternalStore(listen, () => narrow.matches);
