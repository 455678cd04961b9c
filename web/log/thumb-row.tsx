import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Press } from '../controls/controls';

/** Below the typed line on a phone, within reach of the thumb: pass, undo, write. */
export function ThumbRow({
  says,
  disabled,
  onWrite,
  onTakeBack,
  children,
}: {
  readonly says: string;
  readonly disabled: boolean;
  readonly onWrite: () => void;
  readonly onTakeBack: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Flex display={{ base: 'flex', md: 'none' }} gap="2" mt="2">
      {children}
      <Press type="button" px="3" minHeight="52px" onClick={onTakeBack} aria-label="Undo the last entry">
        Undo
      </Press>
      <Press
        type="button"
        look="signal"
        flex="1.2"
        px="2"
        minHeight="52px"
        disabled={disabled}
        // Keeps the phone's keyboard open.
        onPointerDown={(event) => {
          event.preventDefault();
        }}
        onClick={onWrite}
      >
        {says}
      </Press>
    </Flex>
  );
}
