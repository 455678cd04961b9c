import { useEffect, useMemo, useState } from 'react';
import type { Line, Pipe, Point, Run } from '../../core/job/schema.js';
import { parseLogLine, type LogContext, type LogPart } from '../../core/logline/parse.js';
import { printLogLine } from '../../core/logprint/print.js';
import { sayPipe } from '../../core/speech/say.js';
import { captionFormat, readCaptions, type CaptionFault, type Cue } from '../../core/captions.js';
import {
  narrate,
  type Narration,
  type NarrationItem,
  type NarrationNote,
} from '../../core/narration/narrate.js';
import { inOrder, narrationParts, pipeToSet, sayItem } from '../../core/narration/parts.js';
import { useStoredReview, type Source, type StoredReview, type Verdict } from './stored-review';

/** One row of the review: a proposal, or a sentence that proposes nothing. */
export interface Proposal {
  readonly key: string;
  readonly item: NarrationItem | undefined;
  readonly note: NarrationNote | undefined;
  readonly video_s: number | null;
  readonly sentence: string;
  readonly says: string;
  readonly verdict: Verdict | undefined;
  /** Accepted, it is the line's pipe rather than an entry of the log. */
  readonly set?: Pipe | undefined;
}

export interface NarrationReview {
  readonly source: Source | undefined;
  readonly faults: readonly CaptionFault[];
  readonly proposals: readonly Proposal[];
  /** Cues with the time shift, for the track beside the video; empty without times. */
  readonly cues: readonly Cue[];
  readonly parts: readonly LogPart[];
  /** The line's pipe as it would be written. */
  readonly pipe: Pipe | undefined;
  read: (source: Source) => void;
  shift: (seconds: number) => void;
  decide: (key: string, verdict: Verdict | undefined) => void;
  acceptCertain: () => void;
  /** The words of a proposal, as the log line writes them. */
  lineOf: (proposal: Proposal) => string;
  putAway: () => void;
}

/** The captions of a source; undefined until they are read. */
function useCaptions({ text = '', name = '' }: Partial<Source>) {
  const [read, setRead] = useState<{ text: string; cues: readonly Cue[]; faults: readonly CaptionFault[] }>();
  useEffect(() => {
    let stale = false;
    if (text !== '')
      void readCaptions(text, captionFormat(name, text)).then((captions) => {
        if (!stale) setRead({ text, ...captions });
      });
    return () => {
      stale = true;
    };
  }, [text, name]);
  return read?.text === text && text !== '' ? read : undefined;
}

/** A narration under review: its proposals, the decisions, and what would be written. */
export function useNarration(
  line: Line,
  run: Run,
  context: LogContext,
  clip: string | undefined,
): NarrationReview {
  const [kept, setKept] = useStoredReview(run.id);
  const source = kept?.source;
  const ready = useCaptions(source ?? {});
  const pass = source?.pass ?? 'out';
  const said = useMemo(
    () => ready && narrate(ready.cues, { direction: run.direction, pass }),
    [ready, pass, run.direction],
  );
  const shift_s = source?.shift_s ?? 0;
  const cues = useMemo(() => shifted(ready?.cues ?? [], shift_s), [ready, shift_s]);
  const pipe = useMemo(() => said && pipeToSet(said, line), [said, line]);
  const proposals = proposalsOf(said, pipe, kept?.verdicts ?? {});
  const change = (next: (now: StoredReview) => StoredReview) => {
    setKept((now) => now && next(now));
  };
  return {
    source,
    faults: ready?.faults ?? [],
    proposals,
    cues,
    pipe: proposals.find(({ set, verdict }) => set && verdict?.is === 'accepted')?.set,
    parts: inOrder(
      partsOf(
        proposals.filter((each) => !isLinePipe(each)),
        context,
        { shift_s, clip },
      ),
      context,
    ),
    lineOf: (proposal) => lineOf(proposal, line, context),
    read(next) {
      setKept({ source: next, verdicts: {} });
    },
    shift(seconds) {
      change((now) => ({ ...now, source: { ...now.source, shift_s: seconds } }));
    },
    decide(key, verdict) {
      change((now) => {
        const { [key]: _, ...others } = now.verdicts;
        return { ...now, verdicts: verdict ? { ...others, [key]: verdict } : others };
      });
    },
    acceptCertain() {
      const certain = proposals.filter(({ item, verdict }) => item?.certain && !verdict);
      const accepted = Object.fromEntries(certain.map(({ key }) => [key, { is: 'accepted' } as const]));
      change((now) => ({ ...now, verdicts: { ...now.verdicts, ...accepted } }));
    },
    putAway() {
      setKept(undefined);
    },
  };
}

