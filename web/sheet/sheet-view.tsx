import { Box, Flex, Text } from '@chakra-ui/react';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { jobHead, lineHead } from '../../core/edits/index.js';
import { rulesInForce } from '../../core/job/rules-schema.js';
import type { Pin } from '../../core/job/schema.js';
import type { Method, School } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';
import { workOf } from '../../core/methods/index.js';
import {
  withEndMoved,
  withJoined,
  withMethod,
  without,
  withSplit,
  pinsOn,
  type PlacedPin,
} from '../../core/views/pin-edits.js';
import { ownRules } from '../rules/own-rules';
import { useJobContext, type JobContext } from '../shell/job-layout';
import { SidePanel } from '../shell/side-panel';
import { fileName } from '../shell/save';
import { Faults } from '../shell/trouble';
import { WorkingOut } from '../shell/working-out';
import { differsFrom } from '../reason/differs';
import { Drawing } from './drawing';
import { Foot } from './foot';
import { Legend } from './legend';
import { Minimap } from '../lanes/minimap';
import { PinPart } from '../reason/pin-part';
import { ReasonPanel } from '../reason/reason-panel';
import { saveDxf, saveSvg } from './save-drawing';
import { barsOf, weightiest, type ScopeBar } from '../drawing/scope-bars';
import { SheetKeys } from './sheet-keys';
import { sheetScale } from '../drawing/sheet-scale';
import { SheetTools } from './sheet-tools';
import { nextEnd, snapped } from './snap';
import { useSheetKeys } from './use-sheet-keys';
import { useTrial } from './use-trial';
import { useWidth } from '../drawing/use-width';
import { useWindow } from './use-window';

// Fetched when they are first asked for.
const GradeStrip = lazy(() => import('../lanes/grade-strip'));
const BarMenu = lazy(() => import('../reason/bar-menu'));

/** A phone scrolls sideways at a scale that can be read, px. */
const leastWidth_px = 820;

/** The workbench: a long section with every lane on one station axis, and beside it the reason for each choice. */
export function SheetView() {
  const context = useJobContext();
  const { lineView, lineScope, view } = context;
  if (!view || !lineView || !lineScope) {
    return <WorkingOut />;
  }
  return <Sheet key={lineView.id} {...context} view={view} lineView={lineView} lineScope={lineScope} />;
}

type Known = JobContext & Required<{ [K in 'view' | 'lineView' | 'lineScope']: NonNullable<JobContext[K]> }>;

/** An end of a bar that is under a finger now. */
interface Drag {
  readonly bar: ScopeBar;
  readonly end: 'from' | 'to';
  readonly to_ft: number;
}

