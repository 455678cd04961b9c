import { chakra } from '@chakra-ui/react';
import { cell, head, ruledRow } from '../theme/recipes';

export const Head = chakra('th', head);
export const Cell = chakra('td', cell);
export const RuledRow = chakra('tr', ruledRow);
