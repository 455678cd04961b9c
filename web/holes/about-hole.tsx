import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { capital } from '../../core/capital.js';
import { lineHead } from '../../core/edits/index.js';
import { holeLetter } from '../../core/excavation/hole.js';
import { bedding_ft } from '../../core/excavation/section.js';
import { soils, type Soil } from '../../core/job/vocabulary.js';
import { methodName } from '../../core/methods/index.js';
import { Press } from '../controls/controls';
import { feet } from '../controls/format';
import { OpenFigure } from '../figure/open-figure';
import { Part } from '../reason/part';
import { useJobContext } from '../shell/job-layout';
import { NumberCell } from '../site/cells';
import { cautionsOf } from './cautions';
import type { Pit } from './hole-order';
import { Note } from '../controls/text';

const soilWords: Record<Soil, string> = { A: 'A', B: 'B', C: 'C', rock: 'rock', unknown: 'not sure' };
/** Two located depths closer than this are one place, ft. */
const samePlace_ft = 0.5;

/** What is known of an excavation, and what was found on site. */
export function AboutHole({ pit }: { pit: Pit }) {
  const { lineScope } = useJobContext();
  if (!lineScope) return null;
  const serves = lineScope.actions.filter(({ id }) => pit.serves.includes(id));
  return (
    <>
      <Heading as="h1" fontSize="26px">
        Excavation {holeLetter(pit.id)}
      </Heading>
      <Note>
        {feet(pit.from_ft)} to {feet(pit.to_ft)} ft, for:{' '}
        {serves
          .map(
            ({ method, from_ft, to_ft }) =>
              `${methodName(method).toLowerCase()} ${feet(from_ft)} to ${feet(to_ft)}`,
          )
          .join('; ') || 'a cleanout'}
      </Note>
      <FoundHere pit={pit} />
      <Size pit={pit} />
      <Volume pit={pit} />
      <Corners pit={pit} />
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

/** The soil and depth actually found. */
function FoundHere({ pit }: { pit: Pit }) {
  const { line, change } = useJobContext();
  const middle = (pit.from_ft + pit.to_ft) / 2;
  const measured = line.depths?.find(({ station_ft }) => Math.abs(station_ft - middle) <= samePlace_ft);
  const setLine = (patch: Partial<ReturnType<typeof lineHead>>) =>
    void change.say([{ kind: 'line', line: line.id, set: { ...lineHead(line), ...patch } }]);
  return (
    <Part title="Soil class decided by the competent person, here, today">
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
              const station_ft = Number(middle.toFixed(2));
              setLine({
                depths: invert_ft === undefined ? others : [...others, { station_ft, invert_ft }],
              });
            }}
          />
        </Box>
      </Flex>
      <Note size="fine" mt="1">
        The whole scope is recalculated with it. Pin the repair on the sheet to keep the excavation where it
        is.
      </Note>
    </Part>
  );
}

const Row = ({ label, children }: { label: string; children: ReactNode }) => (
  <Flex justify="space-between" gap="3" py="0.5">
    <Text>{label}</Text>
    <Box fontWeight={700} textAlign="right">
      {children}
    </Box>
  </Flex>
);

const byFeet = ([long, wide]: readonly [number, number]): string => `${feet(long)} × ${feet(wide)} ft`;

const Size = ({ pit: { figures, sheet } }: { pit: Pit }) => (
  <Part title="Size">
    <Row label="Bottom">{byFeet(figures.bottom_ft)}</Row>
    <Row label="Depth, with 4 in of bedding">
      <OpenFigure figure={figures.depth} label="Depth">
        {feet(figures.depth.value)} ft
      </OpenFigure>
    </Row>
    <Row label="Protection">{figures.protection}</Row>
    <Row label="Opening at the top">{byFeet(sheet.opening_ft)}</Row>
    {sheet.otherwise && (
      <Note>
        or {sheet.otherwise.how}, opening {byFeet(sheet.otherwise.opening_ft)}
      </Note>
    )}
    <Row label="Invert at its ends">
      {feet(sheet.inverts_ft[0])} and {feet(sheet.inverts_ft[1])} ft deep
    </Row>
  </Part>
);

const Volume = ({ pit: { figures, sheet } }: { pit: Pit }) => (
  <Part title="Excavated volume and spoil">
    <Row label="Excavated volume">
      <OpenFigure figure={figures.bank} label="Excavated volume">
        {figures.bank.value.toFixed(1)} yd³
      </OpenFigure>
    </Row>
    <Row label="Spoil (loose), beside the excavation">
      <OpenFigure figure={figures.loose} label="Spoil, loose">
        {figures.loose.value.toFixed(1)} yd³
      </OpenFigure>
    </Row>
    {sheet.restore.map(({ surface, area }) => (
      <Row key={surface} label={`${capital(surface)} to restore`}>
        <OpenFigure figure={area} label={`${surface} to restore`}>
          {area.value.toFixed(0)} ft²
        </OpenFigure>
      </Row>
    ))}
  </Part>
);

const Corners = ({ pit: { sheet } }: { pit: Pit }) => (
  <Part title="Find it again">
    {sheet.corners.length === 0 ? (
      <Text>
        This line was not taped from marks: enter two marks and two tapes under Site, and every corner gets
        its distances.
      </Text>
    ) : (
      sheet.corners.map(({ name, tapes }) => (
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
);
