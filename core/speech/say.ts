import { capital } from '../capital.js';
import { sayPoint } from '../job/point-words.js';
import type { Entry, FindingEntry, Line, Pipe, Point } from '../job/schema.js';
import { plain } from '../figure.js';
import { materialWords } from '../catalog/materials.js';
import { kindOf } from '../findings/kinds.js';

const eighths: Record<string, string> = {
  '0.125': '⅛',
  '0.25': '¼',
  '0.375': '⅜',
  '0.5': '½',
  '0.625': '⅝',
  '0.75': '¾',
  '0.875': '⅞',
};

/** Inches for display: ¾, 1 ½, 2.2. */
export function sayInches(inches: number): string {
  const whole = Math.floor(inches);
  const part = eighths[String(Math.round((inches - whole) * 1000) / 1000)];
  if (part === undefined) return plain(inches);
  return whole === 0 ? part : `${whole} ${part}`;
}

export function sayClock(clock: number | readonly [number, number]): string {
  const one = (at: number) => {
    const minutes = Math.round((at % 1) * 60);
    return minutes === 0 ? String(Math.round(at)) : `${Math.floor(at)}:${String(minutes).padStart(2, '0')}`;
  };
  return typeof clock === 'number'
    ? `at ${one(clock)} o’clock`
    : `${one(clock[0])} to ${one(clock[1])} o’clock`;
}

const sayRange = (value: number | readonly [number, number], say: (one: number) => string) =>
  typeof value === 'number' ? say(value) : `${say(value[0])} to ${say(value[1])}`;

export const sayPipe = (pipe: Pipe | undefined): string =>
  [
    pipe?.diameter_in === undefined ? '' : `${plain(pipe.diameter_in)} in`,
    pipe?.lined ? 'lined' : '',
    pipe?.material ? materialWords(pipe.material) : 'pipe',
  ]
    .filter(Boolean)
    .join(' ');

/** An entry without its place: "Roots, 15 % of the diameter, 11 to 2 o’clock, at a joint". */
export function sayWhat(entry: Exclude<Entry, { kind: 'point' }>): string;
export function sayWhat(entry: Entry, pointName: (id: string) => string): string;
export function sayWhat(entry: Entry, pointName: (id: string) => string = () => 'Point'): string {
  switch (entry.kind) {
    case 'point':
      return pointName(entry.point);
    case 'change':
      return entry.upstream?.material || entry.upstream?.diameter_in
        ? `${capital(sayPipe(entry.upstream))}, then ${sayPipe(entry.downstream)}`
        : `${capital(sayPipe(entry.downstream))} from here`;
    case 'finding':
      return sayFinding(entry);
    case 'hidden':
      return ['Not seen', entry.why].filter(Boolean).join(', ');
    case 'locate':
      return ['Located', entry.depth_ft === undefined ? '' : `${plain(entry.depth_ft)} ft deep`, entry.mark]
        .filter(Boolean)
        .join(', ');
    case 'test':
      return [
        `${capital(entry.what)}${entry.of ? ` from ${entry.of}` : ''}`,
        entry.arrives === undefined ? '' : entry.arrives ? 'arrives' : 'does not arrive',
        entry.runsAway === undefined ? '' : entry.runsAway ? 'runs away' : 'does not run away',
      ]
        .filter(Boolean)
        .join(', ');
    case 'joint':
      return 'Joint';
    case 'note':
      return 'Note';
    case 'stop':
      return ['Stopped', entry.why].filter(Boolean).join(': ');
  }
}

