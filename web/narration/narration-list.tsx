import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { parseLogLine, type LogContext } from '../../core/logline/parse.js';
import { Field, Press } from '../controls/controls';
import { videoTime } from '../controls/format';
import { KeyHints, type KeyHint } from '../keys/key-help';
import { Preview } from '../log/preview';
import type { NarrationReview, Proposal } from './use-narration';
import { Note } from '../controls/text';

interface Props {
  readonly hand: NarrationReview;
  readonly context: LogContext;
  readonly seek: ((seconds: number) => void) | undefined;
}

const Item = chakra('li', {
  base: {
    px: '4',
    py: '2',
    borderTop: '1px solid',
    borderColor: 'rule',
    _focusVisible: { outline: '3px solid', outlineColor: 'signal', outlineOffset: '-3px' },
  },
});

/** The proposals one below another, worked through by keyboard: Enter accepts, Delete refuses, M edits. */
export function NarrationList({ hand, context, seek }: Props) {
  const { proposals } = hand;
  const list = useProposalList(hand, seek);
  return (
    <>
      <Box px="4" py="1">
        <KeyHints hints={seek ? [...listKeys, videoKey] : listKeys} />
      </Box>
      <chakra.ol flex="1" overflowY="auto" m="0" p="0" listStyleType="none" aria-label="Proposals">
        {proposals.map((proposal, index) => (
          <Item
            key={proposal.key}
            ref={(row: HTMLLIElement | null) => {
              list.rows.current[index] = row;
            }}
            tabIndex={index === list.at ? 0 : -1}
            aria-label={labelOf(proposal)}
            bg={bgOf(proposal)}
            onFocus={() => {
              list.setAt(index);
            }}
            onKeyDown={(event) => {
              list.onKey(event, proposal, index);
            }}
          >
            {firstNote(proposals, index) && <NotesHead />}
            <Row
              proposal={proposal}
              hand={hand}
              seek={seek}
              onAccept={() => {
                list.decide(proposal, index, 'accepted');
              }}
              onRefuse={() => {
                list.decide(proposal, index, 'refused');
              }}
              onMend={() => {
                list.setAt(index);
                list.mend(proposal);
              }}
            />
            {list.mending === proposal.key && (
              <Mend
                line={hand.lineOf(proposal)}
                context={context}
                onDone={(line) => {
                  list.mended(proposal, index, line);
                }}
              />
            )}
          </Item>
        ))}
      </chakra.ol>
    </>
  );
}

/** The current proposal, the one being edited, and the keys. */
function useProposalList(hand: NarrationReview, seek: Props['seek']) {
  const { proposals } = hand;
  const [at, setAt] = useState(0);
  const [mending, setMending] = useState<string>();
  const rows = useRef<(HTMLLIElement | null)[]>([]);
  useEffect(() => {
    if (mending === undefined) rows.current[at]?.focus();
  }, [at, mending, proposals.length]);
  const go = (to: number) => {
    setAt(Math.max(0, Math.min(proposals.length - 1, to)));
  };
  const decide = (proposal: Proposal, index: number, is: 'accepted' | 'refused') => {
    hand.decide(proposal.key, proposal.verdict?.is === is ? undefined : { is });
    go(index + 1);
  };
  const mend = ({ key }: Proposal) => {
    setMending(key);
  };
  const acts: Readonly<Record<string, (proposal: Proposal, index: number) => void>> = {
    ArrowDown: (_, index) => {
      go(index + 1);
    },
    ArrowUp: (_, index) => {
      go(index - 1);
    },
    Enter: (proposal, index) => {
      decide(proposal, index, 'accepted');
    },
    Delete: (proposal, index) => {
      decide(proposal, index, 'refused');
    },
    Backspace: (proposal, index) => {
      decide(proposal, index, 'refused');
    },
    m: mend,
    v: ({ video_s }) => {
      if (video_s !== null) seek?.(video_s + (hand.source?.shift_s ?? 0));
    },
  };
  return {
    ...{ at, setAt, mending, rows, decide, mend },
    onKey: (event: React.KeyboardEvent, proposal: Proposal, index: number) => {
      if (event.target !== event.currentTarget || event.ctrlKey || event.metaKey || event.altKey) return;
      const act = acts[event.key];
      if (!act) return;
      event.preventDefault();
      act(proposal, index);
    },
    mended: (proposal: Proposal, index: number, line: string | undefined) => {
      if (line !== undefined) hand.decide(proposal.key, { is: 'mended', line });
      setMending(undefined);
      if (line !== undefined) go(index + 1);
    },
  };
}

