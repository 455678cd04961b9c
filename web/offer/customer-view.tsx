import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import type { School } from '../../core/job/vocabulary.js';
import type { Offer } from '../../core/offer/offer.js';
import { useSharedOffer } from '../api/offer';
import { schoolWords } from '../../core/job/school-words.js';
import { sayDay } from '../../core/days.js';

import { Part } from '../reason/part';
import { OfferTable } from './offer-table';
import { PriceLines } from './price-part';
import { ProofList } from './proof';
import { OfferNotes } from './offer-notes.js';
import { Note, Title } from '../controls/text';

/** The customer's page behind a secret link: the offer as it was when the link was made, read-only. */
export function CustomerView() {
  const { secret = '' } = useParams();
  const { data: offer, error } = useSharedOffer(secret);
  const [picked, setPicked] = useState<School>();
  useEffect(() => {
    document.title = offer ? `Offer: ${offer.title}` : 'Offer';
  }, [offer]);
  const approach = offer?.ways.find(({ school }) => school === (picked ?? offer.school)) ?? offer?.ways[0];
  return (
    <Box as="main" maxWidth="1080px" mx="auto" px={{ base: '4', md: '6' }} py="6">
      {error && (
        <>
          <Title size="view" as="h1">
            This offer cannot be shown
          </Title>
          <Text mt="2">{error.message}.</Text>
        </>
      )}
      {!offer && !error && <Note role="status">Working it out…</Note>}
      {offer && approach && (
        <>
          <LetterHead offer={offer} />
          <OfferTable offer={offer} chosen={approach.school} onChoose={setPicked} />
          <OfferNotes offer={offer} />
          <Below offer={offer} approach={approach} secret={secret} />
        </>
      )}
    </Box>
  );
}

/** Who offers what to whom, and until when. */
const LetterHead = ({ offer }: { offer: Offer }) => (
  <>
    {offer.firm.logo && (
      <Box bg="white" display="inline-block" p="1" mb="2">
        <img
          src={offer.firm.logo}
          alt={offer.firm.name ?? 'The company'}
          style={{ maxHeight: 72, maxWidth: '100%' }}
        />
      </Box>
    )}
    {offer.firm.name && (
      <Text fontFamily="heading" fontWeight={700} fontSize="17px">
        {offer.firm.name}
      </Text>
    )}
    {offer.firm.licence && <Note size="fine">{offer.firm.licence}</Note>}
    <Reach phone={offer.firm.phone} email={offer.firm.email} />
    <Heading as="h1" fontSize="27px" mt="3">
      {offer.title}
    </Heading>
    <Note mb="4">
      {[
        offer.customer && `For ${offer.customer}`,
        `offered on ${sayDay(offer.on)}`,
        `prices hold to ${sayDay(offer.validTo)}`,
      ]
        .filter(Boolean)
        .join(', ')}
    </Note>
  </>
);

interface BelowProps {
  readonly offer: Offer;
  readonly approach: Offer['ways'][number];
  readonly secret: string;
}

/** The price of the chosen option in detail, and the proof. */
const Below = ({ offer, approach, secret }: BelowProps) => (
  <Box maxWidth="560px" mt="5">
    {!offer.nothingSeen && (
      <Part title={`${schoolWords[approach.school].name}: what the price is made of`}>
        <PriceLines approach={approach} currency={offer.currency} />
      </Part>
    )}
    {offer.proof.length > 0 && (
      <Part title="What proves it">
        <ProofList
          proof={offer.proof}
          photoAt={(name) => `/api/offers/${encodeURIComponent(secret)}/photos/${encodeURIComponent(name)}`}
        />
      </Part>
    )}
  </Box>
);

/** The company's contact details: a press calls or writes. */
function Reach({ phone, email }: Pick<Offer['firm'], 'phone' | 'email'>) {
  const links = (
    [
      ['tel', phone],
      ['mailto', email],
    ] as const
  ).flatMap(([scheme, at]) => (at ? [[scheme, at] as const] : []));
  return (
    <Flex gap="5" wrap="wrap">
      {links.map(([scheme, at]) => (
        <chakra.a
          key={at}
          href={`${scheme}:${scheme === 'tel' ? at.replace(/[^\d+]/g, '') : at}`}
          display="inline-flex"
          alignItems="center"
          minHeight="44px"
          color="ink"
          textDecoration="underline"
        >
          {at}
        </chakra.a>
      ))}
    </Flex>
  );
}
