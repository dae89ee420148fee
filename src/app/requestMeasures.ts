import { AsyncLocalStorage } from "node:async_hooks";
import { metricMeasures, setMeasureScope, type HouseMeasures } from "@/core/units";

/**
 * Texts of one request are written in its own measures, whatever pages and answers are made beside it: metric, until a
 * page of the house sets others. Imported by whatever opens a request.
 */
const measures = new AsyncLocalStorage<HouseMeasures>();

setMeasureScope({
  read: () => measures.getStore() ?? metricMeasures,
  set: (house) => measures.enterWith(house),
  run: (house, work) => measures.run(house, work),
});

/** Answers a programme: in mm and g, as its figures are, from the first to the last wait. */
export const inMetric = <T>(answer: () => T): T => measures.run(metricMeasures, answer);
