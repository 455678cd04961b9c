import { surfaceRow } from '../../core/catalog/surfaces.js';
import { ownerWords } from '../../core/job/point-words.js';
import { snapEnd } from '../../core/line/edit-stretches.js';
import { textWidth } from '../drawing/labels';
import { Handle } from './handle';
import { strip, tenth, type StretchList, type StripFrame } from './strip-frame';

const { rows } = strip;
const token = (name: string) => `var(--chakra-colors-${name})`;

/** One kind of stretch along the strip: its band, fill and label. */
interface Band {
  readonly list: StretchList;
  readonly top: number;
  readonly height: number;
  /** Height of its end handles, px. */
  readonly grip: number;
  fill: (frame: StripFrame, index: number) => string;
  word: (frame: StripFrame, index: number) => string;
  /** The stretch an end belongs to. */
  of: (frame: StripFrame, index: number) => string;
}

const ownerWord = ({ head }: StripFrame, index: number) =>
  ownerWords[head.owners?.[index]?.owner ?? 'unknown'];

const bands: readonly Band[] = [
  {
    list: 'owners',
    top: rows.owner,
    height: 22,
    grip: rows.owner + 11,
    fill: ({ head }, index) => token(head.owners?.[index]?.owner === 'public' ? 'keep' : 'sheet'),
    word: ownerWord,
    of: (frame, index) => `the ${ownerWord(frame, index)} part`,
  },
  {
    list: 'surfaces',
    top: rows.surface,
    height: 36,
    grip: rows.surface + 18,
    fill: ({ head }, index) => token(surfaceRow(head.surfaces?.[index]?.kind ?? 'lawn').fill),
    word: ({ head }, index) => head.surfaces?.[index]?.kind ?? '',
    of: ({ head }, index) => `the ${head.surfaces?.[index]?.kind ?? ''}`,
  },
  {
    list: 'noDig',
    top: rows.surface + 6,
    height: 24,
    grip: rows.surface + 18,
    fill: () => 'url(#no-dig)',
    word: ({ head }, index) => head.noDig?.[index]?.why ?? 'no dig',
    of: () => 'the no-dig stretch',
  },
];

const outline = (frame: StripFrame, { list }: Band, index: number, thin: number) => {
  const chosen = frame.isChosen(list, index);
  return { stroke: token(chosen ? 'signal' : 'ink'), strokeWidth: chosen ? 2.5 : thin };
};

/** Owners, surfaces, and no-dig stretches. */
export function Bands({ frame }: { frame: StripFrame }) {
  return bands.flatMap((band) =>
    (frame.head[band.list] ?? []).map((_, index) => (
      <BandPart key={`${band.list} ${index}`} frame={frame} band={band} index={index} />
    )),
  );
}

function BandPart({ frame, band, index }: { frame: StripFrame; band: Band; index: number }) {
  const { x, head, resolve, choose } = frame;
  const stretch = head[band.list]?.[index];
  if (!stretch) return null;
  const { from_ft, to_ft } = resolve(stretch);
  const text = band.word(frame, index);
  const wide = x(to_ft) - x(from_ft);
  return (
    <g onPointerDown={choose(band.list, index)}>
      <rect
        x={x(from_ft)}
        y={band.top}
        width={Math.max(0, wide)}
        height={band.height}
        fill={band.fill(frame, index)}
        {...outline(frame, band, index, 0.8)}
      />
      {textWidth(text, 13) < wide - 18 && (
        <text
          x={(x(from_ft) + x(to_ft)) / 2}
          y={band.top + band.height / 2 + 4.5}
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
}

/** Both ends of every stretch, to be dragged or moved by key; they snap to points. */
export function BandEnds({ frame }: { frame: StripFrame }) {
  return bands.flatMap((band) =>
    (frame.head[band.list] ?? []).flatMap((_, index) =>
      (['from', 'to'] as const).map((end) => (
        <BandEnd key={`${band.list} ${index} ${end}`} frame={frame} band={band} index={index} end={end} />
      )),
    ),
  );
}

function BandEnd(props: { frame: StripFrame; band: Band; index: number; end: 'from' | 'to' }) {
  const { frame, band, index, end } = props;
  const { x, head, said, view, resolve, inside, perFoot } = frame;
  const stretch = head[band.list]?.[index];
  if (!stretch) return null;
  const value = resolve(stretch)[`${end}_ft`];
  const start = resolve(said[band.list]?.[index] ?? stretch)[`${end}_ft`];
  const things = view.points.map(({ id, station }) => ({ id, station_ft: station.value }));
  return (
    <Handle
      x={x(value)}
      y={band.grip}
      label={`${end === 'from' ? 'Upstream' : 'Downstream'} end of ${band.of(frame, index)}`}
      value={value}
      onSelect={frame.choose(band.list, index)}
      onMove={(dx, _dy, last) => {
        frame.dragEnd(band.list, index, end, snapEnd(inside(start + dx / perFoot), things), last);
      }}
      onDone={(by) => {
        frame.dragEnd(band.list, index, end, { feet: inside(tenth(value + by)) }, true);
      }}
    >
      <rect
        x={-4}
        y={-13}
        width={8}
        height={26}
        fill="var(--chakra-colors-sheet)"
        {...outline(frame, band, index, 1.5)}
      />
    </Handle>
  );
}
