import { materialRegistry } from '../catalog/materials.js';
import type { Method } from '../job/vocabulary.js';
import { subtract } from '../line/intervals.js';
import type { Warning } from '../warning.js';
import type { LineWay, ScopedLine } from '../solve/way.js';

/** What a person must know of a line before any scope: how it was laid out, graded, and what nobody said. */
export function lineWarnings({ model, condition: judged }: ScopedLine): Warning[] {
  const bare = subtract([model.extent], model.surfaces);
  return [
    ...model.warnings,
    ...judged.warnings,
    ...(bare.length > 0
      ? [
          {
            rule: 'surface-unknown',
            line: model.line.id,
            at_ft: bare[0]?.from_ft ?? 0,
            message: 'nobody said what lies on top of some of this line: it is priced as lawn',
          },
        ]
      : []),
  ];
}

/** What the crew must know about a chosen plan. */
export function planWarnings({ line, prepared, chosen }: LineWay): Warning[] {
  if (!chosen) return [];
  const { track } = prepared.possible;
  const id = line.model.line.id;
  const first = (flag: (cell: (typeof track.cells)[number], method: Method) => boolean) =>
    track.cells.find((cell, i) => flag(cell, chosen.layout.cells[i]?.method ?? 'leave'))?.from_ft;
  const warnings: [string, string, number | undefined][] = [
    [
      'soft-pipe',
      'fibre pipe is cleaned here: no cutting blade, no high pressure',
      first(
        (cell, method) => method === 'clean' && materialRegistry.row(cell.pipe.material).softens === true,
      ),
    ],
    [
      'dug-unseen',
      'pipe that nobody saw is replaced here: what is found may change the ends',
      first((cell, method) => !cell.seen && method !== 'leave' && method !== 'clean'),
    ],
    [
      'asbestos-cement-dust',
      'asbestos cement is cut here: wet, no saw, licensed handling of the pieces',
      first(
        (cell, method) =>
          materialRegistry.row(cell.pipe.material).hazardousDust === true &&
          method !== 'leave' &&
          method !== 'clean',
      ),
    ],
    [
      'left-unseen',
      'left as it is without having been seen',
      first((cell, method) => !cell.seen && (method === 'leave' || method === 'clean')),
    ],
  ];
  return warnings.flatMap(([rule, message, at_ft]) =>
    at_ft === undefined ? [] : [{ rule, line: id, at_ft, message }],
  );
}