function Sheet({
  job,
  inForce,
  firm,
  line,
  view,
  lineView,
  lineScope,
  complete,
  caughtUp,
  change,
  setLineId,
}: Known) {
  const [ref, boxWidth] = useWidth<HTMLDivElement>(944);
  const width = Math.max(leastWidth_px, boxWidth);
  const window = useWindow(lineView);
  const scale = useMemo(() => sheetScale(lineView, width, window.shown), [lineView, width, window.shown]);
  const drawing = useRef<SVGSVGElement>(null);
  const [chosenAt, setChosenAt] = useState<number>();
  const [finding, setFinding] = useState<string>();
  const [at, setAt] = useState<number>();
  const [drag, setDrag] = useState<Drag>();
  const [cannot, setCannot] = useState<string>();
  const [lookedAt, setLookedAt] = useState<School>();
  const [open, setOpen] = useState<'legend' | 'keys'>();
  /** The bar whose list of choices is open. */
  const [menuOn, setMenuOn] = useState<Element>();
  const [gradeOpen, setGradeOpen] = useState(false);
  const trial = useTrial(inForce, line.id, caughtUp);
  const spotMost_ft = rulesInForce(inForce.rules).spotMost_ft;

  // What is tried takes the place of what stands, as long as it can be done.
  const triedLine = trial.tried?.lines.find(({ id }) => id === line.id);
  const can = triedLine?.feasible ?? true;
  const shown = triedLine?.feasible ? triedLine : lineScope;
  const scope = triedLine?.feasible && trial.tried ? { ...view.scope, ...trial.tried } : view.scope;
  const bars = useMemo(() => barsOf(shown), [shown]);
  const selected =
    drag?.bar ??
    (chosenAt === undefined
      ? weightiest(bars)
      : bars.find(({ from_ft, to_ft }) => from_ft <= chosenAt && chosenAt <= to_ft));
  const empty = lineView.to_ft - lineView.from_ft < 0.05;
  const refusal = drag && !can ? cannotBe(trial.tried?.cannot) : cannot;

  const choose = (bar: ScopeBar) => {
    setChosenAt((bar.from_ft + bar.to_ft) / 2);
    setFinding(undefined);
    setCannot(undefined);
  };
  const commit = async (pins: readonly Pin[], around: Interval) => {
    setCannot(undefined);
    const found = await trial.settle(pins, around);
    setDrag(undefined);
    const own = found?.lines.find(({ id }) => id === line.id);
    if (own && !own.feasible) {
      setCannot(cannotBe(found?.cannot));
      trial.stop();
      return;
    }
    setChosenAt((around.from_ft + around.to_ft) / 2);
    await change.say([{ kind: 'pins', line: line.id, set: pins.length > 0 ? [...pins] : null }]);
  };
  const moveEnd = (end: 'from' | 'to', raw_ft: number, last: boolean) => {
    const bar = drag?.bar ?? selected;
    if (!bar?.action) return;
    const bounds = { end, other_ft: bar[end === 'from' ? 'to_ft' : 'from_ft'] };
    const now = drag?.to_ft ?? bar[`${end}_ft`];
    let to_ft = snapped(raw_ft, lineScope.mayEnd_ft, lineView, bounds);
    // A small step by key goes at least to the next place where an action may end.
    if (last && !drag && to_ft !== undefined && Math.abs(to_ft - now) < 0.01) {
      to_ft = nextEnd(now, raw_ft, lineScope.mayEnd_ft) ?? to_ft;
    }
    if (to_ft === undefined) return;
    const pins = withEndMoved(lineView.pins, bar, end, to_ft, spotMost_ft);
    const around = { from_ft: bar.from_ft, to_ft: bar.to_ft, [`${end}_ft`]: to_ft };
    if (last) {
      if (Math.abs(to_ft - bar[`${end}_ft`]) < 0.01) {
        setDrag(undefined);
        trial.stop();
      } else void commit(pins, around);
      return;
    }
    if (drag?.end === end && Math.abs(drag.to_ft - to_ft) < 1e-9) return;
    setCannot(undefined);
    setDrag({ bar, end, to_ft });
    trial.ask(pins, around);
  };
  const doHere = (method: Method) => {
    if (selected) void commit(withMethod(lineView.pins, selected, method, spotMost_ft), selected);
  };
  const lift = (pins: readonly PlacedPin[]) => {
    const [first] = pins;
    if (first) void commit(without(lineView.pins, pins), selected ?? first);
  };
  const pinsHere = selected ? pinsOn(lineView.pins, selected) : [];
  const liftHere = () => {
    lift(pinsHere);
  };
  const join = () => {
    if (!selected?.action) return;
    const acts = bars.filter(({ action }) => action);
    const here = acts.findIndex(({ key }) => key === selected.key);
    const other = acts[here + 1] ?? acts[here - 1];
    if (!other) {
      setCannot('There is nothing else on this line to join it with.');
      return;
    }
    const whole = {
      from_ft: Math.min(selected.from_ft, other.from_ft),
      to_ft: Math.max(selected.to_ft, other.to_ft),
    };
    void commit(withJoined(lineView.pins, selected, other, spotMost_ft), whole);
  };
  const split = () => {
    if (!selected?.action) return;
    if (workOf(selected.method).kind === 'dig') {
      setCannot('Two digs that touch are one: choose what is done between them instead.');
      return;
    }
    const inside = lineScope.mayEnd_ft.filter((x) => x > selected.from_ft + 0.5 && x < selected.to_ft - 0.5);
    const wanted =
      at !== undefined && at > selected.from_ft && at < selected.to_ft
        ? at
        : (selected.from_ft + selected.to_ft) / 2;
    const [nearest] = [...inside].sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted));
    if (nearest === undefined) setCannot('It is too short to split.');
    else void commit(withSplit(lineView.pins, nearest), { from_ft: selected.from_ft, to_ft: nearest });
  };
  const take = (school: School) => {
    const head = jobHead(job);
    void change.say([{ kind: 'job', set: { ...head, rules: { ...head.rules, school } } }]);
  };
  const showFinding = (id: string) => {
    setFinding(id);
    const own = lineView.findings.find((each) => each.id === id);
    if (own) setChosenAt(own.from_ft);
  };
  const closeMenu = () => {
    setMenuOn(undefined);
    if (menuOn instanceof SVGElement) menuOn.focus();
  };
  const go = (by: number) => {
    const here = bars.findIndex(({ key }) => key === selected?.key);
    const next = bars[Math.min(bars.length - 1, Math.max(0, here + by))];
    if (next) choose(next);
  };
  const about = at ?? (selected ? (selected.from_ft + selected.to_ft) / 2 : undefined);
  const actions = {
    zoom: (times: number) => {
      window.zoom(times, about);
    },
    fit: window.fit,
    legend: () => {
      setOpen(open === 'legend' ? undefined : 'legend');
    },
    grade: () => {
      setGradeOpen(!gradeOpen);
    },
    keys: () => {
      setOpen(open === 'keys' ? undefined : 'keys');
    },
    save: (as: 'svg' | 'dxf') => {
      const name = fileName(`${job.title} ${line.name ?? line.id}`);
      if (as === 'dxf') void saveDxf(lineView, shown, name);
      else if (drawing.current) saveSvg(drawing.current, name);
    },
  };
  useSheetKeys({
    ...actions,
    doHere,
    join,
    split,
    go,
    lift: liftHere,
    menu: () => {
      const bar = selected && drawing.current?.querySelector(`[data-bar="${selected.key}"]`);
      if (bar) setMenuOn(bar);
    },
    pan: (share: number) => {
      window.pan(share * (scale.seen.to_ft - scale.seen.from_ft));
    },
    undo: () => void change.undo(),
    redo: () => void change.redo(),
    stop: () => {
      setOpen(undefined);
      setCannot(undefined);
    },
  });
  return (
    <Flex
      height="100%"
      direction={{ base: 'column', lg: 'row' }}
      overflow={{ base: 'auto', lg: 'hidden' }}
      className="printed-sheet"
    >
      <Flex direction="column" flex={{ lg: 1 }} minWidth={0} minHeight={{ lg: 0 }} position="relative">
        {change.error && <Faults error={change.error} onClose={change.reset} />}
        <SheetTools
          zoomed={window.shown !== undefined}
          gradeOpen={gradeOpen}
          legendOpen={open === 'legend'}
          cannot={refusal}
          actions={actions}
        >
          <Minimap line={lineView} bars={bars} window={window} />
        </SheetTools>
        <Box ref={ref} flex={{ lg: 1 }} overflow="auto" minHeight={{ lg: 0 }} data-testid="sheet">
          {empty ? (
            <Text p="6" color="soft">
              Nothing is known of this line yet. Type the first reading below, or open the camera log.
            </Text>
          ) : (
            <>
              <Drawing
                ref={drawing}
                line={lineView}
                lineScope={shown}
                scope={scope}
                scale={scale}
                window={window}
                datum={line.points.find(({ id }) => id === line.datum)?.name ?? line.datum}
                bars={bars}
                selected={selected}
                finding={finding}
                at={at}
                moving={drag}
                differs={differsFrom(
                  bars,
                  view.scope.ways.find(({ school }) => school === lookedAt)?.bars[line.id],
                )}
                on={{
                  station: setAt,
                  bar: choose,
                  choices: setMenuOn,
                  finding: showFinding,
                  hole: (actionId) => {
                    const bar = bars.find(({ action }) => action?.id === actionId);
                    if (bar) choose(bar);
                  },
                  end: moveEnd,
                  take,
                  lookAt: setLookedAt,
                  line: setLineId,
                }}
              />
              {gradeOpen && (
                <Suspense fallback={<Text p="4">Drawing it…</Text>}>
                  <GradeStrip line={lineView} scope={shown} scale={scale} />
                </Suspense>
              )}
            </>
          )}
        </Box>
        {open === 'legend' && (
          <Legend
            onClose={() => {
              setOpen(undefined);
            }}
          />
        )}
        <Foot job={job} line={line} lineView={lineView} lineScope={shown} scope={scope} change={change} />
      </Flex>
      <SidePanel aria-label="Reason" width={{ base: '100%', lg: '336px' }} className="not-printed">
        <ReasonPanel
          bar={bars.find(({ key }) => key === selected?.key) ?? selected}
          finding={finding}
          lineView={lineView}
          lineScope={shown}
          scope={scope}
          complete={complete}
          line={line}
          ownRules={ownRules(job, firm)}
        >
          <PinPart
            bar={selected}
            pins={lineView.pins}
            onMethod={doHere}
            onJoin={join}
            onSplit={split}
            onLift={lift}
          />
        </ReasonPanel>
      </SidePanel>
      {menuOn && selected && (
        <Suspense>
          <BarMenu
            bar={selected}
            at={menuOn}
            pinned={pinsHere.length > 0}
            onMethod={doHere}
            onJoin={join}
            onSplit={split}
            onLift={liftHere}
            onClose={closeMenu}
          />
        </Suspense>
      )}
      {open === 'keys' && (
        <SheetKeys
          onClose={() => {
            setOpen(undefined);
          }}
        />
      )}
    </Flex>
  );
}

const cannotBe = (why: string | undefined): string =>
  why === undefined ? 'That cannot be.' : `That cannot be: ${why}.`;
