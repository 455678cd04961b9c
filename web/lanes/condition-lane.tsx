import type { Interval } from '../../core/line/intervals.js';
import { gradeWords } from '../../core/findings/row.js';
import { placeLabels } from '../drawing/labels.js';
import { gutter_px, lanes, margin_px, seenMiddle, type SheetScale } from '../drawing/sheet-scale.js';
import type { LineView } from '../../core/views/line-view.js';

const { top, height } = lanes.judged;
const base = top + height - 20;
const step_px = 10.5;

const fills = ['soft', 'soft', 'soft', 'signal', 'signal'];
const opacities = [0.35, 0.45, 0.75, 0.78, 1];

interface Props {
  readonly line: LineView;
  readonly scale: SheetScale;
}

/** What was cleaned and re-inspected is on the wall and is not graded again. */
const gradedIn = ({ findings }: LineView) => findings.filter(({ grade, settled }) => grade > 0 && !settled);

/** Grade as height and weight of ink, and as a word. */
export function ConditionLane({ line, scale }: Props) {
  const { x } = scale;
  return (
    <g aria-label="Condition">
      <rect
        x={x(line.from_ft)}
        y={base - 3}
        width={x(line.to_ft) - x(line.from_ft)}
        height={3}
        fill="var(--chakra-colors-soft)"
        opacity={0.35}
      />
      {line.unseen.map((each) => (
        <rect
          key={each.from_ft}
          x={x(each.from_ft)}
          y={base - 2.2 * step_px}
          width={x(each.to_ft) - x(each.from_ft)}
          height={2.2 * step_px}
          fill="url(#unseen)"
          stroke="var(--chakra-colors-soft)"
          strokeWidth={0.7}
        />
      ))}
      {gradedIn(line)
        .sort((a, b) => b.grade - a.grade)
        .map((finding) => (
          <rect
            key={finding.id}
            x={x(finding.place.from_ft)}
            y={base - finding.grade * step_px}
            width={Math.max(2, x(finding.place.to_ft) - x(finding.place.from_ft))}
            height={finding.grade * step_px}
            fill={`var(--chakra-colors-${fills[finding.grade] ?? 'soft'})`}
            opacity={opacities[finding.grade]}
          >
            <title>{`${gradeWords[finding.grade]}, ${finding.place.from_ft.toFixed(1)} to ${finding.place.to_ft.toFixed(1)} ft`}</title>
          </rect>
        ))}
      <line
        x1={gutter_px}
        x2={scale.width - margin_px}
        y1={base}
        y2={base}
        stroke="var(--chakra-colors-ink)"
        strokeWidth={1.2}
      />
      <Words line={line} scale={scale} />
    </g>
  );
}

/** Below the bars, where there is room: each grade, and what is sound or was not seen. */
function Words({ line, scale }: Props) {
  const word = (stretch: Interval, says: { key: string; text: string; weight: number }) => {
    const middle = seenMiddle(scale, stretch);
    return middle === undefined ? [] : [{ ...says, x: middle }];
  };
  const words = placeLabels(
    [
      ...gradedIn(line).flatMap((finding) =>
        word(finding.place, {
          key: finding.id,
          text: `${gradeWords[finding.grade]}${finding.possible ? '?' : ''}`,
          weight: finding.grade * 10 + (finding.place.to_ft - finding.place.from_ft) / 100,
        }),
      ),
      ...line.unseen.flatMap((each) => word(each, { key: `u${each.from_ft}`, text: 'not seen', weight: 25 })),
      ...soundStretches(line).flatMap((each) =>
        word(each, { key: `s${each.from_ft}`, text: 'sound', weight: 0 }),
      ),
    ],
    { size_px: 13, rows: 1, from: gutter_px, to: scale.width - margin_px },
  );
  return words.map(({ key, left, text, weight }) => (
    <text
      key={key}
      x={left}
      y={base + 16}
      fontSize={13}
      fontWeight={(weight ?? 0) >= 30 ? 700 : 400}
      style={{ fill: `var(--chakra-colors-${(weight ?? 0) >= 30 ? 'signal-ink' : 'soft'})` }}
    >
      {text}
    </text>
  ));
}

/** Seen stretches without findings, at least 4 ft long: worth a label. */
function soundStretches(line: LineView): { from_ft: number; to_ft: number }[] {
  const busy = [...gradedIn(line).map(({ place }) => place), ...line.unseen].sort(
    (a, b) => a.from_ft - b.from_ft,
  );
  const sound: { from_ft: number; to_ft: number }[] = [];
  let at = line.from_ft;
  for (const each of [...busy, { from_ft: line.to_ft, to_ft: line.to_ft }]) {
    if (each.from_ft - at >= 4) sound.push({ from_ft: at, to_ft: each.from_ft });
    at = Math.max(at, each.to_ft);
  }
  return sound;
}
