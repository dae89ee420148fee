import isSame from "fast-deep-equal";
import type { AnyRecord, RecordKey } from "./recordKinds";
import { findRecord, withRecord, type RecordTable } from "./recordTable";

/** Some or all fields of a record. */
export type Fields = Readonly<Record<string, unknown>>;

/**
 * A change to one record, told by its fields. Beside what is set stands what was there before: whoever applies it can
 * tell whether another hand was there meanwhile, field by field.
 *
 * | set    | was    |                                                  |
 * | ------ | ------ | ------------------------------------------------ |
 * | whole  | null   | a new record                                     |
 * | fields | fields | these fields of a record that is there           |
 * | null   | whole  | the record is taken away                         |
 */
export interface Change extends RecordKey {
  readonly set: Fields | null;
  readonly was: Fields | null;
}

/** Changes that belong together: all of them are made, or none. */
export interface ChangeGroup {
  /** Made once, by the device: a group that comes twice counts once. */
  readonly id: string;
  readonly changes: readonly Change[];
}

/** Fields that two hands set differently, with the record as it stands at the server; null if it was removed. */
export interface FieldConflict extends RecordKey {
  readonly fields: readonly string[];
  readonly theirs: AnyRecord | null;
}

/** A record as it stands at the server after a group; null if it is gone. */
export interface Standing extends RecordKey {
  readonly record: AnyRecord | null;
}

/** What became of one group. */
export type GroupAnswer =
  /** With the records that stand otherwise than the device must think: others' fields were merged in. */
  | { readonly id: string; readonly kind: "written"; readonly standing: readonly Standing[] }
  | { readonly id: string; readonly kind: "conflicted"; readonly conflicts: readonly FieldConflict[] }
  | { readonly id: string; readonly kind: "refused"; readonly message: string };

/** The change that turns `before` into `after`; null if they are the same. */
export function toChange(key: RecordKey, before: AnyRecord | null, after: AnyRecord | null): Change | null {
  const { kind, id } = key;
  if (!after) return before ? { kind, id, set: null, was: toFields(before) } : null;
  if (!before) return { kind, id, set: toFields(after), was: null };
  const [from, to] = [toFields(before), toFields(after)];
  const names = Object.keys({ ...from, ...to }).filter((name) => !isSame(from[name], to[name]));
  return names.length === 0 ? null : { kind, id, set: pick(to, names), was: pick(from, names) };
}

/** What takes the change back. */
export const invert = ({ kind, id, set, was }: Change): Change => ({ kind, id, set: was, was: set });

/** A change with the next one to the same record made part of it; null if nothing is left of them. */
export function joinChanges(first: Change, next: Change): Change | null {
  const { kind, id } = first;
  if (next.set === null)
    return first.was === null ? null : { kind, id, set: null, was: { ...next.was, ...first.was } };
  // Taken away and put back: what differs from before.
  if (first.set === null)
    return toChange({ kind, id }, first.was as unknown as AnyRecord, next.set as unknown as AnyRecord);
  const set = { ...first.set, ...next.set };
  if (first.was === null) return { kind, id, set, was: null };
  const was = { ...next.was, ...first.was };
  const names = Object.keys(set).filter((name) => !isSame(set[name], was[name]));
  return names.length === 0 ? null : { kind, id, set: pick(set, names), was: pick(was, names) };
}

/** The record with the change made to it; a change of fields to a record that is gone leaves it gone. */
export function applyToRecord(record: AnyRecord | null, { set, was }: Change): AnyRecord | null {
  if (set === null) return null;
  if (was === null) return set as unknown as AnyRecord;
  return record && { ...record, ...set };
}

/** The table with the changes made to it, in order. */
export const applyChanges = (table: RecordTable, changes: readonly Change[]): RecordTable =>
  changes.reduce(
    (made, change) =>
      withRecord(made, change, applyToRecord(findRecord(made, change.kind, change.id), change)),
    table,
  );

/**
 * Fields of the change that another hand has set otherwise meanwhile: what stands there is neither what was there
 * before nor what the change sets. Of a record that is to be taken away, any field that is not as it was.
 * @param current - What stands there; null if nothing does.
 */
export function findConflict(change: Change, current: AnyRecord | null): FieldConflict | null {
  const { kind, id, set, was } = change;
  const conflict = (fields: readonly string[]): FieldConflict => ({ kind, id, fields, theirs: current });
  if (!current) {
    // Taken away there: that is what a removal wants, and nothing to a new record.
    return set !== null && was !== null ? conflict(Object.keys(set)) : null;
  }
  const there = toFields(current);
  const wanted = set ?? was ?? {};
  const fields = Object.keys(wanted).filter((name) => {
    if (set !== null && isSame(there[name], set[name])) return false;
    return was === null || !isSame(there[name], was[name]);
  });
  return fields.length > 0 ? conflict(fields) : null;
}

/** Without these fields; null if nothing is left to set. */
export function withoutFields(change: Change, fields: readonly string[]): Change | null {
  if (change.set === null || change.was === null) return null;
  const names = Object.keys(change.set).filter((name) => !fields.includes(name));
  return names.length === 0
    ? null
    : { ...change, set: pick(change.set, names), was: pick(change.was, names) };
}

/** The change made upon another record than it was thought for: what was there before is what stands there now. */
export function rebase(change: Change, theirs: AnyRecord | null, mine: AnyRecord | null): Change | null {
  const { kind, id } = change;
  if (change.set === null) return theirs ? { kind, id, set: null, was: toFields(theirs) } : null;
  if (!theirs) return mine ? { kind, id, set: toFields(mine), was: null } : null;
  return { kind, id, set: change.set, was: pick(toFields(theirs), Object.keys(change.set)) };
}

export const isSameKey = (a: RecordKey, b: RecordKey): boolean => a.kind === b.kind && a.id === b.id;

const toFields = (record: AnyRecord): Fields => record as unknown as Fields;

const pick = (fields: Fields, names: readonly string[]): Fields =>
  Object.fromEntries(names.map((name) => [name, fields[name]]));
