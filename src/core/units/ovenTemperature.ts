import { because, fail, ok, type Result } from "../result";
import { parseAmount } from "./parseAmount";
import type { ParseFailure } from "./parseFailure";

/** Kinds of oven that need different settings for the same bake. */
export type OvenAir = "still" | "fan" | "hotAir";

/** A setting as written: `text` kept, the temperature in °C and the kind of oven it is meant for. */
export interface OvenSetting {
  readonly text: string;
  readonly setC: number;
  readonly air: OvenAir;
}

/** Gas marks in °C, as printed on British cookers; ¼ and ½ are the two below 1. */
const gasMarksC: ReadonlyMap<string, number> = new Map([
  ["1/4", 110],
  ["¼", 110],
  ["1/2", 120],
  ["½", 120],
  ["1", 140],
  ["2", 150],
  ["3", 170],
  ["4", 180],
  ["5", 190],
  ["6", 200],
  ["7", 220],
  ["8", 230],
  ["9", 240],
]);

/**
 * Reads an oven setting: `350F`, `180 °C`, `180 °C fan`, `gas 6`, `gas mark ½`, or a bare number in °C.
 * @returns The setting, or why it is none.
 */
export function parseOvenSetting(text: string): Result<OvenSetting, ParseFailure> {
  const shown = text.trim();
  const lower = shown.toLowerCase();
  const gas = /^gas(?:\s*mark)?\s*(\S+)$/.exec(lower);
  if (gas) {
    const setC = gasMarksC.get(gas[1] ?? "");
    return setC === undefined
      ? fail(because("noGasMark", { shown: shown.slice(0, 16) }))
      : ok({ text: shown, setC, air: "still" });
  }
  const air: OvenAir = /\b(fan|convection)\b/.test(lower)
    ? "fan"
    : /\bhot air\b/.test(lower)
      ? "hotAir"
      : "still";
  const bare = lower.replace(/\b(fan|convection|hot air|oven)\b/g, "").trim();
  const amount = parseAmount(bare, { dimension: "temperature", system: "metric", bareUnit: "c" });
  return amount.ok ? ok({ text: shown, setC: amount.value.value, air }) : amount;
}

/** A gas cooker is set by whole marks: one further off than this from a heat is none for it, °C. */
const GAS_WITHIN_C = 6;

/** The gas mark nearest to a heat; null where none is near. */
export function findGasMark(ovenC: number): string | null {
  const [nearest] = [...gasMarksC]
    .map(([mark, markC]) => ({ mark, offC: Math.abs(markC - ovenC) }))
    .filter(({ mark, offC }) => !mark.includes("/") && offC <= GAS_WITHIN_C)
    .sort((a, b) => a.offC - b.offC);
  return nearest?.mark ?? null;
}

export const ovenScales = ["celsius", "fahrenheit", "gas"] as const;
/** What a kitchen's ovens are marked in. */
export type OvenScale = (typeof ovenScales)[number];

/** A setting as this kitchen reads it: `200 °C`, `390 °F`, `gas 6`; in °C where no mark is near. */
export function formatHeat(ovenC: number, scale: OvenScale): string {
  if (scale === "fahrenheit") return `${toFahrenheit(ovenC)} °F`;
  const mark = scale === "gas" ? findGasMark(ovenC) : null;
  return mark === null ? `${Math.round(ovenC)} °C` : `gas ${mark}`;
}

/**
 * Whole degrees Fahrenheit: what was typed there comes back as it was.
 * @example toFahrenheit(180) // 356 °F
 */
export const toFahrenheit = (celsius: number): number => Math.round((celsius * 9) / 5 + 32);

/**
 * To a tenth of a degree, so that a whole degree of Fahrenheit comes back as itself.
 * @example toCelsius(350) // 176.7 °C
 */
export const toCelsius = (fahrenheit: number): number => Math.round(((fahrenheit - 32) * 50) / 9) / 10;

/** How much lower a fan oven is set than a still one for the same bake, °C; a countertop hot-air oven lower again. */
const BELOW_STILL_C: Record<OvenAir, number> = { still: 0, fan: 20, hotAir: 30 };

/**
 * The temperature a still oven is set to for the same bake, °C.
 * @example toStillC({ text: "180 fan", setC: 180, air: "fan" }) // 200 °C
 */
export function toStillC({ setC, air }: OvenSetting): number {
  return setC + BELOW_STILL_C[air];
}
