import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Edit } from '../../core/edits/index.js';
import type { Entry, Line } from '../../core/job/schema.js';
import { gradeWords } from '../../core/job/vocabulary.js';
import { sayClock, sayWhat } from '../../core/speech/say.js';
import type { Change } from '../api/jobs';
import { OpenFigure } from '../figure/open-figure';
import { Cap, Press } from '../controls/controls';
import { feet, videoTime } from '../controls/format';
import { Cell as TableCell, Head as TableHead } from '../controls/table';
import { AddPhoto, PhotoThumbs } from '../video/photos';
import type { ReadingView, RowView } from '../../core/views/log-rows.js';

const Head = chakra(TableHead, { base: { px: '3' } });
const Cell = chakra(TableCell, { base: { py: '2.5', px: '3' } });

interface Props {
  readonly line: Line;
  /** Undefined until the line is worked out. */
  readonly rows: readonly RowView[] | undefined;
  readonly change: Change;
  /** Opens an entry in the typed line, to be written over. */
  readonly onChange: (entry: Entry) => void;
  readonly onSeek: (seconds: number) => void;
}

/** Everything that was read, from the far end back: where it lies, what it is, both readings side by side. */
export function LogTable({ line, rows, change, onChange, onSeek }: Props) {
  if (!rows)
    return (
      <Text p="4" color="soft">
        Working it out…
      </Text>
    );
  if (rows.length === 0) {
    return (
      <Text p="4" color="soft">
        Nothing read yet. Push out to the main, then read on the way back: type the first reading above.
      </Text>
    );
  }
  return (
    <chakra.table width="100%" borderCollapse="collapse">
      <chakra.thead
        position="sticky"
        top="0"
        bg="paper"
        zIndex={1}
        boxShadow="inset 0 -1px 0 var(--chakra-colors-ink)"
      >
        <tr>
          <Head>On the line</Head>
          <Head width="100%">What is there</Head>
          <Head textAlign="right">Out</Head>
          <Head textAlign="right">Back</Head>
          <Head textAlign="right" display={{ base: 'none', sm: 'table-cell' }}>
            Apart
          </Head>
          <Head textAlign="right" display={{ base: 'none', lg: 'table-cell' }}>
            Video
          </Head>
          <Head className="not-printed">
            <chakra.span srOnly>Photo, delete</chakra.span>
          </Head>
        </tr>
      </chakra.thead>
      <tbody>
        {rows.map((row) => (
          <Row key={row.key} row={row} line={line} change={change} onChange={onChange} onSeek={onSeek} />
        ))}
      </tbody>
    </chakra.table>
  );
}

function Row({ row, line, change, onChange, onSeek }: Omit<Props, 'rows'> & { row: RowView }) {
  const open = row.disagreement !== undefined && !row.disagreement.settled;
  const pointName = (id: string) => {
    const point = line.points.find((each) => each.id === id);
    return point?.kind === 'main' ? 'Main' : (point?.name ?? id);
  };
  const video = row.readings.find(({ video_s }) => video_s !== undefined)?.video_s ?? row.entry.video_s;
  const remove = (press: HTMLElement) => {
    // The hand goes on where it was: at the next row.
    const tr = press.closest('tr');
    (tr?.nextElementSibling ?? tr?.previousElementSibling)
      ?.querySelector<HTMLElement>('[data-delete]')
      ?.focus({ preventScroll: true });
    const own = new Set([
      row.entry.id,
      ...row.readings.map(({ entry }) => entry),
      ...row.details.map(({ id }) => id),
    ]);
    const edits = line.runs.flatMap((run) =>
      run.entries
        .filter((entry) => own.has(entry.id))
        .map((entry): Edit => ({ kind: 'entry', line: line.id, run: run.id, entry: entry.id, set: null })),
    );
    void change.say(edits.reverse());
  };
  return (
    <chakra.tr bg={open ? 'wash' : 'transparent'} borderBottom="1px solid" borderColor="rule">
      <Cell whiteSpace="nowrap" boxShadow="inset 4px 0 0 var(--chakra-colors-water)">
        {row.station ? (
          <OpenFigure figure={row.station} label={`Where ${sayWhat(row.entry, pointName)} lies`}>
            <strong>{feet(row.station.value)}</strong>{' '}
            <chakra.span color="soft" fontSize="13px">
              ± {feet(row.station.plusMinus ?? 0)}
            </chakra.span>
          </OpenFigure>
        ) : (
          <chakra.span color="soft">{row.entry.kind === 'note' ? 'no feet' : 'not tied'}</chakra.span>
        )}
      </Cell>
      <Cell>
        <Text>
          <Open entry={row.entry} onChange={onChange} label={`Change ${sayWhat(row.entry, pointName)}`}>
            <strong>{sayWhat(row.entry, pointName)}</strong>
          </Open>
          {row.to_ft !== undefined && row.station && ` to ${feet(row.to_ft)}`}
          {row.entry.about && ', about'}
          {row.clock !== undefined &&
            row.entry.clock !== undefined &&
            sayClock(row.clock) !== sayClock(row.entry.clock) && (
              <chakra.span color="soft"> · {sayClock(row.clock)} after the turn</chakra.span>
            )}
        </Text>
        {row.grade !== undefined && row.grade > 0 && (
          <chakra.span color={row.grade >= 3 ? 'signalInk' : 'soft'} mr="3">
            {gradeWords[row.grade]}
          </chakra.span>
        )}
        {row.entry.note && <chakra.span color="soft">“{row.entry.note}” </chakra.span>}
        {row.details.length > 0 && (
          <chakra.span color="soft">
            {row.details.map((detail, index) => (
              <span key={detail.id}>
                {index > 0 && ' · '}
                <Open entry={detail} onChange={onChange} label={`Change ${sayWhat(detail, pointName)}`}>
                  {sayWhat(detail, pointName)}
                </Open>
              </span>
            ))}
          </chakra.span>
        )}
        {row.entry.open && <chakra.span color="signalInk"> its end is still to call</chakra.span>}
        {open && <Settle row={row} line={line} change={change} />}
        <PhotoThumbs entry={row.entry} what={sayWhat(row.entry, pointName)} />
      </Cell>
      <Cell textAlign="right">{raw(row, 'out', line, onChange)}</Cell>
      <Cell textAlign="right">{raw(row, 'back', line, onChange)}</Cell>
      <Cell
        textAlign="right"
        color={open ? 'signalInk' : 'inherit'}
        fontWeight={open ? 700 : 400}
        display={{ base: 'none', sm: 'table-cell' }}
      >
        {row.apart_ft === undefined ? '' : feet(row.apart_ft)}
      </Cell>
      <Cell textAlign="right" color="soft" display={{ base: 'none', lg: 'table-cell' }}>
        {video !== undefined && (
          <chakra.button
            type="button"
            bg="transparent"
            border="none"
            p="0"
            minHeight="24px"
            color="inherit"
            cursor="pointer"
            textDecoration="underline"
            aria-label={`Show ${videoTime(video)} in the video`}
            onClick={() => {
              onSeek(video);
            }}
          >
            {videoTime(video)}
          </chakra.button>
        )}
      </Cell>
      <Cell
        p="0"
        whiteSpace={{ base: 'normal', sm: 'nowrap' }}
        width={{ base: '44px', sm: 'auto' }}
        className="not-printed"
      >
        <AddPhoto
          what={sayWhat(row.entry, pointName)}
          onAdd={(name) =>
            change.edit([
              {
                kind: 'entry',
                line: line.id,
                run: row.run,
                entry: row.entry.id,
                set: { ...row.entry, photos: [...(row.entry.photos ?? []), name] },
              },
            ])
          }
        />
        <Press
          look="quiet"
          type="button"
          data-delete
          onClick={({ currentTarget }) => {
            remove(currentTarget);
          }}
          aria-label={`Delete ${sayWhat(row.entry, pointName)}`}
          title="Delete; Undo takes it back"
        >
          <Trash2 size={17} />
        </Press>
      </Cell>
    </chakra.tr>
  );
}

