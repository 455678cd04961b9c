import { Box, Text } from '@chakra-ui/react';
import type { FallbackProps } from 'react-error-boundary';
import { asError } from '../api/client';
import { Press } from '../controls/controls';
import { Note, Title } from '../controls/text';

/** A page or a view failed: nothing typed is lost, since the server has it. */
export function Trouble({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <Box role="alert" p="8" maxWidth="640px">
      <Title size="view" as="h1" mb="3">
        This page broke
      </Title>
      <Text mb="2">What you entered is safe: it was saved before the page said so.</Text>
      <Note mb="5">{asError(error).message}</Note>
      <Press onClick={resetErrorBoundary}>Try again</Press>
    </Box>
  );
}
