import { useImperativeHandle, useMemo, useRef, useState, type ReactNode, type Ref } from 'react';
import type { Edit } from '../../core/edits/index.js';
import type { Entry, Line } from '../../core/job/schema.js';
import { parseLogLine, type Choice, type LogPart } from '../../core/logline/parse.js';
import { printLogLine } from '../../core/logprint/print.js';
import { completion } from '../../core/speech/phrases.js';
import { asError, idMark } from '../api/client';
import type { Change } from '../api/job';
import { contextOf, editsOf, twinOf } from './entries';
import { choiceKeys, choicesOf } from './preview';
import type { LineView } from '../../core/views/line-view.js';

/** What the panels around it may do to the line. */
export interface TypedLineHandle {
  focus: () => void;
  /** Inserts words at the front (a reading) or at the end (a depth). */
  put: (words: string, where: 'front' | 'end') => void;
  /** Opens an entry for editing, with its own words. */
  change: (entry: Entry) => void;
  /** Attaches a photo, by its name on the server, to what is written next. */
  attach: (keep: () => Promise<string>) => Promise<void>;
}

export interface TypedLineProps {
  readonly line: Line;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly pass: 'out' | 'back';
  readonly waterClock: number | undefined;
  readonly change: Change;
  /** One row with the preview above it, for the foot of the sheet. */
  readonly compact?: boolean;
  readonly ref?: Ref<TypedLineHandle>;
  /** The video's position, stored with what is written. */
  readonly stamp?: () => Pick<Entry, 'clip' | 'video_s'> | undefined;
  /** Told the ids of the entries that a new line wrote. */
  readonly onWrite?: (entries: readonly string[]) => void;
  /** What is shown beside the buttons on a phone: the current pass. */
  readonly besideThumb?: ReactNode;
  /** Keys with another meaning while the line is empty; true when it handled one. */
  readonly onEmptyKey?: (event: React.KeyboardEvent) => boolean;
}

/** The text of the line and what goes with it. */
interface Typed {
  readonly text: string;
  /** Tied to the same thing read on another pass. */
  readonly same: boolean;
  /** The entry being edited. */
  readonly editing: Entry | undefined;
  readonly photos: readonly string[];
}
const nothing: Typed = { text: '', same: false, editing: undefined, photos: [] };

/** A typed line: its meaning so far, and the actions that write, clear or change it. */
export function useTypedLine(props: TypedLineProps) {
  const { change, ref, stamp } = props;
  const [typed, setTyped] = useState(nothing);
  const [failed, setFailed] = useState<Error>();
  /** The line whose unlikely reading was confirmed. */
  const [confirmed, setConfirmed] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const { text, same, editing, photos } = typed;
  const meaning = useMeaning(props, typed);
  const { parts, ready, doubtful, run } = meaning;
  const asksAgain = doubtful && confirmed === text;
  const set = (part: Partial<Typed>) => {
    setTyped((now) => ({ ...now, ...part }));
  };
  const clear = () => {
    setTyped(nothing);
    setFailed(undefined);
  };
  const write = async () => {
    if (!ready || !run) return;
    if (doubtful && !asksAgain) {
      setConfirmed(text);
      return;
    }
    const [only] = parts;
    const tieTo = same ? props.lineView : undefined;
    const edits =
      editing && only
        ? changeOf(props.line, editing, only)
        : editsOf(withPhotos(parts, photos), props.line, run, { tieTo, stamp: stamp?.(), mark: idMark() });
    clear();
    try {
      await change.edit(edits, { ownErrors: true });
      if (!editing) props.onWrite?.(edits.flatMap((edit) => (edit.kind === 'entry' ? [edit.entry] : [])));
    } catch (error) {
      // Nothing typed is lost: the line comes back unchanged.
      setTyped((now) => ({ ...now, editing, photos, text: now.text === '' ? text : now.text }));
      setFailed(asError(error));
    }
  };
  const choose = ({ from, to, words }: Choice) => {
    set({ text: text.slice(0, from) + words + text.slice(to) });
    input.current?.focus();
  };
  useImperativeHandle(ref, () => handleOn({ input, setTyped, setFailed }));
  const forgetFailure = () => {
    setFailed(undefined);
  };
  return { ...typed, ...meaning, asksAgain, failed, forgetFailure, input, set, clear, write, choose };
}
export type TypedLineState = ReturnType<typeof useTypedLine>;

