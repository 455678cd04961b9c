import { feet } from '../controls/format';
import type { Pit } from './hole-order';

const ink = 'var(--chakra-colors-ink)';
const width = 700;
/** Spoil lies so far back from the edge (29 CFR 1926.651(j)(2)), and is drawn so wide. */
const spoilBack_ft = 2;
const spoilWide_ft = 2;
const margin_px = 16;

/**
 * The excavation from above, to scale: opening, bottom, the pipe's way, where the spoil lies, the ladder, and its tapes.
 * `type_px` is the size of what is written, which a small drawing on paper wants larger.
 */
export function HolePlan({ pit, type_px = 13 }: { pit: Pit; type_px?: number }) {
  const [long, wide] = pit.figures.bottom_ft;
  const [openLong, openWide] = pit.sheet.opening_ft;
  const perFoot = Math.min((width - 40) / (openLong + 4), 46);
  const tape_px = type_px + 12;
  const middle = margin_px + (spoilWide_ft + spoilBack_ft + openWide / 2) * perFoot;
  // Drawn with the line running to the right, the corner at the lower left is the upstream right one.
  const corner = pit.sheet.corners.find(({ name }) => name === 'upstream right');
  const height =
    middle +
    (openWide / 2 + 1.4) * perFoot +
    (corner ? type_px + 20 + corner.tapes.length * tape_px : type_px);
  const cx = width / 2;
  const box = (length: number, across: number) => ({
    x: cx - (length * perFoot) / 2,
    y: middle - (across * perFoot) / 2,
    width: length * perFoot,
    height: across * perFoot,
  });
  const bottom = box(long, wide);
  const way = pit.figures.depth.value >= 4;
  /** Marks stand one under the other, the lower ones further left, so that no tape crosses what is written. */
  const tapes = corner?.tapes.length ?? 0;
  const tapeAt = (i: number) => ({ x: 40 + (tapes - 1 - i) * 110, y: height - tape_px * (tapes - i) + 8 });
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
      <path d={`M0 ${middle}H${width}`} stroke={ink} strokeDasharray="12 7" />
      {openLong > long + 0.05 && (
        <rect
          {...box(openLong, openWide)}
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
      {way && (
        <g stroke={ink} strokeWidth={2}>
          <path
            d={`M${bottom.x + bottom.width * 0.3} ${middle + 12}v30m16 0v-30m-16 6h16m-16 10h16m-16 10h16`}
            fill="none"
          />
          <text x={bottom.x + bottom.width * 0.3 + 24} y={middle + 34} fontSize={type_px} stroke="none">
            ladder
          </text>
        </g>
      )}
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
      {corner && (
        <g>
          {corner.tapes.map(({ mark, distance }, i) => (
            <g key={mark}>
              <path
                d={`M${bottom.x} ${bottom.y + bottom.height}L${tapeAt(i).x} ${tapeAt(i).y}`}
                stroke={ink}
                strokeWidth={1}
              />
              <circle cx={tapeAt(i).x} cy={tapeAt(i).y} r={5} fill={ink} />
              <text x={tapeAt(i).x + 12} y={tapeAt(i).y + type_px * 0.36} fontSize={type_px}>
                {mark} {distance.value.toFixed(1)} ft
              </text>
            </g>
          ))}
        </g>
      )}
    </svg>
  );
}

/** The bank of spoil along the opening, with its ridge: a call and no component, for paper is drawn from plain shapes. */
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
