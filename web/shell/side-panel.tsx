import { chakra } from '@chakra-ui/react';
import { sidePanel, split } from '../theme/recipes';

export const SidePanel = chakra('aside', sidePanel);
/** What a side panel is beside. */
export const Split = chakra('div', split);
