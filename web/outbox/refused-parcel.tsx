import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Fault } from '../../core/job/faults.js';
import { pathInWords } from '../../core/path-in-words.js';
import { forget } from '../api/outbox';
import { Press } from '../controls/controls';
import { Note } from '../controls/text';

interface Props {
  readonly item: { readonly key: string; readonly faults?: readonly Fault[] | undefined };
  /** What was refused, and why. */
  readonly says: string;
  readonly as?: 'div' | 'li';
  readonly children?: ReactNode;
}

/** A refused change stays until a user drops it. */
export const RefusedParcel = ({ item: { key, faults }, says, as = 'div', children }: Props) => (
  <Box as={as} role="alert" borderLeft="6px solid" borderColor="signal" bg="wash" px="4" py="3">
    <Text fontWeight={700}>{says}</Text>
    {children}
    {faults?.map(({ path, message }) => (
      <Note key={path + message} overflowWrap="anywhere">
        {pathInWords(path)}: {message}
      </Note>
    ))}
    <Press
      type="button"
      mt="2"
      onClick={() => {
        forget(key);
      }}
    >
      Drop it
    </Press>
  </Box>
);
