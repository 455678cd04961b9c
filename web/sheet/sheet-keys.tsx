import { Box, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import type { Scope } from '../../core/scope/scope.js';
import { Press } from '../controls/controls';
import { Caps } from '../keys/key-help';
import { sheetKeys } from '../keys/table';

/** The keys of the sheet, on one page. */
export function SheetKeys({ methods, onClose }: { methods: Scope['methods']; onClose: () => void }) {
  return (
    <Box
      role="dialog"
      aria-modal="true"
      aria-label="Keys of the sheet"
      position="fixed"
      inset="0"
      bg="rgba(18, 25, 30, 0.55)"
      zIndex={30}
      display="grid"
      placeItems="center"
      p="4"
      onClick={onClose}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <Box
        bg="sheet"
        border="1.5px solid"
        borderColor="ink"
        p="5"
        maxWidth="760px"
        maxHeight="100%"
        overflowY="auto"
        onClick={(event) => {
          event.stopPropagation();
        }}
      >
        <Flex justify="space-between" align="center" mb="3">
          <Heading as="h2" fontSize="22px">
            Keys
          </Heading>
          <Press type="button" autoFocus onClick={onClose}>
            Close
          </Press>
        </Flex>
        <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="6" rowGap="2">
          {sheetKeys(methods).map(({ caps, does }) => (
            <Flex key={does} gap="2" align="baseline">
              <Flex gap="1" width="96px" flexShrink={0}>
                <Caps caps={caps} />
              </Flex>
              <Text>{does}</Text>
            </Flex>
          ))}
        </Grid>
      </Box>
    </Box>
  );
}
