import { createSystem, defaultBaseConfig, defineConfig, type SystemContext } from '@chakra-ui/react';
import { faces, tokens } from './tokens';

/** Warm drafting paper in light, deep slate in dark; one signal color, kept for what must be dug or decided. */
const spaces = [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 8, 10, 12];

const config = defineConfig({
  // Our own reset: Chakra's overrides the font attributes of SVG text.
  preflight: false,
  globalCss: {
    '*, *::before, *::after': { boxSizing: 'border-box' },
    'p, h1, h2, h3, ul, table': { margin: 0 },
    'html, body, #root': { height: '100%' },
    button: { borderRadius: 0 },
    body: {
      margin: 0,
      bg: 'paper',
      color: 'ink',
      fontFamily: 'body',
      fontSize: '15px',
      lineHeight: 1.35,
      fontVariantNumeric: 'tabular-nums slashed-zero',
    },
    'h1, h2, h3': { fontFamily: 'heading', fontWeight: 700, margin: 0, letterSpacing: '-0.01em' },
    'button, input, select, textarea': { font: 'inherit', color: 'inherit' },
    '*:focus:not(:focus-visible)': { outline: 'none' },
    '*:focus-visible': { outline: '3px solid var(--chakra-colors-water)', outlineOffset: '1px' },
    'svg text': { fontFamily: 'body', fill: 'var(--chakra-colors-ink)' },
    // However short, a duration makes each change of each element a transition, with four events of its own.
    '*': { _motionReduce: { transition: 'none !important', animationDuration: '0.01ms !important' } },
  },
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    tokens: {
      spacing: Object.fromEntries(spaces.map((step) => [String(step), { value: `${step / 4}rem` }])),
      fonts: {
        heading: { value: faces.heading },
        body: { value: faces.body },
      },
    },
    semanticTokens: {
      colors: Object.fromEntries(
        Object.entries(tokens).map(([name, [base, _dark]]) => [name, { value: { base, _dark } }]),
      ),
    },
  },
});

/** A pure function of one argument that computes each result once; `known` is a Map, or a WeakMap for objects. */
const remembering = <F extends (of: never) => unknown>(
  compute: F,
  known: { get(of: unknown): unknown; set(of: unknown, result: unknown): unknown },
): F =>
  ((of: never) => {
    let result = known.get(of);
    if (result === undefined) known.set(of, (result = compute(of)));
    return result;
  }) as F;

const built = createSystem(defaultBaseConfig, config);

/**
 * Chakra builds the recipe of an element again at every render, which also empties that recipe's own cache, and hashes the
 * name of every prop to tell style from attribute: half the time of a render. Both depend on their argument alone.
 */
export const system: SystemContext = {
  ...built,
  cva: remembering<SystemContext['cva']>((recipe) => built.cva(recipe), new WeakMap()),
  isValidProperty: remembering((name: string) => built.isValidProperty(name), new Map()),
};
