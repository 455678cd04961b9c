import type { Method } from '../../job/vocabulary.js';
import type { Track } from '../../track/track.js';
import { actionsOf, isInsertable, type BookAction } from './actions.js';
import { carriedBy, cleanedOver, closing, creditFor, insertable } from './carried.js';
import { dutiesOf, isOldPipe } from './duties.js';
import {
  aloneCost,
  areApart,
  bookCell,
  digEnd,
  dug,
  endCost,
  holds4,
  isClosed,
  meets,
  pitAt,
  type BookLine,
  type Held,
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

/** First the feet that must be cured and are not, then the least money among those. */
export type Aim = { readonly least: 'uncured' } | { readonly least: 'money'; readonly uncured_ft: number };

/** The switch for mobilizing a method; a hyphen would read as a minus. */
const setting = (method: Method) => `M_${method.replace('-', '')}`;
const setUp: readonly Method[] = ['clean', 'spot', 'line', 'short-line', 'open-cut', 'burst', 'regrade'];

/**
 * The scope of a job as an integer program in LP format: a unit of flow along the boundaries of each line, excavations
 * open or closed over each piece between boundaries, pits and permits as events, mobilization and root joints as
 * switches.
 */
export function integerProgramme(
  tracks: readonly Track[],
  pins: readonly (readonly BookPin[])[],
  aim: Aim = { least: 'money', uncured_ft: 0 },
): string {
  const programme = linearProgramme();
  const [first] = tracks;
  if (!first) throw new Error('no lines');
  const factor = (1 + first.prices.markup) * (1 + first.prices.tax);
  for (const method of setUp) {
    programme.use(setting(method), (first.prices.mobilisation[method as 'spot'] ?? 0) * factor);
  }
  const uncured: (readonly [string, number])[] = [];
  tracks.forEach((track, i) => {
    lineOf(programme, bookOf(track), pins[i] ?? [], `l${i}_`, factor, uncured);
  });
  if (aim.least === 'money') programme.most(programme.weigh(uncured), aim.uncured_ft + 1e-6);
  else programme.aim(uncured);
  return programme.text();
}

/** Everything not taken from the product is computed again. */
export function bookOf({
  model,
  condition,
  rules,
  prices,
  school,
  breaks,
  plusMinus,
  cutAt,
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
    plusMinus: { from: [...plusMinus.from], to: [...plusMinus.to] },
    cutAt: { from: [...cutAt.from], to: [...cutAt.to] },
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
  readonly linesOut: string[];
  readonly linesInto: string[];
  readonly shortsOut: string[];
  readonly shortsInto: string[];
  /** What needs a pit here, and what needs to be served here by anything but a pit. */
  readonly wants: string[];
  readonly wantsServed: string[];
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
  /** Gaps with their feet that must be cured and are not. */
  readonly uncured: (readonly [string, number])[];
  /** Events at each boundary that end an excavation there, and that begin one. */
  readonly ending: string[][];
  readonly beginning: string[][];
}

function lineOf(
  p: Programme,
  line: BookLine,
  pins: readonly BookPin[],
  L: string,
  factor: number,
  uncured: (readonly [string, number])[],
): void {
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
    linesOut: [],
    linesInto: [],
    shortsOut: [],
    shortsInto: [],
    wants: [],
    wantsServed: [],
    over: [],
  }));
  const permit = line.prices.permit_per_hole * factor;
  const events = () => line.boundaries.map((): string[] => []);
  const writing: Writing = {
    ...{ p, line, pins, L, factor, last, at, permit, uncured },
    ...{ ending: events(), beginning: events() },
  };
  writeGaps(writing, duties, p.use(`${L}R`, carried.yearly));
  actions.forEach((action, k) => {
    writeAction(writing, action, k, action.cost * factor - creditFor(line, carried, action));
  });
  writeFlow(writing);
  writeHoles(writing);
  for (let b = 0; b <= last; b++) writeBoundary(writing, b);
  writeApart(writing);
}

