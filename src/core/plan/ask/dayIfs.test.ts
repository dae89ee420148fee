import { findChillMin, withChill } from "../../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { createRandom } from "../../seededRandom";
import { improveSchedule } from "../../schedule";
import { answerDay, applyDayChange, planDay, type DayBook } from "..";

const records = listDemoRecords();
const saturday = toDayBook(records, "2026-11-28", null)!;
const lateDay: DayBook = { ...saturday, day: { ...saturday.day, openMin: 6 * 60 + 30 } };
const lateMin = (book: DayBook) =>
  Math.max(0, ...(planDay(book).schedule?.late ?? []).map((each) => each.lateMin));

test("a late day has reasons, and every mend named was solved: planned with it, nothing is late", () => {
  expect(lateMin(lateDay)).toBeGreaterThan(0);
  const { reasons, mends, now } = answerDay(lateDay);
  expect(now.lateMin).toBe(lateMin(lateDay));
  expect(reasons[0]).toMatch(/too few hands|is full|too little time/);
  expect(mends.length).toBeGreaterThan(0);
  expect(mends.length).toBeLessThanOrEqual(3);
  for (const { change } of mends) expect(lateMin(applyDayChange(lateDay, change))).toBe(0);
});

test("far too much is called so, and what would fit was planned: nothing of it is late, and a little more would be", () => {
  const orders = saturday.orders.map((order) => ({ ...order, count: order.count * 14 }));
  const flood: DayBook = { ...saturday, orders };
  const { reasons, mends, now } = answerDay(flood);
  expect(now.lateMin).toBeGreaterThan(6 * 60);
  expect(reasons[0]).toMatch(/^Too much for this kitchen in one day: .* after its promise\.$/);
  const [fit] = mends;
  expect([mends.length, fit!.id]).toEqual([1, "fits"]);
  const fitting = applyDayChange(flood, fit!.change);
  expect(lateMin(fitting)).toBe(0);
  const [, part, all] = /^(\d+) of (\d+) pieces/.exec(fit!.title)!;
  const sum = (of: DayBook["orders"]) => of.reduce((total, { count }) => total + count, 0);
  expect([Number(part), Number(all)]).toEqual([sum(fitting.orders), sum(orders)]);
  // A sixteenth of everything more, and it is late: the search ended no farther from the edge.
  const more = {
    ...flood,
    orders: orders.map((order, i) => ({
      ...order,
      count: fitting.orders[i]!.count + Math.ceil(order.count / 16),
    })),
  };
  expect(lateMin(more)).toBeGreaterThan(0);
}, 120_000);

test("a day in time has no reasons, and its what-ifs say what each would be", () => {
  const { reasons, mends, ifs, now } = answerDay(saturday);
  expect([reasons, mends]).toEqual([[], []]);
  expect(ifs.map(({ id }) => id)).toEqual(["helper", "later", "half", "tray", "oven"]);
  const half = ifs.find(({ id }) => id === "half")!;
  expect(half.dayMin).toBeLessThan(now.dayMin);
});

test("an order that a search has found is kept, also when a piece is edited afterwards", () => {
  const plan = planDay(saturday);
  const { schedule } = improveSchedule(plan.problem!, {
    random: createRandom(1),
    isOver: (tries) => tries >= 150,
  });
  expect(schedule.cost.dayMin).toBeLessThan(plan.schedule!.cost.dayMin);
  const laid = schedule.placed.map(({ taskId, startMin, mode }) => ({ taskId, startMin, mode }));
  const kept: DayBook = { ...saturday, day: { ...saturday.day, laid } };
  const found = planDay(kept).schedule!.cost;
  expect(found.dayMin).toBeLessThanOrEqual(schedule.cost.dayMin);
  const edited = planDay({
    ...kept,
    pieces: kept.pieces.map((piece) => ({
      ...piece,
      way: withChill(piece.way, findChillMin(piece.way) + 5),
    })),
  });
  expect(edited.schedule!.cost.brokenMin).toBe(0);
  expect(edited.tasks.length).toBe(plan.tasks.length);
});

test("a fan oven takes a load at its own setting, and one too small for the trays takes none", () => {
  const [first, fan] = saturday.ovens;
  const settings = (ovens: DayBook["ovens"]) =>
    planDay({ ...saturday, ovens }).problem!.tasks.flatMap(({ modes }) =>
      modes.flatMap(({ heat, uses }) =>
        heat && uses[0]!.resourceId.startsWith("oven:") ? [[uses[0]!.resourceId, heat.startC] as const] : [],
      ),
    );
  const inFan = settings([first!, { ...fan!, traysAtOnce: 2, deckOffsetsC: [10] }]).filter(([id]) =>
    id.includes("fan"),
  );
  const inFirst = settings([first!]);
  expect(inFan.map(([, heatC]) => heatC + 20 + 10)).toEqual(inFirst.map(([, heatC]) => heatC));
  expect(settings([first!, { ...fan!, trayWidthMm: 400 }])).toEqual(inFirst);
});

test("a helper takes work off the baker, and nobody is in two places", () => {
  const helped = planDay({
    ...saturday,
    day: { ...saturday.day, helper: { fromMin: 240, toMin: 700 } },
  });
  expect(helped.schedule!.cost.dayMin).toBeLessThan(planDay(saturday).schedule!.cost.dayMin);
  const byHand = helped.tasks.filter(({ kind }) => kind !== "bake");
  expect(new Set(byHand.map(({ person }) => person))).toEqual(new Set([0, 1]));
  for (const one of byHand)
    for (const other of byHand) {
      const together = one.placed.startMin < other.placed.endMin && other.placed.startMin < one.placed.endMin;
      if (one !== other && together) expect(one.person).not.toBe(other.person);
    }
});
