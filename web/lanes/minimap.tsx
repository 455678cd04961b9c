import { chakra } from '@chakra-ui/react';
import { linearScale } from '../drawing/scale';
import type { SVGProps } from 'react';
import type { Interval } from '../../core/line/intervals.js';
import { feet } from '../controls/format';
import { type ScopeBar } from '../drawing/scope-bars';
import { useDrag } from '../drawing/use-gestures';
import type { SheetWindow } from '../sheet/use-window';

const width_px = 260;
const height_px = 30;

/** The whole line in miniature, with the sheet's window on it, which can be dragged. */
export function Minimap({
  line,
  bars,
  window,
  shown,
}: {
  line: Interval;
  bars: readonly ScopeBar[];
  window: SheetWindow;
  shown: Interval;
}) {
  const x = linearScale([line.from_ft, Math.max(line.to_ft, line.from_ft + 1)], [2, width_px - 2]);
  const draggable = useDrag(({ delta: [dx] }) => {
    window.pan(x.invert(dx) - x.invert(0));
  });
  return (
    <chakra.svg
      width={width_px}
      height={height_px}
      viewBox={`0 0 ${width_px} ${height_px}`}
      flexShrink={1}
      minWidth="0"
      data-testid="minimap"
      role="group"
      aria-label="The whole line"
      onClick={(event) => {
        const at = x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
        window.show(at - (shown.to_ft - shown.from_ft) / 2);
      }}
    >
      {bars.map((bar) => (
        <rect
          key={bar.key}
          x={x(bar.from_ft)}
          y={10}
          width={Math.max(1, x(bar.to_ft) - x(bar.from_ft) - 0.5)}
          height={10}
          fill={`var(--chakra-colors-${bar.summary.drawing.fill})`}
        />
      ))}
      <g ref={draggable} {...slider(shown, window)}>
        <rect
          x={x(shown.from_ft)}
          y={2}
          width={Math.max(8, x(shown.to_ft) - x(shown.from_ft))}
          height={height_px - 4}
          fill="var(--chakra-colors-ink)"
          fillOpacity={0.12}
          stroke="var(--chakra-colors-ink)"
          strokeWidth={2}
        />
      </g>
    </chakra.svg>
  );
}

/** The window as a slider for the keyboard: an arrow moves it by a quarter of its length. */
const slider = (shown: Interval, window: SheetWindow): SVGProps<SVGGElement> => ({
  role: 'slider',
  tabIndex: 0,
  'aria-label': 'What the sheet shows',
  'aria-valuenow': Math.round(shown.from_ft),
  'aria-valuetext': `${feet(shown.from_ft)} to ${feet(shown.to_ft)} ft`,
  style: { cursor: 'grab' },
  onKeyDown: (event) => {
    const step = (shown.to_ft - shown.from_ft) / 4;
    const by = { ArrowLeft: -step, ArrowRight: step }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    window.pan(by);
  },
});
