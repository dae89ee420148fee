import { findCustomer, NEW_ORDER_REST } from "@/core/orders";
import { firstKitchen } from "@/schemas/firstKitchen";
import type { Cutter, Day, Kitchen, LarderItem, MakeAhead, Order, Weighing } from "@/schemas/model";
import type { KindedRecord, RecordKind, RecordTypes } from "@/schemas/recordKinds";
import { toTable, type RecordTable } from "@/schemas/recordTable";
import { customers, standingOrders } from "./customers";
import { prices, till } from "./till";
import { furtherFormulas } from "./formulas";
import { bench, devices, fryer, shelves, smallFan, twoDeckOven, vessels } from "./kit";
import { starters } from "./starters";

/** The demo world: an invented hatch bakery on an invented pier. */
const day: Day = {
  id: "day-2026-11-28",
  date: "2026-11-28",
  name: "Market Saturday",
  openMin: 4 * 60,
  helper: null,
  keepsReserve: false,
  laid: [],
  pinned: [],
};

const at = (hour: number, minute = 0) => hour * 60 + minute;
const order = (id: string, pieceId: string, count: number, dueMin: number, customer: string): Order => ({
  ...NEW_ORDER_REST,
  ...{ id, dayId: day.id, pieceId, count, dueMin, customer },
  customerId: findCustomer(customers, customer)?.id ?? null,
});

const orders: readonly Order[] = [
  order("order-1", "quince-half-moon", 48, at(9), "The hatch"),
  { ...order("order-2", "quince-half-moon", 24, at(10, 30), "Ferry kiosk"), standingId: "kiosk-moons" },
  order("order-3", "leek-triangle", 36, at(10), "The hatch"),
  order("order-4", "rhubarb-crescent", 40, at(11, 30), "Net-menders’ breakfast"),
];

const kitchen: Kitchen = { ...firstKitchen, roomC: 19, mixedC: 17 };

const friday: Day = {
  id: "day-2026-11-27",
  date: "2026-11-27",
  name: "Quiet Friday",
  openMin: 5 * 60,
  helper: null,
  keepsReserve: false,
  laid: [],
  pinned: [],
};
const fridayOrder: Order = {
  ...NEW_ORDER_REST,
  id: "order-friday",
  dayId: friday.id,
  pieceId: "quince-half-moon",
  count: 20,
  dueMin: at(10),
  customer: "The hatch",
};

const sunday: Day = {
  id: "day-2026-11-29",
  date: "2026-11-29",
  name: "Lantern Sunday",
  openMin: 4 * 60 + 30,
  helper: null,
  keepsReserve: false,
  laid: [],
  pinned: [],
};
const sundayOrders: readonly Order[] = [
  { ...order("order-pops", "plum-pop", 40, at(11), "Lantern walk"), dayId: sunday.id },
  { ...order("order-moons", "quince-half-moon", 18, at(11), "The hatch"), dayId: sunday.id },
  { ...order("order-ovals", "chestnut-oval", 16, at(12), "Harbour office"), dayId: sunday.id },
  { ...order("order-cases", "blossom-case", 24, at(13), "Ferry kiosk"), dayId: sunday.id },
  { ...order("order-roses", "courgette-rose", 18, at(13), "The hatch"), dayId: sunday.id },
];
const monday: Day = {
  id: "day-2026-11-30",
  date: "2026-11-30",
  name: "Fair Monday",
  openMin: 4 * 60,
  helper: null,
  keepsReserve: false,
  laid: [],
  pinned: [],
};
const mondayOrders: readonly Order[] = [
  { ...order("order-pears", "pear-coat", 12, at(16), "Pilot station"), dayId: monday.id },
  { ...order("order-dates", "date-round", 24, at(13), "The hatch"), dayId: monday.id },
  { ...order("order-cups", "custard-cup", 24, at(17, 30), "Ferry kiosk"), dayId: monday.id },
  { ...order("order-tartlets", "tahini-tartlet", 12, at(16), "The hatch"), dayId: monday.id },
  { ...order("order-pies", "chestnut-pie", 6, at(14, 30), "Harbour office"), dayId: monday.id },
  { ...order("order-pucks", "lemon-puck", 16, at(18), "The hatch"), dayId: monday.id },
  { ...order("order-envelopes", "apple-envelope", 12, at(13), "Ferry kiosk"), dayId: monday.id },
  { ...order("order-pressed", "leek-press", 20, at(13, 30), "Pilot station"), dayId: monday.id },
  { ...order("order-share", "harbour-fold", 2, at(17), "Net-menders’ table"), dayId: monday.id },
];
/** The day before the great market: dough and fillings that keep are made, and shells are baked empty. */
const greatEve: Day = {
  id: "day-2026-12-04",
  date: "2026-12-04",
  name: "Eve of the great market",
  openMin: 8 * 60,
  helper: null,
  keepsReserve: false,
  laid: [],
  pinned: [],
};
const greatMarket: Day = {
  id: "day-2026-12-05",
  date: "2026-12-05",
  name: "Great market Saturday",
  openMin: 3 * 60,
  helper: { fromMin: 5 * 60, toMin: 13 * 60 },
  keepsReserve: false,
  laid: [],
  pinned: [],
};
const greatOrders: readonly Order[] = [
  { ...order("great-moons", "quince-half-moon", 24, at(11), "The hatch"), dayId: greatMarket.id },
  { ...order("great-triangles", "leek-triangle", 22, at(11, 30), "The hatch"), dayId: greatMarket.id },
  { ...order("great-pops", "plum-pop", 20, at(12), "Lantern walk"), dayId: greatMarket.id },
  { ...order("great-pears", "pear-coat", 12, at(13), "Pilot station"), dayId: greatMarket.id },
  { ...order("great-dates", "date-round", 18, at(12), "Ferry kiosk"), dayId: greatMarket.id },
  { ...order("great-cups", "custard-cup", 24, at(14), "The hatch"), dayId: greatMarket.id },
  { ...order("great-tartlets", "tahini-tartlet", 12, at(13, 30), "Harbour office"), dayId: greatMarket.id },
  { ...order("great-ovals", "chestnut-oval", 16, at(12, 30), "Harbour office"), dayId: greatMarket.id },
  { ...order("great-cases", "blossom-case", 24, at(14), "Ferry kiosk"), dayId: greatMarket.id },
  { ...order("great-roses", "courgette-rose", 12, at(14, 30), "The hatch"), dayId: greatMarket.id },
  { ...order("great-pucks", "lemon-puck", 12, at(15), "The hatch"), dayId: greatMarket.id },
  {
    ...order("great-crescents", "rhubarb-crescent", 30, at(13), "Net-menders’ table"),
    dayId: greatMarket.id,
  },
];
const ahead = (id: string, kind: MakeAhead["kind"], refId: string, massG: number): MakeAhead => ({
  id,
  dayId: greatEve.id,
  date: greatEve.date,
  forDate: greatMarket.date,
  kind,
  refId,
  massG,
  count: 0,
});
const greatAhead: readonly MakeAhead[] = [
  ahead("ahead-shortcrust", "dough", "bay-shortcrust", 3200),
  ahead("ahead-quince", "filling", "quince-and-bay", 900),
];
/** Cutters beside those of the starters. */
const furtherCutters: readonly Cutter[] = [
  { id: "leaf-44", name: "Leaf 44", outline: { kind: "leaf", widthMm: 44, heightMm: 20 }, count: 1 },
  { id: "heart-90", name: "Heart 90", outline: { kind: "heart", widthMm: 90, heightMm: 82 }, count: 1 },
  {
    id: "scalloped-85",
    name: "Scalloped 85",
    outline: { kind: "scalloped", diameterMm: 85, lobes: 14 },
    count: 2,
  },
];

