import { memo } from 'react';
import { overlaps, subtract, type Interval } from '../../core/line/intervals.js';
import { tolerance } from '../../core/units.js';
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
  // Other work may lie over a place left to others: it stays in sight.
  const worked = bars.filter(({ action }) => action !== undefined);
  const isByWork = (at: Interval) => worked.some((bar) => overlaps(bar, at));
  const marks = uncured.flatMap((at) =>
    subtract([at], worked).map((part) => markOf(part, scale, isByWork(at))),
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
              {...textEnds(bar, marks, scale)}
              covered={selected?.action !== undefined && bars[index - 1]?.key === selected.key}
              roving={roving.item(bar.key)}
              onSelect={on.onSelect}
              onChoices={on.onChoices}
            />
          </g>
        ))}
      </g>
      {marks.map((mark) => (
        <Uncured key={`${mark.from_ft} ${mark.to_ft}`} {...mark} />
      ))}
      {uncured.filter(isByWork).map((at) => (
        <OverWork key={at.from_ft} {...markOf(at, scale, true)} />
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
        label={`${end === 'from' ? 'Upstream' : 'Downstream'} end of ${bar.summary.name.toLowerCase()}`}
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
  /** Where a mark over the bar ends its name, and its second line, px. */
  readonly nameEnds_px: number;
  readonly detailEnds_px: number;
}

interface PressedBarProps extends BarProps, Pick<Props, 'onSelect' | 'onChoices'> {
  readonly roving: RovingStop;
}

/** One action: the first press selects it, the next opens its choices. */
function Bar({ roving, onSelect, onChoices, ...shown }: PressedBarProps) {
  const { bar, chosen, pinned } = shown;
  const says = `${bar.summary.name}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft, ${barDetail(bar)}${pinned ? ', pinned' : ''}`;
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
const DrawnBar = memo(({ bar, scale: { x }, chosen, pinned, covered, ...ends }: BarProps) => {
  const [left, width] = [x(bar.from_ft), Math.max(2, x(bar.to_ft) - x(bar.from_ft) - 1)];
  const handle = chosen && bar.action ? 6 : 0;
  // Text goes in the visible part of the bar.
  const inset = Math.max(0, gutter_px - left) + (handle > 0 || covered ? 6 : 0);
  const whole = width - inset - handle - (pinned ? 16 : 0);
  const room = Math.min(whole, ends.nameEnds_px - left - inset);
  const detailRoom = Math.min(whole, ends.detailEnds_px - left - inset);
  const { fill, ink } = bar.summary.drawing;
  const inkColor = `var(--chakra-colors-${ink})`;
  const [name, detail] = [bar.summary.name, barDetail(bar)];
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
      {textWidth(detail, 13) + 12 < detailRoom && (
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

/** The bounds of a place left to others that other work runs across. */
const OverWork = ({ from_ft, to_ft, x, width }: Mark) => (
  <rect
    x={x}
    y={top - 2}
    width={width}
    height={height + 4}
    {...byOthersLine}
    fill="none"
    pointerEvents="none"
    role="img"
    aria-label={`${feet(from_ft)} to ${feet(to_ft)} ft: not all of it can be cured here`}
  />
);

const byOthersLine = {
  stroke: 'var(--chakra-colors-signal)',
  strokeWidth: 2.5,
  strokeDasharray: '3 3',
} as const;

const leastMark_px = 5;
const markSays = 'by others';

/** A place that is left to others, as it is drawn, px. */
interface Mark {
  readonly from_ft: number;
  readonly to_ft: number;
  readonly x: number;
  readonly width: number;
  /** From where to where its words lie; nowhere beside work that leaves no room for them. */
  readonly wordsFrom: number;
  readonly wordsTo: number;
}

function markOf(
  { from_ft, to_ft }: Props['uncured'][number],
  { x, width: all }: SheetScale,
  isByWork: boolean,
): Mark {
  const width = Math.max(leastMark_px, x(to_ft) - x(from_ft));
  const half = textWidth(markSays, 13) / 2 + 4;
  const words = Math.min(x(from_ft) + width / 2, all - half);
  const reach = isByWork && width < 2 * half ? 0 : half;
  return { from_ft, to_ft, x: x(from_ft), width, wordsFrom: words - reach, wordsTo: words + reach };
}

/** The first mark over a bar ends its text. */
function textEnds(bar: ScopeBar, marks: readonly Mark[], { x }: SheetScale) {
  const over = (from: number, to: number) => from < x(bar.to_ft) && to > x(bar.from_ft);
  const ends = (all: readonly number[]) => Math.min(Infinity, ...all);
  return {
    nameEnds_px: ends(marks.filter((mark) => over(mark.x, mark.x + mark.width)).map((mark) => mark.x)),
    detailEnds_px: ends(
      marks
        .filter((mark) => over(Math.min(mark.x, mark.wordsFrom), mark.wordsTo))
        .map((mark) => Math.min(mark.x, mark.wordsFrom)),
    ),
  };
}

/** A place that is left to others, whatever the bar under it says. */
function Uncured({ from_ft, to_ft, x, width, wordsFrom, wordsTo }: Mark) {
  return (
    <g pointerEvents="none" role="img" aria-label={`${feet(from_ft)} to ${feet(to_ft)} ft: ${markSays}`}>
      <rect
        x={x}
        y={top - 2}
        width={width}
        height={height + 4}
        fill="var(--chakra-colors-sheet)"
        {...byOthersLine}
      />
      {wordsTo > wordsFrom && (
        <text
          x={(wordsFrom + wordsTo) / 2}
          y={top + height - 8}
          fontSize={13}
          fontWeight={700}
          textAnchor="middle"
          stroke="var(--chakra-colors-keep)"
          strokeWidth={4}
          paintOrder="stroke"
          style={{ fill: 'var(--chakra-colors-signal-ink)' }}
        >
          {markSays}
        </text>
      )}
    </g>
  );
}
