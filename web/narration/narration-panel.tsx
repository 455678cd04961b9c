import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { useDropzone } from 'react-dropzone';
import { lineHead, type Edit } from '../../core/edits/index.js';
import type { Line, Run } from '../../core/job/schema.js';
import type { LogContext } from '../../core/logline/parse.js';
import { idMark } from '../api/client';
import type { Change } from '../api/job';
import { Cap, Field, Label, LongField, Press } from '../controls/controls';
import { FullPagePanel } from '../shell/full-page-panel.js';
import { editsOf } from '../log/entries';
import { NarrationList } from './narration-list';
import { ButtonChoice } from '../log/button-choice';
import type { NarrationReview } from './use-narration';
import { Note } from '../controls/text';

interface Props {
  readonly line: Line;
  readonly run: Run;
  readonly change: Change;
  readonly context: LogContext;
  readonly hand: NarrationReview;
  readonly seek: ((seconds: number) => void) | undefined;
  readonly onClose: () => void;
}

/**
 * A whole narration at once: captions or pasted words become proposals, and what is accepted is written as one change.
 */
export function NarrationPanel({ line, run, change, context, hand, seek, onClose }: Props) {
  const dialog = useRef<HTMLDivElement>(null);
  const { source, faults, parts, pipe } = hand;
  useEffect(() => {
    dialog.current?.focus();
  }, []);
  const write = async () => {
    if (parts.length === 0 && !pipe) return;
    // What is written of the line's points holds its pipe too.
    const piped = pipe ? { ...line, pipe } : line;
    const edits: Edit[] = [
      ...(pipe ? [{ kind: 'line', line: line.id, set: lineHead(piped) } as const] : []),
      ...editsOf(parts, piped, run, { mark: idMark() }),
    ];
    try {
      await change.edit(edits);
    } catch {
      // Shown where every refused change is; the decisions on the narration are kept.
      return;
    }
    hand.putAway();
    onClose();
  };
  return (
    <FullPagePanel
      ref={dialog}
      role="dialog"
      aria-modal="true"
      aria-label="Narration in"
      tabIndex={-1}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && !event.defaultPrevented) onClose();
        else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
          event.preventDefault();
          void write();
        }
      }}
    >
      {source ? (
        <>
          <Head hand={hand} onClose={onClose} />
          <CaptionFaults faults={faults} />
          <NarrationList hand={hand} context={context} seek={seek} />
          <Foot hand={hand} write={write} />
        </>
      ) : (
        <SourceForm onRead={hand.read} onClose={onClose} />
      )}
    </FullPagePanel>
  );
}

const CaptionFaults = ({ faults }: Pick<NarrationReview, 'faults'>) =>
  faults.length > 0 && (
    <Box role="alert" px="4" py="2" color="signalInk" borderBottom="1px solid" borderColor="rule">
      {faults.slice(0, 4).map(({ line: at, message }) => (
        <Text key={`${at} ${message}`}>
          Line {at}: {message}
        </Text>
      ))}
    </Box>
  );

function Foot({ hand, write }: { hand: NarrationReview; write: () => Promise<void> }) {
  const { parts, pipe, proposals } = hand;
  const count = parts.length + (pipe ? 1 : 0);
  return (
    <Flex
      gap={{ base: '2', md: '3' }}
      p="3"
      borderTop="1px solid"
      borderColor="ink"
      wrap="wrap"
      align="center"
    >
      <Press type="button" look="signal" disabled={count === 0} onClick={() => void write()}>
        Write {count} into the log
      </Press>
      <Press type="button" px={{ base: '3', md: '4' }} onClick={hand.acceptCertain}>
        Accept all that are certain
      </Press>
      <Press type="button" look="quiet" onClick={hand.putAway}>
        Put away
      </Press>
      <Note size="fine" display={{ base: 'none', md: 'block' }} ml="auto">
        {proposals.filter(({ item, verdict }) => item && !verdict).length} to decide · <Cap>Ctrl</Cap>
        <Cap>Enter</Cap>write · one <Cap>Ctrl</Cap>
        <Cap>Z</Cap>takes all of it back
      </Note>
    </Flex>
  );
}

