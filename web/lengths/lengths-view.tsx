import { schoolWords } from '../../core/job/school-words.js';
import { capital } from '../../core/capital.js';
import { methodName } from '../../core/methods/index.js';
import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import type { Figure } from '../../core/figure.js';
import type { Firm } from '../../core/job/firm.js';
import type { FirstStep } from '../../core/explain/unseen.js';
import type { Job } from '../../core/job/schema.js';
import type { LineScope, ScopeSoFar } from '../../core/scope/scope.js';
import type { Change } from '../api/job';
import { OpenFigure } from '../figure/open-figure';
import { feet, money } from '../controls/format';
import { useJobContext } from '../shell/job-layout';
import { fileName } from '../files/save';
import { WorkingOut } from '../shell/working-out';
import { Shopping } from './shopping';
import { WetOutClock } from './wet-out';
import { NumberCell } from '../site/cells';
import { materialWords } from '../../core/catalog/materials.js';
import { sayCuts } from '../../core/pipe/cut-list.js';
import { Alarm, Note } from '../controls/text';
import { RuledRow } from '../controls/table';
import { nothingSeen } from '../view/nothing-seen';

const Head = chakra('th', {
  base: {
    textAlign: 'right',
    fontFamily: 'heading',
    fontSize: '13px',
    color: 'soft',
    py: '2',
    px: '2',
    verticalAlign: 'bottom',
    '&:first-of-type': { textAlign: 'left' },
  },
});
const Cell = chakra('td', {
  base: {
    textAlign: 'right',
    py: '2.5',
    px: '2',
    verticalAlign: 'top',
    '&:first-of-type': { textAlign: 'left' },
  },
});
const Table = chakra('table', { base: { width: '100%', borderCollapse: 'collapse', minWidth: '640px' } });

type ActionScope = LineScope['actions'][number];

const number = (figure: Figure, label: string, digits: number) => (
  <OpenFigure figure={figure} label={label}>
    {figure.value.toFixed(digits)}
  </OpenFigure>
);

/** What to cut and what to buy: every liner, every length of new pipe, and the totals. */
export function LengthsView() {
  const { id, job, firm, lineView, lineScope, view, change, seesPrices } = useJobContext();
  if (!view || !lineView || !lineScope) return <WorkingOut />;
  const { scope } = view;
  const liners = lineScope.actions.filter(({ liner }) => liner);
  const pipes = lineScope.actions.filter(({ pipe }) => pipe);
  return (
    <Box height="100%" overflowY="auto">
      <Box maxWidth="1180px" mx="auto" px={{ base: '4', md: '6' }} py="5">
        {!lineScope.feasible && (
          <Alarm strong>
            No scope satisfies the rules and pins on this line, so there is nothing to cut.
          </Alarm>
        )}
        {lineScope.feasible && liners.length + pipes.length === 0 && (
          <Text>
            {lineView.nothingSeen
              ? 'Nothing seen yet: run the camera, and log what it shows.'
              : `Nothing is cut or bought for this line: ${scope.verdict.includes('clean') ? 'it is cleaned.' : 'it stays as it is.'}`}
          </Text>
        )}
        {scope.firstStep && (
          <NotYet step={scope.firstStep} currency={seesPrices ? scope.prices.currency : undefined} />
        )}
        {liners.length > 0 && <Liners liners={liners} jobId={id} job={job} change={change} />}
        {pipes.length > 0 && <NewPipes pipes={pipes} />}
        {scope.buy.sticks.length > 0 && <BuyList buy={scope.buy} />}
        {liners.length + scope.buy.sticks.length > 0 && (
          <Section title="Shopping list" says="over the whole job; tick off what is on the truck">
            <Shopping scope={scope} jobId={id} name={fileName(job.title)} />
          </Section>
        )}
        {seesPrices && !nothingSeen(view) && <Price scope={scope} firm={firm} />}
      </Box>
    </Box>
  );
}

/** To check before anything is ordered; with its price where a currency is given. */
const NotYet = ({ step, currency }: { step: FirstStep; currency: string | undefined }) => (
  <Box borderLeft="6px solid" borderColor="signal" pl="4" py="1" mb="5">
    <Text fontWeight={700}>
      Do not order yet. First {step.what}, {feet(step.from_ft)} to {feet(step.to_ft)} ft
      {currency === undefined ? '' : `, ${money(step.price, currency)}`}.
    </Text>
    <Text>{capital(step.why)}.</Text>
  </Box>
);

interface LinersProps {
  readonly liners: readonly ActionScope[];
  readonly jobId: string;
  readonly job: Job;
  readonly change: Change;
}

