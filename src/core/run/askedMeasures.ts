import type { Measure } from "./event";
import type { JobSheet } from "./runSheet";

/** Something of a job that a baker may measure, and what is meant; null where it is a band or is not said. */
export interface AskedMeasure {
  readonly measure: Measure;
  readonly meant: number | null;
  /** Which deck of its oven, counted from 1; null where it is not of one. */
  readonly deck: number | null;
}

/** A deck as the part of a reading, and back; null where a reading is of no deck. */
export const toDeckPart = (deck: number): string => `deck ${deck}`;
/** The deck that a part of a reading names, from 1; null where it names none. */
export function readDeckPart(part: string | null | undefined): number | null {
  const deck = Number(/^deck (\d+)$/.exec(part ?? "")?.[1] ?? NaN);
  return Number.isInteger(deck) ? deck : null;
}

/** What of a job can be measured by hand and teaches something, the likeliest to be measured first. */
export function listAsked({ kind, targets }: Pick<JobSheet, "kind" | "targets">): AskedMeasure[] {
  const {
    portionG,
    thicknessMm,
    blankMm,
    trimG,
    window,
    custardC,
    heatC,
    endC,
    decksC,
    heatUpMin,
    fry,
    cooling,
  } = targets;
  const ask = (measure: Measure, meant: number | null | undefined | false, deck: number | null = null) =>
    meant ? [{ measure, meant, deck }] : [];
  const band = (measure: Measure, isAsked: boolean) =>
    isAsked ? [{ measure, meant: null, deck: null }] : [];
  const isBake = kind === "bake";
  return [
    ...ask("massG", portionG),
    ...band("coreC", window !== null || custardC !== null || Boolean(cooling)),
    ...ask("thicknessMm", thicknessMm),
    ...ask("blankMm", blankMm),
    ...ask("trimG", trimG),
    ...(isBake && decksC
      ? decksC.flatMap((meantC, i) => ask("ovenC", meantC, i + 1))
      : ask("ovenC", isBake && endC)),
    ...ask("heatUpMin", heatUpMin),
    ...ask("oilC", kind === "fry" && heatC),
    ...band("oilLowC", Boolean(fry)),
  ];
}
