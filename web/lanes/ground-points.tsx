import type { ReactNode, SVGProps } from 'react';
import { sayPointKind } from '../../core/job/point-words.js';
import { feet } from '../controls/format';
import type { PointView } from '../../core/views/line-view.js';

const ink = 'var(--chakra-colors-ink)';

/** Label below a point of the long section; a cleanout is recognized by its cap. */
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
          ? sayPointKind(point.kind)
          : point.name;
    default:
      return point.name === point.id ? sayPointKind(point.kind) : point.name;
  }
}

/** Position of a point, px. */
interface Place {
  readonly x: number;
  readonly invert: number;
  readonly groundTop: number;
}

interface Drawing {
  readonly pen?: SVGProps<SVGGElement>;
  readonly mark: (place: Place) => ReactNode;
}

const sheet = 'var(--chakra-colors-sheet)';
const outline = (width: number): SVGProps<SVGGElement> => ({ fill: 'none', stroke: ink, strokeWidth: width });

const shaft: Drawing = {
  pen: outline(1.8),
  mark: ({ x, invert, groundTop }) => (
    <path d={`M${x - 9} ${groundTop}V${invert + 2}H${x + 9}V${groundTop}`} />
  ),
};
const dot: Drawing = { mark: ({ x, invert }) => <circle cx={x} cy={invert - 4} r={2.6} fill={ink} /> };

/** How each kind of point is drawn; any other kind is a dot. */
const drawings: Partial<Record<PointView['kind'], Drawing>> = {
  cleanout: {
    mark: ({ x, invert, groundTop }) => (
      <>
        <line x1={x} x2={x} y1={groundTop - 8} y2={invert} stroke={ink} strokeWidth={3.2} />
        <rect x={x - 6} y={groundTop - 13} width={12} height={6} fill={ink} />
      </>
    ),
  },
  main: {
    pen: { fill: sheet, stroke: ink, strokeWidth: 1.8 },
    mark: ({ x, invert }) => <circle cx={x} cy={invert - 3} r={14} />,
  },
  manhole: shaft,
  pit: shaft,
  'tie-in': {
    pen: outline(2.4),
    mark: ({ x, invert }) => (
      <>
        <path d={`M${x} ${invert - 6}l-13 -15`} />
        <circle cx={x} cy={invert - 5} r={3} fill={ink} stroke="none" />
      </>
    ),
  },
  valve: {
    pen: { fill: sheet, stroke: ink, strokeWidth: 1.8 },
    mark: ({ x, invert }) => (
      <path d={`M${x - 8} ${invert - 12}L${x + 8} ${invert}V${invert - 12}L${x - 8} ${invert}Z`} />
    ),
  },
  trap: {
    pen: outline(2.2),
    mark: ({ x, invert }) => <path d={`M${x - 9} ${invert - 6}q4 14 9 14t9 -14`} />,
  },
  bend: {
    pen: outline(2.2),
    mark: ({ x, invert }) => <path d={`M${x - 7} ${invert + 5}h7l6 6`} />,
  },
  drop: {
    pen: outline(2.2),
    mark: ({ x, invert }) => <path d={`M${x} ${invert - 14}v12m-4 -4l4 5l4 -5`} />,
  },
  building: {
    pen: outline(4),
    mark: ({ x, invert, groundTop }) => <path d={`M${x} ${groundTop - 24}V${invert + 6}`} />,
  },
  tree: {
    pen: outline(1.6),
    mark: ({ x, groundTop }) => (
      <>
        <path d={`M${x} ${groundTop}v-9`} />
        <circle cx={x} cy={groundTop - 15} r={7} />
      </>
    ),
  },
};

interface Props {
  readonly point: PointView;
  readonly place: Place;
  readonly onLine: (id: string) => void;
}

/** One point of a line in the ground; where another line joins, pressing it opens that line. */
export function PointMark({ point, place, onLine }: Props) {
  const { pen, mark } = drawings[point.kind] ?? dot;
  const other =
    point.kind === 'tie-in'
      ? (point.joinedBy ?? (point.onto && { line: point.onto.line, name: point.onto.line }))
      : undefined;
  const drawn = (
    <>
      {mark(place)}
      <title>{`${point.name} at ${feet(point.station.value)} ft`}</title>
    </>
  );
  if (!other) return <g {...pen}>{drawn}</g>;
  const go = () => {
    onLine(other.line);
  };
  return (
    <g
      {...pen}
      role="button"
      tabIndex={0}
      aria-label={`${other.name} joins here at ${feet(point.station.value)} ft: go to it`}
      style={{ cursor: 'pointer' }}
      onClick={go}
      onKeyDown={(event) => {
        if (event.key === 'Enter') go();
      }}
    >
      <rect x={place.x - 30} y={place.invert - 34} width={44} height={44} fill="transparent" stroke="none" />
      {drawn}
    </g>
  );
}
