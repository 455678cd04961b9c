import { datumName } from '../../core/job/point-words.js';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useRef, useState, type RefObject } from 'react';
import type { School } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';
import type { ScopeBar } from '../drawing/scope-bars';
import { leastWidth_px, sheetScale, type SheetScale } from '../drawing/sheet-scale';
import { useWidth } from '../drawing/use-width';
import { methodKeys } from '../keys/method-keys';
import { sheetKeys } from '../keys/table';
import { useKeys } from '../keys/use-keys';
import { differsFrom } from '../reason/differs';
import { useJobContext, type JobContext } from '../shell/job-layout';
import { fileName } from '../files/save';
import { useSteady } from '../controls/use-steady';
import { SidePanel, Split } from '../shell/side-panel';
import { Faults } from '../shell/faults';
import { isNarrow, useNarrow } from '../controls/use-narrow';
import { WorkingOut } from '../shell/working-out';
import { Drawing } from './drawing';
import { EarlySheet } from './early-sheet';
import { Foot } from './foot';
import { asError } from '../api/client';
import { SheetTools, type SheetActions } from './sheet-tools';
import { useScopeEditing, type ScopeEditing } from './use-scope-editing.js';
import { useWindow, zoomStep, type SheetWindow } from './use-window';
import { lazyPart, oncePainted } from '../shell/lazy-part.js';
import { Note } from '../controls/text';

// Loaded on first use, or once the sheet is drawn.
const ReasonsPart = lazyPart(
  'reasons',
  oncePainted(async () => (await import('./reasons-part')).ReasonsPart),
);
const GradeStrip = lazyPart('grade strip', async () => (await import('../lanes/grade-strip')).GradeStrip);
const Legend = lazyPart('legend', async () => (await import('./legend')).Legend);
const SheetKeys = lazyPart('sheet keys', async () => (await import('./sheet-keys')).SheetKeys);
const Minimap = lazyPart(
  'minimap',
  async () => (await import('../lanes/minimap')).Minimap,
  () => null,
);
const loadOptions = async () => (await import('./options-list')).OptionsList;
const OptionsList = lazyPart('options', loadOptions);
const BarMenu = lazyPart('bar menu', async () => (await import('../reason/bar-menu')).BarMenu);

/** Width of the reasons beside the sheet, px, where a window is wide enough for both. */
const panel_px = 336;
const beside = matchMedia('(width >= 64rem)');
/** Width of the sheet before it is measured, px: to draw it again at another one costs as much as the first time. */
const likelyWidth = () => (beside.matches ? innerWidth - panel_px : innerWidth);

// On a phone they belong to the first picture.
if (isNarrow()) loadOptions().catch(() => undefined);

/** A line shorter than this has nothing on it yet, ft. */
const leastLine_ft = 0.05;

/** The workbench: a long section with every lane on one station axis, and beside it the reason for each choice. */
export function SheetView() {
  const context = useJobContext();
  const { line, lineView, lineScope, view } = context;
  if (!lineView) return <WorkingOut />;
  if (!view || !lineScope) return <EarlySheet line={lineView} datum={datumName(line)} />;
  return <Sheet key={lineView.id} {...context} view={view} lineView={lineView} lineScope={lineScope} />;
}

type Known = JobContext & Required<{ [K in 'view' | 'lineView' | 'lineScope']: NonNullable<JobContext[K]> }>;

/** What is open or pointed at on the sheet. */
export interface SheetFocus {
  readonly known: Known;
  readonly hand: ScopeEditing;
  readonly window: SheetWindow;
  readonly scale: SheetScale;
  readonly drawing: RefObject<SVGSVGElement | null>;
  readonly at: number | undefined;
  readonly setAt: (at: number | undefined) => void;
  readonly finding: string | undefined;
  readonly setFinding: (id: string | undefined) => void;
  readonly gradeOpen: boolean;
  readonly open: 'legend' | 'keys' | undefined;
  readonly setMenuOn: (bar: Element) => void;
}

/** The scale of the line over the available width, or of the zoomed window. */
function useScale({ from_ft, to_ft }: Interval, boxWidth: number, shown: Interval | undefined): SheetScale {
  const width = Math.max(leastWidth_px, boxWidth);
  return useMemo(() => sheetScale({ from_ft, to_ft }, width, shown), [from_ft, to_ft, width, shown]);
}

