import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import fc from 'fast-check';
import { entrySchema } from '../job/schema.js';
import { captionFormat, captionsText, readCaptions } from '../captions.js';
import { narrate, type NarrationItem } from './narrate.js';
import type { LogContext } from '../logline/context.js';
import { inOrder, narrationParts, sayItem } from './parts.js';
import { sentencesOf } from './sentences.js';

/** Narrations written for these tests, each with its true content: common practice. */
const folder = resolve(import.meta.dirname, '../test/narrations');
const names = readdirSync(folder)
  .filter((file) => file.endsWith('.vtt'))
  .map((file) => file.replace('.vtt', ''));

interface Thing {
  readonly kind: string;
  readonly r?: number;
  readonly to?: number;
  readonly f?: string;
  readonly form?: string;
  readonly of?: string;
  readonly p?: string;
  readonly degrees?: number;
  readonly percent?: number;
  readonly inches?: number;
  readonly depth?: number;
  readonly arrives?: boolean;
  readonly possible?: boolean;
  readonly up?: string;
  readonly down?: string;
  /** Said in passing: right whether proposed or not. */
  readonly opt?: boolean;
}

const near = (a: unknown, b: number, within = 0.3) => typeof a === 'number' && Math.abs(a - b) <= within;
const plastics = ['abs', 'pvc-sch40', 'pvc-sdr35', 'hdpe'];
const isPipe = (want: string | undefined, pipe: unknown) => {
  const material = (pipe as { material?: string } | undefined)?.material;
  return want === undefined || want === material || (want === 'plastic' && plastics.includes(material ?? ''));
};

/** True where an item says what the truth has. */
function says({ entry, point }: NarrationItem, want: Thing): boolean {
  const it = entry as Record<string, unknown>;
  const ends = [it.reading_ft, it.to_ft];
  const { r, to } = want;
  const placed =
    r === undefined ||
    (to === undefined
      ? near(ends[0], r)
      : (near(ends[0], r) && near(ends[1], to)) || (near(ends[0], to) && near(ends[1], r)));
  const met = point?.kind ?? (it.point === 'MAIN' ? 'main' : undefined);
  return (
    it.kind === want.kind &&
    placed &&
    (want.p === undefined || want.p === met) &&
    (want.degrees === undefined || point?.degrees === want.degrees) &&
    (['form', 'of', 'arrives', 'possible'] as const).every(
      (field) => want[field] === undefined || it[field] === want[field],
    ) &&
    (want.f === undefined || it.finding === want.f) &&
    (want.percent === undefined || near([it.percent].flat().at(-1), want.percent, 1)) &&
    (want.inches === undefined || near([it.inches].flat().at(-1), want.inches, 0.06)) &&
    (want.depth === undefined || near(it.depth_ft, want.depth, 0.05)) &&
    isPipe(want.up, it.upstream) &&
    isPipe(want.down, it.downstream)
  );
}

/** Each talk is read once, for all that is asked of it. */
const heardBefore = new Map<string, ReturnType<typeof hear>>();
function heard(name: string): ReturnType<typeof hear> {
  const known = heardBefore.get(name) ?? hear(name);
  heardBefore.set(name, known);
  return known;
}

async function hear(name: string) {
  const truth = JSON.parse(readFileSync(resolve(folder, `${name}.json`), 'utf8')) as {
    direction: 'downstream' | 'upstream';
    things: Thing[];
  };
  const { cues, faults } = await readCaptions(readFileSync(resolve(folder, `${name}.vtt`), 'utf8'), 'vtt');
  expect(faults).toEqual([]);
  return { truth, cues, said: narrate(cues, { direction: truth.direction }) };
}

test('at least twelve talks', () => {
  expect(names.length).toBeGreaterThanOrEqual(12);
});

test.each(names)('%s: all that was said is proposed, nothing that was not', async (name) => {
  const { truth, said } = await heard(name);
  const left = [...said.items];
  const missed = truth.things.filter((want) => {
    const at = left.findIndex((item) => says(item, want));
    if (at >= 0) left.splice(at, 1);
    return at < 0 && want.opt !== true;
  });
  expect(missed).toEqual([]);
  expect(left.map(({ entry, sentence }) => [entry, sentence])).toEqual([]);
});

