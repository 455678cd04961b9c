import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import type { LineView } from '../../core/views/line-view.js';
import { Press } from '../controls/controls';
import { FeetField, typedFeet } from '../controls/feet-field';
import { ChoiceCell, NumberCell } from './cells';
import { ListTable, type Column } from './list-table';
import { Asked, MeasuredList, type Marked } from './measured-list';

type Place = NonNullable<LineHead['places']>[number];
type Options = readonly (readonly [string, string])[];

interface Props {
  readonly head: LineHead;
  readonly view: LineView;
  readonly marks: Marked<{ readonly id: string; readonly name: string }>;
  readonly onChange: (head: LineHead) => void;
}

/** Places taped from two marks. */
export function TapedPlaces({ head, view, marks, onChange }: Props) {
  const [asking, setAsking] = useState(false);
  const markOptions = marks.map(({ id, name }) => [id, name] as const);
  const places = head.places ?? [];
  const whats = [...view.points, ...marks.slice(2)].map(({ id, name }) => [id, name] as const);
  const set = (next: Place[]) => {
    onChange({ ...head, places: next });
  };
  const untaped = whats.find(([id]) => !places.some(({ of }) => of === id));
  const question = (
    <NewPlace
      whats={whats}
      markOptions={markOptions}
      start={{ of: (untaped ?? whats[0])?.[0], marks: [marks[0].id, marks[1].id] }}
      onMeasured={(place) => {
        set([...places, place]);
        setAsking(false);
      }}
    />
  );
  return (
    <MeasuredList title="Taped from two marks" asking={asking} onAsk={setAsking} question={question}>
      {places.length > 0 && (
        <ListTable
          name="taped place"
          selected={undefined}
          onSelect={() => undefined}
          items={places}
          keyOf={(_, index) => String(index)}
          onChange={set}
          columns={columnsOf(whats, markOptions)}
        />
      )}
    </MeasuredList>
  );
}

const columnsOf = (whats: Options, markOptions: Options): Column<Place>[] => [
  {
    head: 'What',
    cell: ({ of }, change) => (
      <What
        value={of}
        whats={whats}
        onChange={(id) => {
          change({ of: id });
        }}
      />
    ),
  },
  ...tapes.map(([which, what]) => ({
    head: what,
    cell: ({ tapes: now }: Place, change: (patch: Partial<Place>) => void) => (
      <Tape
        what={what}
        tape={now[which]}
        markOptions={markOptions}
        onChange={(tape) => {
          const next = { ...now[which], ...tape };
          change({ tapes: which === 0 ? [next, now[1]] : [now[0], next] });
        }}
      />
    ),
  })),
  {
    head: sideWords,
    cell: ({ side }, change) => (
      <Side
        value={side}
        onChange={(next) => {
          change({ side: next });
        }}
      />
    ),
  },
];

const sideWords = 'Side, from first to second';
const tapes = [
  [0, 'First tape'],
  [1, 'Second tape'],
] as const;

type TapeRead = Place['tapes'][number];

interface NewPlaceProps {
  readonly whats: Options;
  readonly markOptions: Options;
  readonly start: { readonly of: string | undefined; readonly marks: readonly [string, string] };
  readonly onMeasured: (place: Place) => void;
}

/** Requests both tapes: there is no place until somebody read them. */
function NewPlace({ whats, markOptions, start, onMeasured }: NewPlaceProps) {
  const [of, setOf] = useState(start.of);
  const [side, setSide] = useState<Place['side']>('left');
  const [typed, setTyped] = useState(start.marks.map((mark) => ({ mark, feet: '' })));
  const [first, second] = typed.map(({ mark, feet }) => ({ mark, distance_ft: typedFeet(feet).feet }));
  const isWhole = of !== undefined && isRead(first) && isRead(second);
  const put = (which: number, part: Partial<(typeof typed)[number]>) => {
    setTyped(typed.map((tape, i) => (i === which ? { ...tape, ...part } : tape)));
  };
  return (
    <>
      <Asked what="What">
        <What value={of} whats={whats} onChange={setOf} />
      </Asked>
      {tapes.map(([which, what]) => (
        <Flex key={what} gap="1" align="flex-start">
          <Box width="150px">
            <FeetField
              id={`new-tape-${which}`}
              label={`${what}, ft`}
              value={typed[which]?.feet ?? ''}
              onChange={(feet) => {
                put(which, { feet });
              }}
            />
          </Box>
          <Asked what="from">
            <ChoiceCell
              label={`New ${what.toLowerCase()} from`}
              value={typed[which]?.mark}
              options={markOptions}
              onChange={(mark) => {
                put(which, { mark });
              }}
            />
          </Asked>
        </Flex>
      ))}
      <Asked what={sideWords}>
        <Side value={side} onChange={setSide} />
      </Asked>
      <Press
        type="button"
        look="chosen"
        // Level with the fields beside it, which have labels above them.
        mt="25px"
        disabled={!isWhole}
        onClick={() => {
          if (isWhole) onMeasured({ of, tapes: [first, second], side });
        }}
      >
        Add it
      </Press>
    </>
  );
}

const isRead = (tape: { mark: string; distance_ft: number | undefined } | undefined): tape is TapeRead =>
  tape?.distance_ft !== undefined;

interface WhatProps {
  readonly value: string | undefined;
  readonly whats: Options;
  readonly onChange: (id: string) => void;
}

const What = ({ value, whats, onChange }: WhatProps) => (
  <ChoiceCell label="What was taped" value={value} options={whats} onChange={onChange} />
);

interface TapeProps {
  readonly what: string;
  readonly tape: TapeRead;
  readonly markOptions: Options;
  readonly onChange: (tape: Partial<TapeRead>) => void;
}

const Tape = ({ what, tape, markOptions, onChange }: TapeProps) => (
  <Flex gap="1" align="flex-start">
    <NumberCell
      label={`${what}, ft`}
      measure="feet"
      least={0}
      value={tape.distance_ft}
      onChange={(distance_ft) => {
        if (distance_ft !== undefined) onChange({ distance_ft });
      }}
    />
    <ChoiceCell
      label={`${what} from`}
      value={tape.mark}
      options={markOptions}
      onChange={(mark) => {
        onChange({ mark });
      }}
    />
  </Flex>
);

interface SideProps {
  readonly value: Place['side'];
  readonly onChange: (side: Place['side']) => void;
}

const Side = ({ value, onChange }: SideProps) => (
  <ChoiceCell label="Side" value={value} options={['left', 'right']} onChange={onChange} />
);
