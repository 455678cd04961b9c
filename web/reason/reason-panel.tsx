import { sayFitting } from '../../core/pipe/fittings.js';
import { methodName } from '../../core/methods/index.js';
import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import type { Figure } from '../../core/figure.js';
import { capital } from '../../core/capital.js';
import { holeLetter } from '../../core/excavation/hole.js';
import { overlaps } from '../../core/line/intervals.js';
import { cleaningCaution } from '../holes/cautions';
import type { Job, Line } from '../../core/job/schema.js';
import type { Method } from '../../core/job/vocabulary.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import type { OwnRule } from '../rules/own-rules';
import { OpenFigure, Working } from '../figure/open-figure';
import { Press } from '../controls/controls';
import { feet, money } from '../controls/format';
import { FlipPart } from './flip-part';
import { Part } from './part';
import { SeenPart } from './seen-part';
import type { ScopeBar } from '../drawing/scope-bars';
import type { Rejection } from '../../core/explain/refusals.js';
import { materialWords } from '../../core/catalog/materials.js';
import type { LineView } from '../../core/views/line-view.js';
import { Note, Title } from '../controls/text';

interface Props {
  readonly bar: ScopeBar | undefined;
  readonly finding: string | undefined;
  readonly lineView: LineView;
  readonly lineScope: LineScope;
  readonly scope: ScopeSoFar;
  readonly complete: boolean;
  /** With its company's rules and prices. */
  readonly job: Job;
  readonly line: Line;
  readonly ownRules: readonly OwnRule[];
  /** Other choices here. */
  readonly children: ReactNode;
}

/**
 * Why this is done here: what it cures, what was refused, what is next in price, and where it was seen. Each part gets
 * only what it shows, so that a step of the scope that does not change it does not draw it again.
 */
export function ReasonPanel({ bar, lineView, scope, children, ...about }: Props) {
  const { warnings } = scope;
  return (
    <>
      <Dangers warnings={warnings} line={lineView.id} />
      {bar ? (
        <BarReasons {...{ bar, lineView, scope }} {...about}>
          {children}
        </BarReasons>
      ) : (
        <NoBar warnings={warnings} line={lineView.id}>
          {children}
        </NoBar>
      )}
    </>
  );
}

type BarReasonsProps = Props & { readonly bar: ScopeBar };

function BarReasons({
  bar,
  finding,
  lineView,
  lineScope,
  scope,
  complete,
  job,
  line,
  ownRules,
  children,
}: BarReasonsProps) {
  const { action } = bar;
  const { currency } = scope.prices;
  const { pits, notPossible, options, cleanouts } = lineScope;
  return (
    <Box fontSize="14.5px">
      <Head bar={bar} fromHole={servedBy(pits, action).length > 0} currency={currency} />
      <UnseenHere bar={bar} firstStep={scope.firstStep} currency={currency} />
      <NotPossible bar={bar} places={notPossible} />
      <Because key={bar.key} bar={bar} school={scope.school} />
      <RefusedPart bar={bar} />
      <NextBest bar={bar} currency={currency} complete={complete} />
      {children}
      <FlipPart key={`${line.id} ${bar.from_ft}`} job={job} line={line.id} bar={bar} />
      <OwnRulesPart ownRules={ownRules} />
      {action?.liner && <LinerPart liner={action.liner} />}
      {action?.pipe && <PipePart pipe={action.pipe} fittings={action.fittings} />}
      {action?.capacity && <FlowPart capacity={action.capacity} />}
      <HoleParts pits={pits} action={action} />
      <Cautions bar={bar} />
      <OptionsPart options={options} currency={currency} />
      <CleanoutsPart cleanouts={cleanouts} />
      <SeenPart bar={bar} finding={finding} lineView={lineView} line={line} />
    </Box>
  );
}

interface WarningsProps {
  readonly warnings: ScopeSoFar['warnings'];
  readonly line: string;
}

function NoBar({ warnings, line, children }: WarningsProps & Pick<Props, 'children'>) {
  const noWay = warnings.filter((warning) => warning.rule === 'no-way' && warning.line === line);
  return (
    <>
      <Title size="view" as="h1">
        {noWay.length > 0 ? 'Nothing is possible' : 'Nothing yet'}
      </Title>
      {noWay.map((warning, i) => (
        <Text key={i} mt="2">
          {warning.message}.
        </Text>
      ))}
      {children}
    </>
  );
}

