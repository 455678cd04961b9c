import { capital } from '../../core/capital.js';
import { sayPoint } from '../../core/job/point-words.js';
import { Box, Flex } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import { memo, type ReactNode } from 'react';
import type { Entry, Point } from '../../core/job/schema.js';
import { gradeWords } from '../../core/job/vocabulary.js';
import { pointWords, sayClock, sayWhat } from '../../core/speech/say.js';
import type { ReadingView, RowView } from '../../core/views/log-rows.js';
import { Cap, Press } from '../controls/controls';
import { feet, videoTime } from '../controls/format';
import { shallowEqual } from '../controls/shallow-equal.js';
import { OpenFigure } from '../figure/open-figure';
import { AddPhoto, PhotoThumbs } from '../video/photos';

/** Actions on a row. */
export interface RowActs {
  /** Opens an entry in the typed line for editing. */
  readonly open: (id: string) => void;
  readonly seek: (seconds: number) => void;
  readonly remove: (row: RowView, press: HTMLElement) => void;
  readonly stand: (row: RowView, reading: ReadingView) => void;
  readonly addPhoto: (row: RowView, name: string) => Promise<unknown>;
}

interface Props {
  readonly row: RowView;
  readonly points: readonly Point[];
  readonly acts: RowActs;
}

/** One thing of the log: plain cells, styled by the table, since a log may have hundreds. */
export const LogRow = memo(Row, shallowEqual);

function Row({ row, points, acts }: Props) {
  const apart = row.disagreement !== undefined && !row.disagreement.settled;
  const video = row.readings.find(({ video_s }) => video_s !== undefined)?.video_s ?? row.entry.video_s;
  const name = nameFrom(points);
  const what = sayWhat(row.entry, name);
  return (
    <tr data-apart={apart || undefined}>
      <td>
        <Station row={row} what={what} />
      </td>
      <td>
        <What row={row} name={name} acts={acts} />
        {apart && <Settle row={row} acts={acts} />}
        <PhotoThumbs entry={row.entry} what={what} />
      </td>
      <td className="number">
        <Raw row={row} pass="out" acts={acts} />
      </td>
      <td className="number">
        <Raw row={row} pass="back" acts={acts} />
      </td>
      <td className="number apart">{row.apart_ft === undefined ? '' : feet(row.apart_ft)}</td>
      <td className="number video">
        {video !== undefined && (
          <button
            type="button"
            aria-label={`Show ${videoTime(video)} in the video`}
            onClick={() => {
              acts.seek(video);
            }}
          >
            {videoTime(video)}
          </button>
        )}
      </td>
      <td className="presses not-printed">
        <AddPhoto what={what} onAdd={(photo) => acts.addPhoto(row, photo)} />
        <Press
          look="quiet"
          type="button"
          data-delete
          onClick={({ currentTarget }) => {
            acts.remove(row, currentTarget);
          }}
          aria-label={`Delete ${what}`}
          title="Delete; Undo restores it"
        >
          <Trash2 size={17} />
        </Press>
      </td>
    </tr>
  );
}

/** Names of points inside a sentence. */
const nameFrom =
  (points: readonly Point[]) =>
  (id: string): string => {
    const point = points.find((each) => each.id === id);
    if (!point) return 'a point no longer on the line';
    return point.kind === 'main' ? 'Main' : capital(pointWords(sayPoint(point), point));
  };

function Station({ row, what }: { row: RowView; what: string }) {
  if (!row.station) return <span className="soft">{row.entry.kind === 'note' ? 'no feet' : 'not tied'}</span>;
  return (
    <OpenFigure figure={row.station} label={`Where ${what} lies`}>
      <strong>{feet(row.station.value)}</strong>{' '}
      <span className="soft small">± {feet(row.station.plusMinus ?? 0)}</span>
    </OpenFigure>
  );
}

/** The thing with its grade, note and anything done there. */
function What({ row, name, acts }: { row: RowView; name: (id: string) => string; acts: RowActs }) {
  const { entry, details, clock } = row;
  const said = (each: Entry) => sayWhat(each, name);
  return (
    <>
      <p>
        <Open id={entry.id} acts={acts} label={`Change ${said(entry)}`}>
          <strong>{said(entry)}</strong>
        </Open>
        {row.to_ft !== undefined && row.station && ` to ${feet(row.to_ft)}`}
        {entry.about && ', about'}
        {clock !== undefined && entry.clock !== undefined && sayClock(clock) !== sayClock(entry.clock) && (
          <span className="soft"> · {sayClock(clock)} after the turn</span>
        )}
      </p>
      {row.grade !== undefined && row.grade > 0 && (
        <span className={row.grade >= 3 ? 'grade signal' : 'grade soft'}>{gradeWords[row.grade]}</span>
      )}
      {entry.note && <span className="soft">“{entry.note}” </span>}
      {details.length > 0 && (
        <span className="soft">
          {details.map((detail, index) => (
            <span key={detail.id}>
              {index > 0 && ' · '}
              <Open id={detail.id} acts={acts} label={`Change ${said(detail)}`}>
                {said(detail)}
              </Open>
            </span>
          ))}
        </span>
      )}
      {entry.open && <span className="signal"> its end is still to call</span>}
    </>
  );
}

/** Counter reading on one pass; each reading opens its own entry. */
function Raw({ row, pass, acts }: { row: RowView; pass: 'out' | 'back'; acts: RowActs }) {
  const own = row.readings.filter((reading) => reading.pass === pass);
  if (own.length === 0 && row.readings.length === 0 && (row.entry.pass ?? 'back') === pass)
    return row.entry.reading_ft === undefined ? '' : feet(row.entry.reading_ft);
  return own.map((reading) => (
    <span key={reading.entry} className={reading.dropped ? 'reading dropped soft' : 'reading'}>
      <Open
        id={reading.entry}
        acts={acts}
        label={`Change the reading ${feet(reading.raw_ft)} on the way ${reading.pass}`}
      >
        {reading.about ? '~' : ''}
        {feet(reading.raw_ft)}
      </Open>
    </span>
  ));
}

/** Text that opens its entry for editing. */
const Open = ({
  id,
  acts,
  label,
  children,
}: {
  id: string;
  acts: RowActs;
  label: string;
  children: ReactNode;
}) => (
  <button
    type="button"
    aria-label={label}
    onClick={() => {
      acts.open(id);
    }}
  >
    {children}
  </button>
);

/** Two readings more than 2 ft apart: choose one. */
const Settle = ({ row, acts }: { row: RowView; acts: RowActs }) => (
  <Flex align="center" gap="2" wrap="wrap" color="signalInk" mt="1">
    <Box>The readings differ by {feet(row.apart_ft ?? 0)} ft. Which one is right?</Box>
    {row.readings.map((reading) => (
      <Press
        key={reading.entry}
        type="button"
        onClick={() => {
          acts.stand(row, reading);
        }}
      >
        <Cap>Alt</Cap>
        <Cap>{reading.pass === 'out' ? 'O' : 'B'}</Cap>
        {reading.pass} {feet(reading.raw_ft)}
      </Press>
    ))}
  </Flex>
);
