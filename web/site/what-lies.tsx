import { Flex, Text } from '@chakra-ui/react';
import { surfaceKinds, surfaceWords } from '../../core/catalog/surfaces.js';
import { ownerWords } from '../../core/job/point-words.js';
import type { LineHead } from '../../core/job/schema.js';
import { ownerKinds } from '../../core/job/vocabulary.js';
import { overlaps } from '../../core/line/intervals.js';
import type { LineView } from '../../core/views/line-view.js';
import { Press } from '../controls/controls';
import { feet } from '../controls/format';
import { newStretch, resolver, type Said } from './ground';
import { Alarm } from '../controls/text';

/** Lists whose new stretch needs to know what it is. */
export const askedKinds = {
  surfaces: surfaceKinds.map((kind): [string, Said] => [surfaceWords(kind), { surface: kind }]),
  owners: ownerKinds.map((kind): [string, Said] => [ownerWords[kind], { owner: kind }]),
} as const;

/** Requests what lies on a new stretch, and shows what was there before: a stretch laid over another replaces it. */
export function WhatLies({
  list,
  head,
  view,
  at_ft,
  onSaid,
}: {
  list: keyof typeof askedKinds;
  head: LineHead;
  view: LineView;
  at_ft: number;
  onSaid: (said: Said) => void;
}) {
  const span = newStretch(at_ft, view);
  const resolve = resolver(view);
  const before =
    list === 'surfaces'
      ? (head.surfaces ?? []).map((each) => ({ ...resolve(each), is: surfaceWords(each.kind) }))
      : (head.owners ?? []).map((each) => ({ ...resolve(each), is: ownerWords[each.owner] }));
  const under = before.filter((each) => overlaps(each, span));
  return (
    <Flex
      align="center"
      gap="2"
      px="3"
      py="2"
      bg="keep"
      wrap="wrap"
      role="group"
      aria-label="What lies there"
    >
      <Text>
        {list === 'surfaces' ? 'What lies' : 'Whose part is it'} from {feet(span.from_ft)} to{' '}
        {feet(span.to_ft)} ft?
      </Text>
      {askedKinds[list].map(([words, said]) => (
        <Press
          key={words}
          type="button"
          onClick={() => {
            onSaid(said);
          }}
        >
          {words}
        </Press>
      ))}
      {under.length > 0 && (
        <Alarm width="100%" fontSize="14px">
          {under
            .map(({ is, from_ft, to_ft }) => `${is}, ${feet(from_ft)} to ${feet(to_ft)} ft,`)
            .join(' and ')}{' '}
          on the list already: your choice replaces it there.
        </Alarm>
      )}
    </Flex>
  );
}
