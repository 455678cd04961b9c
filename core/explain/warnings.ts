import { materialRegistry } from '../catalog/materials.js';
import { hasCleanout } from '../cleanouts/cleanouts.js';
import { surfaceRow } from '../catalog/surfaces.js';
import { holeLetter } from '../excavation/hole.js';
import { isInTheWay } from '../excavation/hole-sheet.js';
import type { Method } from '../job/vocabulary.js';
import { intersect, overlaps, subtract, type Interval } from '../line/intervals.js';
import type { LineModel } from '../line/model.js';
import { plain } from '../figure.js';
import { workOf } from '../methods/index.js';
import { isReopened, runsIn } from '../track/liner-passes.js';
import { turnOf } from '../track/turns.js';
import { longestCell_ft, mostParts } from '../track/breaks.js';
import { pointsInside, type Cell } from '../track/track.js';
import type { Warning } from '../warning.js';
import type { LineSolution, ScopedLine } from '../solve/solution.js';
import { toLocate } from './unseen.js';

/** What to know about a line before any scope: how it was laid out and graded, and which facts are missing. */
export function lineWarnings({ model, condition: judged }: ScopedLine): Warning[] {
  const bare = subtract([model.extent], model.surfaces);
  const isDanger = ({ rule }: Warning) => rule === 'danger';
  return [
    ...judged.warnings.filter(isDanger),
    ...model.warnings,
    ...judged.warnings.filter((warning) => !isDanger(warning)),
    ...(hasCleanout(model)
      ? []
      : [
          {
            rule: 'no-cleanout',
            line: model.line.id,
            message:
              'no cleanout serves this line: one is in the scope or offered beside it where the ground allows',
          },
        ]),
    ...(longestCell_ft(model.extent) > 1
      ? [
          {
            rule: 'very-long-line',
            line: model.line.id,
            at_ft: model.extent.from_ft,
            message: `this line is over ${mostParts} ft long: it is calculated in steps of ${longestCell_ft(model.extent).toFixed(1)} ft instead of foot by foot`,
          },
        ]
      : []),
    ...bareUnderBuilding(model, bare),
    ...(bare.length > 0
      ? [
          {
            rule: 'surface-unknown',
            line: model.line.id,
            at_ft: bare[0]?.from_ft ?? 0,
            message: 'the surface over part of this line was not entered: it is priced as lawn',
          },
        ]
      : []),
  ];
}

/** Up to the wall of a building a line may lie under its floor, which costs more to open than a lawn. */
function bareUnderBuilding({ line, points, extent }: LineModel, bare: readonly Interval[]): Warning[] {
  const [wall, another] = points.filter(({ point }) => point.kind === 'building');
  if (!wall || another) return [];
  const upToWall = { from_ft: extent.from_ft, to_ft: wall.at.station_ft };
  const first = intersect(bare, [upToWall]).find(({ from_ft, to_ft }) => to_ft - from_ft >= 1);
  if (!first) return [];
  const where = `${plain(first.from_ft, 1)} to ${plain(first.to_ft, 1)} ft`;
  return [
    {
      rule: 'surface-under-building',
      line: line.id,
      at_ft: first.from_ft,
      message: `${where}, up to the building wall, has no surface entered and is priced as lawn. If it lies under the house, enter “building” for a floor that would have to be opened, or “crawl space”`,
    },
  ];
}

/** What the crew must know about a chosen plan. */
export function planWarnings(lineSolution: LineSolution): Warning[] {
  const { line, prepared, chosen } = lineSolution;
  if (!chosen) return [];
  const { track } = prepared.possible;
  const id = line.model.line.id;
  const first = (flag: (cell: Cell, method: Method) => boolean) =>
    track.cells.find((cell, i) => flag(cell, chosen.layout.cells[i]?.method ?? 'leave'))?.from_ft;
  const works = (method: Method) => method !== 'leave' && method !== 'clean';
  const hazardous = (cell: Cell) => materialRegistry.row(cell.pipe.material).hazardousDust === true;
  const softens = (cell: Cell) => materialRegistry.row(cell.pipe.material).softens === true;
  const warnings: [string, string, number | undefined][] = [
    [
      'soft-pipe',
      'bituminous fiber pipe is cleaned here: no cutting blade, no high pressure',
      first((cell, method) => method === 'clean' && softens(cell)),
    ],
    [
      'dug-unseen',
      'unseen pipe is replaced here: what is found may change the ends',
      first((cell, method) => !cell.seen && works(method)),
    ],
    [
      'asbestos-cement-dust',
      'asbestos cement is cut here: wet, no saw, licensed handling of the pieces',
      first((cell, method) => hazardous(cell) && works(method)),
    ],
    ['left-unseen', 'left as it is, unseen', first((cell, method) => !cell.seen && method === 'leave')],
    [
      'cleaned-unseen',
      'cleaned but not seen: re-inspect it afterward',
      first((cell, method) => !cell.seen && method === 'clean'),
    ],
    [
      'shallow-cover',
      'less than 1 ft of cover, or less than 2 ft under wheels: protect the pipe, or lay it deeper',
      first((cell, method) => works(method) && isShallow(cell)),
    ],
    [
      'neighbor-consent',
      'work on the neighbor’s ground: the price holds only with the neighbor’s written consent',
      onNeighbor(lineSolution),
    ],
  ];
  return [
    ...warnings.flatMap(([rule, message, at_ft]) =>
      at_ft === undefined ? [] : [{ rule, line: id, at_ft, message }],
    ),
    ...linerWarnings(lineSolution),
    ...digWarnings(lineSolution),
    ...cleaningWarnings(lineSolution),
  ];
}

