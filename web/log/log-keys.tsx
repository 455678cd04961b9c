import { Box, Text } from '@chakra-ui/react';
import { Cap } from '../controls/controls';

/** The keys that work here, told where they work. */
export function LogKeys({ reel, video }: { reel: boolean; video: boolean }) {
  const keys: readonly (readonly [readonly string[], string])[] = [
    [['Alt', '1'], 'pushing out'],
    [['Alt', '2'], 'pulling back'],
    [['[', ']'], 'turn by the water'],
    ...(reel
      ? ([
          [['↑', '↓'], 'push and pull'],
          [['Alt', 'S'], 'stamp the reading'],
          [['Alt', 'L'], 'locate'],
          [['Alt', '0'], 'zero'],
        ] as const)
      : []),
    ...(video
      ? ([
          [['Alt', 'P'], 'play, pause'],
          [['Alt', ','], '5 s back'],
          [['Alt', 'K'], 'keep the picture'],
        ] as const)
      : []),
    [['Alt', 'M'], 'mark here'],
    [['Alt', 'N'], 'next to read'],
    [['Alt', 'I'], 'to the line'],
  ];
  return (
    <Box
      mt="4"
      fontSize="13.5px"
      color="soft"
      display={{ base: 'none', md: 'grid' }}
      gridTemplateColumns="1fr 1fr"
      gap="1.5"
    >
      {keys.map(([caps, does]) => (
        <Text key={does}>
          {caps.map((cap) => (
            <Cap key={cap}>{cap}</Cap>
          ))}
          {does}
        </Text>
      ))}
    </Box>
  );
}
