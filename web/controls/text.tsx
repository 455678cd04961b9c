import { chakra } from '@chakra-ui/react';
import { alarm, callout, note, title } from '../theme/recipes';

export const Note = chakra('p', note);
export const Alarm = chakra('p', alarm);
export const Title = chakra('h2', title);
export const Callout = chakra('div', callout);
