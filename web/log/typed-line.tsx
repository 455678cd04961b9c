import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useId, useImperativeHandle, useMemo, useRef, useState, type ReactNode, type Ref } from 'react';
import type { Edit } from '../../core/edits/index.js';
import type { Entry, Line } from '../../core/job/schema.js';
import { parseLogLine, type Choice, type LogPart } from '../../core/logline/parse.js';
import { printLogLine } from '../../core/logprint/print.js';
import { sayWhat } from '../../core/speech/say.js';
import { completion } from '../../core/speech/phrases.js';
import { asError, idMark } from '../api/client';
import type { Change } from '../api/jobs';
import { Cap, Press } from '../controls/controls';
import { Faults } from '../shell/trouble';
import { contextOf, editsOf, twinOf } from './entries';
import { choiceKeys, choicesOf, Preview } from './preview';
import { ThumbRow } from './thumb-row';
import type { LineView } from '../../core/views/line-view.js';

const Input = chakra('input', {
  base: {
    width: '100%',
    minHeight: '54px',
    px: '4',
    bg: 'sheet',
    color: 'ink',
    border: '2px solid',
    borderColor: 'ink',
    fontSize: '20px',
    _placeholder: { color: 'soft', opacity: 1 },
  },
});

/** What the panels around it may do to the line. */
export interface TypedLineHandle {
  focus: () => void;
  /** Puts words in at the front (a reading) or at the end (a depth). */
  put: (words: string, where: 'front' | 'end') => void;
  /** Opens an entry for change: its own words, to be written over it. */
  change: (entry: Entry) => void;
  /** Keeps a photo, by its name on the server, for what is written next. */
  attach: (keep: () => Promise<string>) => Promise<void>;
}

interface Props {
  readonly line: Line;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly pass: 'out' | 'back';
  readonly waterClock: number | undefined;
  readonly change: Change;
  /** One row with the preview above it, for the foot of the sheet. */
  readonly compact?: boolean;
  readonly ref?: Ref<TypedLineHandle>;
  /** Where the video stands, to be kept with what is written. */
  readonly stamp?: () => Pick<Entry, 'clip' | 'video_s'> | undefined;
  /** What stands beside the presses of a phone: which pass it is. */
  readonly besideThumb?: ReactNode;
  /** Keys that mean something else while nothing is typed; true when it took one. */
  readonly onEmptyKey?: (event: React.KeyboardEvent) => boolean;
}

