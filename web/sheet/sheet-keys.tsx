import { Box, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { Cap, Press } from '../controls/controls';
import { methodKeys } from '../reason/method-keys';

/** What each key does on the sheet, in the order of the help. */
export const sheetKeys: readonly (readonly [readonly string[], string])[] = [
  [['←', '→'], 'along the findings, excavations and bars; on the sheet itself the hairline'],
  [['Tab'], 'to the next row, and to the ends of the chosen bar'],
  [['N', 'P'], 'next bar, bar before'],
  ...methodKeys.map(({ key, does }): [string[], string] => [[key.toUpperCase()], does]),
  [['J'], 'join with the next'],
  [['D'], 'split at the hairline'],
  [['X'], 'lift the pins here'],
  [['M'], 'all that can be done here, in a list'],
  [['Ctrl', 'Z'], 'undo; with Shift redo'],
  [['+', '−'], 'zoom'],
  [['0'], 'the whole line'],
  [['A', 'F'], 'move along it'],
  [['G'], 'grade and flow'],
  [['I'], 'to the typed line'],
  [['?'], 'these keys'],
];

/** The keys of the sheet, on one page. */
export function SheetKeys({ onClose }: { onClose: () => void }) {
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
          {sheetKeys.map(([caps, does]) => (
            <Flex key={does} gap="2" align="baseline">
              <Flex gap="1" width="96px" flexShrink={0}>
                {caps.map((cap) => (
                  <Cap key={cap}>{cap}</Cap>
                ))}
              </Flex>
              <Text>{does}</Text>
            </Flex>
          ))}
        </Grid>
      </Box>
    </Box>
  );
}
