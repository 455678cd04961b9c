import { surfaceRow } from '../catalog/surfaces.js';
import { holeLetter } from '../excavation/hole.js';
import { plain, type Figure } from '../figure.js';
import type { PlanRules } from '../job/plan-schema.js';
import type { SurfaceKind, TaskKind } from '../job/vocabulary.js';
import { methodName } from '../methods/index.js';
import type { LineScope, Scope } from '../scope/scope.js';
import { cureHours } from './cure.js';
import { taskKindRow } from './kinds.js';

/** A task that must be finished before another starts, and the wait between them: working days, or clock hours. */
export interface Wait {
  readonly task: string;
  readonly days?: number;
  readonly hours?: number;
}

/** One piece of work done in one go by one crew, not yet scheduled. */
export interface Task {
  /** Stable as long as the action or excavation exists: `house dig P1`. */
  readonly id: string;
  readonly kind: TaskKind;
  /** The line it is on; none for a task of the whole job. */
  readonly line?: string;
  readonly what: string;
  readonly amount: number;
  readonly hours: Figure;
  readonly crew: number;
  /** Its predecessors. */
  readonly after: readonly Wait[];
  /** Tasks on one piece of pipe: the water is off from the first to the last of them. */
  readonly on?: string;
}

/** Tasks that must be done within one day, and why. */
export interface SameDay {
  readonly tasks: readonly string[];
  readonly why: string;
  /** The excavation that may not stay open. */
  readonly excavation?: string;
}

export interface Tasks {
  readonly tasks: readonly Task[];
  readonly sameDay: readonly SameDay[];
  /** Unknowns, in sentences. */
  readonly doubts: readonly string[];
}

export interface PlanInput {
  readonly scope: Pick<Scope, 'lines'> & { readonly prices: Pick<Scope['prices'], 'lines'> };
  /** Names of the lines, by id. */
  readonly names: Readonly<Record<string, string>>;
  readonly rules: PlanRules;
  /** Air temperature on the day the liner is installed, °F; undefined where not given. */
  readonly temperature_F: number | undefined;
}

type Pit = LineScope['pits'][number];
type Action = LineScope['actions'][number];
type Cleanout = LineScope['cleanouts'][number];

/** A surface over an excavation, and how much of it is restored. */
interface Restored {
  readonly surface: string;
  readonly ft2: number;
}

/** Price lines of restoring: this, then the surface. */
const restoring = 'restore_per_ft2.';

/**
 * A scope as tasks: calls and permits, cleaning, excavations, pipe, liners, restoration, the final inspection. Nobody
 * goes to the site before all calls are cleared, and nothing is covered before what lies in it is tested.
 */
export function tasksOf({ scope, names, rules, temperature_F }: PlanInput): Tasks {
  const list = new TaskList(rules);
  const pits = scope.lines.flatMap((line) => line.pits);
  const loose = scope.lines.flatMap(({ cleanouts }) => cleanouts.filter((each) => each.in === null));
  if (pits.length + loose.length > 0) list.add('locate', 'locate', {});
  const needsPermit = (each: Cleanout) => each.prices.some(({ from }) => from === 'permit_per_hole');
  if (pits.some(({ sheet }) => sheet.isPublic) || loose.some(needsPermit)) list.add('permit', 'permit', {});
  // Each call has its own wait: a task after both waits for the longer.
  const answered = list.tasks.map(({ id }): Wait => ({
    task: id,
    days: id === 'permit' ? rules.permit_days : rules.locate_days,
  }));
  const ours = new Set(
    scope.prices.lines
      .filter(({ from, rate }) => from.startsWith(restoring) && rate > 0)
      .map(({ from }) => from.slice(restoring.length)),
  );
  for (const line of scope.lines)
    new LineTasks(list, {
      line,
      answered,
      ours,
      cure: cureHours(rules.cure, temperature_F),
      named: scope.lines.length > 1 ? `, ${names[line.id] ?? line.id}` : '',
      prices: scope.prices.lines.filter((price) => price.line === line.id),
    }).add();
  return { tasks: list.tasks, sameDay: list.sameDay, doubts: [...new Set(list.doubts)] };
}

