import { formatCount } from "@/core/units";
import type { AnyRecord, RecordKind } from "@/schemas/recordKinds";
import { findRecord, pickRecords, withRecord, type Edit, type RecordTable } from "@/schemas/recordTable";

/** Users named before the rest are only counted. */
const MOST_NAMED = 3;

/**
 * What stands in the way of removals: who, among what would stay, still names what would go. Asked before anything is
 * taken away; the server asks again for what this screen does not know of.
 * @returns A sentence with what would mend it, or null.
 */
export function findUse(table: RecordTable, edits: readonly Edit[]): string | null {
  const removed = edits.filter(({ record }) => record === null);
  if (removed.length === 0) return null;
  const after = edits.reduce((made, edit) => withRecord(made, edit, edit.record), table);
  for (const { kind, id } of removed) {
    const users = listUsers(after, kind, id);
    if (users.length === 0) continue;
    const named = users.slice(0, MOST_NAMED).join(", ");
    const more = users.length > MOST_NAMED ? ` and ${users.length - MOST_NAMED} more` : "";
    const name = nameOf(findRecord(table, kind, id));
    return `${name} stays: ${named}${more} still ${users.length === 1 ? "uses" : "use"} it. ${mends[kind] ?? "Change them first."}`;
  }
  return null;
}

const mends: Partial<Record<RecordKind, string>> = {
  formula: "Give them another first.",
  vessel: "Give them another first.",
  piece: "Take it off the order first.",
};

function listUsers(table: RecordTable, kind: RecordKind, id: string): string[] {
  const pieces = pickRecords(table, "piece");
  if (kind === "formula")
    return pieces
      .filter(
        ({ doughId, fillingId, extras }) =>
          doughId === id ||
          fillingId === id ||
          extras.some((extra) => "fillingId" in extra && extra.fillingId === id),
      )
      .map(({ name }) => name);
  if (kind === "vessel") return pieces.filter(({ vesselId }) => vesselId === id).map(({ name }) => name);
  if (kind === "piece")
    return [
      ...pickRecords(table, "order")
        .filter(({ pieceId }) => pieceId === id)
        .map(({ count, customer }) => `${formatCount(count, "piece")} for ${customer || "an order"}`),
      ...pickRecords(table, "standing")
        .filter(({ pieceId }) => pieceId === id)
        .map(
          ({ customerId }) =>
            `a standing order of ${findRecord(table, "customer", customerId)?.name ?? "a customer"}`,
        ),
    ];
  return [];
}

const nameOf = (record: AnyRecord | null): string => (record && "name" in record ? record.name : "It");
