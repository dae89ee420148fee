import { computeAreaMm2 } from "../shape";
import type { CutPlan, CutRequest, CutSheet, Reroll } from "./cutPlan";
import type { PlanSketch, SheetRun } from "./estimatePlan";
import { layOutRows, type Layout } from "./layout";
import type { MenuSheet } from "./sheetMenu";

/** Turns a sketch into sheets with placed cuts and masses. O(blanks). */
export function realizePlan(request: CutRequest, sketch: PlanSketch): CutPlan {
  const gPerMm2 = (request.thicknessMm * request.densityGPerMl) / 1000;
  const blankMm2 = computeAreaMm2(request.outline);
  const layouts = new Map<MenuSheet, Layout>();
  const layOut = (entry: MenuSheet): Layout => {
    const known = layouts.get(entry);
    if (known) return known;
    const layout = layOutRows({ ...request, sheet: entry.sheet });
    if (!layout.ok || layout.value.count !== entry.count) {
      throw new RangeError(`realizePlan: a sheet for ${entry.count} cuts does not give them`);
    }
    layouts.set(entry, layout.value);
    return layout.value;
  };
  const rollSheets = (runs: readonly SheetRun[], pass: number): CutSheet[] =>
    runs.flatMap(({ entry, copies }) => {
      const layout = layOut(entry);
      const doughG = entry.areaMm2 * gPerMm2;
      const blanksG = layout.count * blankMm2 * gPerMm2;
      return Array.from({ length: copies }, () => ({
        pass,
        layout,
        doughG,
        blanksG,
        trimG: doughG - blanksG,
      }));
    });

  const sheets = [
    ...rollSheets(sketch.firstRolling, 0),
    ...sketch.rerollSketches.flatMap(({ runs }, i) => rollSheets(runs, i + 1)),
  ];
  const rerolls: Reroll[] = sketch.rerollSketches.map(({ trimMm2, lossMm2, unrolledMm2 }, i) => ({
    pass: i + 1,
    trimG: trimMm2 * gPerMm2,
    lossG: lossMm2 * gPerMm2,
    unrolledG: unrolledMm2 * gPerMm2,
  }));
  const count = sheets.reduce((sum, { layout }) => sum + layout.count, 0);
  if (count !== sketch.count)
    throw new RangeError(`realizePlan: ${count} cuts placed, ${sketch.count} sketched`);
  return {
    sheets,
    rerolls,
    count,
    blankG: blankMm2 * gPerMm2,
    doughG: sketch.doughMm2 * gPerMm2,
    blanksG: count * blankMm2 * gPerMm2,
    trimLeftG: sketch.trimLeftMm2 * gPerMm2,
    lossG: rerolls.reduce((sum, { lossG }) => sum + lossG, 0),
    handMin: sketch.handMin,
    leastDoughG: request.demand * blankMm2 * gPerMm2,
  };
}

/** The plan of a piece whose blanks are all there already: nothing rolled, nothing cut. */
export function noCuts(request: CutRequest): CutPlan {
  const blankG = (computeAreaMm2(request.outline) * request.thicknessMm * request.densityGPerMl) / 1000;
  return {
    sheets: [],
    rerolls: [],
    count: 0,
    blankG,
    doughG: 0,
    blanksG: 0,
    trimLeftG: 0,
    lossG: 0,
    handMin: 0,
    leastDoughG: 0,
  };
}