/** What is shown is what Enter writes: only what is on the line. */
function useMeaning(
  { line, lineView, runId, pass, waterClock }: TypedLineProps,
  { text, editing }: Pick<Typed, 'text' | 'editing'>,
) {
  const context = useMemo(
    () => contextOf(line, lineView, runId, { pass, waterClock, changing: editing?.id }),
    [line, lineView, runId, pass, waterClock, editing],
  );
  const parts = useMemo(() => parseLogLine(text, context), [text, context]);
  const ready =
    parts.length > 0 &&
    parts.every(({ entry, errors }) => entry && errors.length === 0) &&
    (!editing || parts.length === 1);
  const run = line.runs.find((each) => each.id === runId);
  const twin =
    ready && run && !editing
      ? parts
          .map(({ entry, replaces }) => (entry && !replaces ? twinOf(entry, run, lineView) : undefined))
          .find(Boolean)
      : undefined;
  return {
    parts,
    ready,
    run,
    twin,
    doubtful: parts.some(({ doubts }) => doubts.length > 0),
    /** Completion of the current word. */
    rest: editing ? '' : completion(text),
  };
}

interface Held {
  readonly input: React.RefObject<HTMLInputElement | null>;
  readonly setTyped: React.Dispatch<React.SetStateAction<Typed>>;
  readonly setFailed: (error: Error) => void;
}

const handleOn = ({ input, setTyped, setFailed }: Held): TypedLineHandle => ({
  focus: () => input.current?.focus(),
  put(words, where) {
    setTyped((now) => ({
      ...now,
      text: where === 'front' ? `${words} ${now.text}` : `${now.text.trimEnd()} ${words} `,
    }));
    input.current?.focus();
  },
  async attach(keep) {
    input.current?.focus();
    try {
      const photo = await keep();
      setTyped((now) => ({ ...now, photos: [...now.photos, photo] }));
    } catch (error) {
      setFailed(asError(error));
    }
  },
  change(entry) {
    setTyped((now) => ({ ...now, editing: entry, text: printLogLine(entry), same: false }));
    input.current?.focus();
  },
});

/** Keys of the line; any other key keeps its default. */
export function typedLineKey(
  state: TypedLineState,
  { change, onEmptyKey }: Pick<TypedLineProps, 'change' | 'onEmptyKey'>,
  event: React.KeyboardEvent,
): void {
  const { text, rest, parts, twin, same, set } = state;
  const command = event.ctrlKey || event.metaKey;
  const takesBack = command && text === '';
  const choice = event.altKey ? choiceAt(parts, event.code) : undefined;
  const isRedo = event.key === 'y' || (event.key.toLowerCase() === 'z' && event.shiftKey);
  if (event.key === 'Escape') {
    state.clear();
    return;
  }
  if (event.key === 'Enter') void state.write();
  else if (rest !== '' && completes(event)) set({ text: text + rest + ' ' });
  else if (choice) state.choose(choice);
  else if (event.key === '.' && command && twin) set({ same: !same });
  else if (takesBack && isRedo) void change.redo();
  else if (takesBack && event.key === 'z') void change.undo();
  else if (text !== '' || !onEmptyKey?.(event)) return;
  event.preventDefault();
}

/** Attached photos go with the first thing written. */
const withPhotos = (parts: readonly LogPart[], photos: readonly string[]): LogPart[] =>
  parts.map((part, index) =>
    index > 0 || photos.length === 0 || !part.entry
      ? part
      : { ...part, entry: { ...part.entry, photos: [...(part.entry.photos ?? []), ...photos] } },
  );

/** Tab, or → with the cursor at the end, accepts the completion. */
function completes({ key, target, shiftKey }: React.KeyboardEvent): boolean {
  if (key === 'Tab') return !shiftKey;
  const { selectionStart, selectionEnd, value } = target as HTMLInputElement;
  return key === 'ArrowRight' && selectionStart === value.length && selectionEnd === value.length;
}

const choiceAt = (parts: Parameters<typeof choicesOf>[0], code: string): Choice | undefined =>
  choicesOf(parts)[choiceKeys.findIndex((key) => code === `Key${key}`)];

/** The edited entry, under its own id; a named point goes with it. */
function changeOf(line: Line, entry: Entry, part: Parameters<typeof editsOf>[0][number]): Edit[] {
  const run = line.runs.find(({ entries }) => entries.some(({ id }) => id === entry.id));
  return run ? editsOf([{ ...part, replaces: entry.id }], line, run, {}) : [];
}
