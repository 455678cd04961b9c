import { pathInWords } from './path-in-words.js';

// How a person would say where: common practice.
test.each([
  ['lines[0].cleanings[0]', 'cleaning 1'],
  ['lines[1].runs[0].entries[3].percent', 'line 2, run 1, entry 4, percent'],
  ['lines[0].points[2].station_ft', 'point 3, station, ft'],
  ['lines[0].noDig[1]', 'no-dig stretch 2'],
  ['site.groundwater_ft', 'site, groundwater, ft'],
  ['', ''],
])('%s is “%s”', (path, words) => {
  expect(pathInWords(path)).toBe(words);
});
