import { Flex, Grid, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Press } from '../controls/controls';
import { Note } from '../controls/text';

/** One step of the cable, ft; faster with Shift. */
export const step_ft = 0.2;
export const stride_ft = 2;

/** The reel's counter, legible from a step away. */
export const Counter = ({
  reading_ft,
  children,
}: {
  reading_ft: number | undefined;
  children?: ReactNode;
}) => (
  <Flex align="baseline" gap="2" mt="2">
    <Text fontFamily="heading" fontWeight={800} fontSize="44px" lineHeight="1" data-testid="counter">
      {reading_ft?.toFixed(1) ?? '–'}
    </Text>
    <Note>ft at the counter</Note>
    {children}
  </Flex>
);

export const ButtonRow = ({ children }: { children: ReactNode }) => (
  <Grid templateColumns="repeat(3, 1fr)" gap="2" mt="2">
    {children}
  </Grid>
);

const pushes = [
  { words: 'Push', by_ft: stride_ft },
  { words: 'Pull', by_ft: -stride_ft },
  { words: 'Pull ⅕', by_ft: -step_ft, label: 'Pull a little' },
] as const;

/** Pushes and pulls the cable from the screen. */
export const PushAndPull = ({ push }: { push: (by_ft: number) => void }) =>
  pushes.map(({ words, by_ft, ...row }) => (
    <Press
      key={words}
      type="button"
      px="1"
      aria-label={'label' in row ? row.label : undefined}
      onClick={() => {
        push(by_ft);
      }}
    >
      {words}
    </Press>
  ));

interface StampProps {
  readonly stamp: () => void;
  readonly zero: () => void;
  readonly locate: () => void;
}

export const StampZeroLocate = ({ stamp, zero, locate }: StampProps) => (
  <>
    <Press type="button" px="1" onClick={stamp}>
      Stamp
    </Press>
    <Press type="button" px="1" onClick={zero}>
      Zero
    </Press>
    <Press type="button" px="1" onClick={locate}>
      Locate
    </Press>
  </>
);
