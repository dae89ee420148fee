import path from "node:path";
import { listDemoWorld } from "@/demo";
import { toChange, type Change, type GroupAnswer } from "@/schemas/change";
import type { AnyRecord, KindedRecord, RecordKind, RecordTypes } from "@/schemas/recordKinds";
import { findRecord, fromLists, type RecordTable } from "@/schemas/recordTable";
import { openDatabase } from "../openDatabase";
import { createStore, type Store } from "../store";

export const MIGRATIONS = path.join(__dirname, "../migrations");
/** When the tests write. */
export const NOON = "2026-11-20T12:00:00.000Z";
/** The demo's first Saturday. */
export const SATURDAY = "2026-11-28";

export const openStore = (file = ":memory:"): Store => createStore(openDatabase(file, MIGRATIONS));

let groups = 0;

/** Writes changes as one group with an id of its own. */
export function writeChanges(store: Store, changes: readonly Change[], atIso = NOON): GroupAnswer {
  return store.applyGroups([{ id: `test-${groups++}`, changes }], atIso).answers[0]!;
}

/** The change that adds a record. */
export const adding = ({ kind, record }: KindedRecord): Change =>
  toChange({ kind, id: record.id }, null, record)!;

export function openDemo(file = ":memory:"): Store {
  const store = openStore(file);
  expect(writeChanges(store, listDemoWorld().map(adding)).kind).toBe("written");
  return store;
}

export const readTable = (store: Store, date = SATURDAY): RecordTable =>
  fromLists(store.readDay(date)!.lists);

export function readRecord<K extends RecordKind>(
  store: Store,
  kind: K,
  id: string,
  date = SATURDAY,
): RecordTypes[K] | null {
  return findRecord(readTable(store, date), kind, id);
}

/** Sets fields of a stored record, as a screen that has just read it would. */
export function setFields(
  store: Store,
  kind: RecordKind,
  id: string,
  fields: object,
  atIso = NOON,
): GroupAnswer {
  const before = readRecord(store, kind, id) as AnyRecord;
  const change = toChange({ kind, id }, before, { ...before, ...fields });
  if (!change) throw new Error(`setFields: nothing of ${kind} ${id} changes`);
  return writeChanges(store, [change], atIso);
}
