/** A task of a schedule. Times are slots of working time, counted from 0 at the start of the first day. */
export interface ScheduleTask {
  /** At least 1. */
  readonly duration: number;
  /** Units of each resource it occupies while it runs. */
  readonly needs: readonly number[];
  /** Predecessors, each with the first slot allowed after it, by the slot it is finished at. */
  readonly after: readonly { readonly task: number; readonly opens: (end: number) => number }[];
  /** It may not run past the end of a day. */
  readonly oneGo: boolean;
  /** It must start at this slot. */
  readonly at?: number;
}

export interface ScheduleProblem {
  readonly tasks: readonly ScheduleTask[];
  /** Available units of each resource. */
  readonly capacity: readonly number[];
  readonly slotsPerDay: number;
  /** Groups of tasks that must all be done within one day. */
  readonly sameDay: readonly (readonly number[])[];
}

export interface Schedule {
  /** First slot of each task. */
  readonly starts: readonly number[];
  /** Slot by which everything is finished. */
  readonly finish: number;
  /** No schedule finishes sooner. */
  readonly least: number;
  /** Whether that was proven. */
  readonly proven: boolean;
}

/** Schedules examined before the search gives up on a proof, and says so. */
const mostVisits = 20_000;

/**
 * The schedule that finishes first, by branch and bound over moments: at each, tasks that may start do or wait for the
 * next moment at which anything changes. Undefined where none keeps all the rules.
 *
 * Some schedule that finishes first starts every task at such a moment: one that starts in between may start sooner. What
 * remains depends only on what runs, what is finished and which groups are open, so a state met before is not entered
 * again. Resource-constrained project scheduling, with calendars.
 */
export function earliestSchedule(problem: ScheduleProblem, visits = mostVisits): Schedule | undefined {
  const search = new Search(problem, visits);
  return search.run();
}

class Search {
  private readonly starts: number[];
  private readonly order: readonly number[];
  private readonly groupsOf: readonly (readonly number[])[];
  private readonly rank: readonly number[];
  private readonly tails: readonly number[];
  private readonly horizon: number;
  private readonly seen = new Set<string>();
  private best: { starts: number[]; finish: number } | undefined;
  private visited = 0;

  constructor(
    private readonly problem: ScheduleProblem,
    private readonly most: number,
  ) {
    const { tasks, sameDay } = problem;
    this.starts = tasks.map(() => -1);
    this.order = inOrder(tasks);
    this.groupsOf = tasks.map((_, i) => sameDay.flatMap((group, g) => (group.includes(i) ? [g] : [])));
    const tails = tailsOf(tasks, this.order);
    this.tails = tails;
    this.rank = tasks.map((_, i) => i).sort((a, b) => (tails[b] ?? 0) - (tails[a] ?? 0) || a - b);
    this.horizon = horizonOf(problem);
  }

  run(): Schedule | undefined {
    const { tasks, capacity } = this.problem;
    if (tasks.length === 0) return { starts: [], finish: 0, least: 0, proven: true };
    if (tasks.some(({ needs }) => needs.some((need, r) => need > (capacity[r] ?? 0)))) return undefined;
    const least = this.bound(0);
    if (!Number.isFinite(least)) return undefined;
    this.visit(0, 0, least);
    if (!this.best) return undefined;
    const proven = this.visited < this.most || this.best.finish <= least;
    return { ...this.best, least: proven ? this.best.finish : least, proven };
  }

  private end(task: number): number {
    return (this.starts[task] ?? 0) + (this.problem.tasks[task]?.duration ?? 0);
  }

  /** `from` is the rank from which tasks may still start at this moment. */
  private visit(now: number, from: number, least: number): void {
    if (this.visited >= this.most * (this.best ? 1 : 20)) return;
    const { tasks } = this.problem;
    if (this.starts.every((start) => start >= 0)) {
      const finish = Math.max(...tasks.map((_, i) => this.end(i)));
      if (!this.best || finish < this.best.finish) this.best = { starts: [...this.starts], finish };
      return;
    }
    const bound = this.bound(now);
    if (bound >= (this.best?.finish ?? this.horizon)) return;
    const key = this.key(now, from);
    if (this.seen.has(key)) return;
    this.seen.add(key);
    this.visited++;
    for (let place = from; place < this.rank.length; place++) {
      const task = this.rank[place] ?? 0;
      if (!this.mayStart(task, now)) continue;
      this.starts[task] = now;
      this.visit(now, place + 1, least);
      this.starts[task] = -1;
      if (this.best && this.best.finish <= least) return;
    }
    const next = this.next(now);
    if (Number.isFinite(next)) this.visit(next, 0, least);
  }