const listKeys: readonly KeyHint[] = [
  { caps: ['↑', '↓'], does: 'move' },
  { caps: ['Enter'], does: 'accept' },
  { caps: ['M'], does: 'mend' },
  { caps: ['Delete'], does: 'refuse' },
];
const videoKey: KeyHint = { caps: ['V'], does: 'show in the video' };

const NotesHead = () => (
  <Text fontFamily="heading" fontWeight={700} pb="1">
    Nothing to log: becomes a note if you accept it
  </Text>
);

const firstNote = (proposals: readonly Proposal[], index: number): boolean =>
  proposals[index]?.item === undefined && (index === 0 || proposals[index - 1]?.item !== undefined);

const verdictWords = { accepted: 'accepted', refused: 'refused', mended: 'mended' } as const;
const labelOf = ({ says, sentence, verdict }: Proposal): string =>
  `${says}, said: ${sentence}${verdict ? `, ${verdictWords[verdict.is]}` : ''}`;
const bgOf = ({ verdict }: Proposal): string =>
  verdict && verdict.is !== 'refused' ? 'keep' : 'transparent';

interface RowProps {
  readonly proposal: Proposal;
  readonly hand: NarrationReview;
  readonly seek: Props['seek'];
  readonly onAccept: () => void;
  readonly onRefuse: () => void;
  readonly onMend: () => void;
}

/** A proposal beside its sentence and its time. */
function Row({ proposal, hand, seek, onAccept, onRefuse, onMend }: RowProps) {
  const { item, verdict, says, sentence, video_s } = proposal;
  const refused = verdict?.is === 'refused';
  const moment = video_s === null ? undefined : video_s + (hand.source?.shift_s ?? 0);
  return (
    <Flex gap="3" direction={{ base: 'column', md: 'row' }} opacity={refused ? 0.6 : 1}>
      <Box width={{ md: '64px' }} flexShrink={0} color="soft" fontSize="14px">
        {moment !== undefined &&
          (seek ? (
            <chakra.button
              type="button"
              textDecoration="underline"
              tabIndex={-1}
              onClick={() => {
                seek(moment);
              }}
            >
              {videoTime(moment)}
            </chakra.button>
          ) : (
            videoTime(moment)
          ))}
      </Box>
      <Box flex="1" minWidth={0}>
        {item && (
          <Text textDecoration={refused ? 'line-through' : 'none'}>
            <strong>{verdict?.is === 'mended' ? verdict.line : says}</strong>
            {!proposal.set && <chakra.span color="soft"> · {item.entry.pass ?? 'back'}</chakra.span>}
            {item.assumed.length > 0 && verdict?.is !== 'mended' && (
              <chakra.span color="signalInk"> · assumed: {item.assumed.join('; ')}</chakra.span>
            )}
          </Text>
        )}
        {!item && verdict?.is === 'mended' && <strong>{verdict.line}</strong>}
        <Note fontSize="14.5px" overflowWrap="anywhere">
          “{sentence}”
        </Note>
      </Box>
      <Flex gap="1" flexShrink={0} align="flex-start">
        <Press
          type="button"
          tabIndex={-1}
          look={verdict && verdict.is !== 'refused' ? 'chosen' : 'plain'}
          aria-pressed={verdict !== undefined && verdict.is !== 'refused'}
          onClick={onAccept}
        >
          {item ? 'Accept' : 'Keep as a note'}
        </Press>
        <Press type="button" tabIndex={-1} look="quiet" onClick={onMend}>
          Mend
        </Press>
        <Press type="button" tabIndex={-1} look="quiet" aria-pressed={refused} onClick={onRefuse}>
          Refuse
        </Press>
      </Flex>
    </Flex>
  );
}

interface MendProps {
  readonly line: string;
  readonly context: LogContext;
  /** Undefined leaves it unchanged. */
  readonly onDone: (line: string | undefined) => void;
}

/** The log's typed line, in place: what is typed is what is written. */
function Mend({ line, context, onDone }: MendProps) {
  const [text, setText] = useState(line);
  const parts = useMemo(() => parseLogLine(text, context), [text, context]);
  const ready = parts.length > 0 && parts.every(({ entry, errors }) => entry && errors.length === 0);
  return (
    <Box pt="2" pl={{ md: '76px' }}>
      <Field
        autoFocus
        aria-label="The entry, as the log line writes it"
        value={text}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={ready ? undefined : true}
        onChange={(event) => {
          setText(event.target.value);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') {
            event.preventDefault();
            onDone(undefined);
          } else if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) {
            event.preventDefault();
            if (ready) onDone(text);
          }
        }}
      />
      <Preview
        parts={parts}
        text={text}
        lineView={undefined}
        runId=""
        twin={undefined}
        same={false}
        compact
        onChoose={({ from, to, words }) => {
          setText(text.slice(0, from) + words + text.slice(to));
        }}
      />
    </Box>
  );
}
