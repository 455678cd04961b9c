import { chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { History } from 'lucide-react';
import type { Job, Line } from '../../core/job/schema.js';
import { summedLength } from '../../core/line/intervals.js';
import type { ScopedView } from '../../core/views/job-view.js';
import { IconPress } from '../controls/controls';
import { sayDay } from '../../core/days.js';
import { feet, money, verdictWords } from '../controls/format';
import { useSeesPrices } from '../api/me';
import { nothingSeen } from '../view/nothing-seen';
import { Header } from './header';
import { JobTabs } from './job-tabs';
import { useNarrow } from '../controls/use-narrow';
import { Note } from '../controls/text';

interface Props {
  readonly job: Job | undefined;
  readonly line: Line | undefined;
  readonly view: ScopedView | undefined;
  readonly waiting: number;
  readonly live: boolean;
  readonly historyOpen: boolean;
  readonly onHistory: () => void;
}

/** Above every view of a job: its name, its views, whether everything is saved, its history, and the verdict. */
export function JobBar({ job, line, view, waiting, live, historyOpen, onHistory }: Props) {
  const narrow = useNarrow();
  return (
    <>
      <Header compact>
        <Flex
          direction="column"
          justify="center"
          px="4"
          minWidth={0}
          flexShrink={0}
          maxWidth={{ md: '150px', lg: '220px' }}
          display={{ base: 'none', md: 'flex' }}
        >
          <Heading as="h1" fontSize="15px" truncate>
            {job?.title ?? '…'}
          </Heading>
          <Note
            size="fine"
            truncate
            display={{ base: 'none', md: 'block' }}
            title={job?.inspectedOn && `Inspected on ${sayDay(job.inspectedOn)}`}
          >
            {[line?.name ?? line?.id, job?.inspectedOn && sayDay(job.inspectedOn)]
              .filter(Boolean)
              .join(' · ')}
          </Note>
        </Flex>
        <JobTabs inert={!job} />
        {!narrow && (
          <Flex align="center" px="3">
            <SavedWords waiting={waiting} live={live} />
          </Flex>
        )}
        <HistoryButton open={historyOpen} onPress={onHistory} />
        <VerdictPart view={view} />
      </Header>
      {narrow && <NarrowBar {...{ job, view, waiting, live }} />}
    </>
  );
}

const HistoryButton = ({ open, onPress }: { open: boolean; onPress: () => void }) => (
  <IconPress
    type="button"
    aria-label="History of this job"
    aria-expanded={open}
    title="History: undo, redo, bring back"
    onClick={onPress}
  >
    <History size={19} />
  </IconPress>
);

/** With less than this unseen the line counts as seen, ft. */
const leastUnseen_ft = 0.05;
const unseenOf = (view: ScopedView | undefined): number =>
  summedLength((view?.lines ?? []).flatMap((each) => each.notSeen));

function VerdictPart({ view }: { view: ScopedView | undefined }) {
  const unseen_ft = unseenOf(view);
  const nothing = view !== undefined && nothingSeen(view);
  const open = view?.lines.some(({ endReached }) => !endReached) ?? false;
  // The verdict is that of the scope's inspection; what the post-repair inspection found is under Follow-up.
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
      <Note size="fine" lineHeight="1.15" textAlign="right" maxWidth="124px">
        {view ? said.filter(Boolean).join(', ') : 'working it out'}
      </Note>
    </Flex>
  );
}

/** Name, verdict, price and save state, where the bar has no room for them. */
function NarrowBar({ job, view, waiting, live }: Pick<Props, 'job' | 'view' | 'waiting' | 'live'>) {
  const unseen_ft = unseenOf(view);
  const seesPrices = useSeesPrices();
  const priced = seesPrices && view?.scope.feasible && !nothingSeen(view);
  return (
    <Flex
      as="section"
      aria-label="This job"
      align="baseline"
      gap="3"
      px="3"
      py="1.5"
      borderBottom="1px solid"
      borderColor="rule"
      fontSize="14px"
    >
      <Heading as="h1" fontFamily="body" fontSize="14px" truncate flex="1" minWidth="0">
        {job?.title}
      </Heading>
      <Note whiteSpace="nowrap">
        <chakra.span fontWeight={700} color={verdictColor(view)}>
          {verdictWord(view) ?? ''}
        </chakra.span>{' '}
        {priced
          ? money(view.scope.prices.total, view.scope.prices.currency)
          : unseen_ft > leastUnseen_ft
            ? `${feet(unseen_ft)} ft not seen`
            : ''}
      </Note>
      <SavedWords waiting={waiting} live={live} />
    </Flex>
  );
}

const verdictWord = (view: ScopedView | undefined) => verdictWords[view?.scope.verdict[0] ?? ''];

function verdictColor(view: ScopedView | undefined): string {
  const verdict = view?.scope.verdict[0];
  return verdict === 'serviceable' || verdict === 'clean' || verdict === undefined ? 'ink' : 'signalInk';
}

/** Whether what was typed is on the server's disk. */
const SavedWords = ({ waiting, live }: Pick<Props, 'waiting' | 'live'>) => (
  <Text
    fontSize="13px"
    color={waiting > 0 || !live ? 'signalInk' : 'soft'}
    fontWeight={waiting > 0 ? 700 : 400}
    whiteSpace="nowrap"
    role="status"
    data-testid="saved"
  >
    {waiting > 0 ? `${waiting} waiting` : live ? 'Saved' : 'No server'}
  </Text>
);
