import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { holeLetter } from '../../core/excavation/hole.js';
import type { LineScope } from '../../core/scope/scope.js';
import type { LineView } from '../../core/views/line-view.js';
import { feet } from '../controls/format';
import { SaveCrewSheet } from '../documents/save-buttons';
import { useJobContext } from '../shell/job-layout';
import { WorkingOut } from '../shell/working-out';
import { AboutHole } from './about-hole';
import { dayOrder, type Pit } from './hole-order';
import { HolePlan } from './hole-plan';
import { HoleSection } from './hole-section';
import { Note, Title } from '../controls/text';
import { Split } from '../shell/side-panel';

/** A page for each excavation: what the crew needs to open it, work in it, and restore it. */
export function HolesView() {
  const { lineView, lineScope } = useJobContext();
  const [chosen, setChosen] = useState<string>();
  if (!lineView || !lineScope) {
    return <WorkingOut />;
  }
  const order = dayOrder(lineScope);
  const pit = lineScope.pits.find(({ id }) => id === chosen) ?? order[0]?.pit;
  if (!pit) {
    return (
      <Flex p="6" gap="4" direction="column" align="flex-start">
        <Text>
          {lineView.nothingSeen
            ? 'Nothing seen yet: run the camera, and log what it shows.'
            : lineScope.feasible
              ? 'Nothing is dug on this line.'
              : 'No scope satisfies the rules and pins on this line, so no excavation is placed.'}
        </Text>
        <SaveCrewSheet />
      </Flex>
    );
  }
  return (
    <Split>
      <InOrder order={order} chosen={pit} onChoose={setChosen} />
      <Drawings line={lineView} scope={lineScope} pit={pit} />
      <Box
        as="aside"
        aria-label="About this excavation"
        width={{ base: '100%', lg: '330px' }}
        flexShrink={0}
        bg="sheet"
        borderLeft={{ lg: '1px solid' }}
        borderColor="ink"
        overflowY={{ lg: 'auto' }}
        px="4.5"
        py="3"
        fontSize="14.5px"
      >
        <AboutHole pit={pit} />
      </Box>
    </Split>
  );
}

const Step = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    textAlign: 'left',
    px: '4',
    py: '3',
    minHeight: '44px',
    border: 'none',
    borderBottom: '1px solid',
    borderColor: 'rule',
    borderLeft: '5px solid',
    borderLeftColor: 'transparent',
    bg: 'transparent',
    _pressed: { borderLeftColor: 'signal', bg: 'sheet' },
  },
});

interface InOrderProps {
  readonly order: ReturnType<typeof dayOrder>;
  readonly chosen: Pit;
  readonly onChoose: (id: string) => void;
}

const InOrder = ({ order, chosen, onChoose }: InOrderProps) => (
  <Box
    as="nav"
    aria-label="Excavations in the order of the day"
    width={{ base: '100%', lg: '200px' }}
    flexShrink={0}
    borderRight={{ lg: '1px solid' }}
    borderColor="ink"
    overflowY={{ lg: 'auto' }}
  >
    {order.map(({ pit, why }, index) => (
      <Step
        key={pit.id}
        type="button"
        aria-pressed={pit.id === chosen.id}
        onClick={() => {
          onChoose(pit.id);
        }}
      >
        <Text fontFamily="heading" fontWeight={700} fontSize="17px">
          {index + 1}. Excavation {holeLetter(pit.id)}
        </Text>
        <Text>
          {feet(pit.from_ft)} to {feet(pit.to_ft)} ft, {feet(pit.figures.depth.value)} deep
        </Text>
        <Note size="fine">
          {pit.surface}; {why}
        </Note>
      </Step>
    ))}
  </Box>
);

const Drawings = ({ line, scope, pit }: { line: LineView; scope: LineScope; pit: Pit }) => (
  <Box
    flex="1"
    minWidth={0}
    overflowY={{ lg: 'auto' }}
    px={{ base: '3', md: '5' }}
    py="4"
    tabIndex={0}
    role="region"
    aria-label="The excavation, drawn"
  >
    <Flex justify="space-between" align="flex-end" gap="3" mb="2" wrap="wrap">
      <Title size="thing">
        Section along the line{' '}
        <chakra.span color="soft" fontSize="14px" fontWeight={400}>
          the same scale both ways, stations and depths in feet
        </chakra.span>
      </Title>
      <SaveCrewSheet />
    </Flex>
    {/* A phone scrolls sideways at a legible scale. */}
    <Box overflowX="auto" position="relative" tabIndex={0} role="group" aria-label="Section">
      <HoleSection line={line} scope={scope} pit={pit} />
    </Box>
    <Title size="thing" mt="4" mb="2">
      From above
    </Title>
    <Box overflowX="auto" position="relative" tabIndex={0} role="group" aria-label="Plan">
      <HolePlan pit={pit} />
    </Box>
  </Box>
);
