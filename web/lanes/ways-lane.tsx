import { methodRow } from '../../core/methods/index.js';
import { schools, type School } from '../../core/job/vocabulary.js';
import type { ScopeSoFar } from '../../core/scope/scope.js';
import { schoolWords } from '../../core/job/school-words.js';
import { money } from '../controls/format';
import { useRoving } from '../drawing/use-roving';
import { gutter_px, lanes, margin_px, type SheetScale } from '../drawing/sheet-scale';

const { top } = lanes.ways;
const row_px = 32;

interface Props {
  readonly scope: ScopeSoFar;
  readonly lineId: string;
  readonly scale: SheetScale;
  readonly onTake: (school: School) => void;
  /** A way is pointed at or has the focus. */
  readonly onLookAt: (school: School | undefined) => void;
}

/** The three schools, each a thin bar with its price and what it carries; one press makes it the scope. */
export function WaysLane({ scope, lineId, scale, onTake, onLookAt }: Props) {
  const right = scale.width - margin_px;
  const split = gutter_px + (right - gutter_px) * 0.52;
  const short = (station: number) =>
    gutter_px +
    ((scale.x(station) - scale.x(scale.from_ft)) / (scale.x(scale.to_ft) - scale.x(scale.from_ft))) *
      (split - gutter_px - 16);
  const roving = useRoving('way', scope.ways.length);
  const nothing = scope.verdict.length === 1 && scope.verdict[0] === 'incomplete';
  const cents = (amount: number) => money(amount, scope.prices.currency);
  return (
    <g aria-label="Repair options" role="radiogroup" {...roving.row}>
      {scope.ways.map((way, i) => {
        // Each stands in its own row, also while the others are still worked out.
        const y = top + schools.indexOf(way.school) * row_px;
        const chosen = way.school === scope.school;
        const words = schoolWords[way.school];
        const says = nothing
          ? 'nothing seen yet'
          : way.feasible
            ? `${cents(way.total)}, then ${cents(way.carried)} expected over ten years, ${leavesWords(way)}`
            : 'not possible';
        return (
          <g
            key={way.school}
            role="radio"
            {...roving.item(i)}
            onFocus={() => {
              onLookAt(way.school);
            }}
            onBlur={() => {
              onLookAt(undefined);
            }}
            onPointerEnter={() => {
              onLookAt(way.school);
            }}
            onPointerLeave={() => {
              onLookAt(undefined);
            }}
            aria-checked={chosen}
            aria-label={`${words.name}, ${words.means}: ${says}`}
            style={{ cursor: 'pointer' }}
            onClick={() => {
              onTake(way.school);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onTake(way.school);
              }
            }}
          >
            <rect
              x={gutter_px - 5}
              y={y}
              width={right - gutter_px + 8}
              height={row_px - 2}
              fill={chosen ? 'var(--chakra-colors-sheet)' : 'transparent'}
              stroke={chosen ? 'var(--chakra-colors-ink)' : 'transparent'}
              strokeWidth={1.5}
            />
            {(way.bars[lineId] ?? []).map((bar) => (
              <rect
                key={bar.from_ft}
                x={short(bar.from_ft)}
                y={y + 9}
                width={Math.max(1, short(bar.to_ft) - short(bar.from_ft) - 0.6)}
                height={12}
                fill={`var(--chakra-colors-${methodRow(bar.method).drawing.fill})`}
              />
            ))}
            <text
              x={split}
              y={y + 20}
              fontSize={14.5}
              fontWeight={700}
              style={{ fontFamily: 'var(--chakra-fonts-heading)' }}
            >
              {words.name}
            </text>
            <text
              x={split + (right - split) * 0.6}
              y={y + 20}
              fontSize={15.5}
              fontWeight={chosen ? 700 : 400}
              textAnchor="end"
            >
              {nothing ? '–' : way.feasible ? cents(way.total) : 'not possible'}
            </text>
            {way.feasible &&
              !nothing &&
              [`${cents(way.carried)} expected later`, leavesWords(way)].map((words_, line) => (
                <text
                  key={line}
                  x={right - 8}
                  y={y + 13 + line * 13}
                  fontSize={12}
                  textAnchor="end"
                  style={{ fill: 'var(--chakra-colors-soft)' }}
                >
                  {words_}
                </text>
              ))}
          </g>
        );
      })}
    </g>
  );
}

/** What a way leaves as it is, worst first. */
export function leavesWords({ leaves, uncured_ft }: ScopeSoFar['ways'][number]): string {
  if (uncured_ft > 0) return `${uncured_ft.toFixed(1)} ft not possible`;
  const parts = ([4, 3, 2] as const).flatMap((grade) =>
    leaves[grade] > 0
      ? [`${leaves[grade]} ${grade === 2 ? 'to watch' : grade === 3 ? 'to fix' : 'failed'}`]
      : [],
  );
  return parts.length > 0 ? `leaves ${parts.join(', ')}` : 'leaves nothing to watch';
}
