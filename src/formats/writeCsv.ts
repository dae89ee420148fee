import Papa from "papaparse";

type Row = Readonly<Record<string, string | number | null>>;

/**
 * A table as CSV (RFC 4180). Text that a spreadsheet would run as a formula gets a mark before
 * it, and text that looks marked gets one more, so that `unmark` brings every text back.
 * @param fields - The columns; those of the first row if none are given.
 */
export const writeCsv = (rows: readonly Row[], fields?: readonly string[]): string => {
  const columns = fields ?? Object.keys(rows[0] ?? {});
  const cells = rows.map((row) => columns.map((column) => mark(row[column] ?? "")));
  return Papa.unparse({ fields: [...columns], data: cells });
};

const mark = (cell: string | number): string | number =>
  typeof cell === "string" && /^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;

/** A cell as it was before it was written. */
export const unmark = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
