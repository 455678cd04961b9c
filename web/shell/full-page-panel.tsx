import { chakra } from '@chakra-ui/react';

/** A sheet over the page: all of a phone, inset on a wide screen. */
export const FullPagePanel = chakra('div', {
  base: {
    position: 'fixed',
    inset: { base: '0', md: '40px 60px' },
    bg: 'sheet',
    border: '1px solid',
    borderColor: 'ink',
    zIndex: 30,
    display: 'flex',
    flexDirection: 'column',
  },
});
