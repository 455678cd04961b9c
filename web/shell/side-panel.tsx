import { chakra } from '@chakra-ui/react';

/** What stands beside a view on a wide screen, and under it on a narrow one. */
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
