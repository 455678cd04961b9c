import type { Method } from '../../job/vocabulary.js';
import type { Track } from '../../track/track.js';
import { actionsOf, type BookAction } from './actions.js';
import { carriedBy, closing, creditFor, insertable } from './carried.js';
import { dutiesOf, isOldPipe } from './duties.js';
import {
  bookCell,
  digEnd,
  dug,
  endCost,
  isClosed,
  meets,
  pitAt,
  type BookLine,
  type Width,
} from './ground.js';
import { linearProgramme, type Programme } from './linear-programme.js';

/** A pin, by the methods it allows on every cell it overlaps. */
export interface BookPin {
  readonly from_ft: number;
  readonly to_ft: number;
  readonly methods: readonly Method[];
  readonly split?: boolean | undefined;
}

/** The switch that a method is set up for; a hyphen would be a minus. */
const setting = (method: Method) => `M_${method.replace('-', '')}`;
const setUp: readonly Method[] = ['clean', 'spot', 'line', 'short-line', 'open-cut', 'burst', 'regrade'];

/**
 * The scope of a job as an integer programme in LP format: a unit of flow along the boundaries of each line, holes as open
 * or closed over each piece between boundaries, pits and permits as events, mobilisation and root joints as switches.
 */
export function integerProgramme(tracks: readonly Track[], pins: readonly (readonly BookPin[])[]): string {
  const programme = linearProgramme();
  const [first] = tracks;
  if (!first) throw new Error('no lines');
  const factor = (1 + first.prices.markup) * (1 + first.prices.tax);
  for (const method of setUp) {
    programme.use(setting(method), (first.prices.mobilisation[method as 'spot'] ?? 0) * factor);
  }
  tracks.forEach((track, i) => {
    lineOf(programme, bookOf(track), pins[i] ?? [], `l${i}_`, factor);
  });
  return programme.text();
}

/** Everything but what is taken from the product is worked out anew. */
export function bookOf({
  model,
  condition,
  rules,
  prices,
  school,
  breaks,
  plusMinus,
  boundaries,
}: Track): BookLine {
  const { findings } = condition;
  const ends = [...breaks];
  const base = {
    model,
    findings,
    rules,
    prices,
    school,
    breaks: ends,
    plusMinus: [...plusMinus],
    boundaries,
  };
  return { ...base, cells: ends.slice(1).map((b, i) => bookCell(ends[i] ?? b, b, base)) };
}

/** Names of everything that starts and ends at each boundary. */
interface Meeting {
  readonly out: string[];
  readonly into: string[];
  readonly gapsOut: string[];
  readonly gapsInto: string[];
  readonly digOut: string[];
  readonly digInto: string[];
  readonly burstOut: string[];
  readonly burstInto: string[];
  /** What wants a pit here. */
  readonly wants: string[];
  /** Digs that need a hole over the piece that follows. */
  readonly over: string[];
}

/** One line being written into the programme. */
interface Writing {
  readonly p: Programme;
  readonly line: BookLine;
  readonly pins: readonly BookPin[];
  readonly L: string;
  readonly factor: number;
  readonly last: number;
  readonly at: Meeting[];
  readonly permit: number;
}

function lineOf(p: Programme, line: BookLine, pins: readonly BookPin[], L: string, factor: number): void {
  const duties = dutiesOf(line);
  const actions = actionsOf(line, duties.cure);
  const carried = carriedBy(line, duties.cure, actions);
  const last = line.boundaries.length - 1;
  p.constant(carried.looks + carried.left.reduce((sum, each) => sum + each.sum, 0));
  if (last <= 0) return;
  const at = line.boundaries.map((): Meeting => ({
    out: [],
    into: [],
    gapsOut: [],
    gapsInto: [],
    digOut: [],
    digInto: [],
    burstOut: [],
    burstInto: [],
    wants: [],
    over: [],
  }));
  const permit = line.prices.permit_per_hole * factor;
  const writing: Writing = { p, line, pins, L, factor, last, at, permit };
  writeGaps(writing, duties, p.use(`${L}R`, carried.yearly));
  actions.forEach((action, k) => {
    writeAction(writing, action, k, action.cost * factor - creditFor(line, carried, action));
  });
  writeFlow(writing);
  writeHoles(writing);
  for (let b = 0; b <= last; b++) writeBoundary(writing, b);
}

