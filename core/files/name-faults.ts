import type { Fault } from '../job/faults.js';
import type { Entry, Job, Line, Point } from '../job/schema.js';

/** Duplicate ids, and references to ids that do not exist. */
export function nameFaults(job: Job): Fault[] {
  return [
    ...twice(
      job.lines.map(({ id }, i) => ({ id, path: `lines[${i}].id` })),
      'line',
    ),
    ...job.lines.flatMap((line, index) => lineNameFaults(line, `lines[${index}]`, job)),
  ];
}

interface Named {
  readonly id: string;
  readonly path: string;
}
type Known = { has(id: string): boolean };

function twice(all: readonly Named[], what: string): Fault[] {
  const known = new Set<string>();
  return all.flatMap(({ id, path }) => {
    const clash = known.has(id);
    known.add(id);
    return clash ? [{ path, message: `two of one id: ${what} "${id}" is there already` }] : [];
  });
}

const unknown = (what: string, id: string | undefined, path: string, known: Known): Fault[] =>
  id === undefined || known.has(id) ? [] : [{ path, message: `unknown ${what} "${id}"` }];

/** What an id on a line may refer to. */
interface Names {
  readonly points: Known;
  readonly clips: Known;
  readonly marks: Known;
  /** Entries in the order they were made. */
  readonly order: ReadonlyMap<string, number>;
  readonly things: Known;
}

interface PathedEntry {
  readonly entry: Entry;
  readonly path: string;
}

function lineNameFaults(line: Line, at: string, job: Job): Fault[] {
  const entries = line.runs.flatMap((run, r) =>
    run.entries.map((entry, e): PathedEntry => ({ entry, path: `${at}.runs[${r}].entries[${e}]` })),
  );
  const points = new Set(line.points.map(({ id }) => id));
  const order = new Map(entries.map(({ entry }, i) => [entry.id, i]));
  const names: Names = {
    points,
    clips: new Set(line.runs.flatMap((run) => (run.video ?? []).map(({ id }) => id))),
    marks: new Set(line.marks?.map(({ id }) => id)),
    order,
    things: { has: (id) => points.has(id) || order.has(id) },
  };
  return [
    ...clashes(line, at, entries),
    ...unknown('point', line.datum, `${at}.datum`, points),
    ...unknown('point', line.end, `${at}.end`, points),
    ...(line.datum === line.end
      ? [{ path: `${at}.end`, message: 'the line ends at another point than its datum' }]
      : []),
    ...line.points.flatMap((point, i) => joinFaults(point, `${at}.points[${i}].onto`, job)),
    ...line.runs.flatMap((run, r) => unknown('point', run.access, `${at}.runs[${r}].access`, points)),
    ...entries.flatMap((each, position) => entryFaults(each, position, names)),
    ...stretchFaults(line, at, names),
    ...groundFaults(line, at, names),
  ];
}

function clashes(line: Line, at: string, entries: readonly PathedEntry[]): Fault[] {
  const named = (all: readonly { id: string }[] | undefined, field: string): Named[] =>
    (all ?? []).map(({ id }, i) => ({ id, path: `${at}.${field}[${i}].id` }));
  return [
    ...twice(
      [
        ...named(line.points, 'points'),
        ...named(line.runs, 'runs'),
        ...entries.map(({ entry, path }) => ({ id: entry.id, path: `${path}.id` })),
      ],
      'point, run or entry',
    ),
    ...twice(
      line.runs.flatMap((run, r) => named(run.video, `runs[${r}].video`)),
      'clip',
    ),
    ...twice(named(line.marks, 'marks'), 'mark'),
  ];
}

/** A line that joins another names it and a point on it. */
function joinFaults({ onto }: Point, path: string, job: Job): Fault[] {
  if (!onto) return [];
  const other = job.lines.find(({ id }) => id === onto.line);
  if (!other) return [{ path: `${path}.line`, message: `unknown line "${onto.line}"` }];
  return unknown('point', onto.point, `${path}.point`, new Set(other.points.map(({ id }) => id)));
}

function entryFaults({ entry, path }: PathedEntry, position: number, names: Names): Fault[] {
  const { order } = names;
  const later = entry.sameAs !== undefined && (order.get(entry.sameAs) ?? -1) >= position;
  return [
    ...(entry.kind === 'point' ? unknown('point', entry.point, `${path}.point`, names.points) : []),
    ...(entry.kind === 'locate' ? unknown('entry', entry.of, `${path}.of`, order) : []),
    ...unknown('entry', entry.after, `${path}.after`, order),
    ...unknown('entry', entry.before, `${path}.before`, order),
    ...unknown('clip', entry.clip, `${path}.clip`, names.clips),
    ...unknown('entry', entry.sameAs, `${path}.sameAs`, order),
    ...(later
      ? [
          {
            path: `${path}.sameAs`,
            message: `names an earlier entry, and "${entry.sameAs ?? ''}" comes later`,
          },
        ]
      : []),
  ];
}

function stretchFaults(line: Line, at: string, { things, order }: Names): Fault[] {
  const held = (['surfaces', 'owners', 'noDig', 'pins'] as const).flatMap((field) =>
    (line[field] ?? []).flatMap((stretch, i) =>
      (['from', 'to'] as const).flatMap((end) =>
        unknown('point or entry', stretch[end], `${at}.${field}[${i}].${end}`, things),
      ),
    ),
  );
  return [
    ...held,
    ...(line.alsoCure ?? []).flatMap((id, i) => unknown('entry', id, `${at}.alsoCure[${i}]`, order)),
  ];
}

function groundFaults(line: Line, at: string, { marks, things, points }: Names): Fault[] {
  const placeable: Known = { has: (id) => things.has(id) || marks.has(id) };
  return [
    ...(line.markDistances ?? []).flatMap(({ from, to }, i) => [
      ...unknown('mark', from, `${at}.markDistances[${i}].from`, marks),
      ...unknown('mark', to, `${at}.markDistances[${i}].to`, marks),
    ]),
    ...(line.places ?? []).flatMap(({ of, tapes }, i) => [
      ...unknown('point, entry or mark', of, `${at}.places[${i}].of`, placeable),
      ...tapes.flatMap(({ mark }, t) => unknown('mark', mark, `${at}.places[${i}].tapes[${t}].mark`, marks)),
    ]),
    ...(line.cleanings ?? []).flatMap((cleaning, i) =>
      unknown('point', cleaning.access, `${at}.cleanings[${i}].access`, points),
    ),
  ];
}
