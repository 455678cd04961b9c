import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { School } from '../../core/job/vocabulary.js';
import { useAgreed, useOffer } from '../api/offer';
import { SaveOffer } from '../documents/save-buttons';
import { useJobContext } from '../shell/job-layout';
import { today } from '../controls/today';
import { Faults } from '../shell/faults';
import type { Offer } from '../../core/offer/offer.js';
import { schoolWords } from '../../core/job/school-words.js';
import { sayDay } from '../../core/days.js';

import { SidePanel, Split } from '../shell/side-panel';
import { Part } from '../reason/part';
import { WorkingOut } from '../shell/working-out';
import { AcceptPart, Accepted } from './accept-part';
import { LinksPart } from './links-part';
import { OfferTable } from './offer-table';
import { OptionsPart } from './options-part';
import { PriceLines } from './price-part';
import { ProofList } from './proof';
import { OfferNotes } from './offer-notes.js';
import { TermsPart } from './terms-part';
import { Note, Title } from '../controls/text';

const counts = ['No option', 'One option', 'Two options', 'Three options'];

/** The offer: the options side by side, the proof, and the accepted one. */
export function OfferView() {
  const { job, firm } = useJobContext();
  const { data: offer, error } = useOffer(job, firm, today());
  const { data: frozen } = useAgreed(job.accepted, firm);
  const [picked, setPicked] = useState<School>();
  if (error) return <Faults error={error} />;
  if (!offer) return <WorkingOut />;
  const preferred = picked ?? job.accepted?.school ?? offer.school;
  const approach = offer.ways.find(({ school }) => school === preferred) ?? offer.ways[0];
  if (!approach) return null;
  const agreed = frozen?.ways.find(({ school }) => school === approach.school);
  return (
    <Split>
      <Box
        flex="1"
        minWidth={0}
        flexShrink={0}
        overflowY={{ lg: 'auto' }}
        px={{ base: '4', md: '5' }}
        py="4"
        tabIndex={0}
        role="region"
        aria-label="The offer"
      >
        {job.accepted && <Accepted accepted={job.accepted} />}
        <Head offer={offer} />
        <OfferTable offer={offer} chosen={approach.school} onChoose={setPicked} />
        <OfferNotes offer={offer} />
        <TermsPart />
      </Box>
      <SidePanel aria-label="The chosen option" fontSize="14.5px">
        {agreed && job.accepted?.school === approach.school && (
          <Part title={`${schoolWords[approach.school].name}: as agreed`}>
            <PriceLines approach={agreed} currency={offer.currency} testId="agreed-price" />
          </Part>
        )}
        {agreed?.total !== approach.total && !offer.nothingSeen && (
          <Part
            title={`${schoolWords[approach.school].name}: ${agreed ? 'as it stands now' : 'what the price is made of'}`}
          >
            <PriceLines approach={approach} currency={offer.currency} />
          </Part>
        )}
        <OptionsPart approach={approach} currency={offer.currency} />
        <Part title="What proves it">
          <ProofList proof={offer.proof} photoAt={(name) => `/api/photos/${encodeURIComponent(name)}`} />
        </Part>
        <AcceptPart approach={approach} nothingSeen={offer.nothingSeen} />
        <LinksPart />
      </SidePanel>
    </Split>
  );
}

/** Subject of the offer, its customer, and how long it is valid. */
const Head = ({ offer }: { offer: Offer }) => (
  <Flex justify="space-between" align="flex-start" gap="3" wrap="wrap" mb="2">
    <Box>
      <Title size="view" as="h1">
        {counts[offer.ways.length]} to put {offer.lines.length > 1 ? 'these lines' : 'this line'} right
      </Title>
      <Note>
        {[
          offer.customer ? `For ${offer.customer}` : offer.title,
          offer.customer ? (offer.address ?? offer.title) : undefined,
        ]
          .filter(Boolean)
          .join(', ')}
        . Prices hold to {sayDay(offer.validTo)}.
      </Note>
    </Box>
    <SaveOffer offer={offer} />
  </Flex>
);
