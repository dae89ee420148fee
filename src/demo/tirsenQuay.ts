import type { Bench, Day, Order, Oven } from "@/schemas/model";
import type { RecordChange, RecordKind, RecordTypes } from "@/schemas/recordKinds";
import { starters } from "./starters";

/** The demo world: an invented hatch bakery on an invented pier. */
const bench: Bench = { id: "bench", widthMm: 1400, depthMm: 700, sheetMaxWidthMm: 640, sheetMaxDepthMm: 430 };

const twoDeckOven: Oven = {
  id: "two-deck",
  name: "Two-deck oven",
  traysAtOnce: 2,
  trayWidthMm: 600,
  trayDepthMm: 400,
  heatUpCPerMin: 6,
  coolDownCPerMin: 3,
  maxC: 300,
};

const day: Day = { id: "day-2026-11-28", date: "2026-11-28", name: "Market Saturday", openMin: 4 * 60 };

const at = (hour: number, minute = 0) => hour * 60 + minute;
const order = (id: string, pieceId: string, count: number, dueMin: number, customer: string): Order => ({
  id,
  dayId: day.id,
  pieceId,
  count,
  dueMin,
  customer,
});

const orders: readonly Order[] = [
  order("order-1", "quince-half-moon", 48, at(9), "The hatch"),
  order("order-2", "quince-half-moon", 24, at(10, 30), "Ferry kiosk"),
  order("order-3", "leek-triangle", 36, at(10), "The hatch"),
  order("order-4", "rhubarb-crescent", 40, at(11, 30), "Net-menders’ breakfast"),
];

/** Everything that seeds an empty data file with the demo world, in an order that can be written. */
export function listDemoChanges(): RecordChange[] {
  return [
    ...starters.flatMap(({ dough, filling }) => [add("formula", dough), add("formula", filling)]),
    ...starters.map(({ piece }) => add("piece", piece)),
    add("bench", bench),
    add("oven", twoDeckOven),
    ...starters.map(({ cutter }) => add("cutter", cutter)),
    add("day", day),
    ...orders.map((entry) => add("order", entry)),
  ];
}

function add<K extends RecordKind>(kind: K, record: RecordTypes[K]): RecordChange {
  return { kind, id: record.id, expectedVersion: 0, record } as RecordChange;
}
