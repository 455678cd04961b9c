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

/** Whether the window is as narrow as a phone, for what stands in another place there. */
export const useNarrow = (): boolean => useSyncExternalStore(listen, () => window.matchMedia(narrow).matches);
