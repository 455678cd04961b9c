import fc from 'fast-check';
import type { EntryDraft, LogContext } from './context.js';
import { parseLogLine } from './parse.js';

/** How plumbers say that the camera stopped, went under water or came out of it: common practice. */
const base: LogContext = { points: [], pass: 'back', end: 'main' };
function clean(line: string, more: Partial<LogContext> = {}): (EntryDraft | undefined)[] {
  const all = parseLogLine(line, { ...base, ...more });
  expect([line, all.flatMap(({ errors }) => errors.map(({ message }) => message))]).toEqual([line, []]);
  return all.map(({ entry }) => entry);
}

test('however it is said that the camera could not go on, it stopped there, and nothing is denied', () => {
  const not = fc.constantFrom(
    ...["can't", 'cant', 'can not', 'cannot', "couldn't", 'couldnt', 'could not', "won't", 'will not'],
    ...['wouldn’t', 'would not', 'unable to', 'not able to', 'can t', 'won t', 'can’t'],
  );
  const goes = fc.constantFrom('get past', 'get through', 'push past', 'push through', 'go past', 'get by');
  const what = fc.constantFrom('roots', 'heavy roots', 'grease', 'an offset', 'the collapse', 'a big rock');
  fc.assert(
    fc.property(not, goes, what, fc.integer({ min: 13, max: 120 }), (never, on, obstacle, at) => {
      const read = clean(`${at} ${never} ${on} ${obstacle}`);
      expect(read.filter((entry) => entry?.kind === 'stop')).toMatchObject([{ reading_ft: at }]);
      expect(read.map((entry) => entry?.note ?? '').join(' ')).not.toContain('none');
      // What has a size, or is broken, is a finding of its own.
      if (/heavy|big|offset|collapse/.test(obstacle))
        expect(read.filter((entry) => entry?.kind === 'finding')).toHaveLength(1);
    }),
  );
});

test.each([
  ['42 no go, roots', [{ kind: 'stop', why: 'roots' }]],
  [
    '42 hung up on lip 1/2 in',
    [
      { finding: 'lip', inches: 0.5 },
      { kind: 'stop', why: 'lip' },
    ],
  ],
  ["42 can't get past grease 60%", [{ finding: 'deposit', of: 'grease', percent: 60 }, { kind: 'stop' }]],
  ["34 can't see, stopped", [{ kind: 'hidden' }, { kind: 'stop', why: 'could not see' }]],
  ['61 stopped by heavy roots', [{ finding: 'roots', size: 'large' }, { kind: 'stop' }]],
  ['91 too much debris to continue', [{ finding: 'deposit', size: 'large' }, { kind: 'stop' }]],
  ['63 blocked solid', [{ kind: 'stop', why: 'blocked' }]],
  ['78 will not budge', [{ kind: 'stop' }]],
  ['26 too much water to see', [{ kind: 'hidden', why: 'under water' }]],
  ["79 couldn't see any cracks", [{ kind: 'note', note: 'seen, none: cracks' }]],
  ['77 could not locate', [{ kind: 'note' }]],
] as const)('%s', (line, entries) => {
  const read = clean(line);
  expect(read).toMatchObject(entries);
  expect(read).toHaveLength(entries.length);
  for (const entry of read) expect(entry).toMatchObject({ reading_ft: Number.parseInt(line), pass: 'back' });
});

test('what was called at one place ends where it is said to end, in the way the camera goes and not too far off', () => {
  const written = (entry: object) =>
    ({ entries: [{ id: 'E1', reading_ft: 80, pass: 'back', ...entry }] }) as never;
  const belly = written({ kind: 'finding', finding: 'belly', inches: 1 });
  const under = written({ kind: 'hidden', why: 'under water' });
  for (const [line, known, now] of [
    ['76 belly ends', belly, { finding: 'belly', inches: 1, reading_ft: 80, to_ft: 76 }],
    ['76 comes out of the water', belly, { finding: 'belly', to_ft: 76 }],
    ['76 comes out of the water', under, { kind: 'hidden', why: 'under water', reading_ft: 80, to_ft: 76 }],
    ['74 picture is back', under, { kind: 'hidden', to_ft: 74 }],
  ] as const) {
    const [part, ...others] = parseLogLine(line, { ...base, ...(known as object) });
    expect([line, part]).toMatchObject([line, { entry: now, replaces: 'E1', errors: [] }]);
    expect(others).toEqual([]);
  }
  // Against the way it goes, or far off, it is another one.
  for (const line of ['84 belly ends', '20 belly ends'])
    expect(parseLogLine(line, { ...base, ...(belly as object) })[0]?.replaces).toBeUndefined();
  expect(parseLogLine('76 comes out of the water', base)[0]?.errors).toHaveLength(1);
});
