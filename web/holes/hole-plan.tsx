import { feet } from '../shell/format';
import type { Pit } from './hole-order';

const ink = 'var(--chakra-colors-ink)';
const width = 700;

/** The hole from above, to scale: opening, bottom, the pipe's way, where the earth lies, the way out, and its tapes. */
export function HolePlan({ pit }: { pit: Pit }) {
  const [long, wide] = pit.figures.bottom_ft;
  const [openLong, openWide] = pit.sheet.opening_ft;
  const perFoot = Math.min((width - 40) / (openLong + 4), 46);
  const spoil_ft = 3;
  const middle = (openWide / 2 + 2 + spoil_ft) * perFoot + 16;
  // Drawn with the line running to the right, the corner at the lower left is the upstream right one.
  const corner = pit.sheet.corners.find(({ name }) => name === 'upstream right');
  const height = middle + (openWide / 2 + 1.4) * perFoot + (corner ? 66 : 8);
  const cx = width / 2;
  const box = (length: number, across: number) => ({
    x: cx - (length * perFoot) / 2,
    y: middle - (across * perFoot) / 2,
    width: length * perFoot,
    height: across * perFoot,
  });
  const bottom = box(long, wide);
  const way = pit.figures.depth.value >= 4;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={`From above: bottom ${feet(long)} by ${feet(wide)} ft, opening ${feet(openLong)} by ${feet(openWide)} ft`}
      style={{ display: 'block', minWidth: 560 }}
    >
      <rect width={width} height={height} fill="var(--chakra-colors-keep)" />
      <path
        d={`M${cx - (openLong * perFoot) / 2} ${middle - (openWide / 2 + 2) * perFoot}q${(openLong * perFoot) / 2} ${-1.6 * spoil_ft * perFoot * 0.5} ${openLong * perFoot} 0Z`}
        fill="var(--chakra-colors-stone)"
        stroke={ink}
      />
      <text x={cx} y={middle - (openWide / 2 + 2) * perFoot - 8} fontSize={13} textAnchor="middle">
        earth, 2 ft back: {pit.figures.loose.value.toFixed(1)} yd³ loose
      </text>
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
          <text x={bottom.x + bottom.width * 0.3 + 24} y={middle + 34} fontSize={13} stroke="none">
            way out
          </text>
        </g>
      )}
      <text
        x={bottom.x + bottom.width}
        y={middle + (openWide / 2) * perFoot + 17}
        fontSize={13}
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
                d={`M${bottom.x} ${bottom.y + bottom.height}L${40 + i * 330} ${height - 26}`}
                stroke={ink}
                strokeWidth={1}
              />
              <circle cx={40 + i * 330} cy={height - 26} r={5} fill={ink} />
              <text x={52 + i * 330} y={height - 21} fontSize={13}>
                {mark} {distance.value.toFixed(1)} ft
              </text>
            </g>
          ))}
        </g>
      )}
    </svg>
  );
}
