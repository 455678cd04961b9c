import { Box, chakra, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { jobHead } from '../../core/edits/index.js';
import { planRulesInForce } from '../../core/plan/rules.js';
import { pricesInForce } from '../../core/job/prices.js';
import { rulesInForce } from '../../core/job/rules.js';
import { withoutEmpty } from '../controls/without-empty';
import { useJobContext } from '../shell/job-layout';
import { PlanRulesEditor } from './plan-rules';
import { RulesEditor } from './rules-editor';

const FirmLink = chakra(Link, { base: { color: 'signalInk', fontWeight: 700 } });

/** Rules and price book in this job: a change here applies to this job only. */
export function RulesView() {
  const { job, firm, change } = useJobContext();
  return (
    <Box height="100%" overflowY="auto" p="4">
      <Text maxWidth="780px" mb="4">
        Values in gray are the company’s own, kept under <FirmLink to="/firm">Company</FirmLink>. A value
        entered here changes this job alone; clear the field to go back. Reasons and prices update at once.
      </Text>
      <RulesEditor
        rules={job.rules ?? {}}
        prices={job.prices ?? {}}
        beneath={{ rules: rulesInForce(firm.rules), prices: pricesInForce(firm.prices) }}
        ownWords="this job’s own"
        onChange={(patch) =>
          void change.say([{ kind: 'job', set: withoutEmpty({ ...jobHead(job), ...patch }) }])
        }
      />
      <PlanRulesEditor
        own={job.plan?.rules ?? {}}
        beneath={planRulesInForce(firm.plan, undefined)}
        ownWords="this job’s own"
        onChange={(rules) =>
          void change.say([
            {
              kind: 'job',
              set: withoutEmpty({ ...jobHead(job), plan: withoutEmpty({ ...job.plan, rules }) }),
            },
          ])
        }
      />
    </Box>
  );
}
