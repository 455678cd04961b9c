import { Box, Heading, Text } from '@chakra-ui/react';
import { Link } from 'react-router';

export function NotFound({ what = 'There is nothing at this address' }: { what?: string }) {
  return (
    <Box as="main" p="8">
      <Heading as="h1" fontSize="24px" mb="3">
        {what}
      </Heading>
      <Text>
        <Link to="/">Go to the list of jobs</Link>
      </Text>
    </Box>
  );
}
