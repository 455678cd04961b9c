import type { LineScope } from '../../core/scope/scope.js';
import { groundScale } from './ground-lane';
import { gutter_px, lanes, margin_px, sheetHeight } from '../drawing/sheet-scale';
import type { LineView } from '../../core/views/line-view.js';

const soft = { fill: 'var(--chakra-colors-soft)' };

/** Left of the drawing: names of the lanes, depths and the clock. It covers what is scrolled past the edge. */
export function Gutter({
  line,
  scope,
  datum,
  width,
}: {
  line: LineView;
  scope: LineScope | undefined;
  datum: string;
  width: number;
}) {
  const y = groundScale(line, scope);
  return (
    <g>
      <rect x={0} y={0} width={gutter_px - 4} height={sheetHeight} fill="var(--chakra-colors-paper)" />
      <rect
        x={width - margin_px}
        y={lanes.ground.top}
        width={margin_px}
        height={lanes.ways.top - lanes.ground.top}
        fill="var(--chakra-colors-paper)"
      />
      {y
        .ticks(4)
        .filter((tick) => tick > 0)
        .map((tick) => (
          <text key={tick} x={gutter_px - 8} y={y(tick) + 4.5} fontSize={13} textAnchor="end" style={soft}>
            {tick}
          </text>
        ))}
      {['12', '3', '6', '9'].map((clock, i) => (
        <text
          key={clock}
          x={gutter_px - 8}
          y={lanes.wall.top + (i * lanes.wall.height) / 4 + (i === 0 ? 9 : 4.5)}
          fontSize={13}
          textAnchor="end"
          style={soft}
        >
          {clock}
        </text>
      ))}
      <LaneName top={lanes.axis.top + 20} name="Feet" says={[`from ${datum}`.slice(0, 16)]} />
      <LaneName
        top={lanes.ground.top + 36}
        name="Ground"
        says={line.depthKnown ? ['ft deep'] : ['depth', 'assumed']}
      />
      <LaneName top={lanes.wall.top + 14} name="Wall" says={['unrolled,', 'water in the', 'middle']} />
      <LaneName top={lanes.judged.top + 30} name="Condition" />
      <LaneName top={lanes.scope.top + 22} name="Scope" says={['drag an end']} />
      <LaneName top={lanes.ways.top + 20} name="Options" says={['one press', 'takes one']} />
    </g>
  );
}

const LaneName = ({ top, name, says }: { top: number; name: string; says?: readonly string[] }) => (
  <g>
    <text x={14} y={top} fontSize={15} fontWeight={700} style={{ fontFamily: 'var(--chakra-fonts-heading)' }}>
      {name}
    </text>
    {(says ?? []).map((line, i) => (
      <text key={line} x={14} y={top + 17 + i * 15} fontSize={12} style={soft}>
        {line}
      </text>
    ))}
  </g>
);