/** What must not be done in this line before its owner has been there, whatever is chosen on it. */
const Dangers = ({ warnings, line }: WarningsProps) =>
  warnings
    .filter((warning) => warning.rule === 'danger' && warning.line === line)
    .map(({ message, at_ft }) => (
      <Caution key={message}>
        {at_ft !== undefined && `At ${feet(at_ft)} ft: `}
        {message}.
      </Caution>
    ));

/** What cannot be cured within the bar. */
const NotPossible = ({ bar, places }: { bar: ScopeBar; places: LineScope['notPossible'] }) =>
  places
    .filter((place) => overlaps(place, bar))
    .map((place) => (
      <Part key={`${place.from_ft} ${place.what}`} title="Cannot be cured here">
        <Text fontWeight={700}>{place.what}</Text>
        <Text>{place.why}.</Text>
        <Note>By others, or lifted by: {place.lift}</Note>
      </Part>
    ));

/** The method, its extent, pipe and price. */
function Head({ bar, fromHole, currency }: { bar: ScopeBar; fromHole: boolean; currency: string }) {
  const { action } = bar;
  const pipes = [
    ...new Set(bar.segments.map((segment) => `${segment.diameter_in} in ${materialWords(segment.material)}`)),
  ];
  return (
    <>
      <Heading as="h1" fontSize="27px" lineHeight="1.15" letterSpacing="-0.02em">
        {methodName(bar.method)}{' '}
        <chakra.span fontSize="16px" color="soft" fontWeight={600} letterSpacing="0">
          {feet(bar.from_ft)} to {feet(bar.to_ft)} ft
        </chakra.span>
      </Heading>
      <Text mt="1">
        {pipes.join(', ')}.{' '}
        {action?.entry_ft != null &&
          `Insertion point at ${feet(action.entry_ft)}${fromHole ? ', from an excavation' : ''}.`}
        {action && ` ${money(action.cost, currency)}, without setting up.`}
      </Text>
    </>
  );
}

interface UnseenProps {
  readonly bar: ScopeBar;
  readonly firstStep: ScopeSoFar['firstStep'];
  readonly currency: string;
}

const UnseenHere = ({ bar, firstStep, currency }: UnseenProps) =>
  bar.segments.some(({ seen }) => !seen) && (
    <Caution>
      Part of this pipe was not seen: nothing is known of it.{' '}
      {firstStep &&
        `First ${firstStep.what}, ${feet(firstStep.from_ft)} to ${feet(firstStep.to_ft)} ft: ${money(firstStep.price, currency)}.`}
    </Caution>
  );

function RefusedPart({ bar }: { bar: ScopeBar }) {
  // The first reason of each method.
  const refused = uniqueBy(
    bar.segments.flatMap(({ rejected }) => rejected).filter(({ rule }) => rule !== 'not-needed'),
    ({ method }) => method,
  );
  if (refused.length === 0) return null;
  return (
    <Part title="Refused">
      {grouped(refused).map(({ methods, why, lift }) => (
        <Flex key={why} gap="3" mb="1.5">
          <Text fontWeight={700} width="84px" flexShrink={0}>
            {methods.map((method) => methodName(method)).join(', ')}
          </Text>
          <Box>
            <Text>{why}</Text>
            {lift && <Note size="fine">lifted by: {lift}</Note>}
          </Box>
        </Flex>
      ))}
    </Part>
  );
}

/**
 * The cheapest other choice for part of the bar, named by what it does on most of that part: elsewhere in it that may
 * be refused.
 */
function NextBest({ bar, currency, complete }: { bar: ScopeBar; currency: string; complete: boolean }) {
  const [next] = bar.segments
    .flatMap(({ runnerUp, from_ft, to_ft }) => (runnerUp ? [{ ...runnerUp, from_ft, to_ft }] : []))
    .sort((a, b) => a.costsMore - b.costsMore);
  return (
    <Part title="Next best">
      {next ? (
        <Text>
          <strong>{methodName(next.method)}</strong> for most of {feet(next.from_ft)} to {feet(next.to_ft)}{' '}
          ft,{' '}
          {next.costsMore === 0
            ? 'at the same cost'
            : `${money(next.costsMore, currency)} more over ten years`}
        </Text>
      ) : (
        <Note>{complete ? 'Nothing else is allowed here.' : 'Working it out…'}</Note>
      )}
    </Part>
  );
}

