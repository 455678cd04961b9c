import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import type { Compared } from '../../core/practice/compare.js';
import type { PracticeResult } from '../../core/practice/practice.js';
import { methodName, methodRow } from '../../core/methods/index.js';
import { sayInches } from '../../core/speech/say.js';
import { Press } from '../controls/controls';
import { feet, money } from '../controls/format';
import { Cell, Head, RuledRow } from '../controls/table';
import { MethodBars } from '../drawing/method-bars';
import { OpenFigure } from '../figure/open-figure';
import { HintAt } from './hints';
import { Note, Title } from '../controls/text';

const isWords: Record<Compared['is'], string> = {
  found: 'Found',
  missed: 'Missed',
  invented: 'Not there',
  'not-to-be-seen': 'Under water',
};

/** A log compared with the true pipe: thing by thing, then what its errors would have cost. */
export function Result({
  result: { comparison, cost },
  onShow,
}: {
  result: PracticeResult;
  /** Plays a place again, ft. */
  onShow: (at_ft: number) => void;
}) {
  const { things, score, length_ft, rightMaterial_ft, seen_ft, couldSee_ft, claimed_ft } = comparison;
  return (
    <Box data-testid="practice-result">
      <HintAt place="result" />
      <Flex align="baseline" gap="3" wrap="wrap">
        <Heading as="h2" fontSize="22px">
          Your log and the truth
        </Heading>
        <Text fontFamily="heading" fontWeight={800} fontSize="26px" data-testid="practice-score">
          <OpenFigure figure={score} label="Score">
            {score.value} of 100
          </OpenFigure>
        </Text>
      </Flex>
      <Note>
        Material right over {feet(rightMaterial_ft)} of {feet(length_ft)} ft; {feet(seen_ft)} ft counted as
        seen of {feet(couldSee_ft)} ft that could be. The first score on a pipe is the one that counts.
      </Note>
      {claimed_ft > 0.5 && (
        <Text borderLeft="5px solid" borderColor="signal" pl="3" my="2">
          {feet(claimed_ft)} ft lay under water and are counted as seen. Log such a stretch as hidden: “40 to
          52 under water”.
        </Text>
      )}
      <Box overflowX="auto" position="relative" mt="2">
        <chakra.table width="100%" borderCollapse="collapse">
          <thead>
            <tr>
              <Head>In truth</Head>
              <Head width="100%">What</Head>
              <Head>You</Head>
              <Head>Off, ft</Head>
              <Head>Clock and size</Head>
              <Head>
                <chakra.span srOnly>Show it</chakra.span>
              </Head>
            </tr>
          </thead>
          <tbody>
            {things.map((thing) => (
              <Row key={thing.key} thing={thing} onShow={onShow} />
            ))}
          </tbody>
        </chakra.table>
      </Box>
      <Cost cost={cost} />
    </Box>
  );
}

function Row({ thing, onShow }: { thing: Compared; onShow: (at_ft: number) => void }) {
  const bad = thing.is === 'missed' || thing.is === 'invented';
  return (
    <RuledRow css={{ '& td': { verticalAlign: 'middle' } }}>
      <Cell whiteSpace="nowrap">{thing.is === 'invented' ? '–' : feet(thing.at_ft)}</Cell>
      <Cell>
        {thing.says}
        {thing.is === 'invented' ? `, as you have it at ${feet(thing.at_ft)}` : ''}
      </Cell>
      <Cell whiteSpace="nowrap" fontWeight={700} color={bad ? 'signalInk' : undefined}>
        {isWords[thing.is]}
      </Cell>
      <Cell whiteSpace="nowrap" color={thing.within === false ? 'signalInk' : undefined}>
        {thing.off_ft === undefined
          ? ''
          : `${thing.off_ft > 0 ? '+' : ''}${feet(thing.off_ft)}${thing.within ? ', inside' : ', outside'} ±${feet(thing.plusMinus_ft ?? 0)}`}
      </Cell>
      <Cell fontSize="14.5px">{sayHow(thing)}</Cell>
      <Cell>
        <Press
          type="button"
          look="quiet"
          whiteSpace="nowrap"
          aria-label={`Show ${thing.says} at ${feet(thing.at_ft)} ft`}
          onClick={() => {
            onShow(thing.at_ft);
          }}
        >
          Show it
        </Press>
      </Cell>
    </RuledRow>
  );
}

