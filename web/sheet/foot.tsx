import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { Job, Line } from '../../core/job/schema.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import type { Change } from '../api/jobs';
import { TypedLine } from '../log/typed-line';
import { money } from '../controls/format';
import { useNarrow } from '../shell/use-narrow';
import { Cannot } from './sheet-tools';
import type { LineView } from '../../core/views/line-view.js';

const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

/** Under the sheet: one line to type a reading from anywhere, and what it all comes to. */
export function Foot({
  job,
  line,
  lineView,
  lineScope,
  scope,
  caughtUp,
  change,
  cannot,
}: {
  job: Job;
  line: Line;
  lineView: LineView;
  lineScope: LineScope;
  scope: ScopeSoFar;
  /** The scope is of this very job. */
  caughtUp: boolean;
  change: Change;
  /** Why what was tried cannot be, where the tools over the sheet are out of sight. */
  cannot: string | undefined;
}) {
  const narrow = useNarrow();
  const run = line.runs.at(-1);
  const { prices } = scope;
  const liners = lineScope.actions.filter(({ liner }) => liner);
  const laid = lineScope.actions.reduce((sum, { pipe }) => sum + (pipe?.laid.value ?? 0), 0);
  const lined = liners.reduce((sum, { liner }) => sum + (liner?.host.value ?? 0), 0);
  const cleaned = lineScope.segments
    .filter(({ method }) => method === 'clean')
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
  const nothing = lineView.nothingSeen;
  const referred = lineScope.referrals.length;
  const uncured_ft = lineScope.notPossible.reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
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
      // On a phone it stays in sight while a bar is dragged.
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
        position="relative"
        className="not-printed"
      >
        {run && (
          <TypedLine
            line={line}
            lineView={lineView}
            runId={run.id}
            pass="back"
            waterClock={undefined}
            change={change}
            compact
          />
        )}
      </Box>
      <Box fontSize="13.5px" flex="1" minWidth="0">
        <Text>{[count(lineScope.pits.length, 'excavation'), count(liners.length, 'liner')].join(' · ')}</Text>
        <Text>
          {[
            laid > 0 ? `${laid.toFixed(1)} ft of new pipe` : '',
            lined > 0 ? `${lined.toFixed(1)} ft lined` : '',
            cleaned > 0 ? `${cleaned.toFixed(1)} ft cleaned` : '',
          ]
            .filter(Boolean)
            .join(' · ') ||
            (nothing ? 'nothing seen yet' : uncured_ft > 0 || referred > 0 ? '' : 'nothing to do')}
        </Text>
        {referred > 0 && (
          <Text fontWeight={700} data-testid="referred">
            {referred === 1 ? '1 place is' : `${referred} places are`} for the owner of that part to mend
          </Text>
        )}
        {uncured_ft > 0 && (
          <Text color="signalInk" fontWeight={700} data-testid="not-possible">
            {uncured_ft.toFixed(1)} ft cannot be cured here
          </Text>
        )}
        {scope.firstStep && (
          <Text color="signalInk" data-testid="first-step">
            First {scope.firstStep.what}, {scope.firstStep.from_ft.toFixed(1)} to{' '}
            {scope.firstStep.to_ft.toFixed(1)} ft: {money(scope.firstStep.price, prices.currency)}
          </Text>
        )}
      </Box>
      <Box textAlign="right" ml="auto">
        <Text
          fontFamily="heading"
          fontWeight={700}
          fontSize="25px"
          lineHeight="1.1"
          data-testid="total"
          whiteSpace="nowrap"
        >
          {nothing ? '–' : scope.feasible ? money(prices.total, prices.currency) : 'not possible'}
        </Text>
        {caughtUp ? (
          scope.firstStep &&
          scope.feasible && (
            <Text fontSize="13px" color="soft" whiteSpace="nowrap" data-testid="range">
              {rangeWords(scope, nothing)}
            </Text>
          )
        ) : (
          <Text fontSize="13px" color="soft" whiteSpace="nowrap" role="status">
            as of the last change
          </Text>
        )}
      </Box>
      <chakra.span srOnly>{job.title}</chakra.span>
    </Flex>
  );
}

/** What the price may become once all is seen, in a few words. */
function rangeWords({ ifUnseenIs, firstStep, prices }: ScopeSoFar, nothing: boolean): string {
  const cash = (amount: number) => money(amount, prices.currency);
  if (!ifUnseenIs) return '…';
  const { sound, failed } = ifUnseenIs;
  if (nothing || sound === null || (failed !== null && Math.abs(failed - sound) < 0.005))
    return firstStep ? `first ${firstStep.what}, ${cash(firstStep.price)}` : '';
  return failed === null
    ? `from ${cash(sound)}; if what nobody saw has failed, more than can be done here`
    : `${cash(sound)} to ${cash(failed)} until seen`;
}
