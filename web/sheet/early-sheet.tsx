import { Box, chakra, Text } from '@chakra-ui/react';
import { useMemo } from 'react';
import type { LineView } from '../../core/views/line-view.js';
import { Patterns } from '../drawing/patterns';
import { gutter_px, lanes, leastWidth_px, sheetHeight, sheetScale } from '../drawing/sheet-scale';
import { useWidth } from '../drawing/use-width';
import { Axis } from '../lanes/axis';
import { GroundLane } from '../lanes/ground-lane';
import { Gutter } from '../lanes/gutter';
import { ConditionLane } from '../lanes/condition-lane.js';
import { WallLane } from '../lanes/wall-lane';

const nothing = () => undefined;

/** What the camera saw and its grades, while the scope of a job opened for the first time is computed. */
export function EarlySheet({ line, datum }: { line: LineView; datum: string }) {
  const [ref, boxWidth] = useWidth<HTMLDivElement>(944);
  const scale = useMemo(() => sheetScale(line, Math.max(leastWidth_px, boxWidth)), [line, boxWidth]);
  return (
    <Box ref={ref} overflow="auto" height="100%" aria-busy="true" data-testid="early-sheet">
      <chakra.svg
        width={scale.width}
        height={sheetHeight}
        viewBox={`0 0 ${scale.width} ${sheetHeight}`}
        display="block"
        role="group"
        aria-label="Sheet; its scope is being worked out"
        css={{ overflow: 'hidden' }}
      >
        <Patterns />
        <Axis scale={scale} />
        <GroundLane
          line={line}
          scope={undefined}
          scale={scale}
          selected={undefined}
          onSelect={nothing}
          onLine={nothing}
        />
        <WallLane line={line} scale={scale} selected={undefined} onSelect={nothing} />
        <ConditionLane line={line} scale={scale} />
        <Gutter line={line} scope={undefined} datum={datum} width={scale.width} />
        <text
          x={gutter_px}
          y={lanes.scope.top + 30}
          fontSize={15}
          style={{ fill: 'var(--chakra-colors-soft)' }}
        >
          Working out what to do…
        </text>
      </chakra.svg>
      <Text srOnly role="status">
        Working it out…
      </Text>
    </Box>
  );
}
