/** How long one screen took on the devices of the house. */
export interface Felt {
  readonly screen: string;
  readonly count: number;
  readonly medianMs: number;
  /** Nineteen in twenty were there by then. */
  readonly slowMs: number;
}

/** The last times of a screen that are remembered, and screens at the most. */
const MOST_TIMES = 200;
const MOST_SCREENS = 60;
/** Nineteen in twenty. */
const SLOW_SHARE = 0.95;

/** One a process, kept across hot reloads: since its start. */
const holder = globalThis as { tezgahFelt?: Map<string, number[]> };

/** A device says how long a screen took from the tap to the plan on it, ms. */
export function tellFelt(screen: string, ms: number): void {
  const felt = (holder.tezgahFelt ??= new Map());
  const times = felt.get(screen) ?? [];
  if (times.length === 0 && felt.size >= MOST_SCREENS) return;
  felt.set(screen, [...times.slice(1 - MOST_TIMES), Math.round(ms)]);
}

/** Screens as the devices felt them, the slowest first. */
export const listFelt = (): Felt[] =>
  [...(holder.tezgahFelt ?? [])]
    .map(([screen, times]) => {
      const sorted = times.toSorted((a, b) => a - b);
      const at = (share: number) =>
        sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
      return { screen, count: times.length, medianMs: at(0.5), slowMs: at(SLOW_SHARE) };
    })
    .sort((a, b) => b.slowMs - a.slowMs);
