import { surfaceRow } from '../../core/catalog/surfaces.js';
import { scaleLinear } from 'd3-scale';
import { line as pathLine } from 'd3-shape';
import { subtract } from '../../core/line/intervals.js';
import type { LineScope } from '../../core/scope/scope.js';
import { feet } from '../shell/format';
import { utilityFill } from '../drawing/ground-colours';
import { PointMark, pointWords } from './ground-points';
import { standLabels, textWidth } from '../drawing/labels';
import { useRoving } from '../drawing/use-roving';
import { depthAt, lanes, margin_px, gutter_px, seenMiddle, type SheetScale } from '../drawing/sheet-scale';
import { materialWords } from '../../core/catalog/materials.js';
import type { LineView } from '../../core/views/line-view.js';

const { top, height } = lanes.ground;
const surfaceTop = top + 22;
const groundTop = surfaceTop + 8;

const materialPattern: Partial<Record<string, string>> = {
  fibre: 'url(#hatch-cross)',
  'cast-iron': 'url(#hatch-dots)',
  concrete: 'url(#hatch-dots)',
  'asbestos-cement': 'url(#hatch-cross)',
};

/** The two lowest rows are kept for words, so that none lies on the pipe, px. */
const wordRows_px = 34;

/** Depth below the ground to px. */
export function groundScale(line: LineView, scope: LineScope | undefined) {
  const deepest = Math.max(
    4,
    ...line.depths.map(({ invert_ft }) => invert_ft),
    ...(scope?.pits ?? []).map((pit) => pit.figures.depth.value),
  );
  return scaleLinear([0, deepest + 0.3], [groundTop, top + height - wordRows_px]);
}

interface Props {
  readonly line: LineView;
  readonly scope: LineScope | undefined;
  readonly scale: SheetScale;
  readonly selected: string | undefined;
  readonly onSelect: (actionId: string) => void;
  /** Goes to another line of the job, where the two join. */
  readonly onLine: (id: string) => void;
}

