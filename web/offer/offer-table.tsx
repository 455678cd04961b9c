import { methodName, methodRow } from '../../core/methods/index.js';
import { methods } from '../../core/job/vocabulary.js';
import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { School } from '../../core/job/vocabulary.js';
import { sayRisk } from '../../core/offer/say-risk.js';
import type { Offer, OfferApproach } from '../../core/offer/offer.js';
import { notKnownYet, sayRange } from '../../core/offer/say-unseen.js';
import { schoolWords } from '../../core/job/school-words.js';
import { MethodBars } from '../drawing/method-bars';
import { feet, money } from '../controls/format';
import { Alarm, Note } from '../controls/text';

/** The rows of the comparison, from top to bottom. */
const questions = [
  'On the line',
  'We do',
  'Excavations',
  'How long',
  'Price',
  'Each year after',
  'Over the years',
  'Leaves undone',
  'Not seen',
] as const;

interface TableProps {
  readonly offer: Offer;
  readonly chosen?: School | undefined;
  readonly onChoose?: (school: School) => void;
}

/**
 * The options side by side, one column each on a wide screen and below one another on a phone. With `onChoose` a
 * column's head is a button.
 */
export function OfferTable({ offer, chosen, onChoose }: TableProps) {
  const rows = questions.length + 1;
  return (
    <>
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: `118px repeat(${offer.ways.length}, minmax(0, 1fr))` }}
        gridTemplateRows={{ md: `repeat(${rows}, auto)` }}
        borderBottom="1px solid"
        borderColor="rule"
      >
        <Box
          display={{ base: 'none', md: 'grid' }}
          gridRow={`1 / span ${rows}`}
          gridTemplateRows="subgrid"
          aria-hidden
        >
          <Box />
          {questions.map((question) => (
            <Text key={question} pt="2.5" pr="2" fontSize="13.5px" color="soft" {...ruled}>
              {question === 'Over the years' ? `Over ${offer.horizon_years} years` : question}
            </Text>
          ))}
        </Box>
        {offer.ways.map((approach) => (
          <Way
            key={approach.school}
            approach={approach}
            offer={offer}
            rows={rows}
            chosen={approach.school === chosen}
            onChoose={onChoose}
          />
        ))}
      </Box>
      <BarKey offer={offer} />
    </>
  );
}

/** Key to the bars: where 0 ft is, and a color for each kind of work. */
function BarKey({ offer }: { offer: Offer }) {
  const used = methods.filter((method) =>
    offer.ways.some(({ bars }) =>
      Object.values(bars).some((all) => all.some((bar) => bar.method === method)),
    ),
  );
  if (used.length === 0) return null;
  return (
    <Box py="2" fontSize="13.5px" data-testid="bar-key">
      <Flex gap="4" wrap="wrap">
        {used.map((method) => (
          <Flex key={method} align="center" gap="1.5">
            <Box width="22px" height="13px" bg={methodRow(method).drawing.fill} />
            {methodName(method)}
          </Flex>
        ))}
      </Flex>
      {offer.lines.map(
        ({ id, name, zero, from_ft, to_ft }) =>
          zero && (
            <Note key={id}>
              {offer.lines.length > 1 ? `${name}: ` : ''}the bars run from {feet(from_ft)} ft on the left to{' '}
              {feet(to_ft)} ft on the right. 0 ft is your {zero}.
            </Note>
          ),
      )}
    </Box>
  );
}

const ruled = { borderTop: '1px solid', borderColor: 'rule' } as const;

interface WayProps {
  readonly approach: OfferApproach;
  readonly offer: Offer;
  readonly rows: number;
  readonly chosen: boolean;
  readonly onChoose: ((school: School) => void) | undefined;
}

function Way({ approach, offer, rows, chosen, onChoose }: WayProps) {
  const words = schoolWords[approach.school];
  const answers = answersOf(approach, offer);
  return (
    <Box
      as="section"
      aria-label={words.name}
      display="grid"
      gridRow={{ md: `1 / span ${rows}` }}
      gridTemplateRows={{ md: 'subgrid' }}
      bg={chosen ? 'sheet' : undefined}
      borderLeftWidth={{ base: 0, md: '1.5px' }}
      borderRightWidth={{ base: 0, md: '1.5px' }}
      borderTopWidth="6px"
      borderStyle="solid"
      borderBottomWidth={0}
      borderInlineColor={chosen ? 'ink' : 'transparent'}
      borderTopColor={chosen ? 'signal' : { base: 'rule', md: 'transparent' }}
    >
      <WayHead school={approach.school} chosen={chosen} onChoose={onChoose} />
      {questions.map((question) => (
        <Box key={question} px="3" py="2.5" {...ruled} data-testid={`${approach.school}-${slug(question)}`}>
          {/* On a wide screen the first column shows this; screen readers hear it with every value. */}
          <Note
            size="fine"
            position={{ md: 'absolute' }}
            width={{ md: '1px' }}
            height={{ md: '1px' }}
            overflow={{ md: 'hidden' }}
            clipPath={{ md: 'inset(50%)' }}
          >
            {question === 'Over the years' ? `Over ${offer.horizon_years} years` : question}
          </Note>
          {answers[question]}
        </Box>
      ))}
    </Box>
  );
}

