import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useImperativeHandle, useRef, useState, type Ref, type RefObject } from 'react';
import { runHead, type Edit } from '../../core/edits/index.js';
import { captionsText, type Cue } from '../../core/captions.js';
import { freeId } from '../../core/job/free-id.js';
import type { Entry, Line, Run } from '../../core/job/schema.js';
import type { Change } from '../api/job';
import { Press } from '../controls/controls';
import { useFile } from '../files/use-file';
import { videoTime } from '../controls/format';
import { Caps } from '../keys/key-help';
import { Note } from '../controls/text';

/** What the log may request from the video beside it. */
export interface VideoHandle {
  /** The current clip and time, to be stored with an entry. */
  stamp(): Pick<Entry, 'clip' | 'video_s'> | undefined;
  seek(seconds: number): void;
  toggle(): void;
  back(seconds: number): void;
  /** The current frame as a JPEG; undefined where there is none. */
  picture(): Promise<Blob | undefined>;
}

interface Props {
  readonly line: Line;
  readonly run: Run;
  readonly change: Change;
  /** Captions shown in sync with the video. */
  readonly cues: readonly Cue[];
  /** Attaches the current frame to the entry being written. */
  readonly onKeep: () => void;
  readonly ref?: Ref<VideoHandle>;
}

interface Clip {
  readonly id: string;
  readonly url: string;
  readonly name: string;
}

/** A video from this device's disk, played beside the log. It stays on the device: nothing is uploaded. */
export function VideoPanel({ line, run, change, cues, onKeep, ref }: Props) {
  const [clip, setClip] = useState<Clip>();
  const video = useRef<HTMLVideoElement>(null);
  useEffect(
    () => () => {
      if (clip) URL.revokeObjectURL(clip.url);
    },
    [clip],
  );
  useImperativeHandle(ref, () => handleOf(video, clip));
  const pick = async (file: File) => {
    const known = run.video?.find(({ name }) => name === file.name);
    const taken = line.runs.flatMap((each) => each.video?.map(({ id }) => id) ?? []);
    const id = known?.id ?? freeId(taken, 'V');
    setClip({ id, url: URL.createObjectURL(file), name: file.name });
    if (known) return;
    const edit: Edit = {
      kind: 'run',
      line: line.id,
      run: run.id,
      set: { ...runHead(run), video: [...(run.video ?? []), { id, name: file.name }] },
    };
    await change.say([edit]);
  };
  const { field, ask } = useFile({ accept: 'video/*', 'data-testid': 'video-file', onFile: pick });
  return (
    <Box mb="3">
      {field}
      {clip ? (
        <Player clip={clip} cues={cues} onKeep={onKeep} ref={video} />
      ) : (
        <Press type="button" width="100%" onClick={ask}>
          Open a video from this device
        </Press>
      )}
      {clip === undefined && (run.video?.length ?? 0) > 0 && (
        <Note size="fine" mt="1">
          This run was filmed as {run.video?.map(({ name }) => name).join(', ')}. Open it to step through the
          entries.
        </Note>
      )}
    </Box>
  );
}

interface PlayerProps extends Pick<Props, 'cues' | 'onKeep'> {
  readonly clip: Clip;
  readonly ref: Ref<HTMLVideoElement>;
}

function Player({ clip, cues, onKeep, ref }: PlayerProps) {
  const track = useTrack(cues);
  const [at, setAt] = useState(0);
  return (
    <Box>
      <chakra.video
        ref={ref}
        src={clip.url}
        controls
        muted
        width="100%"
        bg="black"
        aria-label={`Video ${clip.name}`}
        onTimeUpdate={(event) => {
          setAt(event.currentTarget.currentTime);
        }}
      >
        {track && <track key={track} kind="captions" src={track} label="What was said" default />}
      </chakra.video>
      <Flex justify="space-between" fontSize="13px" color="soft">
        <Text truncate>{clip.name}</Text>
        <Text whiteSpace="nowrap">video {videoTime(at)}</Text>
      </Flex>
      <Press type="button" width="100%" mt="1" onClick={onKeep}>
        <Caps caps={['Alt', 'K']} />
        keep this picture
      </Press>
    </Box>
  );
}

const handleOf = (video: RefObject<HTMLVideoElement | null>, clip: Clip | undefined): VideoHandle => ({
  stamp: () =>
    clip && video.current
      ? { clip: clip.id, video_s: Math.round(video.current.currentTime * 10) / 10 }
      : undefined,
  seek(seconds) {
    if (video.current) video.current.currentTime = seconds;
  },
  toggle() {
    if (video.current?.paused) void video.current.play();
    else video.current?.pause();
  },
  picture: () => pictureOf(video.current),
  back(seconds) {
    if (video.current) video.current.currentTime = Math.max(0, video.current.currentTime - seconds);
  },
});

/** The address of a captions track made from these cues; undefined without times. */
function useTrack(cues: readonly Cue[]): string | undefined {
  const [made, setMade] = useState<{ text: string; url: string }>();
  const text = captionsText(cues);
  useEffect(() => {
    if (text === '') return;
    const url = URL.createObjectURL(new Blob([text], { type: 'text/vtt' }));
    // oxlint-disable-next-line react/set-state-in-effect -- The address is known only after the browser made it.
    setMade({ text, url });
    return () => {
      URL.revokeObjectURL(url);
    };
  }, [text]);
  return made?.text === text ? made.url : undefined;
}

async function pictureOf(video: HTMLVideoElement | null): Promise<Blob | undefined> {
  if (!video || video.videoWidth === 0) return undefined;
  const canvas = document.createElement('canvas');
  canvas.width = video.videoWidth;
  canvas.height = video.videoHeight;
  canvas.getContext('2d')?.drawImage(video, 0, 0);
  return new Promise((resolve) => {
    canvas.toBlob(
      (blob) => {
        resolve(blob ?? undefined);
      },
      'image/jpeg',
      0.9,
    );
  });
}
