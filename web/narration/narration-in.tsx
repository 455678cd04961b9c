import { useEffect, useMemo, useState } from 'react';
import type { Cue } from '../../core/narration/captions.js';
import type { Run } from '../../core/job/schema.js';
import { Press } from '../controls/controls';
import type { JobContext } from '../shell/job-layout';
import { contextOf } from '../log/entries';
import { NarrationPanel } from './narration-panel';
import { useNarration } from './use-narration';

interface Props {
  readonly job: Pick<JobContext, 'line' | 'lineView' | 'change'>;
  readonly run: Run;
  /** The clip beside the log, kept with what is accepted. */
  readonly clip: () => string | undefined;
  readonly seek: ((seconds: number) => void) | undefined;
  /** Cues of the narration under review, for the track beside the video. */
  readonly onCues: (cues: readonly Cue[]) => void;
}

/** The button that imports a narration, and its review; an unfinished one waits on this device. */
export function NarrationIn({ job: { line, lineView, change }, run, clip, seek, onCues }: Props) {
  const [open, setOpen] = useState(false);
  const context = useMemo(
    () => contextOf(line, lineView, run.id, { pass: 'back', waterClock: undefined }),
    [line, lineView, run.id],
  );
  const hand = useNarration(line, run, context, open ? clip() : undefined);
  const { source, cues } = hand;
  useEffect(() => {
    onCues(cues);
  }, [cues, onCues]);
  const waiting = hand.proposals.filter(({ item, verdict }) => item && !verdict).length;
  return (
    <>
      <Press
        look="quiet"
        type="button"
        whiteSpace="nowrap"
        onClick={() => {
          setOpen(true);
        }}
      >
        Narration in{source && waiting > 0 ? ` (${waiting})` : ''}
      </Press>
      {open && (
        <NarrationPanel
          {...{ line, run, change, context, hand, seek }}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}
