import type { Entry, Point } from '../job/schema.js';
import type { EntryDraft } from '../logline/context.js';
import { parseLogLine, type LogContext } from '../logline/parse.js';
import { narrate } from '../narration/narrate.js';

export interface Understood {
  readonly entry: EntryDraft | undefined;
  readonly point?: Point | null | undefined;
}

/** What one sentence proposes. */
export const spoken = (line: string): readonly Understood[] => narrate([{ start_s: 0, text: line }]).items;

/** One entry in short, with its kind and what tells it from another. */
export function short({ entry, point }: Understood): Record<string, unknown> {
  const { kind, reading_ft, to_ft, clock, percent, inches, upstream, downstream, finding } = (entry ??
    {}) as Record<string, unknown> & { upstream?: { material: string }; downstream?: { material: string } };
  const said = {
    ...{ is: finding ?? (kind === 'point' ? point?.kind : kind), at: reading_ft, to: to_ft, percent, inches },
    ...{ clock: clock ?? (point as { clock?: unknown } | null)?.clock },
    degrees: (point as { degrees?: number } | null)?.degrees,
    diameter: point?.kind === 'tie-in' ? point.diameter_in : undefined,
    depth: entry?.kind === 'locate' ? entry.depth_ft : undefined,
    ...{ near: upstream?.material, far: downstream?.material },
  };
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
}

/** Sentences as cues, four seconds apart. */
export const cues = (texts: readonly string[]) => texts.map((text, i) => ({ start_s: 4 * i, text }));

/** What a talk proposes. */
export const talked = (...texts: string[]) => narrate(cues(texts)).items;

/** A line from a front cleanout to the city main, nothing read yet. */
export const toTheMain: Omit<LogContext, 'pass'> = {
  end: 'MAIN',
  access: 'CO1',
  points: [
    { id: 'CO1', kind: 'cleanout', name: 'front cleanout' },
    { id: 'MAIN', kind: 'main', name: 'city main' },
  ],
};

/** Lines typed one after another into a log: the entries that are written, and what was asked about. */
export function typedLog(
  lines: readonly string[],
  pass: LogContext['pass'],
): { entries: Entry[]; asked: string[] } {
  const entries: Entry[] = [];
  const asked: string[] = [];
  for (const line of lines)
    for (const { entry, replaces, errors } of parseLogLine(line, {
      pass,
      end: 'MAIN',
      points: [],
      entries,
    })) {
      asked.push(...errors.map(({ message }) => message));
      if (!entry) continue;
      const at = entries.findIndex(({ id }) => id === replaces);
      if (at < 0) entries.push({ ...entry, id: `e${entries.length + 1}` });
      else entries[at] = { ...entry, id: `e${at + 1}` };
    }
  return { entries, asked };
}
