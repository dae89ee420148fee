import { formatClock } from "@/core/units";
import type { AnyRecord, RecordKind } from "@/schemas/recordKinds";
import { findRecord, type RecordTable } from "@/schemas/recordTable";
import type { Change } from "@/schemas/change";
import type { Step } from "../bench/history";
import { toWords } from "./listDifferences";

/** What a record is called where it has no name of its own. */
const kindNames: Record<RecordKind, string> = {
  day: "the day",
  order: "an order",
  piece: "a piece",
  formula: "a formula",
  bench: "the bench",
  oven: "an oven",
  cutter: "a cutter",
  vessel: "moulds",
  shelf: "a shelf",
  fryer: "a fryer",
  device: "a device",
  kitchen: "the kitchen",
  ingredient: "an ingredient",
  larder: "what the larder holds",
  ahead: "what is made ahead",
  weighing: "what was weighed",
  cutRecord: "what was cut",
  lotRecord: "how a load went",
  customer: "a customer",
  standing: "a standing order",
  till: "rates",
  price: "a price",
};

/**
 * A step as the button that takes it back says it: `24 Leek triangle for The hatch, removed` · `Plum pop: thickness (mm)`.
 * @param records - As they stand, for the names.
 */
export function describeStep({ changes }: Step, records: RecordTable): string {
  const [first] = changes;
  if (!first) return "";
  const told = describeChange(first, records);
  return changes.length === 1 ? told : `${told}, and ${changes.length - 1} more`;
}

function describeChange({ kind, id, set, was }: Change, records: RecordTable): string {
  const whole = findRecord(records, kind, id) ?? ((set ?? was) as AnyRecord | null);
  const name = nameRecord(kind, whole, records);
  if (set === null) return `${name}, removed`;
  if (was === null) return `${name}, added`;
  const [field = "", ...others] = Object.keys(set).filter((each) => each !== "customerId");
  return `${name}: ${toWords(field)}${others.length > 0 ? ` and ${others.length} more` : ""}`;
}

function nameRecord(kind: RecordKind, record: AnyRecord | null, records: RecordTable): string {
  if (!record) return kindNames[kind];
  if ("count" in record && "pieceId" in record) {
    const piece = findRecord(records, "piece", record.pieceId)?.name ?? "pieces";
    const whom = "customer" in record && record.customer !== "" ? ` for ${record.customer}` : "";
    return `${record.count} ${piece}${whom}, ${formatClock(record.dueMin)}`;
  }
  return "name" in record && record.name !== "" ? record.name : kindNames[kind];
}
