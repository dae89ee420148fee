import { checkDay, planDay, type DayBook } from "..";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";

const dates = ["2026-11-28", "2026-11-30", "2026-12-05"];
const book = (date: string, keepsReserve: boolean, over: Partial<DayBook["day"]> = {}): DayBook => {
  const read = toDayBook(listDemoRecords(), date, null)!;
  return { ...read, day: { ...read.day, ...over, keepsReserve } };
};
/** The most by which an order misses its promise on nine days in ten. */
const missMin = (day: DayBook, plan = planDay(day)) =>
  Math.max(
    ...plan.lines.flatMap(({ piece, readyMostMin }) =>
      day.orders.flatMap(({ id, pieceId, dueMin }) =>
        pieceId === piece.id ? [(readyMostMin[id] ?? dueMin) - dueMin] : [],
      ),
    ),
  );

test("a day with a reserve holds its promises nine times in ten: it begins sooner and nothing else breaks", () => {
  for (const date of dates) {
    const [plain, kept] = [planDay(book(date, false)), planDay(book(date, true))];
    expect(plain.reserveMin).toBe(0);
    expect(checkDay(kept)).toEqual([]);
    expect(kept.problem).toEqual(plain.problem);
    expect(kept.schedule!.late).toEqual([]);
    const day = book(date, true);
    expect(missMin(day, plain)).toBeGreaterThan(20);
    expect(missMin(day, kept)).toBeLessThan(2);
    expect(kept.reserveMin).toBeGreaterThan(20);
    expect(kept.schedule!.startMin).toBeLessThanOrEqual(plain.schedule!.startMin);
    expect(kept.schedule!.startMin).toBeGreaterThanOrEqual(day.day.openMin);
  }
});

test("the less room there is before the promises the less is kept; a day that is late already is planned as it was", () => {
  const begins = planDay(book("2026-11-28", false)).schedule!.startMin;
  for (const laterMin of [0, 40, 80, 240]) {
    const over = { openMin: begins + laterMin };
    const [day, wanted] = [book("2026-11-28", false, over), book("2026-11-28", true, over)];
    const [plain, kept] = [planDay(day), planDay(wanted)];
    expect(Math.min(...kept.tasks.map(({ placed }) => placed.startMin))).toBeGreaterThanOrEqual(over.openMin);
    expect(missMin(wanted, kept)).toBeLessThanOrEqual(missMin(day, plain));
    expect(kept.schedule!.late.length).toBe(plain.schedule!.late.length);
    if (plain.schedule!.late.length > 0) expect(kept.reserveMin).toBe(0);
    if (kept.reserveMin === 0) expect(kept.schedule).toEqual(plain.schedule);
  }
});
