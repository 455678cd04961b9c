import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { AddPress } from '../controls/add-press';
import { Label } from '../controls/controls';

/** At least two marks: with fewer nothing can be located. */
export type Marked<T> = readonly [T, T, ...T[]];

interface Props {
  readonly title: string;
  readonly asking: boolean;
  readonly onAsk: (asking: boolean) => void;
  /** Requests a measurement: there is no row until somebody made it. */
  readonly question: ReactNode;
  readonly children: ReactNode;
}

/** Measurements of one kind under their name. */
export const MeasuredList = ({ title, asking, onAsk, question, children }: Props) => (
  <>
    <Flex align="center" justify="space-between" px="3" pt="3">
      <Heading as="h3" fontSize="15px">
        {title}
      </Heading>
      <AddPress
        onClick={() => {
          onAsk(!asking);
        }}
        aria-label={`Add: ${title}`}
        aria-expanded={asking}
      >
        Add
      </AddPress>
    </Flex>
    {asking && (
      <Flex align="flex-start" gap="2" px="3" py="2" bg="keep" wrap="wrap" role="group" aria-label={title}>
        {question}
      </Flex>
    )}
    {children}
  </>
);

/** What is requested, and its field below. */
export const Asked = ({ what, children }: { what: string; children: ReactNode }) => (
  <Box>
    <Label as="span">{what}</Label>
    {children}
  </Box>
);
