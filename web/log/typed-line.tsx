import type { Line } from '../../core/job/schema.js';
import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useId } from 'react';
import { namesOn, sayWhat } from '../../core/speech/say.js';
import { Press } from '../controls/controls';
import { KeyHints, type KeyHint } from '../keys/key-help';
import { Faults } from '../shell/faults';
import { Preview } from './preview';
import { ThumbRow } from './thumb-row';
import { typedLineKey, useTypedLine, type TypedLineProps, type TypedLineState } from './use-typed-line';

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

/** One line in the trade's words: understood as it is typed, written on Enter. */
export function TypedLine(props: TypedLineProps) {
  const { lineView, runId, change, compact = false, besideThumb } = props;
  const state = useTypedLine(props);
  const { text, parts, ready, asksAgain, twin, same } = state;
  const id = useId();
  const preview = (
    <Preview {...{ parts, text, lineView, runId, twin, same, compact }} onChoose={state.choose} />
  );
  return (
    <Box>
      {compact && text !== '' && (
        <Box borderTop="1px solid" borderColor="rule" bg="sheet" px="4" py="2">
          {preview}
        </Box>
      )}
      <GoesWith state={state} line={props.line} />
      <LineField
        id={id}
        state={state}
        compact={compact}
        onKeyDown={(event) => {
          typedLineKey(state, props, event);
        }}
      />
      {(!compact || text !== '') && (
        <ThumbRow
          says={asksAgain ? 'Write it anyway' : parts.length > 1 ? `Write all ${parts.length}` : 'Write'}
          disabled={text === ''}
          onWrite={() => {
            if (ready) void state.write();
            else state.input.current?.focus();
          }}
          onTakeBack={() => {
            if (text === '') void change.undo();
            else state.clear();
          }}
        >
          {besideThumb}
        </ThumbRow>
      )}
      {!compact && (
        <Box id={`${id}-preview`} pt={{ base: text === '' ? '0' : '3', md: '3' }} minHeight={{ md: '86px' }}>
          <Box display={{ base: text === '' ? 'none' : 'block', md: 'block' }}>{preview}</Box>
          <Box pt="2">
            <KeyHints hints={hintsOf(state)} />
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** Above the line: why it was not written, the photos attached to it, the entry being edited. */
const GoesWith = ({
  state: { failed, forgetFailure, photos, editing, clear },
  line,
}: {
  state: TypedLineState;
  line: Line;
}) => (
  <>
    {failed && <Faults error={failed} onClose={forgetFailure} />}
    {photos.length > 0 && (
      <Text px="4" py="1" bg="keep" role="status">
        {photos.length === 1 ? 'One picture goes' : `${photos.length} pictures go`} with what you write next.
      </Text>
    )}
    {editing && (
      <Flex align="center" gap="3" bg="keep" px="4" py="1" justify="space-between">
        <span>
          Changing: <strong>{sayWhat(editing, namesOn(line).pointName)}</strong>
        </span>
        <Press type="button" look="quiet" onClick={clear}>
          Leave it as it was
        </Press>
      </Flex>
    )}
  </>
);

interface LineFieldProps {
  readonly id: string;
  readonly state: TypedLineState;
  readonly compact: boolean;
  readonly onKeyDown: (event: React.KeyboardEvent) => void;
}

/** The field itself, with the completion of the current word behind it. */
function LineField({ id, state: { text, rest, ready, input, set }, compact, onKeyDown }: LineFieldProps) {
  return (
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
        // Its script may come after a dialog was opened over the log, which keeps the focus then.
        autoFocus={!compact && !document.querySelector('[aria-modal=true]')}
        fontSize={compact ? '17px' : '20px'}
        minHeight={compact ? '44px' : '54px'}
        placeholder={compact ? 'Type a reading: 46 roots 15%' : '46 roots 15% 11-2; gap 3/4 at joint'}
        aria-describedby={compact ? undefined : `${id}-preview`}
        aria-invalid={text !== '' && !ready ? true : undefined}
        onChange={(event) => {
          set({ text: event.target.value });
        }}
        onKeyDown={onKeyDown}
      />
    </Box>
  );
}

function enterDoes({ text, ready, asksAgain, doubtful, parts }: TypedLineState): string {
  if (text !== '' && !ready) return 'writes it once nothing is underlined';
  if (asksAgain) return 'once more writes it anyway';
  if (doubtful) return 'twice writes it anyway';
  return `write ${parts.length > 1 ? (parts.length === 2 ? 'both' : `all ${parts.length}`) : 'it'}`;
}

/** What the keys do now. */
const hintsOf = (state: TypedLineState): KeyHint[] => [
  { caps: ['Enter'], does: enterDoes(state) },
  ...(state.rest === '' ? [] : [{ caps: ['Tab', '→'], does: 'finish the word' }]),
  ...(state.twin
    ? [{ caps: ['Ctrl', '.'], does: state.same ? 'a thing of its own' : 'same thing as below' }]
    : []),
  { caps: ['Ctrl', 'Z'], does: 'take back' },
];
