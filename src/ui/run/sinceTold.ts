import type { DayClock } from "@/time/dayClock";

const KEY = "tezgah-clock";

/**
 * How long ago this page was told the clock, ms. A page that is opened again without the server is the one that was kept,
 * with the clock of then: the device knows when it saw that one first.
 */
export function readSinceTold(
  { clock: { atIso } }: { readonly clock: Pick<DayClock["clock"], "atIso"> },
  deviceMs: number,
): number {
  try {
    const seen = JSON.parse(localStorage.getItem(KEY) ?? "null") as {
      atIso: string;
      deviceMs: number;
    } | null;
    if (seen?.atIso === atIso) return Math.max(deviceMs - seen.deviceMs, 0);
    localStorage.setItem(KEY, JSON.stringify({ atIso, deviceMs }));
  } catch {
    // A device without storage has no page of its own either.
  }
  return 0;
}