function Sheet(known: Known) {
  const narrow = useNarrow();
  const { lineView, change } = known;
  const [ref, boxWidth] = useWidth<HTMLDivElement>(likelyWidth);
  const window = useWindow(lineView);
  const scale = useScale(lineView, boxWidth, window.shown);
  const drawing = useRef<SVGSVGElement>(null);
  const hand = useScopeEditing(known);
  const [finding, setFinding] = useState<string>();
  const [at, setAt] = useState<number>();
  const [open, setOpen] = useState<SheetFocus['open']>();
  const [menuOn, setMenuOn] = useState<Element>();
  const [gradeOpen, setGradeOpen] = useState(false);
  const close = () => {
    setOpen(undefined);
  };
  const toggle = (what: 'legend' | 'keys') => {
    setOpen(open === what ? undefined : what);
  };
  const pointed = { at, setAt, finding, setFinding, gradeOpen, open, setMenuOn };
  const desk: SheetFocus = { known, hand, window, scale, drawing, ...pointed };
  const actions = useSheetActions(desk, toggle, () => {
    setGradeOpen(!gradeOpen);
  });
  useDeskKeys(desk, actions, close);
  return (
    <Split className="printed-sheet">
      <Flex direction="column" flex={{ lg: 1 }} minWidth={0} minHeight={{ lg: 0 }} position="relative">
        {change.error && <Faults error={change.error} onClose={change.reset} />}
        <Tools desk={desk} actions={actions} />
        <Box ref={ref} flex={{ lg: 1 }} overflow="auto" minHeight={{ lg: 0 }} data-testid="sheet">
          <Section desk={desk} />
        </Box>
        {narrow && <OptionsList scope={hand.scope} onTake={hand.take} />}
        {open === 'legend' && <Legend methods={hand.scope.methods} onClose={close} />}
        <Foot
          job={known.job}
          line={known.line}
          lineView={lineView}
          lineScope={hand.lineScope}
          scope={hand.scope}
          caughtUp={known.caughtUp || hand.tried}
          change={change}
          cannot={hand.refusal}
        />
      </Flex>
      <Reasons desk={desk} />
      <Choices hand={hand} at={at} menuOn={menuOn} setMenuOn={setMenuOn} />
      {open === 'keys' && <SheetKeys methods={hand.scope.methods} onClose={close} />}
    </Split>
  );
}

/** Actions shared by the tools and the keys. */
function useSheetActions(
  { known, hand, window, drawing, at }: SheetFocus,
  toggle: (what: 'legend' | 'keys') => void,
  grade: () => void,
): SheetActions {
  const { job, line, lineView } = known;
  const { selected } = hand;
  const about = at ?? (selected ? (selected.from_ft + selected.to_ft) / 2 : undefined);
  return useSteady<SheetActions>({
    zoom: (times) => {
      window.zoom(times, about);
    },
    fit: window.fit,
    legend: () => {
      toggle('legend');
    },
    keys: () => {
      toggle('keys');
    },
    grade,
    save: (as) => {
      const name = fileName(`${job.title} ${line.name ?? line.id}`);
      import('../drawing/save-drawing')
        .then(async ({ saveDxf, saveSvg }) => {
          if (as === 'dxf') await saveDxf(lineView, hand.lineScope, name);
          else if (drawing.current) saveSvg(drawing.current, name);
        })
        .catch((error: unknown) => {
          known.tell(`The drawing could not be written: ${asError(error).message}`);
        });
    },
  });
}

function useDeskKeys(desk: SheetFocus, actions: SheetActions, close: () => void): void {
  const { hand, window, scale, drawing, at, setFinding, setMenuOn } = desk;
  const go = (by: number) => () => {
    hand.go(by);
    setFinding(undefined);
  };
  const zoom = (times: number) => () => {
    actions.zoom(times);
  };
  const pan = (share: number) => () => {
    window.pan(share * (scale.seen.to_ft - scale.seen.from_ft));
  };
  const { methods } = hand.scope;
  const rows = useMemo(() => sheetKeys(methods), [methods]);
  useKeys(
    rows,
    {
      ...Object.fromEntries(
        methodKeys(methods).map(({ method }) => [
          `do ${method}`,
          () => {
            hand.doHere(method);
          },
        ]),
      ),
      join: hand.join,
      split: () => {
        hand.split(at);
      },
      lift: hand.liftHere,
      menu: () => {
        const bar = hand.selected && drawing.current?.querySelector(`[data-bar="${hand.selected.key}"]`);
        if (bar) setMenuOn(bar);
      },
      next: go(1),
      before: go(-1),
      zoomIn: zoom(1 / zoomStep),
      zoomOut: zoom(zoomStep),
      fit: actions.fit,
      upstream: pan(-0.25),
      downstream: pan(0.25),
      grade: actions.grade,
      line: () => {
        document.querySelector<HTMLInputElement>('[data-testid="totals"] input')?.focus();
      },
      keys: actions.keys,
      stop: () => {
        close();
        hand.forget();
      },
    },
    'fieldsAndMenus',
  );
}

