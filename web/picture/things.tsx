import { useId } from 'react';
import type { Picture } from '../../core/practice/reel.js';
import { clockSpan, lit, onRing, path, ringAt, speckle, type Ring } from './lens';

type PictureThing = Picture['things'][number];

interface Drawn {
  readonly thing: PictureThing;
  readonly picture: Picture;
  readonly ring: Ring;
  /** Apparent scale: 1 at the lens. */
  readonly near: number;
}

/** A thing in the pipe at its place and scale. */
export function Thing({ thing, picture }: { thing: PictureThing; picture: Picture }) {
  // What the lens has passed is behind it.
  if (thing.ahead_ft < -0.2) return null;
  const ring = ringAt(picture, thing.ahead_ft);
  const Drawing = drawings[thing.what];
  return <Drawing thing={thing} picture={picture} ring={ring} near={ring.r / 146} />;
}

function Roots({ thing, ring, near }: Drawn) {
  const { from, span } = clockSpan(thing.clock);
  const percent = thing.percent ?? 10;
  const strands = Math.round(span * (4 + percent / 8));
  const long = Math.min(0.95, 0.22 + percent / 75);
  return (
    <g fill="none" strokeLinecap="round">
      {Array.from({ length: strands }, (_, i) => {
        const clock = from + (span * (i + speckle(i, 1))) / strands;
        const reach = long * (0.5 + 0.5 * speckle(i, 2));
        const [x1, y1] = onRing(ring, clock);
        const [xm, ym] = onRing(ring, clock + 0.5 * (speckle(i, 3) - 0.5), 1 - reach * 0.5);
        const [x2, y2] = onRing(ring, clock + 1.6 * (speckle(i, 4) - 0.5), 1 - reach);
        return (
          <path
            key={i}
            d={`M${x1} ${y1} Q${xm} ${ym} ${x2} ${y2}`}
            stroke={lit(i % 3 === 0 ? '#a98f5f' : '#e9dcba', Math.max(0.25, ring.light * 1.1))}
            strokeWidth={Math.max(0.7, (1 + 1.6 * speckle(i, 5)) * near)}
          />
        );
      })}
    </g>
  );
}

function Deposit({ thing, ring, near }: Drawn) {
  const { from, span } = clockSpan(thing.clock ?? [4, 8]);
  const thick = Math.min(0.9, (thing.percent ?? 15) / 55);
  const lumps = Math.max(4, Math.round(span * 3));
  const edge = Array.from({ length: lumps + 1 }, (_, i) =>
    onRing(
      ring,
      from + (span * i) / lumps,
      1 - thick * (0.6 + 0.4 * speckle(i, 8)) * Math.sin((Math.PI * (i + 0.4)) / (lumps + 0.8)),
    ),
  );
  const wall = Array.from({ length: lumps + 1 }, (_, i) => onRing(ring, from + span - (span * i) / lumps));
  return (
    <path
      d={path([...edge, ...wall], true)}
      fill={lit('#d8cf9c', Math.max(0.2, ring.light))}
      stroke={lit('#8d8452', ring.light)}
      strokeWidth={1.5 * near}
      strokeLinejoin="round"
    />
  );
}

/** A line over the wall that is never quite straight. */
const jagged = (points: readonly (readonly [number, number])[], rough: number) =>
  path(
    points.map(
      ([x, y], i) => [x + rough * (speckle(i, x) - 0.5), y + rough * (speckle(i, y) - 0.5)] as const,
    ),
  );

function Crack({ thing, picture, ring, near }: Drawn) {
  const { from, span } = clockSpan(thing.clock ?? 12);
  const middle = from + span / 2;
  const along = (clock: number, back: number) =>
    jagged(
      Array.from({ length: 9 }, (_, i) =>
        onRing(
          ringAt(picture, Math.max(0, thing.ahead_ft - 0.2) + back * (i / 8)),
          clock + 0.12 * (speckle(i, clock) - 0.5),
          0.99,
        ),
      ),
      4 * near,
    );
  const around = jagged(
    Array.from({ length: 49 }, (_, i) => onRing(ring, (i / 48) * 12, 0.985)),
    7 * near,
  );
  const form = thing.form ?? 'along';
  const width = form === 'hairline' ? 1 : 2.6;
  const lines =
    form === 'around'
      ? [around]
      : form === 'several'
        ? [along(middle - 0.9, 1.6), along(middle, 1.2), along(middle + 0.8, 1.8), along(middle + 1.7, 1.1)]
        : [along(middle, form === 'hairline' ? 1.1 : 1.9)];
  return (
    <g fill="none" strokeLinejoin="bevel">
      {lines.map((d) => (
        <g key={d}>
          <path d={d} stroke="#050403" strokeWidth={Math.max(0.8, width * 1.3 * near)} />
          <path
            d={d}
            stroke="#fff"
            strokeWidth={0.5 * near}
            opacity={0.25 * ring.light}
            transform="translate(1 1)"
          />
        </g>
      ))}
    </g>
  );
}

