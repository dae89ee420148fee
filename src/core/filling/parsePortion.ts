import { because, fail, ok, type Result } from "../result";
import { parseAmount, parseMass, type MeasureSystem } from "../units";
import type { PortionTextFailure } from "./fillingFailure";
import { QUART_ML } from "./portion";

/** A numbered scoop as it is said: `scoop 40`, `no. 40`, `#40`. */
const SCOOP = /^(?:scoop(?:\s+no\.?)?|no\.?|#)\s*(\d{1,3})$/i;

/**
 * A portion by weight or by any measure at hand.
 * @param densityGPerMl - Of the filling as spooned. @returns g, or why it is no portion.
 * @example parsePortion("2 tbsp", 1.1, "metric") // 33 g
 */
export function parsePortion(
  text: string,
  densityGPerMl: number,
  system: MeasureSystem,
): Result<number, PortionTextFailure> {
  const scoop = SCOOP.exec(text.trim());
  if (scoop) {
    const perQuart = Number(scoop[1]);
    return perQuart > 0 ? ok((QUART_ML / perQuart) * densityGPerMl) : fail(because("noScoop", {}));
  }
  const mass = parseMass(text);
  if (mass.ok) return mass;
  const volume = parseAmount(text, { dimension: "volume", system, bareUnit: "ml" });
  if (volume.ok) return ok(volume.value.value * densityGPerMl);
  return fail(because("noPortion", { why: mass.failure }));
}
