import { summaryOf } from '../../core/methods/method.js';
import type { ScopeSoFar } from '../../core/scope/scope.js';
import { schools, schoolWords, type School } from '../../core/job/school-words.js';
import { money } from '../controls/format.js';
import { useRoving } from '../drawing/use-roving.js';
import { gutter_px, lanes, margin_px, type SheetScale } from '../drawing/sheet-scale.js';

const { top } = lanes.ways;
const row_px = 32;

interface Props {
  readonly scope: ScopeSoFar;
  readonly lineId: string;
  readonly scale: SheetScale;
  readonly onTake: (school: School) => void;
  /** An option is pointed at or has the focus. */
  readonly onLookAt: (school: School | undefined) => void;
}

/** The three options, each a thin bar with its price and expected future cost; one press makes it the scope. */
export function OptionsLane({ scope, lineId, scale, onTake, onLookAt }: Props) {
  const roving = useRoving(
    'way',
    scope.ways.map(({ school }) => school),
  );
  return (
    <g aria-label="Repair options" role="radiogroup" {...roving.row}>
      {scope.ways.map((approach) => {
        const chosen = approach.school === scope.school;
        const lookAt = (school: School | undefined) => () => {
          onLookAt(school);
        };
        return (
          <g
            key={approach.school}
            role="radio"
            {...roving.item(approach.school)}
            onFocus={lookAt(approach.school)}
            onBlur={lookAt(undefined)}
            onPointerEnter={lookAt(approach.school)}
            onPointerLeave={lookAt(undefined)}
            aria-checked={chosen}
            aria-label={waySays(approach, scope)}
            style={{ cursor: 'pointer' }}
            onClick={() => {
              onTake(approach.school);
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onTake(approach.school);
              }
            }}
          >
            <Row approach={approach} scope={scope} lineId={lineId} scale={scale} />
          </g>
        );
      })}
    </g>
  );
}

type Way = ScopeSoFar['ways'][number];

const nothingSeen = ({ verdict }: ScopeSoFar) => verdict.length === 1 && verdict[0] === 'incomplete';

/** An option in one sentence, for screen readers. */
function waySays(approach: Way, scope: ScopeSoFar): string {
  const words = schoolWords[approach.school];
  const cents = (amount: number) => money(amount, scope.prices.currency);
  const comesTo = nothingSeen(scope)
    ? 'nothing seen yet'
    : approach.feasible
      ? `${cents(approach.total)}, then ${cents(approach.carried)} expected over ten years, ${leavesWords(approach)}`
      : 'not possible';
  return `${words.name}, ${words.means}: ${comesTo}`;
}

function Row({
  approach,
  scope,
  lineId,
  scale,
}: { readonly approach: Way } & Pick<Props, 'scope' | 'lineId' | 'scale'>) {
  const right = scale.width - margin_px;
  const split = gutter_px + (right - gutter_px) * 0.52;
  const short = (station: number) =>
    gutter_px +
    ((scale.x(station) - scale.x(scale.from_ft)) / (scale.x(scale.to_ft) - scale.x(scale.from_ft))) *
      (split - gutter_px - 16);
  // Each has its own row, even while the others are still being computed.
  const y = top + schools.indexOf(approach.school) * row_px;
  const chosen = approach.school === scope.school;
  return (
    <>
      <rect
        x={gutter_px - 5}
        y={y}
        width={right - gutter_px + 8}
        height={row_px - 2}
        fill={chosen ? 'var(--chakra-colors-sheet)' : 'transparent'}
        stroke={chosen ? 'var(--chakra-colors-ink)' : 'transparent'}
        strokeWidth={1.5}
      />
      {(approach.bars[lineId] ?? []).map((bar) => (
        <rect
          key={bar.from_ft}
          x={short(bar.from_ft)}
          y={y + 9}
          width={Math.max(1, short(bar.to_ft) - short(bar.from_ft) - 0.6)}
          height={12}
          fill={`var(--chakra-colors-${summaryOf(scope.methods, bar.method).drawing.fill})`}
        />
      ))}
      <RowWords approach={approach} scope={scope} split={split} right={right} y={y} />
    </>
  );
}

interface RowWordsProps extends Pick<Props, 'scope'> {
  readonly approach: Way;
  /** Extent of its text, and the top of its row, px. */
  readonly split: number;
  readonly right: number;
  readonly y: number;
}

/** The name of an option, its price, and its expected future cost. */
function RowWords({ approach, scope, split, right, y }: RowWordsProps) {
  const nothing = nothingSeen(scope);
  const chosen = approach.school === scope.school;
  const cents = (amount: number) => money(amount, scope.prices.currency);
  return (
    <>
      <text
        x={split}
        y={y + 20}
        fontSize={14.5}
        fontWeight={700}
        style={{ fontFamily: 'var(--chakra-fonts-heading)' }}
      >
        {schoolWords[approach.school].name}
      </text>
      <text
        x={split + (right - split) * 0.6}
        y={y + 20}
        fontSize={15.5}
        fontWeight={chosen ? 700 : 400}
        textAnchor="end"
      >
        {nothing ? '–' : approach.feasible ? cents(approach.total) : 'not possible'}
      </text>
      {approach.feasible &&
        !nothing &&
        [`${cents(approach.carried)} expected later`, leavesWords(approach)].map((words, line) => (
          <text
            key={line}
            x={right - 8}
            y={y + 13 + line * 13}
            fontSize={12}
            textAnchor="end"
            style={{ fill: 'var(--chakra-colors-soft)' }}
          >
            {words}
          </text>
        ))}
    </>
  );
}

/** What an option leaves as it is, worst first. */
export function leavesWords({ leaves, uncured_ft }: Way): string {
  if (uncured_ft > 0) return `${uncured_ft.toFixed(1)} ft not possible`;
  const parts = ([4, 3, 2] as const).flatMap((grade) =>
    leaves[grade] > 0
      ? [`${leaves[grade]} ${grade === 2 ? 'to watch' : grade === 3 ? 'to fix' : 'failed'}`]
      : [],
  );
  return parts.length > 0 ? `leaves ${parts.join(', ')}` : 'leaves nothing to watch';
}
