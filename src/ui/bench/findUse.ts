import { formatCount } from "@/core/units";
import type { AnyRecord, RecordKind } from "@/schemas/recordKinds";
import type { NoticeLink } from "./benchState";
import { findRecord, pickRecords, withRecord, type Edit, type RecordTable } from "@/schemas/recordTable";

/** What stands in the way of a removal. */
export interface Use {
  /** A sentence with what would mend it. */
  readonly message: string;
  /** Who still uses it, those that the message names. */
  readonly users: readonly NoticeLink[];
}

/** Users named before the rest are only counted. */
const MOST_NAMED = 3;

/**
 * What stands in the way of removals: who, among what would stay, still names what would go. Asked before anything is
 * taken away; the server asks again for what this screen does not know of.
 * @returns Null where nothing does.
 */
export function findUse(table: RecordTable, edits: readonly Edit[]): Use | null {
  const removed = edits.filter(({ record }) => record === null);
  if (removed.length === 0) return null;
  const after = edits.reduce((made, edit) => withRecord(made, edit, edit.record), table);
  for (const { kind, id } of removed) {
    const users = listUsers(after, kind, id);
    if (users.length === 0) continue;
    const shown = users.slice(0, MOST_NAMED);
    const named = shown.map((user) => user.name).join(", ");
    const more = users.length > MOST_NAMED ? ` and ${users.length - MOST_NAMED} more` : "";
    const name = nameOf(findRecord(table, kind, id));
    return {
      message: `${name} stays: ${named}${more} still ${users.length === 1 ? "uses" : "use"} it. ${mends[kind] ?? "Change them first."}`,
      users: shown,
    };
  }
  return null;
}

const mends: Partial<Record<RecordKind, string>> = {
  formula: "Give them another first.",
  vessel: "Give them another first.",
  piece: "Take it off the order first.",
};

function listUsers(table: RecordTable, kind: RecordKind, id: string): NoticeLink[] {
  const pieces = pickRecords(table, "piece");
  const asLink = ({ id: pieceId, name }: { readonly id: string; readonly name: string }): NoticeLink => ({
    ...{ kind: "piece", id: pieceId, name },
  });
  if (kind === "formula")
    return pieces
      .filter(
        ({ doughId, fillingId, extras }) =>
          doughId === id ||
          fillingId === id ||
          extras.some((extra) => "fillingId" in extra && extra.fillingId === id),
      )
      .map(asLink);
  if (kind === "vessel") return pieces.filter(({ vesselId }) => vesselId === id).map(asLink);
  if (kind === "piece")
    return [
      ...pickRecords(table, "order")
        .filter(({ pieceId }) => pieceId === id)
        .map(({ id: orderId, count, customer }): NoticeLink => ({
          ...{ kind: "order", id: orderId },
          name: `${formatCount(count, "piece")} for ${customer || "an order"}`,
        })),
      ...pickRecords(table, "standing")
        .filter(({ pieceId }) => pieceId === id)
        .map(({ id: standingId, customerId }): NoticeLink => ({
          ...{ kind: "standing", id: standingId },
          name: `a standing order of ${findRecord(table, "customer", customerId)?.name ?? "a customer"}`,
        })),
    ];
  return [];
}

const nameOf = (record: AnyRecord | null): string => (record && "name" in record ? record.name : "It");
