import { Box, Text } from '@chakra-ui/react';
import type { LineHead, Point } from '../../core/job/schema.js';
import { accessWords, ownerWords, sayPointKind } from '../../core/job/point-words.js';
import { accessWays, ownerKinds, pointKinds, surfaceKinds } from '../../core/job/vocabulary.js';
import { moveEnd, type HeldStretch } from '../../core/line/edit-stretches.js';
import type { LineView } from '../../core/views/line-view.js';
import { measureOfField } from '../../core/speech/typed-number.js';
import { feet } from '../controls/format';
import { ChoiceCell, EndCell, NumberCell, TextCell } from './cells';
import { resolver, type ListName } from './ground';
import type { Column } from './list-table';
import { Note } from '../controls/text';

const accessChoices = accessWays.map(
  (way) => [way, way === 'other' ? 'something else' : accessWords[way]] as const,
);
const pointChoices = pointKinds.map((kind) => [kind, sayPointKind(kind)] as const);
export const ownerChoices = ownerKinds.map((kind) => [kind, ownerWords[kind]] as const);

type Item<L extends ListName> = NonNullable<LineHead[L]>[number];

/** A column with a required number: emptied, it keeps its value. */
const numberColumn = <T,>(
  head: string,
  label: string,
  name: keyof T & string,
  least?: number,
): Column<T> => ({
  head,
  cell: (item, change) => (
    <NumberCell
      label={label}
      measure={measureOfField(name)}
      least={least}
      value={item[name] as number}
      onChange={(value) => {
        if (value !== undefined) change({ [name]: value } as Partial<T>);
      }}
    />
  ),
});

export const surfaceColumns = (view: LineView): Column<Item<'surfaces'>>[] => [
  {
    head: 'What lies there',
    cell: ({ kind }, change) => (
      <ChoiceCell
        label="Surface"
        value={kind}
        options={surfaceKinds}
        onChange={(value) => {
          change({ kind: value });
        }}
      />
    ),
  },
  ...endColumns<Item<'surfaces'>>(view),
];

export const ownerColumns = (view: LineView): Column<Item<'owners'>>[] => [
  {
    head: 'Whose part',
    cell: ({ owner }, change) => (
      <ChoiceCell
        label="Owner"
        value={owner}
        options={ownerChoices}
        onChange={(value) => {
          change({ owner: value });
        }}
      />
    ),
  },
  ...endColumns<Item<'owners'>>(view),
];

export const noDigColumns = (view: LineView): Column<Item<'noDig'>>[] => [
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
];

export const crossingColumns: Column<Item<'crossings'>>[] = [
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
  numberColumn('At, ft', 'Station, ft', 'station_ft'),
  {
    head: 'Depth, ft',
    cell: ({ depth_ft }, change) => (
      <NumberCell
        label="Depth of the crossing, ft"
        measure="feet"
        least={0}
        placeholder="?"
        value={depth_ft}
        onChange={(value) => {
          change({ depth_ft: value });
        }}
      />
    ),
  },
];

export const depthColumns: Column<Item<'depths'>>[] = [
  numberColumn('At, ft', 'Station, ft', 'station_ft'),
  numberColumn('Invert below ground, ft', 'Depth of the invert, ft', 'invert_ft', 0),
];

export const groundColumns: Column<Item<'ground'>>[] = [
  numberColumn('At, ft', 'Station, ft', 'station_ft'),
  numberColumn('Elevation, ft', 'Ground elevation, ft', 'elevation_ft'),
];

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
          <Note fontSize="12.5px">now {feet(resolve(stretch)[`${end}_ft`])} ft, moves with it</Note>
        )}
      </Box>
    ),
  }));
}

/** Name and kind of a point. */
const namedColumns: Column<Point>[] = [
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
        options={pointChoices}
        onChange={(value) => {
          change({ kind: value });
        }}
      />
    ),
  },
  {
    head: 'Opened',
    cell: ({ kind, through }, change) =>
      kind === 'access' ? (
        <ChoiceCell
          label="What was opened to let the head in"
          value={through}
          options={accessChoices}
          empty="not said"
          onChange={(opened) => {
            change({ through: opened });
          }}
        />
      ) : null,
  },
];

/** Every point with its place: by the camera, or by tape from the line's zero. */
export const pointColumns = (view: LineView): Column<Point>[] => [
  ...namedColumns,
  {
    head: 'On the line',
    cell: ({ id }) => {
      const at = view.points.find((point) => point.id === id)?.station;
      return at ? (
        <Text whiteSpace="nowrap" py="2.5">
          <strong>{feet(at.value)}</strong> ± {feet(at.plusMinus ?? 0)}
        </Text>
      ) : (
        <Note py="2.5">not known</Note>
      );
    },
  },
  {
    head: 'Taped, ft',
    cell: ({ station_ft }, change) => (
      <NumberCell
        label="Taped or paced from the line’s zero, ft"
        measure="feet"
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
          measure="feet"
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
