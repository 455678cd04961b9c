import { chakra } from '@chakra-ui/react';
import { cap, choice, field, iconPress, label, longField, press } from '../theme/recipes';

export const Press = chakra('button', press);
/** Needs an `aria-label`: it has no words of its own. */
export const IconPress = chakra('button', iconPress);
export const Field = chakra('input', field);
export const LongField = chakra('textarea', longField);
export const Choice = chakra('select', choice);
export const Label = chakra('label', label);
export const Cap = chakra('kbd', cap);
