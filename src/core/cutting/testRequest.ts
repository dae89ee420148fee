import type { Outline } from "../shape";
import { craftHandTimes, type BlankDemand, type CutRequest } from ".";

/** What tests of cut plans ask for, to be varied. */
export const demandFor = (outline: Outline, count: number, more: Partial<BlankDemand> = {}): BlankDemand => ({
  id: "blank",
  outline,
  count,
  webMm: 0,
  marginMm: 8,
  isVisible: true,
  keepsCentre: true,
  keepsSurplus: true,
  ...more,
});

/** A market's dozens of rounds. */
export const market: CutRequest = {
  demands: [demandFor({ kind: "disc", diameterMm: 90 }, 96)],
  thicknessMm: 3.5,
  densityGPerMl: 1.2,
  sheetLimit: { widthMm: 620, heightMm: 430 },
  rerollLimit: 2,
  rerollLossShare: 0.02,
  rerollShrinkShare: 0,
  tearSharePer100Mm: 0,
  mayTurn: true,
  handTimes: craftHandTimes,
  pinnedSheet: null,
  boughtSheet: null,
  decoration: null,
};
