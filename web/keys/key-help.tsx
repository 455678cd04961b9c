import { Flex } from '@chakra-ui/react';
import { Cap } from '../controls/controls';
import type { KeyRow } from './table';

/** A key and what it does, in one line. */
export type KeyHint = Pick<KeyRow<string>, 'caps' | 'does'>;

export const Caps = ({ caps }: Pick<KeyHint, 'caps'>) => caps.map((cap) => <Cap key={cap}>{cap}</Cap>);

/** A strip of what the keys do now; not shown on a phone. */
export const KeyHints = ({ hints }: { hints: readonly KeyHint[] }) => (
  <Flex wrap="wrap" gap="4" rowGap="1" fontSize="14px" color="soft" display={{ base: 'none', md: 'flex' }}>
    {hints.map(({ caps, does }) => (
      <span key={caps.join(' ')}>
        <Caps caps={caps} />
        {does}
      </span>
    ))}
  </Flex>
);
