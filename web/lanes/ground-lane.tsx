import { holeLetter } from '../../core/excavation/hole.js';
import { surfaceRow } from '../../core/catalog/surfaces.js';
import { linearScale } from '../drawing/scale';
import { subtract } from '../../core/line/intervals.js';
import type { LineScope } from '../../core/scope/scope.js';
import { feet } from '../controls/format';
import { utilityFill } from '../drawing/ground-colors';
import { PointMark, pointWords } from './ground-points';
import { placeLabels, textWidth } from '../drawing/labels';
import { useRoving, type RovingStop } from '../drawing/use-roving';
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

/** The two lowest rows are kept for text, so that none overlaps the pipe, px. */
const wordRows_px = 34;

/** Depth below the ground to px. */
export function groundScale(line: LineView, scope: LineScope | undefined) {
  const deepest = Math.max(
    4,
    ...line.depths.map(({ invert_ft }) => invert_ft),
    ...(scope?.pits ?? []).map((pit) => pit.figures.depth.value),
  );
  return linearScale([0, deepest + 0.3], [groundTop, top + height - wordRows_px]);
}

interface Props {
  readonly line: LineView;
  readonly scope: LineScope | undefined;
  readonly scale: SheetScale;
  readonly selected: string | undefined;
  readonly onSelect: (actionId: string) => void;
  /** Opens another line of the job where the two join. */
  readonly onLine: (id: string) => void;
}

/** The lane being drawn: its scales, and what its parts share. */
interface Frame {
  readonly line: LineView;
  readonly scale: SheetScale;
  readonly y: ReturnType<typeof groundScale>;
  readonly pits: LineScope['pits'];
  /** Where the owner changes first, ft. */
  readonly propertyLine: number | undefined;
  bore_px: (bore_in: number) => number;
}

const ink = 'var(--chakra-colors-ink)';
const bottom = top + height;

/** The long section: surfaces, the pipe at its depth, excavations to scale. */
export function GroundLane({ line, scope, scale, selected, onSelect, onLine }: Props) {
  const { x } = scale;
  const y = groundScale(line, scope);
  const changed = line.owners.find((each, i) => i > 0 && each.owner !== line.owners[i - 1]?.owner);
  const frame: Frame = {
    line,
    scale,
    y,
    pits: scope?.pits ?? [],
    propertyLine: changed?.from_ft,
    bore_px: (bore_in) => Math.max(7, y(bore_in / 12) - y(0)),
  };
  return (
    <g aria-label="Ground">
      <Earth frame={frame} />
      <Surfaces frame={frame} />
      <Holes frame={frame} selected={selected} onSelect={onSelect} />
      {changed && <PropertyLine x={x(changed.from_ft)} />}
      <Pipes frame={frame} />
      {line.crossings.map((each) => (
        <Crossing
          key={`c${each.station_ft}`}
          crossing={each}
          x={x(each.station_ft)}
          y={y(each.depth_ft ?? 1)}
          avoid={changed && x(changed.from_ft)}
        />
      ))}
      {line.points.map((point) => (
        <PointMark
          key={point.id}
          point={point}
          place={{ x: x(point.station.value), invert: y(depthAt(line, point.station.value)), groundTop }}
          onLine={onLine}
        />
      ))}
      {(scope?.cleanouts ?? [])
        .filter(({ status }) => status === 'new')
        .map(({ station_ft, why }) => (
          <NewCleanout
            key={station_ft}
            x={x(station_ft)}
            top={groundTop}
            bottom={y(depthAt(line, station_ft))}
            why={why}
          />
        ))}
      <PipeLabels frame={frame} />
      <WordsBelow frame={frame} />
    </g>
  );
}

const PropertyLine = ({ x }: { x: number }) => (
  <line
    x1={x}
    x2={x}
    y1={surfaceTop - 3}
    y2={bottom}
    stroke={ink}
    strokeDasharray="9 4 2 4"
    strokeWidth={1.3}
  />
);

