import isSame from "fast-deep-equal";
import {
  recordKinds,
  type AnyRecord,
  type KindedRecord,
  type RecordKey,
  type RecordKind,
  type RecordTypes,
} from "./recordKinds";

/** Records by kind and id, in the order in which they came. What is not changed keeps its identity. */
export type RecordTable = ReadonlyMap<RecordKind, ReadonlyMap<string, AnyRecord>>;

/** The same as plain data, to be sent: kinds without records are left out. */
export type RecordLists = { readonly [K in RecordKind]?: readonly RecordTypes[K][] };

const NONE: ReadonlyMap<string, AnyRecord> = new Map();

/** A table of what is given; of two with one id the later counts. */
export function toTable(records: readonly KindedRecord[]): RecordTable {
  const table = new Map<RecordKind, Map<string, AnyRecord>>();
  for (const { kind, record } of records) {
    const ofKind = table.get(kind) ?? new Map<string, AnyRecord>();
    table.set(kind, ofKind.set(record.id, record));
  }
  return table;
}

export const fromLists = (lists: RecordLists): RecordTable =>
  new Map(
    recordKinds.map((kind) => [
      kind,
      new Map((lists[kind] ?? []).map((record: AnyRecord) => [record.id, record])),
    ]),
  );

export const toLists = (table: RecordTable): RecordLists =>
  Object.fromEntries(
    recordKinds.flatMap((kind) => {
      const records = pickRecords(table, kind);
      return records.length > 0 ? [[kind, records]] : [];
    }),
  );

/** The lists of tables that were asked for already: a list is the same as long as its kind is. */
const lists = new WeakMap<ReadonlyMap<string, AnyRecord>, readonly AnyRecord[]>();

/** Records of one kind, in order; the same list as long as none of them changes. */
export function pickRecords<K extends RecordKind>(table: RecordTable, kind: K): readonly RecordTypes[K][] {
  const ofKind = table.get(kind) ?? NONE;
  const list = lists.get(ofKind) ?? [...ofKind.values()];
  lists.set(ofKind, list);
  return list as readonly RecordTypes[K][];
}

export function findRecord<K extends RecordKind>(
  table: RecordTable,
  kind: K,
  id: string,
): RecordTypes[K] | null {
  return (table.get(kind)?.get(id) as RecordTypes[K] | undefined) ?? null;
}

/** Ids in the order in which they stood, of lists from which something was taken away, with what is gone. */
const places = new WeakMap<ReadonlyMap<string, AnyRecord>, readonly string[]>();

/** With one more: where it stood if it was there before, else last. */
function putIn(before: ReadonlyMap<string, AnyRecord>, record: AnyRecord): Map<string, AnyRecord> {
  const order = places.get(before) ?? [];
  const at = order.indexOf(record.id);
  if (before.has(record.id) || at < 0) return new Map(before).set(record.id, record);
  // After the last of those that stood before it and are still there.
  const earlier = new Set(order.slice(0, at));
  const ids = [...before.keys()];
  const after = ids.findLastIndex((id) => earlier.has(id)) + 1;
  const entries = [...before];
  return new Map([...entries.slice(0, after), [record.id, record], ...entries.slice(after)]);
}

/** The table with one record put, or taken away if `record` is null. A new one goes last, one that comes back to its place. */
export function withRecord(
  table: RecordTable,
  { kind, id }: RecordKey,
  record: AnyRecord | null,
): RecordTable {
  const before = table.get(kind) ?? NONE;
  if (before.get(id) === (record ?? undefined)) return table;
  const after = record ? putIn(before, record) : new Map(before);
  if (!record) after.delete(id);
  const order = places.get(before) ?? (record ? null : [...before.keys()]);
  // What came since stands after what was there.
  if (order) places.set(after, [...order, ...[...after.keys()].filter((each) => !order.includes(each))]);
  return new Map(table).set(kind, after);
}

/** The table after, of which whatever says the same as before is what it was before: records, kinds, or all of it. */
export function keepSame(before: RecordTable, after: RecordTable): RecordTable {
  if (before === after) return before;
  const kept: RecordTable = new Map(
    recordKinds.map((kind) => {
      const [had, now] = [before.get(kind) ?? NONE, after.get(kind) ?? NONE];
      if (had === now) return [kind, had];
      const records = new Map(
        [...now].map(([id, record]) => {
          const old = had.get(id);
          return [id, old && isSame(old, record) ? old : record];
        }),
      );
      const isUnchanged =
        records.size === had.size && [...records].every(([id, record]) => had.get(id) === record);
      if (isUnchanged) return [kind, had];
      const order = places.get(now) ?? places.get(had);
      if (order) places.set(records, order);
      return [kind, records];
    }),
  );
  return [...kept].every(([kind, records]) => records === (before.get(kind) ?? NONE)) ? before : kept;
}

/** A record as it shall be; null takes it away. */
export type Edit = {
  [K in RecordKind]: { readonly kind: K; readonly id: string; readonly record: RecordTypes[K] | null };
}[RecordKind];

/** What turns one table into another, record by record; told by identity. */
export function diffTables(from: RecordTable, to: RecordTable): Edit[] {
  return recordKinds.flatMap((kind) => {
    const [before, after] = [from.get(kind) ?? NONE, to.get(kind) ?? NONE];
    if (before === after) return [];
    const put = [...after].filter(([id, record]) => before.get(id) !== record);
    const gone = [...before.keys()].filter((id) => !after.has(id));
    return [
      ...put.map(([id, record]) => ({ kind, id, record }) as Edit),
      ...gone.map((id) => ({ kind, id, record: null })),
    ];
  });
}
