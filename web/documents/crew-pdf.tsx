import { capital } from '../../core/capital.js';
import { methodName } from '../../core/methods/index.js';
import { Text, View } from '@react-pdf/renderer';
import type { Firm } from '../../core/job/firm.js';
import type { Job } from '../../core/job/schema.js';
import { planDays } from '../../core/plan/day.js';
import { taskKindRow } from '../../core/plan/kinds.js';
import { sayPeople, sayTime, sayWeekday, type Plan } from '../../core/plan/plan.js';
import type { ScopedView } from '../../core/views/job-view.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import { sayFitting } from '../../core/pipe/fittings.js';
import { shoppingList } from '../../core/views/shopping.js';
import { cautionsOf, cleaningCaution } from '../holes/cautions';
import { holeLetter } from '../../core/excavation/hole.js';
import { dayOrder, type Pit } from '../holes/hole-order';
import { HolePlan } from '../holes/hole-plan';
import { HoleSection } from '../holes/hole-section';
import { sayDay } from '../../core/days.js';
import { feet } from '../controls/format';
import { Drawn } from './drawn';
import { Cells, inFont, Paper, styles } from './paper';
import { materialWords } from '../../core/catalog/materials.js';
import { sayCuts } from '../../core/pipe/cut-list.js';
import type { LineView } from '../../core/views/line-view.js';

/** Height left for the drawings on an excavation's page, pt. */
const paperWidth = 524;
const sectionHeight = 235;
const planWidth = 330;
const drawingHeight = 200;
/** Type size in the plan, which is printed at about a third of its size. */
const paperType_px = 23;

/** The crew's paper: the day, each liner, the cut list, what to bring, and a page for each excavation. */
export function CrewDocument({
  job,
  firm,
  view,
  plan,
}: {
  job: Job;
  firm: Firm;
  view: ScopedView;
  /** The days of the work; undefined where there is no plan. */
  plan: Plan | undefined;
}) {
  const { scope } = view;
  const lines = view.lines.flatMap((line) => {
    const own = scope.lines.find(({ id }) => id === line.id);
    return own ? [{ line, own }] : [];
  });
  return (
    <Paper title="Crew sheet" from={firm} of={job.title}>
      <Text style={styles.h1}>{inFont(job.title)}</Text>
      <Text style={styles.soft}>
        {inFont(
          [job.site?.address, job.site?.customer, job.inspectedOn && `inspected ${sayDay(job.inspectedOn)}`]
            .filter(Boolean)
            .join(', '),
        )}
      </Text>
      {scope.firstStep && (
        <View style={styles.caution}>
          <Text style={styles.bold}>
            Do not order yet. First {scope.firstStep.what}, {feet(scope.firstStep.from_ft)} to{' '}
            {feet(scope.firstStep.to_ft)} ft.
          </Text>
          <Text>{inFont(scope.firstStep.why)}</Text>
        </View>
      )}
      {plan && plan.tasks.length > 0 && <Days plan={plan} />}
      {lines.map(({ line, own }) => (
        <View key={line.id}>
          <Work line={line} scope={own} several={lines.length > 1} />
          <ToKnow scope={scope} line={own} />
        </View>
      ))}
      <Buying scope={scope} />
      {lines.flatMap(({ line, own }) =>
        dayOrder(own).map(({ pit, why }, i) => (
          <HolePage
            key={`${line.id} ${pit.id}`}
            line={line}
            scope={own}
            pit={pit}
            why={`${i + 1} of ${own.pits.length} on ${line.name}: ${why}`}
          />
        )),
      )}
    </Paper>
  );
}

/** Who does what when, and when the water is off, day by day. */
function Days({ plan }: { plan: Plan }) {
  return (
    <View>
      {planDays(plan).map(({ day: on, tasks, water }) => (
        <View key={on} wrap={false}>
          <Text style={styles.h2}>{sayWeekday(on)}</Text>
          {tasks.map(({ task, from, to, goesOn }) => (
            <Cells
              key={task.id}
              shares={[2, 4.6, 0.9]}
              cells={[
                `${sayTime(from)} to ${sayTime(to)}`,
                `${task.what}${goesOn ? ', goes on the next day' : ''}`,
                taskKindRow(task.kind).office ? 'office' : sayPeople(task.crew),
              ]}
            />
          ))}
          {water.map(({ line, from, to, overnight }) => (
            <Text key={`${line} ${from.time}`} style={styles.bold}>
              Water off {sayTime(from.time)} to {sayTime(to.time)}
              {overnight ? ', and over the night' : ''}
            </Text>
          ))}
        </View>
      ))}
      {plan.warnings.length > 0 && (
        <View style={styles.caution}>
          {plan.warnings.map((words) => (
            <Text key={words}>{inFont(`${capital(words)}.`)}</Text>
          ))}
        </View>
      )}
    </View>
  );
}

