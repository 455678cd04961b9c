import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import { linearScale } from '../drawing/scale';
import type { ReactNode } from 'react';
import { findingName, gradedKinds } from '../../core/findings/kinds.js';
import type { Scope } from '../../core/scope/scope.js';
import { Press } from '../controls/controls';
import { lanes, type SheetScale } from '../drawing/sheet-scale';
import { DrawnFinding } from '../lanes/drawn-finding';
import type { FindingView } from '../../core/views/line-view.js';
import { Note, Title } from '../controls/text';

const sample_px = 64;
/** A stretch of one foot in 32 px, enough to show what a finding looks like. */
const scale: SheetScale = {
  x: linearScale([0, 2], [0, sample_px]),
  width: sample_px,
  from_ft: 0,
  to_ft: 2,
  seen: { from_ft: 0, to_ft: 2 },
};

const hatches = [
  ['unseen', 'Not seen: nothing is known'],
  ['dug', 'An excavation, to scale'],
  ['no-dig', 'No digging here'],
  ['hatch-cross', 'Bituminous fiber pipe, asbestos cement'],
  ['hatch-dots', 'Concrete, cast iron'],
] as const;

const Row = ({ words, children }: { words: string; children: ReactNode }) => (
  <Flex align="center" gap="3">
    {children}
    <Text>{words}</Text>
  </Flex>
);

const Rows = ({ methods }: Pick<Props, 'methods'>) => (
  <>
    {gradedKinds().map(({ id: kind }) => (
      <Row key={kind} words={findingName(kind)}>
        <svg
          width={46}
          height={88}
          viewBox={`0 ${lanes.wall.top} ${sample_px} ${lanes.wall.height}`}
          preserveAspectRatio="xMidYMid meet"
          aria-hidden
          style={{ background: 'var(--chakra-colors-paper)', flexShrink: 0 }}
        >
          <DrawnFinding finding={sampleOf(kind)} scale={scale} />
        </svg>
      </Row>
    ))}
    {hatches.map(([pattern, words]) => (
      <Row key={pattern} words={words}>
        <svg width={sample_px} height={30} aria-hidden style={{ flexShrink: 0 }}>
          <rect width={sample_px} height={30} fill={`url(#${pattern})`} stroke="var(--chakra-colors-soft)" />
        </svg>
      </Row>
    ))}
    {methods.map(({ name, drawing }) => (
      <Row key={name} words={name}>
        <Box width={`${sample_px}px`} height="24px" bg={drawing.fill} flexShrink={0} />
      </Row>
    ))}
  </>
);

interface Props {
  readonly methods: Scope['methods'];
  readonly onClose: () => void;
}

/** Key to the drawings: every finding as drawn on the wall, hatches, and the colors of the methods. */
export function Legend({ methods, onClose }: Props) {
  return (
    <Box
      role="dialog"
      aria-label="What the drawings mean"
      position="absolute"
      top="48px"
      left="12px"
      right="12px"
      maxHeight="calc(100% - 60px)"
      overflowY="auto"
      bg="sheet"
      border="1.5px solid"
      borderColor="ink"
      p="4"
      zIndex={15}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <Flex justify="space-between" align="center" mb="2">
        <Title size="section">What the drawings mean</Title>
        <Press type="button" autoFocus onClick={onClose}>
          Close
        </Press>
      </Flex>
      <Note mb="3">
        On the wall, unrolled with the water in the middle. Drawn dashed: only possible. Pale: cleaned since.
      </Note>
      <Grid templateColumns="repeat(auto-fill, minmax(190px, 1fr))" gap="2">
        <Rows methods={methods} />
      </Grid>
    </Box>
  );
}

/** A finding of a kind at the middle of the sample, to fix. */
function sampleOf(kind: FindingView['kind']): FindingView {
  const entry = {
    id: kind,
    kind: 'finding',
    finding: kind,
    ...(kind === 'crack' ? { form: 'several' } : {}),
  } as FindingView['entry'];
  const figure = { value: 1, unit: 'ft', steps: [] };
  return {
    id: kind,
    kind,
    entry,
    ...{ name: '', says: '' },
    from_ft: 0.7,
    to_ft: 1.3,
    place: { from_ft: 0.5, to_ft: 1.5 },
    plusMinus_ft: 0,
    clock: kind === 'roots' ? [3, 9] : undefined,
    grade: 3,
    tableGrade: 3,
    possible: false,
    settled: false,
    why: figure,
    station: figure,
    cures: [],
    readings: [],
  };
}