/** No excavation begins too close to another's end. */
function writeApart({ p, line, last, ending, beginning }: Writing): void {
  const fine = (b: number) => line.boundaries[b] ?? 0;
  for (let b = 0; b < last; b++) {
    for (let c = b + 1; c <= last; c++) {
      const [ends, begins] = [ending[b] ?? [], beginning[c] ?? []];
      if (ends.length === 0 || begins.length === 0 || areApart(line, fine(b), fine(c))) continue;
      p.most(p.sum([...ends, ...begins]), 1);
    }
  }
}

const cellsBetween = ({ line }: Writing, b: number, to: number) =>
  line.cells.slice(line.boundaries[b], line.boundaries[to]);
const stationAt = ({ line }: Writing, b: number) => line.breaks[line.boundaries[b] ?? 0] ?? 0;

/** Pins allow a method on a cell. */
const pinned = ({ pins }: Pick<Writing, 'pins'>, cell: { a: number; b: number }, method: Method) =>
  pins.every((pin) => !meets(pin, cell.a, cell.b) || pin.methods.includes(method));

/** A cell as a gap may take it. */
interface GapCell {
  readonly leave: boolean;
  readonly clean: boolean;
  /** It must be cured, and a gap leaves it uncured. */
  readonly uncured: boolean;
  readonly cutBack: number;
  readonly old: boolean;
  /** No method could do anything here. */
  readonly excused: boolean;
  readonly rooted: boolean;
  readonly a: number;
  readonly b: number;
}

export function gapCells(
  writing: Pick<Writing, 'line' | 'pins'>,
  { cure, clean }: ReturnType<typeof dutiesOf>,
): GapCell[] {
  const { line } = writing;
  const cutBack = line.findings
    .filter((each) =>
      cure.some(({ findings, methods }) => findings.includes(each) && methods.includes('clean')),
    )
    .map(({ place }) => line.cells.find((cell) => meets(place, cell.a, cell.b)));
  return line.cells.map((cell): GapCell => {
    const dirty = clean.some((place) => meets(place, cell.a, cell.b));
    const mayLeave = pinned(writing, cell, 'leave') && !dirty;
    const mayClean = pinned(writing, cell, 'clean');
    const free = (method: Method) =>
      cure.every((duty) => !meets(duty, cell.a, cell.b) || duty.methods.includes(method));
    const suits = (mayLeave && free('leave')) || (mayClean && free('clean'));
    return {
      a: cell.a,
      b: cell.b,
      leave: mayLeave && (!suits || free('leave')),
      clean: mayClean && (!suits || free('clean')),
      uncured: !suits,
      cutBack: cutBack.filter((each) => each === cell).length * line.prices.cutBack_each,
      old: isOldPipe(cell.material) || cell.material === 'unknown',
      excused: !suits || !cell.ours || cell.noDig || cell.surface === 'building',
      rooted: cell.findings.some(
        ({ placed, grade, possible }) => placed.entry.finding === 'roots' && grade >= 1 && !possible,
      ),
    };
  });
}

/** A run of old pipe at one end of what is left beside an action is too short. */
function isStub(inside: readonly GapCell[], least: number): boolean {
  const end = inside.findIndex(({ old }) => !old);
  const run = end < 0 ? inside : inside.slice(0, end);
  const [first, last] = [run[0], run[run.length - 1]];
  if (!first || !last || run.some(({ excused }) => excused)) return false;
  return Math.max(last.b, first.b) - Math.min(first.a, last.a) < least - 1e-9;
}

