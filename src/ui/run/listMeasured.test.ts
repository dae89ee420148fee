import type { JobTargets } from "@/core/run";
import type { PlacedReading } from "@/core/readings";
import { jobSheet } from "./__tests__/jobSheet";
import { listMeasured } from "./listMeasured";

const fresh = (
  use: PlacedReading["device"]["use"],
  value: number,
  machineId: string | null = null,
  deck: number | null = null,
): PlacedReading => ({
  device: { id: `${use}/${value}`, source: `${use}/1`, use, machineId, deck },
  state: "fresh",
  value,
});
const targets: JobTargets = {
  machineId: "stone",
  heatC: 200,
  endC: 200,
  airC: 200,
  wantedC: 200,
  portionG: null,
  window: null,
  custardC: null,
};

test("what thermometers say of a job is kept with it, each when it tells most: dough and oil before, oven and core after", () => {
  const placed = [
    fresh("oven", 196, "stone"),
    fresh("oven", 183, "stone"),
    fresh("oven", 120, "other"),
    fresh("fryer", 174, "pan"),
    fresh("dough", 9),
    fresh("custard", 82),
    fresh("scale", 500),
    { ...fresh("oven", 150, "stone"), state: "stale", ageS: 90 } as PlacedReading,
  ];
  const tell = (over: Partial<JobTargets>, moment: "begun" | "done") =>
    listMeasured(jobSheet("a", { targets: { ...targets, ...over } }), moment, {
      placed,
      past: new Map(),
    }).map((each) => (each.kind === "measured" ? [each.measure, each.value] : each));
  // Of two decks the one that is farther off.
  expect([tell({}, "begun"), tell({}, "done")]).toEqual([[], [["ovenC", 183]]]);
  // A bake that ends lower than it began is held against its end: there the hotter deck is the worse.
  expect(tell({ endC: 180, airC: 180, wantedC: 180 }, "done")).toEqual([["ovenC", 196]]);
  const frying = { machineId: "pan", heatC: 180, endC: 180, airC: 180, wantedC: 180 };
  expect([tell(frying, "begun"), tell(frying, "done")]).toEqual([[["oilC", 174]], []]);
  const rolling = { machineId: null, window: { lowC: 8, highC: 14 } };
  expect([tell(rolling, "begun"), tell(rolling, "done")]).toEqual([[["coreC", 9]], []]);
  const cooking = { machineId: null, custardC: { lowC: 80, highC: 84 } };
  expect([tell(cooking, "begun"), tell(cooking, "done")]).toEqual([[], [["coreC", 82]]]);
  expect(tell({ machineId: null }, "done")).toEqual([]);
  // Decks that are told apart are kept apart, the farthest off last.
  const decks = [fresh("oven", 183, "stone", 1), fresh("oven", 196, "stone", 2)];
  expect(listMeasured(jobSheet("a", { targets }), "done", { placed: decks, past: new Map() })).toEqual([
    { kind: "measured", taskId: "a", measure: "ovenC", value: 196, part: "deck 2" },
    { kind: "measured", taskId: "a", measure: "ovenC", value: 183, part: "deck 1" },
  ]);
});
