import { createWay, findHeatWay } from "../../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import {
  listClockRows,
  listDecks,
  planDay,
  sayProblem,
  type DayBook,
  type DayPlan,
  type Order,
  type Piece,
} from "..";

const market = toDayBook(listDemoRecords(), "2026-12-05", null)!;
const pieceOf = (id: string) => market.pieces.find((piece) => piece.id === id)!;

/** A day of one kind of piece, by noon. */
function dayOf(id: string, count: number, over: Partial<Piece> = {}, book: Partial<DayBook> = {}): DayBook {
  const order: Order = { id: "one", dayId: market.day.id, pieceId: id, count, dueMin: 780, customer: "" };
  return {
    ...market,
    day: { ...market.day, helper: null },
    larder: [],
    ahead: [],
    orders: [order],
    pieces: market.pieces.map((piece) => (piece.id === id ? { ...piece, spares: 0, ...over } : piece)),
    ...book,
  };
}
const at = (plan: DayPlan, id: string) => plan.tasks.find((task) => task.id === id)!;
const placedOf = (plan: DayPlan, id: string) => at(plan, id).placed;

/** Most of something that is in use at any minute. */
function findPeak(uses: readonly { from: number; to: number; amount: number }[]): number {
  return Math.max(
    ...uses.map(({ from }) =>
      uses.reduce((sum, use) => sum + (use.from <= from && from < use.to ? use.amount : 0), 0),
    ),
  );
}

/** Filled, closed and fried. */
const friedAt = (heatC: number) =>
  createWay([["fill"], ["close"], ["fry", { heatC, minutes: 5 }], ["cool"], ["setOut"]]);

test("the market of all twelve is ready as promised, with one pair of cup tins and one fryer", () => {
  const plan = planDay(market);
  expect(plan.lines).toHaveLength(12);
  expect(plan.schedule).toMatchObject({ late: [], brokenWaits: [], overfull: [] });
  expect(new Set(plan.tasks.flatMap(({ machineId }) => machineId ?? []))).toEqual(
    new Set(["two-deck", "small-fan", "six-litre"]),
  );
});

test("thirty tarts in twelve rings are three rounds, and no ring is lined before it is empty", () => {
  const plan = planDay(dayOf("tahini-tartlet", 30));
  const { loads } = plan.lines[0]!.loading;
  expect(loads.map(({ pieces }) => pieces)).toEqual([12, 12, 6]);
  const uses = loads.map(({ pieces }, i) => ({
    amount: pieces,
    from: placedOf(plan, `fill:tahini-tartlet:${i + 1}`).startMin,
    to: placedOf(plan, `unmould:tahini-tartlet:${i + 1}`).endMin,
  }));
  expect(findPeak(uses)).toBeLessThanOrEqual(12);
  // Out of its ring after ten minutes and before forty.
  for (const i of [1, 2, 3]) {
    const waited =
      placedOf(plan, `unmould:tahini-tartlet:${i}`).startMin -
      placedOf(plan, `bake:tahini-tartlet:${i}`).endMin;
    expect(waited).toBeGreaterThanOrEqual(10);
    expect(waited).toBeLessThanOrEqual(40);
  }
  expect(plan.schedule!.cost.brokenMin).toBe(0);
});

test("a fridge of one shelf takes one tray at a time; what does not fit any shelf is said with its size", () => {
  const shelf = {
    id: "f",
    name: "Small fridge",
    place: "fridge",
    count: 1,
    widthMm: 620,
    depthMm: 420,
  } as const;
  const plan = planDay(dayOf("quince-half-moon", 60, {}, { shelves: [shelf] }));
  const { loads } = plan.lines[0]!.loading;
  expect(loads.every(({ trays }) => trays.length === 1)).toBe(true);
  const uses = loads.map((_, i) => ({
    amount: 1,
    from: placedOf(plan, `seal:quince-half-moon:${i + 1}`).endMin,
    to: placedOf(plan, `bake:quince-half-moon:${i + 1}`).startMin,
  }));
  expect(findPeak(uses)).toBe(1);
  const narrow = planDay(dayOf("quince-half-moon", 20, {}, { shelves: [{ ...shelf, widthMm: 300 }] }));
  expect(narrow.problems.map(({ message }) => message)).toContainEqual(
    expect.stringMatching(/No tray of 600 × 400 mm stands on Small fridge/),
  );
});

