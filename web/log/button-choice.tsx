import { Flex } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { Press } from '../controls/controls';

interface Props<T extends string> extends Omit<ComponentProps<typeof Flex>, 'onChange'> {
  readonly chosen: T;
  /** Text of each button, in display order. */
  readonly words: Readonly<Record<T, string>>;
  readonly onChoose: (choice: T) => void;
  /** Little padding beside the text. */
  readonly tight?: boolean;
}

/** One of a few, as buttons side by side. */
export const ButtonChoice = <T extends string>({ chosen, words, onChoose, tight, ...rest }: Props<T>) => (
  <Flex role="group" {...rest}>
    {(Object.keys(words) as T[]).map((each) => (
      <Press
        key={each}
        type="button"
        flex="1"
        {...(tight ? { px: '1' } : {})}
        look={chosen === each ? 'chosen' : 'plain'}
        aria-pressed={chosen === each}
        onClick={() => {
          onChoose(each);
        }}
      >
        {words[each]}
      </Press>
    ))}
  </Flex>
);
