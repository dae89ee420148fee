import { planDay } from "@/core/plan";
import { factsOf } from "@/core/way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { timeSteps } from "./wayClock";

const book = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const plan = planDay(book);

describe.each(plan.lines.map((line) => [line.piece.name, line] as const))(
  "%s on the clock",
  (_name, line) => {
    const { way } = line.piece;
    const times = timeSteps(line, plan, way);
    const passOf = (i: number) => factsOf(way[i]!.kind).pass;

    it("has a minute for every step that is done, in the order of the way", () => {
      const done = way.flatMap((_, i) =>
        ["hands", "heat", "door"].includes(passOf(i)) ? [times[i]!.atMin] : [],
      );
      expect(done).not.toContain(null);
      expect(done).toEqual(done.toSorted((a, b) => a! - b!));
    });

    it("turns trays and coats them while they are in the oven", () => {
      way.forEach((step, i) => {
        if (passOf(i) !== "door") return;
        const mine = plan.tasks.find(
          (task) =>
            task.pieceId === line.piece.id &&
            task.index === 1 &&
            task.steps.some(({ stepId }) => stepId === step.id),
        )!;
        expect(times[i]!.atMin).toBeGreaterThan(mine.placed.startMin);
        expect(times[i]!.atMin).toBeLessThanOrEqual(mine.placed.endMin);
      });
    });

    it("says no hands for what goes by itself", () => {
      way.forEach((_, i) => {
        if (["stand", "cool", "heat", "told"].includes(passOf(i))) expect(times[i]!.handsMin).toBeNull();
      });
    });
  },
);

test("a piece that nobody ordered has its steps and no clock", () => {
  const { way } = book.pieces[0]!;
  expect(timeSteps(null, plan, way)).toEqual(way.map(() => ({ atMin: null, handsMin: null })));
});
