import { chakra } from '@chakra-ui/react';
import type { Edit } from '../../core/edits/index.js';
import type { Entry, Line } from '../../core/job/schema.js';
import type { RowView } from '../../core/views/log-rows.js';
import type { Change } from '../api/job';
import { Head as TableHead } from '../controls/table';
import { useSteady } from '../controls/use-steady';
import { setting, editsToKeep } from './entries';
import { LogRow, type RowActs } from './log-row';
import { Note } from '../controls/text';

const Head = chakra(TableHead, { base: { px: '3' } });

const wordButton = {
  bg: 'transparent',
  border: 'none',
  p: '0',
  minHeight: '24px',
  textAlign: 'inherit',
  cursor: 'pointer',
  color: 'inherit',
} as const;

/** The table styles its rows' plain cells: a thousand styled one by one take seconds. */
const Table = chakra('table', {
  base: {
    width: '100%',
    borderCollapse: 'collapse',
    '& tbody tr': { borderBottom: '1px solid', borderColor: 'rule' },
    '& tbody tr[data-apart]': { bg: 'wash' },
    '& td': { py: '2.5', px: '3', verticalAlign: 'top' },
    '& td:first-of-type': { whiteSpace: 'nowrap', boxShadow: 'inset 4px 0 0 var(--chakra-colors-water)' },
    '& td > p > button, & td > span button, & .video button': wordButton,
    '& td > p > button:hover, & td > span button:hover': { textDecoration: 'underline' },
    '& .video button': { textDecoration: 'underline' },
    '& .soft, & td.video': { color: 'soft' },
    '& .signal, & tr[data-apart] td.apart': { color: 'signalInk' },
    '& tr[data-apart] td.apart': { fontWeight: 700 },
    '& .small': { fontSize: '13px' },
    '& .grade': { mr: '3' },
    '& .number': { textAlign: 'right' },
    '& .reading': { display: 'block' },
    '& .dropped': { textDecoration: 'line-through' },
    '& .apart': { display: { base: 'none', sm: 'table-cell' } },
    '& .video': { display: { base: 'none', lg: 'table-cell' } },
    '& .presses': {
      p: '0',
      whiteSpace: { base: 'normal', sm: 'nowrap' },
      width: { base: '44px', sm: 'auto' },
    },
  },
});

interface Props {
  readonly line: Line;
  /** Undefined until the line is computed. */
  readonly rows: readonly RowView[] | undefined;
  readonly change: Change;
  /** Opens an entry in the typed line for editing. */
  readonly onChange: (entry: Entry) => void;
  readonly onSeek: (seconds: number) => void;
}

/** Everything that was read, from the far end back: its place, what it is, both readings side by side. */
export function LogTable({ rows, ...hand }: Props) {
  const acts = useSteady(actsOf(hand));
  if (hand.line.runs.every(({ entries }) => entries.length === 0)) {
    return (
      <Note p="4">
        Nothing read yet. Push out to the main, then read on the way back: type the first reading above.
      </Note>
    );
  }
  if (!rows) return <Note p="4">Working it out…</Note>;
  return (
    <Table>
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
          <Head className="number">Out</Head>
          <Head className="number">Back</Head>
          <Head className="number apart">Apart</Head>
          <Head className="number video">Video</Head>
          <Head className="not-printed">
            <chakra.span srOnly>Photo, delete</chakra.span>
          </Head>
        </tr>
      </chakra.thead>
      <Rows rows={rows} points={hand.line.points} acts={acts} />
    </Table>
  );
}

/** Its own component: while the rows stay the same, none of them has to be compared. */
function Rows({ rows, ...same }: { rows: readonly RowView[]; points: Line['points']; acts: RowActs }) {
  return (
    <tbody>
      {rows.map((row) => (
        <LogRow key={row.key} row={row} {...same} />
      ))}
    </tbody>
  );
}

function actsOf({ line, change, onChange, onSeek }: Omit<Props, 'rows'>): RowActs {
  const entries = () => line.runs.flatMap((run) => run.entries);
  return {
    open: (id) => {
      const entry = entries().find((each) => each.id === id);
      if (entry) onChange(entry);
    },
    seek: onSeek,
    remove: (row, press) => {
      nextTo(press)?.focus({ preventScroll: true });
      const own = [row.entry, ...row.details].map(({ id }) => id);
      const gone = new Set([...own, ...row.readings.map(({ entry }) => entry)]);
      void change.say(setting(line, (entry) => (gone.has(entry.id) ? null : undefined)).reverse());
    },
    stand: (row, reading) => {
      void change.say(editsToKeep(line, row, reading));
    },
    addPhoto: (row, name) => {
      const photos = [...(row.entry.photos ?? []), name];
      const at = { line: line.id, run: row.run, entry: row.entry.id };
      const edit: Edit = { kind: 'entry', ...at, set: { ...row.entry, photos } };
      return change.edit([edit]);
    },
  };
}

/** After a row is deleted the focus goes to the next one. */
function nextTo(press: HTMLElement): HTMLElement | null | undefined {
  const row = press.closest('tr');
  return (row?.nextElementSibling ?? row?.previousElementSibling)?.querySelector<HTMLElement>(
    '[data-delete]',
  );
}
