import { stickLengths_ft } from '../catalog/sticks.js';
import type { Rules } from '../job/rules-schema.js';
import type { Material } from '../job/vocabulary.js';
import { coupling, type Coupling } from '../pipe/couplings.js';
import { cutList, type Piece, type Stick } from '../pipe/cut-list.js';
import { boreAtBreak, closingPipe_ft } from './hole-costs.js';
import type { Action } from './layout.js';
import type { Track } from './track.js';
import type { LineWay } from './way.js';

/** What a job buys by the piece: sticks with what is cut from each, and couplings by both outside diameters. */
export interface Buy {
  readonly sticks: readonly (Stick & { item: string; material: Material; diameter_in: number })[];
  readonly couplings: readonly (Coupling & { line: string; what: string })[];
}

/** Let go at each coupling, ft: the pipe does not quite meet. Common practice. */
const couplingGap_ft = 1 / 4 / 12;

/** Sticks are cut over the whole job at once, one material and bore at a time. */
export function buyOf(lines: readonly LineWay[], rules: Rules): Buy {
  const pieces = new Map<string, { material: Material; diameter_in: number; pieces: Piece[] }>();
  const couplings: Buy['couplings'][number][] = [];
  const need = (material: Material, bore_in: number, piece: Piece) => {
    const item = `${material} ${bore_in} in`;
    const known = pieces.get(item) ?? { material, diameter_in: bore_in, pieces: [] };
    known.pieces.push(piece);
    pieces.set(item, known);
  };
  for (const { chosen, prepared } of lines) {
    const { track } = prepared.possible;
    const line = track.model.line.id;
    for (const action of chosen?.layout.actions ?? []) {
      if (action.entry_ft !== null) continue;
      const material = action.method === 'burst' ? 'hdpe' : rules.newPipe;
      for (const piece of newPipeOf(track, action)) need(material, piece.bore_in, piece);
      for (const end of [action.fromBreak, action.toBreak]) {
        const inside = track.cells[end === action.fromBreak ? end : end - 1];
        const outside = track.cells[end === action.fromBreak ? end - 1 : end] ?? inside;
        if (!inside || !outside) continue;
        const laid = { material, diameter_in: inside.pipe.diameter_in };
        couplings.push({ ...coupling(track.breaks[end] ?? 0, outside.pipe, laid), line, what: action.id });
      }
    }
    for (const hole of chosen?.layout.holes ?? []) {
      for (const at of hole.closings) {
        const bore_in = boreAtBreak(track, at);
        const x = track.breaks[at] ?? 0;
        need(rules.newPipe, bore_in, {
          length_ft: closingPipe_ft - 2 * couplingGap_ft,
          what: `close ${hole.id}`,
        });
        for (const side of [-1, 1]) {
          const existing = (track.cells[side < 0 ? at - 1 : at] ?? track.cells[at - 1])?.pipe;
          if (!existing) continue;
          const laid = { material: rules.newPipe, diameter_in: bore_in };
          couplings.push({
            ...coupling(x + (side * closingPipe_ft) / 2, existing, laid),
            line,
            what: `close ${hole.id}`,
          });
        }
      }
    }
  }
  return {
    sticks: [...pieces].flatMap(([item, { material, diameter_in, pieces: all }]) =>
      cutList(all, stickLengths_ft[material] ?? [20]).map((stick) => ({
        item,
        material,
        diameter_in,
        ...stick,
      })),
    ),
    couplings,
  };
}

/** New pipe of an action, one piece a bore; what is rehung is not bought. */
function newPipeOf(track: Track, action: Action): (Piece & { bore_in: number })[] {
  const byBore = new Map<number, number>();
  for (const cell of track.cells.slice(action.fromBreak, action.toBreak)) {
    if (action.method === 'regrade' && cell.closedTo === 'crawl-space') continue;
    const bore = cell.pipe.diameter_in;
    byBore.set(bore, (byBore.get(bore) ?? 0) + cell.to_ft - cell.from_ft);
  }
  const ends = byBore.size === 0 ? 0 : 2 / byBore.size;
  return [...byBore].map(([bore_in, length_ft]) => ({
    bore_in,
    length_ft: Math.max(0, length_ft - ends * couplingGap_ft),
    what: `${action.id}, ${bore_in} in`,
  }));
}
