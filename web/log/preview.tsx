import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { LogPart } from '../../core/logline/parse.js';
import { counterOf } from './entries';
import type { LineView } from '../../core/views/line-view.js';

interface PreviewProps {
  readonly parts: readonly LogPart[];
  readonly text: string;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly twin: { key: string; says: string } | undefined;
  readonly same: boolean;
  readonly compact: boolean;
}

/** What was understood, in full sentences; what was not, marked in the text. */
export function Preview({ parts, text, lineView, runId, twin, same, compact }: PreviewProps) {
  if (parts.length === 0) {
    return compact ? null : (
      <Text color="soft">
        A reading, then what is there, in any order: <em>31.7 abs 4 &gt; clay 6</em>, <em>56-50 belly 1/4</em>
        , <em>63 belly starts</em>, <em>3 past the change: joint</em>, <em>no, 31.5</em>, <em>81.7 main</em>.
      </Text>
    );
  }
  const counter = counterOf(lineView, runId);
  return (
    <Box role="status" data-testid="preview">
      {parts.map((part, index) => (
        <Flex key={index} gap="3" py="0.5">
          <Text color="soft" width="14px" flexShrink={0}>
            {index + 1}
          </Text>
          <Box flex="1">
            {part.sentence && (
              <Text>
                {part.replaces !== undefined && <chakra.span color="soft">Now: </chakra.span>}
                <strong>{part.sentence}</strong>
                {counter && part.entry?.reading_ft !== undefined && (
                  <chakra.span color="soft">
                    {' '}
                    · {counter.place(part.entry.reading_ft).toFixed(1)} ft on the line
                  </chakra.span>
                )}
                {part.point && <chakra.span color="soft"> · put down as a point of the line</chakra.span>}
                {part.missing.length > 0 && (
                  <chakra.span color="signalInk"> · still to say: {part.missing.join(', ')}</chakra.span>
                )}
              </Text>
            )}
            {part.errors.map((error) => (
              <Text key={`${error.from} ${error.message}`} color="signalInk">
                {error.to > error.from && error.to - error.from < text.length && (
                  <chakra.span textDecoration="underline wavy" mr="2">
                    {text.slice(error.from, error.to)}
                  </chakra.span>
                )}
                {error.message}
              </Text>
            ))}
          </Box>
          <Text color="soft">{part.entry?.pass}</Text>
        </Flex>
      ))}
      {twin && (
        <Text color={same ? 'ink' : 'soft'} fontSize="14px" pl="26px">
          {same ? 'Another reading of: ' : 'Near: '}
          {twin.says}
        </Text>
      )}
    </Box>
  );
}
