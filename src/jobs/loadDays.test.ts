import { planDay, sumDayLoad, type DayBook } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { loadDays } from "./loadDays";

const bookOf = (date: string): DayBook => toDayBook(listDemoRecords(), date, null)!;

test("a week's days ask what each day's own plan asks, and show each piece that is made as it lies on its tray", () => {
  const books = ["2026-11-28", "2026-11-29"].map(bookOf);
  const days = loadDays(books);
  days.forEach(({ load, faces }, i) => {
    const plan = planDay(books[i]!);
    expect(load).toEqual(sumDayLoad(plan));
    expect(Object.keys(faces).toSorted()).toEqual(plan.lines.map(({ piece }) => piece.id).toSorted());
    for (const { piece, shaped } of plan.lines) {
      const { edge, stick } = shaped.formed.fromAbove;
      const face = faces[piece.id]!;
      expect(face.vents).toEqual(piece.vents);
      expect(face.fromAbove.edge).toHaveLength(edge.length);
      face.fromAbove.edge.forEach(([x, y], at) => {
        // Told to a tenth of a millimetre, no more and no less.
        expect(Math.abs(x - edge[at]![0]) + Math.abs(y - edge[at]![1])).toBeLessThanOrEqual(0.1 + 1e-9);
        expect(Number.isInteger(Math.round(x * 1e9) / 1e8)).toBe(true);
      });
      expect(face.fromAbove.stick?.length).toBe(stick?.length);
    }
  });
});

test("a day is planned once, and anew when anything of it is another", () => {
  const book = bookOf("2026-11-28");
  const [first] = loadDays([book]);
  expect(loadDays([bookOf("2026-11-28")])[0]).toBe(first);
  const [order, ...rest] = book.orders;
  const more = { ...book, orders: [{ ...order!, count: order!.count + 12 }, ...rest] };
  expect(loadDays([more])[0]!.load.pieces).toBe(first!.load.pieces + 12);
});
