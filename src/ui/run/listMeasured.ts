import type { JobSheet, Measure } from "@/core/run";
import type { DeviceUse } from "@/core/readings";
import type { Happening } from "./runStore";
import type { Readings } from "./useReadings";

/** What a device's reading is kept as, beside the job that it is of. */
const measureOf: Readonly<Partial<Record<DeviceUse, Measure>>> = {
  dough: "coreC",
  custard: "coreC",
  oven: "ovenC",
  fryer: "oilC",
};

/**
 * What thermometers say of a job as it ends: kept with it, so that the record has its heat and its core. Nothing that is
 * stale or wrong, and of an oven with several decks the one that is farthest off.
 */
export function listMeasured({ taskId, targets }: JobSheet, { placed }: Readings): Happening[] {
  const { machineId, heatC, window, custardC } = targets;
  const ofJob = (use: DeviceUse, machine: string | null): boolean =>
    use === "dough"
      ? window !== null
      : use === "custard"
        ? custardC !== null
        : (use === "oven" || use === "fryer") && machineId !== null && machine === machineId;
  const found = new Map<Measure, number>();
  for (const { device, ...reading } of placed) {
    const measure = measureOf[device.use];
    if (!measure || reading.state !== "fresh" || !ofJob(device.use, device.machineId)) continue;
    const known = found.get(measure);
    const isFarther = Math.abs(reading.value - (heatC ?? 0)) > Math.abs((known ?? 0) - (heatC ?? 0));
    if (known === undefined || isFarther) found.set(measure, reading.value);
  }
  return [...found].map(([measure, value]) => ({ kind: "measured", taskId, measure, value }));
}
