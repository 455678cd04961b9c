import type { z } from 'zod';
import { defaultGradeTable } from '../condition/grade-table.js';
import { resolveStretch } from '../line/model.js';
import { lineModel } from '../line/model.js';
import { survey } from '../survey/survey.js';
import type { RulesOverride } from './rules-schema.js';
import { jobSchema, type Job, type Line } from './schema.js';

/** One thing wrong with a job file: where, and what would be right. */
export interface Fault {
  /** Path in the file, such as `lines[0].runs[1].entries[3].percent`. */
  readonly path: string;
  readonly message: string;
}

export type Read =
  | { readonly job: Job; readonly faults?: undefined }
  | { readonly job?: undefined; readonly faults: readonly Fault[] };

/** Reads a job from the text of its file: every fault with its path, or the job. */
export function readJobText(text: string): Read {
  const parsed = parseText(text);
  return 'faults' in parsed ? parsed : readJob(parsed.value);
}

/** The value of a JSON text, or the one fault that it is none. */
export function parseText(text: string): { readonly value: unknown } | { readonly faults: readonly Fault[] } {
  try {
    return { value: JSON.parse(text) };
  } catch (error) {
    return {
      faults: [{ path: '', message: `not JSON: ${error instanceof Error ? error.message : String(error)}` }],
    };
  }
}

/** Reads a job from a parsed file. `untied: 'keep'` lets runs stand that nothing ties to the datum yet. */
export function readJob(value: unknown, untied: 'refuse' | 'keep' = 'refuse'): Read {
  const parsed = jobSchema.safeParse(value);
  if (!parsed.success) return { faults: faultsOf(parsed.error, value) };
  const job = parsed.data;
  const named = [...ruleFaults(job.rules), ...nameFaults(job)];
  if (named.length > 0) return { faults: named };
  const placed = job.lines.flatMap((line, index) => placeFaults(line, `lines[${index}]`, untied));
  const frozen = job.accepted ? (readJob(job.accepted.job, untied).faults ?? []) : [];
  const faults = [
    ...placed,
    ...frozen.map(({ path, message }) => ({ path: `accepted.job.${path}`, message })),
  ];
  return faults.length > 0 ? { faults } : { job };
}

const pathOf = (path: readonly PropertyKey[]): string =>
  path
    .map((part) => (typeof part === 'number' ? `[${part}]` : `.${String(part)}`))
    .join('')
    .replace(/^\./, '');

/** Zod's issues as faults in our own words: unknown fields one by one, unions by the branch that came closest. */
export function faultsOf(error: z.ZodError, value?: unknown): Fault[] {
  return error.issues.flatMap((issue) => issueFaults(issue, [], value));
}

function issueFaults(issue: z.core.$ZodIssue, above: readonly PropertyKey[], root: unknown): Fault[] {
  const path = [...above, ...issue.path];
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({ path: pathOf([...path, key]), message: 'unknown field' }));
  }
  if (issue.code === 'invalid_union') {
    const given = valueAt(root, path);
    if (issue.errors.length === 0) {
      const key = issue.discriminator ?? 'kind';
      return [
        {
          path: pathOf(path),
          message: `\`${key}\` is none of those known here${describe(valueAt(root, [...path]))}`,
        },
      ];
    }
    const kinds = issue.errors.flat().map((inner) => inner.message);
    return [{ path: pathOf(path), message: `${[...new Set(kinds)].join('; or ')}${describe(given)}` }];
  }
  if (issue.code === 'invalid_type' && valueAt(root, path) === undefined) {
    return [{ path: pathOf(path), message: `missing: ${issue.expected} expected` }];
  }
  return [{ path: pathOf(path), message: `${issue.message}${describe(valueAt(root, path))}` }];
}

function describe(given: unknown): string {
  return typeof given === 'string' || typeof given === 'number' || typeof given === 'boolean'
    ? ` (given: ${JSON.stringify(given)})`
    : '';
}

function valueAt(root: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    root,
  );
}