/** The long section: what lies on top, the pipe at its depth, the holes to scale. */
export function GroundLane({ line, scope, scale, selected, onSelect, onLine }: Props) {
  const { x } = scale;
  const y = groundScale(line, scope);
  const bore_px = (bore_in: number) => Math.max(7, y(bore_in / 12) - y(0));
  const stations = [
    ...new Set([
      ...line.depths.map(({ station_ft }) => station_ft),
      ...line.pipes.flatMap((pipe) => [pipe.from_ft, pipe.to_ft]),
    ]),
  ].sort((a, b) => a - b);
  const draw = pathLine();
  const propertyLine = line.owners.find(
    (each, i) => i > 0 && each.owner !== line.owners[i - 1]?.owner,
  )?.from_ft;
  const labels = standLabels(
    line.surfaces.flatMap((each, i) => {
      const middle = seenMiddle(scale, each);
      return middle === undefined
        ? []
        : [
            {
              key: `s${i}`,
              x: middle,
              text: each.assumed ? `${each.kind}?` : each.kind,
              weight: each.to_ft - each.from_ft,
            },
          ];
    }),
    { size_px: 13, rows: 1, from: gutter_px, to: scale.width - margin_px },
  );
  const pits = scope?.pits ?? [];
  const roving = useRoving('hole', pits.length);
  const below = standLabels(
    [
      ...pits.flatMap((pit, i) => {
        const middle = seenMiddle(scale, pit);
        const held = pit.figures.protection;
        const how = held === 'none' ? '' : held.startsWith('shore') ? ', shored' : ', sloped';
        return middle === undefined
          ? []
          : [
              {
                key: pit.id,
                x: middle,
                text: `${letter(i)} · ${feet(pit.figures.bottom_ft[0])} × ${feet(pit.figures.bottom_ft[1])} ft, ${feet(pit.figures.depth.value)} deep${how}`,
                weight: 3,
              },
            ];
      }),
      ...line.points.flatMap((point) => {
        const middle = seenMiddle(scale, { from_ft: point.station.value, to_ft: point.station.value });
        const text = pointWords(point);
        return middle === undefined || text === ''
          ? []
          : [{ key: `p ${point.id}`, x: middle, text, weight: 2 }];
      }),
      ...(propertyLine === undefined ||
      seenMiddle(scale, { from_ft: propertyLine, to_ft: propertyLine }) === undefined
        ? []
        : [
            {
              key: 'property',
              x: x(propertyLine) + textWidth('property line', 13) / 2 + 6,
              text: 'property line',
              weight: 1,
            },
          ]),
    ],
    { size_px: 13, rows: 2, from: gutter_px, to: scale.width - margin_px },
  );
  return (
    <g aria-label="Ground">
      <rect
        x={gutter_px}
        y={groundTop}
        width={scale.width - margin_px - gutter_px}
        height={top + height - groundTop}
        fill="var(--chakra-colors-earth)"
      />
      {y
        .ticks(4)
        .filter((tick) => tick > 0)
        .map((tick) => (
          <g key={tick}>
            <line
              x1={gutter_px}
              x2={scale.width - margin_px}
              y1={y(tick)}
              y2={y(tick)}
              stroke="var(--chakra-colors-rule)"
              strokeDasharray="3 5"
            />
          </g>
        ))}
      {line.surfaces.map((each, i) => (
        <rect
          key={i}
          x={x(each.from_ft)}
          y={surfaceTop}
          width={Math.max(0, x(each.to_ft) - x(each.from_ft))}
          height={8}
          fill={each.assumed ? 'url(#unseen)' : `var(--chakra-colors-${surfaceRow(each.kind).fill})`}
          stroke="var(--chakra-colors-paper)"
          strokeWidth={0.5}
        >
          <title>{`${each.kind}, ${feet(each.from_ft)} to ${feet(each.to_ft)} ft${each.assumed ? ': nobody said, taken as lawn' : ''}`}</title>
        </rect>
      ))}
      <line
        x1={gutter_px}
        x2={scale.width - margin_px}
        y1={groundTop}
        y2={groundTop}
        stroke="var(--chakra-colors-ink)"
        strokeWidth={1.5}
      />
      {labels.map(({ key, left, text }) => (
        <text
          key={key}
          x={left}
          y={surfaceTop - 6}
          fontSize={13}
          style={{ fill: 'var(--chakra-colors-soft)' }}
        >
          {text}
        </text>
      ))}
      {line.noDig.map((each) => (
        <g key={`n${each.from_ft}`}>
          <rect
            x={x(each.from_ft)}
            y={groundTop}
            width={x(each.to_ft) - x(each.from_ft)}
            height={top + height - groundTop}
            fill="url(#no-dig)"
            opacity={0.6}
          />
          <title>{`No digging from ${feet(each.from_ft)} to ${feet(each.to_ft)} ft${each.why ? `: ${each.why}` : ''}`}</title>
        </g>
      ))}
      <g role="list" aria-label="Holes" {...roving.row}>
        {pits.map((pit, i) => (
          <HoleShape
            key={pit.id}
            pit={pit}
            scale={scale}
            y={y}
            chosen={selected !== undefined && pit.serves.includes(selected)}
            label={letter(i)}
            onSelect={() => {
              if (pit.serves[0]) onSelect(pit.serves[0]);
            }}
            roving={roving.item(i)}
          />
        ))}
      </g>
      {propertyLine !== undefined && (
        <g>
          <line
            x1={x(propertyLine)}
            x2={x(propertyLine)}
            y1={surfaceTop - 3}
            y2={top + height}
            stroke="var(--chakra-colors-ink)"
            strokeDasharray="9 4 2 4"
            strokeWidth={1.3}
          />
        </g>
      )}
      {line.pipes.map((pipe) => {
        const inside = [
          pipe.from_ft,
          ...stations.filter((at) => at > pipe.from_ft && at < pipe.to_ft),
          pipe.to_ft,
        ];
        const h = bore_px(pipe.diameter_in);
        const invert = inside.map((at): [number, number] => [x(at), y(depthAt(line, at))]);
        const crown = invert.map(([px, py]): [number, number] => [px, py - h]).reverse();
        const outline = `${draw([...invert, ...crown]) ?? ''}Z`;
        const pattern = materialPattern[pipe.material];
        return (
          <g key={pipe.from_ft}>
            <path d={outline} fill="var(--chakra-colors-sheet)" stroke="none" />
            {pattern && <path d={outline} fill={pattern} stroke="none" />}
            <path d={outline} fill="none" stroke="var(--chakra-colors-ink)" strokeWidth={1.6} />
            <title>{`${pipe.diameter_in} in ${materialWords(pipe.material)}, ${feet(pipe.from_ft)} to ${feet(pipe.to_ft)} ft`}</title>
          </g>
        );
      })}
      {line.joints.map((at) => {
        const bottom = y(depthAt(line, at));
        const pipe = line.pipes.find((each) => at <= each.to_ft);
        return (
          <line
            key={`j${at}`}
            x1={x(at)}
            x2={x(at)}
            y1={bottom}
            y2={bottom - bore_px(pipe?.diameter_in ?? 4)}
            stroke="var(--chakra-colors-ink)"
            strokeWidth={1}
          />
        );
      })}
      {line.crossings.map((each) => (
        <Crossing
          key={`c${each.station_ft}`}
          crossing={each}
          x={x(each.station_ft)}
          y={y(each.depth_ft ?? 1)}
          avoid={propertyLine === undefined ? undefined : x(propertyLine)}
        />
      ))}
      {line.points.map((point) => (
        <PointMark
          key={point.id}
          point={point}
          x={x(point.station.value)}
          invert={y(depthAt(line, point.station.value))}
          groundTop={groundTop}
          onLine={onLine}
        />
      ))}
      {(scope?.cleanouts ?? [])
        .filter(({ status }) => status === 'new')
        .map((cleanout) => (
          <NewCleanout
            key={cleanout.station_ft}
            x={x(cleanout.station_ft)}
            top={groundTop}
            bottom={y(depthAt(line, cleanout.station_ft))}
            why={cleanout.why}
          />
        ))}
      <PipeLabels line={line} pits={pits} scale={scale} y={y} bore_px={bore_px} />
      {below.map(({ key, left, text, row }) => {
        const hole = pits.some(({ id }) => id === key);
        return (
          <text
            key={key}
            x={left}
            y={top + height - wordRows_px + 14 + row * 15}
            fontSize={13}
            stroke="var(--chakra-colors-earth)"
            strokeWidth={4}
            paintOrder="stroke"
            fontWeight={hole ? 700 : 400}
            style={{ fill: `var(--chakra-colors-${hole ? 'signal-ink' : 'ink'})` }}
          >
            {text}
          </text>
        );
      })}
    </g>
  );
}

