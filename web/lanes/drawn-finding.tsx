import type { ReactNode } from 'react';
import type { FindingKind } from '../../core/job/vocabulary.js';
import type { FindingView } from '../../core/views/line-view.js';
import { lanes, type SheetScale } from '../drawing/sheet-scale';

const { top, height } = lanes.wall;
const bottom = top + height;
const ink = 'var(--chakra-colors-ink)';
const water = 'var(--chakra-colors-water)';

/** The clock down the page, crown at both edges and invert in the middle, px. */
export const yOf = (clock: number): number => top + ((clock % 12) / 12) * height;

/** The parts of the wall a clock range covers, as [top, bottom] px; the whole circumference when none was given. */
export function spans(clock: FindingView['clock']): [number, number][] {
  if (clock === undefined) return [[top, bottom]];
  if (typeof clock === 'number') {
    const middle = yOf(clock);
    const reach = 9;
    if (middle - reach < top)
      return [
        [top, middle + reach],
        [bottom - reach, bottom],
      ];
    return [[middle - reach, Math.min(middle + reach, bottom)]];
  }
  const [from, to] = [yOf(clock[0]), yOf(clock[1])];
  return from <= to && clock[0] !== clock[1]
    ? [[from, to]]
    : [
        [from, bottom],
        [top, Math.max(to, top + 6)],
      ];
}

/** Position of a finding on the wall, px, and a jitter that is always the same for it. */
interface Place {
  readonly finding: FindingView;
  readonly from: number;
  readonly to: number;
  readonly middle: number;
  readonly parts: readonly [number, number][];
  random: () => number;
  /** Its extent, at least this much either side of its middle. */
  wide: (least: number) => [number, number];
  /** At its clock position, else at the given one. */
  y: (unsaid: number) => number;
}

function placeOf(finding: FindingView, { x }: SheetScale): Place {
  const [from, to] = [x(finding.from_ft), x(finding.to_ft)];
  const middle = (from + to) / 2;
  const parts = spans(finding.clock);
  const [first] = parts;
  return {
    finding,
    from,
    to,
    middle,
    parts,
    random: wobble(finding.id),
    wide: (least) => [Math.min(from, middle - least), Math.max(to, middle + least)],
    y: (unsaid) => (first && finding.clock !== undefined ? (first[0] + first[1]) / 2 : yOf(unsaid)),
  };
}

