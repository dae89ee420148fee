import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from "../planDay";

const table = toTable(listDemoWorld());

test.each(["2026-11-28", "2026-11-30", "2026-12-05"])(
  "on %s every job of a lot says which, in the order of its way; what is done for all says none",
  (date) => {
    const { tasks, lines } = planDay(toDayBook(table, date, null)!);
    const ofAll = tasks.filter(({ kind }) => ["mix", "precook", "make", "takeOut", "roll"].includes(kind));
    expect(ofAll.length).toBeGreaterThan(3);
    expect(ofAll.filter(({ lotKey }) => lotKey !== null)).toEqual([]);
    for (const { piece, loading } of lines) {
      const own = tasks.filter(({ pieceId, lotKey }) => pieceId === piece.id && lotKey !== null);
      const keys = [...new Set(own.map(({ lotKey }) => lotKey))];
      // A lot a load, and more only of what is made ahead.
      const loads = loading.loads.map((_, i) => `${piece.id}:${i + 1}`);
      expect(keys.filter((key) => !/:(frozen|shells):\d+$/.test(key!)).toSorted()).toEqual(loads.toSorted());
      for (const key of keys) {
        const [last] = own
          .filter(({ lotKey }) => lotKey === key)
          .toSorted((a, b) => b.placed.endMin - a.placed.endMin);
        expect(["finish", "store", "glaze", "unmould", "bake", "fry"]).toContain(last!.kind);
      }
    }
  },
);
