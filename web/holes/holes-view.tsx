import { capital } from '../../core/capital.js';
import { methodName } from '../../core/methods/index.js';
import { Box, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { lineHead } from '../../core/edits/index.js';
import { soils, type Soil } from '../../core/job/vocabulary.js';
import { bedding_ft } from '../../core/excavation/section.js';
import { OpenFigure } from '../figure/open-figure';
import { NumberCell } from '../site/cells';
import { Press } from '../controls/controls';
import { feet } from '../controls/format';
import { SaveCrewSheet } from '../documents/save-buttons';
import { useJobContext } from '../shell/job-layout';
import { WorkingOut } from '../shell/working-out';
import { Part } from '../reason/part';
import { holeLetter } from '../../core/excavation/hole.js';
import { dayOrder, type Pit } from './hole-order';
import { cautionsOf } from './cautions';
import { HolePlan } from './hole-plan';
import { HoleSection } from './hole-section';

const soilWords: Record<Soil, string> = { A: 'A', B: 'B', C: 'C', rock: 'rock', unknown: 'not sure' };
/** Two located depths nearer than this are one place, ft. */
const samePlace_ft = 0.5;

/** A page for each hole: what the crew needs to open it, stand in it, and put it back. */
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
    <Flex height="100%" direction={{ base: 'column', lg: 'row' }} overflow={{ base: 'auto', lg: 'hidden' }}>
      <Box
        as="nav"
        aria-label="Excavations in the order of the day"
        width={{ base: '100%', lg: '200px' }}
        flexShrink={0}
        borderRight={{ lg: '1px solid' }}
        borderColor="ink"
        overflowY={{ lg: 'auto' }}
      >
        {order.map(({ pit: each, why }, index) => (
          <chakra.button
            key={each.id}
            type="button"
            display="block"
            width="100%"
            textAlign="left"
            px="4"
            py="3"
            minHeight="44px"
            border="none"
            borderBottom="1px solid"
            borderColor="rule"
            borderLeft="5px solid"
            borderLeftColor={each.id === pit.id ? 'signal' : 'transparent'}
            bg={each.id === pit.id ? 'sheet' : 'transparent'}
            aria-pressed={each.id === pit.id}
            onClick={() => {
              setChosen(each.id);
            }}
          >
            <Text fontFamily="heading" fontWeight={700} fontSize="17px">
              {index + 1}. Excavation {holeLetter(each.id)}
            </Text>
            <Text>
              {feet(each.from_ft)} to {feet(each.to_ft)} ft, {feet(each.figures.depth.value)} deep
            </Text>
            <Text color="soft" fontSize="13.5px">
              {each.surface}; {why}
            </Text>
          </chakra.button>
        ))}
      </Box>
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
          <Heading as="h2" fontSize="17px">
            Section along the line{' '}
            <chakra.span color="soft" fontSize="14px" fontWeight={400}>
              the same scale both ways, stations and depths in feet
            </chakra.span>
          </Heading>
          <SaveCrewSheet />
        </Flex>
        {/* A phone scrolls sideways at a scale that can be read. */}
        <Box overflowX="auto" tabIndex={0} role="group" aria-label="Section">
          <HoleSection line={lineView} scope={lineScope} pit={pit} />
        </Box>
        <Heading as="h2" fontSize="17px" mt="4" mb="2">
          From above
        </Heading>
        <Box overflowX="auto" tabIndex={0} role="group" aria-label="Plan">
          <HolePlan pit={pit} />
        </Box>
      </Box>
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
    </Flex>
  );
}

