import fc from 'fast-check';
import { readJob } from '../files/read.js';
import { fieldJobs } from '../test/forty-jobs.js';
import { randomJob } from '../test/random-job.js';
import { spokenJob } from '../test/spoken-job.js';
import { readyJob } from '../solve/ready.js';
import { scopeOf } from '../scope/scope.js';
import { jobView } from './job-view.js';

/** The same job with ids that no word contains: of entries, points and lines. */
function withOddIds(job: object): unknown {
  const ids = new Map<string, string>();
  const collect = (value: unknown): void => {
    if (Array.isArray(value)) value.forEach(collect);
    else if (typeof value === 'object' && value !== null) {
      const { id } = value as { id?: unknown };
      // A run without a name is called by its number.
      if (typeof id === 'string' && !/^R\d/.test(id) && !ids.has(id)) ids.set(id, `zq${ids.size}x`);
      Object.values(value).forEach(collect);
    }
  };
  collect(job);
  return JSON.parse(
    JSON.stringify(job, (key, value: unknown) =>
      typeof value === 'string' && !['kind', 'finding', 'text', 'note', 'name'].includes(key)
        ? (ids.get(value) ?? value)
        : value,
    ),
  );
}

const sentence = /\s/;
/** Every text of several words that a view holds, with the path to it. */
function sentencesIn(value: unknown, path = ''): string[] {
  if (typeof value === 'string') return sentence.test(value) ? [`${path}: ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => sentencesIn(each, `${path}.${key}`));
}

// calculations §14, common practice: nobody says an id. What a person reads names things by their words.
const holdsNoId = (job: object, title: string) => {
  const read = readJob(withOddIds(job));
  if (!read.job) throw new Error(`${title}: ${JSON.stringify(read.faults)}`);
  const ready = readyJob(read.job);
  const said = [...sentencesIn(scopeOf(ready).warnings), ...sentencesIn(jobView(read.job))];
  expect(said.length).toBeGreaterThan(0);
  expect([
    title,
    said.filter((text) => /zq\d+x/.test(text.slice(text.indexOf(': '))) && !/\.key: /.test(text)),
  ]).toEqual([title, []]);
};

test('no sentence of a view holds an id', () => {
  for (const { title, log, more } of fieldJobs) holdsNoId(spokenJob(title, log, more), title);
  // What is warned of: the head in the riser, a thing without a reading, readings apart, tapes that miss each other.
  const warned = spokenJob(
    'Warnings',
    ['0.5 joint', '80 main', '41 roots 20%', '44.5 roots same as the roots', '60 crack', 'then joint'],
    {
      points: [
        { id: 'CO1', kind: 'cleanout', riser_ft: 1.8 },
        { id: 'MAIN', kind: 'main' },
      ],
      marks: [
        { id: 'corner', name: 'corner of the house' },
        { id: 'gate', name: 'gate post' },
      ],
      markDistances: [{ from: 'corner', to: 'gate', distance_ft: 20 }],
      places: [
        {
          of: 'MAIN',
          side: 'left',
          tapes: [
            { mark: 'corner', distance_ft: 5 },
            { mark: 'gate', distance_ft: 5 },
          ],
        },
      ],
    },
  );
  for (const run of warned.lines[0]?.runs ?? []) run.zero = 'cap';
  holdsNoId(warned, 'Warnings');
  const rules = scopeOf(readyJob(warned)).warnings.map(({ rule }) => rule);
  expect(rules).toEqual(expect.arrayContaining(['in-riser', 'read-from-video', 'tapes-miss']));
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 100_000 }), (seed) => {
      holdsNoId(randomJob(seed, { length_ft: [20, 45], findings: 7, lines: 2 }), `seed ${seed}`);
    }),
    { numRuns: 15 },
  );
});
