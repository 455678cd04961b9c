import { Box, Text } from '@chakra-ui/react';
import { Caps } from '../keys/key-help';
import { logKeys } from '../keys/log-keys';

/** The keys of the log, beside it. */
export function LogKeys({ beside }: { beside: 'none' | 'video' | 'reel' }) {
  return (
    <Box
      mt="4"
      fontSize="13.5px"
      color="soft"
      display={{ base: 'none', md: 'grid' }}
      gridTemplateColumns="1fr 1fr"
      gap="1.5"
    >
      {logKeys
        .filter((row) => !row.onPress && (row.beside === undefined || row.beside === beside))
        .map(({ caps, does }) => (
          <Text key={does}>
            <Caps caps={caps} />
            {does}
          </Text>
        ))}
    </Box>
  );
}