  /** First slot allowed by its predecessors; infinite where one of them is not scheduled yet. */
  private earliest(task: number): number {
    const { tasks } = this.problem;
    let slot = 0;
    for (const { task: before, opens } of tasks[task]?.after ?? []) {
      if ((this.starts[before] ?? -1) < 0) return Infinity;
      slot = Math.max(slot, opens(this.end(before)));
    }
    return slot;
  }

  private mayStart(task: number, now: number): boolean {
    const { tasks, capacity, slotsPerDay } = this.problem;
    const each = tasks[task];
    if (!each || (this.starts[task] ?? -1) >= 0 || this.earliest(task) > now) return false;
    if (each.at !== undefined && each.at !== now) return false;
    const day = Math.floor(now / slotsPerDay);
    const lastDay = Math.floor((now + each.duration - 1) / slotsPerDay);
    if (each.oneGo && lastDay !== day) return false;
    const groups = this.groupsOf[task] ?? [];
    if (groups.length > 0 && (lastDay !== day || groups.some((group) => this.dayOf(group, day) !== day)))
      return false;
    return capacity.every((most, resource) => {
      const need = each.needs[resource] ?? 0;
      return need === 0 || this.takenAt(now, resource) + need <= most;
    });
  }

  /** Units of a resource in use. Tasks start in time order, so use at a new task's start is its maximum. */
  private takenAt(now: number, resource: number): number {
    let taken = 0;
    this.problem.tasks.forEach((task, i) => {
      if ((this.starts[i] ?? -1) >= 0 && this.end(i) > now) taken += task.needs[resource] ?? 0;
    });
    return taken;
  }

  /** The day a group was started on; `otherwise` where it was not. */
  private dayOf(group: number, otherwise: number): number {
    const first = this.problem.sameDay[group]?.find((task) => (this.starts[task] ?? -1) >= 0);
    return first === undefined ? otherwise : Math.floor((this.starts[first] ?? 0) / this.problem.slotsPerDay);
  }

  /** The next moment at which a task ends, may start or must start, or a day begins. */
  private next(now: number): number {
    const { tasks, slotsPerDay } = this.problem;
    let next = Infinity;
    const take = (slot: number) => {
      if (slot > now && slot < next) next = slot;
    };
    tasks.forEach((task, i) => {
      if ((this.starts[i] ?? -1) >= 0) take(this.end(i));
      else {
        const earliest = this.earliest(i);
        if (Number.isFinite(earliest)) take(earliest);
        if (task.at !== undefined) take(task.at);
      }
    });
    if (this.starts.some((start) => start < 0)) take((Math.floor(now / slotsPerDay) + 1) * slotsPerDay);
    return next;
  }

  /** Lower bound for any schedule continuing from here; infinite where none does. */
  private bound(now: number): number {
    const { tasks, capacity } = this.problem;
    const from: number[] = tasks.map(() => 0);
    const ends: number[] = tasks.map(() => 0);
    let least = 0;
    for (const i of this.order) {
      const start = this.starts[i] ?? -1;
      from[i] = start >= 0 ? start : this.soonest(i, now, ends);
      if (from[i] === Infinity) return Infinity;
      ends[i] = (from[i] ?? 0) + (tasks[i]?.duration ?? 0);
      least = Math.max(least, ends[i] ?? 0);
    }
    return capacity.reduce((most, _, r) => Math.max(most, this.workBound(r, now, from)), least);
  }

