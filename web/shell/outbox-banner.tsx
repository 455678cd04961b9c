import { Box, Flex, Text } from '@chakra-ui/react';
import { settleConflict, forget, type OutboxItem } from '../api/outbox';
import { sayChange } from '../../core/edits/index.js';
import type { Edit } from '../../core/edits/index.js';
import { dayAndTime } from './format';
import { Press } from './controls';

/** What could not go in by itself: a change that ran into somebody else's, or one that the server refused. */
export function OutboxBanner({ items }: { items: readonly OutboxItem[] }) {
  return items
    .filter(({ state }) => state !== 'waiting')
    .map((item) =>
      item.state === 'conflict' ? (
        <ConflictBox key={item.key} item={item} />
      ) : (
        <Box key={item.key} role="alert" borderLeft="6px solid" borderColor="signal" bg="wash" px="4" py="3">
          <Text fontWeight={700}>This could not go in: {item.message}</Text>
          {item.edits.map((edit, index) => (
            <Text key={index}>{sayChange(edit, nothing(edit))}</Text>
          ))}
          {item.faults?.map(({ path, message }) => (
            <Text key={path + message} color="soft" overflowWrap="anywhere">
              {path}: {message}
            </Text>
          ))}
          <Press
            type="button"
            mt="2"
            onClick={() => {
              forget(item.key);
            }}
          >
            Drop it
          </Press>
        </Box>
      ),
    );
}

const nothing = (edit: Edit): Edit => (edit.kind === 'job' ? edit : { ...edit, set: null });

/** Both versions of one thing, and the question which stands. */
function ConflictBox({ item }: { item: OutboxItem }) {
  return (
    <Box role="alert" borderLeft="6px solid" borderColor="signal" bg="wash" px="4" py="3">
      <Text fontWeight={700}>Changed here and elsewhere. Which stands?</Text>
      {item.conflicts?.map((conflict, index) => (
        <Box key={index} mt="1">
          <Text>
            <strong>Here:</strong> {sayChange(conflict.mine, nothing(conflict.mine))}
          </Text>
          <Text>
            <strong>
              {conflict.device}, {dayAndTime(conflict.at)}:
            </strong>{' '}
            {conflict.theirs.set === null ? 'deleted' : sayChange(conflict.theirs, nothing(conflict.theirs))}
          </Text>
          {conflict.fields.length > 0 && (
            <Text color="soft">They differ in: {conflict.fields.join(', ')}</Text>
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
    </Box>
  );
}