function writeGaps(writing: Writing, duties: ReturnType<typeof dutiesOf>, roots: string): void {
  const { p, line, L, factor, last, at, uncured } = writing;
  const { school, rules } = line;
  const judged = gapCells(writing, duties);
  const visits = writeVisits(writing, judged);
  for (let b = 0; b < last; b++) {
    for (let to = b + 1; to <= last; to++) {
      const [start, end] = [line.boundaries[b] ?? 0, line.boundaries[to] ?? 0];
      const inside = judged.slice(start, end);
      const short =
        school !== 'maintain' &&
        ((b > 0 && isStub(inside, rules.leastGap_ft)) ||
          (to < last && isStub([...inside].reverse(), rules.leastGap_ft)));
      if (short || inside.some((each) => !each.leave && !each.clean)) continue;
      const cleaned = inside.filter(({ leave }) => !leave);
      const name = p.use(`${L}g_${b}_${to}`, factor * cleaned.reduce((sum, { cutBack }) => sum + cutBack, 0));
      at[b]?.out.push(name);
      at[b]?.gapsOut.push(name);
      at[to]?.into.push(name);
      at[to]?.gapsInto.push(name);
      if (cleaned.length > 0) p.most(`${name} - ${setting('clean')}`, 0);
      const first = inside.findIndex(({ leave }) => !leave);
      const farthest = inside.findLastIndex(({ leave }) => !leave);
      const reaching = visits.filter((each) => each.from <= start + first && each.to >= start + farthest);
      if (cleaned.length > 0)
        p.most(
          `${name}${p.sum(
            reaching.map((each) => each.name),
            '-',
          )}`,
          0,
        );
      if (inside.some(({ rooted }) => rooted)) p.most(`${name} - ${roots}`, 0);
      const feet = inside.filter((each) => each.uncured).reduce((sum, cell) => sum + hundredths(cell), 0);
      if (feet > 0) uncured.push([name, feet]);
    }
  }
}

/** Feet to a hundredth, as the product counts uncured feet. */
export const hundredths = ({ a, b }: GapCell) => Math.max(1, Math.round((b - a) * 100)) / 100;

interface Visit {
  /** First and last cell to be cleaned. */
  readonly from: number;
  readonly to: number;
  readonly name: string;
}

/** Cleaning visits: at most one, from an insertion point to everything between two cleaned cells. */
function writeVisits({ p, line, L, factor }: Writing, judged: readonly GapCell[]): Visit[] {
  const dirty = judged.flatMap(({ leave, clean }, i) => (leave || !clean ? [] : [i]));
  const visits = dirty.flatMap((from, i) =>
    dirty.slice(i).map((to): Visit => {
      const cost = visitCost(line, line.breaks[from] ?? 0, line.breaks[to + 1] ?? 0);
      return { from, to, name: p.use(`${L}v_${from}_${to}`, factor * cost) };
    }),
  );
  if (visits.length > 1) p.most(p.sum(visits.map(({ name }) => name)), 1);
  return visits;
}