function OwnRulesPart({ ownRules }: Pick<Props, 'ownRules'>) {
  if (ownRules.length === 0) return null;
  return (
    <Part title="House rules changed">
      {ownRules.map(({ label, now, usually, by }) => (
        <Text key={label} mb="1">
          {label}: <strong>{now}</strong>
          <chakra.span color="soft">
            , usually {usually}; by {by}
          </chakra.span>
        </Text>
      ))}
    </Part>
  );
}

type Action = LineScope['actions'][number];

const PipePart = ({
  pipe,
  fittings,
}: {
  pipe: NonNullable<Action['pipe']>;
  fittings: Action['fittings'];
}) => (
  <Part title="New pipe">
    <Sum
      label={`${pipe.diameter_in} in ${materialWords(pipe.material)}, laid`}
      figure={pipe.laid}
      digits={1}
    />
    {fittings.map((fitting) => (
      <Text key={`${fitting.kind} ${fitting.at_ft}`}>{sayFitting(fitting)}</Text>
    ))}
  </Part>
);

const FlowPart = ({ capacity }: { capacity: NonNullable<Action['capacity']> }) => (
  <Part title="Flow">
    <Sum label="Carries full, now" figure={capacity.before} digits={0} />
    <Sum label="Carries full, after" figure={capacity.after} digits={0} />
    <Text>
      {capacity.velocity_ft_s.toFixed(1)} ft/s full or half full:{' '}
      {capacity.selfCleansing ? 'keeps itself clean' : 'too slow to keep itself clean (2 ft/s)'}
    </Text>
  </Part>
);

const servedBy = (pits: LineScope['pits'], action: Action | undefined): LineScope['pits'] =>
  pits.filter(({ serves }) => action && serves.includes(action.id));

const HoleParts = ({ pits, action }: { pits: LineScope['pits']; action: Action | undefined }) =>
  servedBy(pits, action).map((hole) => <HolePart key={hole.id} hole={hole} />);

function HolePart({ hole }: { hole: LineScope['pits'][number] }) {
  const { depth, bank, protection, cautions } = hole.figures;
  return (
    <Part title={`Excavation ${holeLetter(hole.id)}, ${feet(hole.from_ft)} to ${feet(hole.to_ft)} ft`}>
      <Sum label="Depth with bedding" figure={depth} digits={1} />
      <Sum label="Excavated volume" figure={bank} digits={1} />
      <Text>Protection: {protection}</Text>
      {cautions.map((each) => (
        <Caution key={each}>{each}</Caution>
      ))}
    </Part>
  );
}

const Cautions = ({ bar: { action, method } }: { bar: ScopeBar }) => (
  <>
    {action?.working?.short && <Caution>{capital(action.working.short)}.</Caution>}
    {action?.liner && (
      <Caution>Resin and its fumes, hot water or steam: gloves, eyes, air. Follow the maker’s sheet.</Caution>
    )}
    {method === 'clean' && <Caution>{cleaningCaution}</Caution>}
  </>
);

function OptionsPart({ options, currency }: { options: LineScope['options']; currency: string }) {
  if (options.length === 0) return null;
  return (
    <Part title="While here">
      {options.map((option) => (
        <Flex key={option.what} justify="space-between" gap="3" mb="1">
          <Text>{option.what}</Text>
          <Text fontWeight={700} whiteSpace="nowrap">
            + {money(option.adds, currency)}
          </Text>
        </Flex>
      ))}
    </Part>
  );
}

function CleanoutsPart({ cleanouts }: { cleanouts: LineScope['cleanouts'] }) {
  if (cleanouts.length === 0) return null;
  return (
    <Part title="Cleanouts">
      {cleanouts.map((cleanout) => (
        <Text key={`${cleanout.status} ${cleanout.station_ft}`} mb="1">
          <strong>{cleanout.status}</strong> at {feet(cleanout.station_ft)} ft, {cleanout.place}:{' '}
          {cleanout.why}
          {cleanout.status === 'new' && `, riser ${feet(cleanout.riser_ft)} ft`}
        </Text>
      ))}
    </Part>
  );
}

