import { materialRegistry } from '../catalog/materials.js';
import { holeLetter, type Hole } from '../excavation/hole.js';
import { plain } from '../figure.js';
import type { Rules } from '../job/rules.js';
import type { Material } from '../job/vocabulary.js';
import { closingPipe_ft } from '../methods/entry.js';
import { methodName, workOf } from '../methods/index.js';
import type { Action, Work } from '../methods/method.js';
import { subtract, union, type Interval } from '../line/intervals.js';
import { coupling, type Coupling } from '../pipe/couplings.js';
import { fittingNames, layLength, type Fitting } from '../pipe/fittings.js';
import { cutList, type Piece, type Stick } from '../pipe/cut-list.js';
import type { LineSolution } from '../solve/solution.js';
import { boreAtBreak, feetByBore, type Track } from '../track/track.js';

/** Everything a job buys by the piece: sticks with the cuts from each, and couplings by both outside diameters. */
export interface Buy {
  readonly sticks: readonly (Stick & { item: string; material: Material; diameter_in: number })[];
  readonly couplings: readonly BoughtCoupling[];
  readonly fittings: readonly BoughtFitting[];
  /** Where there were too many pieces to prove the plan optimal: what it buys, and a lower bound for any plan, ft. */
  readonly notProven: readonly {
    readonly item: string;
    readonly bought_ft: number;
    readonly least_ft: number;
  }[];
}

type BoughtCoupling = Coupling & { line: string; what: string };
/** A fitting with the name it is bought by. */
export type BoughtFitting = Fitting & { line: string; what: string; item: string };

/** A piece of pipe to be cut, and the couplings at its ends. */
interface PipeNeed {
  readonly pieces: readonly {
    readonly material: Material;
    readonly bore_in: number;
    readonly piece: Piece;
  }[];
  readonly couplings: readonly BoughtCoupling[];
  readonly fittings: readonly BoughtFitting[];
}

/** Gap per coupling, ft. Common practice. */
const couplingGap_ft = 1 / 4 / 12;

/** Sticks are cut for the whole job together, one material and bore at a time. */
export function buyOf(lines: readonly LineSolution[], rules: Rules): Buy {
  const wanted = lines.flatMap(({ chosen, prepared }, index): PipeNeed[] => {
    const { track } = prepared.possible;
    const { line } = track.model;
    const where = lines.length > 1 ? `, ${line.name ?? `line ${index + 1}`}` : '';
    return [
      ...(chosen?.layout.actions ?? []).flatMap((action) => {
        const { newPipe } = workOf(action.method);
        return newPipe ? [forAction(track, action, newPipe, rules, where, chosen?.layout.holes ?? [])] : [];
      }),
      ...(chosen?.layout.holes ?? []).flatMap((hole) =>
        hole.closings.map((at) => forClosing(track, hole, at, rules, where)),
      ),
    ];
  });
  const byItem = new Map<string, { material: Material; diameter_in: number; pieces: Piece[] }>();
  for (const { material, bore_in, piece } of wanted.flatMap(({ pieces }) => pieces)) {
    const item = `${material} ${bore_in} in`;
    const known = byItem.get(item) ?? { material, diameter_in: bore_in, pieces: [] };
    known.pieces.push(piece);
    byItem.set(item, known);
  }
  const plans = [...byItem].map(([item, { material, diameter_in, pieces }]) => ({
    item,
    material,
    diameter_in,
    ...cutList(pieces, sticksOf(material)),
  }));
  return {
    sticks: plans.flatMap(({ item, material, diameter_in, sticks }) =>
      sticks.map((stick) => ({ item, material, diameter_in, ...stick })),
    ),
    couplings: wanted.flatMap(({ couplings }) => couplings),
    fittings: wanted.flatMap(({ fittings }) => fittings),
    notProven: plans.flatMap(({ item, bought_ft, least_ft }) =>
      bought_ft > least_ft ? [{ item, bought_ft, least_ft }] : [],
    ),
  };
}

const sticksOf = (material: Material): readonly number[] => materialRegistry.row(material).sticks_ft ?? [20];

