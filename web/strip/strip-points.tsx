import type { ReactNode } from 'react';
import { utilityFill } from '../drawing/ground-colors';
import { feet } from '../controls/format';
import { Handle } from './handle';
import { halfFoot, strip, tenth, type StationList, type StripFrame } from './strip-frame';

const { rows } = strip;

/** Points, crossings, locates and elevations along the line, each draggable. */
export function StripPoints({ frame }: { frame: StripFrame }) {
  const { head, view } = frame;
  return (
    <>
      {view.points.map(({ id }) => (
        <LinePoint key={id} frame={frame} id={id} />
      ))}
      {(head.crossings ?? []).map((_, index) => (
        <Crossing key={`crossing ${index}`} frame={frame} index={index} />
      ))}
      {(head.depths ?? []).map((_, index) => (
        <Depth key={`depth ${index}`} frame={frame} index={index} />
      ))}
      {(head.ground ?? []).map((_, index) => (
        <Ground key={`ground ${index}`} frame={frame} index={index} />
      ))}
    </>
  );
}

function LinePoint({ frame, id }: { frame: StripFrame; id: string }) {
  const { head, said, view, x, inside, perFoot } = frame;
  const shown = view.points.find((point) => point.id === id);
  const index = head.points.findIndex((point) => point.id === id);
  if (!shown) return null;
  const said_ft = said.points[index]?.station_ft;
  const value = head.points[index]?.station_ft ?? shown.station.value;
  const move = (station_ft: number, last: boolean) => {
    frame.dragStation('points', index, { station_ft }, last);
  };
  const fixed =
    id === head.datum
      ? 'the line’s zero: everything is measured from it'
      : said_ft === undefined
        ? 'placed by the camera: give it a tape in the table to move it'
        : undefined;
  return (
    <Handle
      x={x(inside(value))}
      y={rows.surface - 10}
      label={shown.name}
      value={value}
      disabled={fixed}
      onSelect={frame.choose('points', index)}
      onMove={(dx, _dy, last) => {
        move(halfFoot((said_ft ?? value) + dx / perFoot), last);
      }}
      onDone={(by) => {
        move(tenth((said_ft ?? value) + by), true);
      }}
    >
      <PointMark kind={shown.kind} chosen={frame.isChosen('points', index)} />
    </Handle>
  );
}

interface Dropped {
  readonly frame: StripFrame;
  readonly list: StationList;
  readonly index: number;
  readonly label: string;
  /** Where it is drawn, and where it was before the drag, ft. */
  readonly station_ft: number;
  readonly from_ft: number;
  /** Drawn depth below the ground. */
  readonly depth_ft: number;
  /** Its height after a drag or key, ft downward; `dy` px where it was dragged. */
  readonly lowered: (down_ft: number, dy: number) => object;
  readonly children: ReactNode;
}

/** A thing with a station and a height, moved along and up or down. */
function DroppedHandle({
  frame,
  list,
  index,
  label,
  station_ft,
  from_ft,
  depth_ft,
  lowered,
  children,
}: Dropped) {
  const { x, y, inside, perFoot, groundDrop } = frame;
  return (
    <Handle
      x={x(inside(station_ft))}
      y={y(depth_ft + groundDrop(station_ft))}
      label={label}
      value={station_ft}
      vertical
      onSelect={frame.choose(list, index)}
      onMove={(dx, dy, last) => {
        const along = { station_ft: inside(halfFoot(from_ft + dx / perFoot)) };
        frame.dragStation(list, index, { ...along, ...lowered(y.invert(rows.section + dy), dy) }, last);
      }}
      onDone={(by, down) => {
        const along = { station_ft: inside(tenth(station_ft + by)) };
        frame.dragStation(list, index, { ...along, ...lowered(down, down === 0 ? 0 : Infinity) }, true);
      }}
    >
      {children}
    </Handle>
  );
}

const chosenStroke = (frame: StripFrame, list: StationList, index: number) =>
  `var(--chakra-colors-${frame.isChosen(list, index) ? 'signal' : 'ink'})`;
/** Drawn depth of a crossing without a known depth, ft; a small vertical drag does not set one. */
const unsaidDepth_ft = 1.5;
const slip_px = 6;