/** The next pipe is offset: its edge shows as a bright crescent on one side. */
function Offset({ thing, picture, ring, near }: Drawn) {
  const inside = useId();
  const middle = typeof thing.clock === 'number' ? thing.clock : 6;
  const shift = Math.min(0.8, (2 * (thing.inches ?? 0.5)) / picture.diameter_in);
  const [x, y] = onRing(ring, middle + 6, shift);
  const whole = (cx: number, cy: number, r: number) =>
    `M${cx - r} ${cy} A${r} ${r} 0 1 0 ${cx + r} ${cy} A${r} ${r} 0 1 0 ${cx - r} ${cy} Z`;
  return (
    <g>
      <clipPath id={inside}>
        <circle cx={ring.x} cy={ring.y} r={ring.r} />
      </clipPath>
      <g clipPath={`url(#${inside})`}>
        <path
          d={`${whole(ring.x, ring.y, ring.r)} ${whole(x, y, ring.r * 0.97)}`}
          fillRule="evenodd"
          fill={lit('#f1e4cc', Math.max(0.3, ring.light))}
          opacity="0.85"
        />
        <circle
          cx={x}
          cy={y}
          r={ring.r * 0.97}
          fill="none"
          stroke="#0b0907"
          strokeWidth={Math.max(1, 3 * near)}
        />
      </g>
    </g>
  );
}

/** Two pipes are apart: soil shows between them. */
function Separation({ thing, picture, ring, near }: Drawn) {
  const wide = Math.max(3, ((thing.inches ?? 0.5) / picture.diameter_in) * 110) * near;
  return (
    <g fill="none">
      <circle cx={ring.x} cy={ring.y} r={ring.r} stroke="#1b120a" strokeWidth={wide} />
      <circle
        cx={ring.x}
        cy={ring.y}
        r={ring.r}
        stroke="#5a4127"
        strokeWidth={wide * 0.6}
        strokeDasharray="5 4 2 6"
      />
    </g>
  );
}

function Hole({ thing, ring, near }: Drawn) {
  const { from, span } = clockSpan(thing.clock ?? 6);
  const [x, y] = onRing(ring, from + span / 2, 0.93);
  const edge = Array.from({ length: 11 }, (_, i) => {
    const turn = (i / 11) * 2 * Math.PI;
    const r = (15 + 11 * speckle(i, 21)) * near;
    return [x + r * Math.cos(turn), y + r * Math.sin(turn)] as const;
  });
  return (
    <path
      d={path(edge, true)}
      fill="#070503"
      stroke={lit('#6d4d2c', Math.max(0.4, ring.light))}
      strokeWidth={3 * near}
      strokeLinejoin="round"
    />
  );
}

/** A branch, or a cleanout going up: a round opening in the wall. */
function Branch({ thing, ring, near }: Drawn) {
  const { from, span } = clockSpan(thing.what === 'cleanout' ? 12 : (thing.clock ?? 2));
  const [x, y] = onRing(ring, from + span / 2, 0.97);
  const r = (thing.what === 'cleanout' ? 34 : 17 + 5 * (thing.inches ?? 2)) * near;
  const turn = ((from + span / 2) / 12) * 360;
  return (
    <g transform={`rotate(${turn} ${x} ${y})`}>
      <ellipse
        cx={x}
        cy={y}
        rx={r}
        ry={r * 0.62}
        fill="#050607"
        stroke={lit('#e7ded0', Math.max(0.35, ring.light))}
        strokeWidth={Math.max(1, 3 * near)}
      />
      <ellipse cx={x} cy={y - r * 0.12} rx={r * 0.72} ry={r * 0.4} fill="#15191b" />
    </g>
  );
}

/** A bend: beyond it the wall of one side closes the view. */
function Bend({ thing, picture, ring }: Drawn) {
  const side = typeof thing.clock === 'number' ? thing.clock : 3;
  const [x, y] = onRing(ring, side, 0.36);
  const beyond = ringAt(picture, thing.ahead_ft + 1.4);
  return (
    <g>
      <circle cx={ring.x} cy={ring.y} r={ring.r} fill={lit('#8f8577', ring.light * 0.8)} opacity="0.9" />
      <circle cx={x} cy={y} r={Math.max(beyond.r * 0.9, ring.r * 0.6)} fill="#060708" />
      <circle
        cx={ring.x}
        cy={ring.y}
        r={ring.r}
        fill="none"
        stroke="#0b0907"
        strokeWidth={3 * (ring.r / 146)}
      />
    </g>
  );
}

/** The lateral ends in the main: a wide dark opening with running water across it. */
function Main({ ring, near }: Drawn) {
  return (
    <g>
      <circle
        cx={ring.x}
        cy={ring.y}
        r={ring.r * 0.98}
        fill="#07090b"
        stroke={lit('#cfc4ae', Math.max(0.3, ring.light))}
        strokeWidth={4 * near}
      />
      <path
        d={`M${ring.x - ring.r * 0.9} ${ring.y + ring.r * 0.45} q${ring.r * 0.45} ${-ring.r * 0.14} ${ring.r * 0.9} 0 t${ring.r * 0.9} 0`}
        fill="none"
        stroke="#6fa3b8"
        strokeWidth={5 * near}
        opacity="0.8"
      />
    </g>
  );
}

const drawings: Readonly<Record<PictureThing['what'], (drawn: Drawn) => React.ReactNode>> = {
  roots: Roots,
  deposit: Deposit,
  crack: Crack,
  offset: Offset,
  separation: Separation,
  hole: Hole,
  'tie-in': Branch,
  cleanout: Branch,
  bend: Bend,
  main: Main,
};
