import { Flex, Text } from '@chakra-ui/react';
import { Lightbulb } from 'lucide-react';
import { createContext, use, useState, type ReactNode } from 'react';
import { Press } from '../controls/controls';
import { useNarrow } from '../controls/use-narrow';
import { hintsDone, saveHintsDone } from './storage';

/** Where a hint is shown. */
type Place = 'reel' | 'line' | 'done' | 'result';

/** Progress so far, as far as hints need it. */
export interface Progress {
  readonly reading_ft: number;
  readonly entries: number;
  readonly atMain: boolean;
  readonly readBack: boolean;
  readonly result: boolean;
}

/** One at a time: each is replaced by the next once it was followed. */
const hints: readonly {
  readonly at: Place;
  readonly says: string;
  /** The wording without keys, where it names one. */
  readonly onPhone?: string;
  readonly done: (progress: Progress) => boolean;
}[] = [
  {
    at: 'reel',
    says: 'Push the cable: Push, or ↑ on the empty line, with Shift for a longer step. Watch the counter.',
    onPhone: 'Push the cable with Push. Watch the counter.',
    done: ({ reading_ft }) => reading_ft > 4,
  },
  {
    at: 'line',
    says: 'When something comes up to the lens, press Stamp (Alt S) for the reading and say what it is, as you would aloud: “14 branch at 3”. Enter writes it.',
    onPhone:
      'When something comes up to the lens, press Stamp for the reading and say what it is, as you would aloud: “14 branch at 3”. Write puts it in the log.',
    done: ({ entries }) => entries > 0,
  },
  {
    at: 'reel',
    says: 'Go on until the head goes no further, then write “main; stop main” with its reading.',
    done: ({ atMain }) => atMain,
  },
  {
    at: 'reel',
    says: 'Now pull back with Pull or ↓ and call everything again: the cable is taut on the way back, so those readings count.',
    onPhone:
      'Now pull back with Pull and call everything again: the cable is taut on the way back, so those readings count.',
    done: ({ readBack }) => readBack,
  },
  { at: 'done', says: 'Called all you saw? Then compare it with the truth.', done: ({ result }) => result },
  {
    at: 'result',
    says: 'Your log, thing by thing, and below it the scope and the price it leads to. A dotted number opens to its working; Show it goes back to a place.',
    done: () => false,
  },
];

interface Shown {
  readonly at: Place;
  readonly says: string;
  readonly number: number;
  readonly skip: () => void;
}
const Current = createContext<Shown | undefined>(undefined);

/** Guides through a first job: the first hint not followed yet is shown beside what it refers to. */
export function Hints({ progress, children }: { progress: Progress; children: ReactNode }) {
  const narrow = useNarrow();
  const [off, setOff] = useState(hintsDone);
  const [reached, setReached] = useState(0);
  // A followed hint does not return when its entry is deleted.
  let next = reached;
  while (hints[next]?.done(progress)) next++;
  if (next !== reached) setReached(next);
  const hint = off ? undefined : hints[next];
  const skip = () => {
    saveHintsDone(true);
    setOff(true);
  };
  return (
    <Current
      value={
        hint && {
          at: hint.at,
          says: (narrow ? hint.onPhone : undefined) ?? hint.says,
          number: next + 1,
          skip,
        }
      }
    >
      {children}
    </Current>
  );
}

/** Place for hints. */
export function HintAt({ place }: { place: Place }) {
  const hint = use(Current);
  if (hint?.at !== place) return null;
  return (
    <Flex
      role="note"
      aria-label="Hint"
      gap="2"
      align="flex-start"
      bg="sheet"
      borderLeft="5px solid"
      borderColor="water"
      px="3"
      py="2"
      my="2"
    >
      <Lightbulb size={20} aria-hidden style={{ flexShrink: 0, marginTop: 2 }} />
      <Text flex="1" fontSize="15px">
        {hint.says}{' '}
        <Text as="span" color="soft" whiteSpace="nowrap">
          {hint.number} of {hints.length}
        </Text>
      </Text>
      <Press type="button" look="quiet" onClick={hint.skip} minHeight="32px">
        {hint.number === hints.length ? 'Done' : 'Skip hints'}
      </Press>
    </Flex>
  );
}
