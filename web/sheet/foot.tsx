import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { Job, Line } from '../../core/job/schema.js';
import { summedLength } from '../../core/line/intervals.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import type { Change } from '../api/job';
import { money } from '../controls/format';
import { useNarrow } from '../controls/use-narrow';
import { Cannot } from './sheet-tools';
import type { LineView } from '../../core/views/line-view.js';
import { Alarm, Note } from '../controls/text';
import { lazyPart, oncePainted } from '../shell/lazy-part.js';

// What reads a line is a fifth of the scripts, and the sheet is drawn without it.
const TypedLine = lazyPart(
  'typed line',
  oncePainted(async () => (await import('../log/typed-line')).TypedLine),
);

const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

interface FootProps {
  readonly job: Job;
  readonly line: Line;
  readonly lineView: LineView;
  readonly lineScope: LineScope;
  readonly scope: ScopeSoFar;
  /** The scope belongs to the current job. */
  readonly caughtUp: boolean;
  readonly change: Change;
  /** Why a trial was refused, where the tools above the sheet are out of sight. */
  readonly cannot: string | undefined;
}

/** Below the sheet: one line to type a reading from anywhere, and the totals. */
export function Foot({ job, line, lineView, lineScope, scope, caughtUp, change, cannot }: FootProps) {
  const narrow = useNarrow();
  const run = line.runs.at(-1);
  return (
    <Flex
      borderTop="1px solid"
      borderColor="ink"
      align="center"
      gap={{ base: '1', md: '4' }}
      px="3.5"
      py="1.5"
      wrap={{ base: 'wrap', md: 'nowrap' }}
      flexShrink={0}
      // On a phone it stays visible while a bar is dragged.
      position={{ base: 'sticky', lg: 'static' }}
      bottom="0"
      zIndex={{ base: 3, lg: 'auto' }}
      bg="paper"
      data-testid="totals"
    >
      {narrow && (
        <Box width="100%">
          <Cannot why={cannot} lines={4} />
        </Box>
      )}
      <Box
        flex="1"
        minWidth={{ base: '100%', md: '260px' }}
        maxWidth="520px"
        minHeight="44px"
        position="relative"
        className="not-printed"
      >
        {run && (
          <TypedLine
            {...{ line, lineView, change }}
            runId={run.id}
            pass="back"
            waterClock={undefined}
            compact
          />
        )}
      </Box>
      <Amounts lineView={lineView} lineScope={lineScope} scope={scope} />
      <Total nothing={lineView.nothingSeen} scope={scope} caughtUp={caughtUp} />
      <chakra.span srOnly>{job.title}</chakra.span>
    </Flex>
  );
}

/** Feet dug, laid, lined and cleaned, and what is left to others. */
function Amounts({ lineView, lineScope, scope }: Pick<FootProps, 'lineView' | 'lineScope' | 'scope'>) {
  const { actions, segments, notPossible, pits, referrals } = lineScope;
  const { firstStep, prices } = scope;
  const liners = actions.filter(({ liner }) => liner);
  const laid_ft = actions.reduce((sum, { pipe }) => sum + (pipe?.laid.value ?? 0), 0);
  const lined_ft = liners.reduce((sum, { liner }) => sum + (liner?.host.value ?? 0), 0);
  const cleaned_ft = summedLength(segments.filter(({ method }) => method === 'clean'));
  const uncured_ft = summedLength(notPossible);
  const done = [
    laid_ft > 0 ? `${laid_ft.toFixed(1)} ft of new pipe` : '',
    lined_ft > 0 ? `${lined_ft.toFixed(1)} ft lined` : '',
    cleaned_ft > 0 ? `${cleaned_ft.toFixed(1)} ft cleaned` : '',
  ].filter(Boolean);
  const isLeftToOthers = uncured_ft > 0 || referrals.length > 0;
  const without = lineView.nothingSeen ? 'nothing seen yet' : isLeftToOthers ? '' : 'nothing to do';
  return (
    <Box fontSize="13.5px" flex="1" minWidth="0">
      <Text>{[count(pits.length, 'excavation'), count(liners.length, 'liner')].join(' · ')}</Text>
      <Text>{done.join(' · ') || without}</Text>
      {referrals.length > 0 && (
        <Text fontWeight={700} data-testid="referred">
          {referrals.length === 1 ? '1 place is' : `${referrals.length} places are`} for the owner of that
          part to repair
        </Text>
      )}
      {uncured_ft > 0 && (
        <Alarm strong data-testid="not-possible">
          {uncured_ft.toFixed(1)} ft cannot be cured here
        </Alarm>
      )}
      {firstStep && (
        <Alarm data-testid="first-step">
          First {firstStep.what}, {firstStep.from_ft.toFixed(1)} to {firstStep.to_ft.toFixed(1)} ft:{' '}
          {money(firstStep.price, prices.currency)}
        </Alarm>
      )}
    </Box>
  );
}

interface TotalProps extends Pick<FootProps, 'scope' | 'caughtUp'> {
  /** Nothing of the line has been seen. */
  readonly nothing: boolean;
}

/** The price and its range; or a note that it is of the job before the last change. */
function Total({ nothing, scope, caughtUp }: TotalProps) {
  const { prices, feasible, firstStep } = scope;
  return (
    <Box textAlign="right" ml="auto">
      <Text
        fontFamily="heading"
        fontWeight={700}
        fontSize="25px"
        lineHeight="1.1"
        data-testid="total"
        whiteSpace="nowrap"
      >
        {nothing ? '–' : feasible ? money(prices.total, prices.currency) : 'not possible'}
      </Text>
      {!caughtUp && (
        <Note size="fine" whiteSpace="nowrap" role="status">
          as of the last change
        </Note>
      )}
      {caughtUp && firstStep && feasible && (
        <Note size="fine" whiteSpace="nowrap" data-testid="range">
          {rangeWords(scope, nothing)}
        </Note>
      )}
    </Box>
  );
}

/** The price range once everything is seen, in a few words. */
function rangeWords({ ifUnseenIs, firstStep, prices }: ScopeSoFar, nothing: boolean): string {
  const cash = (amount: number) => money(amount, prices.currency);
  if (!ifUnseenIs) return '…';
  const { sound, failed } = ifUnseenIs;
  if (nothing || sound === null || (failed !== null && Math.abs(failed - sound) < 0.005))
    return firstStep ? `first ${firstStep.what}, ${cash(firstStep.price)}` : '';
  return failed === null
    ? `from ${cash(sound)}; if the unseen pipe has failed, more than can be done here`
    : `${cash(sound)} to ${cash(failed)} until seen`;
}
