import { Box, Flex, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useNewJobs, type NewJobItem } from '../api/outbox';
import { RefusedParcel } from '../outbox/refused-parcel';
import { Alarm } from '../controls/text';

/** Above the list: jobs made here that the server does not have yet. They can be worked on like any other. */
export function NewJobs() {
  const made = useNewJobs();
  if (made.length === 0) return null;
  return (
    <Box as="ul" aria-label="Jobs that wait on this device" listStyleType="none" p="0" mb="5">
      {made.map((item) =>
        item.state === 'waiting' ? (
          <Waiting key={item.key} item={item} />
        ) : (
          <RefusedParcel
            key={item.key}
            as="li"
            item={item}
            says={`“${item.made.title}” could not be saved: ${item.message ?? ''}`}
          />
        ),
      )}
    </Box>
  );
}

const Waiting = ({ item }: { item: NewJobItem }) => (
  <Flex
    as="li"
    gap="3"
    align="center"
    wrap="wrap"
    borderTop="1px solid"
    borderColor="rule"
    minHeight="48px"
    py="2"
  >
    <Text fontFamily="heading" fontWeight={700} fontSize="17px" flex="1" minWidth="200px">
      <Link to={`/jobs/${item.job}/log`}>{item.made.title}</Link>
    </Text>
    <Alarm>waiting on this device; it is sent when the server answers</Alarm>
  </Flex>
);