/** What the counter read on one pass; each reading opens its own entry. */
function raw(row: RowView, pass: 'out' | 'back', line: Line, onChange: Props['onChange']) {
  const own = row.readings.filter((reading) => reading.pass === pass);
  if (own.length === 0 && row.readings.length === 0 && (row.entry.pass ?? 'back') === pass) {
    return row.entry.reading_ft === undefined ? '' : feet(row.entry.reading_ft);
  }
  const entryOf = (id: string) =>
    line.runs.flatMap(({ entries }) => entries).find((entry) => entry.id === id) ?? row.entry;
  return own.map((reading) => (
    <chakra.span
      key={reading.entry}
      textDecoration={reading.dropped ? 'line-through' : 'none'}
      color={reading.dropped ? 'soft' : 'inherit'}
      display="block"
    >
      <Open
        entry={entryOf(reading.entry)}
        onChange={onChange}
        label={`Change the reading ${feet(reading.raw_ft)} on the way ${reading.pass}`}
      >
        {reading.about ? '~' : ''}
        {feet(reading.raw_ft)}
      </Open>
    </chakra.span>
  ));
}

/** Words that open their entry for change. */
function Open({
  entry,
  onChange,
  label,
  children,
}: {
  entry: Entry;
  onChange: Props['onChange'];
  label: string;
  children: ReactNode;
}) {
  return (
    <chakra.button
      type="button"
      bg="transparent"
      border="none"
      p="0"
      minHeight="24px"
      textAlign="inherit"
      cursor="pointer"
      color="inherit"
      _hover={{ textDecoration: 'underline' }}
      aria-label={label}
      onClick={() => {
        onChange(entry);
      }}
    >
      {children}
    </chakra.button>
  );
}

/** The edits by which one of a thing's readings stands: chosen by a person, never averaged in silence. */
export function standing(line: Line, row: RowView, reading: ReadingView): Edit[] {
  return line.runs.flatMap((run) =>
    run.entries
      .filter((entry) => row.readings.some((each) => each.entry === entry.id))
      .map((entry): Edit => {
        const { use: _use, ...rest } = entry;
        const set = (entry.id === reading.entry ? { ...rest, use: true } : rest) as Entry;
        return { kind: 'entry', line: line.id, run: run.id, entry: entry.id, set };
      }),
  );
}

/** Two readings more than 2 ft apart: one stands. */
function Settle({ row, line, change }: { row: RowView; line: Line; change: Change }) {
  return (
    <Flex align="center" gap="2" wrap="wrap" color="signalInk" mt="1">
      <Box>The readings differ by {feet(row.apart_ft ?? 0)} ft. Which stands?</Box>
      {row.readings.map((reading) => (
        <Press
          key={reading.entry}
          type="button"
          onClick={() => {
            void change.say(standing(line, row, reading));
          }}
        >
          <Cap>Alt</Cap>
          <Cap>{reading.pass === 'out' ? 'O' : 'B'}</Cap>
          {reading.pass} {feet(reading.raw_ft)}
        </Press>
      ))}
    </Flex>
  );
}