const cellsBetween = ({ line }: Writing, b: number, to: number) =>
  line.cells.slice(line.boundaries[b], line.boundaries[to]);
const stationAt = ({ line }: Writing, b: number) => line.breaks[line.boundaries[b] ?? 0] ?? 0;

/** Pins allow a method on a cell. */
const pinned = ({ pins }: Writing, cell: { a: number; b: number }, method: Method) =>
  pins.every((pin) => !meets(pin, cell.a, cell.b) || pin.methods.includes(method));

function writeGaps(writing: Writing, { cure, clean }: ReturnType<typeof dutiesOf>, roots: string): void {
  const { p, line, L, factor, last, at } = writing;
  const { prices, school, rules } = line;
  const cutBack = line.findings
    .filter((each) =>
      cure.some(({ findings, methods }) => findings.includes(each) && methods.includes('clean')),
    )
    .map(({ place }) => line.cells.find((cell) => meets(place, cell.a, cell.b)));
  const judged = line.cells.map((cell) => {
    const free = (method: Method) =>
      pinned(writing, cell, method) &&
      cure.every((duty) => !meets(duty, cell.a, cell.b) || duty.methods.includes(method));
    return {
      leave: free('leave') && !clean.some((place) => meets(place, cell.a, cell.b)),
      clean: free('clean'),
      cost:
        (cell.b - cell.a) * prices.cleaning_per_ft +
        cutBack.filter((each) => each === cell).length * prices.cutBack_each,
      old: isOldPipe(cell.material) || cell.material === 'unknown',
      rooted: cell.findings.some(
        ({ placed, grade, possible }) => placed.entry.finding === 'roots' && grade >= 1 && !possible,
      ),
    };
  });
  for (let b = 0; b < last; b++) {
    for (let to = b + 1; to <= last; to++) {
      const inside = judged.slice(line.boundaries[b], line.boundaries[to]);
      const short =
        school === 'repair' &&
        b > 0 &&
        to < last &&
        inside.some(({ old }) => old) &&
        stationAt(writing, to) - stationAt(writing, b) < rules.leastGap_ft - 1e-9;
      if (short || inside.some((each) => !each.leave && !each.clean)) continue;
      const cleaned = inside.filter(({ leave }) => !leave);
      const name = p.use(`${L}g_${b}_${to}`, factor * cleaned.reduce((sum, { cost }) => sum + cost, 0));
      at[b]?.out.push(name);
      at[b]?.gapsOut.push(name);
      at[to]?.into.push(name);
      at[to]?.gapsInto.push(name);
      if (cleaned.length > 0) p.most(`${name} - ${setting('clean')}`, 0);
      if (inside.some(({ rooted }) => rooted)) p.most(`${name} - ${roots}`, 0);
    }
  }
}

function writeAction(writing: Writing, action: BookAction, k: number, cost: number): void {
  const { p, line, L, at, pins } = writing;
  const { from, to, method } = action;
  if (cellsBetween(writing, from, to).some((cell) => !pinned(writing, cell, method))) return;
  const splits = pins.filter(({ split }) => split).map(({ from_ft }) => nearestBoundary(writing, from_ft));
  if (splits.some((each) => each > from && each < to)) return;
  const isLiner = method === 'line' || method === 'short-line';
  for (const variant of isLiner && !action.viaAccess ? ['up', 'down'] : ['x']) {
    const name = p.use(`${L}${variant}_${from}_${to}_${k}`, cost);
    at[from]?.out.push(name);
    at[to]?.into.push(name);
    p.most(`${name} - ${setting(method)}`, 0);
    if (variant === 'up' && !insertable(line, from, 'downstream')) at[from]?.wants.push(name);
    if (variant === 'down' && !insertable(line, to, 'upstream')) at[to]?.wants.push(name);
    if (method === 'burst') {
      at[from]?.burstOut.push(name);
      at[to]?.burstInto.push(name);
      at[from]?.wants.push(name);
      at[to]?.wants.push(name);
    } else if (!isLiner) {
      at[from]?.digOut.push(name);
      at[to]?.digInto.push(name);
      for (let piece = from; piece < to; piece++) {
        // Exposed pipe has no hole, and none may be open over it.
        if (action.exposed) p.most(`${name} + ${L}o_${piece}`, 1);
        else at[piece]?.over.push(name);
      }
    }
  }
}