/** A cleanout that this scope puts in: dashed, in the colour of what is to be done. */
function NewCleanout({ x, top, bottom, why }: { x: number; top: number; bottom: number; why: string }) {
  return (
    <g stroke="var(--chakra-colors-signal)">
      <line x1={x} x2={x} y1={top} y2={bottom} strokeWidth={3} strokeDasharray="4 3" />
      <rect x={x - 7} y={top - 7} width={14} height={7} fill="var(--chakra-colors-signal)" />
      <title>{`New cleanout: ${why}`}</title>
    </g>
  );
}

/** A utility across the line; its words stand on the side where the property line is not. */
function Crossing({
  crossing,
  x,
  y,
  avoid,
}: {
  crossing: LineView['crossings'][number];
  x: number;
  y: number;
  avoid: number | undefined;
}) {
  const text = `${crossing.utility} ${crossing.depth_ft === undefined ? 'depth?' : feet(crossing.depth_ft)}`;
  const left = avoid !== undefined && avoid > x && avoid < x + 16 + textWidth(text, 13);
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={5.5}
        fill={utilityFill(crossing.utility)}
        stroke="var(--chakra-colors-ink)"
        strokeWidth={1.2}
        strokeDasharray={crossing.depth_ft === undefined ? '2 2' : undefined}
      />
      <text x={left ? x - 10 : x + 10} y={y + 4.5} fontSize={13} textAnchor={left ? 'end' : 'start'}>
        {text}
      </text>
    </g>
  );
}