/** Inputs to a task; a predecessor without a wait is followed at once. */
interface Added extends Partial<Pick<Task, 'amount' | 'hours' | 'line' | 'on'>> {
  readonly where?: string;
  readonly after?: readonly (string | Wait)[];
}

class TaskList {
  readonly tasks: Task[] = [];
  readonly sameDay: SameDay[] = [];
  readonly doubts: string[] = [];

  constructor(readonly rules: PlanRules) {}

  add(kind: TaskKind, id: string, { amount = 0, where = '', after = [], hours, ...more }: Added): string {
    const row = taskKindRow(kind);
    const rate = this.rules.rates[kind];
    this.tasks.push({
      id,
      kind,
      what: where === '' ? row.words : `${row.words} ${where}`,
      amount,
      hours: hours ?? hoursOf(kind, amount, this.rules),
      crew: rate.crew,
      after: after.map((each) => (typeof each === 'string' ? { task: each } : each)),
      ...more,
    });
    return id;
  }
}

/** Hours of a task from its amount and rate: setup + amount ÷ rate. */
export function hoursOf(kind: TaskKind, amount: number, rules: Pick<PlanRules, 'rates'>): Figure {
  const { perHour, setUp_h } = rules.rates[kind];
  const { unit } = taskKindRow(kind);
  const hours = setUp_h + (unit === undefined ? 0 : amount / perHour);
  return {
    value: hours,
    unit: 'h',
    steps: [
      {
        label: unit === undefined ? 'As long as it takes' : 'Setting up + amount ÷ rate',
        expression:
          unit === undefined
            ? `${plain(setUp_h)} h`
            : `${plain(setUp_h)} + ${plain(amount)} ${unit} ÷ ${plain(perHour)} ${unit}/h = ${plain(hours)} h`,
        source: 'company rates',
      },
    ],
  };
}

interface LineInput {
  readonly line: LineScope;
  /** Nobody goes to the site before these calls are cleared. */
  readonly answered: readonly Wait[];
  /** Surfaces that we restore. */
  readonly ours: ReadonlySet<string>;
  readonly cure: ReturnType<typeof cureHours>;
  /** Added to each task where a job has several lines. */
  readonly named: string;
  readonly prices: PlanInput['scope']['prices']['lines'];
}

/** The tasks of one line, from the first cleaning to the final inspection. */
class LineTasks {
  private readonly id: string;
  /** Predecessors of the first excavation. */
  private first: readonly Wait[];
  /** The last task that opens each excavation, the work done in it, and what must be done before it is covered. */
  private readonly opened = new Map<string, string>();
  private readonly done = new Map<string, string[]>();
  private readonly onPipe: string[] = [];
  /** The backfills: the final inspection comes after them. */
  private readonly covers: string[] = [];

  constructor(
    private readonly list: TaskList,
    private readonly input: LineInput,
  ) {
    this.id = input.line.id;
    this.first = input.answered;
  }

  add(): void {
    const { line } = this.input;
    this.cleaning();
    for (const pit of line.pits) this.open(pit);
    for (const action of line.actions) if (action.pipe) this.pipe(action);
    for (const action of line.actions) if (action.liner) this.liner(action);
    for (const action of line.actions)
      if (action.pipe && this.sharedLiners(action).length > 0) this.late(action);
    this.cleanouts();
    for (const pit of line.pits) this.close(pit);
    if (this.onPipe.length > 0)
      this.task('inspect', 'inspect after', {
        amount: this.covered([
          ...line.actions,
          ...line.cleanouts.map(({ station_ft }) => ({ from_ft: station_ft, to_ft: station_ft })),
        ]),
        where: `what was done${this.input.named}`,
        on: this.key('after'),
        after: [...this.onPipe, ...this.covers],
      });
  }

  private key = (...words: string[]): string => [this.id, ...words].join(' ');

  private task = (kind: TaskKind, name: string, more: Added): string =>
    this.list.add(kind, this.key(name), { line: this.id, ...more });

  private covered = (reaches: readonly { from_ft: number; to_ft: number }[]): number =>
    Math.max(...reaches.map(({ to_ft }) => to_ft)) - Math.min(...reaches.map(({ from_ft }) => from_ft));

