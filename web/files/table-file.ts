import Papa from 'papaparse';

/**
 * Rows as a CSV file (RFC 4180). A cell that a spreadsheet would take for a formula gets a leading apostrophe: a
 * customer's or neighbor's name must not run as a program.
 */
export const tableText = (
  rows: readonly Readonly<Record<string, unknown>>[],
  columns?: readonly string[],
): string =>
  Papa.unparse(
    { fields: [...(columns ?? Object.keys(rows[0] ?? {}))], data: rows.map((row) => ({ ...row })) },
    { escapeFormulae: true },
  );

/** Rows of a CSV file by the names in its first row; empty rows are left out. */
export const rowsOfTable = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: 'greedy' }).data;
