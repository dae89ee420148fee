import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { diffTables, findRecord, fromLists, keepSame, toLists, withRecord } from "./recordTable";

const table = listDemoRecords();
const pieces = [...table.get("piece")!.keys()];
/** The same said anew, as it comes over a network. */
const sayAgain = (of: typeof table) => fromLists(structuredClone(toLists(of)));

test("a table said anew is the table that was", () => {
  expect(keepSame(table, sayAgain(table))).toBe(table);
  expect(keepSame(new Map(), new Map())).toEqual(new Map());
});

test("of a table said anew only what says something else is new, and it says what came", () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...pieces), { minLength: 1, maxLength: 4 }),
      fc.uniqueArray(fc.constantFrom(...pieces), { maxLength: 2 }),
      (changed, gone) => {
        const edited = changed.reduce((now, id) => {
          const piece = findRecord(now, "piece", id)!;
          return withRecord(now, { kind: "piece", id }, { ...piece, marginMm: (piece.marginMm ?? 0) + 1 });
        }, table);
        const came = sayAgain(gone.reduce((now, id) => withRecord(now, { kind: "piece", id }, null), edited));
        const kept = keepSame(table, came);
        expect(toLists(kept)).toEqual(toLists(came));
        const told = diffTables(table, kept).map(({ id }) => id);
        expect(new Set(told)).toEqual(new Set([...changed, ...gone]));
        for (const [kind, records] of kept)
          if (kind !== "piece" && records.size > 0) expect(records).toBe(table.get(kind));
      },
    ),
  );
});
