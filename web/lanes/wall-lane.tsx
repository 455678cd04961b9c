import { memo, type SyntheticEvent } from 'react';
import { gradeWords } from '../../core/findings/row.js';
import { feet } from '../controls/format';
import { shallowEqual } from '../controls/shallow-equal.js';
import { DrawnFinding, yOf } from './drawn-finding';
import { lanes, type SheetScale } from '../drawing/sheet-scale';
import { useRoving, type RovingStop } from '../drawing/use-roving';
import type { LineView } from '../../core/views/line-view.js';

const { top, height } = lanes.wall;
const ink = 'var(--chakra-colors-ink)';
const water = 'var(--chakra-colors-water)';

interface Props {
  readonly line: LineView;
  readonly scale: SheetScale;
  readonly selected: string | undefined;
  readonly onSelect: (findingId: string) => void;
}

/** The pipe wall unrolled: each finding drawn at its place and length. */
export function WallLane({ line, scale, selected, onSelect }: Props) {
  const { x } = scale;
  const [left, right] = [x(line.from_ft), x(line.to_ft)];
  const findings = line.findings.filter(({ kind }) => kind !== 'main-backed-up');
  const roving = useRoving(
    'finding',
    findings.map(({ id }) => id),
  );
  const choose = ({ target }: SyntheticEvent) => {
    const id = (target as Element).closest('[data-finding]')?.getAttribute('data-finding');
    if (id) onSelect(id);
  };
  return (
    <g aria-label="Wall">
      <Pipe line={line} scale={scale} />
      <rect
        x={left}
        y={top}
        width={right - left}
        height={height}
        fill="none"
        stroke={ink}
        strokeWidth={1.5}
      />
      <g
        role="list"
        aria-label="Findings"
        onFocus={roving.row.onFocus}
        onClick={choose}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') choose(event);
          else roving.row.onKeyDown(event);
        }}
      >
        {findings.map((finding) => (
          <WallFinding
            key={finding.id}
            finding={finding}
            scale={scale}
            selected={selected === finding.id}
            {...roving.item(finding.id)}
          />
        ))}
      </g>
    </g>
  );
}

/** The wall itself: joints, material changes, and stretches not seen. */
function Pipe({ line, scale: { x } }: Pick<Props, 'line' | 'scale'>) {
  const [left, right] = [x(line.from_ft), x(line.to_ft)];
  return (
    <>
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
    </>
  );
}

interface WallFindingProps extends RovingStop {
  readonly finding: LineView['findings'][number];
  readonly scale: SheetScale;
  readonly selected: boolean;
}

/** One finding, to be pressed. */
const WallFinding = memo(({ finding, scale, selected, ...rove }: WallFindingProps) => {
  const says = `${finding.says} at ${feet(finding.from_ft)} ft: ${gradeWords[finding.grade]}`;
  const { place } = finding;
  const { x } = scale;
  return (
    <g role="listitem">
      <g
        role="button"
        {...rove}
        data-finding={finding.id}
        aria-label={says}
        opacity={finding.settled ? 0.5 : 1}
        style={{ cursor: 'pointer' }}
      >
        <title>{says}</title>
        <rect
          x={x(place.from_ft) - 4}
          y={top}
          width={x(place.to_ft) - x(place.from_ft) + 8}
          height={height}
          fill="transparent"
          stroke={selected ? 'var(--chakra-colors-signal)' : 'none'}
          strokeWidth={2}
        />
        <g strokeDasharray={finding.possible ? '3 3' : undefined}>
          <DrawnFinding finding={finding} scale={scale} />
        </g>
      </g>
    </g>
  );
}, shallowEqual);
