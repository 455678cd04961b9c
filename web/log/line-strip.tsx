import { scaleLinear } from 'd3-scale';
import { useWidth } from '../drawing/use-width';
import { counterOf } from './entries';
import type { LineView } from '../../core/views/line-view.js';

/** The line at a glance: each entry lands here as it is written. */
export function LineStrip({
  lineView,
  head,
}: {
  lineView: LineView;
  /** The camera head, by what its run's counter shows. */
  head?: { readonly run: string; readonly reading_ft: number } | undefined;
}) {
  const place = head && counterOf(lineView, head.run)?.place(head.reading_ft);
  const [ref, width] = useWidth<HTMLDivElement>(600);
  const x = scaleLinear([lineView.from_ft, Math.max(lineView.to_ft, lineView.from_ft + 1)], [52, width - 24]);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={84}
        role="img"
        aria-label={`The line from ${lineView.from_ft.toFixed(0)} to ${lineView.to_ft.toFixed(0)} ft with ${lineView.findings.length} findings`}
      >
        <text x={14} y={38} fontSize={14} fontWeight={700}>
          Line
        </text>
        <rect
          x={x(lineView.from_ft)}
          y={12}
          width={x(lineView.to_ft) - x(lineView.from_ft)}
          height={42}
          fill="var(--chakra-colors-sheet)"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={1.5}
        />
        {lineView.unseen.map((each) => (
          <rect
            key={`u${each.from_ft}`}
            x={x(each.from_ft)}
            y={13}
            width={x(each.to_ft) - x(each.from_ft)}
            height={40}
            fill="var(--chakra-colors-keep)"
          />
        ))}
        {lineView.pipes.slice(1).map((pipe) => (
          <line
            key={`p${pipe.from_ft}`}
            x1={x(pipe.from_ft)}
            x2={x(pipe.from_ft)}
            y1={12}
            y2={54}
            stroke="var(--chakra-colors-ink)"
          />
        ))}
        {lineView.findings.map((finding) =>
          finding.kind === 'belly' ? (
            <ellipse
              key={finding.id}
              cx={x((finding.from_ft + finding.to_ft) / 2)}
              cy={33}
              rx={Math.max(4, (x(finding.to_ft) - x(finding.from_ft)) / 2)}
              ry={12}
              fill="var(--chakra-colors-water)"
              opacity={0.5}
            />
          ) : (
            <rect
              key={finding.id}
              x={x(finding.from_ft) - 1}
              y={14}
              width={Math.max(finding.grade >= 3 ? 5 : 2.5, x(finding.to_ft) - x(finding.from_ft))}
              height={38}
              fill={`var(--chakra-colors-${finding.grade >= 3 ? 'signal' : 'ink'})`}
            />
          ),
        )}
        {place !== undefined && (
          <g transform={`translate(${Math.min(width - 8, Math.max(52, x(place)))} 0)`}>
            <path d="M-6 1 H6 L0 11 Z" fill="var(--chakra-colors-signal)" />
            <line y1={8} y2={60} stroke="var(--chakra-colors-signal)" strokeWidth={2} />
          </g>
        )}
        {x.ticks(Math.max(2, Math.round(width / 110))).map((tick) => (
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
