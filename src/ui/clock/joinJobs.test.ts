import fc from "fast-check";
import type { DayTask, TaskKind } from "@/core/plan";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { placeWindow, reveal, ZOOMS, zoomTo } from "./clockWindow";
import { CLOCK_PAD, CLOCK_WIDTH, findDaySpan, layLanes, LEAST_BAR_PX } from "./dayLanes";
import { joinLots, layBars, sayJobs } from "./joinJobs";

const days = ["2026-11-28", "2026-11-30", "2026-12-05"].map((date) => readDemoDay(date).plan);

/** As much of a job as joining looks at. */
const job = (id: number, startMin: number, minutes: number, pieceId: string, kind: TaskKind = "fill") =>
  ({
    id: String(id),
    ...{ kind, pieceId, formulaId: null, pieces: 12 },
    station: kind === "roll" ? "roll" : kind === "seal" ? "seal" : "fill",
    placed: { startMin, endMin: startMin + minutes },
  }) as unknown as DayTask;

/** A morning of one pair of hands: gaps and jobs of odd lengths, some going on beside the one before. */
const mornings = fc
  .array(
    fc.record({
      gap: fc.integer({ min: -4, max: 12 }),
      minutes: fc.integer({ min: 1, max: 40 }),
      piece: fc.integer({ min: 0, max: 3 }),
    }),
    {
      minLength: 1,
      maxLength: 40,
    },
  )
  .map((parts) => {
    let at = 300;
    return parts.map(({ gap, minutes, piece }, i) => {
      const startMin = Math.max(300, at + gap);
      at = startMin + minutes;
      return job(i, startMin, minutes, `piece-${piece}`);
    });
  });

test("bars are a finger wide, none over another, each job in one of them and within its minutes, in their order", () => {
  fc.assert(
    fc.property(mornings, fc.double({ min: 0.5, max: 20, noNaN: true }), (jobs, leastMin) => {
      const bars = layBars(joinLots(jobs), leastMin);
      const told = bars.flatMap((bar) => bar.jobs.map(({ id }) => id));
      expect(told.toSorted()).toEqual(jobs.map(({ id }) => id).toSorted());
      bars.forEach((bar, i) => {
        expect(bar.toMin - bar.fromMin).toBeGreaterThanOrEqual(leastMin - 1e-9);
        if (i > 0) expect(bar.fromMin).toBeGreaterThanOrEqual(bars[i - 1]!.toMin - 1e-9);
        for (const { placed } of bar.jobs) {
          expect(placed.startMin).toBeGreaterThanOrEqual(bar.fromMin - 1e-9);
          expect(placed.endMin).toBeLessThanOrEqual(bar.toMin + 1e-9);
        }
      });
    }),
    { numRuns: 300 },
  );
});

test("looked at closely enough nothing is joined but what goes on at once or is one lot", () => {
  fc.assert(
    fc.property(mornings, (jobs) => {
      const lots = joinLots(jobs);
      const apart = lots.every(
        (lot, i) => i === 0 || lot.startMin >= Math.max(...lots.slice(0, i).map(({ endMin }) => endMin)),
      );
      fc.pre(apart);
      expect(layBars(lots, 1e-6)).toHaveLength(lots.length);
    }),
  );
});

test("a lot's sheets are one bar, filling and closing are one, and another lot, station or a pause begins a new one", () => {
  const lots = (...jobs: DayTask[]) =>
    joinLots(jobs).map(({ jobs: all }) => all.map(({ id }) => id).join(""));
  expect(lots(job(1, 0, 6, "a", "roll"), job(2, 6, 6, "a", "roll"), job(3, 12, 6, "b", "roll"))).toEqual([
    "12",
    "3",
  ]);
  expect(lots(job(1, 0, 6, "a"), job(2, 6, 9, "a", "seal"), job(3, 15, 6, "a", "roll"))).toEqual(["12", "3"]);
  expect(lots(job(1, 0, 6, "a"), job(2, 8, 6, "a"))).toEqual(["12"]);
  expect(lots(job(1, 0, 6, "a"), job(2, 9, 6, "a"))).toEqual(["1", "2"]);
});

