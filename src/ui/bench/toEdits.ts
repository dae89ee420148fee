import type { DayChange } from "@/core/plan";
import type { RecordKind } from "@/schemas/recordKinds";
import type { Edit } from "@/schemas/recordTable";

/** Where in the book what a change names stands. */
const kindOf = {
  orders: "order",
  pieces: "piece",
  doughs: "formula",
  weighings: "weighing",
  ovens: "oven",
  fryers: "fryer",
  vessels: "vessel",
} as const satisfies Partial<Record<keyof DayChange, RecordKind>>;

/** A change of the day as edits like any other: undo takes it back. */
export function toEdits({ day, goneOrders = [], goneLarder = [], ...changed }: DayChange): Edit[] {
  const lists = Object.entries(kindOf) as [keyof typeof kindOf, RecordKind][];
  return [
    ...(day ? [{ kind: "day", id: day.id, record: day } as const] : []),
    ...lists.flatMap(([list, kind]) =>
      (changed[list] ?? []).map((record) => ({ kind, id: record.id, record }) as Edit),
    ),
    ...goneOrders.map((id) => ({ kind: "order", id, record: null }) as const),
    ...goneLarder.map((id) => ({ kind: "larder", id, record: null }) as const),
  ];
}
