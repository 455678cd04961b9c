import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** One section of the reason panel under its own heading. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box mt="3">
      <Heading
        as="h2"
        fontSize="14px"
        color="soft"
        borderBottom="1px solid"
        borderColor="rule"
        pb="1"
        mb="1.5"
      >
        {title}
      </Heading>
      {children}
    </Box>
  );
}
