import fc from "fast-check";
import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { findRecord, pickRecords, withRecord } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { NO_PAST } from "@/core/plan";
import { applyPatch, makePatch } from "./patch";

const value = fc.jsonValue({ maxDepth: 4 });

/** As text tells it: nought has no sign there. */
const asText = <T>(each: T): T => JSON.parse(JSON.stringify(each)) as T;

test("whatever is sent, the value after the patch is the one that was made, and the one before is not touched", () => {
  fc.assert(
    fc.property(value, value, (before, after) => {
      const kept = structuredClone(before);
      const patch = makePatch(before, after);
      // As it comes through a worker's door, as objects or as text.
      expect(applyPatch(before, structuredClone(patch))).toEqual(after);
      expect(asText(applyPatch(before, asText(patch)))).toEqual(asText(after));
      expect(before).toEqual(kept);
    }),
    { numRuns: 500 },
  );
});

test("a part that did not change is the same object afterwards; nothing changed is nothing sent", () => {
  fc.assert(
    fc.property(value, value, value, (same, before, after) => {
      fc.pre(typeof same === "object" && same !== null);
      const held = { same, changed: before };
      const made = { same: structuredClone(same), changed: after };
      const applied = applyPatch(held, makePatch(held, made)) as typeof held;
      expect(applied.same).toBe(same);
      expect(makePatch(held, structuredClone(held))).toEqual({ kind: "same" });
    }),
  );
});

test("what is neither a list nor a plain object goes whole", () => {
  const before = { at: new Map([["a", 1]]), bytes: new Uint8Array([1]) };
  const after = { at: new Map([["a", 2]]), bytes: new Uint8Array([1, 2]) };
  expect(applyPatch(before, structuredClone(makePatch(before, after)))).toEqual(after);
});

test("a degree more in the oven of a great day is a small part of its plan", () => {
  const table = listDemoRecords();
  const ground = { past: NO_PAST, formulasThen: [], closed: null };
  const planOf = (records: typeof table) => planDay(toDayBook(records, "2026-12-05", null, ground)!);
  const crescent = findRecord(table, "piece", "rhubarb-crescent")!;
  const before = planOf(table);
  const turned = withRecord(
    table,
    { kind: "piece", id: crescent.id },
    { ...crescent, spares: crescent.spares + 1 },
  );
  const after = planOf(turned);
  const patch = makePatch(before, after);
  expect(applyPatch(before, structuredClone(patch))).toEqual(after);
  const share = JSON.stringify(patch).length / JSON.stringify(after).length;
  // A seventh of it, measured.
  expect(share).toBeLessThan(0.25);
});

/** Every day of the demo as it is ahead, half gone, and with an order that no day could bake. */
const days = pickRecords(listDemoRecords(), "day").flatMap(({ date }) =>
  [null, 9 * 60].flatMap((nowMin) => [1, 40].map((times) => [date, nowMin, times] as const)),
);

test.each(days)(
  "a plan of %s, at %s min, %s times as much, is as text what it is as objects: a page draws nothing anew for it",
  (date, nowMin, times) => {
    let table = listDemoRecords();
    for (const order of pickRecords(table, "order"))
      table = withRecord(table, { kind: "order", id: order.id }, { ...order, count: order.count * times });
    const plan = planDay(toDayBook(table, date, nowMin, { past: NO_PAST, formulasThen: [], closed: null })!);
    expect(makePatch(asText(plan), structuredClone(plan))).toEqual({ kind: "same" });
  },
);