/** New pipe of an action, one piece per bore, and a coupling at each end. */
function forAction(
  track: Track,
  action: Action,
  newPipe: NonNullable<Work['newPipe']>,
  rules: Rules,
  where: string,
  holes: readonly Hole[],
): PipeNeed {
  const material = newPipe.material(rules);
  const cells = track.cells.slice(action.fromBreak, action.toBreak).filter((cell) => newPipe.buys(cell));
  const fittings = workOf(action.method).fittings?.(track, action) ?? [];
  const pulled = pulledWhole(track, action, holes);
  const runs =
    pulled ??
    [...feetByBore(cells).keys()].flatMap((bore_in) =>
      piecesBetween(union(cells.filter(({ pipe }) => pipe.diameter_in === bore_in)), fittings).map(
        (length_ft) => ({ bore_in, length_ft }),
      ),
    );
  const gaps_ft = runs.length === 0 ? 0 : (2 / runs.length) * couplingGap_ft;
  const line = track.model.line.id;
  const purpose = `${methodName(action.method).toLowerCase()} ${plain(action.from_ft, 1)} to ${plain(action.to_ft, 1)}${where}`;
  return {
    fittings: fittings.map((fitting) => ({
      ...fitting,
      line,
      what: action.id,
      item: `${fittingNames[fitting.kind]}, ${fitting.diameter_in} in${fitting.degrees === undefined ? '' : `, ${fitting.degrees}°`}`,
    })),
    pieces: runs.map(({ bore_in, length_ft }) => ({
      material,
      bore_in,
      piece: { length_ft: Math.max(0, length_ft - gaps_ft), what: purpose },
    })),
    // Pipe that is only rehung is not cut.
    couplings: (cells.length === 0 ? [] : [action.fromBreak, action.toBreak]).flatMap((end) => {
      const inside = track.cells[end === action.fromBreak ? end : end - 1];
      const outside = track.cells[end === action.fromBreak ? end - 1 : end] ?? inside;
      if (!inside || !outside) return [];
      const laid = { material, diameter_in: inside.pipe.diameter_in };
      return [{ ...coupling(track.breaks[end] ?? 0, outside.pipe, laid), line, what: action.id }];
    }),
  };
}

/** Pipe pulled through a burst is one piece, including its feet in the pits; branches are reconnected afterward. */
function pulledWhole(track: Track, action: Action, holes: readonly Hole[]) {
  const work = workOf(action.method);
  if (work.kind !== 'burst') return undefined;
  const { pipe } = work.order(track, action, holes);
  return pipe && [{ bore_in: pipe.diameter_in, length_ft: pipe.laid.value }];
}

/** Lengths of pipe between fittings, each fitting taking half its lay length on either side of its station. */
function piecesBetween(stretches: readonly Interval[], fittings: readonly Fitting[]): number[] {
  const taken = fittings.map((fitting) => ({
    from_ft: fitting.at_ft - layLength(fitting) / 2,
    to_ft: fitting.at_ft + layLength(fitting) / 2,
  }));
  return subtract(stretches, taken)
    .map(({ from_ft, to_ft }) => to_ft - from_ft)
    .filter((length_ft) => length_ft > couplingGap_ft);
}

/** The pipe that closes a launch pit, and its two couplings. */
function forClosing(track: Track, hole: Hole, at: number, rules: Rules, where: string): PipeNeed {
  const bore_in = boreAtBreak(track, at);
  const what = `closing excavation ${holeLetter(hole.id)}${where}`;
  const laid = { material: rules.newPipe, diameter_in: bore_in };
  return {
    fittings: [],
    pieces: [
      {
        material: rules.newPipe,
        bore_in,
        piece: { length_ft: closingPipe_ft - 2 * couplingGap_ft, what },
      },
    ],
    couplings: [-1, 1].flatMap((side) => {
      // At an end of the line the pipe goes on beyond it as it is within.
      const [beside, within] = side < 0 ? [at - 1, at] : [at, at - 1];
      const existing = (track.cells[beside] ?? track.cells[within])?.pipe;
      if (!existing) return [];
      const station_ft = (track.breaks[at] ?? 0) + (side * closingPipe_ft) / 2;
      return [{ ...coupling(station_ft, existing, laid), line: track.model.line.id, what }];
    }),
  };
}
