import { ok, type Result } from "../result";
import { readHouseMeasures } from "./house";
import { parseAmount } from "./parseAmount";
import type { ParseFailure } from "./parseFailure";
import { findUnit, listUnits } from "./unitTable";

/** Units of lengths and masses, and of every kind of mass, are the same in all systems. */
const SYSTEM = "metric";

/**
 * A length typed with any unit; without one in the house's.
 * @returns mm, or why it is none.
 * @example parseLength("3 1/4 in") // 82.55
 */
export function parseLength(text: string): Result<number, ParseFailure> {
  const bareUnit = { mm: "mm", cm: "cm", inch: "in" }[readHouseMeasures().lengthUnit];
  const amount = parseAmount(text, { dimension: "length", system: SYSTEM, bareUnit });
  return amount.ok ? ok(amount.value.value) : amount;
}

/** Pounds before the ounces: `1 lb 4 oz`. */
const WITH_POUNDS = /^(.*?\d\s*(\p{L}+)\.?)\s+(\d.*)$/u;

/**
 * A mass typed with any unit, of ounces after pounds too; without one in the house's.
 * @param bare - Which of the house's units is meant: its smaller one, or its larger.
 * @returns g, or why it is none.
 * @example parseMass("1 lb 4 oz") // 566.9904625
 */
export function parseMass(text: string, bare: "small" | "large" = "small"): Result<number, ParseFailure> {
  const [small, large] = { gram: ["g", "kg"] as const, ounce: ["oz", "lb"] as const }[
    readHouseMeasures().massUnit
  ];
  const rule = { dimension: "mass", system: SYSTEM, bareUnit: bare === "small" ? small : large } as const;
  const [, pounds = "", unit = "", ounces = ""] = WITH_POUNDS.exec(text.trim()) ?? [];
  if (findUnit(listUnits(SYSTEM), unit.toLowerCase(), "mass")?.id === "lb") {
    const [first, second] = [parseAmount(pounds, rule), parseAmount(ounces, { ...rule, bareUnit: "oz" })];
    if (first.ok && second.ok) return ok(first.value.value + second.value.value);
  }
  const amount = parseAmount(text, rule);
  return amount.ok ? ok(amount.value.value) : amount;
}