const Tools = ({ desk, actions }: { desk: SheetFocus; actions: SheetActions }) => (
  <SheetTools
    zoomed={desk.window.shown !== undefined}
    gradeOpen={desk.gradeOpen}
    legendOpen={desk.open === 'legend'}
    cannot={desk.hand.refusal}
    actions={actions}
  >
    {desk.window.shown && (
      <Minimap
        line={desk.known.lineView}
        bars={desk.hand.bars}
        window={desk.window}
        shown={desk.window.shown}
      />
    )}
  </SheetTools>
);

/** The drawing, or what to do where nothing is known yet. */
function Section({ desk }: { desk: SheetFocus }) {
  const { known, hand, window, scale, drawing, at, setAt, finding, setFinding, gradeOpen, setMenuOn } = desk;
  const { line, lineView, view, setLineId } = known;
  const [lookedAt, setLookedAt] = useState<School>();
  const narrow = useNarrow();
  const choose = (bar: ScopeBar) => {
    hand.choose(bar);
    setFinding(undefined);
  };
  const on = useSteady({
    station: setAt,
    bar: choose,
    choices: setMenuOn,
    finding: (id: string) => {
      setFinding(id);
      const own = lineView.findings.find((each) => each.id === id);
      if (own) hand.chooseAt(own.from_ft);
    },
    hole: (actionId: string) => {
      const bar = hand.bars.find(({ action }) => action?.id === actionId);
      if (bar) choose(bar);
    },
    end: hand.moveEnd,
    take: hand.take,
    lookAt: setLookedAt,
    line: setLineId,
  });
  if (lineView.to_ft - lineView.from_ft < leastLine_ft) {
    return (
      <Note p="6">
        Nothing is known of this line yet. Type the first reading below, or open the camera log.
      </Note>
    );
  }
  const other = view.scope.ways.find(({ school }) => school === lookedAt)?.bars[line.id];
  return (
    <>
      <Drawing
        {...{ scale, window, finding, at, on }}
        ref={drawing}
        line={lineView}
        lineScope={hand.lineScope}
        scope={hand.scope}
        ways={!narrow}
        datum={datumName(line)}
        bars={hand.bars}
        selected={hand.selected}
        moving={hand.drag}
        differs={differsFrom(hand.bars, other)}
      />
      {gradeOpen && <GradeStrip line={lineView} scope={hand.lineScope} scale={scale} />}
    </>
  );
}

const Reasons = ({ desk }: { desk: SheetFocus }) => (
  <SidePanel aria-label="Reason" width={{ base: '100%', lg: `${panel_px}px` }} className="not-printed">
    <ReasonsPart desk={desk} />
  </SidePanel>
);

interface ChoicesProps {
  readonly at: number | undefined;
  readonly hand: ScopeEditing;
  readonly menuOn: Element | undefined;
  readonly setMenuOn: (bar: Element | undefined) => void;
}

/** The list of choices for the selected bar. */
function Choices({ hand, at, menuOn, setMenuOn }: ChoicesProps) {
  if (!menuOn || !hand.selected) return null;
  return (
    <BarMenu
      bar={hand.selected}
      methods={hand.scope.methods}
      at={menuOn}
      pinned={hand.pinsHere.length > 0}
      onMethod={hand.doHere}
      onJoin={hand.join}
      onSplit={() => {
        hand.split(at);
      }}
      onLift={hand.liftHere}
      onClose={() => {
        setMenuOn(undefined);
        if (menuOn instanceof SVGElement) menuOn.focus();
      }}
    />
  );
}
