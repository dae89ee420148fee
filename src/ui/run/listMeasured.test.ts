import type { JobTargets } from "@/core/run";
import type { PlacedReading } from "@/core/readings";
import { jobSheet } from "./__tests__/jobSheet";
import { listMeasured } from "./listMeasured";

const fresh = (
  use: PlacedReading["device"]["use"],
  value: number,
  machineId: string | null = null,
): PlacedReading => ({
  device: { id: `${use}/${value}`, source: `${use}/1`, use, machineId, deck: null },
  state: "fresh",
  value,
});
const targets: JobTargets = { machineId: "stone", heatC: 200, portionG: null, window: null, custardC: null };

test("what thermometers say of a job is kept with it: its own oven's worst deck, and a core where one is asked for", () => {
  const placed = [
    fresh("oven", 196, "stone"),
    fresh("oven", 183, "stone"),
    fresh("oven", 120, "other"),
    fresh("dough", 9),
    fresh("scale", 500),
    { ...fresh("oven", 150, "stone"), state: "stale", ageS: 90 } as PlacedReading,
  ];
  const tell = (over: Partial<JobTargets>) =>
    listMeasured(jobSheet("a", { targets: { ...targets, ...over } }), { placed, past: new Map() });
  expect(tell({})).toEqual([{ kind: "measured", taskId: "a", measure: "ovenC", value: 183 }]);
  expect(tell({ machineId: null, window: { lowC: 8, highC: 14 } })).toEqual([
    { kind: "measured", taskId: "a", measure: "coreC", value: 9 },
  ]);
  expect(tell({ machineId: null })).toEqual([]);
});
