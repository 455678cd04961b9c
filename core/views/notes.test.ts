import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJobText } from '../files/read.js';
import type { Entry, Job } from '../job/schema.js';
import { readyJob } from '../solve/ready.js';
import { ownScope } from '../test/own-scope.js';

const { job } = readJobText(
  readFileSync(join(import.meta.dirname, '../../demo/jobs/1-quarry-lane.json'), 'utf8'),
);
if (!job) throw new Error('the demo job cannot be read');

const withNotes = (notes: readonly Entry[]): Job => ({
  ...job,
  lines: job.lines.map((line, index) =>
    index > 0
      ? line
      : {
          ...line,
          runs: line.runs.map((run, at) =>
            at === line.runs.length - 1 ? { ...run, entries: [...run.entries, ...notes] } : run,
          ),
        },
  ),
});

// A law of the record: words that are not graded change nothing.
test('notes, with or without feet, change neither what is done nor what it costs', () => {
  const plain = ownScope(readyJob(job));
  const noted = ownScope(
    readyJob(
      withNotes([
        { id: 'n1', kind: 'note', reading_ft: 46, note: 'seen, none: roots' },
        { id: 'n2', kind: 'note', reading_ft: 20, to_ft: 28, note: 'seen, none: cracks' },
        { id: 'n3', kind: 'note', note: 'nobody home' },
      ]),
    ),
  );
  expect(noted.prices).toEqual(plain.prices);
  const doneOn = ({ lines }: typeof plain) =>
    lines.map(({ segments }) => segments.filter(({ method }) => method !== 'leave'));
  expect(doneOn(noted)).toEqual(doneOn(plain));
});
