import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { Choice, LogPart } from '../../core/logline/parse.js';
import type { LineView } from '../../core/views/line-view.js';
import { Cap, Press } from '../controls/controls';
import { counterOf } from './entries';
import { Alarm, Note } from '../controls/text';

interface PreviewProps {
  readonly parts: readonly LogPart[];
  readonly text: string;
  readonly lineView: LineView | undefined;
  readonly runId: string;
  readonly twin: { key: string; says: string } | undefined;
  readonly same: boolean;
  readonly compact: boolean;
  readonly onChoose: (choice: Choice) => void;
}

/** Keys for the first choices offered, held with Alt: next to each other, under the left hand. */
export const choiceKeys = ['Q', 'W', 'E', 'R'] as const;

/** Every change that one key can make to what was understood, in the order of the line: answers first. */
export const choicesOf = (parts: readonly LogPart[]): Choice[] =>
  [
    ...parts.flatMap(({ errors }) => errors.flatMap(({ answers = [] }) => answers)),
    ...parts.flatMap(({ choices }) => choices),
  ].slice(0, choiceKeys.length);

/** What was understood, in full sentences; what was not, marked in the text; filler, pale. */
export function Preview({ parts, text, lineView, runId, twin, same, compact, onChoose }: PreviewProps) {
  if (parts.length === 0) {
    return compact ? null : (
      <Note>
        A reading, then what is there, in any order, as you would say it: <em>31.7 abs 4 to clay 6</em>,{' '}
        <em>belly 50 to 56, half an inch</em>, <em>63 belly starts</em>, <em>3 past the change: joint</em>,{' '}
        <em>no, 31.5</em>, <em>81.7 main</em>.
      </Note>
    );
  }
  const choices = choicesOf(parts);
  const passed = parts.flatMap(({ passed: spans }) => spans);
  return (
    <Box role="status" data-testid="preview">
      {passed.length > 0 && <Echo text={text} parts={parts} />}
      {parts.map((part, index) => (
        <PartPreview
          key={index}
          part={part}
          number={index + 1}
          text={text}
          place={counterOf(lineView, runId)?.place}
        />
      ))}
      {choices.length > 0 && (
        <Flex wrap="wrap" gap="2" pl="26px" py="1">
          {choices.map((choice, index) => (
            <Press
              key={`${choice.from} ${choice.label}`}
              type="button"
              onClick={() => {
                onChoose(choice);
              }}
            >
              <chakra.span display={{ base: 'none', md: 'inline' }}>
                <Cap>Alt</Cap>
                <Cap>{choiceKeys[index]}</Cap>
              </chakra.span>
              {choice.label}
            </Press>
          ))}
        </Flex>
      )}
      {twin && (
        <Text color={same ? 'ink' : 'soft'} fontSize="14px" pl="26px">
          {same ? 'Another reading of: ' : 'Near: '}
          {twin.says}
        </Text>
      )}
    </Box>
  );
}

interface PartPreviewProps {
  readonly part: LogPart;
  readonly number: number;
  readonly text: string;
  readonly place: ((reading_ft: number) => number) | undefined;
}

function PartPreview({ part, number, text, place }: PartPreviewProps) {
  return (
    <Flex gap="3" py="0.5">
      <Note width="14px" flexShrink={0}>
        {number}
      </Note>
      <Box flex="1">
        {part.sentence && (
          <Text>
            {part.replaces !== undefined && <chakra.span color="soft">Now: </chakra.span>}
            <strong>{part.sentence}</strong>
            {place && part.entry?.reading_ft !== undefined && (
              <chakra.span color="soft">
                {' '}
                · {place(part.entry.reading_ft).toFixed(1)} ft on the line
              </chakra.span>
            )}
            {part.point && <chakra.span color="soft"> · added as a point of the line</chakra.span>}
            {part.missing.length > 0 && (
              <chakra.span color="signalInk"> · still missing: {part.missing.join(', ')}</chakra.span>
            )}
          </Text>
        )}
        {part.was && <Note size="small">instead of: {part.was}</Note>}
        {part.doubts.map((doubt) => (
          <Alarm key={doubt} data-testid="doubt">
            {doubt}
          </Alarm>
        ))}
        {part.errors.map((error) => (
          <Alarm key={`${error.from} ${error.message}`}>
            {error.to > error.from && error.to - error.from < text.length && (
              <chakra.span textDecoration="underline wavy" mr="2">
                {text.slice(error.from, error.to)}
              </chakra.span>
            )}
            {error.message}
          </Alarm>
        ))}
      </Box>
      <Note>{part.entry?.pass}</Note>
    </Flex>
  );
}

/** The line as typed: filler is pale, words not understood are underlined. */
function Echo({ text, parts }: { text: string; parts: readonly LogPart[] }) {
  const marks = parts.flatMap(({ passed, errors }) => [
    ...passed.map(({ from, to }) => ({ from, to, pale: true })),
    ...errors
      .filter(({ from, to }) => to - from < text.length)
      .map(({ from, to }) => ({ from, to, pale: false })),
  ]);
  const kindAt = (at: number) => marks.find(({ from, to }) => at >= from && at < to)?.pale;
  const runs: { text: string; pale: boolean | undefined }[] = [];
  for (let at = 0; at < text.length; at++) {
    const pale = kindAt(at);
    const last = runs.at(-1);
    if (last && last.pale === pale) last.text += text.charAt(at);
    else runs.push({ text: text.charAt(at), pale });
  }
  return (
    <Text fontSize="14px" pl="26px" overflowWrap="anywhere" data-testid="echo">
      {runs.map((run, index) => (
        <chakra.span
          key={index}
          color={run.pale === undefined ? 'ink' : run.pale ? 'soft' : 'signalInk'}
          opacity={run.pale ? 0.75 : 1}
          textDecoration={run.pale === false ? 'underline wavy' : 'none'}
        >
          {run.text}
        </chakra.span>
      ))}
    </Text>
  );
}
