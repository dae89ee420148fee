import type { HalfPlane } from "../../shape";
import { FIT_TOLERANCE_MM } from "./tolerance";

/** The stretch of a line across the sheet on which a middle may lie; empty if `from` > `to`. */
export function findSpan(room: readonly HalfPlane[], yMm: number): { from: number; to: number } {
  let [from, to] = [-Infinity, Infinity];
  for (const { nx, ny, reachMm } of room) {
    const rest = reachMm - ny * yMm;
    if (Math.abs(nx) < 1e-12) {
      if (rest < -FIT_TOLERANCE_MM) return { from: Infinity, to: -Infinity };
    } else if (nx > 0) to = Math.min(to, rest / nx);
    else from = Math.max(from, rest / nx);
  }
  return { from, to };
}
