import { Box, chakra } from '@chakra-ui/react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { placeLabels } from '../drawing/labels';
import { Patterns } from '../drawing/patterns';
import { stationsAlong } from '../drawing/scale';
import { useWidth } from '../drawing/use-width';
import { feet } from '../controls/format';
import { BandEnds, Bands } from './strip-bands';
import { halfFoot, strip, useStripFrame, type StripFrame, type StripProps } from './strip-frame';
import { StripPoints } from './strip-points';

const { rows, left_px, right_px } = strip;

/** The ground over one line: owners, surfaces, points and crossings, and the pipe below. */
export function Strip(props: StripProps) {
  const { cursor_ft, onCursor } = props;
  const [ref, wide] = useWidth<HTMLDivElement>(900);
  const frame = useStripFrame(props, wide);
  const { width, x, inside } = frame;
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const onGround = (event.target as Element).closest('[data-ground]') !== null;
    if (event.target !== event.currentTarget && !onGround) return;
    const box = event.currentTarget.getBoundingClientRect();
    onCursor(inside(halfFoot(x.invert(event.clientX - box.left))));
  };
  const step = (event: KeyboardEvent<SVGSVGElement>) => {
    if (event.target !== event.currentTarget) return;
    if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
    event.preventDefault();
    const by = event.shiftKey ? 5 : 0.5;
    onCursor(inside(cursor_ft + (event.key === 'ArrowLeft' ? -by : by)));
  };
  return (
    <Box ref={ref} overflowX="auto" position="relative">
      <chakra.svg
        width={`${width}px`}
        height={`${rows.height}px`}
        display="block"
        role="group"
        aria-label="The ground over the line, to be drawn on"
        data-testid="strip"
        tabIndex={0}
        onPointerDown={point}
        onKeyDown={step}
      >
        <Patterns />
        <RowNames />
        <rect
          data-ground
          x={left_px}
          y={rows.owner}
          width={width - left_px - right_px}
          height={rows.axis - rows.owner}
          fill="transparent"
        />
        <Bands frame={frame} />
        <PipeBelow frame={frame} />
        <PointNames frame={frame} />
        <StripPoints frame={frame} />
        <BandEnds frame={frame} />
        <Cursor frame={frame} at_ft={cursor_ft} />
        <Axis frame={frame} />
      </chakra.svg>
    </Box>
  );
}

const RowNames = () =>
  (
    [
      ['Whose', rows.owner + 15],
      ['Points', rows.surface - 5],
      ['Surface', rows.surface + 22],
      ['Depth', rows.section + 34],
    ] as const
  ).map(([word, at]) => (
    <text key={word} x={10} y={at} fontSize={13} fontWeight={700}>
      {word}
    </text>
  ));

/** The profile of the ground and the pipe at its depth. */
function PipeBelow({ frame: { head, view, x, y, groundDrop, width } }: { frame: StripFrame }) {
  const bends = (head.ground ?? [])
    .map(({ station_ft }) => station_ft)
    .filter((at) => at > view.from_ft && at < view.to_ft)
    .sort((a, b) => a - b);
  const ground = [view.from_ft, ...bends, view.to_ft].map((at) => `${x(at)},${y(groundDrop(at))}`);
  const pipe = view.depths.map(
    ({ station_ft, invert_ft }) => `${x(station_ft)},${y(invert_ft + groundDrop(station_ft))}`,
  );
  return (
    <>
      <polygon
        data-ground
        points={[...ground, `${x(view.to_ft)},${rows.axis}`, `${x(view.from_ft)},${rows.axis}`].join(' ')}
        fill="var(--chakra-colors-earth)"
        stroke="var(--chakra-colors-ink)"
        strokeWidth={1}
      />
      <polyline
        points={pipe.join(' ')}
        fill="none"
        stroke="var(--chakra-colors-ink)"
        strokeWidth={5}
        strokeDasharray={view.depthKnown ? undefined : '3 6'}
        pointerEvents="none"
      />
      {!view.depthKnown && (
        <text x={(left_px + width) / 2} y={rows.axis - 16} fontSize={13} textAnchor="middle">
          no depth was located
        </text>
      )}
    </>
  );
}

function PointNames({ frame: { view, x, inside, width } }: { frame: StripFrame }) {
  const labels = placeLabels(
    view.points.map(({ id, name, station, kind }) => ({
      key: id,
      x: x(inside(station.value)),
      text: name,
      weight: kind === 'cleanout' || kind === 'main' ? 2 : 1,
    })),
    { size_px: 13, rows: 2, from: left_px - 30, to: width - 4 },
  );
  return labels.map(({ key, left, row, text }) => (
    <text key={key} x={left} y={rows.label + 12 + row * 16} fontSize={13}>
      {text}
    </text>
  ));
}

const Cursor = ({ frame: { x }, at_ft }: { frame: StripFrame; at_ft: number }) => (
  <g pointerEvents="none">
    <line
      x1={x(at_ft)}
      x2={x(at_ft)}
      y1={rows.owner}
      y2={rows.axis}
      stroke="var(--chakra-colors-signal)"
      strokeDasharray="5 4"
    />
    <text
      x={x(at_ft) + 5}
      y={rows.axis - 6}
      fontSize={13}
      fontWeight={700}
      style={{ fill: 'var(--chakra-colors-signal-ink)' }}
    >
      {feet(at_ft)} ft
    </text>
  </g>
);

const Axis = ({ frame: { x, width, view } }: { frame: StripFrame }) =>
  stationsAlong(x, view, width / 90).map((tick) => (
    <g key={tick} transform={`translate(${x(tick)} ${rows.axis})`}>
      <line y2={6} stroke="var(--chakra-colors-ink)" />
      <text y={20} fontSize={13} textAnchor="middle">
        {tick}
      </text>
    </g>
  ));
