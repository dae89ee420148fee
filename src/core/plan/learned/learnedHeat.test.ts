import { NO_PAST, planDay, toHeatHabit, toOvenHabit, type DayBook, type PastLog } from "..";
import { pastOf } from "../../habits/__tests__/pastOf";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { findHeatFactor, learnFryer, learnOven } from "./learnedHeat";

const book: DayBook = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const [deck] = book.ovens;
const half = "quince-half-moon";
const bakeOf = (past: PastLog, pieceId = half) =>
  planDay({ ...book, past }).tasks.find((task) => task.kind === "bake" && task.pieceId === pieceId)!;
const minutes = (past: PastLog) => {
  const { placed, slackMin } = bakeOf(past);
  return placed.endMin - placed.startMin - slackMin;
};

test("an oven is known by its readings: every deck by as much, and by nothing where the log is silent", () => {
  expect(learnOven(deck!, NO_PAST)).toBe(deck);
  const hot = learnOven(deck!, pastOf({ [toOvenHabit(deck!.id)]: 8 }));
  hot.deckOffsetsC.forEach((offsetC, i) => {
    expect(offsetC - deck!.deckOffsetsC[i]!).toBeGreaterThan(7);
    expect(offsetC - deck!.deckOffsetsC[i]!).toBeLessThanOrEqual(8);
  });
  const almost = pastOf({ [toOvenHabit(deck!.id)]: 0.3 });
  expect(learnOven(deck!, almost)).toBe(deck);
});

test("a hot oven is set lower, and its bakes take what they took; the kit's own figures stay", () => {
  const past = pastOf({ [toOvenHabit(deck!.id)]: 8, [toOvenHabit(book.ovens[1]!.id)]: 8 });
  const [plain, hot] = [bakeOf(NO_PAST), bakeOf(past)];
  expect(plain.machineId).toBe(hot.machineId);
  expect(plain.heat!.startC - hot.heat!.startC).toBeGreaterThanOrEqual(7);
  expect(minutes(past)).toBe(minutes(NO_PAST));
  expect(book.ovens[0]).toBe(deck);
});

test("a piece that takes longer has its minutes, in that oven and no other; a hair longer is none", () => {
  const id = toHeatHabit(half, deck!.id);
  const slow = pastOf({ [id]: Math.log(1.25) });
  expect(findHeatFactor(slow, half, deck!.id)).toBeCloseTo(1.24, 1);
  expect(findHeatFactor(slow, half, "other")).toBe(1);
  expect(findHeatFactor(slow, "leek-triangle", deck!.id)).toBe(1);
  expect(findHeatFactor(pastOf({ [id]: 0.004 }), half, deck!.id)).toBe(1);
  expect(minutes(slow)).toBeGreaterThan(minutes(NO_PAST) + 3);
});

test("frying takes its own minutes too", () => {
  const fry = (past: PastLog) => planDay({ ...book, past }).tasks.find(({ kind }) => kind === "fry")!;
  const { pieceId, machineId, placed } = fry(NO_PAST);
  const slow = fry(pastOf({ [toHeatHabit(pieceId!, machineId!)]: Math.log(1.4) })).placed;
  expect(slow.endMin - slow.startMin).toBeGreaterThan(placed.endMin - placed.startMin);
});

test("a day's end is a range: with steady hands narrower, and each order has its own", () => {
  const plan = planDay(book);
  const { likelyMin, mostMin } = plan.ends!;
  expect(likelyMin).toBeGreaterThanOrEqual(plan.schedule!.endMin - 1e-9);
  expect(mostMin).toBeGreaterThan(likelyMin);
  expect(planDay(book).ends).toEqual(plan.ends);
  for (const line of plan.lines)
    for (const [orderId, readyMin] of Object.entries(line.readyMin)) {
      expect(line.readyMostMin[orderId]!).toBeGreaterThanOrEqual(readyMin - 1e-9);
      expect(line.readyMostMin[orderId]!).toBeLessThanOrEqual(mostMin + 60);
    }
  const heats = plan.tasks.flatMap(({ pieceId, machineId }) =>
    pieceId && machineId ? [[toHeatHabit(pieceId, machineId), 0] as const] : [],
  );
  const hands = plan.lines.flatMap(({ shaped: { works } }) => [
    [`hands:fill:${works.fill.style}`, 0] as const,
    [`hands:close:${works.close.style}`, 0] as const,
  ]);
  const steady = planDay({ ...book, past: pastOf(Object.fromEntries([...heats, ...hands])) });
  expect(steady.ends!.mostMin - steady.ends!.likelyMin).toBeLessThan(mostMin - likelyMin);
});

test("each deck is off by its own readings, else by the whole oven's; an oven that heats slowly is lit sooner", () => {
  const two = { ...deck!, deckOffsetsC: [0, 0] };
  const learned = learnOven(two, pastOf({ [`oven:${two.id}`]: 6, [`oven:${two.id}#2`]: -10 }));
  expect(learned.deckOffsetsC[0]).toBeCloseTo(6, 0);
  expect(learned.deckOffsetsC[1]).toBeCloseTo(-10, 0);
  expect(learned.heatUpCPerMin).toBe(two.heatUpCPerMin);
  const slow = pastOf({ [`heatUp:${two.id}`]: Math.log(1.5) });
  expect(learnOven(two, slow).heatUpCPerMin).toBeCloseTo(two.heatUpCPerMin / 1.5, 1);
  const lightMin = (past: PastLog) =>
    Math.min(...planDay({ ...book, past }).schedule!.heaterStarts.map((start) => start.lightMin));
  expect(lightMin(pastOf({ [`heatUp:${deck!.id}`]: Math.log(1.5) }))).toBeLessThan(lightMin(NO_PAST));
});

test("a fryer whose heater is weak fries smaller baskets or waits longer for its oil", () => {
  const fryer = book.fryers[0]!;
  expect(learnFryer(fryer, NO_PAST)).toBe(fryer);
  const weak = learnFryer(fryer, pastOf({ [`heater:${fryer.id}`]: Math.log(0.75) }));
  expect(weak.heaterW / fryer.heaterW).toBeCloseTo(0.75, 1);
});
