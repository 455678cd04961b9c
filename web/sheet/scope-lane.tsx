import type { LineScope } from '../../core/scope/scope.js';
import type { Method } from '../../core/job/vocabulary.js';
import { feet, methodWords } from '../shell/format';
import { textWidth } from './labels';
import { lanes, type SheetScale } from './sheet-scale';

const { top, height } = lanes.scope;

export const barFill: Record<Method, { fill: string; ink: string }> = {
  leave: { fill: 'keep', ink: 'ink' },
  clean: { fill: 'water', ink: 'sheet' },
  spot: { fill: 'signal', ink: 'on-signal' },
  'open-cut': { fill: 'signal', ink: 'on-signal' },
  regrade: { fill: 'signal', ink: 'on-signal' },
  burst: { fill: 'signal', ink: 'on-signal' },
  line: { fill: 'liner', ink: 'on-liner' },
  'short-line': { fill: 'liner', ink: 'on-liner' },
};

/** A bar of the scope: a whole action, or a stretch that is kept or cleaned. */
export interface ScopeBar {
  readonly key: string;
  readonly from_ft: number;
  readonly to_ft: number;
  readonly method: Method;
  readonly action: LineScope['actions'][number] | undefined;
  readonly segments: LineScope['segments'];
}

export function barsOf(scope: LineScope): ScopeBar[] {
  const bars: ScopeBar[] = [];
  for (const segment of scope.segments) {
    const last = bars.at(-1);
    const same = last && last.method === segment.method && (last.action?.id ?? null) === segment.action;
    if (same)
      bars[bars.length - 1] = { ...last, to_ft: segment.to_ft, segments: [...last.segments, segment] };
    else {
      bars.push({
        key: segment.action ?? `${segment.method} ${segment.from_ft.toFixed(2)}`,
        from_ft: segment.from_ft,
        to_ft: segment.to_ft,
        method: segment.method,
        action: scope.actions.find(({ id }) => id === segment.action),
        segments: [segment],
      });
    }
  }
  return bars;
}

/** What a bar says under its name. */
export function barDetail({ action, from_ft, to_ft }: ScopeBar): string {
  if (action?.liner) return `${feet(action.liner.host.value)} ft, cut ${feet(action.liner.cut.value)}`;
  if (action?.pipe) return `${feet(action.pipe.laid.value)} ft of ${action.pipe.diameter_in} in`;
  return `${feet(to_ft - from_ft)} ft`;
}

interface Props {
  readonly bars: readonly ScopeBar[];
  readonly scale: SheetScale;
  readonly selected: string | undefined;
  readonly onSelect: (key: string) => void;
}

/** What is done on each foot. Kept pipe is pale; what is dug is the signal colour. */
export function ScopeLane({ bars, scale, selected, onSelect }: Props) {
  const { x } = scale;
  return (
    <g aria-label="Scope" role="list">
      {bars.map((bar) => {
        const [left, width] = [x(bar.from_ft), Math.max(2, x(bar.to_ft) - x(bar.from_ft) - 1)];
        const { fill, ink } = barFill[bar.method];
        const name = methodWords[bar.method];
        const detail = barDetail(bar);
        const roomy = textWidth(name, 16) + 14 < width;
        return (
          <g key={bar.key} role="listitem">
            <g
              role="button"
              tabIndex={0}
              aria-pressed={selected === bar.key}
              aria-label={`${name}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft, ${detail}`}
              style={{ cursor: 'pointer' }}
              onClick={() => {
                onSelect(bar.key);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  onSelect(bar.key);
                }
              }}
            >
              <rect
                x={left}
                y={top}
                width={width}
                height={height}
                fill={`var(--chakra-colors-${fill})`}
                stroke={selected === bar.key ? 'var(--chakra-colors-ink)' : 'none'}
                strokeWidth={3}
              />
              {textWidth(name, 13) + 6 < width && (
                <text
                  x={left + (roomy ? 8 : 4)}
                  y={top + 22}
                  fontSize={roomy ? 15 : 13}
                  fontWeight={700}
                  style={{ fill: `var(--chakra-colors-${ink})`, fontFamily: 'var(--chakra-fonts-heading)' }}
                >
                  {name}
                </text>
              )}
              {textWidth(detail, 13) + 12 < width && (
                <text x={left + 8} y={top + 41} fontSize={13} style={{ fill: `var(--chakra-colors-${ink})` }}>
                  {detail}
                </text>
              )}
              <title>{`${name}, ${feet(bar.from_ft)} to ${feet(bar.to_ft)} ft: ${detail}`}</title>
            </g>
          </g>
        );
      })}
    </g>
  );
}