function nearestBoundary(writing: Writing, x: number): number {
  const away = writing.line.boundaries.map((_, b) => Math.abs(stationAt(writing, b) - x));
  return away.indexOf(Math.min(...away));
}

/** One unit flows from the first boundary to the last; a whole gap is one, and two digs never touch. */
function writeFlow({ p, at, last }: Writing): void {
  p.equal(p.sum(at[0]?.out ?? []), 1);
  p.equal(p.sum(at[last]?.into ?? []), 1);
  for (const { out, into, gapsOut, gapsInto, digOut, digInto } of at.slice(1, last)) {
    if (into.length + out.length > 0) p.equal(`${p.sum(into)}${p.sum(out, '-')}`, 0);
    if (gapsInto.length > 0 && gapsOut.length > 0) p.most(p.sum([...gapsInto, ...gapsOut]), 1);
    if (digInto.length > 0 && digOut.length > 0) p.most(p.sum([...digInto, ...digOut]), 1);
  }
}

/** Holes open over each piece between two boundaries, and their permits: one a hole. */
function writeHoles(writing: Writing): void {
  const { p, line, L, factor, last, at, permit } = writing;
  for (let piece = 0; piece < last; piece++) {
    const [a, b] = [stationAt(writing, piece), stationAt(writing, piece + 1)];
    const { cost, public_ft } = dug(line, a, b, 'dig');
    const open = p.use(`${L}o_${piece}`, factor * cost);
    const digs = at[piece]?.over ?? [];
    if (cellsBetween(writing, piece, piece + 1).some(isClosed)) p.most(`${open}${p.sum(digs, '-')}`, 0);
    if (digs.length > 0) p.least(`${open}${p.sum(digs, '-')}`, 0);
    const paid = p.use(`${L}p_${piece}`, 0);
    p.most(`${paid} - ${open}`, 0);
    if (public_ft > 1e-6) p.least(`${paid} - ${open}`, 0);
    const rise = p.use(`${L}r_${piece}`, permit);
    p.least(piece === 0 ? `${rise} - ${paid}` : `${rise} - ${paid} + ${L}p_${piece - 1}`, 0);
    // One hole stays paid: where both pieces are open they are the same hole.
    if (piece > 0) p.least(`${paid} - ${L}p_${piece - 1} - ${open}`, -1);
  }
}

/** Events at one boundary: a hole opened or closed by a dig or a pit, or a pit alone. */
function writeBoundary(writing: Writing, b: number): void {
  const { p, L, last, at } = writing;
  const here = at[b];
  if (!here) return;
  const before = b > 0 ? `${L}o_${b - 1}` : undefined;
  const after = b < last ? `${L}o_${b}` : undefined;
  const events = {
    opens: digEvents(writing, b, 'out'),
    closes: digEvents(writing, b, 'into'),
    alone: [] as string[],
  };
  const pits: string[] = [];
  for (const width of ['launch', 'burst'] as const) pits.push(...pitEvents(writing, b, width, events));
  const all = [...events.opens, ...events.closes, ...events.alone];
  if (all.length > 1) p.most(p.sum(all), 1);
  p.equal(
    `${after ? ` + ${after}` : ''}${before ? ` - ${before}` : ''}${p.sum(events.opens, '-')}${p.sum(events.closes)}`,
    0,
  );
  if (events.alone.length > 0)
    for (const piece of [before, after]) if (piece) p.most(`${piece}${p.sum(events.alone)}`, 1);
  if (here.wants.length === 0) return;
  const through = before && after ? p.use(`${L}t_${b}`, 0) : undefined;
  if (through) {
    p.most(`${through} - ${before ?? ''}`, 0);
    p.most(`${through} - ${after ?? ''}`, 0);
  }
  const served = [...here.digOut, ...here.digInto, ...(through ? [through] : []), ...pits];
  for (const want of here.wants) p.most(`${want}${p.sum(served, '-')}`, 0);
}

