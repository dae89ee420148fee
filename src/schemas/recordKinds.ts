import type { RecordTypes } from "./records";

export type { RecordTypes };
export type RecordKind = keyof RecordTypes;
export type AnyRecord = RecordTypes[RecordKind];

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
  "device",
  "customer",
  "standing",
  "day",
  "order",
  "kitchen",
  "till",
  "price",
  "ingredient",
  "larder",
  "ahead",
  "weighing",
  "cutRecord",
  "lotRecord",
];

/** A record with its kind. */
export type KindedRecord = {
  [K in RecordKind]: { readonly kind: K; readonly record: RecordTypes[K] };
}[RecordKind];

/** Which record. */
export interface RecordKey {
  readonly kind: RecordKind;
  readonly id: string;
}