test("joined jobs are called by what is done, to how many of what", () => {
  const [first, ...rest] = [job(1, 0, 6, "a"), job(2, 6, 9, "a", "seal")] as const;
  expect(sayJobs({ jobs: [first, ...rest] }, () => "Leek triangle")).toEqual({
    ...{ title: "Fill, close", short: "Fill", count: "12" },
    ...{ note: "12 Leek triangle", line: "Fill, close Leek triangle" },
  });
  const rolls = [job(1, 0, 6, "a", "roll"), job(2, 6, 6, "a", "roll")] as const;
  expect(sayJobs({ jobs: rolls }, () => "Plum pop")).toMatchObject({
    title: "Roll, cut",
    short: "Roll",
    note: "Plum pop, 2 sheets",
  });
  expect(sayJobs({ jobs: [first, job(2, 6, 2, "b", "warm")] }, () => "x")).toMatchObject({
    ...{ title: "Fill, warm", note: "2 jobs", line: "Fill, warm" },
  });
});

test.each(days.map((plan, i) => [i, plan] as const))(
  "day %#: at every zoom all jobs have a bar to be hit, in the lane of whoever does them",
  (_, plan) => {
    const day = findDaySpan(plan.schedule!);
    for (const zoom of ZOOMS) {
      const window = placeWindow(day, day.fromMin, (CLOCK_WIDTH - 2 * CLOCK_PAD) / zoom);
      const { hands, perMin, machines } = layLanes(plan, window, CLOCK_WIDTH);
      for (const { bars } of hands)
        bars.forEach(({ fromMin, toMin }, i) => {
          expect((toMin - fromMin) * perMin).toBeGreaterThanOrEqual(LEAST_BAR_PX - 1e-6);
          if (i > 0) expect(fromMin).toBeGreaterThanOrEqual(bars[i - 1]!.toMin - 1e-9);
        });
      const drawn = [
        ...hands.flatMap(({ bars, person }) =>
          bars.flatMap(({ jobs }) => jobs.map(({ id }) => `${person} ${id}`)),
        ),
        ...machines.flatMap(({ loads, id }) => loads.map(({ value }) => `${id} ${value.id}`)),
      ];
      const all = plan.tasks.map(({ machineId, person, id }) => `${machineId ?? person} ${id}`);
      expect(drawn.toSorted()).toEqual(all.toSorted());
    }
  },
);

const minutes = fc.integer({ min: 0, max: 1440 });
test("a window keeps its breadth and stays in the day; what is to be seen is seen, and seeing it again moves nothing", () => {
  fc.assert(
    fc.property(
      minutes,
      fc.integer({ min: 30, max: 900 }),
      minutes,
      fc.integer({ min: 5, max: 300 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (fromMin, longMin, at, spanMin, share) => {
        const day = { fromMin, toMin: fromMin + longMin };
        const window = placeWindow(day, at, spanMin);
        const breadth = Math.min(spanMin, longMin);
        const expectIn = (seen: { fromMin: number; toMin: number }) => {
          expect(seen.toMin - seen.fromMin).toBeCloseTo(breadth, 6);
          expect(seen.fromMin).toBeGreaterThanOrEqual(day.fromMin - 1e-6);
          expect(seen.toMin).toBeLessThanOrEqual(day.toMin + 1e-6);
        };
        expectIn(window);
        const wanted = fromMin + share * longMin;
        const until = Math.min(wanted + 10, day.toMin);
        const shown = reveal(day, window, wanted, until);
        expectIn(shown);
        expect(shown.fromMin).toBeLessThanOrEqual(wanted + 1e-6);
        expect(shown.toMin).toBeGreaterThanOrEqual(Math.min(until, wanted + breadth * 0.5) - 1e-6);
        expect(reveal(day, shown, wanted, Math.min(until, shown.toMin))).toEqual(shown);
        const closer = zoomTo(day, window, spanMin / 2);
        expect(closer.toMin - closer.fromMin).toBeCloseTo(Math.min(spanMin / 2, longMin), 6);
      },
    ),
  );
});
