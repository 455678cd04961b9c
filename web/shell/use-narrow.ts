import { useSyncExternalStore } from 'react';

/** Below the theme's "md": a phone, or a window as narrow as one. */
const narrow = '(width < 48rem)';

function listen(changed: () => void): () => void {
  const query = window.matchMedia(narrow);
  query.addEventListener('change', changed);
  return () => {
    query.removeEventListener('change', changed);
  };
}

/** Whether the window is as narrow as a phone, where things are placed differently. */
export const useNarrow = (): boolean => useSyncExternalStore(listen, () => window.matchMedia(narrow).matches);
