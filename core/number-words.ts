/** Numbers by their words, from zero to nineteen: the index is the value. */
export const ones: readonly string[] = [
  ...[
    'zero',
    'one',
    'two',
    'three',
    'four',
    'five',
    'six',
    'seven',
    'eight',
    'nine',
    'ten',
    'eleven',
    'twelve',
  ],
  ...['thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen'],
];
/** Twenty, thirty, … ninety. */
export const tens: readonly string[] = [
  ...['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'],
];

/** The beginning of a number, in words or digits. */
export const aNumber = String.raw`(?:\d|(?:${[...ones.slice(1), ...tens].join('|')}|a\s+hundred)\b)`;

/** After whole inches that follow feet: no fraction, share or hour. */
export const inchesEnd = String.raw`(?:\s*["”″]|(?!\s*["”″]))(?![\d/%]|[.:]\d|\s*(?:%|percent|o'?\s?clock))`;
