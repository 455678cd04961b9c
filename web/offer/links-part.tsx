import { Box, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { useShares } from '../api/offer';
import { Field, Press } from '../controls/controls';
import { sayDay } from '../../core/days.js';
import { dayAndTime } from '../controls/format';
import { useJobContext } from '../shell/job-layout';
import { Part } from '../reason/part';
import { Alarm, Note } from '../controls/text';

/** Whether an address leads back to the machine it is opened on, so that nobody else can follow it. */
const isLoopback = (link: string): boolean => /^(localhost|127\.|\[::1\])/.test(new URL(link).hostname);

/** Links for the customer to read the offer: made, shown once, closed. */
export function LinksPart() {
  const { id } = useJobContext();
  const { shares, make, close } = useShares(id);
  const [made, setMade] = useState<{ share: string; link: string }>();
  const open = (shares.data ?? []).filter(({ closedAt }) => closedAt === undefined);
  const error = shares.error ?? make.error ?? close.error;
  return (
    <Part title="A page for the customer">
      <Note size="fine" mb="2">
        A link shows this offer as it stands now, read-only, to whoever has it, until it is closed.
      </Note>
      {made && open.some(({ id: share }) => share === made.share) && <NewLink link={made.link} />}
      <Press
        type="button"
        width="100%"
        disabled={make.isPending}
        onClick={() => {
          make.mutate(undefined, {
            onSuccess: ({ share, secret, base = window.location.origin }) => {
              setMade({ share: share.id, link: `${base}/offer/${secret}` });
            },
          });
        }}
      >
        Link for the customer
      </Press>
      {open.map((share) => (
        <Flex key={share.id} justify="space-between" align="center" gap="3" mt="1">
          <Text>
            Open since {dayAndTime(share.madeAt)}, until {sayDay(share.openTo.slice(0, 10))}
          </Text>
          <Press
            type="button"
            look="quiet"
            onClick={() => {
              close.mutate(share.id);
            }}
          >
            Close it
          </Press>
        </Flex>
      ))}
      {error && (
        <Alarm role="alert" mt="2">
          {error.message}
        </Alarm>
      )}
    </Part>
  );
}

/** A link just made, to be copied while it is visible. */
const NewLink = ({ link }: { link: string }) => (
  <Box mb="2">
    <Field
      readOnly
      aria-label="The link for the customer"
      value={link}
      onFocus={(event) => {
        event.target.select();
      }}
    />
    {isLoopback(link) && (
      <Alarm fontSize="13.5px" mt="1" data-testid="loopback">
        It opens on this computer only. Give the program its public address first (OPEN_TRENCH_CUSTOMER_URL,
        docs/operations.md); then make the link again.
      </Alarm>
    )}
    <Alarm strong fontSize="13.5px" mt="1">
      Copy it now: the secret in it is not kept and cannot be shown again.
    </Alarm>
  </Box>
);
