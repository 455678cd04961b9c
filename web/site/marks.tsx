import { Box } from '@chakra-ui/react';
import type { LineHead } from '../../core/job/schema.js';
import { TextCell } from './cells';
import { ListTable } from './list-table';
import { MarkDistances } from './mark-distances';
import { TapedPlaces } from './taped-places';
import type { LineView } from '../../core/views/line-view.js';
import { Note } from '../controls/text';

interface Props {
  readonly head: LineHead;
  readonly view: LineView;
  readonly onChange: (head: LineHead) => void;
  readonly table: { readonly selected: number | undefined; readonly onSelect: (index: number) => void };
}

type Mark = NonNullable<LineHead['marks']>[number];

/** Fixed things that anyone can find again, their distances, and what was taped from them. */
export function Marks({ head, view, onChange, table }: Props) {
  const marks = head.marks ?? [];
  const [first, second] = marks;
  return (
    <Box>
      <ListTable
        {...table}
        name="mark"
        items={marks}
        keyOf={({ id }) => id}
        onChange={(next) => {
          onChange(withMarks(head, next));
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
          <MarkDistances head={head} marks={[first, second, ...marks.slice(2)]} onChange={onChange} />
          <TapedPlaces
            head={head}
            view={view}
            marks={[first, second, ...marks.slice(2)]}
            onChange={onChange}
          />
        </>
      )}
      {marks.length === 1 && <Note p="3">One more mark, and a point can be found again from both.</Note>}
    </Box>
  );
}

/** Other marks; measurements from a deleted one are deleted with it. */
function withMarks(head: LineHead, marks: Mark[]): LineHead {
  const kept = new Set(marks.map(({ id }) => id));
  const isGone = (id: string) => !kept.has(id) && head.marks?.some((mark) => mark.id === id) === true;
  return {
    ...head,
    marks,
    markDistances: head.markDistances?.filter(({ from, to }) => kept.has(from) && kept.has(to)),
    places: head.places?.filter(({ of, tapes }) => tapes.every(({ mark }) => kept.has(mark)) && !isGone(of)),
  };
}
