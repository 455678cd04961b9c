import { useDrag } from '@use-gesture/react';
import type { ReactNode } from 'react';
import { holdStill } from '../drawing/hold-still';

/** Keys move a handle by half a foot, with Shift by five, with Alt by a tenth. */
const keySteps = (event: React.KeyboardEvent) => (event.shiftKey ? 5 : event.altKey ? 0.1 : 0.5);

/** Something on the strip that is taken hold of and moved: by pointer, finger or arrow keys. */
export function Handle({
  x,
  y,
  label,
  value,
  unit = 'ft',
  onMove,
  onDone,
  onSelect,
  disabled,
  vertical,
  children,
}: {
  x: number;
  y: number;
  label: string;
  value: number;
  unit?: string;
  /** Pixels dragged from where it was. */
  onMove: (dx: number, dy: number, last: boolean) => void;
  /** Moved by keys, ft. */
  onDone: (by_ft: number, down_ft: number) => void;
  onSelect: () => void;
  /** Why it cannot be moved here, if it cannot. */
  disabled?: string | undefined;
  vertical?: boolean;
  children: ReactNode;
}) {
  const bind = useDrag(
    ({ movement: [dx, dy], first, last, tap }) => {
      if (first) onSelect();
      if (tap || disabled !== undefined) return;
      onMove(dx, dy, last);
    },
    { filterTaps: true, pointer: { keys: false } },
  );
  return (
    <g
      ref={holdStill}
      {...bind()}
      transform={`translate(${x} ${y})`}
      role="slider"
      tabIndex={0}
      aria-label={disabled === undefined ? label : `${label}, ${disabled}`}
      aria-valuenow={Math.round(value * 10) / 10}
      aria-valuetext={`${value.toFixed(1)} ${unit}`}
      aria-disabled={disabled !== undefined}
      style={{ cursor: disabled === undefined ? 'grab' : 'help' }}
      onFocus={onSelect}
      onKeyDown={(event) => {
        if (disabled !== undefined) return;
        const by = keySteps(event);
        const [across, down] =
          event.key === 'ArrowLeft'
            ? [-by, 0]
            : event.key === 'ArrowRight'
              ? [by, 0]
              : vertical && event.key === 'ArrowUp'
                ? [0, -by]
                : vertical && event.key === 'ArrowDown'
                  ? [0, by]
                  : [0, 0];
        if (across === 0 && down === 0) return;
        event.preventDefault();
        onDone(across, down);
      }}
    >
      <rect x={-22} y={-22} width={44} height={44} fill="transparent" />
      {disabled !== undefined && <title>{disabled}</title>}
      {children}
    </g>
  );
}
