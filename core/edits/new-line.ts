import type { Day } from '../days.js';
import { freeId } from '../job/free-id.js';
import type { Job, Line, LineHead, Run } from '../job/schema.js';
import { lineHead } from './heads.js';
import type { Edit } from './index.js';

/** What the user enters for a new line of a job. */
export interface NewLineSaid {
  /** Its name, from which the id is made. */
  readonly name: string;
  /** The line it joins; undefined where it runs to the main on its own. */
  readonly joins: Line | undefined;
  /** Where it joins, ft from that line's zero; undefined until the camera finds it. */
  readonly at_ft?: number | undefined;
  /** Date of its first run. */
  readonly on: Day;
}

/** Default ± of a taped or paced branch connection until the camera has seen it, ft. */
const saidPlusMinus_ft = 3;

/**
 * The edits that add a line with its own zero and an empty first run, plus the branch connection where it joins another
 * line.
 */
export function newLineEdits(
  { lines }: Job,
  { name, joins, at_ft, on }: NewLineSaid,
): { id: string; edits: Edit[] } {
  const called = name.trim();
  const id = freeLineId(called, lines);
  const tie = freeId(joins?.points.map((point) => point.id) ?? [], 'T');
  const branch = {
    id: tie,
    kind: 'tie-in' as const,
    name: `${called || id} joins`,
    ...(at_ft === undefined ? {} : { station_ft: at_ft, plusMinus_ft: saidPlusMinus_ft }),
  };
  const end = joins
    ? {
        id: 'JOIN',
        kind: 'tie-in' as const,
        name: `joins ${joins.name ?? joins.id}`,
        onto: { line: joins.id, point: tie },
      }
    : { id: 'MAIN', kind: 'main' as const, name: 'main' };
  const head: LineHead = {
    id,
    name: called || id,
    datum: 'CO1',
    end: end.id,
    points: [{ id: 'CO1', kind: 'cleanout', name: 'cleanout 1' }, end],
  };
  const run: Omit<Run, 'entries'> = { id: 'R1', access: 'CO1', direction: 'downstream', zero: 'cap', on };
  const joined: Edit[] = joins
    ? [{ kind: 'line', line: joins.id, set: { ...lineHead(joins), points: [...joins.points, branch] } }]
    : [];
  return {
    id,
    edits: [...joined, { kind: 'line', line: id, set: head }, { kind: 'run', line: id, run: 'R1', set: run }],
  };
}

/** A plain-letter id made from a name and unique among the lines: the second of a name gets number 2. */
function freeLineId(name: string, lines: readonly Line[]): string {
  const taken = lines.map(({ id }) => id);
  const base =
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'line';
  return taken.includes(base) ? freeId([...taken, `${base}-1`], `${base}-`) : base;
}
