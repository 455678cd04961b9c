import { Text } from '@chakra-ui/react';

/** What a view shows until its scope is computed. */
export const WorkingOut = () => (
  <Text p="6" color="soft" role="status">
    Working it out…
  </Text>
);