const letter = (index: number): string => String.fromCharCode(65 + (index % 26));

function PipeLabels({
  line,
  pits,
  scale,
  y,
  bore_px,
}: {
  line: LineView;
  pits: LineScope['pits'];
  scale: SheetScale;
  y: (depth: number) => number;
  bore_px: (bore: number) => number;
}) {
  const stood = standLabels(
    line.pipes.flatMap((pipe) => {
      // A name stands where no hole is drawn, if there is such a place.
      const [clear] = subtract([pipe], pits).sort((a, b) => b.to_ft - b.from_ft - (a.to_ft - a.from_ft));
      const text = `${materialWords(pipe.material)} ${pipe.diameter_in} in`;
      const roomy = clear && scale.x(clear.to_ft) - scale.x(clear.from_ft) > textWidth(text, 13);
      const middle = seenMiddle(scale, roomy ? clear : pipe);
      return middle === undefined
        ? []
        : [{ key: String(pipe.from_ft), x: middle, text, weight: pipe.to_ft - pipe.from_ft }];
    }),
    { size_px: 13, rows: 1, from: gutter_px + 4, to: scale.width - margin_px },
  );
  return stood.map(({ key, left, text }) => {
    const pipe = line.pipes.find((each) => String(each.from_ft) === key);
    const [a, b] = [scale.x.invert(left), scale.x.invert(left + textWidth(text, 13))];
    const bore = bore_px(pipe?.diameter_in ?? 4);
    const [high, low] = [y(depthAt(line, a)), y(depthAt(line, b))];
    const above = Math.min(high, low) - bore - 6;
    // Words over the pipe, unless a utility's own stand there: then under it.
    const blocked = line.crossings.some((crossing) => {
      const at = scale.x(crossing.station_ft);
      const depth = y(crossing.depth_ft ?? 1);
      return at > left - 76 && at < left + textWidth(text, 13) + 76 && Math.abs(depth - (above - 4)) < 15;
    });
    return (
      <text
        key={key}
        x={left}
        y={blocked ? Math.max(high, low) + 16 : above}
        fontSize={13}
        stroke="var(--chakra-colors-earth)"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {text}
      </text>
    );
  });
}

function HoleShape({
  pit,
  scale,
  y,
  chosen,
  label,
  onSelect,
  roving,
}: {
  pit: LineScope['pits'][number];
  scale: SheetScale;
  y: (depth: number) => number;
  chosen: boolean;
  label: string;
  onSelect: () => void;
  roving: ReturnType<ReturnType<typeof useRoving>['item']>;
}) {
  const { x } = scale;
  const depth = pit.figures.depth.value;
  const out = pit.sheet.topOut_ft;
  const [left, right] = [x(pit.from_ft), x(pit.to_ft)];
  const [l, r] = [
    Math.max(gutter_px, x(pit.from_ft - out)),
    Math.min(scale.width - margin_px, x(pit.to_ft + out)),
  ];
  // What is zoomed past is not drawn at all.
  if (r < gutter_px || l > scale.width - margin_px) return null;
  return (
    <g role="listitem">
      <g
        role="button"
        {...roving}
        aria-label={`Hole ${label}, ${feet(pit.from_ft)} to ${feet(pit.to_ft)} ft, ${feet(depth)} deep`}
        onClick={onSelect}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') onSelect();
        }}
        style={{ cursor: 'pointer' }}
      >
        <path
          d={`M${l} ${y(0)}L${left} ${y(depth)}H${right}L${r} ${y(0)}Z`}
          fill="var(--chakra-colors-sheet)"
        />
        <path
          d={`M${l} ${y(0)}L${left} ${y(depth)}H${right}L${r} ${y(0)}Z`}
          fill="url(#dug)"
          stroke="var(--chakra-colors-signal)"
          strokeWidth={chosen ? 3 : 2}
        />
      </g>
    </g>
  );
}
