import { Box, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { ComponentType } from 'react';

const askAgain_ms = 2000;

/**
 * A part of the page whose code is loaded when it is first shown. Where loading fails, as when the server went away
 * before this device had it, its place says so, and loading is retried until it succeeds.
 */
export function lazyPart<Props extends object>(
  name: string,
  fetchPart: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  return function Late(props: Props) {
    const { data, failureCount } = useQuery({
      queryKey: ['code', name],
      // In an object, since react-query would call a bare function as an updater.
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
