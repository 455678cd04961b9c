import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useId, useMemo, useRef, useState } from 'react';
import { parseLogLine, type LogContext, type LogPart } from '../../core/logline/parse.js';
import { completion } from '../../core/logline/words.js';
import type { Entry, Line } from '../../core/job/schema.js';
import type { LineView } from '../../core/scope/job-view.js';
import { Cap } from '../shell/controls';
import { Faults } from '../shell/trouble';
import type { useEdit } from '../api/jobs';
import { counterOf, entriesOf, twinOf } from './entries';

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

interface Props {
  readonly line: Line;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly pass: 'out' | 'back';
  readonly waterClock: number | undefined;
  readonly change: ReturnType<typeof useEdit>;
  /** One row with the preview above it, for the foot of the sheet. */
  readonly compact?: boolean;
}

/** One line, as it is said: understood as it is typed, written on Enter. */
export function TypedLine({ line, lineView, runId, pass, waterClock, change, compact }: Props) {
  const [text, setText] = useState('');
  const [same, setSame] = useState(false);
  const [failed, setFailed] = useState<Error>();
  const input = useRef<HTMLInputElement>(null);
  const id = useId();
  const context = useMemo(
    (): LogContext => ({ pass, end: line.end, points: line.points, waterClock }),
    [pass, line, waterClock],
  );
  const rest = completion(text);
  // What is shown is what Enter writes: the word being typed counts as finished.
  const whole = text + rest;
  const parts = useMemo(() => parseLogLine(whole, context), [whole, context]);
  const ready = parts.length > 0 && parts.every(({ entry, errors }) => entry && errors.length === 0);
  const run = line.runs.find((each) => each.id === runId);
  const twin =
    ready && run ? parts.map(({ entry }) => entry && twinOf(entry, run, lineView)).find(Boolean) : undefined;

  const write = async () => {
    if (!ready || !run) return;
    const entries = entriesOf(parts, line, run, same ? lineView : undefined);
    const typed = text;
    setText('');
    setSame(false);
    setFailed(undefined);
    try {
      await change.edit(
        entries.map((entry: Entry) => ({
          kind: 'entry',
          line: line.id,
          run: run.id,
          entry: entry.id,
          set: entry,
        })),
      );
    } catch (error) {
      // Nothing typed is lost: the line comes back as it was.
      setText((now) => (now === '' ? typed : now));
      setFailed(error instanceof Error ? error : new Error(String(error)));
    }
  };
  const take = () => {
    setText(text + rest + ' ');
  };
  const keys = (event: React.KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      void write();
    } else if (event.key === 'Tab' && rest !== '') {
      event.preventDefault();
      take();
    } else if (event.key === '.' && (event.ctrlKey || event.metaKey) && twin) {
      event.preventDefault();
      setSame(!same);
    } else if (event.key === 'z' && (event.ctrlKey || event.metaKey) && text === '') {
      event.preventDefault();
      void change.undo();
    } else if (event.key === 'Escape') setText('');
  };
  const preview = (
    <Preview
      parts={parts}
      text={whole}
      lineView={lineView}
      runId={runId}
      twin={twin}
      same={same}
      compact={compact === true}
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
          aria-describedby={`${id}-preview`}
          aria-invalid={text !== '' && !ready ? true : undefined}
          onChange={(event) => {
            setText(event.target.value);
          }}
          onKeyDown={keys}
        />
      </Box>
      {!compact && (
        <Box id={`${id}-preview`} pt="3" minHeight="86px">
          {preview}
          <Flex wrap="wrap" gap="4" pt="2" fontSize="14px" color="soft">
            <span>
              <Cap>Enter</Cap>
              write {parts.length > 1 ? (parts.length === 2 ? 'both' : `all ${parts.length}`) : 'it'}
            </span>
            <span>
              <Cap>Tab</Cap>finish the word
            </span>
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

interface PreviewProps {
  readonly parts: readonly LogPart[];
  readonly text: string;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly twin: { key: string; says: string } | undefined;
  readonly same: boolean;
  readonly compact: boolean;
}

/** What was understood, in full sentences; what was not, marked in the text. */
function Preview({ parts, text, lineView, runId, twin, same, compact }: PreviewProps) {
  if (parts.length === 0) {
    return compact ? null : (
      <Text color="soft">
        A reading, then what is there, in any order: <em>31.7 abs 4 &gt; clay 6</em>, <em>56-50 belly 1/4</em>
        , <em>38 located 4.1 deep</em>, <em>81.7 main</em>.
      </Text>
    );
  }
  const counter = counterOf(lineView, runId);
  return (
    <Box role="status" data-testid="preview">
      {parts.map((part, index) => (
        <Flex key={index} gap="3" py="0.5">
          <Text color="soft" width="14px" flexShrink={0}>
            {index + 1}
          </Text>
          <Box flex="1">
            {part.sentence && (
              <Text>
                <strong>{part.sentence}</strong>
                {counter && part.entry?.reading_ft !== undefined && (
                  <chakra.span color="soft">
                    {' '}
                    · {counter.place(part.entry.reading_ft).toFixed(1)} ft on the line
                  </chakra.span>
                )}
                {part.missing.length > 0 && (
                  <chakra.span color="signalInk"> · still to say: {part.missing.join(', ')}</chakra.span>
                )}
              </Text>
            )}
            {part.errors.map((error) => (
              <Text key={`${error.from} ${error.message}`} color="signalInk">
                {error.to > error.from && error.to - error.from < text.length && (
                  <chakra.span textDecoration="underline wavy" mr="2">
                    {text.slice(error.from, error.to)}
                  </chakra.span>
                )}
                {error.message}
              </Text>
            ))}
          </Box>
          <Text color="soft">{part.entry?.pass}</Text>
        </Flex>
      ))}
      {twin && (
        <Text color={same ? 'ink' : 'soft'} fontSize="14px" pl="26px">
          {same ? 'Another reading of: ' : 'Near: '}
          {twin.says}
        </Text>
      )}
    </Box>
  );
}