test.each(names)('%s: every sentence ends up somewhere, every entry is one of the job file', async (name) => {
  const { cues, said } = await heard(name);
  const all = [...said.items, ...said.notes].map(({ sentence }) => sentence).join(' ');
  for (const { text } of sentencesOf(cues)) expect(all).toContain(text);
  for (const { entry } of said.items) entrySchema.parse({ ...entry, id: 'new' });
  for (const { certain, assumed } of said.items) expect(certain).toBe(assumed.length === 0);
});

const sentences = names.flatMap((name) =>
  readFileSync(resolve(folder, `${name}.vtt`), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !/-->|WEBVTT/.test(line)),
);

test('no talk throws, whatever its order; what comes out is valid, and the same each time', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.constantFrom(...sentences), fc.string({ maxLength: 30 })), { maxLength: 12 }),
      (lines) => {
        const cues = lines.map((text, i) => ({ start_s: i, text }));
        const said = narrate(cues);
        for (const { entry } of said.items) entrySchema.parse({ ...entry, id: 'new' });
        expect(JSON.stringify(narrate(cues))).toBe(JSON.stringify(said));
      },
    ),
    { numRuns: 300 },
  );
});

const talk = (...lines: string[]) => narrate(lines.map((text, i) => ({ start_s: 10 * i, text })));

test('"no" before what was seen takes it out of the log', () => {
  for (const word of ['roots', 'cracks', 'offsets', 'standing water', 'holes', 'grease']) {
    expect(talk(`at forty feet no ${word}`).items).toEqual([]);
    expect(talk(`i don't see any ${word} at forty`).items).toEqual([]);
    expect(talk(`i don t see any ${word} at forty`).items).toEqual([]);
    expect(talk(`forty feet can't see any ${word}`).items).toEqual([]);
    expect(talk(`forty feet any ${word} here no`).items).toEqual([]);
    expect(talk(`forty feet there used to be ${word} here`).items).toEqual([]);
  }
});

test('a sentence that completes or corrects joins the item it speaks of; its moment is that of the deciding words', () => {
  const { items, notes } = talk(
    'roots at',
    'forty four feet',
    'about thirty percent',
    "sorry that's not forty four that's forty five",
  );
  expect(items).toHaveLength(1);
  expect(items[0]).toMatchObject({
    video_s: 0,
    certain: true,
    entry: { finding: 'roots', reading_ft: 45, percent: 30 },
  });
  expect(items[0]?.sentence).toContain('not forty four');
  expect(notes).toEqual([]);
});

test('what is taken as said is named, and makes the item uncertain', () => {
  const { items } = talk('crack at fifty', 'moving along', "we're in clay", 'changes to concrete at sixty');
  expect(items.at(-1)).toMatchObject({
    certain: false,
    assumed: ['clay on the near side, as was said before'],
    entry: { upstream: { material: 'clay' }, downstream: { material: 'concrete' } },
  });
  expect(talk('crack at fifty', 'some more roots').items[1]).toMatchObject({
    certain: false,
    noReading: true,
  });
});

// Cue syntax: W3C WebVTT; SubRip as commonly written.
test('captions are read, and a file that is none says where it fails', async () => {
  const srt =
    '1\r\n00:00:01,000 --> 00:00:02,500\r\nroots at\r\n\r\n2\r\n00:00:02,500 --> 00:00:04,000\r\nforty feet\r\n';
  expect((await readCaptions(srt, 'srt')).cues).toEqual([
    { start_s: 1, text: 'roots at' },
    { start_s: 2.5, text: 'forty feet' },
  ]);
  expect((await readCaptions('0:12 roots at 44\nand a crack', 'txt')).cues).toEqual([
    { start_s: 12, text: 'roots at 44' },
    { start_s: null, text: 'and a crack' },
  ]);
  expect((await readCaptions('WEBVTT\n\n00:01.000 --> 00:0x\nbad', 'vtt')).faults[0]).toMatchObject({
    line: 3,
  });
  expect((await readCaptions('no captions', 'vtt')).faults[0]).toMatchObject({ line: 1 });
  const rolling =
    'WEBVTT\n\n00:01.000 --> 00:02.000\nroots at\n\n00:02.000 --> 00:03.000\nroots at\nforty feet\n';
  expect((await readCaptions(rolling, 'vtt')).cues.map(({ text }) => text)).toEqual([
    'roots at',
    'forty feet',
  ]);
  expect([captionFormat('a', 'WEBVTT\n'), captionFormat('a.srt', ''), captionFormat('', 'hello')]).toEqual([
    'vtt',
    'srt',
    'txt',
  ]);
});