/** What is wrong with house rules that their schema alone cannot say. */
export function ruleFaults(rules: RulesOverride | undefined): Fault[] {
  return Object.entries(rules?.findings ?? {}).flatMap(([finding, own]) => {
    const bounds = finding === 'main-backed-up' ? undefined : defaultGradeTable[finding as 'roots'].bounds;
    const path = `rules.findings.${finding}.bounds`;
    if (!own.bounds) return [];
    if (bounds?.length !== own.bounds.length) {
      return [
        { path, message: bounds ? `give ${bounds.length} bounds` : `${finding} is not graded by bounds` },
      ];
    }
    const rising = own.bounds.every((bound, i) => i === 0 || bound > (own.bounds?.[i - 1] ?? 0));
    return rising ? [] : [{ path, message: 'bounds rise from the first to the last' }];
  });
}

/** Ids that clash, and names of things that are not there. */
function nameFaults(job: Job): Fault[] {
  const lineIds = job.lines.map(({ id }) => id);
  return [
    ...twice(
      lineIds.map((id, i) => ({ id, path: `lines[${i}].id` })),
      'line',
    ),
    ...job.lines.flatMap((line, index) => lineNameFaults(line, `lines[${index}]`, job)),
  ];
}

function twice(all: readonly { id: string; path: string }[], what: string): Fault[] {
  const known = new Set<string>();
  return all.flatMap(({ id, path }) => {
    const clash = known.has(id);
    known.add(id);
    return clash ? [{ path, message: `two of one id: ${what} "${id}" is there already` }] : [];
  });
}

function lineNameFaults(line: Line, at: string, job: Job): Fault[] {
  const faults: Fault[] = [];
  const points = new Set(line.points.map(({ id }) => id));
  const clips = new Set(line.runs.flatMap((run) => (run.video ?? []).map(({ id }) => id)));
  const entries = line.runs.flatMap((run, r) =>
    run.entries.map((entry, e) => ({ entry, path: `${at}.runs[${r}].entries[${e}]` })),
  );
  const order = new Map(entries.map(({ entry }, i) => [entry.id, i]));
  const unknown = (
    what: string,
    id: string | undefined,
    path: string,
    known: { has(id: string): boolean },
  ) => {
    if (id !== undefined && !known.has(id)) faults.push({ path, message: `unknown ${what} "${id}"` });
  };
  faults.push(
    ...twice(
      [
        ...line.points.map(({ id }, i) => ({ id, path: `${at}.points[${i}].id` })),
        ...line.runs.map(({ id }, i) => ({ id, path: `${at}.runs[${i}].id` })),
        ...entries.map(({ entry, path }) => ({ id: entry.id, path: `${path}.id` })),
      ],
      'point, run or entry',
    ),
    ...twice(
      line.runs.flatMap((run, r) =>
        (run.video ?? []).map(({ id }, v) => ({ id, path: `${at}.runs[${r}].video[${v}].id` })),
      ),
      'clip',
    ),
    ...twice(
      (line.marks ?? []).map(({ id }, i) => ({ id, path: `${at}.marks[${i}].id` })),
      'mark',
    ),
  );
  unknown('point', line.datum, `${at}.datum`, points);
  unknown('point', line.end, `${at}.end`, points);
  if (line.datum === line.end)
    faults.push({ path: `${at}.end`, message: 'the line ends at another point than its datum' });
  line.points.forEach((point, i) => {
    if (!point.onto) return;
    const other = job.lines.find(({ id }) => id === point.onto?.line);
    if (!other)
      faults.push({ path: `${at}.points[${i}].onto.line`, message: `unknown line "${point.onto.line}"` });
    else
      unknown(
        'point',
        point.onto.point,
        `${at}.points[${i}].onto.point`,
        new Set(other.points.map(({ id }) => id)),
      );
  });
  line.runs.forEach((run, r) => {
    unknown('point', run.access, `${at}.runs[${r}].access`, points);
  });
  entries.forEach(({ entry, path }, position) => {
    if (entry.kind === 'point') unknown('point', entry.point, `${path}.point`, points);
    if (entry.kind === 'locate') unknown('entry', entry.of, `${path}.of`, order);
    unknown('entry', entry.after, `${path}.after`, order);
    unknown('entry', entry.before, `${path}.before`, order);
    unknown('clip', entry.clip, `${path}.clip`, clips);
    unknown('entry', entry.sameAs, `${path}.sameAs`, order);
    if (entry.sameAs !== undefined && (order.get(entry.sameAs) ?? -1) >= position) {
      faults.push({
        path: `${path}.sameAs`,
        message: `names an earlier entry, and "${entry.sameAs}" comes later`,
      });
    }
  });
  const things = { has: (id: string) => points.has(id) || order.has(id) };
  for (const field of ['surfaces', 'owners', 'noDig', 'pins'] as const) {
    line[field]?.forEach((stretch, i) => {
      unknown('point or entry', stretch.from, `${at}.${field}[${i}].from`, things);
      unknown('point or entry', stretch.to, `${at}.${field}[${i}].to`, things);
    });
  }
  line.alsoCure?.forEach((id, i) => {
    unknown('entry', id, `${at}.alsoCure[${i}]`, order);
  });
  const marks = new Set(line.marks?.map(({ id }) => id));
  line.markDistances?.forEach(({ from, to }, i) => {
    unknown('mark', from, `${at}.markDistances[${i}].from`, marks);
    unknown('mark', to, `${at}.markDistances[${i}].to`, marks);
  });
  line.places?.forEach(({ of, tapes }, i) => {
    unknown('point, entry or mark', of, `${at}.places[${i}].of`, {
      has: (id) => things.has(id) || marks.has(id),
    });
    tapes.forEach(({ mark }, t) => {
      unknown('mark', mark, `${at}.places[${i}].tapes[${t}].mark`, marks);
    });
  });
  line.cleanings?.forEach((cleaning, i) => {
    unknown('point', cleaning.access, `${at}.cleanings[${i}].access`, points);
  });
  return faults;
}

