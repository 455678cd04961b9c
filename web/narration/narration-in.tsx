import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Cue } from '../../core/captions.js';
import type { Run } from '../../core/job/schema.js';
import { Press } from '../controls/controls';
import type { JobContext } from '../shell/job-layout';
import { FullPagePanel } from '../shell/full-page-panel.js';
import { lazyPart, NotHereYet } from '../shell/lazy-part.js';
import { isUnderReview } from './stored-review';

// Reading a talk takes the whole grammar of the log and the captions: fetched once there is a talk.
const ReviewPart = lazyPart('narration', async () => (await import('./review')).Review, ReviewMissing);

export interface NarrationProps {
  readonly job: Pick<JobContext, 'line' | 'lineView' | 'change'>;
  readonly run: Run;
  /** The clip beside the log, kept with what is accepted. */
  readonly clip: () => string | undefined;
  readonly seek: ((seconds: number) => void) | undefined;
  /** Cues of the narration under review, for the track beside the video. */
  readonly onCues: (cues: readonly Cue[]) => void;
}

export interface ReviewProps extends NarrationProps {
  readonly open: boolean;
  /** How many proposals wait for a decision. */
  readonly onWaiting: (count: number) => void;
  readonly onClose: () => void;
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

/** In place of the review while its code is not on this device. */
function ReviewMissing({ open, onClose }: ReviewProps) {
  if (!open) return null;
  return (
    <FullPagePanel role="dialog" aria-label="Narration in">
      <NotHereYet />
      <Box px="6">
        <Press type="button" onClick={onClose}>
          Close
        </Press>
      </Box>
    </FullPagePanel>
  );
}
