import { fail, ok, type Result } from "@/core/result";
import type { ClosingAnswers } from "@/core/run";
import { parseMass, parseNumber } from "@/core/units";
import { sayParseFailure } from "@/core/words";
import { describeLimitFault } from "@/schemas/checkValue";
import { larderLimits } from "@/schemas/limits";

/**
 * What is kept of one thing as somebody typed it: "430 g" of a mass, "12" of pieces.
 * @param from - The day: a use-by date before it is refused.
 */
export function parseKept(
  text: string,
  useBy: string,
  isMass: boolean,
  from: string,
): Result<ClosingAnswers["left"][string], string> {
  if (useBy < from) return fail("Its use-by date would be over already.");
  const count = isMass ? null : parseNumber(text);
  const mass = isMass ? parseMass(text) : null;
  if (count && !count.ok) return fail(sayParseFailure(count.failure));
  if (mass && !mass.ok) return fail(sayParseFailure(mass.failure));
  const value = count ? count.value : (mass?.value ?? 0);
  if (!isMass && !Number.isInteger(value)) return fail("Pieces are counted: use a whole number.");
  const fault = describeLimitFault(value, isMass ? larderLimits.massG : larderLimits.count);
  if (fault) return fail(fault);
  return ok(isMass ? { massG: value, count: 0, useBy } : { massG: 0, count: value, useBy });
}