function Head({ hand, onClose }: { hand: NarrationReview; onClose: () => void }) {
  const { source, proposals } = hand;
  const timed = proposals.some(({ video_s }) => video_s !== null);
  const found = proposals.filter(({ item }) => item).length;
  const id = useId();
  return (
    <Flex
      gap="4"
      rowGap="1"
      px="4"
      py="2"
      borderBottom="1px solid"
      borderColor="ink"
      align="center"
      wrap="wrap"
    >
      <Text flex="1" minWidth="200px">
        <strong>{source?.name ?? 'Pasted words'}</strong>: {found} proposed, {proposals.length - found}{' '}
        {proposals.length - found === 1 ? 'sentence proposes' : 'sentences propose'} nothing. Nothing is
        written yet.
      </Text>
      {timed && (
        <Flex align="center" gap="2">
          <Label htmlFor={id}>Video is later by, s</Label>
          <Field
            id={id}
            type="number"
            width="92px"
            value={source?.shift_s ?? 0}
            onChange={(event) => {
              const seconds = Number(event.target.value);
              if (Number.isFinite(seconds)) hand.shift(seconds);
            }}
          />
        </Flex>
      )}
      <Press type="button" look="quiet" onClick={onClose}>
        Close
      </Press>
    </Flex>
  );
}

interface SourceFormProps {
  readonly onRead: NarrationReview['read'];
  readonly onClose: () => void;
}

/** Source of the words: a captions file, or pasted text. */
function SourceForm({ onRead, onClose }: SourceFormProps) {
  const [text, setText] = useState('');
  const [pass, setPass] = useState<'out' | 'back'>('out');
  const [failed, setFailed] = useState('');
  const { drop, isOver, ask } = useCaptionsFile({
    onText: (name, words) => {
      onRead({ name, text: words, pass, shift_s: 0 });
    },
    onFailed: setFailed,
  });
  const id = useId();
  return (
    <Flex direction="column" gap="3" p={{ base: '4', md: '6' }} flex="1" overflowY="auto" {...drop.root()}>
      <input {...drop.input({ 'aria-label': 'Captions file' })} />
      <Intro />
      <Flex gap="3" wrap="wrap" align="center">
        <Press type="button" onClick={ask}>
          Choose a captions file
        </Press>
        <Note>{isOver ? 'Drop it here.' : 'or drop one here: .vtt, .srt or .txt'}</Note>
      </Flex>
      <Label htmlFor={id}>Or paste the words</Label>
      <LongField
        id={id}
        rows={9}
        value={text}
        placeholder="okay at nine feet we go from abs to clay… some roots at the joint at forty four, about thirty percent…"
        onChange={(event) => {
          setText(event.target.value);
        }}
      />
      <ButtonChoice
        aria-label="The talk begins"
        maxWidth="420px"
        chosen={pass}
        words={{ out: 'Begins pushing out', back: 'Begins pulling back' }}
        onChoose={setPass}
      />
      {failed && <Refusal>{failed}</Refusal>}
      <Flex gap="3" mt="2">
        <Press
          type="button"
          look="signal"
          disabled={text.trim() === ''}
          onClick={() => {
            onRead({ name: 'Pasted words', text, pass, shift_s: 0 });
          }}
        >
          Read it
        </Press>
        <Press type="button" look="quiet" onClick={onClose}>
          Close
        </Press>
      </Flex>
    </Flex>
  );
}

const Intro = () => (
  <>
    <Text fontFamily="heading" fontWeight={800} fontSize="20px">
      Narration in
    </Text>
    <Note maxWidth="70ch">
      What was said while the camera was pushed or pulled, as captions with times or as plain words. It
      becomes a list of proposals; nothing goes into the log before you accept it.
    </Note>
  </>
);

interface CaptionsFile {
  readonly onText: (name: string, words: string) => void;
  readonly onFailed: (words: string) => void;
}

/** One captions or text file, dropped or chosen; anything but UTF-8 is refused with advice. */
function useCaptionsFile({ onText, onFailed }: CaptionsFile) {
  const take = async (file: File) => {
    try {
      onText(file.name, new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer()));
    } catch {
      onFailed(`${file.name} is not UTF-8 text: save it as UTF-8 captions (.vtt, .srt) or text (.txt).`);
    }
  };
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    multiple: false,
    noClick: true,
    noKeyboard: true,
    onDropAccepted: ([file]) => {
      if (file) void take(file);
    },
    onDropRejected: () => {
      onFailed('One captions or text file at a time.');
    },
  });
  return { drop: { root: getRootProps, input: getInputProps }, isOver: isDragActive, ask: open };
}

const Refusal = ({ children }: { children: ReactNode }) => (
  <chakra.p role="alert" color="signalInk">
    {children}
  </chakra.p>
);
