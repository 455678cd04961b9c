import { gutter_px, lanes, margin_px, type SheetScale } from '../drawing/sheet-scale';

const base = lanes.axis.top + lanes.axis.height;

/** Feet along the line. */
export function Axis({ scale }: { scale: SheetScale }) {
  const { x, width } = scale;
  const wide = x.ticks(Math.max(4, Math.round(width / 95)));
  const step = (wide[1] ?? 10) - (wide[0] ?? 0);
  const fine = x.ticks(Math.min(200, Math.round((scale.seen.to_ft - scale.seen.from_ft) / (step / 10))));
  return (
    <g aria-hidden>
      <line
        x1={gutter_px}
        x2={width - margin_px}
        y1={base}
        y2={base}
        stroke="var(--chakra-colors-ink)"
        strokeWidth={1.2}
      />
      {fine.map((tick) => (
        <line
          key={tick}
          x1={x(tick)}
          x2={x(tick)}
          y1={base - 3.5}
          y2={base}
          stroke="var(--chakra-colors-ink)"
          strokeWidth={0.8}
        />
      ))}
      {wide.map((tick) => (
        <g key={tick}>
          <line
            x1={x(tick)}
            x2={x(tick)}
            y1={base - 8}
            y2={base}
            stroke="var(--chakra-colors-ink)"
            strokeWidth={1.2}
          />
          <text x={x(tick)} y={base - 12} fontSize={14} fontWeight={700} textAnchor="middle">
            {tick}
          </text>
        </g>
      ))}
    </g>
  );
}