/** Friday's crust took a little less water than the middle of its range. */
const fridayWeighing: Weighing = {
  id: "weigh-2026-11-27-bay-shortcrust",
  dayId: friday.id,
  date: friday.date,
  formulaId: "bay-shortcrust",
  tickedLineIds: ["bay-shortcrust-1", "bay-shortcrust-2", "bay-shortcrust-3", "bay-shortcrust-4"],
  took: { massG: 132, scale: 1 },
  mixG: null,
};

const stored = (
  id: string,
  kind: LarderItem["kind"],
  refId: string,
  amount: { massG?: number; count?: number },
  madeOn: string,
  useBy: string,
): LarderItem => ({
  id,
  kind,
  refId,
  massG: amount.massG ?? 0,
  count: amount.count ?? 0,
  madeOn,
  useBy,
  fromDayId: null,
  takenByDayId: null,
});
const larder: readonly LarderItem[] = [
  stored("larder-1", "dough", "bay-shortcrust", { massG: 430 }, "2026-11-26", "2026-11-29"),
  stored("larder-2", "filling", "rhubarb-and-orange", { massG: 260 }, "2026-11-26", "2026-11-29"),
  stored("larder-3", "frozenPieces", "rhubarb-crescent", { count: 8 }, "2026-11-15", "2026-12-20"),
  stored("larder-4", "filling", "cardamom-syrup", { massG: 340 }, "2026-11-20", "2026-12-04"),
];

/** Everything that seeds an empty data file with the demo world, in an order that can be written. */
export function listDemoWorld(): KindedRecord[] {
  return [
    ...unique(starters.flatMap(({ dough, filling, others }) => [dough, filling, ...others])).map((formula) =>
      of("formula", formula),
    ),
    ...furtherFormulas.map((formula) => of("formula", formula)),
    ...vessels.map((vessel) => of("vessel", vessel)),
    ...starters.map(({ piece }) => of("piece", piece)),
    of("bench", bench),
    of("oven", twoDeckOven),
    of("oven", smallFan),
    ...shelves.map((shelf) => of("shelf", shelf)),
    of("fryer", fryer),
    ...devices.map((device) => of("device", device)),
    ...[...starters.map(({ cutter }) => cutter), ...furtherCutters].map((cutter) => of("cutter", cutter)),
    ...customers.map((customer) => of("customer", customer)),
    ...standingOrders.map((standing) => of("standing", standing)),
    of("day", day),
    of("day", friday),
    of("day", sunday),
    of("day", monday),
    of("day", greatEve),
    of("day", greatMarket),
    ...[...orders, fridayOrder, ...sundayOrders, ...mondayOrders, ...greatOrders].map((entry) =>
      of("order", entry),
    ),
    of("kitchen", kitchen),
    of("till", till),
    ...prices.map((price) => of("price", price)),
    ...larder.map((item) => of("larder", item)),
    ...greatAhead.map((each) => of("ahead", each)),
    of("weighing", fridayWeighing),
  ];
}

const of = <K extends RecordKind>(kind: K, record: RecordTypes[K]) => ({ kind, record }) as KindedRecord;

/** Several starters may be of one dough. */
const unique = <T extends { readonly id: string }>(records: readonly T[]): T[] => [
  ...new Map(records.map((record) => [record.id, record])).values(),
];

/** The demo world as a table. */
export const listDemoRecords = (): RecordTable => toTable(listDemoWorld());