describe("frying", () => {
  const [fryer] = market.fryers;

  test("a basket is bound by the oil, the basket or the level, whichever is least, and hands stay by it", () => {
    const plan = planDay(dayOf("rhubarb-crescent", 40));
    const { fries, loading } = plan.lines[0]!;
    const [fry] = fries;
    expect(fry!.perBasket).toBe(Math.min(fry!.most.oil, fry!.most.basket, fry!.most.level));
    const first = at(plan, "fry:rhubarb-crescent:1");
    const baskets = Math.ceil(loading.loads[0]!.pieces / fry!.perBasket);
    expect(first.handsMin).toBe(first.placed.endMin - first.placed.startMin);
    expect(first.handsMin).toBeGreaterThanOrEqual(baskets * fry!.minutes);
    // Every lot but the last is of whole baskets.
    expect(loading.loads.slice(0, -1).every(({ pieces }) => pieces % fry!.perBasket === 0)).toBe(true);
    // Glazed, and dry before it is set out.
    const wait =
      placedOf(plan, "finish:rhubarb-crescent:1").startMin -
      placedOf(plan, "glaze:rhubarb-crescent:1").endMin;
    expect(wait).toBeGreaterThanOrEqual(10);
  });

  test("the level of oil is its volume and the food's over the pot's floor, and is bound by the mark", () => {
    const [fry] = planDay(dayOf("rhubarb-crescent", 40)).lines[0]!.fries;
    const floorMm2 = 300 * 250;
    const oilMm = (5200 / 0.85) * (1000 / floorMm2);
    expect(fry!.levelMm).toBeGreaterThan(oilMm);
    expect(fry!.levelMm).toBeLessThanOrEqual(200 * 0.55);
    const full = planDay(dayOf("rhubarb-crescent", 40, {}, { fryers: [{ ...fryer!, oilKg: 7.4 }] }));
    expect(full.problems.map(sayProblem)).toContainEqual(expect.stringMatching(/Take \d{3} g out/));
  });

  test.each([
    ["no fryer", {}, { fryers: [] }, /there is no fryer/],
    ["too hot", { way: friedAt(199) }, {}, /4 °C above what Six-litre/],
    ["too cool", { way: friedAt(150) }, {}, /15 °C too cool/],
  ] as const)("%s stops the piece with what to do", (_name, over, book, words) => {
    const plan = planDay(dayOf("rhubarb-crescent", 10, over, book));
    expect(plan.problems).toContainEqual(
      expect.objectContaining({ stops: true, message: expect.stringMatching(words) }),
    );
  });

  test("a piece that is fried instead takes none of the moulds it was baked in", () => {
    const fried = { way: friedAt(180), vesselId: "pie-moulds" };
    const plan = planDay(dayOf("leek-triangle", 40, fried));
    expect(plan.problem!.holds.filter(({ resourceId }) => resourceId.startsWith("vessel:"))).toEqual([]);
    expect(plan.schedule!.overfull).toEqual([]);
  });

  test("oil past its change says by how many loads", () => {
    const old = { ...fryer!, usedLoads: 59, changeAfterLoads: 60 };
    const plan = planDay(dayOf("rhubarb-crescent", 40, {}, { fryers: [old] }));
    const baskets = Math.ceil(40 / plan.lines[0]!.fries[0]!.perBasket);
    expect(plan.problems.map(({ message }) => message)).toContainEqual(
      expect.stringMatching(new RegExp(`today adds ${baskets}: ${59 + baskets - 60} past its change`)),
    );
  });
});

test("not yet: the oven is kept for the minutes more, and the look comes before them", () => {
  const kept = (atMost: number) => {
    const doneness = { sign: "golden", moreMin: 3, atMost } as const;
    return at(planDay(dayOf("leek-triangle", 10, { doneness })), "bake:leek-triangle:1");
  };
  const [none, twice] = [kept(0), kept(2)];
  expect(twice.slackMin).toBe(6);
  expect(twice.placed.endMin - twice.placed.startMin).toBe(none.placed.endMin - none.placed.startMin + 6);
});

test("a hot deck is done sooner and a cool one later, evenly about the setting", () => {
  const [oven] = market.ovens;
  const [upper, lower] = listDecks([{ ovenC: 200, minutes: 20 }], {
    ...oven!,
    deckOffsetsC: [10, -10],
  });
  // 100 °C above the surface: 110 takes 20 · 100/110.
  expect(upper!.minutes).toBeCloseTo(2000 / 110, 9);
  expect(lower!.minutes).toBeCloseTo(2000 / 90, 9);
});

test("a pinned job stays at its minute and in its oven; a pin that cannot be kept says by how much", () => {
  const book = dayOf("leek-triangle", 40);
  const free = at(planDay(book), "bake:leek-triangle:1");
  const pin = (startMin: number, mode = free.placed.mode) =>
    planDay({ ...book, day: { ...book.day, pinned: [{ taskId: free.id, startMin, mode }] } });
  const moved = pin(free.placed.startMin - 25);
  expect(placedOf(moved, free.id).startMin).toBe(free.placed.startMin - 25);
  expect(moved.schedule!.cost).toMatchObject({ brokenMin: 0, latenessMin: 0 });
  const tooSoon = pin(185);
  expect(tooSoon.problems.map(({ message }) => message)).toContainEqual(
    expect.stringMatching(/pinned to 03:05 and cannot start before \d\d:\d\d, .* off/),
  );
  // A pin of a job that is gone does no harm.
  const gone = planDay({ ...book, day: { ...book.day, pinned: [{ taskId: "gone", startMin: 1, mode: 0 }] } });
  expect(gone.problems).toEqual(planDay(book).problems);
});

test("everybody's sheet is in the order of the clock and holds every job and light once", () => {
  const plan = planDay(market);
  const rows = listClockRows(plan, market);
  expect(rows).toHaveLength(plan.tasks.length + plan.schedule!.heaterStarts.length);
  expect(rows.map(({ startMin }) => startMin)).toEqual(
    rows.map(({ startMin }) => startMin).toSorted((a, b) => a - b),
  );
  expect(new Set(rows.map(({ person }) => person))).toEqual(new Set([0, 1]));
  expect(findHeatWay(pieceOf("rhubarb-crescent").way)).toBe("oil");
});
