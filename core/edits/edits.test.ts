import fc from 'fast-check';
import { randomJob } from '../test/random-job.js';
import { editSchema } from './schema.js';
import { applyEdit, inverseOf, jobHead, lineHead, runHead, type Edit } from './index.js';
import { fieldWord, sayAlone, sayChange } from './say.js';
import { jobHeadSchema, lineHeadSchema, pointSchema, runHeadSchema } from '../job/schema.js';
import type { Entry, Job, PlainJob } from '../job/schema.js';
import { readJob } from '../files/read.js';
import { newLineEdits } from './new-line.js';

// A property of undo, not a value: an edit followed by its inverse leaves the job unchanged.
const edits = (job: Job, pick: number): Edit[] => {
  const line = job.lines[pick % job.lines.length];
  const run = line?.runs[0];
  const entry = run?.entries[pick % (run.entries.length || 1)];
  if (!line || !run || !entry) throw new Error('a random job has lines, runs and entries');
  const added: Entry = { id: `new${pick}`, kind: 'joint', reading_ft: 3 };
  return [
    { kind: 'job', set: { ...jobHead(job), title: 'other' } },
    { kind: 'line', line: line.id, set: { ...lineHead(line), groundwater_ft: 99 } },
    { kind: 'pins', line: line.id, set: [{ id: 'pin', from_ft: 1, to_ft: 2, method: 'clean' }] },
    { kind: 'run', line: line.id, run: run.id, set: { ...runHead(run), zero: 'unknown' } },
    { kind: 'entry', line: line.id, run: run.id, entry: entry.id, set: { ...entry, note: 'changed' } },
    { kind: 'entry', line: line.id, run: run.id, entry: added.id, set: added },
    { kind: 'run', line: line.id, run: 'R9', set: { ...runHead(run), id: 'R9' } },
    { kind: 'temperature', set: { temperature_F: 88 } },
    job.accepted
      ? { kind: 'accepted', set: null }
      : { kind: 'accepted', set: { on: '2026-03-04', school: 'renew', total: 9, job: plainJob(job) } },
  ];
};

function plainJob(job: Job): PlainJob {
  const { accepted: _accepted, ...plain } = job;
  return plain;
}

const withAcceptance = (job: Job, agreed: boolean): Job =>
  agreed
    ? {
        ...job,
        accepted: { on: '2026-01-02', by: 'R. Moss', school: 'repair', total: 5, job: plainJob(job) },
      }
    : job;

test('an edit and its inverse leave the job as it was', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.nat(8), fc.boolean(), (seed, which, agreed) => {
      const job = withAcceptance(randomJob(seed, { lines: 2 }), agreed);
      const edit = edits(job, seed)[which] as Edit;
      expect(editSchema.safeParse(edit).success).toBe(true);
      const after = applyEdit(job, edit);
      expect(after).not.toEqual(job);
      expect(applyEdit(after, inverseOf(job, edit))).toEqual(job);
    }),
    { numRuns: 60 },
  );
});

test('what was pinned is said with its ends to a tenth of a foot, and what was lifted with its number', () => {
  const say = (before: readonly object[], now: readonly object[]) =>
    sayChange(
      { kind: 'pins', line: 'house', set: now } as Edit,
      { kind: 'pins', line: 'house', set: before } as Edit,
      {} as Job,
    );
  const pin = { id: 'p', from_ft: 10.04, to_ft: 20.06, method: 'line' };
  const never = { id: 'q', from_ft: 30, to_ft: 40, never: ['burst', 'line'] };
  expect(say([], [pin])).toBe('Pinned liner at 10.0 to 20.1 ft');
  expect(say([pin], [pin, never])).toBe('Pinned never pipe bursting, liner at 30.0 to 40.0 ft');
  expect(say([pin], [pin, { id: 's', from_ft: 12.5, to_ft: 12.5 }])).toBe('Pinned a split at 12.5 ft');
  expect(say([pin, never], [never])).toBe('Lifted a pin');
  expect(say([pin, never], [])).toBe('Lifted 2 pins');
  expect(say([pin], [{ ...pin, to_ft: 22 }])).toBe('Moved a pin');
});

