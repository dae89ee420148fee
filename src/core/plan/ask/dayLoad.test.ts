import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from "../planDay";
import { sumDayLoad } from "./dayLoad";

const plans = ["2026-11-27", "2026-11-28", "2026-11-29", "2026-11-30", "2026-12-05"].map(
  (date) => [date, planDay(toDayBook(listDemoRecords(), date, null)!)] as const,
);

test.each(plans)("the load of %s: hands and heat as they are counted minute by minute", (_, plan) => {
  const load = sumDayLoad(plan);
  const { schedule, tasks } = plan;
  let heatMin = 0;
  for (const { id } of plan.machines)
    for (let minute = schedule!.startMin; minute < schedule!.endMin; minute++)
      if (
        tasks.some(
          ({ machineId, placed }) =>
            machineId === id && placed.startMin < minute + 1 && placed.endMin > minute,
        )
      )
        heatMin++;
  // Loads end between whole minutes: each may be counted for one more.
  expect(load.heatMin).toBeGreaterThan(0);
  expect(heatMin - load.heatMin).toBeGreaterThanOrEqual(-1e-6);
  expect(heatMin - load.heatMin).toBeLessThan(2 * tasks.length);
  expect(load.handsMin).toBeCloseTo(
    tasks.reduce((sum, { handsMin }) => sum + handsMin, 0),
    9,
  );
  // No pair of hands works longer than the day is.
  const people = Math.max(...tasks.map(({ person }) => person)) + 1;
  expect(load.handsMin).toBeLessThanOrEqual(people * (schedule!.endMin - schedule!.startMin) + 1e-6);
  expect([load.pieces, load.notPlanned]).toEqual([plan.tally.ordered, 0]);
});

test("a piece that cannot be made is counted as not planned; a day without orders asks for nothing", () => {
  const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
  const pieces = book.pieces.map((piece) =>
    piece.id === "quince-half-moon" ? { ...piece, marginMm: 54 } : piece,
  );
  const broken = sumDayLoad(planDay({ ...book, pieces }));
  expect([broken.pieces, broken.notPlanned]).toEqual([148, 72]);
  expect(sumDayLoad(planDay({ ...book, orders: [] }))).toMatchObject({
    ...{ pieces: 0, handsMin: 0, heatMin: 0, eggs: 0, lateMin: 0, notPlanned: 0, startMin: null },
  });
});
