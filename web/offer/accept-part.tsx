import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { jobHead } from '../../core/edits/index.js';
import type { Acceptance } from '../../core/job/schema.js';
import type { OfferApproach } from '../../core/offer/offer.js';
import { asError } from '../api/client';
import { useSinceAccepted } from '../api/offer';
import { worker } from '../view/worker';
import { Field, Label, Press } from '../controls/controls';
import { schoolWords } from '../../core/job/school-words.js';
import { sayDay } from '../../core/days.js';
import { money } from '../controls/format';
import { useJobContext } from '../shell/job-layout';
import { today } from '../controls/today';
import { Part } from '../reason/part';
import { Alarm, Note, Title } from '../controls/text';

/** Freezes an option with its job, its prices and today's date. */
export function AcceptPart({ approach, nothingSeen }: { approach: OfferApproach; nothingSeen: boolean }) {
  const { job, firm, change } = useJobContext();
  const [by, setBy] = useState(job.site?.customer ?? '');
  const [failed, setFailed] = useState<string>();
  if (job.accepted) return null;
  const freeze = async () => {
    if (by.trim() === '') {
      setFailed('Enter who accepts it: the name goes on the agreement.');
      return;
    }
    try {
      const head = jobHead(job);
      const on = job.offer?.on && job.offer.on > today() ? job.offer.on : today();
      const accepted = await worker.accept(job, firm, approach.school, on, by.trim());
      // The crew's pages follow the accepted option.
      await change.edit([
        { kind: 'job', set: { ...head, rules: { ...head.rules, school: approach.school } } },
        { kind: 'accepted', set: accepted },
      ]);
      setFailed(undefined);
    } catch (error) {
      setFailed(asError(error).message);
    }
  };
  return (
    <Part title="Accepted?">
      <Label htmlFor="accepted-by">Who accepts it</Label>
      <Field
        id="accepted-by"
        value={by}
        autoComplete="off"
        onChange={(event) => {
          setFailed(undefined);
          setBy(event.target.value);
        }}
      />
      <Press
        type="button"
        look="signal"
        width="100%"
        mt="2"
        disabled={!approach.feasible || nothingSeen}
        onClick={() => void freeze()}
      >
        Accepted: freeze “{schoolWords[approach.school].name}”
      </Press>
      {failed && (
        <Alarm role="alert" mt="2">
          {failed}
        </Alarm>
      )}
    </Part>
  );
}

/** What was agreed, and what changed since. */
export function Accepted({ accepted }: { accepted: Acceptance }) {
  const { job, firm, change } = useJobContext();
  const { data: since } = useSinceAccepted(job, firm);
  const currency = accepted.job.prices?.currency ?? 'USD';
  const cash = (amount: number) => money(amount, currency, 2);
  return (
    <Box border="1.5px solid" borderColor="ink" bg="sheet" px="4" py="3" mb="4" data-testid="accepted">
      <Flex justify="space-between" align="flex-start" gap="3" wrap="wrap">
        <Box>
          <Title size="part">
            Accepted on {sayDay(accepted.on)}
            {accepted.by ? ` by ${accepted.by}` : ''}: {schoolWords[accepted.school].name},{' '}
            <span data-testid="agreed">{cash(accepted.total)}</span>
          </Title>
          <Note>Frozen with its job, rules and price book. Later changes are shown here.</Note>
        </Box>
        <Press
          type="button"
          onClick={() => {
            if (window.confirm('Withdraw the acceptance? The history can restore it.'))
              void change.say([{ kind: 'accepted', set: null }]);
          }}
        >
          Take it back
        </Press>
      </Flex>
      {since &&
        (since.changed.length === 0 ? (
          <Text mt="2" data-testid="since">
            Nothing has changed since.
          </Text>
        ) : (
          <Box mt="2" data-testid="since">
            <Text fontWeight={700} color={since.differs === 0 ? 'ink' : 'signalInk'}>
              {since.now === undefined
                ? 'As the job is now, nothing satisfies the rules and pins under this repair approach.'
                : since.differs === 0
                  ? 'Changed since, at the same price:'
                  : `Changed since: it would now come to ${cash(since.now)}, ${cash(Math.abs(since.differs ?? 0))} ${(since.differs ?? 0) > 0 ? 'more' : 'less'}.`}
            </Text>
            <Box as="ul" pl="5" my="1">
              {since.changed.map((each) => (
                <li key={each}>{each}</li>
              ))}
            </Box>
          </Box>
        ))}
    </Box>
  );
}