/** One line, as it is said: understood as it is typed, written on Enter. */
export function TypedLine(props: Props) {
  const { line, lineView, runId, pass, waterClock, change, compact, ref, stamp, onEmptyKey, besideThumb } =
    props;
  const [text, setText] = useState('');
  const [same, setSame] = useState(false);
  const [editing, setEditing] = useState<Entry>();
  const [failed, setFailed] = useState<Error>();
  const [photos, setPhotos] = useState<readonly string[]>([]);
  /** The line whose doubtful reading was confirmed. */
  const [confirmed, setConfirmed] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const context = useMemo(
    () => contextOf(line, lineView, runId, { pass, waterClock }),
    [line, lineView, runId, pass, waterClock],
  );
  const rest = editing ? '' : completion(text);
  // What is shown is what Enter writes: only what stands on the line.
  const parts = useMemo(() => parseLogLine(text, context), [text, context]);
  const ready =
    parts.length > 0 &&
    parts.every(({ entry, errors }) => entry && errors.length === 0) &&
    (!editing || parts.length === 1);
  const doubtful = parts.some(({ doubts }) => doubts.length > 0);
  const asksAgain = doubtful && confirmed === text;
  const run = line.runs.find((each) => each.id === runId);
  const twin =
    ready && run && !editing
      ? parts
          .map(({ entry, replaces }) => (entry && !replaces ? twinOf(entry, run, lineView) : undefined))
          .find(Boolean)
      : undefined;
  useImperativeHandle(ref, () => ({
    focus: () => input.current?.focus(),
    put(words, where) {
      setText((now) => (where === 'front' ? `${words} ${now}` : `${now.trimEnd()} ${words} `));
      input.current?.focus();
    },
    async attach(keep) {
      input.current?.focus();
      try {
        const photo = await keep();
        setPhotos((now) => [...now, photo]);
      } catch (error) {
        setFailed(asError(error));
      }
    },
    change(entry) {
      setEditing(entry);
      setText(printLogLine(entry));
      setSame(false);
      input.current?.focus();
    },
  }));

  const clear = () => {
    setText('');
    setSame(false);
    setEditing(undefined);
    setFailed(undefined);
    setPhotos([]);
  };
  const write = async () => {
    if (!ready || !run) return;
    if (doubtful && !asksAgain) {
      setConfirmed(text);
      return;
    }
    const [only] = parts;
    const edits =
      editing && only
        ? changeOf(line, editing, only)
        : editsOf(withPhotos(parts, photos), line, run, {
            tieTo: same ? lineView : undefined,
            stamp: stamp?.(),
            mark: idMark(),
          });
    const typed = text;
    const was = editing;
    const kept = photos;
    clear();
    try {
      await change.edit(edits, { ownErrors: true });
    } catch (error) {
      // Nothing typed is lost: the line comes back as it was.
      setText((now) => (now === '' ? typed : now));
      setEditing(was);
      setPhotos(kept);
      setFailed(asError(error));
    }
  };
  const choose = ({ from, to, words }: Choice) => {
    setText(text.slice(0, from) + words + text.slice(to));
    input.current?.focus();
  };
  const keys = (event: React.KeyboardEvent) => {
    const command = event.ctrlKey || event.metaKey;
    if (event.key === 'Enter') {
      event.preventDefault();
      void write();
    } else if (rest !== '' && completes(event)) {
      event.preventDefault();
      setText(text + rest + ' ');
    } else if (event.altKey && choiceAt(parts, event.code)) {
      event.preventDefault();
      const choice = choiceAt(parts, event.code);
      if (choice) choose(choice);
    } else if (event.key === '.' && command && twin) {
      event.preventDefault();
      setSame(!same);
    } else if (
      command &&
      text === '' &&
      (event.key === 'y' || (event.key.toLowerCase() === 'z' && event.shiftKey))
    ) {
      event.preventDefault();
      void change.redo();
    } else if (event.key === 'z' && command && text === '') {
      event.preventDefault();
      void change.undo();
    } else if (event.key === 'Escape') clear();
    else if (text === '' && onEmptyKey?.(event)) event.preventDefault();
  };
  const preview = (
    <Preview
      parts={parts}
      text={text}
      lineView={lineView}
      runId={runId}
      twin={twin}
      same={same}
      compact={compact === true}
      onChoose={choose}
    />
  );
  return (
    <Box>
      {compact && text !== '' && (
        <Box borderTop="1px solid" borderColor="rule" bg="sheet" px="4" py="2">
          {preview}
        </Box>
      )}
      {failed && (
        <Faults
          error={failed}
          onClose={() => {
            setFailed(undefined);
          }}
        />
      )}
      {photos.length > 0 && (
        <Text px="4" py="1" bg="keep" role="status">
          {photos.length === 1 ? 'One picture goes' : `${photos.length} pictures go`} with what you write
          next.
        </Text>
      )}
      {editing && (
        <Flex align="center" gap="3" bg="keep" px="4" py="1" justify="space-between">
          <span>
            Changing: <strong>{sayWhat(editing)}</strong>
          </span>
          <Press type="button" look="quiet" onClick={clear}>
            Leave it as it was
          </Press>
        </Flex>
      )}
      <Box position="relative">
        <chakra.label htmlFor={id} srOnly>
          What the camera shows, for example 46 roots 15% 11-2; gap 3/4 at joint
        </chakra.label>
        <Box
          position="absolute"
          inset="2px"
          px="4"
          display="flex"
          alignItems="center"
          fontSize={compact ? '17px' : '20px'}
          pointerEvents="none"
          whiteSpace="pre"
          overflow="hidden"
          aria-hidden
          zIndex={1}
        >
          <chakra.span visibility="hidden">{text}</chakra.span>
          <chakra.span color="soft">{rest}</chakra.span>
        </Box>
        <Input
          id={id}
          ref={input}
          value={text}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          autoFocus={!compact}
          fontSize={compact ? '17px' : '20px'}
          minHeight={compact ? '44px' : '54px'}
          placeholder={compact ? 'Type a reading: 46 roots 15%' : '46 roots 15% 11-2; gap 3/4 at joint'}
          aria-describedby={compact ? undefined : `${id}-preview`}
          aria-invalid={text !== '' && !ready ? true : undefined}
          onChange={(event) => {
            setText(event.target.value);
          }}
          onKeyDown={keys}
        />
      </Box>
      {(!compact || text !== '') && (
        <ThumbRow
          says={
            asksAgain ? 'Write it as it stands' : parts.length > 1 ? `Write all ${parts.length}` : 'Write'
          }
          disabled={text === ''}
          onWrite={() => {
            if (ready) void write();
            else input.current?.focus();
          }}
          onTakeBack={() => {
            if (text === '') void change.undo();
            else clear();
          }}
        >
          {besideThumb}
        </ThumbRow>
      )}
      {!compact && (
        <Box id={`${id}-preview`} pt={{ base: text === '' ? '0' : '3', md: '3' }} minHeight={{ md: '86px' }}>
          <Box display={{ base: text === '' ? 'none' : 'block', md: 'block' }}>{preview}</Box>
          <Flex
            wrap="wrap"
            gap="4"
            rowGap="1"
            pt="2"
            fontSize="14px"
            color="soft"
            display={{ base: 'none', md: 'flex' }}
          >
            <span>
              <Cap>Enter</Cap>
              {text !== '' && !ready
                ? 'writes it once nothing is underlined'
                : asksAgain
                  ? 'once more writes it as it stands'
                  : doubtful
                    ? 'twice writes it as it stands'
                    : `write ${parts.length > 1 ? (parts.length === 2 ? 'both' : `all ${parts.length}`) : 'it'}`}
            </span>
            {rest !== '' && (
              <span>
                <Cap>Tab</Cap>
                <Cap>→</Cap>finish the word
              </span>
            )}
            {twin && (
              <span>
                <Cap>Ctrl</Cap>
                <Cap>.</Cap>
                {same ? 'a thing of its own' : 'same thing as below'}
              </span>
            )}
            <span>
              <Cap>Ctrl</Cap>
              <Cap>Z</Cap>take back
            </span>
          </Flex>
        </Box>
      )}
    </Box>
  );
}

