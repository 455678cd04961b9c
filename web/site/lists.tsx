import { Box, Flex, Grid, Text } from '@chakra-ui/react';
import type { LineHead, Point } from '../../core/job/schema.js';
import { ownerKinds, pointKinds, surfaceKinds } from '../../core/job/vocabulary.js';
import { moveEnd, type HeldStretch } from '../../core/line/edit-stretches.js';
import { feet } from '../shell/format';
import { Label } from '../shell/controls';
import { ChoiceCell, EndCell, NumberCell, TextCell } from './cells';
import { resolver, type Chosen, type ListName } from './ground';
import { ListTable, type Column } from './list-table';
import { Marks } from './marks';
import type { LineView } from '../../core/views/line-view.js';

interface Props {
  readonly list: ListName;
  readonly head: LineHead;
  readonly view: LineView;
  readonly chosen: Chosen | undefined;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onChange: (head: LineHead) => void;
}

type Item<L extends ListName> = NonNullable<LineHead[L]>[number];

/** The same things as on the strip, in fields. */
export function Lists(props: Props) {
  const { list, head, view, chosen, onChoose, onChange } = props;
  const table = {
    selected: chosen?.list === list ? chosen.index : undefined,
    onSelect: (index: number) => {
      if (chosen?.list !== list || chosen.index !== index) onChoose({ list, index });
    },
  };
  const set = (patch: Partial<LineHead>) => {
    onChange({ ...head, ...patch });
  };
  switch (list) {
    case 'points':
      return (
        <ListTable
          {...table}
          name="point"
          items={head.points}
          columns={pointColumns(view)}
          keyOf={({ id }) => id}
          onChange={(points) => {
            set({ points });
          }}
          more={(point, change) => <PointMore point={point} change={change} head={head} />}
        />
      );
    case 'surfaces':
      return (
        <ListTable
          {...table}
          name="surface"
          items={head.surfaces ?? []}
          keyOf={(_, index) => String(index)}
          onChange={(surfaces) => {
            set({ surfaces });
          }}
          columns={[
            {
              head: 'What lies there',
              cell: ({ kind }, change) => (
                <ChoiceCell
                  label="Surface"
                  value={kind}
                  options={surfaceKinds}
                  onChange={(value) => {
                    if (value) change({ kind: value });
                  }}
                />
              ),
            },
            ...endColumns<Item<'surfaces'>>(view),
          ]}
        />
      );
    case 'owners':
      return (
        <ListTable
          {...table}
          name="owner"
          items={head.owners ?? []}
          keyOf={(_, index) => String(index)}
          onChange={(owners) => {
            set({ owners });
          }}
          columns={[
            {
              head: 'Whose part',
              cell: ({ owner }, change) => (
                <ChoiceCell
                  label="Owner"
                  value={owner}
                  options={ownerKinds}
                  onChange={(value) => {
                    if (value) change({ owner: value });
                  }}
                />
              ),
            },
            ...endColumns<Item<'owners'>>(view),
          ]}
        />
      );
    case 'noDig':
      return (
        <ListTable
          {...table}
          name="no-dig stretch"
          items={head.noDig ?? []}
          keyOf={(_, index) => String(index)}
          onChange={(noDig) => {
            set({ noDig });
          }}
          columns={[
            {
              head: 'Why not',
              cell: ({ why }, change) => (
                <TextCell
                  label="Why no digging"
                  value={why}
                  placeholder="old oak"
                  onChange={(value) => {
                    change({ why: value });
                  }}
                />
              ),
            },
            ...endColumns<Item<'noDig'>>(view),
          ]}
        />
      );
    case 'crossings':
      return (
        <>
          <ListTable
            {...table}
            name="crossing"
            items={head.crossings ?? []}
            keyOf={(_, index) => String(index)}
            onChange={(crossings) => {
              set({ crossings });
            }}
            columns={[
              {
                head: 'What crosses',
                cell: ({ utility }, change) => (
                  <TextCell
                    label="Utility"
                    value={utility}
                    onChange={(value) => {
                      change({ utility: value ?? 'unknown' });
                    }}
                  />
                ),
              },
              stationColumn<Item<'crossings'>>(),
              {
                head: 'Depth, ft',
                cell: ({ depth_ft }, change) => (
                  <NumberCell
                    label="Depth of the crossing, ft"
                    least={0}
                    placeholder="?"
                    value={depth_ft}
                    onChange={(value) => {
                      change({ depth_ft: value });
                    }}
                  />
                ),
              },
            ]}
          />
          <Text p="3" color="soft">
            Call for the utility locate before any digging: what is drawn here is what somebody told, not the
            locate.
          </Text>
        </>
      );
    case 'depths':
      return (
        <ListTable
          {...table}
          name="depth"
          items={head.depths ?? []}
          keyOf={(_, index) => String(index)}
          onChange={(depths) => {
            set({ depths });
          }}
          columns={[
            stationColumn<Item<'depths'>>(),
            {
              head: 'Invert below ground, ft',
              cell: ({ invert_ft }, change) => (
                <NumberCell
                  label="Depth of the invert, ft"
                  least={0}
                  value={invert_ft}
                  onChange={(value) => {
                    if (value !== undefined) change({ invert_ft: value });
                  }}
                />
              ),
            },
          ]}
        />
      );
    case 'ground':
      return (
        <ListTable
          {...table}
          name="ground elevation"
          items={head.ground ?? []}
          keyOf={(_, index) => String(index)}
          onChange={(ground) => {
            set({ ground });
          }}
          columns={[
            stationColumn<Item<'ground'>>(),
            {
              head: 'Elevation, ft',
              cell: ({ elevation_ft }, change) => (
                <NumberCell
                  label="Ground elevation, ft"
                  value={elevation_ft}
                  onChange={(value) => {
                    if (value !== undefined) change({ elevation_ft: value });
                  }}
                />
              ),
            },
          ]}
        />
      );
    case 'marks':
      return <Marks head={head} view={view} onChange={onChange} table={table} />;
  }
}