  /** Lower bound for the start of each unscheduled task, whatever the others use. */
  private soonest(i: number, now: number, ends: readonly number[]): number {
    const { tasks, slotsPerDay } = this.problem;
    const task = tasks[i];
    if (!task) return Infinity;
    let slot = now;
    for (const { task: before, opens } of task.after) slot = Math.max(slot, opens(ends[before] ?? 0));
    if (task.at !== undefined) {
      if (task.at < slot) return Infinity;
      slot = task.at;
    }
    const inDay = slot % slotsPerDay;
    const groups = this.groupsOf[i] ?? [];
    if ((task.oneGo || groups.length > 0) && inDay + task.duration > slotsPerDay) {
      if (task.at !== undefined || task.duration > slotsPerDay) return Infinity;
      slot += slotsPerDay - inDay;
    }
    const day = Math.floor(slot / slotsPerDay);
    return groups.some((group) => this.dayOf(group, day) < day) ? Infinity : slot;
  }

  /** A resource's remaining work, none of it before its first task, plus what must follow its last. */
  private workBound(r: number, now: number, from: readonly number[]): number {
    const { tasks, capacity } = this.problem;
    let first = Infinity;
    let follows = Infinity;
    tasks.forEach(({ needs, duration }, i) => {
      if ((this.starts[i] ?? -1) >= 0 || (needs[r] ?? 0) === 0) return;
      first = Math.min(first, from[i] ?? 0);
      follows = Math.min(follows, (this.tails[i] ?? 0) - duration);
    });
    if (first === Infinity) return 0;
    let work = 0;
    tasks.forEach(({ needs, duration }, i) => {
      const runs = (this.starts[i] ?? -1) >= 0 ? Math.max(0, this.end(i) - Math.max(first, now)) : duration;
      work += (needs[r] ?? 0) * runs;
    });
    return first + Math.ceil(work / (capacity[r] ?? 1)) + follows;
  }

  /** The open decisions and their timing: two partial schedules that agree in this continue alike. */
  private key(now: number, from: number): string {
    const { tasks, sameDay } = this.problem;
    const open = tasks.map((_, i) =>
      (this.starts[i] ?? -1) < 0 ? '' : this.end(i) > now ? this.end(i) : '.',
    );
    // A finished task may still delay successors whose other predecessors are done.
    const held = tasks.map((task, i) =>
      (this.starts[i] ?? -1) >= 0
        ? ''
        : Math.max(
            now,
            ...task.after
              .filter(({ task: before }) => (this.starts[before] ?? -1) >= 0)
              .map(({ task: before, opens }) => opens(this.end(before))),
          ),
    );
    const days = sameDay.map((group, g) =>
      group.every((task) => (this.starts[task] ?? -1) >= 0) ? '' : this.dayOf(g, -1),
    );
    return [now, from, open.join(','), held.join(','), days.join(',')].join(';');
  }
}

/** Upper bound on the length: one task after another, each with its wait and two days to spare. */
function horizonOf({ tasks, slotsPerDay }: ScheduleProblem): number {
  const days = tasks.map(
    ({ duration, after }) => duration + after.reduce((sum, { opens }) => sum + opens(0), 0) + 2 * slotsPerDay,
  );
  const last = Math.max(0, ...tasks.map(({ at = 0 }) => at));
  return last + days.reduce((sum, each) => sum + each, 0);
}

/** Tasks in topological order. Throws on a cycle. */
function inOrder(tasks: readonly ScheduleTask[]): number[] {
  const order: number[] = [];
  const state = tasks.map(() => 'new');
  const place = (i: number) => {
    if (state[i] === 'done') return;
    if (state[i] === 'open') throw new Error(`task ${i} waits for itself`);
    state[i] = 'open';
    tasks[i]?.after.forEach(({ task }) => {
      place(task);
    });
    state[i] = 'done';
    order.push(i);
  };
  tasks.forEach((_, i) => {
    place(i);
  });
  return order;
}

/** Working time from the start of each task to the end of the longest chain after it. */
function tailsOf(tasks: readonly ScheduleTask[], order: readonly number[]): number[] {
  const tails = tasks.map(({ duration }) => duration);
  for (const i of [...order].reverse())
    for (const { task } of tasks[i]?.after ?? [])
      tails[task] = Math.max(tails[task] ?? 0, (tasks[task]?.duration ?? 0) + (tails[i] ?? 0));
  return tails;
}
