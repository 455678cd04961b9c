import { useState } from 'react';
import type { Cue } from '../../core/narration/captions.js';
import type { Run } from '../../core/job/schema.js';
import { Press } from '../controls/controls';
import type { JobContext } from '../shell/job-layout';
import { lazyPart } from '../shell/lazy-part.js';
import { isUnderReview } from './stored-review';

// Reading a talk takes the whole grammar of the log and the captions: fetched once there is a talk.
const ReviewPart = lazyPart('narration', async () => (await import('./review')).Review);

export interface NarrationProps {
  readonly job: Pick<JobContext, 'line' | 'lineView' | 'change'>;
  readonly run: Run;
  /** The clip beside the log, kept with what is accepted. */
  readonly clip: () => string | undefined;
  readonly seek: ((seconds: number) => void) | undefined;
  /** Cues of the narration under review, for the track beside the video. */
  readonly onCues: (cues: readonly Cue[]) => void;
}

/** The button that imports a narration, and its review; an unfinished one waits on this device. */
export function NarrationIn(props: NarrationProps) {
  const [open, setOpen] = useState(false);
  const [begun, setBegun] = useState(() => isUnderReview(props.run.id));
  const [waiting, setWaiting] = useState(0);
  return (
    <>
      <Press
        look="quiet"
        type="button"
        whiteSpace="nowrap"
        onClick={() => {
          setBegun(true);
          setOpen(true);
        }}
      >
        Narration in{waiting > 0 ? ` (${waiting})` : ''}
      </Press>
      {begun && (
        <ReviewPart
          {...props}
          open={open}
          onWaiting={setWaiting}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}
