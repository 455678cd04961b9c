import { feet } from '../controls/format';
import type { Pit } from './hole-order';

const ink = 'var(--chakra-colors-ink)';
const width = 700;
/** Distance of the spoil from the edge (29 CFR 1926.651(j)(2)), and its drawn width. */
const spoilBack_ft = 2;
const spoilWide_ft = 2;
const margin_px = 16;
/** From this depth a means of egress is required (29 CFR 1926.651(c)(2)). */
const ladderFrom_ft = 4;

/**
 * Plan view of an excavation, to scale: opening, bottom, course of the pipe, spoil, ladder and tapes. `type_px` is the
 * size of the text, larger for a small drawing on paper. Its parts are called as functions, not rendered as components,
 * since paper is drawn from plain shapes.
 */
export function HolePlan({ pit, type_px = 13 }: { pit: Pit; type_px?: number }) {
  const [long, wide] = pit.figures.bottom_ft;
  const [openLong, openWide] = pit.sheet.opening_ft;
  const perFoot = Math.min((width - 40) / (openLong + 4), 46);
  const middle = margin_px + (spoilWide_ft + spoilBack_ft + openWide / 2) * perFoot;
  // Drawn with the line running to the right, so the lower left corner is the upstream right one.
  const tapes = pit.sheet.corners.find(({ name }) => name === 'upstream right')?.tapes;
  const tape_px = type_px + 12;
  const height =
    middle + (openWide / 2 + 1.4) * perFoot + (tapes ? type_px + 20 + tapes.length * tape_px : type_px);
  const cx = width / 2;
  const box = (length: number, across: number) => ({
    x: cx - (length * perFoot) / 2,
    y: middle - (across * perFoot) / 2,
    width: length * perFoot,
    height: across * perFoot,
  });
  const bottom = box(long, wide);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`From above: bottom ${feet(long)} by ${feet(wide)} ft, opening ${feet(openLong)} by ${feet(openWide)} ft`}
      style={{ display: 'block', minWidth: 560 }}
    >
      <rect width={width} height={height} fill="var(--chakra-colors-keep)" />
      {spoilBank({
        x: cx - (openLong * perFoot) / 2,
        y: margin_px,
        length: openLong * perFoot,
        across: spoilWide_ft * perFoot,
        type_px,
        says: `spoil, ${spoilBack_ft} ft back: ${pit.figures.loose.value.toFixed(1)} yd³ loose`,
      })}
      {outline({ top: box(openLong, openWide), bottom, isSloped: openLong > long + 0.05, middle })}
      {pit.figures.depth.value >= ladderFrom_ft &&
        ladder({ x: bottom.x + bottom.width * 0.3, y: middle, type_px })}
      <text
        x={bottom.x + bottom.width}
        y={middle + (openWide / 2) * perFoot + type_px + 4}
        fontSize={type_px}
        fontWeight={700}
        textAnchor="end"
      >
        {feet(long)} × {feet(wide)} ft at the bottom
        {openLong > long + 0.05 ? `, ${feet(openLong)} × ${feet(openWide)} ft at the top` : ''}
      </text>
      {tapes && tapesFrom({ tapes, x: bottom.x, y: bottom.y + bottom.height, end_px: height, type_px })}
    </svg>
  );
}

interface Rectangle {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface OutlineProps {
  readonly top: Rectangle;
  readonly bottom: Rectangle;
  /** It is wider at the top. */
  readonly isSloped: boolean;
  /** Where the line runs, px. */
  readonly middle: number;
}

/** The course of the line, the opening, the bottom, and the pipe in it. */
const outline = ({ top, bottom, isSloped, middle }: OutlineProps) => (
  <g>
    <path d={`M0 ${middle}H${width}`} stroke={ink} strokeDasharray="12 7" />
    {isSloped && (
      <rect
        {...top}
        fill="var(--chakra-colors-earth)"
        stroke="var(--chakra-colors-signal)"
        strokeDasharray="6 4"
      />
    )}
    <rect
      {...bottom}
      fill="var(--chakra-colors-sheet)"
      stroke="var(--chakra-colors-signal)"
      strokeWidth={3}
    />
    <rect
      x={bottom.x}
      y={middle - 6}
      width={bottom.width}
      height={12}
      fill="var(--chakra-colors-signal)"
      opacity={0.85}
    />
  </g>
);

const ladder = ({ x, y, type_px }: { x: number; y: number; type_px: number }) => (
  <g stroke={ink} strokeWidth={2}>
    <path d={`M${x} ${y + 12}v30m16 0v-30m-16 6h16m-16 10h16m-16 10h16`} fill="none" />
    <text x={x + 24} y={y + 34} fontSize={type_px} stroke="none">
      ladder
    </text>
  </g>
);

interface TapesProps {
  readonly tapes: Pit['sheet']['corners'][number]['tapes'];
  /** The corner that tapes are measured to, px. */
  readonly x: number;
  readonly y: number;
  /** The lower edge of the drawing, px. */
  readonly end_px: number;
  readonly type_px: number;
}

/** Marks are listed below each other, lower ones farther left, so that no tape crosses the text. */
const tapesFrom = ({ tapes, x, y, end_px, type_px }: TapesProps) => (
  <g>
    {tapes.map(({ mark, distance }, i) => {
      const markX = 40 + (tapes.length - 1 - i) * 110;
      const markY = end_px - (type_px + 12) * (tapes.length - i) + 8;
      return (
        <g key={mark}>
          <path d={`M${x} ${y}L${markX} ${markY}`} stroke={ink} strokeWidth={1} />
          <circle cx={markX} cy={markY} r={5} fill={ink} />
          <text x={markX + 12} y={markY + type_px * 0.36} fontSize={type_px}>
            {mark} {distance.value.toFixed(1)} ft
          </text>
        </g>
      );
    })}
  </g>
);

/** The bank of spoil along the opening, with its ridge. */
function spoilBank({
  x,
  y,
  length,
  across,
  type_px,
  says,
}: {
  x: number;
  y: number;
  length: number;
  across: number;
  type_px: number;
  says: string;
}) {
  const round = Math.min(across, length) / 2;
  const ridge = y + across / 2;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={length}
        height={across}
        rx={round}
        fill="var(--chakra-colors-stone)"
        stroke={ink}
      />
      <path
        d={`M${x + round} ${ridge}H${x + length - round}`}
        stroke={ink}
        strokeDasharray="3 5"
        opacity={0.6}
      />
      <text x={x + length / 2} y={y + across * 0.25 + type_px * 0.36} fontSize={type_px} textAnchor="middle">
        {says}
      </text>
    </g>
  );
}
