import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { LineHead } from '../../core/job/schema.js';
import { AddPress } from '../controls/add-press';
import { ChoiceCell, NumberCell, TextCell } from './cells';
import { ListTable } from './list-table';
import type { LineView } from '../../core/views/line-view.js';

interface Props {
  readonly head: LineHead;
  readonly view: LineView;
  readonly onChange: (head: LineHead) => void;
  readonly table: { readonly selected: number | undefined; readonly onSelect: (index: number) => void };
}

/** Fixed things that anyone can find again, how far apart they are, and what was taped from them. */
export function Marks({ head, view, onChange, table }: Props) {
  const marks = head.marks ?? [];
  const markChoices = marks.map(({ id, name }) => [id, name] as const);
  const [first, second] = marks;
  const ofChoices = [
    ...view.points.map(({ id, name }) => [id, name] as const),
    ...marks.slice(2).map(({ id, name }) => [id, name] as const),
  ];
  const set = (patch: Partial<LineHead>) => {
    onChange({ ...head, ...patch });
  };
  return (
    <Box>
      <ListTable
        {...table}
        name="mark"
        items={marks}
        keyOf={({ id }) => id}
        onChange={(next) => {
          const kept = new Set(next.map(({ id }) => id));
          set({
            marks: next,
            markDistances: head.markDistances?.filter(({ from, to }) => kept.has(from) && kept.has(to)),
            places: head.places?.filter(
              ({ of, tapes }) =>
                tapes.every(({ mark }) => kept.has(mark)) &&
                (kept.has(of) || !marks.some(({ id }) => id === of)),
            ),
          });
        }}
        columns={[
          {
            head: 'Mark',
            cell: ({ name }, change) => (
              <TextCell
                label="What the mark is"
                value={name}
                onChange={(value) => {
                  if (value !== undefined) change({ name: value });
                }}
              />
            ),
          },
        ]}
      />
      {first && second && (
        <>
          <Section
            title="How far apart"
            onAdd={() => {
              set({
                markDistances: [
                  ...(head.markDistances ?? []),
                  { from: first.id, to: second.id, distance_ft: 20 },
                ],
              });
            }}
          />
          {(head.markDistances ?? []).length > 0 && (
            <ListTable
              name="distance"
              selected={undefined}
              onSelect={() => undefined}
              items={head.markDistances ?? []}
              keyOf={(_, index) => String(index)}
              onChange={(markDistances) => {
                set({ markDistances });
              }}
              columns={[
                ...(['from', 'to'] as const).map((end) => ({
                  head: end === 'from' ? 'From' : 'To',
                  cell: (
                    item: NonNullable<LineHead['markDistances']>[number],
                    change: (patch: object) => void,
                  ) => (
                    <ChoiceCell
                      label={`Distance ${end}`}
                      value={item[end]}
                      options={markChoices}
                      onChange={(value) => {
                        if (value) change({ [end]: value });
                      }}
                    />
                  ),
                })),
                {
                  head: 'Feet',
                  cell: ({ distance_ft }, change) => (
                    <NumberCell
                      label="Distance between the marks, ft"
                      measure="feet"
                      least={0.1}
                      value={distance_ft}
                      onChange={(value) => {
                        if (value !== undefined) change({ distance_ft: value });
                      }}
                    />
                  ),
                },
              ]}
            />
          )}
          <Section
            title="Taped from two marks"
            onAdd={() => {
              const of = ofChoices.find(([id]) => !head.places?.some((each) => each.of === id))?.[0];
              if (of === undefined) return;
              set({
                places: [
                  ...(head.places ?? []),
                  {
                    of,
                    tapes: [
                      { mark: first.id, distance_ft: 10 },
                      { mark: second.id, distance_ft: 10 },
                    ],
                    side: 'left',
                  },
                ],
              });
            }}
          />
          {(head.places ?? []).length > 0 && (
            <ListTable
              name="taped place"
              selected={undefined}
              onSelect={() => undefined}
              items={head.places ?? []}
              keyOf={(_, index) => String(index)}
              onChange={(places) => {
                set({ places });
              }}
              columns={[
                {
                  head: 'What',
                  cell: ({ of }, change) => (
                    <ChoiceCell
                      label="What was taped"
                      value={of}
                      options={ofChoices}
                      onChange={(value) => {
                        if (value) change({ of: value });
                      }}
                    />
                  ),
                },
                ...([0, 1] as const).map((which) => ({
                  head: which === 0 ? 'First tape' : 'Second tape',
                  cell: (
                    place: NonNullable<LineHead['places']>[number],
                    change: (patch: Partial<typeof place>) => void,
                  ) => {
                    const tape = place.tapes[which];
                    const put = (patch: Partial<typeof tape>) => {
                      const next = { ...tape, ...patch };
                      change({ tapes: which === 0 ? [next, place.tapes[1]] : [place.tapes[0], next] });
                    };
                    return (
                      <Flex gap="1">
                        <NumberCell
                          label={`${which === 0 ? 'First' : 'Second'} tape, ft`}
                          measure="feet"
                          least={0}
                          value={tape.distance_ft}
                          onChange={(value) => {
                            if (value !== undefined) put({ distance_ft: value });
                          }}
                        />
                        <ChoiceCell
                          label={`${which === 0 ? 'First' : 'Second'} tape from`}
                          value={tape.mark}
                          options={markChoices}
                          onChange={(value) => {
                            if (value) put({ mark: value });
                          }}
                        />
                      </Flex>
                    );
                  },
                })),
                {
                  head: 'Side, from first to second',
                  cell: ({ side }, change) => (
                    <ChoiceCell
                      label="Side"
                      value={side}
                      options={['left', 'right']}
                      onChange={(value) => {
                        if (value) change({ side: value });
                      }}
                    />
                  ),
                },
              ]}
            />
          )}
        </>
      )}
      {marks.length === 1 && (
        <Text p="3" color="soft">
          One more mark, and a point can be found again from both.
        </Text>
      )}
    </Box>
  );
}

function Section({ title, onAdd }: { title: string; onAdd: () => void }) {
  return (
    <Flex align="center" justify="space-between" px="3" pt="3">
      <Heading as="h3" fontSize="15px">
        {title}
      </Heading>
      <AddPress onClick={onAdd} aria-label={`Add: ${title}`}>
        Add
      </AddPress>
    </Flex>
  );
}
