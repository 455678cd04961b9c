import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { jobHead } from '../../core/job/edit.js';
import type { School } from '../../core/job/vocabulary.js';
import { TypedLine } from '../log/typed-line';
import { money } from '../shell/format';
import { useJobContext, type JobContext } from '../shell/job-layout';
import { Faults } from '../shell/trouble';
import { Axis } from './axis';
import { GroundLane } from './ground-lane';
import { Hairline } from './hairline';
import { JudgedLane } from './judged-lane';
import { Patterns } from './patterns';
import { ReasonPanel } from './reason-panel';
import { barsOf, ScopeLane, type ScopeBar } from './scope-lane';
import { gutter_px, lanes, sheetHeight, sheetScale } from './sheet-scale';
import { useWidth } from './use-width';
import { WallLane } from './wall-lane';
import { WaysLane } from './ways-lane';

/** A phone scrolls sideways at a scale that can be read, px. */
const leastWidth_px = 820;

/** The workbench: a long section with every lane on one station axis, and beside it the reason for each choice. */
export function SheetView() {
  const context = useJobContext();
  const { lineView, lineScope, view } = context;
  if (!view || !lineView || !lineScope) {
    return (
      <Text p="6" color="soft" role="status">
        Working it out…
      </Text>
    );
  }
  return <Sheet key={lineView.id} {...context} view={view} lineView={lineView} lineScope={lineScope} />;
}

type Known = JobContext & Required<{ [K in 'view' | 'lineView' | 'lineScope']: NonNullable<JobContext[K]> }>;

function Sheet({ job, line, view, lineView, lineScope, complete, change }: Known) {
  const [ref, boxWidth] = useWidth<HTMLDivElement>(944);
  const width = Math.max(leastWidth_px, boxWidth);
  const scale = useMemo(() => sheetScale(lineView, width), [lineView, width]);
  const bars = useMemo(() => barsOf(lineScope), [lineScope]);
  const [chosen, setChosen] = useState<string>();
  const [finding, setFinding] = useState<string>();
  const [at, setAt] = useState<number>();
  const selected = bars.find(({ key }) => key === chosen) ?? weightiest(bars);
  const empty = lineView.to_ft - lineView.from_ft < 0.05;

  const follow = (event: React.PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const station = scale.x.invert(event.clientX - box.left);
    setAt(station >= lineView.from_ft - 0.01 && station <= lineView.to_ft + 0.01 ? station : undefined);
  };
  const step = (event: React.KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const from = at ?? (by > 0 ? lineView.from_ft - 0.5 : lineView.to_ft + 0.5);
    setAt(Math.min(lineView.to_ft, Math.max(lineView.from_ft, from + by * (event.shiftKey ? 5 : 0.5))));
  };
  const take = (school: School) => {
    const head = jobHead(job);
    void change
      .edit([{ kind: 'job', set: { ...head, rules: { ...head.rules, school } } }])
      .catch(() => undefined);
  };
  const showFinding = (id: string) => {
    setFinding(id);
    const own = lineView.findings.find((each) => each.id === id);
    const bar =
      own && bars.find((each) => each.from_ft <= own.from_ft + 1e-6 && own.from_ft <= each.to_ft + 1e-6);
    if (bar) setChosen(bar.key);
  };
  return (
    <Flex height="100%" direction={{ base: 'column', lg: 'row' }} overflow={{ base: 'auto', lg: 'hidden' }}>
      <Flex direction="column" flex={{ lg: 1 }} minWidth={0} minHeight={{ lg: 0 }}>
        {change.error && <Faults error={change.error} onClose={change.reset} />}
        <Box ref={ref} flex={{ lg: 1 }} overflow="auto" minHeight={{ lg: 0 }} data-testid="sheet">
          {empty ? (
            <Text p="6" color="soft">
              Nothing is known of this line yet. Type the first reading below, or open the camera log.
            </Text>
          ) : (
            <chakra.svg
              width={width}
              height={sheetHeight}
              viewBox={`0 0 ${width} ${sheetHeight}`}
              display="block"
              tabIndex={0}
              role="group"
              aria-label="Sheet. Left and right arrows move the hairline."
              onPointerMove={follow}
              onPointerDown={follow}
              onPointerLeave={() => {
                setAt(undefined);
              }}
              onKeyDown={step}
            >
              <Patterns />
              <LaneNames
                lineView={lineView}
                datum={line.points.find(({ id }) => id === line.datum)?.name ?? line.datum}
              />
              <Axis scale={scale} />
              <GroundLane
                line={lineView}
                scope={lineScope}
                scale={scale}
                selected={selected?.action?.id}
                onSelect={setChosen}
              />
              <WallLane line={lineView} scale={scale} selected={finding} onSelect={showFinding} />
              <JudgedLane line={lineView} scale={scale} />
              {lineScope.feasible ? (
                <ScopeLane
                  bars={bars}
                  scale={scale}
                  selected={selected?.key}
                  onSelect={(key) => {
                    setChosen(key);
                    setFinding(undefined);
                  }}
                />
              ) : (
                <text
                  x={gutter_px}
                  y={lanes.scope.top + 30}
                  fontSize={15}
                  fontWeight={700}
                  style={{ fill: 'var(--chakra-colors-signal-ink)' }}
                >
                  No way satisfies the rules and pins here: see the panel.
                </text>
              )}
              <WaysLane scope={view.scope} lineId={lineView.id} scale={scale} onTake={take} />
              {at !== undefined && <Hairline line={lineView} scale={scale} station_ft={at} />}
            </chakra.svg>
          )}
        </Box>
        <Foot job={job} line={line} lineView={lineView} lineScope={lineScope} view={view} change={change} />
      </Flex>
      <Box
        as="aside"
        aria-label="Reason"
        width={{ base: '100%', lg: '336px' }}
        flexShrink={0}
        bg="sheet"
        borderLeft={{ lg: '1px solid' }}
        borderTop={{ base: '1px solid', lg: 'none' }}
        borderColor="ink"
        overflowY={{ lg: 'auto' }}
        px="4.5"
        py="3"
      >
        <ReasonPanel
          bar={selected}
          finding={finding}
          lineView={lineView}
          lineScope={lineScope}
          scope={view.scope}
          complete={complete}
          line={line}
        />
      </Box>
    </Flex>
  );
}

