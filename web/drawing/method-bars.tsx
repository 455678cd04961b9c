import { Box, Flex } from '@chakra-ui/react';
import type { Method } from '../../core/job/vocabulary.js';
import type { Interval } from '../../core/line/intervals.js';
import { methodName, methodRow } from '../../core/methods/index.js';
import { feet } from '../controls/format';

/** The work on a line as one thin bar from upstream. */
export function MethodBars({
  name,
  bars,
  line,
}: {
  name: string;
  bars: readonly (Interval & { readonly method: Method })[];
  line: Interval;
}) {
  const length = line.to_ft - line.from_ft;
  const says = bars
    .map(
      ({ method, from_ft, to_ft }) =>
        `${methodName(method).toLowerCase()} ${feet(from_ft)} to ${feet(to_ft)}`,
    )
    .join(', ');
  return (
    <Flex height="15px" my="1" role="img" aria-label={`${name}: ${says}`}>
      {bars.map((bar, i) => (
        <Box
          key={i}
          width={`${(100 * (bar.to_ft - bar.from_ft)) / length}%`}
          bg={methodRow(bar.method).drawing.fill}
          borderRight={i < bars.length - 1 ? '1px solid' : undefined}
          borderColor="paper"
        />
      ))}
    </Flex>
  );
}
