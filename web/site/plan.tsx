import { Box, chakra } from '@chakra-ui/react';
import { linearScale } from '../drawing/scale';
import type { GroundPlace } from '../../core/line/course.js';
import { placeLabels } from '../drawing/labels';
import { useWidth } from '../drawing/use-width';
import type { LineView } from '../../core/views/line-view.js';
import { Note } from '../controls/text';

const height_px = 250;
const rim_px = 48;
const side_px = 30;

/** The line on the ground, turned to run from left to right, between marks that anyone can find again. */
export function Plan({ view: { course, points } }: { view: LineView }) {
  const [ref, width] = useWidth<HTMLDivElement>(420);
  if (course.marks.length < 2) {
    return (
      <Note p="3">
        Give two marks, such as a house corner and a gate post, and the distance between them. Then tape a
        point from both: the line’s course over the ground is drawn here.
      </Note>
    );
  }
  const ground = groundOf(course, width);
  const { marks, way, located, x, y, perFoot_px } = ground;
  const names = new Map(points.map(({ id, name }) => [id, name]));
  const bar_px = perFoot_px * barLength_ft(perFoot_px);
  return (
    <Box ref={ref}>
      <chakra.svg
        width={`${width}px`}
        height={`${height_px}px`}
        role="img"
        aria-label={`Plan: ${located.map(({ id }) => names.get(id) ?? id).join(', ')} taped from ${marks.map(({ name }) => name).join(' and ')}`}
        data-testid="plan"
      >
        <Tapes ground={ground} />
        <Labels
          ground={ground}
          words={located.map(({ id, x_ft }) => ({ id, x_ft, text: names.get(id) ?? id }))}
          first_px={14}
          gap_px={4}
        />
        <Labels
          ground={ground}
          words={marks.map(({ id, name, x_ft }) => ({ id, x_ft, text: name }))}
          first_px={height_px - 24}
          gap_px={-12}
        />
        <polyline
          points={way.map(({ x_ft, y_ft }) => `${x(x_ft)},${y(y_ft)}`).join(' ')}
          fill="none"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={4}
        />
        <Places ground={ground} />
        <g transform={`translate(${width - 12 - bar_px} ${height_px - 20})`}>
          <line x2={bar_px} stroke="var(--chakra-colors-ink)" strokeWidth={2} />
          <text x={bar_px / 2} y={14} fontSize={12} textAnchor="middle">
            {barLength_ft(perFoot_px)} ft
          </text>
        </g>
      </chakra.svg>
    </Box>
  );
}

/** A scale bar of a round length that is at least 50 px long. */
const barLength_ft = (perFoot_px: number) =>
  [5, 10, 20, 50, 100].find((each) => each * perFoot_px > 50) ?? 100;

type Ground = ReturnType<typeof groundOf>;

/** Every place turned along the line, and the scales that make all of them fit. */
function groundOf(course: LineView['course'], width: number) {
  const turn = turnedAlong(course.way.length > 1 ? course.way : course.marks);
  const [marks, way, located] = [course.marks.map(turn), course.way.map(turn), course.located.map(turn)];
  const all = [...marks, ...way, ...located];
  const [left, right] = [Math.min(...all.map(({ x_ft }) => x_ft)), Math.max(...all.map(({ x_ft }) => x_ft))];
  const [low, high] = [Math.min(...all.map(({ y_ft }) => y_ft)), Math.max(...all.map(({ y_ft }) => y_ft))];
  const perFoot_px = Math.min(
    (width - 2 * side_px) / Math.max(1, right - left),
    (height_px - 2 * rim_px) / Math.max(1, high - low),
  );
  const from_px = (width - (right - left) * perFoot_px) / 2;
  return {
    ...{ marks, way, located, width, perFoot_px },
    x: linearScale([left, left + 1], [from_px, from_px + perFoot_px]),
    y: linearScale([low, low + 1], [height_px - rim_px, height_px - rim_px - perFoot_px]),
  };
}

/** From each taped point to the two marks it was taped from. */
const Tapes = ({ ground: { located, marks, x, y } }: { ground: Ground }) =>
  located.map(({ id, x_ft, y_ft }) =>
    marks
      .slice(0, 2)
      .map((mark) => (
        <line
          key={`${id} ${mark.id}`}
          x1={x(x_ft)}
          y1={y(y_ft)}
          x2={x(mark.x_ft)}
          y2={y(mark.y_ft)}
          stroke="var(--chakra-colors-rule)"
          strokeDasharray="3 4"
        />
      )),
  );

const Places = ({ ground: { located, marks, x, y } }: { ground: Ground }) => (
  <>
    {located.map(({ id, x_ft, y_ft }) => (
      <circle
        key={id}
        cx={x(x_ft)}
        cy={y(y_ft)}
        r={5.5}
        fill="var(--chakra-colors-sheet)"
        stroke="var(--chakra-colors-ink)"
        strokeWidth={2}
      />
    ))}
    {marks.map(({ id, x_ft, y_ft }) => (
      <path
        key={id}
        transform={`translate(${x(x_ft)} ${y(y_ft)})`}
        d="M-7 6 L0 -7 L7 6 Z"
        fill="var(--chakra-colors-ink)"
      />
    ))}
  </>
);

interface LabelsProps {
  readonly ground: Ground;
  readonly words: readonly { readonly id: string; readonly text: string; readonly x_ft: number }[];
  /** Baseline of the first row, px. */
  readonly first_px: number;
  /** From the text to the end of the leader line, px. */
  readonly gap_px: number;
}

/** Names in rows, each with a leader line to its place. */
function Labels({ ground: { located, marks, x, y, width }, words, first_px, gap_px }: LabelsProps) {
  const place = new Map([...located, ...marks].map((each) => [each.id, each]));
  const stood = placeLabels(
    words.map(({ id, text, x_ft }) => ({ key: id, x: x(x_ft), text })),
    { size_px: 13, rows: 2, from: 4, to: width - 4 },
  );
  return stood.map(({ key, left, row, text }) => {
    const thing = place.get(key);
    const base = first_px + row * 17;
    return (
      <g key={key}>
        {thing && (
          <line
            x1={x(thing.x_ft)}
            y1={y(thing.y_ft)}
            x2={Math.max(left, Math.min(left + text.length * 6, x(thing.x_ft)))}
            y2={base + gap_px}
            stroke="var(--chakra-colors-soft)"
            strokeWidth={0.8}
          />
        )}
        <text x={left} y={base} fontSize={13}>
          {text}
        </text>
      </g>
    );
  });
}

/** Rotates places so that the direction from the first to the last is along x. */
function turnedAlong(way: readonly GroundPlace[]) {
  const [first, last] = [way[0], way.at(-1)];
  const [dx, dy] = first && last ? [last.x_ft - first.x_ft, last.y_ft - first.y_ft] : [1, 0];
  const length = Math.hypot(dx, dy) || 1;
  return <T extends GroundPlace>(place: T): T => ({
    ...place,
    x_ft: (place.x_ft * dx + place.y_ft * dy) / length,
    y_ft: (place.y_ft * dx - place.x_ft * dy) / length,
  });
}
