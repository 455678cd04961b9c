import { readdirSync, readFileSync } from 'node:fs';
import { figureIdioms, spokenIdioms } from '../idioms/idioms.js';
import { rewrite, rewriteAll, traced } from '../idioms/traced-text.js';
import { fromTo, goesOnTo, inWords, located, stretches, wetFromTo } from '../test/phrasings.js';
import { testedAt } from '../test/tested-water.js';
import { hedges } from './hedges.js';
import { spokenNumbers } from './spoken-numbers.js';

const folder = new URL('../test/narrations/', import.meta.url);
const talks = readdirSync(folder)
  .filter((name) => name.endsWith('.vtt'))
  .flatMap((name) => readFileSync(new URL(name, folder), 'utf8').split('\n'))
  .filter((line) => /[a-z]/i.test(line) && !line.includes('-->'))
  .filter((_, i) => i % 10 === 0);
const [from, to] = [inWords(14), inWords(17)];
const forms = [
  ...[...fromTo, ...goesOnTo].flatMap((form) => stretches.map(([said]) => form(said, from, to))),
  ...wetFromTo.map((form) => form(from, to)),
  ...located.map((form) => form(from, inWords(5))),
  ...testedAt.map(([says]) => says(from)),
];

type RewriteAll = typeof rewriteAll;
const oneByOne: RewriteAll = (heard, idioms) =>
  idioms.reduce((now, [pattern, to]) => rewrite(now, pattern, to), heard);
const inFigures = (text: string, all: RewriteAll) =>
  all(hedges(spokenNumbers(all(traced(text), spokenIdioms))), figureIdioms).text;

// That an idiom is passed over where it cannot be is for speed alone.
test('no idiom is passed over in a text that it is found in, with one space between words or two', () => {
  expect(talks.length).toBeGreaterThan(300);
  for (const said of [...talks, ...forms])
    for (const text of [said, said.replaceAll(' ', '  ')])
      expect([text, inFigures(text, rewriteAll)]).toEqual([text, inFigures(text, oneByOne)]);
});