/** What to show first: the dearest action, else the longest stretch. */
function weightiest(bars: readonly ScopeBar[]): ScopeBar | undefined {
  return [...bars].sort(
    (a, b) => (b.action?.cost ?? 0) - (a.action?.cost ?? 0) || b.to_ft - b.from_ft - (a.to_ft - a.from_ft),
  )[0];
}

const LaneName = ({ top, name, says }: { top: number; name: string; says?: readonly string[] }) => (
  <g>
    <text x={14} y={top} fontSize={15} fontWeight={700} style={{ fontFamily: 'var(--chakra-fonts-heading)' }}>
      {name}
    </text>
    {(says ?? []).map((line, i) => (
      <text
        key={line}
        x={14}
        y={top + 17 + i * 15}
        fontSize={12}
        style={{ fill: 'var(--chakra-colors-soft)' }}
      >
        {line}
      </text>
    ))}
  </g>
);

function LaneNames({ lineView, datum }: { lineView: Known['lineView']; datum: string }) {
  return (
    <>
      <LaneName top={lanes.axis.top + 20} name="Feet" says={[`from ${datum}`.slice(0, 16)]} />
      <LaneName
        top={lanes.ground.top + 36}
        name="Ground"
        says={[lineView.depthKnown ? 'ft deep' : 'depth assumed']}
      />
      <LaneName top={lanes.wall.top + 14} name="Wall" says={['unrolled,', 'water in the', 'middle']} />
      <LaneName top={lanes.judged.top + 30} name="Judged" />
      <LaneName top={lanes.scope.top + 22} name="Scope" />
      <LaneName top={lanes.ways.top + 20} name="Ways" says={['to do it']} />
    </>
  );
}

function Foot({
  job,
  line,
  lineView,
  lineScope,
  view,
  change,
}: Pick<Known, 'job' | 'line' | 'lineView' | 'lineScope' | 'view' | 'change'>) {
  const run = line.runs.at(-1);
  const { prices } = view.scope;
  const liners = lineScope.actions.filter(({ liner }) => liner);
  const laid = lineScope.actions.reduce((sum, { pipe }) => sum + (pipe?.laid.value ?? 0), 0);
  const lined = liners.reduce((sum, { liner }) => sum + (liner?.host.value ?? 0), 0);
  const cleaned = lineScope.segments
    .filter(({ method }) => method === 'clean')
    .reduce((sum, each) => sum + each.to_ft - each.from_ft, 0);
  const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
  const range = view.scope.ifUnseenIs;
  return (
    <Flex
      borderTop="1px solid"
      borderColor="ink"
      align="center"
      gap="4"
      px="3.5"
      py="1.5"
      wrap={{ base: 'wrap', md: 'nowrap' }}
      flexShrink={0}
      data-testid="totals"
    >
      <Box flex="1" minWidth={{ base: '100%', md: '260px' }} maxWidth="520px" position="relative">
        {run && (
          <TypedLine
            line={line}
            lineView={lineView}
            runId={run.id}
            pass="back"
            waterClock={undefined}
            change={change}
            compact
          />
        )}
      </Box>
      <Box fontSize="13.5px" flex={{ md: 1 }}>
        <Text>{[count(lineScope.pits.length, 'hole'), count(liners.length, 'liner')].join(' · ')}</Text>
        <Text>
          {[
            laid > 0 ? `${laid.toFixed(1)} ft of new pipe` : '',
            lined > 0 ? `${lined.toFixed(1)} ft lined` : '',
            cleaned > 0 ? `${cleaned.toFixed(1)} ft cleaned` : '',
          ]
            .filter(Boolean)
            .join(' · ') || 'nothing to do'}
        </Text>
      </Box>
      <Box textAlign="right" ml="auto">
        <Text
          fontFamily="heading"
          fontWeight={700}
          fontSize="25px"
          lineHeight="1.1"
          data-testid="total"
          whiteSpace="nowrap"
        >
          {view.scope.feasible ? money(prices.total, prices.currency) : 'no way'}
        </Text>
        {view.scope.firstStep && view.scope.feasible && (
          <Text fontSize="13px" color="soft" whiteSpace="nowrap" data-testid="range">
            {Math.abs(range.failed - range.sound) < 0.005
              ? 'look again first'
              : `${money(range.sound, prices.currency)} to ${money(range.failed, prices.currency)} until seen`}
          </Text>
        )}
      </Box>
      <chakra.span srOnly>{job.title}</chakra.span>
    </Flex>
  );
}
