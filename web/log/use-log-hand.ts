import { useEffect, useState, type KeyboardEvent, type RefObject } from 'react';
import { markHere, toRead, type ToRead } from '../../core/logprint/to-read.js';
import type { Entry, Run } from '../../core/job/schema.js';
import { wrapClock } from '../../core/survey/clock.js';
import type { RowView } from '../../core/views/log-rows.js';
import { idMark } from '../api/client';
import type { JobContext } from '../shell/job-layout';
import { freshIds, rowsOf, standing } from './entries';
import { tellReel, useReel } from '../video/reel';
import { keepPhoto } from '../video/photos';
import { step_ft, stride_ft } from '../video/reel-panel';
import type { TypedLineHandle } from './use-typed-line';
import { useLogKeys } from './use-log-keys';
import type { VideoHandle } from '../video/video-panel';

/** Where the picture beside the log comes from. */
export type Source = 'none' | 'video' | 'reel';

/** The log as it is worked on: its run and pass, the picture beside it, and what the keys and buttons do. */
export interface LogHand {
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
  /** To a moment of the video, s. */
  seek: (seconds: number) => void;
  /** The video's picture becomes a photo of the entry being written. */
  keepPicture: () => void;
  /** A key on the empty line: the water's clock, or the reel. True when it was taken. */
  emptyKey: (event: KeyboardEvent) => boolean;
}

type Known = Pick<JobContext, 'line' | 'lineView' | 'change' | 'tell'>;

const noVideo = 'No video is open: choose Video beside the log, then its file.';
const noReel = 'No reel is connected: choose Reel beside the log.';

/** The typed line and the video that the view shows, for what the keys do to them. */
export interface LogRefs {
  readonly typed: RefObject<TypedLineHandle | null>;
  readonly video: RefObject<VideoHandle | null>;
}

export function useLogHand({ line, lineView, change, tell }: Known, { typed, video }: LogRefs): LogHand {
  const newest = line.runs.findLast(({ stage }) => (stage ?? 'current') === 'current') ?? line.runs[0];
  const [chosenRun, setRunId] = useState(newest?.id ?? '');
  const [pass, setPass] = useState<'out' | 'back'>('back');
  const [waterClock, setWaterClock] = useState<number>();
  const [source, setSource] = useState<Source>('none');
  const [wanted, setWanted] = useState(0);
  const reel = useReel(source === 'reel');
  const run = line.runs.find(({ id }) => id === chosenRun) ?? newest;
  const rows = lineView && rowsOf(lineView, run);
  const queue = toRead(line);

  useEffect(() => {
    if (reel.depth_ft !== undefined) typed.current?.put(`located ${reel.depth_ft} deep`, 'end');
  }, [reel.depth_ft, typed]);
  const turnWater = (hours: number) => {
    setWaterClock((now) => wrapClock((now ?? 6) + hours));
  };
  const stampReading = () => {
    if (reel.reading_ft !== undefined) typed.current?.put(String(reel.reading_ft), 'front');
    else tell(noReel);
  };
  const withReel = (words: string) => {
    if (source === 'reel') void tellReel(words);
    else tell(noReel);
  };
  const locate = () => {
    withReel('locate');
  };
  const open = (entry: Entry) => {
    const own = line.runs.find(({ entries }) => entries.includes(entry));
    if (own) setRunId(own.id);
    if (entry.video_s !== undefined) video.current?.seek(entry.video_s);
    typed.current?.change(entry);
  };
  const readNext = () => {
    const next = queue[wanted % Math.max(1, queue.length)];
    if (!next) {
      tell('Nothing waits to be read from the video.');
      return;
    }
    setWanted(wanted + 1);
    open(next.entry);
  };
  const withVideo = (act: (own: VideoHandle) => void) => {
    if (video.current) act(video.current);
    else tell(noVideo);
  };
  /** To a moment of the video; where none is open it says so and makes room for one. */
  const seek = (seconds: number) => {
    if (!video.current) setSource('video');
    withVideo((own) => own.seek(seconds));
  };
  const keepPicture = () => {
    void typed.current?.attach(async () => {
      const picture = await video.current?.picture();
      if (!picture) throw new Error('There is no picture to keep: open a video first, and let it show one.');
      return keepPhoto(picture);
    });
  };
  const mark = () => {
    const last = run?.entries.at(-1);
    const where =
      reel.reading_ft !== undefined ? { reading_ft: reel.reading_ft } : last && { after: last.id };
    if (!run || !where) {
      tell('There is no place to mark yet: read one first, or connect the reel.');
      return;
    }
    const id = freshIds(line, idMark())();
    const entry = { id, kind: 'locate', pass, ...where, mark: markHere, ...video.current?.stamp() } as Entry;
    void change.say([{ kind: 'entry', line: line.id, run: run.id, entry: id, set: entry }]);
  };
  /** Of a disagreement, the reading of one pass stands. */
  const keepReading = (stands: 'out' | 'back') => () => {
    const row = rows?.find(({ disagreement }) => disagreement && !disagreement.settled);
    const reading = row?.readings.findLast((each) => each.pass === stands);
    if (row && reading) void change.say(standing(line, row, reading));
    else tell('No readings of this run differ.');
  };
  useLogKeys({
    passOut: () => {
      setPass('out');
    },
    passBack: () => {
      setPass('back');
    },
    waterLeft: () => {
      turnWater(-0.5);
    },
    waterRight: () => {
      turnWater(0.5);
    },
    stamp: stampReading,
    locate,
    zero: () => {
      withReel('zero');
    },
    mark,
    keepPicture,
    readNext,
    keepOut: keepReading('out'),
    keepBack: keepReading('back'),
    play: () => {
      withVideo((own) => own.toggle());
    },
    back: () => {
      withVideo((own) => own.back(5));
    },
    line: () => typed.current?.focus(),
  });
  return {
    ...{ run, setRunId, pass, setPass, waterClock, setWaterClock, source, setSource },
    ...{ reel, rows, queue, stampReading, locate, open, readNext, keepPicture, seek },
    emptyKey: (event) => {
      if (event.key === '[' || event.key === ']') {
        turnWater(event.key === '[' ? -0.5 : 0.5);
        return true;
      }
      if (source !== 'reel' || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return false;
      const far = event.shiftKey ? stride_ft : step_ft;
      setPass(event.key === 'ArrowUp' ? 'out' : 'back');
      void tellReel(`move ${event.key === 'ArrowUp' ? far : -far}`);
      return true;
    },
  };
}
