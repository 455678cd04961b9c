import { Box, chakra, Text } from '@chakra-ui/react';
import { scaleLinear } from 'd3-scale';
import type { GroundPlace } from '../../core/line/course.js';
import { standLabels } from '../drawing/labels';
import { useWidth } from '../drawing/use-width';
import type { LineView } from '../../core/views/line-view.js';

const height_px = 250;
const rim_px = 48;
const side_px = 30;

/** The line as it lies on the ground, turned to run from left to right, between marks that anyone can find again. */
export function Plan({ view: { course, points } }: { view: LineView }) {
  const [ref, width] = useWidth<HTMLDivElement>(420);
  if (course.marks.length < 2) {
    return (
      <Text p="3" color="soft">
        Give two marks, such as a house corner and a gate post, and the distance between them. Then tape a
        point from both: the line’s way over the ground is drawn here.
      </Text>
    );
  }
  const turn = turnedAlong(course.way.length > 1 ? course.way : course.marks);
  const [marks, way, located] = [course.marks.map(turn), course.way.map(turn), course.located.map(turn)];
  const all = [...marks, ...way, ...located];
  const [left, right] = [Math.min(...all.map(({ x_ft }) => x_ft)), Math.max(...all.map(({ x_ft }) => x_ft))];
  const [low, high] = [Math.min(...all.map(({ y_ft }) => y_ft)), Math.max(...all.map(({ y_ft }) => y_ft))];
  const scale = Math.min(
    (width - 2 * side_px) / Math.max(1, right - left),
    (height_px - 2 * rim_px) / Math.max(1, high - low),
  );
  const from_px = (width - (right - left) * scale) / 2;
  const x = scaleLinear([left, left + 1], [from_px, from_px + scale]);
  const y = scaleLinear([low, low + 1], [height_px - rim_px, height_px - rim_px - scale]);
  const names = new Map(points.map(({ id, name }) => [id, name]));
  const stand = (wanted: readonly { id: string; text: string; x_ft: number }[]) =>
    standLabels(
      wanted.map(({ id, text, x_ft }) => ({ key: id, x: x(x_ft), text })),
      { size_px: 13, rows: 2, from: 4, to: width - 4 },
    );
  const above = stand(located.map(({ id, x_ft }) => ({ id, x_ft, text: names.get(id) ?? id })));
  const below = stand(marks.map(({ id, name, x_ft }) => ({ id, x_ft, text: name })));
  const place = new Map([...located, ...marks].map((each) => [each.id, each]));
  const bar_ft = [5, 10, 20, 50, 100].find((each) => each * scale > 50) ?? 100;
  const label = (row_px: number, gap_px: number) =>
    function Label({ key, left: at, row, text }: (typeof above)[number]) {
      const thing = place.get(key);
      const base = row_px + row * 17;
      return (
        <g key={key}>
          {thing && (
            <line
              x1={x(thing.x_ft)}
              y1={y(thing.y_ft)}
              x2={Math.max(at, Math.min(at + text.length * 6, x(thing.x_ft)))}
              y2={base + gap_px}
              stroke="var(--chakra-colors-soft)"
              strokeWidth={0.8}
            />
          )}
          <text x={at} y={base} fontSize={13}>
            {text}
          </text>
        </g>
      );
    };
  return (
    <Box ref={ref}>
      <chakra.svg
        width={`${width}px`}
        height={`${height_px}px`}
        role="img"
        aria-label={`Plan: ${located.map(({ id }) => names.get(id) ?? id).join(', ')} taped from ${marks.map(({ name }) => name).join(' and ')}`}
        data-testid="plan"
      >
        {located.map(({ id, x_ft, y_ft }) =>
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
        )}
        {above.map(label(14, 4))}
        {below.map(label(height_px - 24, -12))}
        <polyline
          points={way.map(({ x_ft, y_ft }) => `${x(x_ft)},${y(y_ft)}`).join(' ')}
          fill="none"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={4}
        />
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
        <g transform={`translate(${width - 12 - bar_ft * scale} ${height_px - 20})`}>
          <line x2={bar_ft * scale} stroke="var(--chakra-colors-ink)" strokeWidth={2} />
          <text x={(bar_ft * scale) / 2} y={14} fontSize={12} textAnchor="middle">
            {bar_ft} ft
          </text>
        </g>
      </chakra.svg>
    </Box>
  );
}

/** Turns places so that the way from the first to the last runs along x. */
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
