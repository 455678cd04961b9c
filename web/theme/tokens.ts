/** The colors by purpose, light and dark, defined once for screens and paper. */
export const tokens: Readonly<Record<string, readonly [light: string, dark: string]>> = {
  paper: ['#f3eee2', '#12191e'],
  sheet: ['#faf7ef', '#1a242b'],
  ink: ['#1d2830', '#efe9dc'],
  soft: ['#56646c', '#a3b2ba'],
  rule: ['#d8cfbd', '#34434c'],
  signal: ['#c8420f', '#ff8450'],
  // The signal color as text: a shade deeper on paper, to stay legible at small sizes.
  signalInk: ['#a63508', '#ff8450'],
  onSignal: ['#ffffff', '#1a0f08'],
  water: ['#2d6f8e', '#76bbdd'],
  liner: ['#2c3c45', '#9fb6c1'],
  onLiner: ['#ffffff', '#12191e'],
  keep: ['#e4dccb', '#2c383f'],
  earth: ['#eee7d6', '#182126'],
  wash: ['#f6dbcf', '#43281c'],
  grass: ['#a9b58e', '#5c6c45'],
  planting: ['#86976c', '#4a5b36'],
  stone: ['#b7a994', '#6d6454'],
  paving: ['#8b9299', '#66707a'],
  road: ['#5b6670', '#8b97a1'],
};

/** Below the theme's "md": a phone, or a window as narrow as one. */
export const phoneWidth = '(width < 48rem)';

/** The trench of the mark; its pipe is a circle of radius 3.4 at 14, 13. */
export const trenchPath = 'M1 4h6v14h14V4h6';

/** The faces that ship with the app. */
export const faces = {
  heading: "'Archivo Variable', 'Helvetica Neue', sans-serif",
  body: "'Atkinson Hyperlegible Next Variable', 'Helvetica Neue', sans-serif",
} as const;