function sayFinding(entry: FindingEntry): string {
  const percent = 'percent' in entry ? entry.percent : undefined;
  const inches = 'inches' in entry ? entry.inches : undefined;
  const form = 'form' in entry ? entry.form : undefined;
  const of = 'of' in entry ? entry.of : undefined;
  const cause = 'cause' in entry ? entry.cause : undefined;
  const kind = kindOf(entry.finding);
  const name = (form && kind.formNames?.[form]) ?? `${kind.name}${of ? ` of ${of}` : ''}`;
  return [
    entry.possible ? `Possible ${name.charAt(0).toLowerCase()}${name.slice(1)}` : name,
    'shifting' in entry && entry.shifting ? 'the pipe has begun to shift' : '',
    percent === undefined ? '' : `${sayRange(percent, (one) => plain(one))} % of the diameter`,
    inches === undefined ? '' : `${sayRange(inches, sayInches)} in`,
    entry.size ?? '',
    cause !== undefined && kind.heldBy?.includes(cause) ? `held by a ${cause}` : '',
    entry.clock === undefined ? '' : sayClock(entry.clock),
    entry.atJoint ? 'at a joint' : '',
    entry.eachJoint ? 'at each joint' : '',
    entry.touchesFlow ? 'in the flow' : '',
    entry.ofConnection ? 'on the main’s side of the connection' : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** Which way a bend turns: "to the left", "toward 10 o’clock". */
function sayTurn(clock: number | readonly [number, number]): string {
  const side =
    typeof clock === 'number'
      ? { 9: 'to the left', 3: 'to the right', 12: 'up', 6: 'down' }[clock]
      : undefined;
  return side ?? sayClock(clock).replace(/^at /, 'toward ');
}

/** A point by name, with what tells it apart: "bend 1, 45°, to the left", "branch connection 2, wye, 3 in". */
export const pointWords = (name: string, point: Point | undefined): string =>
  [
    point?.name ?? name.replaceAll('-', ' '),
    point?.degrees === undefined ? '' : `${plain(point.degrees)}°`,
    point?.connection !== undefined && point.connection !== point.name?.toLowerCase() ? point.connection : '',
    point?.diameter_in === undefined ? '' : `${plain(point.diameter_in)} in`,
    point?.clock === undefined ? '' : point.kind === 'bend' ? sayTurn(point.clock) : sayClock(point.clock),
    point?.fall_ft === undefined ? '' : `falls ${plain(point.fall_ft)} ft`,
    point?.state === undefined || point.state === 'ok' ? '' : point.state.replace('-', ' '),
  ]
    .filter(Boolean)
    .join(', ');

/** The full sentence of a preview, with the reading as called. */
export function sayEntry(
  entry: Entry,
  pointName: (id: string) => string,
  entryName: (id: string) => string,
): string {
  const about = entry.about ? 'about ' : '';
  const reading =
    entry.reading_ft === undefined
      ? sayRelation(entry, entryName)
      : entry.to_ft === undefined
        ? `at ${about}${plain(entry.reading_ft)} on the counter`
        : `from ${about}${plain(entry.reading_ft)} to ${plain(entry.to_ft)} on the counter`;
  const note = entry.note ? `, “${entry.note}”` : '';
  return capital([sayWhat(entry, pointName), reading].filter(Boolean).join(', ')) + note;
}

/** A place given relative to other things: "3 ft past the change", "between the change and the main". */
function sayRelation({ after, before, plus_ft }: Entry, entryName: (id: string) => string): string {
  if (after === undefined) return '';
  if (before !== undefined) return `between ${entryName(after)} and ${entryName(before)}`;
  return plus_ft === undefined
    ? `after ${entryName(after)}, no reading`
    : `${plain(plus_ft)} ft past ${entryName(after)}`;
}

/** Names of a line's points and entries, for sentences about them: a name for a heading, and one within a sentence. */
export const namesOn = (line: Pick<Line, 'points' | 'runs'> | undefined) => ({
  pointName: (id: string): string => {
    const point = line?.points.find((each) => each.id === id);
    return point ? capital(sayPoint(point)) : 'A point no longer on the line';
  },
  entryName: (id: string): string => (line ? sayThing(line, id) : gone),
});
const gone = 'something no longer in the log';

/** A thing of a line in a sentence, by the id of its point or entry: "the main", "roots, 20 % of the diameter". */
export function sayThing({ points, runs }: Pick<Line, 'points' | 'runs'>, id: string): string {
  const nameOf = (of: string) => {
    const point = points.find((each) => each.id === of);
    if (!point) return gone;
    const words = sayPoint(point);
    // "Bend 1" is a name.
    return /\d$/.test(words) ? words : `the ${words}`;
  };
  const entry = runs.flatMap(({ entries }) => entries).find((each) => each.id === id);
  if (!entry) return nameOf(id);
  const says = sayWhat(entry, nameOf);
  return says.charAt(0).toLowerCase() + says.slice(1);
}
