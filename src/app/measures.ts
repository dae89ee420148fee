import { metricMeasures, type HouseMeasures } from "@/core/units";
import { getStore } from "@/data/getStore";

/** What this house tells lengths and masses in; metric where no kitchen was described. */
export const readMeasures = (): HouseMeasures => getStore().readKitchen().kitchen ?? metricMeasures;
