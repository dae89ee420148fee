import { toDeckPart, type JobSheet, type Measure } from "@/core/run";
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
  const found = placed.flatMap(({ device, ...reading }) => {
    const as = kept[device.use];
    if (as?.moment !== moment || reading.state !== "fresh" || !ofJob(device.use, device.machineId)) return [];
    return [{ measure: as.measure, value: reading.value, deck: device.use === "oven" ? device.deck : null }];
  });
  const offC = ({ value }: (typeof found)[number]) => Math.abs(value - (endC ?? 0));
  // Of one deck or of one dough the farthest off; of several decks each, the farthest off last.
  const farthest = new Map(
    found.sort((a, b) => offC(a) - offC(b)).map((each) => [`${each.measure} ${each.deck}`, each]),
  );
  return [...farthest.values()].map(({ measure, value, deck }) => ({
    ...{ kind: "measured", taskId, measure, value },
    ...(deck !== null && { part: toDeckPart(deck) }),
  }));
}
