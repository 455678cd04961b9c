import { chakra } from '@chakra-ui/react';

/** Buttons and fields in one style: square, inked, 44 px for gloves. */
export const Press = chakra('button', {
  base: {
    minHeight: '44px',
    px: '4',
    bg: 'sheet',
    color: 'ink',
    border: '1.5px solid',
    borderColor: 'ink',
    fontFamily: 'heading',
    fontWeight: 700,
    fontSize: '15px',
    cursor: 'pointer',
    _hover: { bg: 'keep' },
    _disabled: { opacity: 0.5, cursor: 'not-allowed' },
  },
  variants: {
    look: {
      plain: {},
      signal: {
        bg: 'signal',
        color: 'onSignal',
        borderColor: 'signal',
        _hover: { bg: 'signal', filter: 'brightness(1.08)' },
      },
      quiet: {
        border: 'none',
        bg: 'transparent',
        px: '2',
        color: 'soft',
        _hover: { color: 'ink', bg: 'transparent' },
      },
      chosen: { bg: 'ink', color: 'paper', _hover: { bg: 'ink' } },
    },
  },
  defaultVariants: { look: 'plain' },
});

/** An icon-only button in the top bar, with its name for screen readers. */
export const IconPress = chakra('button', {
  base: {
    width: '44px',
    height: '44px',
    alignSelf: 'center',
    display: 'grid',
    placeItems: 'center',
    color: 'soft',
    bg: 'transparent',
    border: 'none',
    cursor: 'pointer',
  },
});

export const Field = chakra('input', {
  base: {
    minHeight: '44px',
    width: '100%',
    px: '3',
    bg: 'sheet',
    color: 'ink',
    border: '1.5px solid',
    borderColor: 'soft',
    _placeholder: { color: 'soft', opacity: 1 },
    _invalid: { borderColor: 'signal', borderWidth: '2px' },
  },
});

export const LongField = chakra('textarea', {
  base: {
    width: '100%',
    px: '3',
    py: '2',
    bg: 'sheet',
    color: 'ink',
    border: '1.5px solid',
    borderColor: 'soft',
    resize: 'vertical',
    _placeholder: { color: 'soft', opacity: 1 },
  },
});

export const Choice = chakra('select', {
  base: {
    minHeight: '44px',
    width: '100%',
    px: '2',
    bg: 'sheet',
    color: 'ink',
    border: '1.5px solid',
    borderColor: 'soft',
  },
});

export const Label = chakra('label', {
  base: { display: 'block', fontSize: '14px', color: 'soft', mb: '1' },
});

/** A key cap. */
export const Cap = chakra('kbd', {
  base: {
    // A phone or tablet used by touch has no such key.
    display: { base: 'none', md: 'inline' },
    '@media (hover: none)': { display: 'none' },
    fontFamily: 'body',
    fontSize: '12px',
    fontWeight: 700,
    border: '1px solid',
    borderColor: 'soft',
    px: '1.5',
    py: '0.5',
    mr: '1',
    color: 'soft',
    bg: 'sheet',
  },
});