function endColumns<T extends HeldStretch>(view: LineView): Column<T>[] {
  const resolve = resolver(view);
  const things = view.points.map(({ id, name }) => ({ id, name }));
  return (['from', 'to'] as const).map((end) => ({
    head: end === 'from' ? 'From' : 'To',
    cell: (stretch, change) => (
      <Box>
        <EndCell
          label={end === 'from' ? 'From' : 'To'}
          feet={stretch[`${end}_ft`] ?? Math.round(resolve(stretch)[`${end}_ft`] * 10) / 10}
          thing={stretch[end]}
          things={things}
          onChange={(to) => {
            const at = 'thing' in to ? { thing: to.thing, feet: 0 } : to;
            const moved = moveEnd(stretch, end, at, resolve);
            change({ from: undefined, to: undefined, from_ft: undefined, to_ft: undefined, ...moved });
          }}
        />
        {stretch[end] !== undefined && (
          <Text fontSize="12.5px" color="soft">
            now {feet(resolve(stretch)[`${end}_ft`])} ft, moves with it
          </Text>
        )}
      </Box>
    ),
  }));
}

const stationColumn = <T extends { station_ft: number }>(): Column<T> => ({
  head: 'At, ft',
  cell: ({ station_ft }, change) => (
    <NumberCell
      label="Station, ft"
      value={station_ft}
      onChange={(value) => {
        if (value !== undefined) change({ station_ft: value } as Partial<T>);
      }}
    />
  ),
});

const pointColumns = (view: LineView): Column<Point>[] => [
  {
    head: 'Name',
    cell: ({ name, id }, change) => (
      <TextCell
        label="Name of the point"
        value={name ?? id}
        onChange={(value) => {
          change({ name: value });
        }}
      />
    ),
  },
  {
    head: 'What it is',
    cell: ({ kind }, change) => (
      <ChoiceCell
        label="Kind of point"
        value={kind}
        options={pointKinds}
        onChange={(value) => {
          if (value) change({ kind: value });
        }}
      />
    ),
  },
  {
    head: 'On the line',
    cell: ({ id }) => {
      const at = view.points.find((point) => point.id === id)?.station;
      return at ? (
        <Text whiteSpace="nowrap" py="2.5">
          <strong>{feet(at.value)}</strong> ± {feet(at.plusMinus ?? 0)}
        </Text>
      ) : (
        <Text py="2.5" color="soft">
          not known
        </Text>
      );
    },
  },
  {
    head: 'Taped, ft',
    cell: ({ station_ft }, change) => (
      <NumberCell
        label="Taped or paced from the line’s zero, ft"
        value={station_ft}
        placeholder="camera"
        onChange={(value) => {
          change({ station_ft: value });
        }}
      />
    ),
  },
  {
    head: 'Good to ± ft',
    cell: ({ plusMinus_ft, station_ft }, change) =>
      station_ft === undefined ? null : (
        <NumberCell
          label="Good to plus or minus, ft"
          least={0.01}
          value={plusMinus_ft}
          placeholder="tape 0.5"
          onChange={(value) => {
            change({ plusMinus_ft: value });
          }}
        />
      ),
  },
];

