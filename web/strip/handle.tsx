import type { ReactNode } from 'react';
import { useDrag } from '../drawing/use-gestures';

/** How far a key moves a handle, ft across and down: half a foot, with Shift five, with Alt a tenth. */
function stepOf(
  { key, shiftKey, altKey }: React.KeyboardEvent,
  vertical: boolean,
): readonly [number, number] {
  const by = shiftKey ? 5 : altKey ? 0.1 : 0.5;
  if (key === 'ArrowLeft') return [-by, 0];
  if (key === 'ArrowRight') return [by, 0];
  if (vertical && key === 'ArrowUp') return [0, -by];
  if (vertical && key === 'ArrowDown') return [0, by];
  return [0, 0];
}

interface Props {
  readonly x: number;
  readonly y: number;
  readonly label: string;
  readonly value: number;
  readonly unit?: string;
  /** Pixels dragged from the start. */
  readonly onMove: (dx: number, dy: number, last: boolean) => void;
  /** Moved by keys, ft. */
  readonly onDone: (by_ft: number, down_ft: number) => void;
  readonly onSelect: () => void;
  /** Why it cannot be moved here, if it cannot. */
  readonly disabled?: string | undefined;
  readonly vertical?: boolean;
  readonly children: ReactNode;
}

/** Something on the strip that can be moved: by pointer, finger or arrow keys. */
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
}: Props) {
  const draggable = useDrag(({ movement: [dx, dy], first, last, tap }) => {
    if (first) onSelect();
    if (tap || disabled !== undefined) return;
    onMove(dx, dy, last);
  });
  return (
    <g
      ref={draggable}
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
        const [across, down] = stepOf(event, vertical ?? false);
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