/** The ground below its surface, with depth lines, and the no-dig stretches. */
function Earth({ frame: { line, scale, y } }: { frame: Frame }) {
  const { x } = scale;
  const right = scale.width - margin_px;
  return (
    <>
      <rect
        x={gutter_px}
        y={groundTop}
        width={right - gutter_px}
        height={bottom - groundTop}
        fill="var(--chakra-colors-earth)"
      />
      {y
        .ticks(4)
        .filter((tick) => tick > 0)
        .map((tick) => (
          <line
            key={tick}
            x1={gutter_px}
            x2={right}
            y1={y(tick)}
            y2={y(tick)}
            stroke="var(--chakra-colors-rule)"
            strokeDasharray="3 5"
          />
        ))}
      {line.noDig.map((each) => (
        <g key={`n${each.from_ft}`}>
          <rect
            x={x(each.from_ft)}
            y={groundTop}
            width={x(each.to_ft) - x(each.from_ft)}
            height={bottom - groundTop}
            fill="url(#no-dig)"
            opacity={0.6}
          />
          <title>{`No digging from ${feet(each.from_ft)} to ${feet(each.to_ft)} ft${each.why ? `: ${each.why}` : ''}`}</title>
        </g>
      ))}
    </>
  );
}

/** The surfaces, each named where there is room. */
function Surfaces({ frame: { line, scale } }: { frame: Frame }) {
  const { x } = scale;
  const right = scale.width - margin_px;
  const labels = placeLabels(
    line.surfaces.flatMap((each, i) => {
      const middle = seenMiddle(scale, each);
      const text = each.assumed ? `${each.kind}?` : each.kind;
      return middle === undefined
        ? []
        : [{ key: `s${i}`, x: middle, text, weight: each.to_ft - each.from_ft }];
    }),
    { size_px: 13, rows: 1, from: gutter_px, to: right },
  );
  return (
    <>
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
          <title>{`${each.kind}, ${feet(each.from_ft)} to ${feet(each.to_ft)} ft${each.assumed ? ': not entered, lawn assumed' : ''}`}</title>
        </rect>
      ))}
      <line x1={gutter_px} x2={right} y1={groundTop} y2={groundTop} stroke={ink} strokeWidth={1.5} />
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
    </>
  );
}

function Holes({ frame, selected, onSelect }: { frame: Frame } & Pick<Props, 'selected' | 'onSelect'>) {
  const { pits, scale, y } = frame;
  const roving = useRoving(
    'hole',
    pits.map(({ id }) => id),
  );
  return (
    <g role="list" aria-label="Excavations" {...roving.row}>
      {pits.map((pit) => (
        <HoleShape
          key={pit.id}
          pit={pit}
          scale={scale}
          y={y}
          chosen={selected !== undefined && pit.serves.includes(selected)}
          label={holeLetter(pit.id)}
          onSelect={() => {
            if (pit.serves[0]) onSelect(pit.serves[0]);
          }}
          roving={roving.item(pit.id)}
        />
      ))}
    </g>
  );
}

/** Every pipe at its depth, distinguished by hatch, and its joints. */
function Pipes({ frame: { line, scale, y, bore_px } }: { frame: Frame }) {
  const { x } = scale;
  const stations = [
    ...line.depths.map(({ station_ft }) => station_ft),
    ...line.pipes.flatMap((pipe) => [pipe.from_ft, pipe.to_ft]),
  ];
  return (
    <>
      {line.pipes.map((pipe) => {
        const kinks = [...new Set(stations)].filter((at) => at > pipe.from_ft && at < pipe.to_ft);
        const inside = [pipe.from_ft, ...kinks.sort((a, b) => a - b), pipe.to_ft];
        const h = bore_px(pipe.diameter_in);
        const invert = inside.map((at): [number, number] => [x(at), y(depthAt(line, at))]);
        const crown = invert.map(([px, py]): [number, number] => [px, py - h]).reverse();
        const outline = [...invert, ...crown].map((corner) => corner.join()).join(' ');
        const pattern = materialPattern[pipe.material];
        return (
          <g key={pipe.from_ft}>
            <polygon points={outline} fill="var(--chakra-colors-sheet)" stroke="none" />
            {pattern && <polygon points={outline} fill={pattern} stroke="none" />}
            <polygon points={outline} fill="none" stroke={ink} strokeWidth={1.6} />
            <title>{`${pipe.diameter_in} in ${materialWords(pipe.material)}, ${feet(pipe.from_ft)} to ${feet(pipe.to_ft)} ft`}</title>
          </g>
        );
      })}
      {line.joints.map((at) => {
        const invert = y(depthAt(line, at));
        const bore = bore_px(line.pipes.find((each) => at <= each.to_ft)?.diameter_in ?? 4);
        return (
          <line
            key={`j${at}`}
            x1={x(at)}
            x2={x(at)}
            y1={invert}
            y2={invert - bore}
            stroke={ink}
            strokeWidth={1}
          />
        );
      })}
    </>
  );
}