/** Cues in the video's time: the narration may begin before or after it. */
const shifted = (cues: readonly Cue[], by_s: number) =>
  cues.map((cue) => ({ ...cue, start_s: cue.start_s === null ? null : cue.start_s + by_s }));

/** The pipe all along, the proposals in spoken order, then the sentences that propose nothing, each with its decision. */
function proposalsOf(
  said: Narration | undefined,
  set: Pipe | undefined,
  verdicts: StoredReview['verdicts'],
): Proposal[] {
  const pipe = set && said?.pipe && { ...proposal('pipe', said.pipe, verdicts), says: sayLinePipe(set), set };
  // A sentence that only named the pipe stands beside it, not among the notes too.
  const notes = (said?.notes ?? []).map((note, index) => ({ note, key: `note ${index}` }));
  return [
    ...(pipe ? [pipe] : []),
    ...(said?.items ?? []).map((item, index) => proposal(`item ${index}`, item, verdicts)),
    ...notes
      .filter(({ note }) => note.sentence !== pipe?.sentence || note.video_s !== pipe.video_s)
      .map(({ note, key }): Proposal => ({
        key,
        item: undefined,
        note,
        video_s: note.video_s,
        sentence: note.sentence,
        says: 'proposes nothing',
        verdict: verdicts[key],
      })),
  ];
}

const sayLinePipe = (pipe: Pipe) => `The pipe of this line, where no change says otherwise: ${sayPipe(pipe)}`;

const proposal = (key: string, item: NarrationItem, verdicts: StoredReview['verdicts']): Proposal => ({
  key,
  item,
  note: undefined,
  video_s: item.video_s,
  sentence: item.sentence,
  says: sayItem(item),
  verdict: verdicts[key],
});

/** A proposal as a line of the log, for editing. */
function lineOf({ item, sentence, verdict }: Proposal, line: Line, context: LogContext): string {
  if (verdict?.is === 'mended') return verdict.line;
  const [part] = item ? inOrder(narrationParts([{ ...item, sentence: '' }], context), context) : [];
  if (!part?.entry) return `"${sentence.replaceAll('"', '""')}"`;
  const { note: _, video_s: _video, clip: _clip, ...bare } = part.entry;
  const point = part.point ?? pointOf(line, part);
  return point ? lineWords(printLogLine(bare), point) : printLogLine(bare);
}

const pointOf = (line: Line, { entry }: LogPart): Point | undefined =>
  entry?.kind === 'point' ? line.points.find(({ id }) => id === entry.point) : undefined;

/** A point by kind and fields, which can be read back, rather than by an id unknown to the reader. */
function lineWords(text: string, { kind, connection, degrees, diameter_in }: Point): string {
  const words = [
    connection ?? kind.replace('-', ' '),
    degrees === undefined ? '' : `${degrees} degrees`,
    diameter_in === undefined ? '' : `${diameter_in} in`,
  ];
  return text.replace(/#(?:"(?:[^"]|"")*"|\S+)/, words.filter(Boolean).join(' '));
}

const isLinePipe = ({ set, verdict }: Proposal) => set !== undefined && verdict?.is !== 'mended';

/** What would be written: accepted proposals, edited ones as typed, sentences kept as notes. */
function partsOf(
  proposals: readonly Proposal[],
  context: LogContext,
  stamp: { readonly shift_s: number; readonly clip: string | undefined },
): LogPart[] {
  const taken = proposals.filter(({ verdict }) => verdict && verdict.is !== 'refused');
  const items = taken.flatMap(({ item, verdict }) => (item && verdict?.is === 'accepted' ? [item] : []));
  const accepted = narrationParts(items, context, stamp);
  let next = 0;
  return taken.flatMap(({ item, verdict, sentence, video_s }): LogPart[] => {
    const moment =
      video_s === null
        ? {}
        : { video_s: Math.max(0, video_s + stamp.shift_s), ...(stamp.clip ? { clip: stamp.clip } : {}) };
    if (verdict?.is === 'mended') {
      return parseLogLine(verdict.line, context).map((part) => ({
        ...part,
        entry: part.entry && { ...moment, ...part.entry, note: part.entry.note ?? sentence },
      }));
    }
    const part = item && accepted[next++];
    if (part) return [part];
    return [
      {
        entry: { kind: 'note', note: sentence, ...moment },
        sentence,
        missing: [],
        doubts: [],
        errors: [],
        passed: [],
        choices: [],
      },
    ];
  });
}
