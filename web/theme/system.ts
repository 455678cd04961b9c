import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';

/** Warm drafting paper in light, deep slate in dark; one signal colour, kept for what must be dug or decided. */
const spaces = [0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 8, 10, 12];

const config = defineConfig({
  // A reset of our own: the stock one overrides the font attributes of SVG text.
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
    '*': {
      _motionReduce: { transitionDuration: '0.01ms !important', animationDuration: '0.01ms !important' },
    },
  },
  theme: {
    breakpoints: { sm: '480px', md: '768px', lg: '1024px', xl: '1280px' },
    tokens: {
      spacing: Object.fromEntries(spaces.map((step) => [String(step), { value: `${step / 4}rem` }])),
      fonts: {
        heading: { value: "'Archivo Variable', 'Helvetica Neue', sans-serif" },
        body: { value: "'Atkinson Hyperlegible Next Variable', 'Helvetica Neue', sans-serif" },
      },
    },
    semanticTokens: {
      colors: {
        paper: { value: { base: '#f3eee2', _dark: '#12191e' } },
        sheet: { value: { base: '#faf7ef', _dark: '#1a242b' } },
        ink: { value: { base: '#1d2830', _dark: '#efe9dc' } },
        soft: { value: { base: '#56646c', _dark: '#a3b2ba' } },
        rule: { value: { base: '#d8cfbd', _dark: '#34434c' } },
        signal: { value: { base: '#c8420f', _dark: '#ff8450' } },
        // The signal colour as text: a shade deeper on paper, to stay legible at small sizes.
        signalInk: { value: { base: '#a63508', _dark: '#ff8450' } },
        onSignal: { value: { base: '#ffffff', _dark: '#1a0f08' } },
        water: { value: { base: '#2d6f8e', _dark: '#76bbdd' } },
        liner: { value: { base: '#2c3c45', _dark: '#9fb6c1' } },
        onLiner: { value: { base: '#ffffff', _dark: '#12191e' } },
        keep: { value: { base: '#e4dccb', _dark: '#2c383f' } },
        earth: { value: { base: '#eee7d6', _dark: '#182126' } },
        wash: { value: { base: '#f6dbcf', _dark: '#43281c' } },
        grass: { value: { base: '#a9b58e', _dark: '#5c6c45' } },
        planting: { value: { base: '#86976c', _dark: '#4a5b36' } },
        stone: { value: { base: '#b7a994', _dark: '#6d6454' } },
        paving: { value: { base: '#8b9299', _dark: '#66707a' } },
        road: { value: { base: '#5b6670', _dark: '#8b97a1' } },
      },
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
