import type { Limit } from "./limits";

/** What is wrong with a figure, by how much and what would do; null if nothing is. */
export function describeLimitFault(value: number, { label, unit, min, max }: Limit): string | null {
  const range = `Use ${withUnit(min, unit)} to ${withUnit(max, unit)}.`;
  if (!Number.isFinite(value)) return `${label} needs a number. ${range}`;
  if (value < min)
    return `${label}: ${withUnit(value, unit)} is ${withUnit(min - value, unit)} too little. ${range}`;
  if (value > max)
    return `${label}: ${withUnit(value, unit)} is ${withUnit(value - max, unit)} too much. ${range}`;
  return null;
}

function withUnit(value: number, unit: string): string {
  const rounded = Number(value.toPrecision(6));
  return unit === "" ? `${rounded}` : `${rounded} ${unit}`;
}
