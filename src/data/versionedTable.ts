import type Database from "better-sqlite3";

export type ColumnValue = string | number | null;
export type Columns = Readonly<Record<string, ColumnValue>>;
/** Values of a statement's named parameters. */
export type Params = Readonly<Record<string, ColumnValue>>;

/** A record as it is found, archived or not. */
export interface Found<T> {
  readonly record: T;
  /** Taken away by the baker, and kept for the days that name it. */
  readonly isArchived: boolean;
}

/** Reads and writes of one kind of record. */
export interface Repository<T> {
  /** Every record that is not archived, oldest first. */
  list(): T[];
  /** Prepares a query over the table's own columns; archived records are found too unless it says otherwise. */
  prepare(where: string): (params: Params) => T[];
  find(id: string): Found<T> | null;
  /** Adds the record, or writes it over the one with its id; an archived one stays so unless it is `revived`. */
  write(record: T, revived: boolean): void;
  /** Takes the record away: archived where days of the past may name it, else deleted. */
  remove(id: string): void;
}

interface TableShape<T extends { readonly id: string }, Row extends Columns> {
  readonly table: string;
  /** All columns but `version` and `is_archived`, `id` first. */
  readonly columns: readonly (keyof Row & string)[];
  readonly isArchiving?: boolean;
  readonly toRow: (record: T) => Row;
  /** Many rows at once, so that what hangs on them is read in one query a table. */
  readonly fromRows: (rows: readonly Row[]) => T[];
  /** Writes what hangs on the record in other tables. */
  readonly afterPut?: (record: T) => void;
}

/** As many places are kept in mind as a screen has steps to take back. */
const MOST_LEFT = 200;

/** A repository over one table with a row version. Statements are prepared once; call after migrations. */
export function createVersionedTable<T extends { readonly id: string }, Row extends Columns>(
  db: Database.Database,
  { table, columns, isArchiving = false, toRow, fromRows, afterPut }: TableShape<T, Row>,
): Repository<T> {
  type StoredRow = Row & { readonly is_archived?: number };
  const read = columns.join(", ") + (isArchiving ? ", is_archived" : "");
  const selectLiving = db.prepare<[], StoredRow>(
    `SELECT ${read} FROM ${table} ${isArchiving ? "WHERE is_archived = 0" : ""} ORDER BY rowid`,
  );
  const selectOne = db.prepare<[string], StoredRow>(`SELECT ${read} FROM ${table} WHERE id = ?`);
  const insert = db.prepare<[Columns]>(
    `INSERT INTO ${table} (${columns.join(", ")}, version) VALUES (${columns.map((column) => `@${column}`).join(", ")}, 1)`,
  );
  const update = db.prepare<[Columns]>(
    `UPDATE ${table} SET ${columns.map((column) => `${column} = @${column}`).join(", ")}, version = version + 1 WHERE id = @id`,
  );
  const erase = db.prepare<[string]>(
    isArchiving
      ? `UPDATE ${table} SET is_archived = 1, version = version + 1 WHERE id = ?`
      : `DELETE FROM ${table} WHERE id = ?`,
  );
  const selectRow = db.prepare<[string], { rowid: number }>(`SELECT rowid FROM ${table} WHERE id = ?`);
  const isTaken = db.prepare<[number]>(`SELECT 1 FROM ${table} WHERE rowid = ?`);
  const insertAt = db.prepare<[Columns]>(
    `INSERT INTO ${table} (rowid, ${columns.join(", ")}, version) VALUES (@rowid, ${columns.map((column) => `@${column}`).join(", ")}, 1)`,
  );
  /** Where rows stood that were taken away: one that comes back, as by undo, goes to its place. The oldest first. */
  const left = new Map<string, number>();
  const add = (row: Row): void => {
    const rowid = left.get(String(row["id"]));
    if (rowid === undefined || isTaken.get(rowid)) insert.run(row);
    else insertAt.run({ ...row, rowid });
  };
  const revive = isArchiving
    ? db.prepare<[string]>(`UPDATE ${table} SET is_archived = 0 WHERE id = ?`)
    : null;

  return {
    list: () => fromRows(selectLiving.all()),
    prepare(where) {
      const select = db.prepare<[Params], StoredRow>(
        `SELECT ${read} FROM ${table} WHERE ${where} ORDER BY rowid`,
      );
      return (params) => fromRows(select.all(params));
    },
    find(id) {
      const row = selectOne.get(id);
      const [record] = row ? fromRows([row]) : [];
      return row && record ? { record, isArchived: row.is_archived === 1 } : null;
    },
    write(record, revived) {
      const isNew = selectOne.get(record.id) === undefined;
      if (!isNew && revived) revive?.run(record.id);
      if (isNew) add(toRow(record));
      else update.run(toRow(record));
      afterPut?.(record);
    },
    remove(id) {
      const row = isArchiving ? undefined : selectRow.get(id);
      if (row) {
        left.set(id, row.rowid);
        for (const oldest of left.keys()) if (left.size > MOST_LEFT) left.delete(oldest);
      }
      erase.run(id);
    },
  };
}

/** For tables on whose rows nothing hangs. */
export const eachRow =
  <Row, T>(read: (row: Row) => T) =>
  (rows: readonly Row[]): T[] =>
    rows.map(read);
