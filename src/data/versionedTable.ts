import type Database from "better-sqlite3";
import { fail, ok, type Result } from "@/core/result";

export type ColumnValue = string | number | null;
export type Columns = Readonly<Record<string, ColumnValue>>;

/** Why a write was refused. `stale` carries what stands there now; null if it was removed. */
export type WriteFault<T> =
  | { readonly kind: "stale"; readonly current: { readonly record: T; readonly version: number } | null }
  | { readonly kind: "inUse" };

export interface Versioned<T> {
  readonly record: T;
  readonly version: number;
}

/** Reads and writes of one kind of record. */
export interface Repository<T> {
  /** Every record, oldest first. */
  list(): Versioned<T>[];
  /** The record, or null. */
  find(id: string): Versioned<T> | null;
  /** Writes the record over the expected version (0: it is new) and gives the new version. */
  put(record: T, expectedVersion: number): Result<number, WriteFault<T>>;
  /** Removes the record. `inUse` if another one needs it. */
  remove(id: string, expectedVersion: number): Result<null, WriteFault<T>>;
}

interface TableShape<T extends { readonly id: string }, Row extends Columns> {
  readonly table: string;
  /** All columns but `version`, `id` first. */
  readonly columns: readonly (keyof Row & string)[];
  readonly toRow: (record: T) => Row;
  readonly fromRow: (row: Row) => T;
  /** Writes what hangs on the record in other tables. */
  readonly afterPut?: (record: T) => void;
}

/** A repository over one table with a row version. Statements are prepared once; call after migrations. */
export function createVersionedTable<T extends { readonly id: string }, Row extends Columns>(
  db: Database.Database,
  { table, columns, toRow, fromRow, afterPut }: TableShape<T, Row>,
): Repository<T> {
  type StoredRow = Row & { readonly version: number };
  const names = columns.join(", ");
  const selectAll = db.prepare<[], StoredRow>(`SELECT ${names}, version FROM ${table} ORDER BY rowid`);
  const selectOne = db.prepare<[string], StoredRow>(`SELECT ${names}, version FROM ${table} WHERE id = ?`);
  const insert = db.prepare<[Columns]>(
    `INSERT INTO ${table} (${names}, version) VALUES (${columns.map((column) => `@${column}`).join(", ")}, 1)`,
  );
  const update = db.prepare<[Columns]>(
    `UPDATE ${table} SET ${columns.map((column) => `${column} = @${column}`).join(", ")}, version = version + 1 WHERE id = @id`,
  );
  const erase = db.prepare<[string]>(`DELETE FROM ${table} WHERE id = ?`);

  const read = (row: StoredRow): Versioned<T> => ({ record: fromRow(row), version: row.version });
  const find = (id: string) => {
    const row = selectOne.get(id);
    return row ? read(row) : null;
  };
  return {
    list: () => selectAll.all().map(read),
    find,
    put(record, expectedVersion) {
      const current = find(record.id);
      if ((current?.version ?? 0) !== expectedVersion) return fail({ kind: "stale", current });
      (current ? update : insert).run(toRow(record));
      afterPut?.(record);
      return ok(expectedVersion + 1);
    },
    remove(id, expectedVersion) {
      const current = find(id);
      if ((current?.version ?? 0) !== expectedVersion) return fail({ kind: "stale", current });
      try {
        erase.run(id);
        return ok(null);
      } catch (error) {
        if (isForeignKeyFault(error)) return fail({ kind: "inUse" });
        throw error;
      }
    },
  };
}

function isForeignKeyFault(error: unknown): boolean {
  return error instanceof Error && "code" in error && error.code === "SQLITE_CONSTRAINT_FOREIGNKEY";
}
