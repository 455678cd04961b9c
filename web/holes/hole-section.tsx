import { surfaceRow } from '../../core/catalog/surfaces.js';
import { methodName } from '../../core/methods/index.js';
import { linearScale } from '../drawing/scale';
import type { LineScope } from '../../core/scope/scope.js';
import { feet } from '../controls/format';
import { utilityFill } from '../drawing/ground-colors';
import { Patterns } from '../drawing/patterns';
import { depthAt } from '../drawing/sheet-scale';
import type { Pit } from './hole-order';
import type { LineView } from '../../core/views/line-view.js';

const ink = 'var(--chakra-colors-ink)';
const signal = 'var(--chakra-colors-signal)';
const width = 700;
const left_px = 46;

/** Drawing scale of an excavation: the visible part of the line, and where stations and depths are, px. */
interface Drawn {
  readonly line: LineView;
  readonly pit: Pit;
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly height: number;
  readonly depth: number;
  x: (station_ft: number) => number;
  y: (depth_ft: number) => number;
  /** Drawn thickness of a pipe of this bore. */
  thick: (bore_in: number) => number;
}

function drawnOf(line: LineView, pit: Pit): Drawn {
  const depth = pit.figures.depth.value;
  const out = pit.sheet.topOut_ft;
  const [from, to] = [pit.from_ft - out - 2, pit.to_ft + out + 2];
  const perFoot = (width - left_px - 10) / (to - from);
  const top = 34;
  const y = (d: number) => top + d * perFoot;
  return {
    ...{ line, pit, from, to, top, depth, y },
    height: y(depth + 1.6),
    x: linearScale([from, to], [left_px, width - 10]),
    thick: (bore_in) => Math.max(5, (bore_in / 12) * perFoot),
  };
}

/** The section along the line, same scale in both directions: sides, pipe, new work, crossings. */
export function HoleSection({ line, scope, pit }: { line: LineView; scope: LineScope; pit: Pit }) {
  const drawn = drawnOf(line, pit);
  const { height, depth } = drawn;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`Section along the line: ${feet(pit.to_ft - pit.from_ft)} ft long, ${feet(depth)} ft deep`}
      style={{ display: 'block', minWidth: 560 }}
    >
      <Patterns />
      <Ground drawn={drawn} />
      <Sides drawn={drawn} />
      <OldPipe drawn={drawn} />
      <NewPipe drawn={drawn} scope={scope} />
      {(pit.protection === 'shore' || pit.protection === 'shield') && <Held drawn={drawn} />}
      <NewCleanouts drawn={drawn} scope={scope} />
      <Crossings drawn={drawn} />
      <LinersFrom drawn={drawn} scope={scope} />
      <Measures drawn={drawn} />
    </svg>
  );
}

interface Part {
  readonly drawn: Drawn;
}
interface ScopePart extends Part {
  readonly scope: LineScope;
}

/** The ground with its surfaces, and the depth scale at the left. */
const Ground = ({ drawn: { line, depth, top, height, x, y } }: Part) => (
  <>
    <rect
      x={left_px}
      y={top}
      width={width - left_px - 10}
      height={height - top}
      fill="var(--chakra-colors-earth)"
    />
    {line.surfaces.map((each) => (
      <rect
        key={each.from_ft}
        x={Math.max(left_px, x(each.from_ft))}
        y={top - 7}
        width={Math.max(0, Math.min(width - 10, x(each.to_ft)) - Math.max(left_px, x(each.from_ft)))}
        height={7}
        fill={`var(--chakra-colors-${surfaceRow(each.kind).fill})`}
      />
    ))}
    {Array.from({ length: Math.floor(depth + 1.3) + 1 }, (_, d) => (
      <g key={d}>
        <path d={`M${left_px - 6} ${y(d)}H${left_px}`} stroke={ink} />
        <text x={left_px - 10} y={y(d) + 4.5} fontSize={13} textAnchor="end">
          {d}
        </text>
      </g>
    ))}
  </>
);

function Sides({ drawn: { pit, depth, x, y } }: Part) {
  const out = pit.sheet.topOut_ft;
  const d = `M${x(pit.from_ft - out)} ${y(0)}L${x(pit.from_ft)} ${y(depth)}H${x(pit.to_ft)}L${x(pit.to_ft + out)} ${y(0)}Z`;
  return (
    <>
      <path d={d} fill="var(--chakra-colors-sheet)" />
      <path d={d} fill="url(#dug)" stroke={signal} strokeWidth={2.5} />
    </>
  );
}

/** The outline of pipe between two stations. */
function pipeBetween({ line, x, y, thick }: Drawn, a: number, b: number, bore_in: number): string {
  const h = thick(bore_in);
  const [ya, yb] = [y(depthAt(line, a)), y(depthAt(line, b))];
  return `M${x(a)} ${ya}L${x(b)} ${yb}V${yb - h}L${x(a)} ${ya - h}Z`;
}

const OldPipe = ({ drawn, drawn: { line, from, to } }: Part) =>
  line.pipes.map((pipe) => {
    const [a, b] = [Math.max(from, pipe.from_ft), Math.min(to, pipe.to_ft)];
    return b > a ? (
      <path
        key={pipe.from_ft}
        d={pipeBetween(drawn, a, b, pipe.diameter_in)}
        fill="var(--chakra-colors-sheet)"
        stroke={ink}
        strokeWidth={1.8}
      />
    ) : null;
  });

