import { useEffect, useState, type KeyboardEvent, type RefObject } from 'react';
import { markHere, toRead, type ToRead } from '../../core/logprint/to-read.js';
import type { Entry, Line, Run } from '../../core/job/schema.js';
import { wrapClock } from '../../core/survey/clock.js';
import type { RowView } from '../../core/views/log-rows.js';
import { idMark } from '../api/client.js';
import { logKeys } from '../keys/log-keys';
import { useKeys } from '../keys/use-keys.js';
import type { JobContext } from '../shell/job-layout.js';
import { freshIds, rowsOf, editsToKeep } from './entries.js';
import { sendToReel, useReel } from '../video/reel.js';
import { keepPhoto } from '../video/photos.js';
import { step_ft, stride_ft } from '../video/reel-controls.js';
import type { TypedLineHandle } from './use-typed-line.js';
import type { VideoHandle } from '../video/video-panel.js';

/** Source of the picture beside the log. */
export type Source = 'none' | 'video' | 'reel';

/** State of the log view: its run and pass, the picture beside it, and the actions of keys and buttons. */
export interface LogActions {
  readonly run: Run | undefined;
  readonly setRunId: (id: string) => void;
  readonly pass: 'out' | 'back';
  readonly setPass: (pass: 'out' | 'back') => void;
  readonly waterClock: number | undefined;
  readonly setWaterClock: (at: number | undefined) => void;
  readonly source: Source;
  readonly setSource: (source: Source) => void;
  readonly reel: ReturnType<typeof useReel>;
  readonly rows: readonly RowView[] | undefined;
  readonly queue: readonly ToRead[];
  stampReading: () => void;
  locate: () => void;
  open: (entry: Entry) => void;
  readNext: () => void;
  /** Seeks the video to a time, s. */
  seek: (seconds: number) => void;
  /** The current video frame becomes a photo of the entry being written. */
  keepPicture: () => void;
  /** A key on the empty line: the water's clock position, or the reel. True when it was handled. */
  emptyKey: (event: KeyboardEvent) => boolean;
}

type LogInput = Pick<JobContext, 'line' | 'lineView' | 'change' | 'tell'>;

const noVideo = 'No video is open: choose Video beside the log, then its file.';
const noReel = 'No reel is connected: choose Reel beside the log.';

/** The typed line and the video on the view, for the key actions. */
export interface LogRefs {
  readonly typed: RefObject<TypedLineHandle | null>;
  readonly video: RefObject<VideoHandle | null>;
}

/** The video beside the log; without an open one, says so. */
function useVideoActions({ typed, video }: LogRefs, tell: LogInput['tell'], showVideo: () => void) {
  const withVideo = (act: (own: VideoHandle) => void) => {
    if (video.current) act(video.current);
    else tell(noVideo);
  };
  return {
    /** Seeks to a time of the video, s; without an open one, shows where to open it. */
    seek: (seconds: number) => {
      if (!video.current) showVideo();
      withVideo((own) => own.seek(seconds));
    },
    keepPicture: () => {
      void typed.current?.attach(async () => {
        const picture = await video.current?.picture();
        if (!picture)
          throw new Error('There is no picture to keep: open a video first, and let it show one.');
        return keepPhoto(picture);
      });
    },
    play: () => {
      withVideo((own) => own.toggle());
    },
    back: () => {
      withVideo((own) => own.back(5));
    },
  };
}

/** The reel beside the log: its reading goes into the line; without a connected one, says so. */
function useReelActions({ typed }: LogRefs, tell: LogInput['tell'], connected: boolean) {
  const reel = useReel(connected);
  useEffect(() => {
    if (reel.depth_ft !== undefined) typed.current?.put(`located ${reel.depth_ft} deep`, 'end');
  }, [reel.depth_ft, typed]);
  const withReel = (words: string) => () => {
    if (connected) void sendToReel(words);
    else tell(noReel);
  };
  return {
    reel,
    locate: withReel('locate'),
    zero: withReel('zero'),
    stampReading: () => {
      if (reel.reading_ft !== undefined) typed.current?.put(String(reel.reading_ft), 'front');
      else tell(noReel);
    },
  };
}

/** Entries still to be read from the video, one after another. */
function useQueue(line: Line, tell: LogInput['tell'], open: (entry: Entry) => void) {
  const [wanted, setWanted] = useState(0);
  const queue = toRead(line);
  const readNext = () => {
    const next = queue[wanted % Math.max(1, queue.length)];
    if (!next) {
      tell('Nothing waits to be read from the video.');
      return;
    }
    setWanted(wanted + 1);
    open(next.entry);
  };
  return { queue, readNext };
}

