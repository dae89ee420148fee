import { createReadingBoard, placeReading, type PlacedReading, type ReadingBoard } from "@/core/readings";
import { getStore } from "@/data/getStore";
import { listenTo } from "@/devices/listenTo";

/** Everything that devices say, for the whole server: what is heard lives as long as it runs. */
const holder = globalThis as { tezgahReadings?: ReadingBoard; tezgahLines?: boolean };

export const getReadings = (): ReadingBoard => (holder.tezgahReadings ??= createReadingBoard());

/** Of a clock that does not go back, ms. */
export const readingClock = (): number => performance.now();

/** Listens to the bridges that TEZGAH_DEVICES names: `host:port`, several with commas between. */
export function listenToBridges(): void {
  if (holder.tezgahLines) return;
  holder.tezgahLines = true;
  const addresses = (process.env.TEZGAH_DEVICES ?? "")
    .split(",")
    .filter((address) => /^[^:]+:\d+$/.test(address));
  for (const address of addresses) listenTo(address, getReadings(), readingClock);
}

/** What every device with a place says just now. */
export function listPlacedReadings(): PlacedReading[] {
  const heard = new Map(
    getReadings()
      .list(readingClock())
      .map((each) => [each.name, each]),
  );
  return getStore()
    .listDevices()
    .map((device) => placeReading(device, heard.get(device.source)));
}
