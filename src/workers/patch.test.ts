import fc from "fast-check";
import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { findRecord, withRecord } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { NO_PAST } from "@/core/plan";
import { applyPatch, makePatch } from "./patch";

const value = fc.jsonValue({ maxDepth: 4 });

test("whatever is sent, the value after the patch is the one that was made, and the one before is not touched", () => {
  fc.assert(
    fc.property(value, value, (before, after) => {
      const kept = structuredClone(before);
      const patch = makePatch(before, after);
      // As it comes through a worker's door, as objects or as text.
      expect(applyPatch(before, structuredClone(patch))).toEqual(after);
      expect(applyPatch(before, JSON.parse(JSON.stringify(patch)) as typeof patch)).toEqual(after);
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
  const ground = { past: NO_PAST, formulasThen: [] };
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

test.each(["2026-11-28", "2026-11-30", "2026-12-05"])(
  "the server's plan of %s, as it comes over the net, is the worker's to the last part: nothing is drawn anew",
  (date) => {
    const plan = planDay(toDayBook(listDemoRecords(), date, null, { past: NO_PAST, formulasThen: [] })!);
    expect(makePatch(JSON.parse(JSON.stringify(plan)), structuredClone(plan))).toEqual({ kind: "same" });
  },
);