export function useLogActions(known: LogInput, refs: LogRefs): LogActions {
  const { line, lineView, tell } = known;
  const { typed, video } = refs;
  const newest = line.runs.findLast(({ stage }) => (stage ?? 'current') === 'current') ?? line.runs[0];
  const [chosenRun, setRunId] = useState(newest?.id ?? '');
  // A log that is taken up again goes on in the pass it was left in.
  const [pass, setPass] = useState(newest?.entries.at(-1)?.pass ?? 'back');
  const [waterClock, setWaterClock] = useState<number>();
  const [source, setSource] = useState<Source>('none');
  const { reel, stampReading, locate, zero } = useReelActions(refs, tell, source === 'reel');
  const { seek, keepPicture, play, back } = useVideoActions(refs, tell, () => {
    setSource('video');
  });
  const run = line.runs.find(({ id }) => id === chosenRun) ?? newest;
  const rows = lineView && rowsOf(lineView, run);
  const open = (entry: Entry) => {
    const own = line.runs.find(({ entries }) => entries.includes(entry));
    if (own) setRunId(own.id);
    if (entry.video_s !== undefined) video.current?.seek(entry.video_s);
    typed.current?.change(entry);
  };
  const { queue, readNext } = useQueue(line, tell, open);
  const turnWater = (hours: number) => () => {
    setWaterClock((now) => wrapClock((now ?? 6) + hours));
  };
  const passTo = (to: 'out' | 'back') => () => {
    setPass(to);
  };
  useKeys(logKeys, {
    ...{ stamp: stampReading, locate, zero, keepPicture, readNext, play, back },
    passOut: passTo('out'),
    passBack: passTo('back'),
    waterLeft: turnWater(-0.5),
    waterRight: turnWater(0.5),
    mark: () => {
      markPlace(known, run, { pass, reading_ft: reel.reading_ft, stamp: video.current?.stamp() });
    },
    keepOut: () => {
      keepReading(known, rows, 'out');
    },
    keepBack: () => {
      keepReading(known, rows, 'back');
    },
    line: () => typed.current?.focus(),
  });
  return {
    ...{ run, setRunId, pass, setPass, waterClock, setWaterClock, source, setSource },
    ...{ reel, rows, queue, stampReading, locate, open, readNext, keepPicture, seek },
    emptyKey: (event) =>
      emptyKey(event, turnWater, (by_ft) => {
        if (source !== 'reel') return false;
        setPass(by_ft > 0 ? 'out' : 'back');
        void sendToReel(`move ${by_ft}`);
        return true;
      }),
  };
}

/**
 * Keys on the empty line: [ and ] turn the water's clock position by half an hour, the arrows push and pull the reel.
 * @returns whether it was handled.
 */
export function emptyKey(
  { key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>,
  turnWater: (hours: number) => () => void,
  push: (by_ft: number) => boolean,
): boolean {
  if (key === '[' || key === ']') {
    turnWater(key === '[' ? -0.5 : 0.5)();
    return true;
  }
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return false;
  const far = shiftKey ? stride_ft : step_ft;
  return push(key === 'ArrowUp' ? far : -far);
}

/** Marks the place at the head, else after the last entry, to be identified later. */
function markPlace(
  { line, change, tell }: LogInput,
  run: Run | undefined,
  {
    pass,
    reading_ft,
    stamp,
  }: {
    pass: 'out' | 'back';
    reading_ft: number | undefined;
    stamp: ReturnType<VideoHandle['stamp']> | undefined;
  },
): void {
  const last = run?.entries.at(-1);
  const where = reading_ft !== undefined ? { reading_ft } : last && { after: last.id };
  if (!run || !where) {
    tell('There is no place to mark yet: read one first, or connect the reel.');
    return;
  }
  const id = freshIds(line, idMark())();
  const entry = { id, kind: 'locate', pass, ...where, mark: markHere, ...stamp } as Entry;
  void change.say([{ kind: 'entry', line: line.id, run: run.id, entry: id, set: entry }]);
}

/** For the first unsettled disagreement, keeps the reading of one pass. */
function keepReading(
  { line, change, tell }: LogInput,
  rows: readonly RowView[] | undefined,
  stands: 'out' | 'back',
): void {
  const row = rows?.find(({ disagreement }) => disagreement && !disagreement.settled);
  const reading = row?.readings.findLast((each) => each.pass === stands);
  if (row && reading) void change.say(editsToKeep(line, row, reading));
  else tell('No readings of this run differ.');
}
