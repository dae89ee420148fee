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

test("what is taken away and comes back stands where it stood, whatever went, came back and was new meanwhile", () => {
  const indexes = fc.uniqueArray(fc.nat(pieces.length - 1), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(indexes, fc.infiniteStream(fc.nat(1000)), fc.boolean(), (gone, choose, isSaidAgain) => {
      const order = (of: typeof table) => [...of.get("piece")!.keys()];
      const key = (at: number) => ({ kind: "piece" as const, id: pieces[at]! });
      let now = gone.reduce((made, at) => withRecord(made, key(at), null), table);
      const fresh = { ...findRecord(table, "piece", pieces[0]!)!, id: "new" };
      now = withRecord(now, { kind: "piece", id: "new" }, fresh);
      // What the server says of it lies between.
      if (isSaidAgain) now = keepSame(now, sayAgain(now));
      const back = gone.map((at) => ({ at, by: choose.next().value! })).toSorted((a, b) => a.by - b.by);
      now = back.reduce(
        (made, { at }) => withRecord(made, key(at), findRecord(table, "piece", pieces[at]!)),
        now,
      );
      expect(order(now)).toEqual([...pieces, "new"]);
    }),
  );
});
