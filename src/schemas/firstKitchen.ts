import { metricMeasures } from "@/core/units";
import type { Kitchen } from "./model";

/** A kitchen that has not been described: metric, medium eggs, a mild room, usual cold. */
export const firstKitchen: Kitchen = {
  id: "kitchen",
  system: "metric",
  eggSize: "medium",
  ovenScale: "celsius",
  ...metricMeasures,
  roomC: 21,
  fridgeC: 4,
  freezerC: -18,
  mixedC: 18,
  timeZone: null,
  currency: null,
};