function Work({ line, scope, several }: { line: LineView; scope: LineScope; several: boolean }) {
  return (
    <View>
      <Text style={styles.h2} minPresenceAhead={80}>
        {several ? line.name : 'The work'}
      </Text>
      {scope.actions.length === 0 && (
        <Text>
          {line.nothingSeen ? 'Nothing seen yet: run the camera.' : 'Nothing is dug or lined on this line.'}
        </Text>
      )}
      <WorkRows scope={scope} />
      <Liners scope={scope} />
    </View>
  );
}

/** Work by location, one row each. */
const WorkRows = ({ scope }: { scope: LineScope }) => (
  <>
    <Cleaning scope={scope} />
    {scope.actions.map((action) => (
      <Cells
        key={action.id}
        shares={[2, 2.4, 3]}
        cells={[
          methodName(action.method),
          `${feet(action.from_ft)} to ${feet(action.to_ft)} ft`,
          action.pipe
            ? `${feet(action.pipe.laid.value)} ft of ${action.pipe.diameter_in} in ${materialWords(action.pipe.material)}`
            : action.entry_ft === null
              ? ''
              : `in at ${feet(action.entry_ft)} ft`,
        ]}
      />
    ))}
    {scope.actions.flatMap(({ id, fittings }) =>
      fittings.map((fitting) => (
        <Cells
          key={`${id} ${fitting.kind} ${fitting.at_ft}`}
          shares={[2, 5.4]}
          cells={['Set in it', sayFitting(fitting)]}
        />
      )),
    )}
    {scope.notPossible.map(({ what, from_ft, to_ft }) => (
      <Cells
        key={`${from_ft} ${what}`}
        shares={[2, 2.4, 3]}
        cells={['Left to others', `${feet(from_ft)} to ${feet(to_ft)} ft`, what]}
      />
    ))}
    {scope.cleanouts.map((cleanout) => (
      <Cells
        key={`${cleanout.station_ft} ${cleanout.status}`}
        shares={[2, 2.4, 3]}
        cells={[`Cleanout ${cleanout.status}`, `at ${feet(cleanout.station_ft)} ft`, cleanout.why]}
      />
    ))}
  </>
);

const linerShares = [3.2, 1, 1, 1, 1, 1.1, 1];

/** Cutting and wetting out each liner. */
function Liners({ scope }: { scope: LineScope }) {
  const liners = scope.actions.filter(({ liner }) => liner);
  if (liners.length === 0) return null;
  return (
    <>
      <Text style={styles.h2}>Liners</Text>
      <Cells
        bold
        shares={linerShares}
        right={[1, 2, 3, 4, 5, 6]}
        cells={['Where', 'Old pipe', 'Cut, ft', 'Bladder', 'Lay-flat, in', 'Thick, in', 'Resin, gal']}
      />
      {liners.map(({ id, from_ft, to_ft, liner, working }) =>
        liner ? (
          <View key={id}>
            <Cells
              shares={linerShares}
              right={[1, 2, 3, 4, 5, 6]}
              cells={[
                `${id}, ${feet(from_ft)} to ${feet(to_ft)} ft`,
                `${liner.host.value.toFixed(2)} ±${(liner.host.plusMinus ?? 0).toFixed(2)}`,
                liner.cut.value.toFixed(1),
                liner.bladder.value.toFixed(1),
                liner.layFlat.value.toFixed(2),
                liner.thickness.value.toFixed(3),
                liner.resin.value.toFixed(2),
              ]}
            />
            {working && (
              <Text style={working.short ? styles.bold : styles.soft}>
                Resin at {working.temperature_F} °F{working.temperatureAssumed ? ', taken' : ''}: workable{' '}
                {working.potLife.value.toFixed(0)} min, wetting out and putting in take{' '}
                {working.needed.value.toFixed(0)} min.
                {working.short ? ` ${working.short}.` : ''}
              </Text>
            )}
          </View>
        ) : null,
      )}
      <View style={styles.caution}>
        <Text>
          Resin and its fumes, hot water or steam: gloves, eyes, air. Dry-run the liner to its marks before
          wetting it out.
        </Text>
      </View>
    </>
  );
}

/** The cleaning visit, as one row. */
function Cleaning({ scope }: { scope: LineScope }) {
  const cleaned = scope.segments.filter(({ method }) => method === 'clean');
  const [first, last] = [cleaned[0], cleaned.at(-1)];
  if (!first || !last) return null;
  return (
    <>
      <Cells
        shares={[2, 2.4, 3]}
        cells={[
          methodName('clean'),
          `${feet(first.from_ft)} to ${feet(last.to_ft)} ft`,
          'then inspect it again',
        ]}
      />
      <View style={styles.caution}>
        <Text>{cleaningCaution}</Text>
      </View>
    </>
  );
}