test('items go into a run: its own main and points, the sentence and the moment kept, what has no reading to be read', () => {
  const { items } = talk(
    'bend at twenty',
    'wye at thirty one on the left',
    'main at sixty four',
    'some more grease',
  );
  const line: LogContext = {
    pass: 'out',
    end: 'M7',
    access: 'CO1',
    points: [
      { id: 'CO1', kind: 'cleanout' },
      { id: 'M7', kind: 'main' },
      { id: 'B9', kind: 'bend', name: 'old bend', reading_ft: 21 },
      { id: 'tie-in-1', kind: 'tie-in', name: 'tie in 1', reading_ft: 5 },
    ],
    entries: [{ id: 'e3', kind: 'joint', reading_ft: 4 }],
  };
  const parts = inOrder(narrationParts(items, line, { shift_s: 5, clip: 'V1' }), line);
  expect(parts.map(({ entry }) => entry)).toMatchObject([
    { point: 'B9', video_s: 5, clip: 'V1', note: 'bend at twenty' },
    { point: 'tie-in-2', video_s: 15 },
    { point: 'M7', video_s: 25 },
    { finding: 'deposit', after: 'part 2', video_s: 35 },
  ]);
  expect(parts[3]?.entry).not.toHaveProperty('reading_ft');
  const [alone] = inOrder(narrationParts(items.slice(3), line), line);
  expect(alone?.entry).toMatchObject({ after: 'e3' });
  const [first] = inOrder(narrationParts(items.slice(3), { ...line, entries: [] }), { ...line, entries: [] });
  expect(first?.entry).toMatchObject({ reading_ft: 64 });
  expect(parts[1]?.point).toMatchObject({
    id: 'tie-in-2',
    kind: 'tie-in',
    name: 'branch connection 2',
    clock: 9,
  });
});

test('a proposal says what would be written: what it is, where, which way, and by the names of the line', () => {
  const cues = [
    'twelve feet tee on the left',
    'twenty one, roots, both sides, ten percent',
    'forty, bend, forty five to the right',
    'sixty is the main',
  ];
  const { items } = narrate(
    cues.map((text, i) => ({ start_s: 4 * i, text })),
    { direction: 'downstream' },
  );
  expect(items.map((item) => sayItem(item))).toEqual([
    expect.stringMatching(/^Branch connection 1, tee, at 9 o’clock, at 12 on the counter/),
    expect.stringMatching(/^Roots, 10 % of the diameter, at 9 o’clock, at 21 on the counter/),
    expect.stringMatching(/^Roots, 10 % of the diameter, at 3 o’clock, at 21 on the counter/),
    expect.stringMatching(/^Bend 1, 45°, to the right, at 40 on the counter/),
    expect.stringMatching(/^Main, at 60 on the counter/),
  ]);
});

// WebVTT: hours, minutes, seconds and thousandths; what is written is read back by the parser of media-captions.
test('captions written from cues are read back at the same moments, past the first hour too', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.uniqueArray(fc.integer({ min: 0, max: 40_000_000 }), { minLength: 1, maxLength: 6 }),
      async (moments) => {
        const cues = moments
          .sort((a, b) => a - b)
          .map((ms, i) => ({ start_s: ms / 1000, text: `roots at ${i + 2}` }));
        const { cues: read, faults } = await readCaptions(captionsText(cues), 'vtt');
        expect(faults).toEqual([]);
        expect(read.map(({ text }) => text)).toEqual(cues.map(({ text }) => text));
        read.forEach(({ start_s }, i) => expect(start_s).toBeCloseTo(cues[i]?.start_s ?? 0, 2));
      },
    ),
    { numRuns: 30 },
  );
});
