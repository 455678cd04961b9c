import type { Line, Pipe, Point } from '../job/schema.js';
import { partId } from '../logline/context.js';
import type { LogContext, LogPart } from '../logline/parse.js';
import { newPoint } from '../logline/points.js';
import { pointWords, sayEntry } from '../speech/say.js';
import { saySides } from '../logline/change.js';
import { nearPoint_ft } from '../logline/points.js';
import { missingFrom } from '../logline/questions.js';
import type { Narration } from './narrate.js';
import { accessId, mainId, type NarrationItem } from './talk.js';

/** Placeholder for the previous part, until all parts are in order. */
const partBefore = 'part before';

/**
 * The parts in the order they are written, those without a reading tied to what comes before them: an earlier part that
 * has a place, else the run's last entry. Where there is neither, the head's last reading.
 */
export function inOrder(parts: readonly LogPart[], context: LogContext): LogPart[] {
  const own = context.entries?.slice(context.otherRuns ?? 0) ?? [];
  const last = own.findLast((entry) => entry.kind !== 'note')?.id;
  return parts.map((part, index) => {
    if (part.entry?.after !== partBefore) return part;
    const before = parts
      .slice(0, index)
      .findLastIndex(({ entry }) => entry !== undefined && entry.kind !== 'note');
    const after = before >= 0 ? partId(before) : last;
    const { after: _after, reading_ft, ...entry } = part.entry;
    return {
      ...part,
      entry: { ...entry, ...(after === undefined ? { reading_ft } : { after }) },
    };
  });
}

/** How the narration's times relate to the video, and which clip it is. */
export interface NarrationStamp {
  /** Added to every time of the narration, s. */
  readonly shift_s?: number;
  readonly clip?: string | undefined;
}

/**
 * Items of a narration as parts of a log line on this run: its main and access point are the line's own, its points
 * those of the line at the same place, or new ones. Each keeps its sentence as the note and its time in the video.
 * `inOrder` ties those without a reading.
 */
export function narrationParts(
  items: readonly NarrationItem[],
  context: LogContext,
  stamp: NarrationStamp = {},
): LogPart[] {
  const points = [...context.points];
  const own = new Map<string, Point>();
  return items.map((item) => {
    const met =
      item.entry.kind === 'point' ? pointFor(item, item.entry.point, points, own, context) : undefined;
    const rest = item.entry;
    const placed = item.noReading ? { after: partBefore } : {};
    const entry = {
      ...rest,
      ...placed,
      ...(met ? { point: met.id } : {}),
      note: [rest.note, item.sentence].filter(Boolean).join('; '),
      ...(item.video_s === null ? {} : { video_s: Math.max(0, item.video_s + (stamp.shift_s ?? 0)) }),
      ...(item.video_s === null || stamp.clip === undefined ? {} : { clip: stamp.clip }),
    } as LogPart['entry'] & object;
    return {
      entry,
      point: met?.point,
      sentence: sayItem(item, met?.point ?? points.find(({ id }) => id === met?.id)),
      missing: missingFrom(entry),
      doubts: [],
      errors: [],
      passed: [],
      choices: [],
    };
  });
}

const pipeFields = ['material', 'diameter_in', 'piece_ft', 'lined'] as const satisfies (keyof Pipe)[];

/**
 * The line's pipe with what the talk named all along: none where it named no single pipe, or the line is known to be of
 * it. What was not said is kept; how long a piece is, only of the same material.
 */
export function pipeToSet({ pipe }: Narration, line: Pick<Line, 'pipe'>): Pipe | undefined {
  if (pipe?.entry.kind !== 'change') return undefined;
  const said = pipe.entry.downstream ?? pipe.entry.upstream ?? {};
  const { piece_ft, ...kept } = line.pipe ?? {};
  const same = said.material === line.pipe?.material;
  const set = { ...kept, ...(same && piece_ft !== undefined ? { piece_ft } : {}), ...said };
  return pipeFields.some((field) => set[field] !== line.pipe?.[field]) ? set : undefined;
}

/** The description of an item, without its note. */
export function sayItem(
  { entry, point }: NarrationItem,
  known: Point | undefined = point ?? undefined,
): string {
  const { note: _, ...bare } = entry;
  const name = (id: string) =>
    id === mainId ? 'Main' : id === accessId ? 'The access' : pointWords(id, known ?? point ?? undefined);
  const sides = saySides(entry);
  const says = sayEntry({ ...bare, id: 'new' }, name, () => 'what was said before it');
  return sides ? `${says}: ${sides}` : says;
}

/** The end of the line with how it is joined to the main, where that was said. */
function joinedTo(said: Point | null, { points, end }: LogContext): Point | undefined {
  const main = points.find(({ id }) => id === end);
  if (!main || said?.connection === undefined) return undefined;
  const { reading_ft: _, ...known } = main;
  return { ...known, connection: said.connection };
}

/** The point of the line that an item reads; a new one where there is none. */
function pointFor(
  { entry, point }: NarrationItem,
  id: string,
  points: LogContext['points'][number][],
  own: Map<string, Point>,
  context: LogContext,
): { id: string; point: Point | undefined } {
  if (id === mainId) return { id: context.end, point: joinedTo(point, context) };
  if (id === accessId && context.access !== undefined) return { id: context.access, point: undefined };
  const before = own.get(id);
  if (before) return { id: before.id, point: undefined };
  const kind = point?.kind ?? 'other';
  const taken = new Set([...own.values()].map((each) => each.id));
  const near = points.find(
    (each) =>
      each.kind === kind &&
      !taken.has(each.id) &&
      each.reading_ft !== undefined &&
      entry.reading_ft !== undefined &&
      Math.abs(each.reading_ft - entry.reading_ft) <= nearPoint_ft,
  );
  const { reading_ft: _, ...known } = near ?? { reading_ft: undefined };
  const { id: _id, name, ...about } = point ?? { id, kind };
  const found: Point = near
    ? ({ ...known, ...about } as Point)
    : {
        ...newPoint(kind, { points }),
        ...about,
        ...(name !== undefined && !/ \d+$/.test(name) ? { name } : {}),
      };
  own.set(id, found);
  if (!near) points.push(found);
  return { id: found.id, point: found };
}
