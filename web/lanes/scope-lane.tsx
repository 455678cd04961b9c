import { memo } from 'react';
import { tolerance } from '../../core/units.js';
import { methodName, methodRow } from '../../core/methods/index.js';
import type { PlacedPin } from '../../core/views/pin-edits.js';
import { feet } from '../controls/format';
import { Handle } from '../strip/handle';
import { textWidth } from '../drawing/labels';
import { barDetail, type ScopeBar } from '../drawing/scope-bars';
import { gutter_px, lanes, type SheetScale } from '../drawing/sheet-scale';
import { useRoving, type RovingStop } from '../drawing/use-roving';

const { top, height } = lanes.scope;

interface Props {
  readonly bars: readonly ScopeBar[];
  readonly scale: SheetScale;
  readonly selected: ScopeBar | undefined;
  readonly pins: readonly PlacedPin[];
  /** Places that must be cured and cannot be here, ft. */
  readonly uncured: readonly { readonly from_ft: number; readonly to_ft: number }[];
  /** Where another option would do something else, ft; drawn as a dashed outline. */
  readonly differs: readonly { readonly from_ft: number; readonly to_ft: number }[];
  readonly onSelect: (bar: ScopeBar) => void;
  /** Opens the list of choices for a bar: by pressing the selected one again, or by the right button. */
  readonly onChoices: (on: Element) => void;
  /** An end of the selected bar is being dragged to a station, or was released there. */
  readonly onEnd: (end: 'from' | 'to', to_ft: number, last: boolean) => void;
  /** Current station of the dragged end. */
  readonly moving: { readonly end: 'from' | 'to'; readonly to_ft: number } | undefined;
}

/** The method on each foot; the ends of the selected bar can be dragged. */
export function ScopeLane({ bars, scale, selected, pins, uncured, differs, moving, ...on }: Props) {
  const roving = useRoving(
    'bar',
    bars.map(({ key }) => key),
  );
  return (
    <g aria-label="Scope">
      <g role="list" aria-label="What is done" {...roving.row}>
        {bars.map((bar, index) => (
          <g key={bar.key} role="listitem">
            <Bar
              bar={bar}
              scale={scale}
              chosen={selected?.key === bar.key}
              pinned={pins.some(
                ({ pin, from_ft, to_ft }) =>
                  !pin.split && from_ft < bar.to_ft - tolerance.ft && to_ft > bar.from_ft + tolerance.ft,
              )}
              covered={selected?.action !== undefined && bars[index - 1]?.key === selected.key}
              roving={roving.item(bar.key)}
              onSelect={on.onSelect}
              onChoices={on.onChoices}
            />
          </g>
        ))}
      </g>
      {uncured.map((each) => (
        <Uncured key={`${each.from_ft} ${each.to_ft}`} at={each} scale={scale} />
      ))}
      <Outlines differs={differs} pins={pins} scale={scale} />
      {selected?.action && <Ends bar={selected} scale={scale} moving={moving} onEnd={on.onEnd} />}
    </g>
  );
}

/** Where another option would do something else, and where a bar was split by hand. */
const Outlines = ({ differs, pins, scale: { x } }: Pick<Props, 'differs' | 'pins' | 'scale'>) => (
  <>
    {differs.map((each) => (
      <rect
        key={each.from_ft}
        x={x(each.from_ft)}
        y={top - 3}
        width={Math.max(2, x(each.to_ft) - x(each.from_ft))}
        height={height + 6}
        fill="none"
        stroke="var(--chakra-colors-ink)"
        strokeWidth={2}
        strokeDasharray="6 4"
        pointerEvents="none"
      />
    ))}
    {pins
      .filter(({ pin }) => pin.split)
      .map(({ from_ft, pin }) => (
        <path
          key={pin.id ?? from_ft}
          d={`M${x(from_ft)} ${top - 5}v${height + 10}m-5 -${height + 10}h10m-10 ${height + 10}h10`}
          stroke="var(--chakra-colors-ink)"
          strokeWidth={2.5}
          pointerEvents="none"
        />
      ))}
  </>
);

/** The two ends of the selected bar, to be dragged. */
function Ends({
  bar,
  scale: { x },
  moving,
  onEnd,
}: { readonly bar: ScopeBar } & Pick<Props, 'scale' | 'moving' | 'onEnd'>) {
  return (['from', 'to'] as const).map((end) => {
    const station = moving?.end === end ? moving.to_ft : bar[`${end}_ft`];
    return (
      <Handle
        key={end}
        x={x(station)}
        y={top + height / 2}
        label={`${end === 'from' ? 'Upstream' : 'Downstream'} end of ${methodName(bar.method).toLowerCase()}`}
        value={station}
        onSelect={() => undefined}
        onMove={(dx, _dy, last) => {
          onEnd(end, x.invert(x(bar[`${end}_ft`]) + dx), last);
        }}
        onDone={(by_ft) => {
          onEnd(end, bar[`${end}_ft`] + by_ft, true);
        }}
      >
        <rect
          x={-5}
          y={-height / 2 - 4}
          width={10}
          height={height + 8}
          fill="var(--chakra-colors-paper)"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={2}
        />
        <path d="M-1.5 -8v16m3 -16v16" stroke="var(--chakra-colors-ink)" strokeWidth={1.2} />
      </Handle>
    );
  });
}

