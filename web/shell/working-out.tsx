import { Text } from '@chakra-ui/react';

/** What a view says until its scope is worked out. */
export const WorkingOut = () => (
  <Text p="6" color="soft" role="status">
    Working it out…
  </Text>
);
