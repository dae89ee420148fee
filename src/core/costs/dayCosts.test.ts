import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from "../plan";
import { computeDayCosts, FIRST_TILL, sumHeatKwh } from ".";
import { shareHands } from "./shareHands";

const records = listDemoRecords();
const days = ["2026-11-28", "2026-11-30", "2026-12-04", "2026-12-05"].map((date) => {
  const book = toDayBook(records, date, null)!;
  return { book, plan: planDay(book) };
});
const prices = pickRecords(records, "price");
const anyTill = fc.record({
  hourMinor: fc.integer({ min: 0, max: 5000 }),
  kwhMinor: fc.integer({ min: 0, max: 100 }),
});

test("every minute of hands is some piece's, once: what is done for several goes by what each takes", () => {
  for (const { book, plan } of days) {
    const shared = shareHands(plan);
    const all = plan.tasks.reduce((sum, { handsMin }) => sum + handsMin, 0);
    const told = [...shared.values()].reduce((sum, each) => sum + each, 0);
    // Only what is done for another day is no piece's of this one.
    if (book.ahead.some(({ dayId }) => dayId === book.day.id)) expect(told).toBeLessThan(all);
    else expect(told).toBeCloseTo(all, 6);
    for (const { piece } of plan.lines) {
      const own = plan.tasks.reduce((sum, task) => sum + (task.pieceId === piece.id ? task.handsMin : 0), 0);
      expect(shared.get(piece.id)).toBeGreaterThanOrEqual(own - 1e-9);
    }
  }
});

test("a day costs what its pieces do, by ingredients, hands and heat; dearer hands cost more by their minutes alone", () => {
  fc.assert(
    fc.property(fc.nat(days.length - 1), anyTill, (at, paid) => {
      const { book, plan } = days[at]!;
      const till = { ...FIRST_TILL, ...paid };
      const { pieces, day } = computeDayCosts(plan, book, till, prices);
      const sum = (figure: (piece: (typeof pieces)[number]) => number) =>
        pieces.reduce((all, piece) => all + figure(piece), 0);
      // What is done for another day alone is the day's and no piece's.
      const unsharedMin = day.handsMin - sum(({ handsMin }) => handsMin);
      expect(unsharedMin).toBeGreaterThan(-1e-6);
      expect(day.totalMinor - (unsharedMin * paid.hourMinor) / 60).toBeCloseTo(
        sum(({ totalMinor }) => totalMinor),
        6,
      );
      expect(day.totalMinor).toBeCloseTo(day.ingredientsMinor + day.handsMinor + day.heatMinor, 6);
      expect(day.handsMinor).toBeCloseTo((day.handsMin / 60) * paid.hourMinor, 6);
      for (const { eachMinor, made, totalMinor } of pieces)
        expect(eachMinor * made).toBeCloseTo(totalMinor, 6);
      const dearer = computeDayCosts(plan, book, { ...till, hourMinor: till.hourMinor + 600 }, prices);
      expect(dearer.day.totalMinor - day.totalMinor).toBeCloseTo(day.handsMin * 10, 6);
    }),
    { numRuns: 30 },
  );
});

test("orders are sold for their pieces' prices and cost their share; what is spare earns nothing", () => {
  for (const { book, plan } of days) {
    const { orders, day, pieces } = computeDayCosts(plan, book, { ...FIRST_TILL, hourMinor: 1500 }, prices);
    const priceOf = new Map(prices.map(({ id, priceMinor }) => [id, priceMinor]));
    const told = book.orders.reduce((sum, { pieceId, count }) => sum + count * priceOf.get(pieceId)!, 0);
    expect(day.soldMinor).toBe(told);
    expect(orders.reduce((sum, { soldMinor }) => sum + soldMinor!, 0)).toBe(told);
    const spareMinor = plan.lines.reduce((sum, { piece, counts }) => {
      const each = pieces.find(({ pieceId }) => pieceId === piece.id)!.eachMinor;
      return sum + (counts.made - counts.ordered) * each;
    }, 0);
    const ordered = orders.reduce((sum, { costMinor }) => sum + costMinor, 0);
    const sharedMin = pieces.reduce((sum, { handsMin }) => sum + handsMin, 0);
    expect(ordered + spareMinor).toBeCloseTo(day.costMinor - (day.handsMin - sharedMin) * 25, 6);
  }
});

