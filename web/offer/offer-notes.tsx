import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { capital } from '../../core/capital.js';
import type { Offer } from '../../core/offer/offer.js';
import { sayUnseen } from '../../core/offer/say-unseen.js';
import { feet, money } from '../controls/format.js';
import { Note } from '../controls/text.js';

/** What applies to every option: the first step, what was not seen or inspected, referrals, exclusions, terms. */
export function OfferNotes({ offer }: { offer: Offer }) {
  const { firstStep, referrals, exclusions, terms } = offer;
  const unlooked = sayUnseen(offer);
  return (
    <Box>
      {firstStep && (
        <Row title="First">
          <Text fontWeight={700}>
            {capital(firstStep.what)}, {feet(firstStep.from_ft)} to {feet(firstStep.to_ft)} ft:{' '}
            {money(firstStep.price, offer.currency)}
          </Text>
          <Note>because {firstStep.why}; until then the prices above are a range</Note>
        </Row>
      )}
      {unlooked.length > 0 && <Row title="Not inspected">{unlooked.join('; ')}</Row>}
      {referrals.length > 0 && (
        <Row title="For others">
          {referrals.map(({ what, at_ft, to }, i) => (
            <Text key={i}>
              {what}, at {feet(at_ft)} ft: reported to the {to}, not priced
            </Text>
          ))}
        </Row>
      )}
      {exclusions.length > 0 && <Row title="Not in any price">{exclusions.join('; ')}</Row>}
      {terms && <Row title="Terms">{terms}</Row>}
      <Row title="Always">
        Local code, the utility locate, the competent person at the trench and licensed practice come before
        anything written here.
      </Row>
    </Box>
  );
}

const Row = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box
    display="grid"
    gridTemplateColumns={{ base: '1fr', md: '118px 1fr' }}
    borderBottom="1px solid"
    borderColor="rule"
    py="2.5"
  >
    <Note size="fine">{title}</Note>
    <Box px={{ md: '3' }} whiteSpace="pre-line">
      {children}
    </Box>
  </Box>
);
