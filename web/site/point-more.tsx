import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { LineHead, Point } from '../../core/job/schema.js';
import { ownerChoices } from './list-columns';
import { measureOfField } from '../../core/speech/typed-number.js';
import { Label } from '../controls/controls';
import { ChoiceCell, NumberCell, TextCell } from './cells';

interface Props {
  readonly point: Point;
  readonly change: (patch: Partial<Point>) => void;
  readonly head: LineHead;
}
type Own = Omit<Props, 'head'>;

/** Further fields of a point, by its kind. */
export function PointMore({ point, change, head }: Props) {
  const own = { point, change };
  return (
    <Grid templateColumns="repeat(auto-fill, minmax(140px, 1fr))" gap="2" pb="2">
      {point.kind === 'cleanout' && <CleanoutFields {...own} />}
      {point.kind === 'bend' && <Feet {...own} label="Degrees" name="degrees" />}
      {point.kind === 'drop' && <Feet {...own} label="Falls, ft" name="fall_ft" />}
      {point.kind === 'tie-in' && <TieInFields {...own} />}
      {(point.kind === 'main' || point.kind === 'manhole') && (
        <Words {...own} label="Connection" name="connection" placeholder="tap, saddle, wye" />
      )}
      <Words {...own} label="Note" said="Note on the point" name="note" />
      {point.kind === 'cleanout' && point.owner === 'neighbour' && (
        <Flex align="center" color="signalInk" fontSize="14px">
          The neighbor’s: recorded, never used.
        </Flex>
      )}
      {point.id === head.datum && (
        <Flex align="center" color="soft" fontSize="14px">
          The line’s zero: all stations run from here.
        </Flex>
      )}
    </Grid>
  );
}

const Named = ({ label, children }: { label: string; children: ReactNode }) => (
  <Box>
    <Label as="span">{label}</Label>
    {children}
  </Box>
);

type NumberField = 'diameter_in' | 'degrees' | 'fall_ft' | 'riser_ft';
type FeetProps = Own & { readonly label: string; readonly name: NumberField; readonly least?: number };

const Feet = ({ point, change, label, name, least = 0 }: FeetProps) => (
  <Named label={label}>
    <NumberCell
      label={label}
      measure={measureOfField(name)}
      least={least}
      value={point[name]}
      onChange={(value) => {
        change({ [name]: value });
      }}
    />
  </Named>
);

type WordsProps = Own & {
  readonly label: string;
  /** Its full name for a screen reader, where the label is short. */
  readonly said?: string;
  readonly name: 'place' | 'connection' | 'note';
  readonly placeholder?: string;
};

const Words = ({ point, change, label, said = label, name, placeholder }: WordsProps) => (
  <Named label={label}>
    <TextCell
      label={said}
      value={point[name]}
      {...(placeholder === undefined ? {} : { placeholder })}
      onChange={(value) => {
        change({ [name]: value });
      }}
    />
  </Named>
);

function CleanoutFields({ point, change }: Own) {
  const own = { point, change };
  return (
    <>
      <WaysFields {...own} />
      <Feet {...own} label="Diameter, in" name="diameter_in" least={1} />
      <Feet {...own} label="Riser, cap to level pipe, ft" name="riser_ft" />
      <Named label="State">
        <ChoiceCell
          label="State"
          value={point.state}
          options={['ok', 'buried', 'cap-broken', 'broken', 'none-here']}
          empty="not checked"
          onChange={(state) => {
            change({ state });
          }}
        />
      </Named>
      <Named label="Whose">
        <ChoiceCell
          label="Whose cleanout"
          value={point.owner}
          options={ownerChoices}
          empty="not said"
          onChange={(owner) => {
            change({ owner, ...(owner === 'neighbour' ? { usable: false } : {}) });
          }}
        />
      </Named>
      <Named label="May be used">
        <ChoiceCell
          label="May be used"
          value={point.usable === undefined ? undefined : point.usable ? 'yes' : 'no'}
          options={['yes', 'no']}
          empty="not said"
          onChange={(value) => {
            change({ usable: value === undefined ? undefined : value === 'yes' });
          }}
        />
      </Named>
      <Words {...own} label="Where it is" name="place" placeholder="box in the drive" />
    </>
  );
}

/** One way or two, and which way a one-way cleanout faces. */
const WaysFields = ({ point, change }: Own) => (
  <>
    <Named label="Fitting">
      <ChoiceCell
        label="Fitting"
        value={point.ways === undefined ? undefined : String(point.ways)}
        options={[
          ['2', 'two-way'],
          ['1', 'one-way'],
        ]}
        empty="not checked"
        onChange={(value) => {
          change({ ways: value === '1' ? 1 : value === '2' ? 2 : undefined });
        }}
      />
    </Named>
    {point.ways === 1 && (
      <Named label="Faces">
        <ChoiceCell
          label="Faces"
          value={point.faces}
          options={[
            ['upstream', 'the house'],
            ['downstream', 'the street'],
          ]}
          empty="not checked"
          onChange={(faces) => {
            change({ faces });
          }}
        />
      </Named>
    )}
  </>
);

const TieInFields = ({ point, change }: Own) => (
  <>
    <Feet point={point} change={change} label="Diameter, in" name="diameter_in" least={1} />
    <Named label="Clock, looking downstream">
      <NumberCell
        label="Clock of the branch connection"
        least={0.5}
        value={typeof point.clock === 'number' ? point.clock : undefined}
        onChange={(clock) => {
          change({ clock });
        }}
      />
    </Named>
    {point.onto && <Text>Joins {point.onto.line} there.</Text>}
  </>
);