/** From the cheapest access point that takes the tool; where none does, from the camera's. */
export function visitCost(line: BookLine, low: number, high: number): number {
  const { model, cells, rules } = line;
  const used = model.line.runs.map(({ access }) => access);
  const boreUp = (x: number) => [...cells].reverse().find(({ b }) => b <= x + 0.01)?.bore ?? 0;
  const boreDown = (x: number) => cells.find(({ a }) => a >= x - 0.01)?.bore ?? 0;
  const from = (fits: boolean) =>
    model.points.flatMap((point) => {
      const x = point.at.station_ft;
      const takes = {
        up: isInsertable(line, point, 'upstream', boreUp(x)),
        down: isInsertable(line, point, 'downstream', boreDown(x)),
      };
      const any = takes.up || takes.down;
      if (fits !== any || (!fits && !used.includes(point.point.id))) return [];
      const goes = fits ? takes : { up: true, down: true };
      const [up, down] = [x - low, high - x];
      const reaches = (far: number, may: boolean) =>
        far <= 0.01 || (may && far <= rules.cleaningReach_ft + 0.01);
      return reaches(up, goes.up) && reaches(down, goes.down)
        ? [cleanedOver(line, { from_ft: Math.min(x, low), to_ft: Math.max(x, high) })]
        : [];
    });
  const [fitting, others] = [from(true), from(false)];
  const all = fitting.length > 0 ? fitting : others;
  return all.length > 0 ? Math.min(...all) : cleanedOver(line, { from_ft: low, to_ft: high });
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
    const wantsAt = (b: number, mayPit: boolean) => (mayPit ? at[b]?.wants : at[b]?.wantsServed)?.push(name);
    if (variant === 'up' && !insertable(line, from, 'downstream')) wantsAt(from, action.mayPit.from);
    if (variant === 'down' && !insertable(line, to, 'upstream')) wantsAt(to, action.mayPit.to);
    if (isLiner) {
      (method === 'line' ? at[from]?.linesOut : at[from]?.shortsOut)?.push(name);
      (method === 'line' ? at[to]?.linesInto : at[to]?.shortsInto)?.push(name);
    }
    if (method === 'burst') {
      at[from]?.burstOut.push(name);
      at[to]?.burstInto.push(name);
      at[from]?.wants.push(name);
      at[to]?.wants.push(name);
      for (let piece = from; action.pitsInside && piece < to; piece++)
        p.most(`${name}${opened(writing, piece)}`, 1);
    } else if (!isLiner) {
      at[from]?.digOut.push(name);
      at[to]?.digInto.push(name);
      for (let piece = from; piece < to; piece++) {
        // Exposed pipe has no hole, and none may be open over it.
        if (action.exposed) p.most(`${name}${opened(writing, piece)}`, 1);
        else at[piece]?.over.push(name);
      }
    }
  }
}

function nearestBoundary(writing: Writing, x: number): number {
  const away = writing.line.boundaries.map((_, b) => Math.abs(stationAt(writing, b) - x));
  return away.indexOf(Math.min(...away));
}

/** One unit flows from the first boundary to the last; a whole gap is one arc, and two digs never touch. */
function writeFlow({ p, at, last }: Writing): void {
  p.equal(p.sum(at[0]?.out ?? []), 1);
  p.equal(p.sum(at[last]?.into ?? []), 1);
  for (const { out, into, gapsOut, gapsInto, digOut, digInto } of at.slice(1, last)) {
    if (into.length + out.length > 0) p.equal(`${p.sum(into)}${p.sum(out, '-')}`, 0);
    if (gapsInto.length > 0 && gapsOut.length > 0) p.most(p.sum([...gapsInto, ...gapsOut]), 1);
    if (digInto.length > 0 && digOut.length > 0) p.most(p.sum([...digInto, ...digOut]), 1);
  }
  // Two liners that touch, one of them sectional, would be one.
  for (const { linesInto, linesOut, shortsInto, shortsOut } of at.slice(1, last)) {
    const [into, out] = [
      [...linesInto, ...shortsInto],
      [...linesOut, ...shortsOut],
    ];
    if (shortsInto.length > 0 && out.length > 0) p.most(p.sum([...shortsInto, ...out]), 1);
    if (into.length > 0 && shortsOut.length > 0) p.most(p.sum([...into, ...shortsOut]), 1);
  }
}

/** The sum over protections of an excavation open over a piece. */
const opened = ({ L }: Pick<Writing, 'L'>, piece: number): string =>
  holds4.map((held) => ` + ${L}o${held}_${piece}`).join('');

/**
 * Excavations open over each piece between two boundaries, each with one protection, and their permits: one per
 * excavation.
 */
