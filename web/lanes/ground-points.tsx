import { feet } from '../controls/format';
import type { PointView } from '../../core/views/line-view.js';

const ink = 'var(--chakra-colors-ink)';

/** What is written under a point of the long section; a cleanout is known by its cap. */
export function pointWords(point: PointView): string {
  switch (point.kind) {
    case 'cleanout':
      return '';
    case 'property-line':
      return '';
    case 'tie-in':
      return point.joinedBy
        ? `${point.joinedBy.name} joins`
        : point.name === point.id
          ? 'tie-in'
          : point.name;
    default:
      return point.name === point.id ? point.kind.replaceAll('-', ' ') : point.name;
  }
}

/** One point of a line as it stands in the ground. */
export function PointMark({
  point,
  x,
  invert,
  groundTop,
  onLine,
}: {
  point: PointView;
  x: number;
  /** px. */
  invert: number;
  groundTop: number;
  onLine: (id: string) => void;
}) {
  const title = <title>{`${point.name} at ${feet(point.station.value)} ft`}</title>;
  switch (point.kind) {
    case 'cleanout':
      return (
        <g>
          <line x1={x} x2={x} y1={groundTop - 8} y2={invert} stroke={ink} strokeWidth={3.2} />
          <rect x={x - 6} y={groundTop - 13} width={12} height={6} fill={ink} />
          {title}
        </g>
      );
    case 'main':
      return (
        <g>
          <circle
            cx={x}
            cy={invert - 3}
            r={14}
            fill="var(--chakra-colors-sheet)"
            stroke={ink}
            strokeWidth={1.8}
          />
          {title}
        </g>
      );
    case 'manhole':
    case 'pit':
      return (
        <g fill="none" stroke={ink} strokeWidth={1.8}>
          <path d={`M${x - 9} ${groundTop}V${invert + 2}H${x + 9}V${groundTop}`} />
          {title}
        </g>
      );
    case 'tie-in': {
      const other = point.joinedBy ?? (point.onto && { line: point.onto.line, name: point.onto.line });
      const drawn = (
        <>
          <path d={`M${x} ${invert - 6}l-13 -15`} />
          <circle cx={x} cy={invert - 5} r={3} fill={ink} stroke="none" />
          {title}
        </>
      );
      if (!other) {
        return (
          <g fill="none" stroke={ink} strokeWidth={2.4}>
            {drawn}
          </g>
        );
      }
      return (
        <g
          fill="none"
          stroke={ink}
          strokeWidth={2.4}
          role="button"
          tabIndex={0}
          aria-label={`${other.name} joins here at ${feet(point.station.value)} ft: go to it`}
          style={{ cursor: 'pointer' }}
          onClick={() => {
            onLine(other.line);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') onLine(other.line);
          }}
        >
          <rect x={x - 30} y={invert - 34} width={44} height={44} fill="transparent" stroke="none" />
          {drawn}
        </g>
      );
    }
    case 'valve':
      return (
        <g fill="var(--chakra-colors-sheet)" stroke={ink} strokeWidth={1.8}>
          <path d={`M${x - 8} ${invert - 12}L${x + 8} ${invert}V${invert - 12}L${x - 8} ${invert}Z`} />
          {title}
        </g>
      );
    case 'bend':
      return (
        <g fill="none" stroke={ink} strokeWidth={2.2}>
          <path d={`M${x - 7} ${invert + 5}h7l6 6`} />
          {title}
        </g>
      );
    case 'drop':
      return (
        <g fill="none" stroke={ink} strokeWidth={2.2}>
          <path d={`M${x} ${invert - 14}v12m-4 -4l4 5l4 -5`} />
          {title}
        </g>
      );
    case 'building':
      return (
        <g>
          <path d={`M${x} ${groundTop - 24}V${invert + 6}`} stroke={ink} strokeWidth={4} />
          {title}
        </g>
      );
    case 'tree':
      return (
        <g fill="none" stroke={ink} strokeWidth={1.6}>
          <path d={`M${x} ${groundTop}v-9`} />
          <circle cx={x} cy={groundTop - 15} r={7} />
          {title}
        </g>
      );
    default:
      return (
        <g>
          <circle cx={x} cy={invert - 4} r={2.6} fill={ink} />
          {title}
        </g>
      );
  }
}
