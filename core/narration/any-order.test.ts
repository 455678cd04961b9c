import { short, talked } from '../test/in-short.js';

// Common practice: what a sentence leaves out stands in the one before it.
const talk = (line: string) => talked(...line.split(/(?<=\.)\s+/)).map(short);

test.each([
  ["There's roots at forty one. It's from nine to three.", [{ is: 'roots', at: 41, clock: [9, 3] }]],
  ["There's roots at ten. They run from nine to twelve.", [{ is: 'roots', at: 9, to: 12 }]],
  ["We've got roots at forty four. They go from forty to forty six.", [{ is: 'roots', at: 40, to: 46 }]],
  [
    'A sag starts at twenty six. Ends at thirty nine, about an inch.',
    [{ is: 'belly', at: 26, to: 39, inches: 1 }],
  ],
  [
    'Standing water starts at 26. Out of it at thirty nine, inch and a half.',
    [{ is: 'belly', at: 26, to: 39, inches: 1.5 }],
  ],
  [
    'Roots start at twenty six. End at thirty, forty percent.',
    [{ is: 'roots', at: 26, to: 30, percent: 40 }],
  ],
  ['Shot it at forty five, six feet.', [{ is: 'locate', at: 45, depth: 6 }]],
  ['Locating here at sixty five. Nine feet six.', [{ is: 'locate', at: 65, depth: 9.5 }]],
  ['At fifty five the pipe is nine feet six down.', [{ is: 'locate', at: 55, depth: 9.5 }]],
  ["Sixty five feet, I've got six feet six on the locator.", [{ is: 'locate', at: 65, depth: 6.5 }]],
])('%s', (line, things) => {
  expect(talk(line)).toEqual(things);
});
