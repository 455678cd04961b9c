import { useState } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import { ChoiceCell, NumberCell } from './cells';
import { ListTable, type Column } from './list-table';
import { Asked, MeasuredList, type Marked } from './measured-list';

type Distance = NonNullable<LineHead['markDistances']>[number];

interface Props {
  readonly head: LineHead;
  readonly marks: Marked<{ readonly id: string; readonly name: string }>;
  readonly onChange: (head: LineHead) => void;
}

const ends = [
  ['from', 'From'],
  ['to', 'To'],
] as const;

/** Distances between the marks. */
export function MarkDistances({ head, marks, onChange }: Props) {
  const [asking, setAsking] = useState(false);
  const options = marks.map(({ id, name }) => [id, name] as const);
  const distances = head.markDistances ?? [];
  const set = (markDistances: Distance[]) => {
    onChange({ ...head, markDistances });
  };
  const question = (
    <Question
      marks={marks}
      options={options}
      onAdd={(distance) => {
        set([...distances, distance]);
        setAsking(false);
      }}
    />
  );
  return (
    <MeasuredList title="How far apart" asking={asking} onAsk={setAsking} question={question}>
      {distances.length > 0 && (
        <ListTable
          name="distance"
          selected={undefined}
          onSelect={() => undefined}
          items={distances}
          keyOf={(_, index) => String(index)}
          onChange={set}
          columns={columnsOf(options)}
        />
      )}
    </MeasuredList>
  );
}

type Options = readonly (readonly [id: string, name: string])[];

interface QuestionProps extends Pick<Props, 'marks'> {
  readonly options: Options;
  readonly onAdd: (distance: Distance) => void;
}

/** Two marks and their distance: nothing is on the job until the feet are typed. */
function Question({ marks: [first, second], options, onAdd }: QuestionProps) {
  const [between, setBetween] = useState({ from: first.id, to: second.id });
  return (
    <>
      {ends.map(([end, what]) => (
        <Asked key={end} what={what}>
          <ChoiceCell
            label={`Measured ${end}`}
            value={between[end]}
            options={options}
            onChange={(id) => {
              setBetween({ ...between, [end]: id });
            }}
          />
        </Asked>
      ))}
      <Asked what="Feet between them; Enter adds it">
        <NumberCell
          label="Measured between them, ft"
          measure="feet"
          least={0.1}
          value={undefined}
          onChange={(distance_ft) => {
            if (distance_ft !== undefined) onAdd({ ...between, distance_ft });
          }}
        />
      </Asked>
    </>
  );
}

const columnsOf = (options: Options): Column<Distance>[] => [
  ...ends.map(([end, what]): Column<Distance> => ({
    head: what,
    cell: (item, change) => (
      <ChoiceCell
        label={`Distance ${end}`}
        value={item[end]}
        options={options}
        onChange={(id) => {
          change({ [end]: id });
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
        onChange={(feet) => {
          if (feet !== undefined) change({ distance_ft: feet });
        }}
      />
    ),
  },
];
