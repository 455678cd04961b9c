import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { History } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { NavLink, useLocation } from 'react-router';
import type { Job, Line } from '../../core/job/schema.js';
import type { JobView } from '../../core/views/job-view.js';
import { day, feet, verdictWords } from './format';
import { Header } from './header';

const Tab = chakra(NavLink, {
  base: {
    display: 'flex',
    alignItems: 'center',
    px: '2.5',
    fontFamily: 'heading',
    fontWeight: 600,
    color: 'soft',
    textDecoration: 'none',
    whiteSpace: 'nowrap',
    borderBottom: '5px solid transparent',
    borderTop: '5px solid transparent',
    _hover: { color: 'ink' },
    '&.active': { color: 'ink', borderBottomColor: 'signal' },
  },
});

/** The views of a job, in the order people work. */
const tabs = [
  ['site', 'Site'],
  ['log', 'Camera log'],
  ['sheet', 'Sheet'],
  ['lengths', 'Lengths'],
  ['holes', 'Holes'],
  ['offer', 'Offer'],
  ['after', 'After'],
  ['rules', 'Rates and rules'],
] as const;

interface Props {
  readonly job: Job | undefined;
  readonly line: Line | undefined;
  readonly view: JobView | undefined;
  readonly waiting: number;
  readonly live: boolean;
  readonly historyOpen: boolean;
  readonly onHistory: () => void;
}

/** Over every view of a job: its name, its views, whether all is saved, its history, and the verdict. */
export function JobBar({ job, line, view, waiting, live, historyOpen, onHistory }: Props) {
  return (
    <>
      <Header>
        <Flex
          direction="column"
          justify="center"
          px="4"
          minWidth={0}
          flexShrink={1}
          width={{ lg: '220px' }}
          display={{ base: 'none', sm: 'flex' }}
        >
          <Heading as="h1" fontSize="15px" truncate>
            {job?.title ?? '…'}
          </Heading>
          <Text fontSize="13px" color="soft" truncate display={{ base: 'none', md: 'block' }}>
            {[line?.name ?? line?.id, job?.inspectedOn ? `looked at ${day(job.inspectedOn)}` : '']
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </Flex>
        <Tabs />
        <Box flex="1" />
        <SavedMark waiting={waiting} live={live} />
        <HistoryButton open={historyOpen} onPress={onHistory} />
        <VerdictPart view={view} />
      </Header>
      <NarrowBar job={job} view={view} />
    </>
  );
}

function Tabs() {
  const views = useRef<HTMLDivElement>(null);
  const { pathname } = useLocation();
  useEffect(() => {
    // On a narrow screen the views scroll sideways: the one that is open is brought into sight.
    views.current?.querySelector('.active')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [pathname]);
  return (
    <Flex
      as="nav"
      ref={views}
      aria-label="Views of this job"
      overflowX="auto"
      css={{ scrollbarWidth: 'none' }}
    >
      {tabs.map(([to, name]) => (
        <Tab key={to} to={to}>
          {name}
        </Tab>
      ))}
    </Flex>
  );
}

const HistoryButton = ({ open, onPress }: { open: boolean; onPress: () => void }) => (
  <chakra.button
    type="button"
    width="44px"
    height="44px"
    alignSelf="center"
    display="grid"
    placeItems="center"
    color="soft"
    bg="transparent"
    border="none"
    cursor="pointer"
    aria-label="History of this job"
    aria-expanded={open}
    title="History: undo, redo, bring back"
    onClick={onPress}
  >
    <History size={19} />
  </chakra.button>
);

/** Less than this is seen to the end, ft. */
const leastUnseen_ft = 0.05;
const unseenOf = (view: JobView | undefined): number =>
  (view?.lines ?? [])
    .flatMap((each) => each.unseen)
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);

function VerdictPart({ view }: { view: JobView | undefined }) {
  const unseen_ft = unseenOf(view);
  const nothing = view?.lines.every(({ nothingSeen }) => nothingSeen) ?? false;
  const open = view?.lines.some(({ endReached }) => !endReached) ?? false;
  // The verdict is of the look that made the scope; what the look after found stands under After.
  const repaired = view?.lines.some(({ otherLooks }) => otherLooks['after-repair'].length > 0) ?? false;
  const said = [
    nothing ? 'nothing seen yet' : unseen_ft > leastUnseen_ft ? `${feet(unseen_ft)} ft not seen` : 'all seen',
    open && !nothing ? 'end not reached' : '',
    repaired ? 'before the repair' : '',
  ];
  return (
    <Flex
      direction="column"
      justify="center"
      align="flex-end"
      px="4"
      borderLeft="1px solid"
      borderColor="rule"
      display={{ base: 'none', md: 'flex' }}
      aria-live="polite"
    >
      <Text
        fontFamily="heading"
        fontWeight={700}
        fontSize="18px"
        color={verdictColor(view)}
        data-testid="verdict"
      >
        {verdictWord(view) ?? '…'}
      </Text>
      <Text fontSize="13px" color="soft" whiteSpace="nowrap">
        {view ? said.filter(Boolean).join(', ') : 'working it out'}
      </Text>
    </Flex>
  );
}

/** Name and verdict where the bar has no room for them. */
function NarrowBar({ job, view }: Pick<Props, 'job' | 'view'>) {
  const unseen_ft = unseenOf(view);
  return (
    <Flex
      as="section"
      aria-label="This job"
      display={{ base: 'flex', md: 'none' }}
      justify="space-between"
      gap="3"
      px="3"
      py="1.5"
      borderBottom="1px solid"
      borderColor="rule"
      fontSize="14px"
    >
      <Text fontWeight={700} truncate>
        {job?.title}
      </Text>
      <Text color="soft" whiteSpace="nowrap">
        <chakra.span fontWeight={700} color={verdictColor(view)}>
          {verdictWord(view) ?? ''}
        </chakra.span>{' '}
        {unseen_ft > leastUnseen_ft ? `${feet(unseen_ft)} ft not seen` : ''}
      </Text>
    </Flex>
  );
}

const verdictWord = (view: JobView | undefined) => verdictWords[view?.scope.verdict[0] ?? ''];

function verdictColor(view: JobView | undefined): string {
  const verdict = view?.scope.verdict[0];
  return verdict === 'serviceable' || verdict === 'clean' || verdict === undefined ? 'ink' : 'signalInk';
}

/** Whether what was typed is on the server's disk. */
function SavedMark({ waiting, live }: { waiting: number; live: boolean }) {
  return (
    <Flex
      align="center"
      display={{ base: waiting > 0 || !live ? 'flex' : 'none', md: 'flex' }}
      px={{ base: '1', md: '3' }}
      fontSize="13px"
      color={waiting > 0 || !live ? 'signalInk' : 'soft'}
      fontWeight={waiting > 0 ? 700 : 400}
      whiteSpace="nowrap"
      role="status"
      data-testid="saved"
    >
      {waiting > 0 ? `${waiting} waiting` : live ? 'Saved' : 'No server'}
    </Flex>
  );
}
