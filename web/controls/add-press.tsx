import { Flex } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { ComponentProps } from 'react';
import { Press } from './controls';

/** A quiet button that adds something: a plus before its label. */
export function AddPress({ children, ...rest }: Omit<ComponentProps<typeof Press>, 'look' | 'type'>) {
  return (
    <Press type="button" look="quiet" whiteSpace="nowrap" {...rest}>
      <Flex as="span" align="center" gap="1">
        <Plus size={17} /> {children}
      </Flex>
    </Press>
  );
}
