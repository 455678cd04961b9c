import { surfaceRow } from '../../core/catalog/surfaces.js';
import { Box, chakra } from '@chakra-ui/react';
import { scaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import { moveEdge, snapEnd, type End, type HeldStretch } from '../../core/line/edit-stretches.js';
import { straightBetween } from '../../core/line/profile.js';
import { utilityFill } from '../drawing/ground-colours';
import { standLabels, textWidth } from '../drawing/labels';
import { Patterns } from '../drawing/patterns';
import { useWidth } from '../drawing/use-width';
import { feet } from '../shell/format';
import { resolver, type Chosen, type ListName } from './ground';
import { Handle } from './handle';
import type { LineView } from '../../core/views/line-view.js';

const least_px = 620;
const left_px = 74;
const right_px = 24;
const rows = { owner: 8, label: 40, surface: 92, section: 146, axis: 262, height: 290 };
const sectionHeight = rows.axis - rows.section - 14;
const ownerWords = { private: 'owner’s', public: 'public', neighbour: 'neighbour’s', unknown: 'whose?' };

type StretchList = 'surfaces' | 'owners' | 'noDig';
type StationList = 'points' | 'crossings' | 'depths' | 'ground';

interface Props {
  readonly head: LineHead;
  readonly view: LineView;
  readonly chosen: Chosen | undefined;
  readonly onChoose: (chosen: Chosen) => void;
  readonly cursor_ft: number;
  readonly onCursor: (at_ft: number) => void;
  readonly onChange: (head: LineHead) => void;
}

/** The ground over one line: whose it is, what lies on it, what stands and crosses there, and the pipe below. */
export function Strip({ head: said, view, chosen, onChoose, cursor_ft, onCursor, onChange }: Props) {
  const [ref, wide] = useWidth<HTMLDivElement>(900);
  const width = Math.max(least_px, wide);
  const [draft, setDraft] = useState<LineHead>();
  const head = draft ?? said;
  const resolve = resolver(view);
  const x = scaleLinear([view.from_ft, Math.max(view.to_ft, view.from_ft + 1)], [left_px, width - right_px]);
  const perFoot = x(view.from_ft + 1) - x(view.from_ft);
  const inside = (at: number) => Math.min(view.to_ft, Math.max(view.from_ft, at));
  const finish = (next: LineHead, last: boolean) => {
    if (!last) {
      setDraft(next);
      return;
    }
    setDraft(undefined);
    if (next !== said) onChange(next);
  };

  const things = view.points.map(({ id, station }) => ({ id, station_ft: station.value }));
  const dragEnd = (list: StretchList, index: number, end: 'from' | 'to', to: End, last: boolean) => {
    const all = (said[list] ?? []) as HeldStretch[];
    finish({ ...said, [list]: moveEdge(all, index, end, to, resolve) }, last);
  };
  const dragStation = (list: StationList, index: number, patch: object, last: boolean) => {
    const all = (said[list] ?? []) as object[];
    finish({ ...said, [list]: all.map((each, i) => (i === index ? { ...each, ...patch } : each)) }, last);
  };
  const choose = (list: ListName, index: number) => () => {
    onChoose({ list, index });
  };
  const isChosen = (list: ListName, index: number) => chosen?.list === list && chosen.index === index;
  const halfFoot = (value: number) => Math.round(value * 2) / 2;
  const tenth = (value: number) => Math.round(value * 10) / 10;

  const ends = (list: StretchList, y: number, word: (index: number) => string) =>
    (head[list] ?? []).flatMap((stretch, index) => {
      const at = resolve(stretch);
      const start = resolve(said[list]?.[index] ?? stretch);
      return (['from', 'to'] as const).map((end) => {
        const value = at[`${end}_ft`];
        return (
          <Handle
            key={`${list} ${index} ${end}`}
            x={x(value)}
            y={y}
            label={`${end === 'from' ? 'Upstream' : 'Downstream'} end of ${word(index)}`}
            value={value}
            onSelect={choose(list, index)}
            onMove={(dx, _dy, last) => {
              dragEnd(list, index, end, snapEnd(inside(start[`${end}_ft`] + dx / perFoot), things), last);
            }}
            onDone={(by) => {
              dragEnd(list, index, end, { feet: inside(tenth(value + by)) }, true);
            }}
          >
            <rect
              x={-4}
              y={-13}
              width={8}
              height={26}
              fill="var(--chakra-colors-sheet)"
              stroke={`var(--chakra-colors-${isChosen(list, index) ? 'signal' : 'ink'})`}
              strokeWidth={isChosen(list, index) ? 2.5 : 1.5}
            />
          </Handle>
        );
      });
    });

  const bands = (
    list: StretchList,
    y: number,
    height: number,
    fill: (index: number) => string,
    word: (index: number) => string,
  ) =>
    (head[list] ?? []).map((stretch, index) => {
      const { from_ft, to_ft } = resolve(stretch);
      const text = word(index);
      const room = x(to_ft) - x(from_ft) - 18;
      return (
        <g key={`${list} ${index}`} onPointerDown={choose(list, index)}>
          <rect
            x={x(from_ft)}
            y={y}
            width={Math.max(0, x(to_ft) - x(from_ft))}
            height={height}
            fill={fill(index)}
            stroke={`var(--chakra-colors-${isChosen(list, index) ? 'signal' : 'ink'})`}
            strokeWidth={isChosen(list, index) ? 2.5 : 0.8}
          />
          {textWidth(text, 13) < room && (
            <text
              x={(x(from_ft) + x(to_ft)) / 2}
              y={y + height / 2 + 4.5}
              fontSize={13}
              textAnchor="middle"
              paintOrder="stroke"
              stroke="var(--chakra-colors-sheet)"
              strokeWidth={4}
            >
              {text}
            </text>
          )}
        </g>
      );
    });

  // Depth below the ground, or the ground's own shape where elevations were given.
  const ground = (head.ground ?? [])
    .map(({ station_ft, elevation_ft }) => [station_ft, elevation_ft] as const)
    .sort(([a], [b]) => a - b);
  const top = ground.length > 0 ? Math.max(...ground.map(([, elevation_ft]) => elevation_ft)) : 0;
  const groundDrop = (at: number) => (ground.length > 0 ? top - straightBetween(ground, at) : 0);
  const deepest = Math.max(
    4,
    ...view.depths.map(({ station_ft, invert_ft }) => invert_ft + groundDrop(station_ft)),
    ...(head.depths ?? []).map(({ station_ft, invert_ft }) => invert_ft + groundDrop(station_ft)),
  );
  const y = scaleLinear([0, deepest * 1.12], [rows.section, rows.section + sectionHeight]);
  const groundStations = [
    view.from_ft,
    ...ground.map(([at]) => at).filter((at) => at > view.from_ft && at < view.to_ft),
    view.to_ft,
  ];
  const pipe = view.depths.map(
    ({ station_ft, invert_ft }) => `${x(station_ft)},${y(invert_ft + groundDrop(station_ft))}`,
  );

  const labels = standLabels(
    view.points.map(({ id, name, station, kind }) => ({
      key: id,
      x: x(inside(station.value)),
      text: name,
      weight: kind === 'cleanout' || kind === 'main' ? 2 : 1,
    })),
    { size_px: 13, rows: 2, from: left_px - 30, to: width - 4 },
  );

  return (
    <Box ref={ref} overflowX="auto">
      <chakra.svg
        width={`${width}px`}
        height={`${rows.height}px`}
        display="block"
        role="group"
        aria-label="The ground over the line, to be drawn on"
        data-testid="strip"
        tabIndex={0}
        onPointerDown={(event) => {
          if (event.target !== event.currentTarget && !(event.target as Element).closest('[data-ground]'))
            return;
          const box = event.currentTarget.getBoundingClientRect();
          onCursor(inside(halfFoot(x.invert(event.clientX - box.left))));
        }}
        onKeyDown={(event) => {
          if (event.target !== event.currentTarget) return;
          const by = event.shiftKey ? 5 : 0.5;
          if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
          event.preventDefault();
          onCursor(inside(cursor_ft + (event.key === 'ArrowLeft' ? -by : by)));
        }}
      >
        <Patterns />
        {[
          ['Whose', rows.owner + 15],
          ['Points', rows.surface - 5],
          ['Surface', rows.surface + 22],
          ['Depth', rows.section + 34],
        ].map(([word, at]) => (
          <text key={word} x={10} y={at} fontSize={13} fontWeight={700}>
            {word}
          </text>
        ))}
        <rect
          data-ground
          x={left_px}
          y={rows.owner}
          width={width - left_px - right_px}
          height={rows.axis - rows.owner}
          fill="transparent"
        />
        {bands(
          'owners',
          rows.owner,
          22,
          (index) => `var(--chakra-colors-${head.owners?.[index]?.owner === 'public' ? 'keep' : 'sheet'})`,
          (index) => ownerWords[head.owners?.[index]?.owner ?? 'unknown'],
        )}
        {bands(
          'surfaces',
          rows.surface,
          36,
          (index) => `var(--chakra-colors-${surfaceRow(head.surfaces?.[index]?.kind ?? 'lawn').fill})`,
          (index) => head.surfaces?.[index]?.kind ?? '',
        )}
        {bands(
          'noDig',
          rows.surface + 6,
          24,
          () => 'url(#no-dig)',
          (index) => head.noDig?.[index]?.why ?? 'no dig',
        )}

        <polygon
          data-ground
          points={[
            ...groundStations.map((at) => `${x(at)},${y(groundDrop(at))}`),
            `${x(view.to_ft)},${rows.axis}`,
            `${x(view.from_ft)},${rows.axis}`,
          ].join(' ')}
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

        {labels.map(({ key, left, row, text }) => (
          <text key={key} x={left} y={rows.label + 12 + row * 16} fontSize={13}>
            {text}
          </text>
        ))}
        {view.points.map(({ id, kind, name, station }) => {
          const index = head.points.findIndex((point) => point.id === id);
          const point = head.points[index];
          const said_ft = said.points[index]?.station_ft;
          const value = point?.station_ft ?? station.value;
          return (
            <Handle
              key={id}
              x={x(inside(value))}
              y={rows.surface - 10}
              label={name}
              value={value}
              disabled={
                id === head.datum
                  ? 'the line’s zero: everything is measured from it'
                  : said_ft === undefined
                    ? 'placed by the camera: give it a tape in the table to move it'
                    : undefined
              }
              onSelect={choose('points', index)}
              onMove={(dx, _dy, last) => {
                dragStation(
                  'points',
                  index,
                  { station_ft: halfFoot((said_ft ?? value) + dx / perFoot) },
                  last,
                );
              }}
              onDone={(by) => {
                dragStation('points', index, { station_ft: tenth((said_ft ?? value) + by) }, true);
              }}
            >
              <PointMark kind={kind} chosen={isChosen('points', index)} />
            </Handle>
          );
        })}
        {(head.crossings ?? []).map(({ station_ft, utility, depth_ft }, index) => {
          const from = said.crossings?.[index] ?? { station_ft, depth_ft };
          const depth = depth_ft ?? 1.5;
          return (
            <Handle
              key={`crossing ${index}`}
              x={x(inside(station_ft))}
              y={y(depth + groundDrop(station_ft))}
              label={`${utility} crossing`}
              value={station_ft}
              vertical
              onSelect={choose('crossings', index)}
              onMove={(dx, dy, last) => {
                const down = Math.max(0, tenth((from.depth_ft ?? depth) + y.invert(rows.section + dy)));
                dragStation(
                  'crossings',
                  index,
                  {
                    station_ft: inside(halfFoot(from.station_ft + dx / perFoot)),
                    ...(from.depth_ft === undefined && Math.abs(dy) < 6 ? {} : { depth_ft: down }),
                  },
                  last,
                );
              }}
              onDone={(by, down) => {
                dragStation(
                  'crossings',
                  index,
                  {
                    station_ft: inside(tenth(station_ft + by)),
                    ...(down === 0 ? {} : { depth_ft: Math.max(0, tenth(depth + down)) }),
                  },
                  true,
                );
              }}
            >
              <circle
                r={6.5}
                fill={utilityFill(utility)}
                stroke="var(--chakra-colors-ink)"
                strokeWidth={isChosen('crossings', index) ? 3 : 1.2}
              />
              <text x={10} y={4} fontSize={12}>
                {utility} {depth_ft === undefined ? 'depth?' : feet(depth_ft)}
              </text>
            </Handle>
          );
        })}
        {(head.depths ?? []).map(({ station_ft, invert_ft }, index) => {
          const from = said.depths?.[index] ?? { station_ft, invert_ft };
          return (
            <Handle
              key={`depth ${index}`}
              x={x(inside(station_ft))}
              y={y(invert_ft + groundDrop(station_ft))}
              label={`Depth ${invert_ft.toFixed(1)} ft`}
              value={station_ft}
              vertical
              onSelect={choose('depths', index)}
              onMove={(dx, dy, last) => {
                dragStation(
                  'depths',
                  index,
                  {
                    station_ft: inside(halfFoot(from.station_ft + dx / perFoot)),
                    invert_ft: Math.max(0, tenth(from.invert_ft + y.invert(rows.section + dy))),
                  },
                  last,
                );
              }}
              onDone={(by, down) => {
                dragStation(
                  'depths',
                  index,
                  {
                    station_ft: inside(tenth(station_ft + by)),
                    invert_ft: Math.max(0, tenth(invert_ft + down)),
                  },
                  true,
                );
              }}
            >
              <rect
                x={-6}
                y={-6}
                width={12}
                height={12}
                transform="rotate(45)"
                fill="var(--chakra-colors-sheet)"
                stroke={`var(--chakra-colors-${isChosen('depths', index) ? 'signal' : 'ink'})`}
                strokeWidth={2}
              />
              <text x={11} y={17} fontSize={12.5}>
                {feet(invert_ft)}
              </text>
            </Handle>
          );
        })}
        {(head.ground ?? []).map(({ station_ft, elevation_ft }, index) => {
          const from = said.ground?.[index] ?? { station_ft, elevation_ft };
          return (
            <Handle
              key={`ground ${index}`}
              x={x(inside(station_ft))}
              y={y(groundDrop(station_ft))}
              label={`Ground at ${elevation_ft.toFixed(1)} ft`}
              value={station_ft}
              vertical
              onSelect={choose('ground', index)}
              onMove={(dx, dy, last) => {
                dragStation(
                  'ground',
                  index,
                  {
                    station_ft: inside(halfFoot(from.station_ft + dx / perFoot)),
                    elevation_ft: tenth(from.elevation_ft - y.invert(rows.section + dy)),
                  },
                  last,
                );
              }}
              onDone={(by, down) => {
                dragStation(
                  'ground',
                  index,
                  { station_ft: inside(tenth(station_ft + by)), elevation_ft: tenth(elevation_ft - down) },
                  true,
                );
              }}
            >
              <path
                d="M-7 8 L0 0 L7 8 Z"
                fill="var(--chakra-colors-ink)"
                stroke="var(--chakra-colors-signal)"
                strokeWidth={isChosen('ground', index) ? 2 : 0}
              />
            </Handle>
          );
        })}
        {ends(
          'owners',
          rows.owner + 11,
          (index) => `the ${ownerWords[head.owners?.[index]?.owner ?? 'unknown']} part`,
        )}
        {ends('surfaces', rows.surface + 18, (index) => `the ${head.surfaces?.[index]?.kind ?? ''}`)}
        {ends('noDig', rows.surface + 18, () => 'the no-dig stretch')}

        <g pointerEvents="none">
          <line
            x1={x(cursor_ft)}
            x2={x(cursor_ft)}
            y1={rows.owner}
            y2={rows.axis}
            stroke="var(--chakra-colors-signal)"
            strokeDasharray="5 4"
          />
          <text
            x={x(cursor_ft) + 5}
            y={rows.axis - 6}
            fontSize={13}
            fontWeight={700}
            style={{ fill: 'var(--chakra-colors-signal-ink)' }}
          >
            {feet(cursor_ft)} ft
          </text>
        </g>
        {x.ticks(Math.max(2, Math.round(width / 90))).map((tick) => (
          <g key={tick} transform={`translate(${x(tick)} ${rows.axis})`}>
            <line y2={6} stroke="var(--chakra-colors-ink)" />
            <text y={20} fontSize={13} textAnchor="middle">
              {tick}
            </text>
          </g>
        ))}
      </chakra.svg>
    </Box>
  );
}

function PointMark({ kind, chosen }: { kind: string; chosen: boolean }) {
  const stroke = `var(--chakra-colors-${chosen ? 'signal' : 'ink'})`;
  const fill = 'var(--chakra-colors-sheet)';
  switch (kind) {
    case 'cleanout':
      return <rect x={-6} y={-10} width={12} height={18} fill={fill} stroke={stroke} strokeWidth={2} />;
    case 'main':
    case 'manhole':
      return <circle r={9} fill={fill} stroke={stroke} strokeWidth={2.5} />;
    case 'tree':
      return <path d="M0 -12 L8 2 H2 V8 H-2 V2 H-8 Z" fill={fill} stroke={stroke} strokeWidth={1.8} />;
    case 'property-line':
      return <path d="M0 -12 V10 M-5 -12 H5" stroke={stroke} strokeWidth={2.5} fill="none" />;
    case 'building':
      return <path d="M-9 8 V-4 L0 -12 L9 -4 V8 Z" fill={fill} stroke={stroke} strokeWidth={2} />;
    default:
      return <path d="M0 -10 L8 0 L0 8 L-8 0 Z" fill={fill} stroke={stroke} strokeWidth={2} />;
  }
}