function AboutHole({ pit }: { pit: Pit }) {
  const { line, lineScope, change } = useJobContext();
  if (!lineScope) return null;
  const serves = lineScope.actions.filter(({ id }) => pit.serves.includes(id));
  const middle = (pit.from_ft + pit.to_ft) / 2;
  const measured = line.depths?.find(({ station_ft }) => Math.abs(station_ft - middle) <= samePlace_ft);
  const setLine = (patch: Partial<ReturnType<typeof lineHead>>) =>
    void change.say([{ kind: 'line', line: line.id, set: { ...lineHead(line), ...patch } }]);
  const figure = (label: string, value: React.ReactNode) => (
    <Flex justify="space-between" gap="3" py="0.5">
      <Text>{label}</Text>
      <Box fontWeight={700} textAlign="right">
        {value}
      </Box>
    </Flex>
  );
  return (
    <>
      <Heading as="h1" fontSize="26px">
        Excavation {holeLetter(pit.id)}
      </Heading>
      <Text color="soft">
        {feet(pit.from_ft)} to {feet(pit.to_ft)} ft, for:{' '}
        {serves
          .map(
            ({ method, from_ft, to_ft }) =>
              `${methodName(method).toLowerCase()} ${feet(from_ft)} to ${feet(to_ft)}`,
          )
          .join('; ') || 'a cleanout'}
      </Text>
      <Part title="Who decides the soil: the competent person, here, today">
        <Flex wrap="wrap" role="radiogroup" aria-label="Soil">
          {soils.map((soil) => (
            <Press
              key={soil}
              type="button"
              role="radio"
              px="3"
              look={(line.soil ?? 'unknown') === soil ? 'chosen' : 'plain'}
              aria-checked={(line.soil ?? 'unknown') === soil}
              onClick={() => {
                setLine({ soil });
              }}
            >
              {soilWords[soil]}
            </Press>
          ))}
        </Flex>
        <Flex align="center" gap="3" mt="2">
          <Text flex="1">Invert measured in the excavation, ft deep</Text>
          <Box width="96px">
            <NumberCell
              label="Invert measured in the excavation, ft deep"
              measure="feet"
              least={0}
              value={measured?.invert_ft}
              placeholder={feet(pit.figures.depth.value - bedding_ft)}
              onChange={(invert_ft) => {
                const others = (line.depths ?? []).filter((each) => each !== measured);
                const depths =
                  invert_ft === undefined
                    ? others
                    : [...others, { station_ft: Number(middle.toFixed(2)), invert_ft }];
                setLine({ depths });
              }}
            />
          </Box>
        </Flex>
        <Text color="soft" fontSize="13.5px" mt="1">
          The whole scope is worked out anew with it. Pin the repair on the sheet to keep the excavation where
          it is.
        </Text>
      </Part>
      <Part title="Size">
        {figure('Bottom', `${feet(pit.figures.bottom_ft[0])} × ${feet(pit.figures.bottom_ft[1])} ft`)}
        {figure(
          'Depth, with 4 in of bedding',
          <OpenFigure figure={pit.figures.depth} label="Depth">
            {feet(pit.figures.depth.value)} ft
          </OpenFigure>,
        )}
        {figure('Protection', pit.figures.protection)}
        {figure(
          'Opening at the top',
          `${feet(pit.sheet.opening_ft[0])} × ${feet(pit.sheet.opening_ft[1])} ft`,
        )}
        {pit.sheet.otherwise && (
          <Text color="soft">
            or {pit.sheet.otherwise.how}, opening {feet(pit.sheet.otherwise.opening_ft[0])} ×{' '}
            {feet(pit.sheet.otherwise.opening_ft[1])} ft
          </Text>
        )}
        {figure(
          'Invert at its ends',
          `${feet(pit.sheet.inverts_ft[0])} and ${feet(pit.sheet.inverts_ft[1])} ft deep`,
        )}
      </Part>
      <Part title="Excavated volume and spoil">
        {figure(
          'Excavated volume',
          <OpenFigure figure={pit.figures.bank} label="Excavated volume">
            {pit.figures.bank.value.toFixed(1)} yd³
          </OpenFigure>,
        )}
        {figure(
          'Spoil (loose), beside the excavation',
          <OpenFigure figure={pit.figures.loose} label="Spoil, loose">
            {pit.figures.loose.value.toFixed(1)} yd³
          </OpenFigure>,
        )}
        {pit.sheet.restore.map(({ surface, area }) => (
          <Box key={surface}>
            {figure(
              `${capital(surface)} to restore`,
              <OpenFigure figure={area} label={`${surface} to restore`}>
                {area.value.toFixed(0)} ft²
              </OpenFigure>,
            )}
          </Box>
        ))}
      </Part>
      <Part title="Find it again">
        {pit.sheet.corners.length === 0 ? (
          <Text>
            Nobody taped this line from marks: give two marks and two tapes under Site, and every corner gets
            its own.
          </Text>
        ) : (
          pit.sheet.corners.map(({ name, tapes }) => (
            <Box key={name} mb="1">
              <Text fontWeight={700}>{capital(name)}</Text>
              {tapes.map(({ mark, distance }) => (
                <Flex key={mark} justify="space-between" gap="3">
                  <Text>from {mark}</Text>
                  <OpenFigure figure={distance} label={`Tape from ${mark}`}>
                    {distance.value.toFixed(1)} ft
                  </OpenFigure>
                </Flex>
              ))}
            </Box>
          ))
        )}
      </Part>
      <Part title="Take care">
        {cautionsOf(pit).map((each) => (
          <Text key={each} borderLeft="5px solid" borderColor="signal" pl="3" my="1.5">
            {each}
          </Text>
        ))}
      </Part>
    </>
  );
}
