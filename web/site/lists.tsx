import type { ReactNode } from 'react';
import type { LineHead } from '../../core/job/schema.js';
import type { LineView } from '../../core/views/line-view.js';
import { type Chosen, type ListName } from './ground';
import {
  crossingColumns,
  depthColumns,
  groundColumns,
  noDigColumns,
  ownerColumns,
  pointColumns,
  surfaceColumns,
} from './list-columns';
import { ListTable, type Column } from './list-table';
import { Marks } from './marks';
import { PointMore } from './point-more';
import { Note } from '../controls/text';

interface Props {
  readonly list: ListName;
  readonly head: LineHead;
  readonly view: LineView;
  readonly chosen: Chosen | undefined;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onChange: (head: LineHead) => void;
}

/** The same things as on the strip, in fields. */
export function Lists({ list, head, view, chosen, onChoose, onChange }: Props) {
  const table = {
    selected: chosen?.list === list ? chosen.index : undefined,
    onSelect: (index: number) => {
      if (chosen?.list !== list || chosen.index !== index) onChoose({ list, index });
    },
  };
  /** The table of one list of the line. */
  const tableOf = <T extends object>(
    name: string,
    field: ListName & keyof LineHead,
    columns: readonly Column<T>[],
    more?: (item: T, change: (patch: Partial<T>) => void) => ReactNode,
  ) => (
    <ListTable<T>
      {...table}
      name={name}
      items={(head[field] ?? []) as unknown as readonly T[]}
      columns={columns}
      keyOf={(item, index) => ('id' in item ? String(item.id) : String(index))}
      onChange={(items) => {
        onChange({ ...head, [field]: items });
      }}
      {...(more ? { more } : {})}
    />
  );
  const tables: Record<ListName, () => ReactNode> = {
    points: () =>
      tableOf('point', 'points', pointColumns(view), (point, change) => (
        <PointMore point={point} change={change} head={head} />
      )),
    surfaces: () => tableOf('surface', 'surfaces', surfaceColumns(view)),
    owners: () => tableOf('owner', 'owners', ownerColumns(view)),
    noDig: () => tableOf('no-dig stretch', 'noDig', noDigColumns(view)),
    crossings: () => (
      <>
        {tableOf('crossing', 'crossings', crossingColumns)}
        <Note p="3">
          Call for the utility locate before any digging: this drawing shows what was reported, not the
          locate.
        </Note>
      </>
    ),
    depths: () => tableOf('depth', 'depths', depthColumns),
    ground: () => tableOf('ground elevation', 'ground', groundColumns),
    marks: () => <Marks head={head} view={view} onChange={onChange} table={table} />,
  };
  return tables[list]();
}
