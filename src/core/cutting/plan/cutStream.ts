import type { Budget } from "../../budget";
import { computeAreaMm2, outerOutline, type Outline } from "../../shape";
import type { BlankDemand, CutRequest } from "./cutPlan";
import { listSheetMenu, type MenuSheet } from "./sheetMenu";

/** Demands that the same cutter makes, and the sheets it may be used on. */
export interface CutStream {
  /** What the cutter cuts: a ring's disc. */
  readonly outline: Outline;
  readonly webMm: number;
  readonly marginMm: number;
  /** What is seen first. */
  readonly demands: readonly BlankDemand[];
  readonly count: number;
  /** Dough that one cut takes out of the sheet for good. */
  readonly blankMm2: number;
  readonly keepsSurplus: boolean;
  /** By pass: what may be rolled. A re-rolled sheet draws back, so the largest gets smaller. */
  readonly menus: readonly (readonly MenuSheet[])[];
}

/**
 * The demands by cutter: a base and a ring of the same size are one stream. Streams whose blanks are seen come first,
 * among equals the larger: small blanks can still be cut from a little trim.
 */
export function toStreams(request: CutRequest, budget: Budget): CutStream[] {
  const groups = new Map<string, BlankDemand[]>();
  for (const demand of request.demands) {
    // A ring that gives its centre back takes less dough than the disc it is cut as, and keeps to itself.
    const isOpenRing = demand.outline.kind === "ring" && !demand.keepsCentre;
    const key = JSON.stringify([outerOutline(demand.outline), demand.webMm, isOpenRing]);
    groups.set(key, [...(groups.get(key) ?? []), demand]);
  }
  return [...groups.values()]
    .map((demands) => toStream(request, demands, budget))
    .sort((a, b) => Number(isSeen(b)) - Number(isSeen(a)) || b.blankMm2 - a.blankMm2);
}

const isSeen = ({ demands }: CutStream) => demands.some(({ isVisible }) => isVisible);

function toStream(request: CutRequest, demands: readonly BlankDemand[], budget: Budget): CutStream {
  const [first] = demands;
  if (!first) throw new RangeError("toStream: a group of no demands");
  const outline = outerOutline(first.outline);
  const marginMm = Math.max(...demands.map((demand) => demand.marginMm));
  const { sheetLimit, rerollShrinkShare, rerollLimit, mayTurn } = request;
  const menu = listSheetMenu({ outline, webMm: first.webMm, marginMm, mayTurn }, sheetLimit, budget);
  const menus = Array.from({ length: rerollLimit + 1 }, (_, pass) => {
    const stays = 1 - pass * rerollShrinkShare;
    return pass === 0
      ? menu
      : menu.filter(
          ({ sheet }) =>
            sheet.widthMm <= sheetLimit.widthMm * stays && sheet.heightMm <= sheetLimit.heightMm * stays,
        );
  });
  return {
    outline,
    webMm: first.webMm,
    marginMm,
    demands: demands.toSorted((a, b) => Number(b.isVisible) - Number(a.isVisible)),
    count: demands.reduce((sum, { count }) => sum + count, 0),
    blankMm2: computeAreaMm2(first.keepsCentre ? outline : first.outline),
    keepsSurplus: demands.every(({ keepsSurplus }) => keepsSurplus),
    menus,
  };
}