function writeHoles(writing: Writing): void {
  const { p, line, L, factor, last, at, permit } = writing;
  for (let piece = 0; piece < last; piece++) {
    const [a, b] = [stationAt(writing, piece), stationAt(writing, piece + 1)];
    const digs = at[piece]?.over ?? [];
    const closed = cellsBetween(writing, piece, piece + 1).some(isClosed);
    let public_ft = 0;
    for (const held of holds4) {
      const piecewise = dug(line, a, b, 'dig', held);
      ({ public_ft } = piecewise);
      const open = p.use(`${L}o${held}_${piece}`, factor * piecewise.cost);
      if (!piecewise.stands || (closed && held === 'slope')) p.equal(open, 0);
      else if (closed) p.most(`${open}${p.sum(digs, '-')}`, 0);
    }
    const any = opened(writing, piece);
    p.most(any, 1);
    if (digs.length > 0) p.least(`${any}${p.sum(digs, '-')}`, 0);
    const minus = any.replaceAll('+', '-');
    const paid = p.use(`${L}p_${piece}`, 0);
    p.most(`${paid}${minus}`, 0);
    if (public_ft > 1e-6) p.least(`${paid}${minus}`, 0);
    const rise = p.use(`${L}r_${piece}`, permit);
    p.least(piece === 0 ? `${rise} - ${paid}` : `${rise} - ${paid} + ${L}p_${piece - 1}`, 0);
    // A permit stays paid: where both pieces are open they are the same excavation.
    if (piece > 0) p.least(`${paid} - ${L}p_${piece - 1}${minus}`, -1);
  }
}

/** Events at one boundary. */
interface Events {
  readonly opens: Record<Held, string[]>;
  readonly closes: Record<Held, string[]>;
  readonly alone: string[];
}
const byHeld = (): Record<Held, string[]> => ({ none: [], slope: [], shore: [], shield: [] });

/** Events at one boundary: an excavation opened or closed by a dig or a pit, or a pit alone. */
function writeBoundary(writing: Writing, b: number): void {
  const { p, L, last, at, ending, beginning } = writing;
  const here = at[b];
  if (!here) return;
  const events: Events = { opens: byHeld(), closes: byHeld(), alone: [] };
  for (const held of holds4) {
    events.opens[held].push(...digEvents(writing, b, 'out', held));
    events.closes[held].push(...digEvents(writing, b, 'into', held));
  }
  const pits: string[] = [];
  for (const width of ['launch', 'burst'] as const) pits.push(...pitEvents(writing, b, width, events));
  const [opening, closes] = [Object.values(events.opens).flat(), Object.values(events.closes).flat()];
  const all = [...opening, ...closes, ...events.alone];
  beginning[b]?.push(...opening, ...events.alone);
  ending[b]?.push(...closes, ...events.alone);
  if (all.length > 1) p.most(p.sum(all), 1);
  for (const held of holds4) {
    const before = b > 0 ? ` - ${L}o${held}_${b - 1}` : '';
    const after = b < last ? ` + ${L}o${held}_${b}` : '';
    p.equal(`${after}${before}${p.sum(events.opens[held], '-')}${p.sum(events.closes[held])}`, 0);
  }
  if (events.alone.length > 0)
    for (const piece of [b - 1, b])
      if (piece >= 0 && piece < last) p.most(`${opened(writing, piece)}${p.sum(events.alone)}`, 1);
  if (here.wants.length + here.wantsServed.length === 0) return;
  const through = b > 0 && b < last ? p.use(`${L}t_${b}`, 0) : undefined;
  if (through)
    for (const piece of [b - 1, b]) p.most(`${through}${opened(writing, piece).replaceAll('+', '-')}`, 0);
  const served = [...here.digOut, ...here.digInto, ...(through ? [through] : [])];
  for (const want of here.wants) p.most(`${want}${p.sum([...served, ...pits], '-')}`, 0);
  for (const want of here.wantsServed) {
    p.most(`${want}${p.sum(served, '-')}`, 0);
    // What a pit must not be over is not served by another's pit.
    if (pits.length > 0) p.most(p.sum([want, ...pits]), 1);
  }
}

