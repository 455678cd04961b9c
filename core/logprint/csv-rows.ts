import type { Entry } from '../job/schema.js';
import { parseLogLine, type LogContext, type LogPart } from '../logline/parse.js';
import { printLogLine } from './print.js';

/** The columns of a log as a table, in order; `docs/log-line.md` describes them. */
export const logColumns = ['id', 'pass', 'reading_ft', 'to_ft', 'what', 'note'] as const;
export type LogRow = Readonly<Record<(typeof logColumns)[number], string>>;

/** An entry as a row: reading and pass in their own columns, the rest as a typed line in `what`. */
export function rowOf(entry: Entry): LogRow {
  const { id, pass, reading_ft, to_ft, note, ...rest } = entry;
  const bare = printLogLine({ ...rest, pass: 'back' }).replace(/ back(?= |$)/, '');
  return {
    id,
    pass: pass ?? 'back',
    reading_ft: reading_ft === undefined ? '' : String(reading_ft),
    to_ft: to_ft === undefined ? '' : String(to_ft),
    what: bare,
    note: note ?? '',
  };
}

/** A row as understood, or what is wrong with it. */
export interface ReadRow {
  readonly id?: string | undefined;
  readonly part: LogPart | undefined;
  readonly faults: readonly string[];
}

/** Reads a table; rows may refer to earlier ones by the ids in the file. */
export function readRows(rows: readonly Readonly<Record<string, string>>[], context: LogContext): ReadRow[] {
  const entries = [...(context.entries ?? [])];
  return rows.map((row) => {
    const read = readRow(row, { ...context, entries });
    const id = row.id?.trim();
    if (read.part?.entry && id) entries.push({ ...read.part.entry, id });
    return { ...read, id };
  });
}

/** A spreadsheet would take a cell starting like this for a formula; it is written with a leading apostrophe. */
const unescaped = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

/** Reads one row of a table; unknown columns are faults, missing ones are empty. */
function readRow(raw: Readonly<Record<string, string>>, context: LogContext): ReadRow {
  const row = Object.fromEntries(Object.entries(raw).map(([column, text]) => [column, unescaped(text)]));
  const unknown = Object.keys(row).filter((column) => !(logColumns as readonly string[]).includes(column));
  const faults = unknown.map(
    (column) => `unknown column “${column}”: the columns are ${logColumns.join(', ')}`,
  );
  const cell = (column: (typeof logColumns)[number]) => row[column]?.trim() ?? '';
  for (const column of ['reading_ft', 'to_ft'] as const) {
    const text = cell(column);
    if (text !== '' && !(Number(text) >= 0)) faults.push(`${column}: “${text}” is no number of feet`);
  }
  if (!['', 'out', 'back'].includes(cell('pass')))
    faults.push(`pass: “${cell('pass')}” is neither out nor back`);
  if (faults.length > 0) return { part: undefined, faults };
  const place = [cell('reading_ft'), cell('to_ft')].filter(Boolean).join(' to ');
  const note = row.note === undefined || row.note === '' ? '' : `"${row.note.replaceAll('"', '""')}"`;
  const parts = parseLogLine([place, cell('what'), note].filter(Boolean).join(' '), {
    ...context,
    pass: cell('pass') === 'out' ? 'out' : 'back',
    waterClock: undefined,
    pipesRun: 'downstream',
  });
  const [part] = parts;
  if (!part || parts.length > 1) {
    return { part: undefined, faults: [part ? 'one thing a row: this is several' : 'an empty row'] };
  }
  return part.entry && part.errors.length === 0
    ? { part, faults: [] }
    : { part: undefined, faults: part.errors.map(({ message }) => message) };
}