/** A repeatable jitter, so that the same finding is always drawn the same. */
function wobble(seed: string): () => number {
  let state = Array.from(seed).reduce((sum, char) => (sum * 31 + char.charCodeAt(0)) >>> 0, 7);
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

/** A jagged line of this many segments over the given width. */
function zigzag(
  random: () => number,
  [x1, y1]: readonly [number, number],
  [x2, y2]: readonly [number, number],
  bits: number,
  wide: number,
): string {
  const across = Math.abs(x2 - x1) > Math.abs(y2 - y1);
  return Array.from({ length: bits + 1 }, (_, i) => {
    const t = i / bits;
    const off = i === 0 || i === bits ? 0 : (random() - 0.5) * 2 * wide;
    const [px, py] = [x1 + (x2 - x1) * t + (across ? 0 : off), y1 + (y2 - y1) * t + (across ? off : 0)];
    return `${i === 0 ? 'M' : 'L'}${px} ${py}`;
  }).join('');
}

const stroke = (d: string, width: number, key?: string | number) => (
  <path key={key} d={d} fill="none" stroke={ink} strokeWidth={width} />
);

/** How each kind is drawn on the unrolled wall. A kind without a drawing of its own gets the plain mark. */
const drawings: Partial<Record<FindingKind, (place: Place) => ReactNode>> = {
  roots: drawRoots,
  crack: drawCrack,
  broken: (place) => drawHole(place, place.parts, 0.6),
  hole: (place) => drawHole(place, place.parts, 1),
  'bottom-gone': (place) => drawHole(place, [[yOf(6) - 22, yOf(6) + 22]], 0.6),
  collapse: ({ middle }) =>
    stroke(
      `M${middle - 9} ${top}L${middle + 9} ${bottom}M${middle + 9} ${top}L${middle - 9} ${bottom}M${middle} ${top}v${height}`,
      3.2,
    ),
  offset: ({ middle, finding }) => stroke(`M${middle} ${top}V${bottom}`, 2.5 + finding.grade * 1.6),
  lip: ({ middle }) => stroke(`M${middle} ${top + height * 0.35}v${height * 0.3}h6`, 3),
  separation: ({ middle, finding }) => {
    const half = 2 + finding.grade;
    return (
      <>
        <rect x={middle - half} y={top} width={2 * half} height={height} fill="var(--chakra-colors-paper)" />
        {stroke(`M${middle - half} ${top}v${height}M${middle + half} ${top}v${height}`, 1.6)}
      </>
    );
  },
  deposit: ({ from, to, middle, finding }) => {
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
  },
  belly: drawBelly,
  deformation: ({ middle, wide }) => {
    const [l, r] = wide(12);
    return stroke(
      `M${l} ${top + 18}Q${middle} ${top + 44} ${r} ${top + 18}M${l} ${bottom - 18}Q${middle} ${bottom - 44} ${r} ${bottom - 18}`,
      2.6,
    );
  },
  blister: ({ parts, middle, finding }) =>
    parts.map(([a, b]) => (
      <ellipse
        key={a}
        cx={middle}
        cy={finding.clock === undefined ? yOf(4) : (a + b) / 2}
        rx={9}
        ry={7}
        fill="var(--chakra-colors-soft)"
        stroke={ink}
      />
    )),
  intrusion: ({ parts, middle, finding }) =>
    parts.map(([a, b]) => {
      const y = finding.clock === undefined ? yOf(3) : (a + b) / 2;
      return (
        <path key={a} d={`M${middle - 8} ${y - 9}L${middle + 10} ${y}L${middle - 8} ${y + 9}Z`} fill={ink} />
      );
    }),
  'worn-bottom': ({ wide, random }) => {
    const [l, r] = wide(14);
    const along = (y: number) => zigzag(random, [l, y], [r, y], 9, 3);
    return stroke(`${along(yOf(6) - 9)}${along(yOf(6) + 9)}`, 1.7);
  },
  infiltration: ({ middle, y }) =>
    [-9, 0, 9].map((dx) => (
      <path key={dx} d={`M${middle + dx} ${y(3) - 7}q5 8 0 10q-5 -2 0 -10`} fill={water} stroke={water} />
    )),
};

/** A ring with a dot: a finding without a drawing of its own. */
const plainMark = ({ middle, y, finding }: Place) => (
  <g>
    <circle cx={middle} cy={y(3)} r={7 + finding.grade} fill="none" stroke={ink} strokeWidth={2} />
    <circle cx={middle} cy={y(3)} r={2} fill={ink} />
  </g>
);

/** Draws a finding on the wall; the legend uses the same. */
export function DrawnFinding({ finding, scale }: { finding: FindingView; scale: SheetScale }) {
  return (drawings[finding.kind] ?? plainMark)(placeOf(finding, scale));
}

function drawRoots({ finding, from, to, middle, parts, random }: Place): ReactNode {
  const grows = 4 + finding.grade * 2.5;
  return parts.map(([a, b], part) => {
    const count = Math.max(2, Math.round((b - a) / 6));
    return Array.from({ length: count }, (_, i) => {
      const y = a + ((i + 0.5) * (b - a)) / count;
      const at = to - from > 4 ? from + random() * (to - from) : middle;
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
    });
  });
}

function drawCrack({ finding, from, to, middle, parts, random }: Place): ReactNode {
  const form = 'form' in finding.entry ? finding.entry.form : undefined;
  if (form === 'around') return stroke(zigzag(random, [middle, top + 2], [middle, bottom - 2], 14, 3), 2.4);
  const half = Math.max(to - from, 22) / 2;
  const y = parts[0] ? (parts[0][0] + parts[0][1]) / 2 : yOf(3);
  return (form === 'several' ? [-14, 0, 15] : [0]).map((dy) =>
    stroke(
      zigzag(random, [middle - half, y + dy], [middle + half, y + dy * 0.6], 7, 3),
      form === 'hairline' ? 1 : 1.9,
      dy,
    ),
  );
}

/** A ragged opening, or a round one where `least` is 1. Without a clock position it is at the bottom. */
function drawHole(place: Place, parts: readonly [number, number][], least: number): ReactNode {
  const { finding, from, to, middle, random } = place;
  const around: readonly [number, number][] =
    finding.clock === undefined && finding.kind !== 'bottom-gone' ? [[yOf(6) - 26, yOf(6) + 26]] : parts;
  return around.map(([a, b]) => {
    const [cy, ry] = [(a + b) / 2, Math.max(8, (b - a) / 2)];
    const rx = Math.max(8, (to - from) / 2);
    const points = Array.from({ length: 10 }, (_, i) => {
      const angle = (i / 10) * 2 * Math.PI;
      const r = least === 1 ? 1 : least + random() * 0.6;
      return `${middle + Math.cos(angle) * rx * r},${cy + Math.sin(angle) * ry * r}`;
    });
    return <polygon key={a} points={points.join(' ')} fill={ink} stroke={ink} />;
  });
}

function drawBelly({ finding, middle, wide }: Place): ReactNode {
  const half = 12 + finding.grade * 8;
  const [l, r] = wide(8);
  const y = yOf(6);
  return (
    <path
      d={`M${l} ${y}Q${middle} ${y - 2 * half} ${r} ${y}Q${middle} ${y + 2 * half} ${l} ${y}Z`}
      fill={water}
      fillOpacity={0.4}
      stroke={water}
      strokeWidth={1.5}
    />
  );
}