type Label = Parameters<typeof placeLabels>[0][number];

/** Below the pipe: labels of excavations and points, and the property line. */
function WordsBelow({ frame }: { frame: Frame }) {
  const { pits, scale } = frame;
  const below = placeLabels([...holeLabels(frame), ...pointLabels(frame), ...propertyLabel(frame)], {
    size_px: 13,
    rows: 2,
    from: gutter_px,
    to: scale.width - margin_px,
  });
  return below.map(({ key, left, text, row }) => {
    const hole = pits.some(({ id }) => id === key);
    return (
      <text
        key={key}
        x={left}
        y={bottom - wordRows_px + 14 + row * 15}
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
  });
}

const heldWords = { none: '', slope: ', sloped', shore: ', shored', shield: ', shielded' } as const;

const holeLabels = ({ pits, scale }: Frame): Label[] =>
  pits.flatMap((pit) => {
    const middle = seenMiddle(scale, pit);
    const { bottom_ft, depth } = pit.figures;
    const how = heldWords[pit.protection];
    const text = `${holeLetter(pit.id)} · ${feet(bottom_ft[0])} × ${feet(bottom_ft[1])} ft, ${feet(depth.value)} deep${how}`;
    return middle === undefined ? [] : [{ key: pit.id, x: middle, text, weight: 3 }];
  });

const pointLabels = ({ line, scale }: Frame): Label[] =>
  line.points.flatMap((point) => {
    const middle = seenMiddle(scale, { from_ft: point.station.value, to_ft: point.station.value });
    const text = pointWords(point);
    return middle === undefined || text === '' ? [] : [{ key: `p ${point.id}`, x: middle, text, weight: 2 }];
  });

function propertyLabel({ propertyLine, scale }: Frame): Label[] {
  if (propertyLine === undefined) return [];
  if (seenMiddle(scale, { from_ft: propertyLine, to_ft: propertyLine }) === undefined) return [];
  const text = 'property line';
  return [{ key: 'property', x: scale.x(propertyLine) + textWidth(text, 13) / 2 + 6, text, weight: 1 }];
}

/** A cleanout this scope installs: dashed, in the color of new work. */
function NewCleanout({ x, top, bottom, why }: { x: number; top: number; bottom: number; why: string }) {
  return (
    <g stroke="var(--chakra-colors-signal)">
      <line x1={x} x2={x} y1={top} y2={bottom} strokeWidth={3} strokeDasharray="4 3" />
      <rect x={x - 7} y={top - 7} width={14} height={7} fill="var(--chakra-colors-signal)" />
      <title>{`New cleanout: ${why}`}</title>
    </g>
  );
}

/** A crossing utility; its label is on the side away from the property line. */
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

function PipeLabels({ frame: { line, pits, scale, y, bore_px } }: { frame: Frame }) {
  const stood = placeLabels(
    line.pipes.flatMap((pipe) => {
      // A name goes where no excavation is drawn, if there is such a place.
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
    // Labels above the pipe, unless a utility's label is there: then below.
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
  roving: RovingStop;
}) {
  const { x } = scale;
  const depth = pit.figures.depth.value;
  const out = pit.sheet.topOut_ft;
  const [left, right] = [x(pit.from_ft), x(pit.to_ft)];
  const [l, r] = [
    Math.max(gutter_px, x(pit.from_ft - out)),
    Math.min(scale.width - margin_px, x(pit.to_ft + out)),
  ];
  // What lies outside the zoomed window is not drawn.
  if (r < gutter_px || l > scale.width - margin_px) return null;
  return (
    <g role="listitem">
      <g
        role="button"
        {...roving}
        aria-label={`Excavation ${label}, ${feet(pit.from_ft)} to ${feet(pit.to_ft)} ft, ${feet(depth)} deep`}
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
