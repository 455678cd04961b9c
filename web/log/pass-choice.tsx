import { Flex } from '@chakra-ui/react';
import type { ComponentProps } from 'react';
import { Press } from '../shell/controls';

interface Props extends Omit<ComponentProps<typeof Flex>, 'onChange'> {
  readonly pass: 'out' | 'back';
  readonly words: Readonly<Record<'out' | 'back', string>>;
  readonly onPass: (pass: 'out' | 'back') => void;
}

/** Out or back, as two buttons. */
export const PassChoice = ({ pass, words, onPass, ...rest }: Props) => (
  <Flex role="group" {...rest}>
    {(['out', 'back'] as const).map((each) => (
      <Press
        key={each}
        type="button"
        flex="1"
        look={pass === each ? 'chosen' : 'plain'}
        aria-pressed={pass === each}
        onClick={() => {
          onPass(each);
        }}
      >
        {words[each]}
      </Press>
    ))}
  </Flex>
);
