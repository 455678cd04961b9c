import { Flex, Text } from '@chakra-ui/react';
import type { OfferApproach } from '../../core/offer/offer.js';
import { OpenFigure } from '../figure/open-figure';
import { money } from '../controls/format';

/** The price lines of one option, each opening to its working where there is one, and their sum. */
export function PriceLines({
  approach,
  currency,
  testId = 'offer-price',
}: {
  approach: OfferApproach;
  currency: string;
  testId?: string;
}) {
  return (
    <>
      {approach.priceLines.map((line, i) => (
        <Flex key={i} justify="space-between" align="baseline" gap="3" py="0.5">
          {line.working.length > 0 ? (
            <OpenFigure
              figure={{ value: line.quantity, unit: line.unit, steps: line.working }}
              label={line.what}
            >
              {line.what}
            </OpenFigure>
          ) : (
            <Text>{line.what}</Text>
          )}
          <Text whiteSpace="nowrap">{money(line.amount, currency, 2)}</Text>
        </Flex>
      ))}
      <Flex
        justify="space-between"
        borderTop="2px solid"
        borderColor="ink"
        mt="1.5"
        pt="1.5"
        fontFamily="heading"
        fontWeight={700}
        fontSize="18px"
      >
        <Text>Price</Text>
        <Text data-testid={testId}>{money(approach.total, currency, 2)}</Text>
      </Flex>
    </>
  );
}
