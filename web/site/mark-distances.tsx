import { useState } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import { ChoiceCell, NumberCell } from './cells';
import { ListTable } from './list-table';
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

/** How far apart the marks are. */
export function MarkDistances({ head, marks, onChange }: Props) {
  const [asking, setAsking] = useState(false);
  const [first, second] = marks;
  const [between, setBetween] = useState({ from: first.id, to: second.id });
  const options = marks.map(({ id, name }) => [id, name] as const);
  const distances = head.markDistances ?? [];
  const set = (markDistances: Distance[]) => {
    onChange({ ...head, markDistances });
  };
  const question = (
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
            if (distance_ft === undefined) return;
            set([...distances, { ...between, distance_ft }]);
            setAsking(false);
          }}
        />
      </Asked>
    </>
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
          columns={[
            ...ends.map(([end, what]) => ({
              head: what,
              cell: (item: Distance, change: (patch: Partial<Distance>) => void) => (
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
          ]}
        />
      )}
    </MeasuredList>
  );
}
