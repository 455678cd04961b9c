import { Box, chakra } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Press } from '../controls/controls';
import { Cell, Head } from '../controls/table';
import { withoutEmpty } from '../controls/without-empty';
import { Note } from '../controls/text';

export interface Column<T> {
  readonly head: string;
  readonly cell: (item: T, set: (patch: Partial<T>) => void, index: number) => ReactNode;
}

interface Props<T extends object> {
  /** Name of one item: "surface". */
  readonly name: string;
  readonly items: readonly T[];
  readonly columns: readonly Column<T>[];
  readonly selected: number | undefined;
  readonly onSelect: (index: number) => void;
  readonly onChange: (items: T[]) => void;
  /** Further fields of an item, below its row while it is selected. */
  readonly more?: (item: T, set: (patch: Partial<T>) => void) => ReactNode;
  readonly keyOf: (item: T, index: number) => string;
}

/** Things of one kind, a row each, every field editable in place. */
export function ListTable<T extends object>({
  name,
  items,
  columns,
  selected,
  onSelect,
  onChange,
  more,
  keyOf,
}: Props<T>) {
  if (items.length === 0) {
    return <Note p="3">None yet. Put the cursor where it is on the strip and press “Add {name}”.</Note>;
  }
  const setAt = (index: number) => (patch: Partial<T>) => {
    onChange(items.map((each, i) => (i === index ? withoutEmpty({ ...each, ...patch }) : each)));
  };
  return (
    <Box overflowX="auto" position="relative">
      <chakra.table borderCollapse="collapse" width="100%">
        <Heads heads={columns.map(({ head }) => head)} />
        {items.map((item, index) => (
          <chakra.tbody
            key={keyOf(item, index)}
            bg={selected === index ? 'keep' : 'transparent'}
            borderTop="1px solid"
            borderColor="rule"
            onFocus={() => {
              onSelect(index);
            }}
          >
            <tr>
              {columns.map(({ head, cell }) => (
                <Cell key={head}>{cell(item, setAt(index), index)}</Cell>
              ))}
              <DeleteCell
                what={`${name} ${index + 1}`}
                onDelete={() => {
                  onChange(items.filter((_, i) => i !== index));
                }}
              />
            </tr>
            {more && selected === index && (
              <tr>
                <Cell colSpan={columns.length + 1}>{more(item, setAt(index))}</Cell>
              </tr>
            )}
          </chakra.tbody>
        ))}
      </chakra.table>
    </Box>
  );
}

const DeleteCell = ({ what, onDelete }: { what: string; onDelete: () => void }) => (
  <Cell p="0" width="44px">
    <Press type="button" look="quiet" aria-label={`Delete ${what}`} onClick={onDelete}>
      <Trash2 size={17} />
    </Press>
  </Cell>
);

const Heads = ({ heads }: { heads: readonly string[] }) => (
  <thead>
    <tr>
      {heads.map((head) => (
        <Head key={head}>{head}</Head>
      ))}
      <Head>
        <chakra.span srOnly>Delete</chakra.span>
      </Head>
    </tr>
  </thead>
);
