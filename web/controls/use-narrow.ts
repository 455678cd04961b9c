import { useSyncExternalStore } from 'react';
import { phoneWidth } from '../theme/tokens';

const narrow = window.matchMedia(phoneWidth);

function listen(changed: () => void): () => void {
  narrow.addEventListener('change', changed);
  return () => {
    narrow.removeEventListener('change', changed);
  };
}

/** Whether the window is as narrow as a phone, where things are placed differently. */
export const isNarrow = (): boolean => narrow.matches;
/** The same, drawn again when it changes. */
export const useNarrow = (): boolean => useSyncExternalStore(listen, isNarrow);