/** Faults that need stations: runs not tied, stretches backwards or beyond the line. */
function placeFaults(line: Line, at: string, untied: 'refuse' | 'keep'): Fault[] {
  const faults: Fault[] = [];
  if (untied === 'refuse') {
    for (const frame of ['scope', 'earlier', 'after-repair'] as const) {
      for (const { run, wouldTie } of survey(line, frame).untied) {
        faults.push({ path: `${at}.runs[${line.runs.indexOf(run)}]`, message: `run-not-tied: ${wouldTie}` });
      }
    }
    if (faults.length > 0) return faults;
  }
  const model = lineModel(line);
  const slack = 1 + (model.survey.point(line.end)?.plusMinus_ft ?? 0);
  const stretches = [
    ...(['surfaces', 'owners', 'noDig', 'pins'] as const).flatMap((field) =>
      (line[field] ?? []).map((stretch, i) => ({ stretch, path: `${at}.${field}[${i}]` })),
    ),
    ...(line.cleanings ?? []).map((stretch, i) => ({ stretch, path: `${at}.cleanings[${i}]` })),
  ];
  for (const { stretch, path } of stretches) {
    const { from_ft, to_ft } = resolveStretch(stretch, model.survey, line.end);
    if (Number.isNaN(from_ft) || Number.isNaN(to_ft)) {
      if (untied === 'refuse') faults.push({ path, message: 'held by a thing that has no station yet' });
      continue;
    }
    if (from_ft > to_ft + 1e-9) {
      faults.push({
        path,
        message: `stations run backwards: from ${from_ft.toFixed(2)} to ${to_ft.toFixed(2)} ft`,
      });
    }
    if (model.endReached && (to_ft > model.extent.to_ft + slack || from_ft < model.extent.from_ft - slack)) {
      faults.push({
        path,
        message: `beyond the line, which runs from ${model.extent.from_ft.toFixed(2)} to ${model.extent.to_ft.toFixed(2)} ft: ${from_ft.toFixed(2)} to ${to_ft.toFixed(2)} ft`,
      });
    }
  }
  return faults;
}