  private cleaning(): void {
    const cleaned = this.input.line.segments.filter(({ method }) => method === 'clean');
    if (cleaned.length === 0) return;
    const amount = this.covered(cleaned);
    const where = this.input.named;
    const on = this.key('clean');
    const clean = this.task('clean', 'clean', { amount, where: where.slice(2), after: this.first, on });
    const cuts = this.priced('cutBack_each');
    const done =
      cuts > 0
        ? this.task('cut-back', 'cut back', { amount: cuts, where: where.slice(2), after: [clean], on })
        : clean;
    const look = { amount, where: `what was cleaned${where}`, after: [done], on };
    this.first = [{ task: this.task('inspect', 'inspect', look) }];
  }

  private place = (pit: Pit): string => `excavation ${holeLetter(pit.id)}${this.input.named}`;

  /** By machine where there is one. */
  private digging = (): TaskKind => (this.list.rules.machines.excavator > 0 ? 'dig' : 'hand-dig');

  private open(pit: Pit): void {
    const dig = this.task(this.digging(), `dig ${pit.id}`, {
      amount: pit.figures.bank.value,
      where: this.place(pit),
      after: this.first,
    });
    const held =
      pit.held_ft2 > 0
        ? this.task('protect', `protect ${pit.id}`, {
            amount: pit.held_ft2,
            where: `of ${this.place(pit)}`,
            after: [dig],
          })
        : dig;
    this.opened.set(pit.id, held);
    this.done.set(pit.id, []);
  }

  private pitsOf = (action: Action): Pit[] =>
    this.input.line.pits.filter(({ serves }) => serves.includes(action.id));

  private openedFor = (action: Action): string[] =>
    this.pitsOf(action).flatMap(({ id }) => this.opened.get(id) ?? []);

  /** Liners inserted through the excavation where this pipe is laid: they go in first. */
  private sharedLiners = (action: Action): Action[] =>
    this.input.line.actions.filter(
      (other) =>
        other.liner !== undefined &&
        this.pitsOf(action).some(
          (pit) =>
            pit.serves.includes(other.id) &&
            other.entry_ft !== null &&
            other.entry_ft >= pit.from_ft - leastShare_ft &&
            other.entry_ft <= pit.to_ft + leastShare_ft,
        ),
    );

  private pipe(action: Action): void {
    if (this.sharedLiners(action).length > 0) return;
    this.lay(action, [...this.openedFor(action), ...this.first]);
  }

  private late(action: Action): void {
    const lined = this.sharedLiners(action).map((liner) =>
      this.key(this.branches(liner) > 0 ? 'reinstate' : 'cure', liner.id),
    );
    this.lay(action, [...this.openedFor(action), ...lined]);
  }

  private lay(action: Action, opened: readonly (string | Wait)[]): void {
    const where = `${methodName(action.method).toLowerCase()}, ${plain(action.from_ft, 1)} to ${plain(action.to_ft, 1)} ft${this.input.named}`;
    const on = this.key(action.id);
    const under_ft = this.priced('handDug_per_ft', action);
    const after =
      under_ft > 0
        ? [
            this.task('reach', `reach ${action.id}`, {
              amount: under_ft,
              where: `for the ${where}`,
              after: opened,
            }),
          ]
        : opened;
    const laid = this.task(action.method === 'burst' ? 'burst' : 'lay', `lay ${action.id}`, {
      amount: action.pipe?.laid.value ?? 0,
      where: action.method === 'burst' ? where.replace(/^[^,]*, /, '') : `for the ${where}`,
      after,
      on,
    });
    let last = laid;
    if (action.fittings.length > 0)
      last = this.task('connect', `connect ${action.id}`, {
        amount: action.fittings.length,
        where: `in the ${where}`,
        after: [laid],
        on,
      });
    const tested = this.task('test', `test ${action.id}`, { where: `of the ${where}`, after: [last], on });
    this.finished(action, [tested]);
  }

  private finished(action: Action, tasks: readonly string[]): void {
    this.onPipe.push(...tasks);
    for (const { id } of this.pitsOf(action)) this.done.get(id)?.push(...tasks);
  }

  /** Quantity priced at one rate on this line, or for one action of it. */
  private priced = (from: string, action?: Action): number =>
    quantityOf(
      this.input.prices.filter((price) => action === undefined || price.action === action.id),
      (each) => each === from,
    );