const leastCover_ft = { usual: 1, driven: 2 } as const;

function isShallow({ inverts_ft: [least_ft], pipe, surface, closedTo }: Cell): boolean {
  if (closedTo !== undefined && closedTo !== 'no-dig') return false;
  const cover_ft = least_ft - pipe.diameter_in / 12;
  return cover_ft < (surfaceRow(surface).driven ? leastCover_ft.driven : leastCover_ft.usual);
}

/** Where an excavation or an action lies on a neighbor's ground. */
function onNeighbor({ prepared, chosen }: LineSolution): number | undefined {
  if (!chosen) return undefined;
  const { cells: laid, holes } = chosen.layout;
  return prepared.possible.track.cells.find(
    (cell, i) =>
      cell.owner === 'neighbour' && (laid[i]?.action !== null || holes.some((hole) => overlaps(hole, cell))),
  )?.from_ft;
}

/** Bends not measured, running water, and cleanouts inside a liner. */
function linerWarnings({ line, prepared, chosen }: LineSolution): Warning[] {
  const { track } = prepared.possible;
  const liners = (chosen?.layout.actions ?? []).filter(({ method }) => workOf(method).kind === 'liner');
  const at = (rule: string, at_ft: number, message: string): Warning => ({
    rule,
    line: line.model.line.id,
    at_ft,
    message,
  });
  return liners.flatMap((liner) => [
    ...pointsInside(track, liner)
      .filter(({ point }) => turnOf(point).unknown)
      .map(({ at: { station_ft } }) =>
        at(
          'bend-not-measured',
          station_ft,
          `the bend at ${station_ft.toFixed(1)} ft was not measured: it counts as 45° in the liner`,
        ),
      ),
    ...pointsInside(track, liner)
      .filter((placed) => placed.point.kind === 'cleanout' && isReopened(placed))
      .map(({ at: { station_ft } }) =>
        at(
          'cleanout-in-liner',
          station_ft,
          `the liner runs past the cleanout at ${station_ft.toFixed(1)} ft: it is reopened once the resin has cured`,
        ),
      ),
    ...track.condition.findings
      .filter((finding) => runsIn(finding) && overlaps(finding.place, liner))
      .map(({ placed }) =>
        at(
          'stop-the-water',
          placed.from_ft,
          `water runs in at ${placed.from_ft.toFixed(1)} ft: stop it before the liner goes in`,
        ),
      ),
    ...(chosen?.cleanouts ?? [])
      .filter(
        ({ status, station_ft }) =>
          status === 'new' && station_ft > liner.from_ft && station_ft < liner.to_ft,
      )
      .map(({ station_ft }) =>
        at(
          'cleanout-before-liner',
          station_ft,
          `the new cleanout at ${station_ft.toFixed(1)} ft is set before the liner, which is opened there once it has cured`,
        ),
      ),
  ]);
}

/** Fittings to measure first, an unknown fall, and utilities that conflict with an excavation. */
function digWarnings({ line, prepared, chosen }: LineSolution): Warning[] {
  const { track } = prepared.possible;
  const { id } = line.model.line;
  const actions = chosen?.layout.actions ?? [];
  const sags = toLocate(line);
  return [
    ...actions.flatMap((action) =>
      (workOf(action.method).fittings?.(track, action) ?? [])
        .filter(({ measure }) => measure)
        .map(({ at_ft }) => ({
          rule: 'measure-first',
          line: id,
          at_ft,
          message: `nobody measured the bend at ${at_ft.toFixed(1)} ft: measure it before its fitting is bought`,
        })),
    ),
    ...actions
      .filter(
        (action) => workOf(action.method).kind === 'dig' && sags.some(({ place }) => overlaps(place, action)),
      )
      .map(({ from_ft }) => ({
        rule: 'fall-unknown',
        line: id,
        at_ft: from_ft,
        message:
          'fewer than two depths were located: this price is provisional until both ends of the belly are',
      })),
    ...(chosen?.layout.holes ?? []).flatMap((hole) =>
      line.model.crossings
        .filter(({ station_ft }) => isInTheWay(station_ft, hole))
        .map(({ station_ft, utility }) => ({
          rule: 'hand-dig',
          line: id,
          at_ft: station_ft,
          message: `${utility} crosses at ${station_ft.toFixed(1)} ft, in or beside excavation ${holeLetter(hole.id)}: locate it and dig by hand`,
        })),
    ),
  ];
}

function cleaningWarnings({ line, chosen }: LineSolution): Warning[] {
  const { visit } = chosen?.layout ?? {};
  if (!visit || visit.fits) return [];
  return [
    {
      rule: 'no-way-in-for-cleaning',
      line: line.model.line.id,
      at_ft: visit.from_ft,
      message:
        'no access point is wide and near enough for the cleaning tool: it is priced from where the camera went in; a cleanout is needed, or a smaller tool',
    },
  ];
}