/** Pictures kept go with the first thing written. */
const withPhotos = (parts: readonly LogPart[], photos: readonly string[]): LogPart[] =>
  parts.map((part, index) =>
    index > 0 || photos.length === 0 || !part.entry
      ? part
      : { ...part, entry: { ...part.entry, photos: [...(part.entry.photos ?? []), ...photos] } },
  );

/** Tab, or → with the cursor at the end, takes the word that is offered. */
function completes({ key, target, shiftKey }: React.KeyboardEvent): boolean {
  if (key === 'Tab') return !shiftKey;
  const { selectionStart, selectionEnd, value } = target as HTMLInputElement;
  return key === 'ArrowRight' && selectionStart === value.length && selectionEnd === value.length;
}

const choiceAt = (parts: Parameters<typeof choicesOf>[0], code: string): Choice | undefined =>
  choicesOf(parts)[choiceKeys.findIndex((key) => code === `Key${key}`)];

/** The entry as it was typed anew, under its own id; a point that was named goes with it. */
function changeOf(line: Line, entry: Entry, part: Parameters<typeof editsOf>[0][number]): Edit[] {
  const run = line.runs.find(({ entries }) => entries.some(({ id }) => id === entry.id));
  return run ? editsOf([{ ...part, replaces: entry.id }], line, run, {}) : [];
}