function Liners({ liners, jobId, job, change }: LinersProps) {
  return (
    <Section title="Liners" says="lengths in feet; press a number for its working">
      <Table>
        <thead>
          <tr>
            <Head>Where</Head>
            <Head>Old pipe</Head>
            <Head>±</Head>
            <Head>Installed</Head>
            <Head>Cut at</Head>
            <Head>Bladder</Head>
            <Head>Lay-flat, in</Head>
            <Head>Thick, in</Head>
            <Head>Resin, gal</Head>
            <Head>Workable, min</Head>
            <Head>Takes, min</Head>
          </tr>
        </thead>
        <tbody>
          {liners.map((action) => (
            <LinerRow key={action.id} action={action} />
          ))}
        </tbody>
      </Table>
      <OnTheDay job={job} change={change} />
      {liners.flatMap((liner) =>
        liner.working?.short
          ? [
              <Alarm strong key={liner.id} mt="2">
                {linerName(liner)}: {liner.working.short}.
              </Alarm>,
            ]
          : [],
      )}
      <Flex direction="column" gap="2" mt="3" align="flex-start">
        {liners.map((liner) =>
          liner.working ? (
            <WetOutClock
              key={liner.id}
              jobId={jobId}
              liner={liner.id}
              name={linerName(liner)}
              working={liner.working}
            />
          ) : null,
        )}
      </Flex>
      <Text mt="3" borderLeft="5px solid" borderColor="signal" pl="3">
        Resin and its fumes, hot water or steam: gloves, eyes, air. Dry-run the liner to its marks before
        wetting it out.
      </Text>
    </Section>
  );
}

const linerName = ({ method, from_ft, to_ft }: ActionScope): string =>
  `${methodName(method)} ${feet(from_ft)} to ${feet(to_ft)}`;

function LinerRow({ action }: { action: ActionScope }) {
  const { id, method, from_ft, to_ft, entry_ft, liner, working } = action;
  if (!liner) return null;
  return (
    <RuledRow>
      <Cell>
        <strong>{methodName(method)}</strong> {feet(from_ft)} to {feet(to_ft)}
        <Note size="small">
          in at {feet(entry_ft ?? from_ft)}, {liner.governs} governs
        </Note>
      </Cell>
      <Cell>{number(liner.host, 'Old pipe', 2)}</Cell>
      <Cell>{(liner.host.plusMinus ?? 0).toFixed(2)}</Cell>
      <Cell>{number(liner.installed, 'Installed', 2)}</Cell>
      <Cell fontSize="21px" fontWeight={700} data-testid={`cut-${id}`}>
        {number(liner.cut, 'Cut length', 1)}
      </Cell>
      <Cell>{number(liner.bladder, 'Bladder', 1)}</Cell>
      <Cell>{number(liner.layFlat, 'Lay-flat', 2)}</Cell>
      <Cell>{number(liner.thickness, 'Thickness', 3)}</Cell>
      <Cell>{number(liner.resin, 'Resin', 2)}</Cell>
      <Cell color={working?.short ? 'signalInk' : undefined} fontWeight={working?.short ? 700 : 400}>
        {working && number(working.potLife, 'The resin stays workable for', 0)}
      </Cell>
      <Cell>{working && number(working.needed, 'Wet-out and insertion', 0)}</Cell>
    </RuledRow>
  );
}

/** Temperature when the resin is mixed. */
const OnTheDay = ({ job, change }: Pick<LinersProps, 'job' | 'change'>) => (
  <Flex align="center" gap="3" mt="3" wrap="wrap">
    <Text id="temperature">Temperature on the day, °F</Text>
    <Box width="110px">
      <NumberCell
        label="Temperature on the day, °F"
        value={job.site?.temperature_F}
        placeholder="70"
        onChange={(temperature_F) => {
          const set = temperature_F === undefined ? null : { temperature_F };
          void change.say([{ kind: 'temperature', set }]);
        }}
      />
    </Box>
    <Note size="small">
      {job.site?.temperature_F === undefined
        ? 'Not entered: 70 assumed. A warm day shortens the working time.'
        : 'Workable time follows the resin’s sheet under Rates and rules.'}
    </Note>
  </Flex>
);

const NewPipes = ({ pipes }: { pipes: readonly ActionScope[] }) => (
  <Section title="New pipe" says="laid length runs along the pipe, not along the map">
    <Table>
      <thead>
        <tr>
          <Head>Where</Head>
          <Head>Pipe</Head>
          <Head>Laid, ft</Head>
        </tr>
      </thead>
      <tbody>
        {pipes.map(({ id, method, from_ft, to_ft, pipe }) =>
          pipe ? (
            <RuledRow key={id}>
              <Cell>
                <strong>{methodName(method)}</strong> {feet(from_ft)} to {feet(to_ft)}
              </Cell>
              <Cell>
                {pipe.diameter_in} in {materialWords(pipe.material)}
              </Cell>
              <Cell fontSize="21px" fontWeight={700}>
                {number(pipe.laid, 'Laid length', 1)}
              </Cell>
            </RuledRow>
          ) : null,
        )}
      </tbody>
    </Table>
  </Section>
);