interface BarProps {
  readonly bar: ScopeBar;
  readonly scale: SheetScale;
  readonly chosen: boolean;
  readonly pinned: boolean;
  /** Half the width of a handle's grip, px. */
  readonly covered: boolean;
}

interface PressedBarProps extends BarProps, Pick<Props, 'onSelect' | 'onChoices'> {
  readonly roving: RovingStop;
}

/** One action: the first press selects it, the next opens its choices. */
function Bar({ roving, onSelect, onChoices, ...shown }: PressedBarProps) {
  const { bar, chosen, pinned } = shown;
  const says = `${methodName(bar.method)}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft, ${barDetail(bar)}${pinned ? ', pinned' : ''}`;
  const press = (on: Element) => {
    if (chosen) onChoices(on);
    else onSelect(bar);
  };
  return (
    <g
      role="button"
      {...roving}
      data-bar={bar.key}
      aria-pressed={chosen}
      aria-haspopup={chosen ? 'menu' : undefined}
      aria-label={says}
      style={{ cursor: 'pointer' }}
      onClick={({ currentTarget }) => {
        press(currentTarget);
      }}
      onContextMenu={(event) => {
        event.preventDefault();
        onSelect(bar);
        onChoices(event.currentTarget);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          press(event.currentTarget);
        }
      }}
    >
      <DrawnBar {...shown} />
      <title>{says}</title>
    </g>
  );
}

/** The bar with as much of its text as fits. */
const DrawnBar = memo(({ bar, scale: { x }, chosen, pinned, covered }: BarProps) => {
  const [left, width] = [x(bar.from_ft), Math.max(2, x(bar.to_ft) - x(bar.from_ft) - 1)];
  const handle = chosen && bar.action ? 6 : 0;
  // Text goes in the visible part of the bar.
  const inset = Math.max(0, gutter_px - left) + (handle > 0 || covered ? 6 : 0);
  const room = width - inset - handle - (pinned ? 16 : 0);
  const { fill, ink } = methodRow(bar.method).drawing;
  const inkColor = `var(--chakra-colors-${ink})`;
  const [name, detail] = [methodName(bar.method), barDetail(bar)];
  const roomy = textWidth(name, 16) + 14 < room;
  const nameAt = left + inset + (roomy ? 8 : 4);
  // Bold letters are wider.
  const nameEnd = nameAt + 1.12 * textWidth(name, roomy ? 15 : 13);
  return (
    <>
      <rect
        x={left}
        y={top}
        width={width}
        height={height}
        fill={`var(--chakra-colors-${fill})`}
        stroke={chosen ? 'var(--chakra-colors-ink)' : 'none'}
        strokeWidth={3}
      />
      {textWidth(name, 13) + 6 < room && (
        <text
          x={nameAt}
          y={top + 25}
          fontSize={roomy ? 15 : 13}
          fontWeight={700}
          style={{ fill: inkColor, fontFamily: 'var(--chakra-fonts-heading)' }}
        >
          {name}
        </text>
      )}
      {chosen && nameEnd + 16 < left + inset + room && (
        <path d={`M${nameEnd + 5} ${top + 17}h9l-4.5 6z`} fill={inkColor} />
      )}
      {textWidth(detail, 13) + 12 < room && (
        <text x={left + inset + 8} y={top + 45} fontSize={13} style={{ fill: inkColor }}>
          {detail}
        </text>
      )}
      {pinned && width > 16 && (
        <g transform={`translate(${left + width - 11 - handle} ${top + 6})`} pointerEvents="none">
          <path d="M0 8v9" stroke={inkColor} strokeWidth={2} />
          <circle cx={0} cy={5} r={4.6} fill={inkColor} />
        </g>
      )}
    </>
  );
});

const leastMark_px = 5;

/** A place that is left to others, whatever the bar under it says. */
function Uncured({ at, scale }: { at: { from_ft: number; to_ft: number }; scale: SheetScale }) {
  const x = scale.x(at.from_ft);
  const width = Math.max(leastMark_px, scale.x(at.to_ft) - x);
  const says = 'by others';
  const left = Math.min(x + width / 2, scale.width - textWidth(says, 13) / 2 - 4);
  return (
    <g pointerEvents="none" role="img" aria-label={`${feet(at.from_ft)} to ${feet(at.to_ft)} ft: by others`}>
      <rect
        x={x}
        y={top - 2}
        width={width}
        height={height + 4}
        fill="var(--chakra-colors-sheet)"
        stroke="var(--chakra-colors-signal)"
        strokeWidth={2.5}
        strokeDasharray="3 3"
      />
      <text
        x={left}
        y={top + height - 8}
        fontSize={13}
        fontWeight={700}
        textAnchor="middle"
        stroke="var(--chakra-colors-keep)"
        strokeWidth={4}
        paintOrder="stroke"
        style={{ fill: 'var(--chakra-colors-signal-ink)' }}
      >
        {says}
      </text>
    </g>
  );
}
