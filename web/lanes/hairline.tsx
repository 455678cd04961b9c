import { tolerance } from '../../core/units.js';
import { feet } from '../controls/format';
import { textWidth } from '../drawing/labels';
import { depthAt, lanes, margin_px, plusMinusAt, type SheetScale } from '../drawing/sheet-scale';
import { materialWords } from '../../core/catalog/materials.js';
import type { LineView } from '../../core/views/line-view.js';

/** One line through every lane: station, ±, depth and what is there. */
export function Hairline({
  line,
  scale,
  station_ft,
}: {
  line: LineView;
  scale: SheetScale;
  station_ft: number;
}) {
  const at = scale.x(station_ft);
  const pipe = line.pipes.find((each) => station_ft <= each.to_ft + tolerance.ft);
  const here = line.findings
    .filter(({ place }) => place.from_ft <= station_ft && station_ft <= place.to_ft)
    .map(({ name }) => name.toLowerCase());
  const unseen = line.unseen.some((each) => each.from_ft <= station_ft && station_ft <= each.to_ft);
  const text = [
    `${feet(station_ft)} ft ± ${feet(plusMinusAt(line, station_ft))}`,
    `${feet(depthAt(line, station_ft))} deep`,
    pipe ? `${feet(Math.max(0, depthAt(line, station_ft) - pipe.diameter_in / 12))} cover` : '',
    pipe ? materialWords(pipe.material) : '',
    unseen ? 'not seen' : here.join(', '),
  ]
    .filter(Boolean)
    .join(' · ');
  const width = textWidth(text, 13) * 0.9 + 18;
  const left = Math.min(Math.max(at - width / 2, 4), scale.width - margin_px - width + 8);
  const top = lanes.axis.top + lanes.axis.height + 2;
  return (
    <g pointerEvents="none" data-testid="hairline">
      <line
        x1={at}
        x2={at}
        y1={top}
        y2={lanes.scope.top + lanes.scope.height}
        stroke="var(--chakra-colors-signal)"
        strokeWidth={1.4}
      />
      <rect x={left} y={top} width={width} height={21} fill="var(--chakra-colors-signal)" />
      <text
        x={left + 9}
        y={top + 15}
        fontSize={13}
        fontWeight={700}
        style={{ fill: 'var(--chakra-colors-on-signal)' }}
      >
        {text}
      </text>
    </g>
  );
}
