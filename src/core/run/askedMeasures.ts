import type { Measure } from "./event";
import type { JobSheet } from "./runSheet";

/** Something of a job that a baker may measure, and what is meant; null where it is a band or is not said. */
export interface AskedMeasure {
  readonly measure: Measure;
  readonly meant: number | null;
}

/** What of a job can be measured by hand and teaches something, the likeliest to be measured first. */
export function listAsked({ kind, targets }: Pick<JobSheet, "kind" | "targets">): AskedMeasure[] {
  const { portionG, thicknessMm, blankMm, window, custardC, heatC, endC } = targets;
  const asked: (AskedMeasure | false)[] = [
    portionG !== null && { measure: "massG", meant: portionG },
    window !== null && { measure: "coreC", meant: null },
    thicknessMm ? { measure: "thicknessMm", meant: thicknessMm } : false,
    blankMm ? { measure: "blankMm", meant: blankMm } : false,
    kind === "bake" && endC !== null && { measure: "ovenC", meant: endC },
    kind === "fry" && heatC !== null && { measure: "oilC", meant: heatC },
    custardC !== null && { measure: "coreC", meant: null },
  ];
  return asked.filter((each) => each !== false);
}
