import type { JobSheet, Measure } from "@/core/run";
import type { DeviceUse } from "@/core/readings";
import type { Happening } from "./runStore";
import type { Readings } from "./useReadings";

/**
 * What a device's reading is kept as, and when: dough before it is rolled and oil before it is cooled by a basket, oven
 * and core as they are in the end.
 */
const kept: Readonly<
  Partial<Record<DeviceUse, { readonly measure: Measure; readonly moment: "begun" | "done" }>>
> = {
  dough: { measure: "coreC", moment: "begun" },
  fryer: { measure: "oilC", moment: "begun" },
  custard: { measure: "coreC", moment: "done" },
  oven: { measure: "ovenC", moment: "done" },
};

/**
 * What thermometers say of a job as it begins or ends: kept with it, so that the record has its heat and its core. Nothing
 * that is stale or wrong, and of an oven with several decks the one that is farthest off.
 */
export function listMeasured(
  { taskId, targets }: JobSheet,
  moment: "begun" | "done",
  { placed }: Readings,
): Happening[] {
  const { machineId, endC, window, custardC } = targets;
  const ofJob = (use: DeviceUse, machine: string | null): boolean =>
    use === "dough"
      ? window !== null
      : use === "custard"
        ? custardC !== null
        : machineId !== null && machine === machineId;
  const found = new Map<Measure, number>();
  for (const { device, ...reading } of placed) {
    const as = kept[device.use];
    if (as?.moment !== moment || reading.state !== "fresh" || !ofJob(device.use, device.machineId)) continue;
    const known = found.get(as.measure);
    const isFarther =
      known === undefined || Math.abs(reading.value - (endC ?? 0)) > Math.abs(known - (endC ?? 0));
    if (isFarther) found.set(as.measure, reading.value);
  }
  return [...found].map(([measure, value]) => ({ kind: "measured", taskId, measure, value }));
}
