import { Box, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { Title } from '../controls/text';

export function NotFound({ what = 'There is nothing at this address' }: { what?: string }) {
  return (
    <Box as="main" p="8">
      <Title size="view" as="h1" mb="3">
        {what}
      </Title>
      <Text>
        <Link to="/">Go to the list of jobs</Link>
      </Text>
    </Box>
  );
}