  private branches = (action: Action): number => this.priced('reinstatement_each', action);

  private liner(action: Action): void {
    const { rules } = this.list;
    const { cure } = this.input;
    const where = `${plain(action.from_ft, 1)} to ${plain(action.to_ft, 1)} ft${this.input.named}`;
    const on = this.key(action.id);
    const cut_ft = action.liner?.cut.value ?? 0;
    // Digging and laying on the line are finished before any resin is mixed.
    const dry = this.task('dry-run', `dry-run ${action.id}`, {
      amount: cut_ft,
      where,
      after: [...this.openedFor(action), ...this.onPipe, ...this.first],
    });
    const needed = action.working?.needed;
    const insert = this.task('insert', `insert ${action.id}`, {
      amount: cut_ft,
      where,
      after: [dry],
      on,
      ...(needed
        ? { hours: { value: needed.value / 60, unit: 'h', steps: [...needed.steps, inHours(needed.value)] } }
        : {}),
    });
    if (cure.doubt) this.list.doubts.push(cure.doubt);
    const both_h = (needed?.value ?? 0) / 60 + cure.hours.value;
    const overnight = both_h > rules.hours;
    if (overnight)
      this.list.doubts.push(
        `the liner at ${where} cures for ${plain(cure.hours.value, 1)} h, past the end of a day: somebody stays with it, or it is cured with hot water or steam`,
      );
    const cured = this.task('cure', `cure ${action.id}`, {
      where,
      // A liner that cures overnight is only checked in the morning.
      after: [overnight ? { task: insert, hours: cure.hours.value - check_h } : insert],
      on,
      hours: overnight ? { ...cure.hours, value: check_h } : cure.hours,
    });
    if (!overnight) this.list.sameDay.push({ tasks: [insert, cured], why: 'mixed resin does not wait' });
    const count = this.branches(action);
    const last =
      count > 0
        ? this.task('reinstate', `reinstate ${action.id}`, { amount: count, where, after: [cured], on })
        : cured;
    this.finished(action, [last]);
  }

  private cleanouts(): void {
    for (const [i, each] of this.input.line.cleanouts.entries()) {
      const name = `cleanout ${i + 1}`;
      const where = `at ${plain(each.station_ft, 1)} ft${this.input.named}`;
      const own = each.in === null ? this.openForCleanout(each, name, where) : undefined;
      const opened = each.in === null ? own : this.opened.get(each.in);
      const set = this.task('connect', name, {
        amount: 1,
        where,
        after: opened === undefined ? this.first : [opened, ...this.first],
        on: this.key(name),
      });
      this.onPipe.push(set);
      if (each.in !== null) this.done.get(each.in)?.push(set);
      if (own !== undefined) this.closeForCleanout(each, name, where, set);
    }
  }

  /** Opens the excavation of a cleanout that has one to itself; undefined where its work needs none. */
  private openForCleanout(cleanout: Cleanout, name: string, where: string): string | undefined {
    const dug_yd3 = quantityOf(cleanout.prices, (from) => from.startsWith('dig'));
    if (dug_yd3 === 0) return undefined;
    const dig = this.task(this.digging(), `dig ${name}`, {
      amount: dug_yd3,
      where: `for the cleanout ${where}`,
      after: this.first,
    });
    const held_ft2 = quantityOf(
      cleanout.prices,
      (from) => from === 'support_per_ft2' || from === 'shield_per_ft2',
    );
    if (held_ft2 === 0) return dig;
    return this.task('protect', `protect ${name}`, {
      amount: held_ft2,
      where: `for the cleanout ${where}`,
      after: [dig],
    });
  }

  /** Covers the excavation of a cleanout once it is set, and restores what was over it. */
  private closeForCleanout(cleanout: Cleanout, name: string, where: string, set: string): void {
    const backfill = this.task('backfill', `backfill ${name}`, {
      amount: quantityOf(cleanout.prices, (from) => from === 'backfill_per_yd3'),
      where: `around the cleanout ${where}`,
      after: [set],
    });
    this.covers.push(backfill);
    const over = cleanout.prices
      .filter(({ from }) => from.startsWith(restoring))
      .map(({ from, quantity }) => ({ surface: from.slice(restoring.length), ft2: quantity }));
    this.restore(over, name, `the cleanout ${where}`, backfill);
    this.closeSameDay(over, name, backfill, {
      why: `the excavation for the cleanout ${where}`,
      excavation: `the excavation for the cleanout ${where}`,
    });
  }