/** What the crew must know before starting: utilities, water, consent, order, facts not measured. */
const toKnow = new Set([
  'asbestos-cement-dust',
  'bend-not-measured',
  'cleanout-before-liner',
  'cleanout-in-liner',
  'danger',
  'dug-unseen',
  'fall-unknown',
  'hand-dig',
  'measure-first',
  'neighbor-consent',
  'no-way-in-for-cleaning',
  'shallow-cover',
  'soft-pipe',
  'stop-the-water',
]);

function ToKnow({ scope, line }: { scope: ScopeSoFar; line: LineScope }) {
  const all = scope.warnings.filter((warning) => warning.line === line.id && toKnow.has(warning.rule));
  if (all.length === 0) return null;
  return (
    <View style={styles.caution}>
      <Text style={styles.bold}>Before you start</Text>
      {all.map(({ rule, at_ft, message }) => (
        <Text key={`${rule} ${at_ft ?? ''} ${message}`}>{inFont(`${capital(message)}.`)}</Text>
      ))}
    </View>
  );
}

function Buying({ scope }: { scope: ScopeSoFar }) {
  const { sticks } = scope.buy;
  const list = shoppingList(scope);
  return (
    <>
      {sticks.length > 0 && (
        <>
          <Text style={styles.h2}>Cut list</Text>
          {sticks.map((stick, i) => (
            <Cells
              key={i}
              shares={[2.2, 5, 1.3]}
              right={[2]}
              cells={[
                `${stick.length_ft} ft of ${stick.diameter_in} in ${materialWords(stick.material)}`,
                `cut ${sayCuts(stick)}`,
                `${stick.leftover_ft.toFixed(1)} ft left`,
              ]}
            />
          ))}
        </>
      )}
      {list.length > 0 && (
        <>
          <Text style={styles.h2}>To bring</Text>
          {list.map(({ what, count, unit, measure }) => (
            <Cells
              key={what}
              shares={[1.1, 5, 3]}
              cells={[
                unit === 'gal' ? `${count.toFixed(2)} gal` : `${count} ×`,
                what,
                measure ? `measure first: ${measure}` : '',
              ]}
            />
          ))}
        </>
      )}
    </>
  );
}

function HolePage({ line, scope, pit, why }: { line: LineView; scope: LineScope; pit: Pit; why: string }) {
  const { figures, sheet } = pit;
  // Two facts per row: an excavation has the page to itself.
  const fact = (label: string, value: string) => (
    <View key={label} style={{ width: '50%', paddingRight: 10 }}>
      <Cells cells={[label, value]} shares={[2, 3]} />
    </View>
  );
  return (
    <View break>
      <Text style={styles.h1}>Excavation {holeLetter(pit.id)}</Text>
      <Text style={{ ...styles.soft, marginBottom: 6 }}>
        {feet(pit.from_ft)} to {feet(pit.to_ft)} ft; {why}
      </Text>
      <Drawn drawing={HoleSection({ line, scope, pit })} width={paperWidth} height={sectionHeight} />
      <View style={{ marginTop: 8, flexDirection: 'row' }}>
        <Drawn drawing={HolePlan({ pit, type_px: paperType_px })} width={planWidth} height={drawingHeight} />
        <View style={{ flexGrow: 1, flexBasis: 0, paddingLeft: 12 }}>
          <Text style={{ ...styles.h2, marginTop: 0 }}>Take care</Text>
          {cautionsOf(pit).map((each) => (
            <View key={each} style={styles.caution}>
              <Text>{inFont(each)}</Text>
            </View>
          ))}
        </View>
      </View>
      <View style={{ marginTop: 8, flexDirection: 'row', flexWrap: 'wrap' }}>
        {fact('Bottom', `${feet(figures.bottom_ft[0])} × ${feet(figures.bottom_ft[1])} ft`)}
        {fact('Depth, with 4 in of bedding', `${feet(figures.depth.value)} ft`)}
        {fact('Protection', figures.protection)}
        {fact('Opening at the top', `${feet(sheet.opening_ft[0])} × ${feet(sheet.opening_ft[1])} ft`)}
        {fact(
          'Excavated volume',
          `${figures.bank.value.toFixed(1)} yd³; spoil ${figures.loose.value.toFixed(1)} yd³ loose`,
        )}
        {fact(
          'Surface to restore',
          sheet.restore.map(({ surface, area }) => `${surface} ${area.value.toFixed(0)} ft²`).join(', ') ||
            'none',
        )}
        {sheet.corners.map(({ name, tapes }) =>
          fact(
            `Corner ${name}`,
            tapes.map(({ mark, distance }) => `${distance.value.toFixed(1)} ft from ${mark}`).join('; '),
          ),
        )}
      </View>
    </View>
  );
}
