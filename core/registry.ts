/** Rows of one kind by id, in a fixed order: that of the file format, also used to break ties. */
export interface Registry<Row extends { readonly id: string }> {
  readonly rows: readonly Row[];
  /** The row of an id. Throws where nothing of that id is registered. */
  row(id: Row['id']): Row;
  /** Appends a row and returns a function that removes it. Throws where its id is taken. */
  register(row: Row): () => void;
}

export function registryOf<Row extends { readonly id: string }>(
  what: string,
  listed: readonly Row[],
): Registry<Row> {
  const rows = [...listed];
  const byId = new Map<string, Row>(rows.map((row) => [row.id, row]));
  return {
    rows,
    row: (id) => {
      const row = byId.get(id);
      if (!row) throw new Error(`no ${what} is called "${id}"`);
      return row;
    },
    register: (row) => {
      if (byId.has(row.id)) throw new Error(`${what} "${row.id}" is registered already`);
      byId.set(row.id, row);
      rows.push(row);
      return () => {
        byId.delete(row.id);
        rows.splice(rows.indexOf(row), 1);
      };
    },
  };
}

/** The ids of a list of rows in order, with their literal types, for a schema's enum. */
export const idsOf = <const Rows extends readonly { readonly id: string }[]>(
  rows: Rows,
): { readonly [K in keyof Rows]: Rows[K]['id'] } =>
  rows.map(({ id }) => id) as unknown as { readonly [K in keyof Rows]: Rows[K]['id'] };
