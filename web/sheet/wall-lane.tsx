import type { FindingView, LineView } from '../../core/views/job-view.js';
import { gradeWords } from '../../core/job/vocabulary.js';
import { sayWhat } from '../../core/logline/say.js';
import { feet } from '../shell/format';
import { lanes, type SheetScale } from './sheet-scale';
import { useRoving } from './use-roving';

const { top, height } = lanes.wall;
const ink = 'var(--chakra-colors-ink)';
const water = 'var(--chakra-colors-water)';

/** The clock down the page, crown at both edges and the invert in the middle. */
const yOf = (clock: number) => top + ((clock % 12) / 12) * height;

/** The parts of the wall a clock range covers, as [top, bottom] px; the whole way round when nothing was said. */
function spans(clock: FindingView['clock']): [number, number][] {
  if (clock === undefined) return [[top, top + height]];
  if (typeof clock === 'number') {
    const middle = yOf(clock);
    const reach = 9;
    if (middle - reach < top)
      return [
        [top, middle + reach],
        [top + height - reach, top + height],
      ];
    return [[middle - reach, Math.min(middle + reach, top + height)]];
  }
  const [from, to] = [yOf(clock[0]), yOf(clock[1])];
  return from <= to && clock[0] !== clock[1]
    ? [[from, to]]
    : [
        [from, top + height],
        [top, Math.max(to, top + 6)],
      ];
}

interface Props {
  readonly line: LineView;
  readonly scale: SheetScale;
  readonly selected: string | undefined;
  readonly onSelect: (findingId: string) => void;
}

/** The pipe wall unrolled: each finding drawn as the thing it is, where it lies and as long as it is. */
export function WallLane({ line, scale, selected, onSelect }: Props) {
  const { x } = scale;
  const [left, right] = [x(line.from_ft), x(line.to_ft)];
  const findings = line.findings.filter(({ kind }) => kind !== 'main-backed-up');
  const roving = useRoving('finding', findings.length);
  return (
    <g aria-label="Wall">
      <rect x={left} y={top} width={right - left} height={height} fill="var(--chakra-colors-sheet)" />
      {[3, 9].map((clock) => (
        <line
          key={clock}
          x1={left}
          x2={right}
          y1={yOf(clock)}
          y2={yOf(clock)}
          stroke="var(--chakra-colors-rule)"
        />
      ))}
      {line.joints.map((at) => (
        <line key={at} x1={x(at)} x2={x(at)} y1={top} y2={top + height} stroke="var(--chakra-colors-rule)" />
      ))}
      <line x1={left} x2={right} y1={yOf(6)} y2={yOf(6)} stroke={water} strokeWidth={1.2} opacity={0.7} />
      {line.pipes.slice(1).map((pipe) => (
        <line
          key={pipe.from_ft}
          x1={x(pipe.from_ft)}
          x2={x(pipe.from_ft)}
          y1={top}
          y2={top + height}
          stroke={ink}
          strokeWidth={1.3}
        />
      ))}
      {line.unseen.map((each) => (
        <g key={`u${each.from_ft}`}>
          <rect
            x={x(each.from_ft)}
            y={top}
            width={x(each.to_ft) - x(each.from_ft)}
            height={height}
            fill="var(--chakra-colors-keep)"
          />
          <rect
            x={x(each.from_ft)}
            y={top}
            width={x(each.to_ft) - x(each.from_ft)}
            height={height}
            fill="url(#unseen)"
          />
          <title>{`Not seen, ${feet(each.from_ft)} to ${feet(each.to_ft)} ft`}</title>
        </g>
      ))}
      <rect
        x={left}
        y={top}
        width={right - left}
        height={height}
        fill="none"
        stroke={ink}
        strokeWidth={1.5}
      />
      <g role="list" aria-label="Findings" {...roving.row}>
        {findings.map((finding, index) => (
          <g key={finding.id} role="listitem">
            <g
              role="button"
              {...roving.item(index)}
              aria-label={`${sayWhat(finding.entry)} at ${feet(finding.from_ft)} ft: ${gradeWords[finding.grade]}`}
              opacity={finding.settled ? 0.5 : 1}
              style={{ cursor: 'pointer' }}
              onClick={() => {
                onSelect(finding.id);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') onSelect(finding.id);
              }}
            >
              <title>{`${sayWhat(finding.entry)} at ${feet(finding.from_ft)} ft: ${gradeWords[finding.grade]}`}</title>
              <rect
                x={x(finding.place.from_ft) - 4}
                y={top}
                width={x(finding.place.to_ft) - x(finding.place.from_ft) + 8}
                height={height}
                fill="transparent"
                stroke={selected === finding.id ? 'var(--chakra-colors-signal)' : 'none'}
                strokeWidth={2}
              />
              <g strokeDasharray={finding.possible ? '3 3' : undefined}>
                <Drawn finding={finding} scale={scale} />
              </g>
            </g>
          </g>
        ))}
      </g>
    </g>
  );
}

