import type { HeardReading, ReadingKind } from "./board";
import { formatScale } from "../units";

/** What a channel is used for. */
export const deviceUses = ["scale", "dough", "custard", "oven", "fryer", "room"] as const;
export type DeviceUse = (typeof deviceUses)[number];

/** A channel of a device with its place in the kitchen. */
export interface Device {
  readonly id: string;
  /** The name under which it is heard. */
  readonly source: string;
  readonly use: DeviceUse;
  /** The oven or the fryer it reads; null for what stands on the bench. */
  readonly machineId: string | null;
  /** Of an oven, from 1 at the top; null for the oven as a whole. */
  readonly deck: number | null;
}

/** What each use reads, and what may be there: beyond it the device is wrong, or its unit, or its place. */
const uses: Readonly<
  Record<DeviceUse, { readonly kind: ReadingKind; readonly least: number; readonly most: number }>
> = {
  scale: { kind: "massG", least: -5000, most: 60_000 },
  dough: { kind: "heatC", least: -30, most: 60 },
  custard: { kind: "heatC", least: -5, most: 120 },
  oven: { kind: "heatC", least: 0, most: 350 },
  fryer: { kind: "heatC", least: 0, most: 230 },
  room: { kind: "heatC", least: -10, most: 50 },
};

/** A reading at its place: to be used, or why not. */
export type PlacedReading =
  | { readonly device: Device; readonly state: "fresh"; readonly value: number }
  | { readonly device: Device; readonly state: "stale"; readonly value: number; readonly ageS: number }
  | { readonly device: Device; readonly state: "wrong"; readonly said: string }
  | { readonly device: Device; readonly state: "silent" };

/** What a device's channel says at its place just now. */
export function placeReading(device: Device, heard: HeardReading | undefined): PlacedReading {
  const { last, ageS, isStale } = heard ?? { last: null, ageS: null, isStale: true };
  if (!last || ageS === null) return { device, state: "silent" };
  const { kind, least, most } = uses[device.use];
  const { value } = last;
  if (last.kind !== kind)
    return {
      device,
      state: "wrong",
      said: `${device.source} tells ${last.kind === "massG" ? "grams" : "degrees"}, which no ${device.use} has.`,
    };
  if (value < least || value > most)
    return {
      device,
      state: "wrong",
      said: `${device.source} says ${kind === "massG" ? formatScale(value) : `${Math.round(value)} °C`}, which cannot be. Look at its unit and its place.`,
    };
  return isStale ? { device, state: "stale", value, ageS } : { device, state: "fresh", value };
}
