import type Database from "better-sqlite3";
import type { Columns } from "./versionedTable";

/** Rows that hang on a record in a table of their own, in an order. */
export interface ChildTable<Row extends Columns> {
  /** The rows of many parents in one query, by parent id; a parent without rows is not in it. */
  readFor(parentIds: readonly string[]): ReadonlyMap<string, Row[]>;
  /** Puts these rows in place of what was there. */
  replace(parentId: string, rows: readonly Row[]): void;
}

/**
 * @param columns - All but the parent's id and the position, which is counted from 0 in the order of the rows.
 */
export function createChildTable<Row extends Columns>(
  db: Database.Database,
  table: string,
  parentColumn: string,
  columns: readonly (keyof Row & string)[],
): ChildTable<Row> {
  const names = columns.join(", ");
  // The ids go as one JSON text: a list of any length is one prepared statement.
  const select = db.prepare<[string], Row & { readonly parent_key: string }>(
    `SELECT ${parentColumn} AS parent_key, ${names} FROM ${table}
     WHERE ${parentColumn} IN (SELECT value FROM json_each(?)) ORDER BY ${parentColumn}, position`,
  );
  const clear = db.prepare<[string]>(`DELETE FROM ${table} WHERE ${parentColumn} = ?`);
  const insert = db.prepare<[Columns]>(
    `INSERT INTO ${table} (${parentColumn}, position, ${names})
     VALUES (@parent_key, @position, ${columns.map((column) => `@${column}`).join(", ")})`,
  );
  return {
    readFor(parentIds) {
      const rows = new Map<string, Row[]>();
      if (parentIds.length === 0) return rows;
      for (const row of select.all(JSON.stringify(parentIds))) {
        const of = rows.get(row.parent_key);
        if (of) of.push(row);
        else rows.set(row.parent_key, [row]);
      }
      return rows;
    },
    replace(parentId, rows) {
      clear.run(parentId);
      rows.forEach((row, position) => insert.run({ ...row, parent_key: parentId, position }));
    },
  };
}
