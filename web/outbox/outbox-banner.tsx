import { Box, Flex, Text } from '@chakra-ui/react';
import { senderOf } from '../api/client';
import { settleConflict, type OutboxItem } from '../api/outbox';
import { fieldWord, sayAlone } from '../../core/edits/say.js';
import type { Job } from '../../core/job/schema.js';
import { dayAndTime } from '../controls/format';
import { Press } from '../controls/controls';
import { RefusedParcel } from './refused-parcel';
import { Callout, Note } from '../controls/text';

/**
 * What could not be saved without the user: a change that conflicts with someone else's, or one the server refused.
 */
export function OutboxBanner({ items, job }: { items: readonly OutboxItem[]; job: Job }) {
  return items.map((item) =>
    item.state === 'conflict' ? (
      <ConflictBox key={item.key} item={item} job={job} />
    ) : (
      <RefusedParcel key={item.key} item={item} says={`This could not be saved: ${item.message ?? ''}`}>
        {item.edits.map((edit, index) => (
          <Text key={index}>{sayAlone(edit, job)}</Text>
        ))}
      </RefusedParcel>
    ),
  );
}

/** Both versions of one thing, and the question which to keep. */
function ConflictBox({ item, job }: { item: OutboxItem; job: Job }) {
  return (
    <Callout role="alert">
      <Text fontWeight={700}>Changed here and elsewhere. Which one do you keep?</Text>
      {item.conflicts?.map((conflict, index) => (
        <Box key={index} mt="1">
          <Text>
            <strong>Here:</strong> {sayAlone(conflict.mine, job)}
          </Text>
          <Text>
            <strong>
              {conflict.person ?? senderOf(conflict.device).browser}, {dayAndTime(conflict.at)}:
            </strong>{' '}
            {conflict.theirs.set === null ? 'deleted' : sayAlone(conflict.theirs, job)}
          </Text>
          {conflict.fields.length > 0 && (
            <Note>They differ in: {conflict.fields.map(fieldWord).join(', ')}</Note>
          )}
        </Box>
      ))}
      <Flex gap="2" mt="2">
        <Press type="button" onClick={() => void settleConflict(item, true)}>
          Mine stands
        </Press>
        <Press type="button" onClick={() => void settleConflict(item, false)}>
          Theirs stands
        </Press>
      </Flex>
    </Callout>
  );
}