/** Clock position and size as logged, against the truth. */
function sayHow({ clockOff_h, sizeOff, trueSize }: Compared): string {
  const clock =
    clockOff_h === undefined
      ? undefined
      : clockOff_h === null
        ? 'no clock position'
        : clockOff_h < 0.25
          ? 'clock right'
          : `clock ${clockOff_h.toFixed(1)} h off`;
  const size =
    sizeOff === undefined
      ? undefined
      : sizeOff === null
        ? 'no size'
        : sizeOff === 0
          ? typeof trueSize === 'string'
            ? 'said right'
            : 'size right'
          : typeof sizeOff === 'string'
            ? `you said ${sizeOff}, it is ${String(trueSize)}`
            : `${sayAmount(Math.abs(sizeOff), trueSize)} too ${sizeOff > 0 ? 'large' : 'small'}`;
  return [clock, size].filter(Boolean).join('; ');
}

/** Sizes in percent are whole numbers of at least 5; inches in a lateral are smaller. */
const sayAmount = (off: number, real: number | string | undefined): string =>
  typeof real === 'number' && real >= 5 ? `${off} points` : `${sayInches(off)} in`;

type Costs = PracticeResult['cost'];

function Cost({ cost }: { cost: Costs }) {
  const { truth, log, currency, left, dugWrong } = cost;
  const difference = log - truth;
  return (
    <Box mt="5" data-testid="practice-cost">
      <Title size="section">What it would have cost</Title>
      <Flex gap="6" wrap="wrap" my="2">
        <Sum label="The scope from your log" amount={money(log, currency)} />
        <Sum label="The scope from the truth" amount={money(truth, currency)} />
        <Sum
          label={difference === 0 ? 'The same' : difference > 0 ? 'Too much by' : 'Too little by'}
          amount={money(Math.abs(difference), currency)}
        />
      </Flex>
      <CostBars cost={cost} />
      {left.map(({ says, at_ft, by, short_ft }) => (
        <Text key={`${says} ${at_ft}`} borderLeft="5px solid" borderColor="signal" pl="3" mb="2">
          {says} at {feet(at_ft)} ft would have been left
          {by === undefined || short_ft === undefined
            ? ': nothing is done near it.'
            : `: your ${by.toLowerCase()} ends ${feet(Math.max(0.1, short_ft))} ft short of it.`}
        </Text>
      ))}
      {dugWrong.map(({ letter, from_ft, to_ft }) => (
        <Text key={letter} borderLeft="5px solid" borderColor="signal" pl="3" mb="2">
          Excavation {letter}, {feet(from_ft)} to {feet(to_ft)} ft, would have been dug where nothing is
          wrong.
        </Text>
      ))}
      {left.length + dugWrong.length === 0 && (
        <Text>Nothing would have been left, and nothing dug in the wrong place.</Text>
      )}
    </Box>
  );
}

/** Both scopes foot by foot, and a key to the colors. */
const CostBars = ({ cost: { bars, line } }: { cost: Costs }) => (
  <>
    {(
      [
        ['Your log', bars.log],
        ['The truth', bars.truth],
      ] as const
    ).map(([name, own]) => (
      <Flex key={name} gap="3" align="center">
        <Note size="small" width="80px">
          {name}
        </Note>
        <Box flex="1">
          <MethodBars name={name} line={line} bars={own} />
        </Box>
      </Flex>
    ))}
    <Flex gap="4" wrap="wrap" fontSize="13.5px" color="soft" mb="3">
      {[...new Set([...bars.log, ...bars.truth].map(({ method }) => method))].map((method) => (
        <Flex key={method} align="center" gap="2">
          <Box width="18px" height="11px" bg={methodRow(method).drawing.fill} />
          {methodName(method)}
        </Flex>
      ))}
    </Flex>
  </>
);

const Sum = ({ label, amount }: { label: string; amount: string }) => (
  <Box>
    <Note size="small">{label}</Note>
    <Text fontFamily="heading" fontWeight={800} fontSize="24px">
      {amount}
    </Text>
  </Box>
);
