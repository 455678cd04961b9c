import { useEffect, useMemo } from 'react';
import { contextOf } from '../log/entries';
import type { ReviewProps } from './narration-in';
import { NarrationPanel } from './narration-panel';
import { useNarration } from './use-narration';

/** A narration under review: its panel while it is open; its cues and what waits for a decision at all times. */
export function Review({
  job: { line, lineView, change },
  run,
  open,
  onWaiting,
  onClose,
  clip,
  seek,
  onCues,
}: ReviewProps) {
  const context = useMemo(
    () => contextOf(line, lineView, run.id, { pass: 'back', waterClock: undefined }),
    [line, lineView, run.id],
  );
  const hand = useNarration(line, run, context, open ? clip() : undefined);
  const { cues } = hand;
  useEffect(() => {
    onCues(cues);
    // The next run shows none of this one's.
    return () => {
      onCues([]);
    };
  }, [cues, onCues]);
  const waiting = hand.source ? hand.proposals.filter(({ item, verdict }) => item && !verdict).length : 0;
  useEffect(() => {
    onWaiting(waiting);
  }, [waiting, onWaiting]);
  return open && <NarrationPanel {...{ line, run, change, context, hand, seek, onClose }} />;
}