/** The name of an option; a button where it can be chosen. */
function WayHead({
  school,
  chosen,
  onChoose,
}: Pick<WayProps, 'chosen' | 'onChoose'> & { readonly school: School }) {
  const words = schoolWords[school];
  const head = (
    <>
      <chakra.span display="block" fontFamily="heading" fontWeight={700} fontSize="21px" lineHeight="1.2">
        {words.name}
      </chakra.span>
      <chakra.span color="soft" fontSize="14px">
        {words.means}
      </chakra.span>
    </>
  );
  if (!onChoose)
    return (
      <Box px="3" py="2.5" minHeight="64px">
        {head}
      </Box>
    );
  return (
    <chakra.button
      type="button"
      textAlign="left"
      px="3"
      py="2.5"
      border="none"
      bg="transparent"
      minHeight="64px"
      cursor="pointer"
      aria-pressed={chosen}
      data-testid={`choose-${school}`}
      onClick={() => {
        onChoose(school);
      }}
    >
      {head}
    </chakra.button>
  );
}

const slug = (question: string) => question.toLowerCase().replaceAll(' ', '-');

type Answers = Record<(typeof questions)[number], ReactNode>;

const none = <Note>–</Note>;
const notPossible: Answers = {
  'On the line': none,
  'We do': <Text fontWeight={700}>Not possible under the rules and pins of this job</Text>,
  Excavations: none,
  'How long': none,
  Price: none,
  'Each year after': none,
  'Over the years': none,
  'Leaves undone': none,
  'Not seen': none,
};

function answersOf(approach: OfferApproach, offer: Offer): Answers {
  const cash = (amount: number) => money(amount, offer.currency);
  if (!approach.feasible) return notPossible;
  const unseen = offer.nothingSeen && {
    'Each year after': notKnownYet,
    'Over the years': notKnownYet,
    'Leaves undone': notKnownYet,
  };
  return {
    'On the line': <Bars approach={approach} offer={offer} />,
    'We do': <Does approach={approach} />,
    Excavations: approach.holes.length === 0 ? 'none' : <Sentences all={approach.holes} />,
    'How long': approach.days && approach.days.length > 0 ? <Sentences all={approach.days} /> : '–',
    Price: <Price approach={approach} total={offer.nothingSeen ? '–' : cash(approach.total)} />,
    'Each year after':
      approach.eachYear.length === 0
        ? 'nothing planned'
        : approach.eachYear.map(({ what, costs }) => (
            <Text key={what}>
              {cash(costs)}: {what}
            </Text>
          )),
    'Over the years': (
      <>
        <Text fontWeight={700}>{cash(approach.overYears)}</Text>
        <Note size="fine">
          {cash(approach.carried)} of it expected for upkeep and what is likely to fail, in today’s money
        </Note>
      </>
    ),
    'Leaves undone': <Leaves approach={approach} offer={offer} />,
    'Not seen': sayRange(approach, offer, cash),
    ...unseen,
  };
}

const Does = ({ approach }: { approach: OfferApproach }) => (
  <>
    <Sentences all={approach.does} />
    {approach.notPossible.length > 0 && (
      <Box mt="2" color="signalInk" data-testid={`not-possible-${approach.school}`}>
        <Text fontWeight={700}>Not in this price, by others</Text>
        <Sentences all={approach.notPossible} />
      </Box>
    )}
  </>
);

const Price = ({ approach, total }: { approach: OfferApproach; total: string }) => (
  <>
    <Text
      fontFamily="heading"
      fontWeight={800}
      fontSize="26px"
      lineHeight="1.1"
      data-testid={`total-${approach.school}`}
    >
      {total}
    </Text>
    {approach.conditions.map((each) => (
      <Alarm key={each} fontSize="13.5px">
        {each}
      </Alarm>
    ))}
  </>
);

const Sentences = ({ all }: { all: readonly string[] }) => (
  <>
    {all.map((each, i) => (
      <Text key={i} mb="0.5">
        {each}
      </Text>
    ))}
  </>
);

/** Work by location: one thin bar per line. */
const Bars = ({ approach, offer }: { approach: OfferApproach; offer: Offer }) => (
  <>
    {offer.lines.map((line) => (
      <MethodBars key={line.id} name={line.name} line={line} bars={approach.bars[line.id] ?? []} />
    ))}
  </>
);

function Leaves({ approach, offer }: { approach: OfferApproach; offer: Offer }) {
  if (approach.leaves.length === 0) return 'nothing that was found';
  const dearest = [...approach.leaves].sort((a, b) => b.costs - a.costs || a.at_ft - b.at_ft);
  const told = dearest.slice(0, 4);
  const rest = approach.leaves.length - told.length;
  return (
    <>
      {told.map((each, i) => (
        <Text key={i} mb="0.5">
          {each.what}, at {feet(each.at_ft)} ft
          {each.mayFail && (
            <chakra.span color="soft">
              {' '}
              ({sayRisk(each, offer.horizon_years, (amount) => money(amount, offer.currency))})
            </chakra.span>
          )}
        </Text>
      ))}
      {rest > 0 && <Note>and {rest} more, lighter</Note>}
    </>
  );
}
