import { useQuery } from '@tanstack/react-query';
import { Box, Flex, Text } from '@chakra-ui/react';
import { useMemo } from 'react';
import type { Firm } from '../../core/job/firm.js';
import type { PlanRulesOverride } from '../../core/job/plan-schema.js';
import { planRulesInForce } from '../../core/plan/rules.js';
import { rateChecks, type RateCheck } from '../../core/plan/actuals.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import type { JobSpent } from '../../server/jobs/firm.js';
import { api, bodyOf } from '../api/client';
import { Press } from '../controls/controls';
import { lazyPart } from '../shell/lazy-part.js';
import { Note, Title } from '../controls/text';

/** Time actually spent on the company's jobs. */
const useSpent = () =>
  useQuery({
    queryKey: ['spent'],
    queryFn: async () => bodyOf<JobSpent[]>(await api.spent.$get()),
    staleTime: 0,
  });

const RateChart = lazyPart('rate chart', async () => (await import('./rate-chart')).RateChart);

/** How far each rate is off over all recorded work, and a button to take the better one. */
export function RateChecks({ firm, onTake }: { firm: Firm; onTake: (plan: PlanRulesOverride) => void }) {
  const { data, error } = useSpent();
  const rules = useMemo(() => planRulesInForce(firm.plan, undefined), [firm.plan]);
  const checks = useMemo(() => rateChecks(data?.flatMap(({ spent }) => spent) ?? [], rules), [data, rules]);
  return (
    <Box mt="8">
      <Title size="section">Actual time on jobs</Title>
      {error ? (
        <Text>This needs the server: it looks over all jobs.</Text>
      ) : checks.length === 0 ? (
        <Note maxWidth="780px">
          Nothing recorded yet. On a job’s Plan, press a task and record what it took: hours, amount, people.
          This then shows which rate is off, and by how much.
        </Note>
      ) : (
        <>
          <RateChart checks={checks} />
          <Box mt="2" data-testid="rate-checks">
            {checks.map((check) => (
              <CheckRow
                key={check.kind}
                check={check}
                rate={rules.rates[check.kind]}
                onTake={() => {
                  onTake({ ...firm.plan, rates: { ...firm.plan?.rates, [check.kind]: check.better } });
                }}
              />
            ))}
          </Box>
        </>
      )}
    </Box>
  );
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function CheckRow({
  check: { kind, factors, median, middle, better },
  rate,
  onTake,
}: {
  check: RateCheck;
  rate: RateCheck['better'];
  onTake: () => void;
}) {
  const { rateWords, unit } = taskKindRow(kind);
  const same = better.perHour === rate.perHour && better.setUp_h === rate.setUp_h;
  // Values from a data sheet or a rule are not learned here.
  const fixed = kind === 'cure' || kind === 'insert';
  const say = (each: RateCheck['better']) =>
    unit ? `${each.perHour} ${unit} an hour, ${each.setUp_h} h to set up` : `${each.setUp_h} h`;
  return (
    <Flex gap="3" py="2" borderTop="1px solid" borderColor="rule" align="center" wrap="wrap">
      <Box flex="1" minWidth="260px">
        <Text fontWeight={700}>{rateWords}</Text>
        <Text fontSize="14.5px">
          Took {percent(median)} of the planned hours (middle half {percent(middle[0])} to{' '}
          {percent(middle[1])}, over {factors.length} {factors.length === 1 ? 'task' : 'tasks'}). The rate:{' '}
          {say(rate)}.
        </Text>
      </Box>
      {fixed ? (
        <Note size="small">From the resin’s own sheet: change it there.</Note>
      ) : (
        <Press type="button" disabled={same} onClick={onTake}>
          {same ? 'The rate fits' : `Take ${say(better)}`}
        </Press>
      )}
    </Flex>
  );
}