function Crossing({ frame, index }: { frame: StripFrame; index: number }) {
  const own = frame.head.crossings?.[index];
  if (!own) return null;
  const from = frame.said.crossings?.[index] ?? own;
  const depth = from.depth_ft ?? unsaidDepth_ft;
  return (
    <DroppedHandle
      frame={frame}
      list="crossings"
      index={index}
      label={`${own.utility} crossing`}
      station_ft={own.station_ft}
      from_ft={from.station_ft}
      depth_ft={own.depth_ft ?? unsaidDepth_ft}
      lowered={(down, dy) =>
        down === 0 || (from.depth_ft === undefined && Math.abs(dy) < slip_px)
          ? {}
          : { depth_ft: Math.max(0, tenth(depth + down)) }
      }
    >
      <circle
        r={6.5}
        fill={utilityFill(own.utility)}
        stroke="var(--chakra-colors-ink)"
        strokeWidth={frame.isChosen('crossings', index) ? 3 : 1.2}
      />
      <text x={10} y={4} fontSize={12}>
        {own.utility} {own.depth_ft === undefined ? 'depth?' : feet(own.depth_ft)}
      </text>
    </DroppedHandle>
  );
}

function Depth({ frame, index }: { frame: StripFrame; index: number }) {
  const own = frame.head.depths?.[index];
  if (!own) return null;
  const from = frame.said.depths?.[index] ?? own;
  return (
    <DroppedHandle
      frame={frame}
      list="depths"
      index={index}
      label={`Depth ${own.invert_ft.toFixed(1)} ft`}
      station_ft={own.station_ft}
      from_ft={from.station_ft}
      depth_ft={own.invert_ft}
      lowered={(down) => ({ invert_ft: Math.max(0, tenth(from.invert_ft + down)) })}
    >
      <rect
        x={-6}
        y={-6}
        width={12}
        height={12}
        transform="rotate(45)"
        fill="var(--chakra-colors-sheet)"
        stroke={chosenStroke(frame, 'depths', index)}
        strokeWidth={2}
      />
      <text x={11} y={17} fontSize={12.5}>
        {feet(own.invert_ft)}
      </text>
    </DroppedHandle>
  );
}

function Ground({ frame, index }: { frame: StripFrame; index: number }) {
  const own = frame.head.ground?.[index];
  if (!own) return null;
  const from = frame.said.ground?.[index] ?? own;
  return (
    <DroppedHandle
      frame={frame}
      list="ground"
      index={index}
      label={`Ground at ${own.elevation_ft.toFixed(1)} ft`}
      station_ft={own.station_ft}
      from_ft={from.station_ft}
      depth_ft={0}
      lowered={(down) => ({ elevation_ft: tenth(from.elevation_ft - down) })}
    >
      <path
        d="M-7 8 L0 0 L7 8 Z"
        fill="var(--chakra-colors-ink)"
        stroke="var(--chakra-colors-signal)"
        strokeWidth={frame.isChosen('ground', index) ? 2 : 0}
      />
    </DroppedHandle>
  );
}

const marks: Readonly<Record<string, { readonly d: string; readonly width: number; readonly open?: true }>> =
  {
    cleanout: { d: 'M-6 -10 H6 V8 H-6 Z', width: 2 },
    tree: { d: 'M0 -12 L8 2 H2 V8 H-2 V2 H-8 Z', width: 1.8 },
    'property-line': { d: 'M0 -12 V10 M-5 -12 H5', width: 2.5, open: true },
    building: { d: 'M-9 8 V-4 L0 -12 L9 -4 V8 Z', width: 2 },
  };
const plainMark = { d: 'M0 -10 L8 0 L0 8 L-8 0 Z', width: 2 };

function PointMark({ kind, chosen }: { kind: string; chosen: boolean }) {
  const stroke = `var(--chakra-colors-${chosen ? 'signal' : 'ink'})`;
  const fill = 'var(--chakra-colors-sheet)';
  if (kind === 'main' || kind === 'manhole')
    return <circle r={9} fill={fill} stroke={stroke} strokeWidth={2.5} />;
  const mark: (typeof marks)[string] = marks[kind] ?? plainMark;
  return <path d={mark.d} fill={mark.open ? 'none' : fill} stroke={stroke} strokeWidth={mark.width} />;
}
