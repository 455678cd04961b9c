import fc from 'fast-check';
import { closest, phraseAt } from '../speech/phrases.js';
import { parseLogLine, type EntryDraft, type LogContext } from './parse.js';

const base: LogContext = { pass: 'back', points: [], end: 'main' };
const only = (line: string): EntryDraft | undefined => {
  const parts = parseLogLine(line, base);
  expect([line, parts.flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([line, []]);
  expect([line, parts.length]).toEqual([line, 1]);
  return parts[0]?.entry;
};
const isAsked = (line: string) => parseLogLine(line, base).some(({ errors }) => errors.length > 0);

// Words of plain English that say nothing of a sewer.
const plain = 'sandwich umbrella horizontal pineapple curious gigantic Wednesday dogleg'.split(' ');

test('words not known beside a thing become its note, as they were typed, and change nothing else of it', () => {
  expect(plain.filter((word) => phraseAt(word) ?? closest(word))).toEqual([]);
  fc.assert(
    fc.property(
      fc.integer({ min: 26, max: 199 }).map((half) => half / 2),
      fc.constantFrom('roots', 'crack at 3 o’clock', 'belly', 'offset 1 in', 'grease 30%', 'hole', 'wye'),
      fc.uniqueArray(fc.constantFrom(...plain), { minLength: 1, maxLength: 3 }),
      fc.boolean(),
      (at_ft, thing, words, first) => {
        const said = words.join(' ');
        const line = first ? `${at_ft} ${said} ${thing}` : `${at_ft} ${thing}, ${said}`;
        expect(only(line)).toEqual({ ...only(`${at_ft} ${thing}`), note: said });
      },
    ),
  );
});

// Common practice: what undoes a word, moves it elsewhere, measures it or is what is broken is not left to a note.
test.each([
  ...['46 roots sprayed', '46 crack healed', '22 roots killed', '46 roots nobody'],
  ...['46 roots from my umbrella', '22 roots outside'],
  ...['20 hole 5 millimeters', '22 offset twisting by 2 in'],
  ...['24 sprinkler head broken', '24 mailbox cracked', '46 roots hevy', '46 crack xq'],
])('%s is asked about', (line) => {
  expect([line, isAsked(line)]).toEqual([line, true]);
});

// Common practice.
test.each<[string, Partial<EntryDraft>[]]>([
  ['46 hole repaired', [{ kind: 'note', note: 'hole repaired' }]],
  ['46 patched crack', [{ kind: 'note', note: 'patched crack' }]],
  ['63 counter slipped', [{ kind: 'note', note: 'counter slipped' }]],
  ['61 counter jumped 2 ft', [{ kind: 'note', note: 'counter jumped 2 ft' }]],
  ['40 tap comes in at 2 o’clock, hammer tap', [{ kind: 'point', clock: 2 }]],
  ['26 joint 26 gasket hanging down', [{ kind: 'finding', finding: 'intrusion', atJoint: true }]],
  ['26 joint 26 roots', [{ kind: 'finding', finding: 'roots', atJoint: true }]],
  ['10 house trap full of debris', [{ kind: 'point' }, { kind: 'finding', finding: 'deposit' }]],
  ['100 survey abandoned, roots', [{ kind: 'stop', why: 'roots' }]],
  ['47 can’t budge the offset', [{ finding: 'offset' }, { kind: 'stop', why: 'offset' }]],
  ['52 pipe is egged about 10 percent', [{ kind: 'finding', finding: 'deformation', percent: 10 }]],
  ['91 3/4 full pipe', [{ kind: 'finding', finding: 'belly', size: 'large' }]],
  ['42 toilet flush came thru', [{ kind: 'test', arrives: true }]],
  ['44 dye seen at main', [{ kind: 'test', arrives: true }]],
  ['81 disjointed', [{ kind: 'finding', finding: 'separation' }]],
  ['30 clay pipe is cracked', [{ kind: 'finding', finding: 'crack' }]],
  ['22 collapsed 50%', [{ kind: 'finding', finding: 'collapse', note: '50%' }]],
  ['69 flattened to half', [{ kind: 'finding', finding: 'deformation', percent: 50 }]],
  ['39 water flowing toward camera', [{ kind: 'note' }]],
  ['42 deep 7', [{ kind: 'locate', reading_ft: 42, depth_ft: 7 }]],
  ['42 depth 5-6', [{ kind: 'locate', reading_ft: 42, depth_ft: 5.5 }]],
  ['42 located at fence, 4 ft', [{ kind: 'locate', reading_ft: 42, depth_ft: 4 }]],
  ['42 about seven foot down', [{ kind: 'locate', reading_ft: 42, depth_ft: 7 }]],
  ['42 taped 39.5 from cleanout', [{ kind: 'locate', reading_ft: 42, station_ft: 39.5 }]],
  ['20 necks down to 4', [{ kind: 'change', upstream: { diameter_in: 4 } }]],
  ['30 sharp 90', [{ kind: 'point' }]],
  ['73 stain at joint', [{ kind: 'note', note: 'stain at joint' }]],
  ['22 joint dropped half an inch', [{ kind: 'finding', finding: 'offset', inches: 0.5 }]],
])('%s', (line, expected) => {
  const parts = parseLogLine(line, base);
  expect(parts.flatMap(({ errors }) => errors)).toEqual([]);
  expect(parts.map(({ entry }) => entry)).toMatchObject(expected);
  for (const { entry } of parts)
    if (entry?.kind === 'finding' && !/%|percent|half/.test(line))
      expect(entry).not.toHaveProperty('percent');
});