/** The price, line by line. */
function Price({ scope, firm }: { scope: ScopeSoFar; firm: Firm }) {
  const { prices } = scope;
  return (
    <Section
      title="Price"
      says={`for “${schoolWords[scope.school].name}”; price book dated ${scope.prices.dated}. Press a quantity for its working`}
    >
      <Table minWidth="0">
        <tbody>
          {prices.lines.map((each, index) => (
            <RuledRow key={index}>
              <Cell>{each.what}</Cell>
              <Cell color="soft" whiteSpace="nowrap">
                <OpenFigure
                  figure={{ value: each.quantity, unit: each.unit, steps: each.working }}
                  label={each.what}
                >
                  {Number(each.quantity.toFixed(2))} {each.unit} × {each.rate}
                </OpenFigure>
              </Cell>
              <Cell whiteSpace="nowrap">{money(each.amount, prices.currency, 2)}</Cell>
            </RuledRow>
          ))}
          <chakra.tr borderTop="2px solid" borderColor="ink" fontWeight={700} fontSize="18px">
            <Cell>Price</Cell>
            <Cell />
            <Cell whiteSpace="nowrap">{money(prices.total, prices.currency, 2)}</Cell>
          </chakra.tr>
          <chakra.tr color="soft">
            <Cell>Expected future cost over ten years: upkeep, and what is likely to fail</Cell>
            <Cell />
            <Cell whiteSpace="nowrap">{money(prices.carried, prices.currency, 2)}</Cell>
          </chakra.tr>
        </tbody>
      </Table>
      {firm.exclusions && firm.exclusions.length > 0 && (
        <Text mt="3">Not in this price: {firm.exclusions.join('; ')}.</Text>
      )}
    </Section>
  );
}

/** Materials: each stick drawn to scale with its cuts, and each coupling by both outside diameters. */
function BuyList({ buy }: { buy: ScopeSoFar['buy'] }) {
  const longest_ft = Math.max(...buy.sticks.map(({ length_ft }) => length_ft));
  return (
    <Section
      title="Cut list"
      says="over the whole job; an eighth of an inch a cut, a quarter at each coupling"
    >
      {buy.sticks.map((stick, index) => (
        <StickRow key={index} stick={stick} longest_ft={longest_ft} />
      ))}
      {buy.fittings.map((each) => (
        <BuyRow
          key={`${each.what} ${each.kind} ${each.at_ft}`}
          where={`Fitting at ${feet(each.at_ft)} ft`}
          what={each.item}
          measure={each.measure && 'measure the turn before buying'}
        />
      ))}
      {buy.couplings.map((each, index) => (
        <BuyRow
          key={index}
          where={`Coupling at ${feet(each.at_ft)} ft`}
          what={each.sides
            .map(
              ({ material, diameter_in, outside_in }) =>
                `${diameter_in} in ${materialWords(material)}, ${outside_in === null ? 'outside not known' : `${outside_in.toFixed(3)} in outside`}`,
            )
            .join(' to ')}
          measure={each.measure && 'measure before buying'}
          known="from the tables"
        />
      ))}
    </Section>
  );
}

interface BuyRowProps {
  readonly where: string;
  readonly what: string;
  /** What has to be measured first; false where the size is known. */
  readonly measure: string | false;
  readonly known?: string;
}

const BuyRow = ({ where, what, measure, known }: BuyRowProps) => (
  <Flex gap="4" py="1.5" borderTop="1px solid" borderColor="rule" wrap="wrap">
    <Text width="190px">{where}</Text>
    <Text flex="1" minWidth="240px">
      {what}
    </Text>
    <Text width="240px" color={measure ? 'signalInk' : 'soft'} fontWeight={measure ? 700 : 400}>
      {measure || known}
    </Text>
  </Flex>
);

interface StickRowProps {
  readonly stick: ScopeSoFar['buy']['sticks'][number];
  readonly longest_ft: number;
}

const StickRow = ({ stick, longest_ft }: StickRowProps) => (
  <Flex align="center" gap="4" py="1.5" borderTop="1px solid" borderColor="rule" wrap="wrap">
    <Text width="190px">
      <strong>{stick.length_ft} ft</strong> of {stick.diameter_in} in {materialWords(stick.material)}
    </Text>
    <Flex flex="1" minWidth="240px" height="30px" aria-hidden>
      <Flex width={`${(100 * stick.length_ft) / longest_ft}%`} border="1.5px solid" borderColor="ink">
        {stick.cuts.map((cut, at) => (
          <Box
            key={at}
            width={`${(100 * cut.length_ft) / stick.length_ft}%`}
            bg="liner"
            color="onLiner"
            borderRight="2px solid"
            borderColor="paper"
            fontSize="13px"
            px="1"
            overflow="hidden"
            lineHeight="27px"
          >
            {cut.length_ft.toFixed(2)}
          </Box>
        ))}
      </Flex>
    </Flex>
    <Note size="small" width="240px">
      cut {sayCuts(stick)}; {stick.leftover_ft.toFixed(1)} ft left over
    </Note>
  </Flex>
);

function Section({ title, says, children }: { title: string; says: string; children: React.ReactNode }) {
  return (
    <Box mb="8">
      <Flex align="baseline" gap="3" mb="1" wrap="wrap">
        <Heading as="h1" fontSize="22px">
          {title}
        </Heading>
        <Note size="small">{says}</Note>
      </Flex>
      <Box overflowX="auto" position="relative">
        {children}
      </Box>
    </Box>
  );
}