/** The new pipe, with a coupling at each end and its length. */
function NewPipe({ drawn, drawn: { line, pit, from, to, x, y, thick }, scope }: ScopePart) {
  const bore = line.pipes.find((each) => pit.from_ft <= each.to_ft)?.diameter_in ?? 4;
  const laid = scope.actions.filter(({ id, pipe }) => pipe && pit.serves.includes(id));
  return laid.map(({ id, from_ft, to_ft, pipe }) => {
    const [a, b] = [Math.max(from, from_ft), Math.min(to, to_ft)];
    const middle = (a + b) / 2;
    return (
      <g key={id}>
        <path
          d={pipeBetween(drawn, a, b, bore)}
          fill="var(--chakra-colors-wash)"
          stroke={signal}
          strokeWidth={2.5}
        />
        {[a, b].map((at) => (
          <rect
            key={at}
            x={x(at) - 6}
            y={y(depthAt(line, at)) - thick(bore) - 3}
            width={12}
            height={thick(bore) + 6}
            fill={signal}
          />
        ))}
        <text
          x={x(middle)}
          y={y(depthAt(line, middle)) - thick(bore) - 9}
          fontSize={13.5}
          fontWeight={700}
          textAnchor="middle"
          style={{ fill: 'var(--chakra-colors-signal-ink)' }}
        >
          {feet(pipe?.laid.value ?? 0)} ft of new {pipe?.diameter_in} in pipe
        </text>
      </g>
    );
  });
}

/** Shoring or a shield: what supports both ends, and the braces. */
const Held = ({ drawn: { pit, depth, x, y } }: Part) => (
  <>
    {[pit.from_ft, pit.to_ft].map((at) => (
      <path key={at} d={`M${x(at)} ${y(0) - 12}V${y(depth) - 4}`} stroke={ink} strokeWidth={7} />
    ))}
    <path
      d={`M${x(pit.from_ft)} ${y(depth * 0.25)}H${x(pit.to_ft)}M${x(pit.from_ft)} ${y(depth * 0.55)}H${x(pit.to_ft)}`}
      stroke="var(--chakra-colors-soft)"
      strokeWidth={4}
      opacity={0.6}
    />
  </>
);

const NewCleanouts = ({ drawn: { line, pit, x, y }, scope }: ScopePart) =>
  scope.cleanouts
    .filter(({ in: hole }) => hole === pit.id)
    .map(({ station_ft }) => (
      <g key={station_ft} stroke={signal} strokeWidth={5}>
        <path d={`M${x(station_ft)} ${y(0) - 10}V${y(depthAt(line, station_ft))}`} />
        <rect x={x(station_ft) - 9} y={y(0) - 16} width={18} height={7} fill={signal} stroke="none" />
      </g>
    ));

const Crossings = ({ drawn: { pit, x, y } }: Part) =>
  pit.sheet.crossings.map((each) => (
    <g key={`${each.utility} ${each.station_ft}`}>
      <circle
        cx={x(each.station_ft)}
        cy={y(each.depth_ft ?? 1)}
        r={7}
        fill={utilityFill(each.utility)}
        stroke={ink}
        strokeWidth={1.5}
        strokeDasharray={each.depth_ft === undefined ? '3 2' : undefined}
      />
      <text x={x(each.station_ft) + 12} y={y(each.depth_ft ?? 1) + 5} fontSize={13.5} fontWeight={700}>
        {each.utility} {each.depth_ft === undefined ? 'depth not known' : `${feet(each.depth_ft)} deep`}
      </text>
    </g>
  ));

/** Direction of each liner inserted here. */
function LinersFrom({ drawn: { line, pit, from, to, y }, scope }: ScopePart) {
  const liners = scope.actions.filter(
    ({ entry_ft }) => entry_ft !== null && entry_ft >= pit.from_ft && entry_ft <= pit.to_ft,
  );
  return liners.map(({ id, method, from_ft, to_ft, entry_ft }) => {
    const down = Math.abs((entry_ft ?? from_ft) - from_ft) < 0.01;
    const end = down ? Math.min(to, to_ft) : Math.max(from, from_ft);
    const name = methodName(method).toLowerCase();
    return (
      <text
        key={id}
        x={down ? width - 16 : left_px + 6}
        y={y(depthAt(line, end)) + 22}
        fontSize={13.5}
        fontWeight={700}
        textAnchor={down ? 'end' : 'start'}
      >
        {down ? `${name} from here →` : `← ${name} from here`}
      </text>
    );
  });
}

/** The stations of both ends above the ground, and the length under the bottom. */
function Measures({ drawn: { pit, depth, x, y } }: Part) {
  const under = y(depth + 0.7);
  return (
    <>
      {[pit.from_ft, pit.to_ft].map((at) => (
        <text
          key={at}
          x={x(at)}
          y={14}
          fontSize={13}
          textAnchor="middle"
          style={{ fill: 'var(--chakra-colors-soft)' }}
        >
          {feet(at)}
        </text>
      ))}
      <path
        d={`M${x(pit.from_ft)} ${under}H${x(pit.to_ft)}M${x(pit.from_ft)} ${under - 5}v10M${x(pit.to_ft)} ${under - 5}v10`}
        stroke={ink}
        strokeWidth={1.2}
      />
      <text
        x={x((pit.from_ft + pit.to_ft) / 2)}
        y={under + 5}
        fontSize={14}
        fontWeight={700}
        textAnchor="middle"
        stroke="var(--chakra-colors-earth)"
        strokeWidth={8}
        paintOrder="stroke"
      >
        {feet(pit.to_ft - pit.from_ft)} ft
      </text>
    </>
  );
}