test("without the price of one of its pieces an order and the day are not said to be sold for anything", () => {
  const { book, plan } = days[0]!;
  const [first] = book.orders;
  const some = prices.filter(({ id }) => id !== first!.pieceId);
  const { orders, day, pieces } = computeDayCosts(plan, book, FIRST_TILL, some);
  expect([day.soldMinor, day.leftMinor]).toEqual([null, null]);
  for (const { group, soldMinor, leftMinor } of orders) {
    const lacks = group.orders.some(({ pieceId }) => pieceId === first!.pieceId);
    expect(soldMinor === null).toBe(lacks);
    expect(leftMinor === null).toBe(lacks);
  }
  expect(pieces.filter(({ leftMinor }) => leftMinor === null)).toHaveLength(1);
});

test("what goes on a piece is paid for too, and what has no price is named", () => {
  const { book, plan } = days[0]!;
  const bare = {
    ...book,
    ingredients: [
      { ...book.ingredients[0], ...egg(), pack: null },
      ...book.ingredients.filter(({ id }) => id !== "egg"),
    ],
  };
  const [withEgg, without] = [
    computeDayCosts(plan, book, FIRST_TILL, prices),
    computeDayCosts(plan, bare, FIRST_TILL, prices),
  ];
  expect(without.day.ingredientsMinor).toBeLessThan(withEgg.day.ingredientsMinor);
  expect(without.unpriced).toContain("egg");
});

/** As it ships, but for its price. */
function egg() {
  return {
    ...{ id: "egg", name: "egg", otherNames: ["eggs"], group: "egg" as const, densities: [], pieceG: 51 },
    ...{
      waterShare: 0.76,
      fatShare: 0.1,
      sugarShare: 0,
      starchShare: 0,
      allergens: ["egg" as const],
      source: "",
    },
  };
}

test("a fryer's heat is its heater's for the minutes that it fries, and a cold day draws none", () => {
  const { book, plan } = days[0]!;
  const line = plan.lines.find(({ fries }) => fries.length > 0)!;
  const minutes = plan.tasks.reduce(
    (sum, { kind, pieceId, placed }) =>
      sum + (kind === "fry" && pieceId === line.piece.id ? placed.endMin - placed.startMin : 0),
    0,
  );
  const [fryer] = book.fryers;
  const kwh = sumHeatKwh(plan, book.fryers, line);
  expect(kwh).toBeCloseTo(((fryer!.heaterW / 1000) * 0.4 * minutes) / 60, 9);
  expect(sumHeatKwh({ ...plan, tasks: [] }, book.fryers, line)).toBe(0);
});

test("a piece costs the same whether its dough was made today or lay in the larder", () => {
  const { book, plan } = days[0]!;
  const tubs = plan.doughs.map(({ formula }) => ({
    ...{ id: `tub-${formula.id}`, kind: "dough" as const, refId: formula.id, massG: 100_000, count: 0 },
    ...{ madeOn: "2026-11-27", useBy: "2026-12-01", fromDayId: null, takenByDayId: null },
  }));
  const kept = { ...book, larder: [...book.larder, ...tubs] };
  const of = (each: typeof book) => computeDayCosts(planDay(each), each, FIRST_TILL, []);
  for (const { pieceId, eachMinor } of of(book).pieces) {
    const same = of(kept).pieces.find((each) => each.pieceId === pieceId)!;
    expect(same.eachMinor).toBeCloseTo(eachMinor, 6);
  }
});
