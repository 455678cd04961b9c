import { defineRecipe } from '@chakra-ui/react';

/** Text beside the main thing: quieter, and smaller where there is much of it. */
export const note = defineRecipe({
  base: { color: 'soft' },
  variants: { size: { small: { fontSize: '14px' }, fine: { fontSize: '13.5px' } } },
});

/** Text that must not be missed. */
export const alarm = defineRecipe({
  base: { color: 'signalInk' },
  variants: { strong: { true: { fontWeight: 700 } } },
});

/** Headings, from the name of a page down to the name of one thing. */
export const title = defineRecipe({
  base: { fontFamily: 'heading', fontWeight: 700 },
  variants: {
    size: {
      page: { fontSize: '30px', lineHeight: 1.1 },
      view: { fontSize: '24px' },
      section: { fontSize: '20px' },
      part: { fontSize: '18px' },
      thing: { fontSize: '17px' },
    },
  },
});

/** A caution, or a question that has to be answered, set off from what is around it. */
export const callout = defineRecipe({
  base: { bg: 'wash', borderLeft: '6px solid', borderColor: 'signal', px: '4', py: '3' },
});

/** Buttons: square, inked, 44 px for gloves. */
export const press = defineRecipe({
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

/** A button that is only an icon. */
export const iconPress = defineRecipe({
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

/** What is typed in or chosen from looks alike. */
const inked = {
  width: '100%',
  bg: 'sheet',
  color: 'ink',
  border: '1.5px solid',
  borderColor: 'soft',
} as const;

/** One line of typing. */
export const field = defineRecipe({
  base: {
    ...inked,
    minHeight: '44px',
    px: '3',
    _placeholder: { color: 'soft', opacity: 1 },
    _invalid: { borderColor: 'signal', borderWidth: '2px' },
  },
});

/** Several lines of typing. */
export const longField = defineRecipe({
  base: {
    ...inked,
    px: '3',
    py: '2',
    resize: 'vertical',
    _placeholder: { color: 'soft', opacity: 1 },
  },
});

/** One of a list. */
export const choice = defineRecipe({
  base: {
    ...inked,
    minHeight: '44px',
    px: '2',
  },
});

/** The name of a field, above it. */
export const label = defineRecipe({
  base: { display: 'block', fontSize: '14px', color: 'soft', mb: '1' },
});

/** A key cap. */
export const cap = defineRecipe({
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

/** Head of a column. */
export const head = defineRecipe({
  base: {
    textAlign: 'left',
    fontFamily: 'heading',
    fontWeight: 700,
    fontSize: '13px',
    color: 'soft',
    py: '1.5',
    px: '2',
    whiteSpace: 'nowrap',
  },
});

/** Cell of a table. */
export const cell = defineRecipe({ base: { py: '1', px: '2', verticalAlign: 'top' } });

/** A panel beside a view on a wide screen, and below it on a narrow one. */
export const sidePanel = defineRecipe({
  base: {
    width: { base: '100%', lg: '330px' },
    flexShrink: 0,
    bg: 'sheet',
    borderLeft: { lg: '1px solid' },
    borderTop: { base: '1px solid', lg: 'none' },
    borderColor: 'ink',
    overflowY: { lg: 'auto' },
    px: '4.5',
    py: '3',
  },
});

/** A view with its side panel: beside each other where there is room, else one below the other. */
export const split = defineRecipe({
  base: {
    display: 'flex',
    flexDirection: { base: 'column', lg: 'row' },
    height: '100%',
    overflow: { base: 'auto', lg: 'hidden' },
  },
});

/** A row of a list with a rule above it. */
export const ruledRow = defineRecipe({ base: { borderTop: '1px solid', borderColor: 'rule' } });
