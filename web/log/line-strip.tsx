import { memo } from 'react';
import { linearScale, stationsAlong, type Scale } from '../drawing/scale';
import { useWidth } from '../drawing/use-width';
import { counterOf } from './entries';
import type { FindingView, LineView } from '../../core/views/line-view.js';

interface Props {
  readonly lineView: LineView;
  /** The camera head, at its run's counter reading. */
  readonly head?: { readonly run: string; readonly reading_ft: number } | undefined;
}

/** The line at a glance: each entry appears here as it is written. */
export function LineStrip({ lineView, head }: Props) {
  const place = head && counterOf(lineView, head.run)?.place(head.reading_ft);
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const { from_ft, to_ft, findings } = lineView;
  const x = linearScale([from_ft, Math.max(to_ft, from_ft + 1)], [52, width - 24]);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={84}
        role="img"
        aria-label={`The line from ${from_ft.toFixed(0)} to ${to_ft.toFixed(0)} ft with ${findings.length} findings`}
      >
        <text x={14} y={38} fontSize={14} fontWeight={700}>
          Line
        </text>
        <Pipe lineView={lineView} x={x} />
        {findings.map((finding) => (
          <Finding key={finding.id} finding={finding} x={x} />
        ))}
        {place !== undefined && (
          <g transform={`translate(${Math.min(width - 8, Math.max(52, x(place)))} 0)`}>
            <path d="M-6 1 H6 L0 11 Z" fill="var(--chakra-colors-signal)" />
            <line y1={8} y2={60} stroke="var(--chakra-colors-signal)" strokeWidth={2} />
          </g>
        )}
        {to_ft <= from_ft && (
          <text x={64} y={38} fontSize={14} fill="var(--chakra-colors-soft)">
            nothing seen yet
          </text>
        )}
        {stationsAlong(x, lineView, width / 110).map((tick) => (
          <g key={tick} transform={`translate(${x(tick)} 54)`}>
            <line y2={6} stroke="var(--chakra-colors-ink)" />
            <text y={21} fontSize={13} textAnchor="middle">
              {tick}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** Its whole length, stretches not seen, and material changes. */
const Pipe = ({ lineView: { from_ft, to_ft, unseen, pipes }, x }: { lineView: LineView; x: Scale }) => (
  <>
    <rect
      x={x(from_ft)}
      y={12}
      width={x(to_ft) - x(from_ft)}
      height={42}
      fill="var(--chakra-colors-sheet)"
      stroke="var(--chakra-colors-ink)"
      strokeWidth={1.5}
    />
    {unseen.map((each) => (
      <rect
        key={`u${each.from_ft}`}
        x={x(each.from_ft)}
        y={13}
        width={x(each.to_ft) - x(each.from_ft)}
        height={40}
        fill="var(--chakra-colors-keep)"
      />
    ))}
    {pipes.slice(1).map((pipe) => (
      <line
        key={`p${pipe.from_ft}`}
        x1={x(pipe.from_ft)}
        x2={x(pipe.from_ft)}
        y1={12}
        y2={54}
        stroke="var(--chakra-colors-ink)"
      />
    ))}
  </>
);

/** Of a hundred findings one changes with an entry. */
const Finding = memo(({ finding, x }: { finding: FindingView; x: Scale }) => {
  const { kind, grade, from_ft, to_ft } = finding;
  const length = x(to_ft) - x(from_ft);
  if (kind === 'belly')
    return (
      <ellipse
        cx={x((from_ft + to_ft) / 2)}
        cy={33}
        rx={Math.max(4, length / 2)}
        ry={12}
        fill="var(--chakra-colors-water)"
        opacity={0.5}
      />
    );
  return (
    <rect
      x={x(from_ft) - 1}
      y={14}
      width={Math.max(grade >= 3 ? 5 : 2.5, length)}
      height={38}
      fill={`var(--chakra-colors-${grade >= 3 ? 'signal' : 'ink'})`}
    />
  );
});