/** What a point has besides its place, by its kind. */
function PointMore({
  point,
  change,
  head,
}: {
  point: Point;
  change: (patch: Partial<Point>) => void;
  head: LineHead;
}) {
  const field = (label: string, cell: React.ReactNode) => (
    <Box key={label}>
      <Label as="span">{label}</Label>
      {cell}
    </Box>
  );
  const number = (label: string, name: 'diameter_in' | 'degrees' | 'fall_ft' | 'riser_ft', least = 0) =>
    field(
      label,
      <NumberCell
        label={label}
        least={least}
        value={point[name]}
        onChange={(value) => {
          change({ [name]: value });
        }}
      />,
    );
  const clock = typeof point.clock === 'number' ? point.clock : undefined;
  return (
    <Grid templateColumns="repeat(auto-fill, minmax(140px, 1fr))" gap="2" pb="2">
      {point.kind === 'cleanout' && [
        field(
          'Ways',
          <ChoiceCell
            label="Ways"
            value={point.ways === undefined ? undefined : String(point.ways)}
            options={[
              ['2', 'two-way'],
              ['1', 'one-way'],
            ]}
            empty="not looked at"
            onChange={(value) => {
              change({ ways: value === '1' ? 1 : value === '2' ? 2 : undefined });
            }}
          />,
        ),
        ...(point.ways === 1
          ? [
              field(
                'Faces',
                <ChoiceCell
                  label="Faces"
                  value={point.faces}
                  options={[
                    ['upstream', 'the house'],
                    ['downstream', 'the street'],
                  ]}
                  empty="not looked at"
                  onChange={(value) => {
                    change({ faces: value });
                  }}
                />,
              ),
            ]
          : []),
        number('Bore, in', 'diameter_in', 1),
        number('Riser, cap to level pipe, ft', 'riser_ft'),
        field(
          'State',
          <ChoiceCell
            label="State"
            value={point.state}
            options={['ok', 'buried', 'cap-broken', 'broken', 'none-here']}
            empty="not looked at"
            onChange={(value) => {
              change({ state: value });
            }}
          />,
        ),
        field(
          'Whose',
          <ChoiceCell
            label="Whose cleanout"
            value={point.owner}
            options={ownerKinds}
            empty="not said"
            onChange={(value) => {
              change({ owner: value, ...(value === 'neighbour' ? { usable: false } : {}) });
            }}
          />,
        ),
        field(
          'May be used',
          <ChoiceCell
            label="May be used"
            value={point.usable === undefined ? undefined : point.usable ? 'yes' : 'no'}
            options={['yes', 'no']}
            empty="not said"
            onChange={(value) => {
              change({ usable: value === undefined ? undefined : value === 'yes' });
            }}
          />,
        ),
        field(
          'Where it is',
          <TextCell
            label="Where it is"
            value={point.place}
            placeholder="box in the drive"
            onChange={(value) => {
              change({ place: value });
            }}
          />,
        ),
      ]}
      {point.kind === 'bend' && number('Degrees', 'degrees')}
      {point.kind === 'drop' && number('Falls, ft', 'fall_ft')}
      {point.kind === 'tie-in' && [
        number('Bore, in', 'diameter_in', 1),
        field(
          'Clock, looking downstream',
          <NumberCell
            label="Clock of the tie-in"
            least={0.5}
            value={clock}
            onChange={(value) => {
              change({ clock: value });
            }}
          />,
        ),
        ...(point.onto ? [<Text key="onto">Joins {point.onto.line} there.</Text>] : []),
      ]}
      {(point.kind === 'main' || point.kind === 'manhole') &&
        field(
          'Connection',
          <TextCell
            label="Connection"
            value={point.connection}
            placeholder="tap, saddle, wye"
            onChange={(value) => {
              change({ connection: value });
            }}
          />,
        )}
      {field(
        'Note',
        <TextCell
          label="Note on the point"
          value={point.note}
          onChange={(value) => {
            change({ note: value });
          }}
        />,
      )}
      {point.kind === 'cleanout' && point.owner === 'neighbour' && (
        <Flex align="center" color="signalInk" fontSize="14px">
          The neighbour’s: recorded, never used.
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