/** A dig that starts or ends here opens or closes its hole, with room to work. */
function digEvents({ p, line, L, factor, at }: Writing, b: number, side: 'out' | 'into'): string[] {
  const digs = (side === 'out' ? at[b]?.digOut : at[b]?.digInto) ?? [];
  if (digs.length === 0) return [];
  const index = line.boundaries[b] ?? 0;
  const x = line.breaks[index] ?? 0;
  const end = digEnd(line, index, side === 'out' ? 'upstream' : 'downstream');
  const more = dug(line, Math.min(end, x), Math.max(end, x), 'dig');
  const beyond = side === 'out' ? end < x : end > x;
  const cost =
    endCost(line, end, side === 'out' ? 'downstream' : 'upstream', 'dig') + (beyond ? more.cost : 0);
  const name = p.use(`${L}${side}d_${b}`, factor * cost);
  p.most(`${name}${p.sum(digs, '-')}`, 0);
  if (beyond && more.public_ft > 1e-6) p.least(`${L}p_${side === 'out' ? b : b - 1} - ${name}`, 0);
  return [name];
}

function pitEvents(
  { p, line, L, factor, last, at, permit }: Writing,
  b: number,
  width: Exclude<Width, 'dig'>,
  into: { opens: string[]; closes: string[]; alone: string[] },
): string[] {
  const here = at[b];
  const index = line.boundaries[b] ?? 0;
  const x = line.breaks[index] ?? 0;
  const pit = pitAt(line, index);
  if (!here || !pit || here.wants.length === 0 || (width === 'burst' && here.burstInto.length === 0))
    return [];
  const [up, down] = [dug(line, pit.from, x, width), dug(line, x, pit.to, width)];
  const opening = up.cost + endCost(line, pit.from, 'downstream', width);
  const closes = down.cost + endCost(line, pit.to, 'upstream', width);
  const wider = {
    up: up.cost - dug(line, pit.from, x, 'dig').cost,
    down: down.cost - dug(line, x, pit.to, 'dig').cost,
  };
  const digs = [...here.digOut, ...here.digInto];
  const made: string[] = [];
  for (const closed of width === 'launch' ? [true, false] : [false]) {
    // A launch pit's own pipe is spared only where a burst brings its own.
    if (width === 'launch' && !closed && here.burstOut.length === 0) continue;
    const pipe = closed ? closing(line, index) : 0;
    const tag = `${width}${closed ? 'c' : 'n'}_${b}`;
    const isPublic = up.public_ft + down.public_ft > 1e-6;
    const lone = p.use(`${L}lp${tag}`, factor * (pipe + opening + closes) + (isPublic ? permit : 0));
    into.alone.push(lone);
    const events = [lone];
    if (b < last) {
      const name = p.use(`${L}op${tag}`, factor * (pipe + opening + wider.down));
      into.opens.push(name);
      events.push(name);
      if (up.public_ft > 1e-6) p.least(`${L}p_${b} - ${name}`, 0);
    }
    if (b > 0) {
      const name = p.use(`${L}cp${tag}`, factor * (pipe + wider.up + closes));
      into.closes.push(name);
      events.push(name);
      if (down.public_ft > 1e-6) p.least(`${L}p_${b - 1} - ${name}`, 0);
    }
    for (const event of events) {
      p.most(`${event}${p.sum(here.wants, '-')}`, 0);
      if (digs.length > 0) p.most(`${event}${p.sum(digs)}`, 1);
      if (width === 'burst') p.most(`${event}${p.sum(here.burstInto, '-')}`, 0);
      else if (here.burstInto.length > 0) p.most(`${event}${p.sum(here.burstInto)}`, 1);
      if (width === 'launch' && !closed) p.most(`${event}${p.sum(here.burstOut, '-')}`, 0);
      if (width === 'launch' && closed && here.burstOut.length > 0)
        p.most(`${event}${p.sum(here.burstOut)}`, 1);
    }
    made.push(...events);
  }
  return made;
}