// A change is told in words: no id of a point, entry, line or run, no field name and no word of the file format.
test('every change of any job is told without an id or a word of the file', () => {
  const ofTheFile =
    /[a-z]_[a-z]|\b[a-z]+[A-Z]|\b(?:short-line|open-cut|tie-in|neighbour|before-cleaning|after-repair)\b/;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.nat(8), (seed, which) => {
      const job = randomJob(seed, { lines: 2 });
      const all = job.lines.flatMap(({ id, points, runs }) => [
        id,
        ...points.filter(({ name }) => name !== undefined).map((point) => point.id),
        ...runs.flatMap(({ entries }) => entries.map((entry) => entry.id)),
      ]);
      const edit = edits(job, seed)[which] as Edit;
      const before = inverseOf(job, edit);
      const every = job.lines.flatMap((line) =>
        line.runs.flatMap((run) =>
          run.entries.map((entry): Edit => ({
            kind: 'entry',
            line: line.id,
            run: run.id,
            entry: entry.id,
            set: null,
          })),
        ),
      );
      const said = [
        sayChange(edit, before, job),
        sayChange(before, edit, job),
        sayAlone(edit, job),
        ...every.map((one) => sayChange(one, inverseOf(job, one), job)),
      ];
      for (const sentence of said) {
        expect(sentence).not.toMatch(ofTheFile);
        const words = sentence.split(/[\s,:;“”]+/);
        expect(all.filter((id) => words.includes(id))).toEqual([]);
      }
    }),
    { numRuns: 40 },
  );
  // Every field of what is edited has a name.
  const heads = [jobHeadSchema, lineHeadSchema, runHeadSchema, pointSchema].flatMap((schema) =>
    Object.keys(schema.shape),
  );
  expect(heads.length).toBeGreaterThan(50);
  for (const field of heads) expect(fieldWord(field)).not.toMatch(/_|[A-Z]/);
});

test('what was accepted is touched by no other edit, and its own edit touches nothing else', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.boolean(), (seed, agreed) => {
      const job = withAcceptance(randomJob(seed, { lines: 2 }), agreed);
      for (const edit of edits(job, seed)) {
        const after = applyEdit(job, edit);
        if (edit.kind === 'accepted') expect(plainJob(after)).toEqual(plainJob(job));
        else expect(after.accepted).toEqual(job.accepted);
      }
    }),
    { numRuns: 40 },
  );
});

test('removing a line takes its runs along; an edit of what is gone changes nothing', () => {
  const job = randomJob(7, { lines: 2 });
  const [line] = job.lines;
  const without = applyEdit(job, { kind: 'line', line: line?.id ?? '', set: null });
  expect(without.lines).toHaveLength(1);
  const lost = edits(job, 0).filter(({ kind }) => kind === 'entry' || kind === 'run');
  for (const edit of lost.filter((each) => 'line' in each && each.line === line?.id)) {
    expect(applyEdit(without, edit)).toEqual(without);
  }
});

test('a new line joins another at a branch of it or goes to the main: the job reads back, and nothing else is touched', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 60 }),
      fc.constantFrom('Guest house', '  ', 'L1', 'Ünder the drive', 'guest-house'),
      fc.option(fc.double({ min: 0, max: 14, noNaN: true }), { nil: undefined }),
      fc.boolean(),
      (seed, name, at_ft, alone) => {
        const job = randomJob(seed, { lines: 2 });
        const joins = alone ? undefined : job.lines[0];
        const { id, edits } = newLineEdits(job, { name, joins, at_ft, on: '2026-05-12' });
        const after = edits.reduce(applyEdit, job);
        expect(readJob(JSON.parse(JSON.stringify(after))).faults).toBeUndefined();
        expect(job.lines.map((line) => line.id)).not.toContain(id);
        const made = after.lines.find((line) => line.id === id);
        expect(made?.runs).toHaveLength(1);
        expect(made?.name).toBe(name.trim() === '' ? id : name.trim());
        const end = made?.points.find((point) => point.id === made.end);
        const branch = after.lines[0]?.points.find((point) => point.id === end?.onto?.point);
        expect(end?.kind).toBe(alone ? 'main' : 'tie-in');
        expect(branch?.station_ft).toBe(alone ? undefined : at_ft);
        expect(after.lines[0]?.points).toHaveLength((job.lines[0]?.points.length ?? 0) + (alone ? 0 : 1));
        expect(after.lines[1]).toEqual(job.lines[1]);
      },
    ),
    { numRuns: 60 },
  );
});
