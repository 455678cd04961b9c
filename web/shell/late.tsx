import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ComponentType } from 'react';

const askAgain_ms = 2000;

/**
 * A part of the page whose code is fetched when it is first shown. Where it cannot be fetched, as when the server went
 * away before this device had it, that is said in its place, and it is asked for again until it comes.
 */
export function late<Props extends object>(
  name: string,
  fetchPart: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  return function Late(props: Props) {
    const { data, failureCount } = useQuery({
      queryKey: ['code', name],
      // In an object: what is a function would be taken for one that makes the data.
      queryFn: async () => ({ Part: await fetchPart() }),
      retry: true,
      retryDelay: askAgain_ms,
      staleTime: Infinity,
      structuralSharing: false,
    });
    if (data) return <data.Part {...props} />;
    return failureCount > 0 ? <NotHereYet /> : null;
  };
}

const NotHereYet = () => (
  <Box role="status" p="6" maxWidth="560px">
    <Text fontWeight={700}>This part of Open Trench is not on this device yet</Text>
    <Text>It opens as soon as the server answers. What you typed is kept.</Text>
  </Box>
);
