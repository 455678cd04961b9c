import { holeLetter } from '../../core/excavation/hole.js';
import { methodName } from '../../core/methods/index.js';
import { Colors, DxfWriter, point3d, Units, type DxfLayer } from '@tarikjabiri/dxf';
import type { LineScope } from '../../core/scope/scope.js';
import { feet } from '../controls/format';
import { depthAt } from './sheet-scale';
import { materialWords } from '../../core/catalog/materials.js';
import type { LineView } from '../../core/views/line-view.js';

const letters_ft = 0.5;

/**
 * The long section as DXF, in feet: stations along x, depth below the ground down y. One layer each for ground, pipe,
 * findings, excavations, work, crossings and text.
 */
export function dxfText(line: LineView, scope: LineScope): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Feet);
  const pen = penOn(dxf);
  drawGround(pen, line);
  drawPipes(pen, line);
  drawFindings(pen, line);
  drawHoles(pen, scope);
  drawActions(pen, scope);
  drawCrossings(pen, line);
  for (const { name, station } of line.points)
    pen.write(station.value, depthAt(line, station.value) + 1.6, name);
  return dxf.stringify();
}

type Place = readonly [station_ft: number, depth_ft: number];

type Pen = ReturnType<typeof penOn>;

/** Helpers for the layers of a drawing, created in the order listed. */
function penOn(dxf: DxfWriter) {
  const layer = (name: string, color: number): DxfLayer => dxf.addLayer(name, color, 'Continuous');
  const layers = {
    ground: layer('GROUND', Colors.Green),
    pipe: layer('PIPE', Colors.White),
    findings: layer('FINDINGS', Colors.Red),
    holes: layer('HOLES', Colors.Yellow),
    scope: layer('SCOPE', Colors.Cyan),
    crossings: layer('CROSSINGS', Colors.Magenta),
    words: layer('WORDS', Colors.White),
  };
  const on = (each: keyof typeof layers) => ({ layerName: layers[each].name });
  const at = (station: number, depth: number) => point3d(station, -depth, 0);
  return {
    draw: (each: keyof typeof layers, places: readonly Place[]) => {
      places.slice(1).forEach(([x, d], i) => {
        const [px, pd] = places[i] ?? [x, d];
        dxf.addLine(at(px, pd), at(x, d), on(each));
      });
    },
    circle: (station: number, depth: number, radius: number) => {
      dxf.addCircle(at(station, depth), radius, on('crossings'));
    },
    write: (station: number, depth: number, words: string) => {
      // DXF text is a single line: what follows a break would be read as a group code.
      dxf.addText(at(station, depth), letters_ft, words.replace(/[\r\n]+/g, ' '), on('words'));
    },
  };
}

function drawGround({ draw, write }: Pen, line: LineView): void {
  draw('ground', [
    [line.from_ft, 0],
    [line.to_ft, 0],
  ]);
  for (const { from_ft, kind } of line.surfaces) write(from_ft, -1, kind);
}

function drawPipes({ draw, write }: Pen, line: LineView): void {
  for (const pipe of line.pipes) {
    const stations = [
      pipe.from_ft,
      ...line.depths.map(({ station_ft }) => station_ft).filter((x) => x > pipe.from_ft && x < pipe.to_ft),
      pipe.to_ft,
    ];
    const bore_ft = pipe.diameter_in / 12;
    const invert = stations.map((x): Place => [x, depthAt(line, x)]);
    const crown = invert.map(([x, depth]): Place => [x, depth - bore_ft]).reverse();
    const [start] = invert;
    if (start) draw('pipe', [...invert, ...crown, start]);
    write(
      pipe.from_ft,
      depthAt(line, pipe.from_ft) + 1,
      `${pipe.diameter_in} in ${materialWords(pipe.material)}`,
    );
  }
}

function drawFindings({ draw, write }: Pen, line: LineView): void {
  for (const finding of line.findings) {
    const depth = depthAt(line, finding.from_ft);
    draw('findings', [
      [finding.from_ft, depth],
      [Math.max(finding.to_ft, finding.from_ft + 0.1), depthAt(line, finding.to_ft)],
    ]);
    write(finding.from_ft, depth + 2, `${finding.kind} ${feet(finding.from_ft)}`);
  }
}

function drawHoles({ draw, write }: Pen, scope: LineScope): void {
  for (const pit of scope.pits) {
    const depth = pit.figures.depth.value;
    draw('holes', [
      [pit.from_ft, 0],
      [pit.from_ft, depth],
      [pit.to_ft, depth],
      [pit.to_ft, 0],
    ]);
    write(pit.from_ft, depth + 0.8, `excavation ${holeLetter(pit.id)}, ${feet(depth)} deep`);
  }
}

function drawActions({ draw, write }: Pen, scope: LineScope): void {
  for (const action of scope.actions) {
    draw('scope', [
      [action.from_ft, -2],
      [action.to_ft, -2],
    ]);
    const cut = action.liner ? `, cut ${feet(action.liner.cut.value)}` : '';
    write(
      action.from_ft,
      -2.4,
      `${methodName(action.method)} ${feet(action.from_ft)} to ${feet(action.to_ft)}${cut}`,
    );
  }
}

function drawCrossings({ circle, write }: Pen, line: LineView): void {
  for (const { station_ft, depth_ft, utility } of line.crossings) {
    circle(station_ft, depth_ft ?? 1, 0.25);
    write(station_ft + 0.4, depth_ft ?? 1, depth_ft === undefined ? `${utility}, depth not known` : utility);
  }
}