/** A repeatable wobble, so that the same finding is always drawn the same. */
function wobble(seed: string): () => number {
  let state = Array.from(seed).reduce((sum, char) => (sum * 31 + char.charCodeAt(0)) >>> 0, 7);
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

/** A finding as the thing it is; the legend draws the same. */
export function Drawn({ finding, scale }: { finding: FindingView; scale: SheetScale }) {
  const { x } = scale;
  const [from, to] = [x(finding.from_ft), x(finding.to_ft)];
  const middle = (from + to) / 2;
  const long = to - from > 4;
  const parts = spans(finding.clock);
  const random = wobble(finding.id);
  const zigzag = (x1: number, y1: number, x2: number, y2: number, bits: number, wide: number) =>
    Array.from({ length: bits + 1 }, (_, i) => {
      const t = i / bits;
      const off = i === 0 || i === bits ? 0 : (random() - 0.5) * 2 * wide;
      const across = Math.abs(x2 - x1) > Math.abs(y2 - y1);
      return `${i === 0 ? 'M' : 'L'}${x1 + (x2 - x1) * t + (across ? 0 : off)} ${y1 + (y2 - y1) * t + (across ? off : 0)}`;
    }).join('');
  switch (finding.kind) {
    case 'roots': {
      const grows = 4 + finding.grade * 2.5;
      return parts.map(([a, b], part) =>
        Array.from({ length: Math.max(2, Math.round((b - a) / 6)) }, (_, i) => {
          const y = a + ((i + 0.5) * (b - a)) / Math.max(2, Math.round((b - a) / 6));
          const at = long ? from + random() * (to - from) : middle;
          const w = grows * (0.7 + random() * 0.6);
          return (
            <path
              key={`${part} ${i}`}
              d={`M${at - w} ${y + 2}q${w * 0.5} -5 ${w} -1t${w} -1`}
              fill="none"
              stroke={ink}
              strokeWidth={1.6}
              strokeLinecap="round"
            />
          );
        }),
      );
    }
    case 'crack': {
      const form =
        finding.entry.kind === 'finding' && finding.entry.finding === 'crack'
          ? finding.entry.form
          : undefined;
      if (form === 'around')
        return (
          <path
            d={zigzag(middle, top + 2, middle, top + height - 2, 14, 3)}
            fill="none"
            stroke={ink}
            strokeWidth={2.4}
          />
        );
      const reach = Math.max(to - from, 22);
      const y = parts[0] ? (parts[0][0] + parts[0][1]) / 2 : yOf(3);
      const lines = form === 'several' ? [-14, 0, 15] : [0];
      return lines.map((dy) => (
        <path
          key={dy}
          d={zigzag(middle - reach / 2, y + dy, middle + reach / 2, y + dy * 0.6, 7, 3)}
          fill="none"
          stroke={ink}
          strokeWidth={form === 'hairline' ? 1 : 1.9}
        />
      ));
    }
    case 'offset':
      return (
        <path d={`M${middle} ${top}V${top + height}`} stroke={ink} strokeWidth={2.5 + finding.grade * 1.6} />
      );
    case 'lip':
      return (
        <path
          d={`M${middle} ${top + height * 0.35}v${height * 0.3}h6`}
          stroke={ink}
          strokeWidth={3}
          fill="none"
        />
      );
    case 'separation':
      return (
        <>
          <rect
            x={middle - 2 - finding.grade}
            y={top}
            width={4 + finding.grade * 2}
            height={height}
            fill="var(--chakra-colors-paper)"
          />
          <path
            d={`M${middle - 2 - finding.grade} ${top}v${height}M${middle + 2 + finding.grade} ${top}v${height}`}
            stroke={ink}
            strokeWidth={1.6}
          />
        </>
      );
    case 'belly': {
      const half = 12 + finding.grade * 8;
      const [l, r] = [Math.min(from, middle - 8), Math.max(to, middle + 8)];
      return (
        <path
          d={`M${l} ${yOf(6)}Q${middle} ${yOf(6) - 2 * half} ${r} ${yOf(6)}Q${middle} ${yOf(6) + 2 * half} ${l} ${yOf(6)}Z`}
          fill={water}
          fillOpacity={0.4}
          stroke={water}
          strokeWidth={1.5}
        />
      );
    }
    case 'deposit': {
      const half = 8 + finding.grade * 6;
      return (
        <rect
          x={Math.min(from, middle - 8)}
          y={yOf(6) - half}
          width={Math.max(to - from, 16)}
          height={2 * half}
          fill="url(#deposit)"
          stroke={ink}
          strokeWidth={1}
        />
      );
    }
    case 'broken':
    case 'hole':
    case 'bottom-gone': {
      const around =
        finding.kind === 'bottom-gone'
          ? [[yOf(6) - 22, yOf(6) + 22] as [number, number]]
          : finding.clock === undefined
            ? [[yOf(6) - 26, yOf(6) + 26] as [number, number]]
            : parts;
      return around.map(([a, b]) => {
        const [cy, ry] = [(a + b) / 2, Math.max(8, (b - a) / 2)];
        const rx = Math.max(8, (to - from) / 2);
        const points = Array.from({ length: 10 }, (_, i) => {
          const angle = (i / 10) * 2 * Math.PI;
          const r = finding.kind === 'hole' ? 1 : 0.6 + random() * 0.6;
          return `${middle + Math.cos(angle) * rx * r},${cy + Math.sin(angle) * ry * r}`;
        });
        return <polygon key={a} points={points.join(' ')} fill={ink} stroke={ink} />;
      });
    }
    case 'collapse':
      return (
        <path
          d={`M${middle - 9} ${top}L${middle + 9} ${top + height}M${middle + 9} ${top}L${middle - 9} ${top + height}M${middle} ${top}v${height}`}
          stroke={ink}
          strokeWidth={3.2}
        />
      );
    case 'deformation': {
      const [l, r] = [Math.min(from, middle - 12), Math.max(to, middle + 12)];
      return (
        <path
          d={`M${l} ${top + 18}Q${middle} ${top + 44} ${r} ${top + 18}M${l} ${top + height - 18}Q${middle} ${top + height - 44} ${r} ${top + height - 18}`}
          fill="none"
          stroke={ink}
          strokeWidth={2.6}
        />
      );
    }
    case 'blister':
      return parts.map(([a, b]) => (
        <ellipse
          key={a}
          cx={middle}
          cy={finding.clock === undefined ? yOf(4) : (a + b) / 2}
          rx={9}
          ry={7}
          fill="var(--chakra-colors-soft)"
          stroke={ink}
        />
      ));
    case 'intrusion':
      return parts.map(([a, b]) => {
        const y = finding.clock === undefined ? yOf(3) : (a + b) / 2;
        return (
          <path
            key={a}
            d={`M${middle - 8} ${y - 9}L${middle + 10} ${y}L${middle - 8} ${y + 9}Z`}
            fill={ink}
          />
        );
      });
    case 'worn-bottom': {
      const [l, r] = [Math.min(from, middle - 14), Math.max(to, middle + 14)];
      return (
        <path
          d={`${zigzag(l, yOf(6) - 9, r, yOf(6) - 9, 9, 3)}${zigzag(l, yOf(6) + 9, r, yOf(6) + 9, 9, 3)}`}
          fill="none"
          stroke={ink}
          strokeWidth={1.7}
        />
      );
    }
    case 'infiltration': {
      const y = parts[0] && finding.clock !== undefined ? (parts[0][0] + parts[0][1]) / 2 : yOf(3);
      return [-9, 0, 9].map((dx) => (
        <path key={dx} d={`M${middle + dx} ${y - 7}q5 8 0 10q-5 -2 0 -10`} fill={water} stroke={water} />
      ));
    }
    case 'main-backed-up':
      return null;
  }
}
