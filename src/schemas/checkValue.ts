import { formatKept } from "@/core/units";
import type { Limit } from "./limits";

/** What is wrong with a figure, by how much and what would do, in the house's units; null if nothing is. */
export function describeLimitFault(value: number, { label, unit, min, max }: Limit): string | null {
  const range = `Use ${formatKept(min, unit)} to ${formatKept(max, unit)}.`;
  if (!Number.isFinite(value)) return `${label} needs a number. ${range}`;
  if (value < min)
    return `${label}: ${formatKept(value, unit)} is ${formatKept(min - value, unit)} too little. ${range}`;
  if (value > max)
    return `${label}: ${formatKept(value, unit)} is ${formatKept(value - max, unit)} too much. ${range}`;
  return null;
}
