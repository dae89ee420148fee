import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { sumDays } from "@/core/run";
import { pickRecords, fromLists } from "@/schemas/recordTable";
import { seedSaturdays } from "../../scripts/seedSaturdays";
import { seedWorld } from "../../scripts/seedWorld";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

const ALL = "9999-12-31";
let folder: string;
let store: Store;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-saturdays-"));
  store = createStore(openDatabase(path.join(folder, "t.db"), "src/data/migrations"));
  seedWorld(store);
  seedSaturdays(store);
}, 60_000);
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true });
});

test("six Saturdays were run and closed, each with its mishap, and none is told twice", () => {
  const days = store.runs.listSummaries("2026-01-01", ALL, 99);
  expect(days.map(({ date }) => date)).toEqual([
    "2026-11-21",
    "2026-11-14",
    "2026-11-07",
    "2026-10-31",
    "2026-10-24",
    "2026-10-17",
  ]);
  expect(days.every(({ isClosed, jobs, jobsDone }) => isClosed && jobs === jobsDone)).toBe(true);
  const faults = days.map(({ pieces }) => Object.assign({}, ...pieces.map((each) => each.faults)) as object);
  expect(faults).toEqual([
    { leaked: 5 },
    { dropped: 2 },
    { burnt: 3 },
    { torn: 2 },
    { pale: 12 },
    { leaked: 4 },
  ]);
  const { made, sold, lost } = sumDays(days);
  expect(made).toBeGreaterThan(sold);
  expect(lost).toBe(2 + 2 + 3);
});

test("what was hidden is known by now: an oven 8 °C hot, a slow spoon, a quick rope, blanks that are not got", () => {
  const known = store.habits.know(ALL);
  const mean = (habit: keyof typeof known) => known[habit]!.mean;
  expect(Math.abs(mean("oven:two-deck") - 8)).toBeLessThan(2);
  expect(mean("hands:fill:spoon")).toBeGreaterThan(0.05);
  expect(mean("hands:close:halfMoon-rope")).toBeLessThan(-0.1);
  expect(mean("portion:quince-half-moon")).toBeGreaterThan(0.01);
  expect(mean("blanks:bay-shortcrust")).toBeLessThan(0);
  // The bake of the day when the breaker tripped is left out.
  const heats = store.habits.list("heat:quince-half-moon@two-deck", ALL, 99);
  expect(heats.filter(({ date }) => date === "2026-10-24")).toHaveLength(1);
  expect(Math.max(...heats.map(({ value }) => value))).toBeLessThan(0.3);
});

test("the demo's larder is as it was: nothing of the past stands in it, nothing is taken from it", () => {
  const larder = pickRecords(fromLists(store.readDay("2026-11-28")!.lists), "larder");
  expect(larder.length).toBeGreaterThan(2);
  expect(larder.every(({ fromDayId, takenByDayId }) => fromDayId === null && takenByDayId === null)).toBe(
    true,
  );
});

test("forecasts of the last Saturdays were kept and mostly held", () => {
  const kept = store.habits
    .listRunFigures(ALL, 999)
    .flatMap(({ date, value, expected }) =>
      expected && date > "2026-10-31" ? [{ value, ...expected }] : [],
    );
  expect(kept.length).toBeGreaterThan(60);
  const held = kept.filter(({ value, low, high }) => low <= value && value <= high).length;
  expect(held / kept.length).toBeGreaterThan(0.85);
});
