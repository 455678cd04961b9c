import { Box, Flex, Text } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { deviceName, senderOf } from '../api/client';
import { historyPage, type Change, type HistoryChange } from '../api/job';
import { historyKey } from '../api/jobs';
import { dayAndTime } from '../controls/format';
import { Press } from '../controls/controls';
import { Faults } from '../shell/faults';
import { isDeletion } from '../../core/edits/index.js';
import { sayChange } from '../../core/edits/say.js';
import type { Job } from '../../core/job/schema.js';
import { Note, Title } from '../controls/text';

interface Props {
  readonly id: string;
  /** Names what a change is about. */
  readonly job: Job;
  readonly change: Change;
  readonly onClose: () => void;
}

/** Every accepted edit of a job, newest first, page by page back to the first. */
const useHistory = (id: string) =>
  useInfiniteQuery({
    queryKey: historyKey(id),
    queryFn: ({ pageParam }) => historyPage(id, pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: ({ before }) => before ?? undefined,
  });

/** The panel has the focus while it is open, and returns it when closed. */
function useOwnFocus() {
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const opener = document.activeElement;
    panel.current?.focus();
    return () => {
      if (opener instanceof HTMLElement) opener.focus();
    };
  }, []);
  return panel;
}

/** Every change, newest first; whatever was replaced or deleted can be restored. */
export function HistoryPanel({ id, job, change, onClose }: Props) {
  const history = useHistory(id);
  const [onlyDeleted, setOnlyDeleted] = useState(false);
  const panel = useOwnFocus();
  const shown = sentTogether(history.data?.pages.flatMap(({ changes }) => changes) ?? []).filter(
    (all) => !onlyDeleted || all.some(({ edit }) => isDeletion(edit)),
  );
  return (
    <Flex
      as="aside"
      aria-label="History"
      ref={panel}
      tabIndex={-1}
      outline="none"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
      direction="column"
      position="fixed"
      top="60px"
      bottom="0"
      right="0"
      width={{ base: '100%', sm: '430px' }}
      bg="sheet"
      borderLeft="1px solid"
      borderColor="ink"
      zIndex={20}
    >
      <Presses {...{ change, onClose, onlyDeleted, setOnlyDeleted }} />
      {history.error && <Faults error={history.error} />}
      <Box overflowY="auto" flex="1">
        {shown.length === 0 && <Note p="4">{onlyDeleted ? 'Nothing was deleted.' : 'No changes yet.'}</Note>}
        {shown.map((all) => (
          <ChangeSet key={all[0]?.order} {...{ all, change, job }} />
        ))}
        {history.hasNextPage && (
          <Press
            type="button"
            m="4"
            disabled={history.isFetchingNextPage}
            onClick={() => void history.fetchNextPage()}
          >
            {history.isFetchingNextPage ? 'Reading…' : 'Older changes'}
          </Press>
        )}
      </Box>
    </Flex>
  );
}

interface PressesProps extends Omit<Props, 'id' | 'job'> {
  readonly onlyDeleted: boolean;
  readonly setOnlyDeleted: (only: boolean) => void;
}

const Presses = ({ change, onClose, onlyDeleted, setOnlyDeleted }: PressesProps) => (
  <Flex align="center" gap="2" px="4" py="2" borderBottom="1px solid" borderColor="rule" wrap="wrap">
    <Title size="part" flex="1">
      History
    </Title>
    <Press
      type="button"
      look={onlyDeleted ? 'chosen' : 'plain'}
      aria-pressed={onlyDeleted}
      onClick={() => {
        setOnlyDeleted(!onlyDeleted);
      }}
    >
      Deleted
    </Press>
    <Press type="button" onClick={() => void change.undo()}>
      Undo
    </Press>
    <Press type="button" onClick={() => void change.redo()}>
      Redo
    </Press>
    <Press type="button" look="quiet" onClick={onClose}>
      Close
    </Press>
  </Flex>
);

/** Changes grouped by the set they were sent in, in order. */
function sentTogether(changes: readonly HistoryChange[]): HistoryChange[][] {
  const sets = new Map<string, HistoryChange[]>();
  for (const each of changes) sets.set(each.sent, [...(sets.get(each.sent) ?? []), each]);
  return [...sets.values()];
}

/** Who made a change: by name where people sign in, and from which browser. */
function byWhom({ person, device }: HistoryChange): string {
  const { browser } = senderOf(device);
  const from = browser === deviceName() ? 'this browser' : browser;
  return person === null ? from : `${person}, ${from}`;
}

function ChangeSet({ all, change, job }: Pick<Props, 'change' | 'job'> & { all: readonly HistoryChange[] }) {
  const [first] = all;
  if (!first) return null;
  const bringBack = () => {
    void change.say(all.map(({ inverse }) => inverse));
  };
  const added = first.sent.startsWith('add ');
  return (
    <Box px="4" py="2.5" borderBottom="1px solid" borderColor="rule">
      <Note size="fine">
        {dayAndTime(first.at)}, {byWhom(first)}
        {first.undoes === null ? '' : ', taken back'}
      </Note>
      {added ? (
        <Text>Job added</Text>
      ) : (
        <Flex gap="3" align="flex-start">
          <Box flex="1" minWidth={0}>
            {[...all].reverse().map(({ order, edit, inverse }) => (
              <Text key={order} overflowWrap="anywhere">
                {sayChange(edit, inverse, job)}
              </Text>
            ))}
          </Box>
          <Press type="button" look="quiet" onClick={bringBack} textDecoration="underline" flexShrink={0}>
            {all.some(({ edit }) => isDeletion(edit)) ? 'Bring back' : 'As before'}
          </Press>
        </Flex>
      )}
    </Box>
  );
}
