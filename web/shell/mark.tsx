import { chakra } from '@chakra-ui/react';
import { trenchPath } from '../theme/tokens';

/** A trench with a pipe in it. */
export function Mark() {
  return (
    <chakra.svg viewBox="0 0 28 22" width="28px" height="22px" aria-hidden flexShrink={0}>
      <path d={trenchPath} fill="none" stroke="var(--chakra-colors-ink)" strokeWidth="2.6" />
      <circle cx="14" cy="13" r="3.4" fill="var(--chakra-colors-signal)" />
    </chakra.svg>
  );
}
