import type { RecordTypes } from "./records";

export type { RecordTypes };
export type RecordKind = keyof RecordTypes;

/** Every kind, in an order in which records can be written: what is named stands before what names it. */
export const recordKinds: readonly RecordKind[] = [
  "formula",
  "vessel",
  "piece",
  "bench",
  "oven",
  "cutter",
  "shelf",
  "fryer",
  "day",
  "order",
  "kitchen",
  "ingredient",
  "larder",
  "ahead",
  "weighing",
  "cutRecord",
  "lotRecord",
];

/** A record of some kind with the version it was read at. */
export type StoredRecord = {
  [K in RecordKind]: { readonly kind: K; readonly record: RecordTypes[K]; readonly version: number };
}[RecordKind];

/**
 * A change to one record. `record` null removes it; `expectedVersion` is the version it was read at, 0 for a
 * record that was not there.
 */
export type RecordChange = {
  [K in RecordKind]: {
    readonly kind: K;
    readonly id: string;
    readonly expectedVersion: number;
    readonly record: RecordTypes[K] | null;
  };
}[RecordKind];