function LinerPart({ liner }: { liner: NonNullable<LineScope['actions'][number]['liner']> }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Part title="Cut the liner at">
        {liner.cut.steps.map((step) => (
          <Flex
            key={step.label}
            justify="space-between"
            gap="3"
            py="0.5"
            {...(step.label === 'Rounded up'
              ? { borderTop: '1.5px solid', borderColor: 'ink', fontWeight: 700, mt: '1', pt: '1' }
              : {})}
          >
            <Text>{step.label}</Text>
            <Text whiteSpace="nowrap" data-testid={step.label === 'Rounded up' ? 'cut' : undefined}>
              {step.label === 'Rounded up' ? `${feet(liner.cut.value)} ft` : shortSum(step.expression)}
            </Text>
          </Flex>
        ))}
      </Part>
      <Part title="Thickness and resin">
        <chakra.button
          type="button"
          onClick={() => {
            setOpen(!open);
          }}
          aria-expanded={open}
          width="100%"
          textAlign="left"
          bg="transparent"
          border="none"
          p="0"
          cursor="pointer"
          minHeight="28px"
        >
          <Flex justify="space-between">
            <Text borderBottom="1px dotted" borderColor="soft">
              {liner.governs} governs
            </Text>
            <Text fontWeight={700}>{liner.thickness.value} in</Text>
          </Flex>
        </chakra.button>
        {open && <Working figure={liner.thickness} />}
        <Sum label="Resin" figure={liner.resin} digits={2} />
        <Sum label="Lay-flat" figure={liner.layFlat} digits={2} />
        <Sum
          label="± of the old pipe"
          figure={{ ...liner.host, value: liner.host.plusMinus ?? 0 }}
          digits={2}
        />
      </Part>
    </>
  );
}

/** The result of "80 − 30 = 50", or the plain term of "+ 2". */
const shortSum = (expression: string): string => expression.split(' = ').at(-1) ?? expression;

function Sum({ label, figure, digits }: { label: string; figure: Figure; digits: number }) {
  return (
    <Flex justify="space-between" gap="3" wrap="wrap">
      <Text>{label}</Text>
      <OpenFigure figure={figure} label={label}>
        <strong>
          {figure.value.toFixed(digits)} {figure.unit}
        </strong>
      </OpenFigure>
    </Flex>
  );
}

function Caution({ children }: { children: ReactNode }) {
  return (
    <Text borderLeft="5px solid" borderColor="signal" pl="3" my="1.5" fontSize="14px">
      {children}
    </Text>
  );
}

/** Reasons to be read at a glance; the rest on request. */
const glance = 6;

function Because({ bar, school }: { bar: ScopeBar; school: string }) {
  const [all, setAll] = useState(false);
  const because = [...new Set(bar.segments.flatMap((segment) => segment.because))];
  const shown = all || because.length <= glance + 1 ? because : because.slice(0, glance);
  return (
    <Part title="Why">
      {because.length === 0 && <Text>Nothing here needs repair under “{school}”.</Text>}
      {shown.map((each) => (
        <Text key={each} mb="0.5">
          {capital(each)}.
        </Text>
      ))}
      {shown.length < because.length && (
        <Press
          look="quiet"
          type="button"
          onClick={() => {
            setAll(true);
          }}
        >
          and {because.length - shown.length} more reasons
        </Press>
      )}
    </Part>
  );
}

/** Methods refused for the same reason, listed once. */
function grouped(refused: readonly Rejection[]): { methods: Method[]; why: string; lift: string | null }[] {
  const byReason = new Map<string, { methods: Method[]; why: string; lift: string | null }>();
  for (const { method, why, lift } of refused) {
    const known = byReason.get(why);
    if (known) known.methods.push(method);
    else byReason.set(why, { methods: [method], why, lift });
  }
  return [...byReason.values()];
}

/** The first of each key. */
function uniqueBy<T>(all: readonly T[], key: (each: T) => string): T[] {
  const found = new Map<string, T>();
  for (const each of all) if (!found.has(key(each))) found.set(key(each), each);
  return [...found.values()];
}
