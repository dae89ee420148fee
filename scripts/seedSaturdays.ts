import { gzipSync } from "node:zlib";
import { addDays, planDay } from "@/core/plan";
import { freezeRun } from "@/core/run";
import { createRandom } from "@/core/seededRandom";
import { keepRunLog } from "@/data/keepRunLog";
import type { Store } from "@/data/store";
import type { Day, Order } from "@/schemas/model";
import { toChange } from "@/schemas/change";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { simulateBaker, type BakerMishap, type BakerTruth } from "@/simulators/baker";

/** The Saturday whose kind the past ones were. */
const MODEL_DATE = "2026-11-28";
const WEEK = 7;
const SEED = 28;

/** Who worked there: quick at the rope, slow with the spoon, an oven that runs hot. */
const truth: BakerTruth = {
  fill: 1.16,
  close: 0.8,
  hands: 1.03,
  heat: 1.07,
  ovenOffC: 8,
  portion: 1.04,
  thickness: 1.04,
  relaxed: 0.99,
  film: 0.85,
  bench: 1.15,
  blanks: 0.985,
  sold: 0.96,
  strayShare: 0.1,
  strayC: 3,
};

const mishap = (over: Partial<BakerMishap>): BakerMishap => ({
  jobKind: "bake",
  pieceId: "quince-half-moon",
  mishap: "leaked",
  count: 1,
  word: "",
  isLost: false,
  slower: 1,
  isLeftOut: false,
  ...over,
});

/** What went wrong, Saturday by Saturday, the longest ago first. */
const saturdays: readonly (readonly BakerMishap[])[] = [
  [mishap({ count: 4, word: "at the fold" })],
  [mishap({ mishap: "pale", count: 12, word: "the breaker tripped", slower: 2.4, isLeftOut: true })],
  [
    mishap({
      jobKind: "seal",
      pieceId: "leek-triangle",
      mishap: "torn",
      count: 2,
      word: "warm dough",
      isLost: true,
    }),
  ],
  [
    mishap({
      jobKind: "fry",
      pieceId: "rhubarb-crescent",
      mishap: "burnt",
      count: 3,
      word: "the last basket",
      isLost: true,
    }),
  ],
  [mishap({ jobKind: "fill", mishap: "dropped", count: 2, word: "the tray tipped", isLost: true })],
  [mishap({ count: 5, word: "filled too full" })],
];

/** Lays past Saturdays with their runs into the demo's store, the longest ago first, each planned by what was known then. */
export function seedSaturdays(store: Store): void {
  const random = createRandom(SEED);
  const model = fromLists(store.readDay(MODEL_DATE)?.lists ?? {});
  const day = pickRecords(model, "day").find(({ date }) => date === MODEL_DATE);
  if (!day) throw new Error(`The demo world has no day ${MODEL_DATE}.`);
  const orders = pickRecords(model, "order").filter(({ dayId }) => dayId === day.id);
  saturdays.forEach((mishaps, i) => {
    const date = addDays(MODEL_DATE, -WEEK * (saturdays.length - i));
    seedOne(store, { day, orders }, date, mishaps, random);
  });
}

function seedOne(
  store: Store,
  model: { readonly day: Day; readonly orders: readonly Order[] },
  date: string,
  mishaps: readonly BakerMishap[],
  random: () => number,
): void {
  const nowIso = `${date}T18:00:00.000Z`;
  const day: Day = { ...model.day, id: `day-${date}`, date, name: "Market Saturday", laid: [], pinned: [] };
  const orders = model.orders.map((order): Order => ({
    ...order,
    id: `${order.id}-${date}`,
    dayId: day.id,
    count: Math.max(Math.round(order.count * (0.85 + 0.3 * random())), 1),
  }));
  const changes = [
    toChange({ kind: "day", id: day.id }, null, day),
    ...orders.map((order) => toChange({ kind: "order", id: order.id }, null, order)),
  ].flatMap((change) => change ?? []);
  store.applyGroups([{ id: `past-${date}`, changes }], nowIso);
  const records = store.readDay(date);
  // What stands in the demo's larder is for its own days.
  const book =
    records &&
    toDayBook(fromLists(records.lists), date, null, { formulasThen: [], past: records.past, closed: null });
  const sheet = book && freezeRun(planDay({ ...book, larder: [] }), { ...book, larder: [] });
  if (!sheet) throw new Error(`The past Saturday ${date} could not be planned.`);
  const { id } = store.runs.freeze(day, gzipSync(JSON.stringify(sheet)), nowIso);
  const events = simulateBaker(sheet, truth, mishaps, random);
  store.runs.append(id, events, nowIso);
  keepRunLog(store, { id, sheet, events }, nowIso);
}
