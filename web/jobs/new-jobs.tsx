import { Box, Flex, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { forget, useNewJobs, type NewJobItem } from '../api/outbox';
import { Press } from '../controls/controls';

/** Over the list: jobs that were made here and are not in yet. They are worked on like any other. */
export function NewJobs() {
  const made = useNewJobs();
  if (made.length === 0) return null;
  return (
    <Box as="ul" aria-label="Jobs that wait on this device" listStyleType="none" p="0" mb="5">
      {made.map((item) =>
        item.state === 'waiting' ? (
          <Waiting key={item.key} item={item} />
        ) : (
          <Refused key={item.key} item={item} />
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
    <Text color="signalInk">waits on this device; it goes in when the server answers</Text>
  </Flex>
);

/** What the server would not take stays here until a person drops it. */
const Refused = ({ item }: { item: NewJobItem }) => (
  <Box as="li" role="alert" borderLeft="6px solid" borderColor="signal" bg="wash" px="4" py="3">
    <Text fontWeight={700}>
      “{item.made.title}” could not go in: {item.message}
    </Text>
    {item.faults?.map(({ path, message }) => (
      <Text key={path + message} color="soft" overflowWrap="anywhere">
        {path}: {message}
      </Text>
    ))}
    <Press
      type="button"
      mt="2"
      onClick={() => {
        forget(item.key);
      }}
    >
      Drop it
    </Press>
  </Box>
);
