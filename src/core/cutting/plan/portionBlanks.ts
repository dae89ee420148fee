import { computeAreaMm2, outerOutline, type Outline } from "../../shape";
import type { BlankDemand, CutPlan, CutRequest, Portioning } from "./cutPlan";

/** A log a hand slices cleanly, mm: where the piece does not say. */
const USUAL_LOG_MM = 60;

/** Outlines that a ball or a slice becomes under the pin, without a knife. */
export const rollsRound = ({ kind }: Outline) => kind === "disc" || kind === "oval" || kind === "ring";

/**
 * The blanks weighed off and rolled one by one: no trim and no re-roll, but a hand's time for each. A ring's centre
 * that no blank is made of stays over.
 * @returns null where a blank is not round enough to be rolled so.
 */
export function portionBlanks(request: CutRequest): CutPlan | null {
  return makePlan(request, "rolled", request.handTimes.perPortionS);
}

/** The blanks sliced off a log and flattened: as exact as portions and quicker, of dough that keeps its layers so. */
export function sliceBlanks(request: CutRequest): CutPlan | null {
  return makePlan(request, "sliced", request.handTimes.perSliceS);
}

/** A log is rolled up from a sheet as wide as it is long: no longer than the longest sheet that is rolled. */
function cutLogs(count: number, sliceMm: number, { sheetLimit }: CutRequest) {
  const longestMm = Math.max(sheetLimit.widthMm, sheetLimit.heightMm);
  const logs = Math.ceil(count / Math.max(Math.floor(longestMm / sliceMm), 1));
  return { logs, logLengthMm: Math.ceil(count / logs) * sliceMm };
}

function makePlan(request: CutRequest, way: Portioning["way"], eachS: number): CutPlan | null {
  const { demands, thicknessMm, densityGPerMl } = request;
  if (!demands.every(({ outline }) => rollsRound(outline))) return null;
  const gPerMm2 = (thicknessMm * densityGPerMl) / 1000;
  const outerG = ({ outline }: BlankDemand) => computeAreaMm2(outerOutline(outline)) * gPerMm2;
  const keptG = (demand: BlankDemand) =>
    (demand.keepsCentre ? computeAreaMm2(outerOutline(demand.outline)) : computeAreaMm2(demand.outline)) *
    gPerMm2;
  const sum = (figure: (demand: BlankDemand) => number) =>
    demands.reduce((total, demand) => total + figure(demand) * demand.count, 0);
  const [doughG, blanksG] = [sum(outerG), sum(keptG)];
  return {
    sheets: [],
    rerolls: [],
    portioning: {
      way,
      portions: demands.map((demand) => {
        const { id, count, logMm = USUAL_LOG_MM } = demand;
        const sliceMm = (outerG(demand) / densityGPerMl / ((Math.PI * logMm ** 2) / 4)) * 1000;
        return {
          demandId: id,
          count,
          eachG: outerG(demand),
          sliceMm,
          logMm,
          ...cutLogs(count, sliceMm, request),
        };
      }),
    },
    yields: demands.map((demand) => ({
      demandId: demand.id,
      count: demand.count,
      firstCount: demand.count,
      eachG: keptG(demand),
    })),
    decorations: 0,
    doughG,
    blanksG,
    decorationsG: 0,
    trimLeftG: doughG - blanksG,
    lossG: 0,
    handMin: sum(() => eachS) / 60,
    leastDoughG: blanksG,
  };
}
