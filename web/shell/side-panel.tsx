import { chakra } from '@chakra-ui/react';

/** A panel beside a view on a wide screen, and below it on a narrow one. */
export const SidePanel = chakra('aside', {
  base: {
    width: { base: '100%', lg: '330px' },
    flexShrink: 0,
    bg: 'sheet',
    borderLeft: { lg: '1px solid' },
    borderTop: { base: '1px solid', lg: 'none' },
    borderColor: 'ink',
    overflowY: { lg: 'auto' },
    px: '4.5',
    py: '3',
  },
});
