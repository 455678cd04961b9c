import { useEffect, useState } from 'react';

/** Source of a narration and how it was read: stored on this device until it is written or discarded. */
export interface Source {
  readonly name: string;
  readonly text: string;
  readonly pass: 'out' | 'back';
  /** Added to the narration's times, s. */
  readonly shift_s: number;
}

/** The decision on a proposal; an edited one is accepted with other words. */
export type Verdict =
  { readonly is: 'accepted' | 'refused' } | { readonly is: 'mended'; readonly line: string };

export interface StoredReview {
  readonly source: Source;
  readonly verdicts: Readonly<Record<string, Verdict>>;
}

const storageKey = (run: string) => `narration ${location.pathname} ${run}`;

function readStored(run: string): StoredReview | undefined {
  const text = localStorage.getItem(storageKey(run));
  try {
    return text === null ? undefined : (JSON.parse(text) as StoredReview);
  } catch {
    return undefined;
  }
}

/** Whether a narration of a run waits to be reviewed in this browser. */
export const isUnderReview = (run: string): boolean => readStored(run) !== undefined;

/** The narration under review for a run, kept in this browser between visits. */
export function useStoredReview(run: string) {
  const [kept, setKept] = useState<StoredReview | undefined>(() => readStored(run));
  useEffect(() => {
    if (kept) localStorage.setItem(storageKey(run), JSON.stringify(kept));
    else localStorage.removeItem(storageKey(run));
  }, [kept, run]);
  return [kept, setKept] as const;
}
