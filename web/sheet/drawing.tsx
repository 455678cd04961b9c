import { chakra } from '@chakra-ui/react';
import type { RefObject } from 'react';
import type { School } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import { Axis } from '../lanes/axis';
import { GroundLane } from '../lanes/ground-lane';
import { Gutter } from '../lanes/gutter';
import { ConditionLane } from '../lanes/condition-lane.js';
import { Patterns } from '../drawing/patterns';
import type { ScopeBar } from '../drawing/scope-bars';
import { ScopeLane } from '../lanes/scope-lane';
import { gutter_px, lanes, sheetHeight, type SheetScale } from '../drawing/sheet-scale';
import { lazyPart } from '../shell/lazy-part';
import { useWheelAndPinch } from '../drawing/use-gestures';
import type { SheetWindow } from './use-window';
import { WallLane } from '../lanes/wall-lane';
import { OptionsLane } from '../lanes/options-lane.js';
import type { LineView } from '../../core/views/line-view.js';

// Only drawn where a station is pointed at.
const Hairline = lazyPart(
  'hairline',
  async () => (await import('../lanes/hairline')).Hairline,
  () => null,
);

interface Props {
  readonly ref: RefObject<SVGSVGElement | null>;
  readonly line: LineView;
  readonly lineScope: LineScope;
  readonly scope: ScopeSoFar;
  /** The lane of the three options; without it the sheet ends above. */
  readonly ways: boolean;
  readonly scale: SheetScale;
  readonly window: SheetWindow;
  readonly datum: string;
  readonly bars: readonly ScopeBar[];
  readonly selected: ScopeBar | undefined;
  readonly finding: string | undefined;
  /** Station of the hairline, ft. */
  readonly at: number | undefined;
  readonly moving: { readonly end: 'from' | 'to'; readonly to_ft: number } | undefined;
  readonly differs: readonly Interval[];
  readonly on: {
    readonly station: (at: number | undefined) => void;
    readonly bar: (bar: ScopeBar) => void;
    /** Opens the list of choices on the selected bar. */
    readonly choices: (on: Element) => void;
    readonly finding: (id: string) => void;
    readonly hole: (actionId: string) => void;
    readonly end: (end: 'from' | 'to', to_ft: number, last: boolean) => void;
    readonly take: (school: School) => void;
    readonly lookAt: (school: School | undefined) => void;
    readonly line: (id: string) => void;
  };
}

/** Zoom factor of the wheel, per px. */
const zoomPerPx = 1.0015;

/** Every lane on one station axis, with one hairline through them all. */
export function Drawing({ ref, window, ways, datum, at, finding, scope, ...shown }: Props) {
  const { line, lineScope, scale, on, selected, moving } = shown;
  const stationAt = (clientX: number): number => {
    const left = ref.current?.getBoundingClientRect().left ?? 0;
    return scale.x.invert(clientX - left);
  };
  useZoom(ref, scale, window, stationAt);
  const follow = (event: React.PointerEvent<SVGSVGElement>) => {
    const station = stationAt(event.clientX);
    on.station(station >= line.from_ft - 0.01 && station <= line.to_ft + 0.01 ? station : undefined);
  };
  const step = (event: React.KeyboardEvent<SVGSVGElement>) => {
    if (event.target !== event.currentTarget) return;
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const from = at ?? (by > 0 ? line.from_ft - 0.5 : line.to_ft + 0.5);
    on.station(Math.min(line.to_ft, Math.max(line.from_ft, from + by * (event.shiftKey ? 5 : 0.5))));
  };
  const height = ways ? sheetHeight : lanes.ways.top;
  const hair = moving?.to_ft ?? at;
  return (
    <chakra.svg
      ref={ref}
      width={scale.width}
      height={height}
      viewBox={`0 0 ${scale.width} ${height}`}
      display="block"
      tabIndex={0}
      role="group"
      aria-label="Sheet. Left and right arrows move the hairline, question mark tells all keys."
      css={{ touchAction: 'pan-x pan-y', overflow: 'hidden' }}
      onPointerMove={follow}
      onPointerDown={follow}
      onPointerLeave={() => {
        on.station(undefined);
      }}
      onKeyDown={step}
    >
      <Patterns />
      <Axis scale={scale} />
      <GroundLane
        line={line}
        scope={lineScope}
        scale={scale}
        selected={selected?.action?.id}
        onSelect={on.hole}
        onLine={on.line}
      />
      <WallLane line={line} scale={scale} selected={finding} onSelect={on.finding} />
      <ConditionLane line={line} scale={scale} />
      <Scope {...shown} />
      <Gutter line={line} scope={lineScope} datum={datum} width={scale.width} />
      {ways && (
        <OptionsLane scope={scope} lineId={line.id} scale={scale} onTake={on.take} onLookAt={on.lookAt} />
      )}
      {hair !== undefined && <Hairline line={line} scale={scale} station_ft={hair} />}
    </chakra.svg>
  );
}

type ScopeProps = Pick<
  Props,
  'line' | 'lineScope' | 'scale' | 'on' | 'bars' | 'selected' | 'differs' | 'moving'
>;

function Scope({ line, lineScope, scale, on, bars, selected, differs, moving }: ScopeProps) {
  if (!lineScope.feasible)
    return (
      <text
        x={gutter_px}
        y={lanes.scope.top + 30}
        fontSize={15}
        fontWeight={700}
        style={{ fill: 'var(--chakra-colors-signal-ink)' }}
      >
        No scope satisfies the rules and pins here: see the panel.
      </text>
    );
  return (
    <ScopeLane
      bars={bars}
      scale={scale}
      selected={selected}
      pins={line.pins}
      uncured={lineScope.notPossible}
      differs={differs}
      onSelect={on.bar}
      onChoices={on.choices}
      onEnd={on.end}
      moving={moving}
    />
  );
}

/** The plain wheel zooms; with Shift, or sideways, it pans along the line. Two fingers zoom. */
function useZoom(
  ref: RefObject<SVGSVGElement | null>,
  scale: SheetScale,
  window: SheetWindow,
  stationAt: (clientX: number) => number,
): void {
  useWheelAndPinch(ref, {
    onWheel: ({ event, delta: [dx, dy] }) => {
      if (event.shiftKey || Math.abs(dx) > Math.abs(dy)) {
        const by = event.shiftKey && dx === 0 ? dy : dx;
        if (window.shown) event.preventDefault();
        window.pan(scale.x.invert(by) - scale.x.invert(0));
        return;
      }
      if (event.clientX - (ref.current?.getBoundingClientRect().left ?? 0) < gutter_px) return;
      event.preventDefault();
      window.zoom(zoomPerPx ** dy, stationAt(event.clientX));
    },
    onPinch: ({ offset: [now], lastOffset: [before], first, memo, origin: [ox] }) => {
      const last = first ? before : (memo as number);
      window.zoom(last / now, stationAt(ox));
      return now;
    },
  });
}