  private close(pit: Pit): void {
    const backfill = this.task('backfill', `backfill ${pit.id}`, {
      amount: pit.figures.bank.value,
      where: this.place(pit),
      after: [
        ...(this.opened.get(pit.id) ? [this.opened.get(pit.id) ?? ''] : []),
        ...(this.done.get(pit.id) ?? []),
      ],
    });
    this.covers.push(backfill);
    const over = pit.sheet.restore.map(({ surface, area }) => ({ surface, ft2: area.value }));
    this.restore(over, pit.id, this.place(pit), backfill);
    this.closeSameDay(over, pit.id, backfill, {
      why: `excavation ${holeLetter(pit.id)}`,
      excavation: this.place(pit),
    });
  }

  /** Restores the surfaces over an excavation that are ours to restore: soft ones, then pavement. */
  private restore(over: readonly Restored[], name: string, place: string, backfill: string): void {
    for (const [how, kind] of [
      ['soft', 'restore-soft'],
      ['hard', 'restore-hard'],
    ] as const) {
      const own = over.filter(
        ({ surface }) => this.input.ours.has(surface) && isHard(surface) === (how === 'hard'),
      );
      if (own.length > 0)
        this.task(kind, `restore ${how} ${name}`, {
          amount: own.reduce((sum, { ft2 }) => sum + ft2, 0),
          where: `the ${own.map(({ surface }) => surface).join(' and the ')} over ${place}`,
          after: [backfill],
        });
    }
  }

  /** An excavation in pavement or where traffic passes is closed the day it is opened, if the company wants that. */
  private closeSameDay(
    over: readonly Restored[],
    name: string,
    backfill: string,
    { why, excavation }: { readonly why: string; readonly excavation: string },
  ): void {
    const busy = over.map(({ surface }) => surface).filter(mustClose);
    if (!this.list.rules.closeOvernight || busy.length === 0) return;
    this.list.sameDay.push({
      tasks: this.inside(this.key('dig', name), backfill),
      why: `${why} is in the ${busy.join(' and the ')} and does not stand open overnight`,
      excavation,
    });
  }

  /** Everything from opening an excavation to its backfill. */
  private inside(dig: string, backfill: string): string[] {
    const byId = new Map(this.list.tasks.map((task) => [task.id, task]));
    const reached = new Map<string, boolean>();
    const comesAfterDig = (id: string): boolean => {
      const known = reached.get(id);
      if (known !== undefined) return known;
      reached.set(id, false);
      const does = id === dig || (byId.get(id)?.after ?? []).some(({ task }) => comesAfterDig(task));
      reached.set(id, does);
      return does;
    };
    const before = new Set<string>();
    const collect = (id: string) => {
      if (before.has(id) || !comesAfterDig(id)) return;
      before.add(id);
      byId.get(id)?.after.forEach(({ task }) => {
        collect(task);
      });
    };
    collect(backfill);
    return [...before];
  }
}

/** Checking a liner that cured overnight, and releasing the pressure, h. */
const check_h = 0.25;

/** An insertion point this close to an excavation is in it, ft. */
const leastShare_ft = 0.01;

/** Total quantity of the price lines at some rates. */
const quantityOf = (
  prices: readonly Pick<Cleanout['prices'][number], 'from' | 'quantity'>[],
  counts: (from: string) => boolean,
): number => prices.filter(({ from }) => counts(from)).reduce((sum, { quantity }) => sum + quantity, 0);

const isHard = (surface: string): boolean => surfaceRow(surface as SurfaceKind).pavement ?? false;
/** People or traffic pass over it. */
const mustClose = (surface: string): boolean => {
  const { driven, pavement } = surfaceRow(surface as SurfaceKind);
  return (driven ?? false) || surface === 'sidewalk' || (pavement ?? false);
};

const inHours = (min: number) => ({
  label: 'In hours',
  expression: `${plain(min, 1)} ÷ 60 = ${plain(min / 60)}`,
});
