import { because, fail, ok, type Result } from "../result";
import type { ParseFailure } from "./parseFailure";
import { parseNumber } from "./parseNumber";
import { findUnit, listUnits, type Dimension, type MeasureSystem, type Unit } from "./unitTable";

/** A quantity with what was typed kept beside it. `value` is in the base unit: g, ml, mm or °C. */
export interface Amount {
  readonly text: string;
  readonly value: number;
}

export interface AmountRule {
  readonly dimension: Dimension;
  readonly system: MeasureSystem;
  /** Unit id taken when the text is a bare number. */
  readonly bareUnit: string;
}

/**
 * Reads an amount such as `1 1/2 lb`, `1,5 dl`, `4½ in`, `350 F`, or a bare number in the rule's own unit.
 * @returns The amount in base units, or why it is none.
 * @example parseAmount("8 oz", { dimension: "mass", system: "metric", bareUnit: "g" }) // 226.796185 g
 */
export function parseAmount(text: string, rule: AmountRule): Result<Amount, ParseFailure> {
  const shown = text.trim();
  const units = listUnits(rule.system);
  const split = splitUnit(shown, units, rule.dimension);
  if (!split.ok) return split;
  const number = parseNumber(split.value.numberText);
  if (!number.ok) return number;
  const unit = split.value.unit ?? units.find(({ id }) => id === rule.bareUnit);
  if (!unit) throw new RangeError(`parseAmount: no unit has the id ${rule.bareUnit}`);
  if (unit.dimension !== rule.dimension) {
    const [measures, needed, known] = [unit.dimension, rule.dimension, listNames(rule, units)];
    return fail(because("wrongDimension", { unit: nameUnit(unit), measures, needed, known }));
  }
  if (number.value < 0 && rule.dimension !== "temperature") return fail(because("belowZero", { shown }));
  return ok({ text: shown, value: number.value * unit.factor + unit.offset });
}

function splitUnit(
  shown: string,
  units: readonly Unit[],
  dimension: Dimension,
): Result<{ numberText: string; unit: Unit | null }, ParseFailure> {
  const match = /^(.*[\d½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])\s*(.*)$/.exec(shown);
  if (!match)
    return fail(
      shown === "" ? because("noAmountTyped", {}) : because("noNumberIn", { shown: shown.slice(0, 24) }),
    );
  const [, numberText = "", unitText = ""] = match;
  const wanted = unitText.toLowerCase().replaceAll(".", "").trim();
  if (wanted === "") return ok({ numberText, unit: null });
  const unit = findUnit(units, wanted, dimension);
  if (!unit) return fail(because("unknownUnit", { shown: unitText.slice(0, 24) }));
  return ok({ numberText, unit });
}

const nameUnit = ({ id, spellings }: Unit): string => spellings[0] ?? id;

const listNames = (rule: AmountRule, units: readonly Unit[]): string[] =>
  units.filter(({ dimension }) => dimension === rule.dimension).map(nameUnit);
