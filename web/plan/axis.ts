import { taskKindRow } from '../../core/plan/kinds.js';
import type { Plan } from '../../core/plan/plan.js';

/** Width of a working day, px; a day with only phone calls is narrower. */
const day_px = 288;
const call_px = 96;
/** Working days side by side; days off between them are left out. */
export interface Axis {
  readonly columns: readonly {
    readonly index: number;
    readonly x: number;
    readonly width: number;
    readonly gap: boolean;
  }[];
  readonly width: number;
  x(slot: number): number;
  slotAt(x: number): number;
}

export function axisOf({ tasks, calendar }: Plan): Axis {
  const { slotsPerDay } = calendar;
  const used = new Map<number, boolean>();
  for (const { kind, from, to } of tasks)
    for (let day = Math.floor(from / slotsPerDay); day * slotsPerDay < to; day++)
      used.set(day, (used.get(day) ?? true) && (taskKindRow(kind).office ?? false));
  const days = [...used.keys()].sort((a, b) => a - b);
  // One more day, to drag to.
  const spare = (days.at(-1) ?? -1) + 1;
  let x = 0;
  const columns = [...days, spare].map((index, i, all) => {
    const width = used.get(index) ? call_px : day_px;
    const column = { index, x, width, gap: i > 0 && (all[i - 1] ?? 0) !== index - 1 };
    x += width;
    return column;
  });
  const columnOf = (slot: number) => {
    const index = Math.floor(slot / slotsPerDay);
    return columns.findLast((each) => each.index <= index) ?? columns[0];
  };
  return {
    columns,
    width: x,
    x: (slot) => {
      const column = columnOf(slot);
      return column
        ? column.x + (Math.min(slotsPerDay, slot - column.index * slotsPerDay) / slotsPerDay) * column.width
        : 0;
    },
    slotAt: (at) => {
      const column = columns.findLast((each) => each.x <= Math.max(0, at)) ?? columns[0];
      if (!column) return 0;
      const inDay = Math.round(((at - column.x) / column.width) * slotsPerDay);
      return column.index * slotsPerDay + Math.min(slotsPerDay - 1, Math.max(0, inDay));
    },
  };
}
