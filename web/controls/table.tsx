import { chakra } from '@chakra-ui/react';

/** Heads and cells of a table of fields. */
export const Head = chakra('th', {
  base: {
    textAlign: 'left',
    fontFamily: 'heading',
    fontWeight: 700,
    fontSize: '13px',
    color: 'soft',
    py: '1.5',
    px: '2',
    whiteSpace: 'nowrap',
  },
});
export const Cell = chakra('td', { base: { py: '1', px: '2', verticalAlign: 'top' } });