/** A dig that starts or ends here opens or closes its excavation, with working room. */
function digEvents(
  { p, line, L, factor, at }: Writing,
  b: number,
  side: 'out' | 'into',
  held: Held,
): string[] {
  const digs = (side === 'out' ? at[b]?.digOut : at[b]?.digInto) ?? [];
  if (digs.length === 0) return [];
  const index = line.boundaries[b] ?? 0;
  const x = line.breaks[index] ?? 0;
  const end = digEnd(line, index, side === 'out' ? 'upstream' : 'downstream');
  const beyond = side === 'out' ? end < x : end > x;
  const more = dug(line, Math.min(end, x), Math.max(end, x), 'dig', held);
  const own = endCost(line, end, side === 'out' ? 'downstream' : 'upstream', 'dig', held);
  if (own === undefined || (beyond && !more.stands)) return [];
  const name = p.use(`${L}${side}d${held}_${b}`, factor * (own + (beyond ? more.cost : 0)));
  p.most(`${name}${p.sum(digs, '-')}`, 0);
  if (beyond && more.public_ft > 1e-6) p.least(`${L}p_${side === 'out' ? b : b - 1} - ${name}`, 0);
  return [name];
}

/** A pit at one boundary with one protection: the cost of each half, and its extra over a trench. */
export function pitHeld(
  { line }: Pick<Writing, 'line'>,
  pit: { from: number; to: number },
  x: number,
  width: Width,
  held: Held,
) {
  const [up, down] = [dug(line, pit.from, x, width, held), dug(line, x, pit.to, width, held)];
  const [upEnd, downEnd] = [
    endCost(line, pit.from, 'downstream', width, held),
    endCost(line, pit.to, 'upstream', width, held),
  ];
  return {
    opening: up.stands && upEnd !== undefined ? up.cost + upEnd : undefined,
    closes: down.stands && downEnd !== undefined ? down.cost + downEnd : undefined,
    wider: {
      up: up.cost - dug(line, pit.from, x, 'dig', held).cost,
      down: down.cost - dug(line, x, pit.to, 'dig', held).cost,
    },
    publicUp: up.public_ft,
    publicDown: down.public_ft,
  };
}

function pitEvents(writing: Writing, b: number, width: Exclude<Width, 'dig'>, into: Events): string[] {
  const { p, line, L, factor, last, at } = writing;
  const here = at[b];
  const index = line.boundaries[b] ?? 0;
  const x = line.breaks[index] ?? 0;
  const pit = pitAt(line, index);
  if (!here || !pit || here.wants.length === 0 || (width === 'burst' && here.burstInto.length === 0))
    return [];
  const digs = [...here.digOut, ...here.digInto];
  const made: string[] = [];
  for (const closed of width === 'launch' ? [true, false] : [false]) {
    // A launch pit's own pipe is spared only where a burst brings its own.
    if (width === 'launch' && !closed && here.burstOut.length === 0) continue;
    const pipe = closed ? closing(line, index) : 0;
    const tag = `${width}${closed ? 'c' : 'n'}`;
    const alone = aloneCost(line, pit.from, pit.to, width);
    const events: string[] = [];
    if (Number.isFinite(alone)) {
      const lone = p.use(`${L}lp${tag}_${b}`, factor * (pipe + alone));
      into.alone.push(lone);
      events.push(lone);
    }
    for (const held of holds4) {
      const own = pitHeld(writing, pit, x, width, held);
      if (b < last && own.opening !== undefined) {
        const name = p.use(`${L}op${tag}${held}_${b}`, factor * (pipe + own.opening + own.wider.down));
        into.opens[held].push(name);
        events.push(name);
        if (own.publicUp > 1e-6) p.least(`${L}p_${b} - ${name}`, 0);
      }
      if (b > 0 && own.closes !== undefined) {
        const name = p.use(`${L}cp${tag}${held}_${b}`, factor * (pipe + own.wider.up + own.closes));
        into.closes[held].push(name);
        events.push(name);
        if (own.publicDown > 1e-6) p.least(`${L}p_${b - 1} - ${name}`, 0);
      }
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
