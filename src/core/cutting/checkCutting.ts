import {
  boundsOfPolygon,
  findSharedMm,
  gapMm,
  outerOutline,
  placePolygon,
  toContour,
  type Outline,
  type Polygon,
  type SheetShape,
} from "../shape";
import type { CutPlan, CutRequest } from "./plan";
import type { Placement } from "./sheet";

/** Cuts of one outline on a sheet. */
export interface CheckedPart {
  readonly outline: Outline;
  readonly placements: readonly Placement[];
}

/** Something that cannot be about cuts on a sheet or about a plan of them. */
export interface CuttingFinding {
  readonly code: "overlap" | "tooNear" | "outside" | "tooLarge" | "tooFew" | "notBalanced" | "notANumber";
  readonly message: string;
}

/** Dough that a knife's line hides, mm. */
const SLACK_MM = 1e-3;
/** Level lines across two cuts' common box on which they may not lie over each other. */
const LINES = 48;
/** Directions in which an oval sheet's edge is felt for. */
const DIRECTIONS = 720;
/** Balances of mass are kept to this share. */
const BALANCE_SHARE = 1e-9;

/**
 * Checks cuts on a sheet by other means than those that laid them: on level lines no two may share a length, gaps are
 * measured, and every corner is inside. For tests, the bench and development builds.
 * @param webMm - Least dough between two cuts.
 */
export function checkSheet(
  sheet: SheetShape,
  marginMm: number,
  webMm: number,
  parts: readonly CheckedPart[],
): CuttingFinding[] {
  const cuts = parts.flatMap(({ outline, placements }, part) => {
    const outer = outerOutline(outline);
    const contour = toContour(outer);
    return placements.map(({ xMm, yMm, angleDeg }, i) => {
      const polygon = placePolygon(contour, xMm, yMm, angleDeg);
      const radiusMm = outer.kind === "disc" ? outer.diameterMm / 2 : null;
      return {
        polygon,
        xMm,
        yMm,
        radiusMm,
        name: `cut ${i + 1} of outline ${part + 1}`,
        ...boundsOfPolygon(polygon),
      };
    });
  });
  const findings: CuttingFinding[] = [];
  for (const { name, polygon, radiusMm, xMm, yMm } of cuts) {
    // A round keeps its radius more from the edge with its middle.
    const overMm =
      radiusMm === null
        ? findOutsideMm(sheet, marginMm, polygon)
        : findOutsideMm(sheet, marginMm + radiusMm, [[xMm, yMm]]);
    if (!(overMm <= SLACK_MM))
      findings.push({ code: "outside", message: `${name} is ${overMm} mm beyond the ragged edge` });
  }
  const sorted = cuts.toSorted((a, b) => a.leftMm - b.leftMm);
  sorted.forEach((one, i) => {
    for (const other of sorted.slice(i + 1)) {
      if (other.leftMm >= one.rightMm + webMm) break;
      if (other.topMm >= one.bottomMm + webMm || one.topMm >= other.bottomMm + webMm) continue;
      // Of two rounds the middles tell all.
      const betweenMm =
        one.radiusMm !== null && other.radiusMm !== null
          ? Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm) - one.radiusMm - other.radiusMm
          : null;
      const sharedMm = betweenMm === null ? findMostSharedMm(one.polygon, other.polygon) : -betweenMm;
      if (sharedMm > SLACK_MM)
        findings.push({ code: "overlap", message: `${one.name} and ${other.name} share ${sharedMm} mm` });
      else if (webMm > 0) {
        const apartMm = betweenMm ?? gapMm(one.polygon, other.polygon, webMm);
        if (apartMm < webMm - SLACK_MM)
          findings.push({
            code: "tooNear",
            message: `${one.name} and ${other.name} are ${apartMm} mm apart`,
          });
      }
    }
  });
  return findings;
}

/** The longest piece of some level lines that lies in both, mm. */
function findMostSharedMm(one: Polygon, other: Polygon): number {
  const [a, b] = [boundsOfPolygon(one), boundsOfPolygon(other)];
  const [topMm, bottomMm] = [Math.max(a.topMm, b.topMm), Math.min(a.bottomMm, b.bottomMm)];
  // Edges that touch share a level of no height.
  if (bottomMm - topMm <= SLACK_MM) return 0;
  let mostMm = 0;
  for (let line = 0; line < LINES; line++)
    mostMm = Math.max(mostMm, findSharedMm(one, other, topMm + ((line + 0.5) / LINES) * (bottomMm - topMm)));
  return mostMm;
}

/** How far a polygon reaches beyond what a sheet's ragged edge leaves, mm; below 0 where it does not. */
function findOutsideMm({ widthMm, heightMm, shape }: SheetShape, marginMm: number, polygon: Polygon): number {
  const { leftMm, topMm, rightMm, bottomMm } = boundsOfPolygon(polygon);
  if (shape !== "oval") return marginMm - Math.min(leftMm, topMm, widthMm - rightMm, heightMm - bottomMm);
  let nearestMm = Infinity;
  for (let i = 0; i < DIRECTIONS; i++) {
    const angle = (2 * Math.PI * i) / DIRECTIONS;
    const [nx, ny] = [Math.cos(angle), Math.sin(angle)];
    const edgeMm = Math.hypot((widthMm / 2) * nx, (heightMm / 2) * ny);
    for (const [x, y] of polygon)
      nearestMm = Math.min(nearestMm, edgeMm - (x - widthMm / 2) * nx - (y - heightMm / 2) * ny);
  }
  return marginMm - nearestMm;
}

/** Checks a plan against what was asked: every sheet, every count, the bench, and the dough's balance. */
export function checkCutPlan(request: CutRequest, plan: CutPlan): CuttingFinding[] {
  const findings: CuttingFinding[] = [];
  const webMm = Math.min(...request.demands.map((demand) => demand.webMm), Infinity);
  plan.sheets.forEach((each, i) => {
    // A sheet that is cut once more is the same record.
    if (plan.sheets[i - 1] === each) return;
    const { sheet, rolledTo, marginMm, parts, isDecoration, pass } = each;
    for (const finding of checkSheet(sheet, marginMm, isDecoration ? 0 : webMm, parts))
      findings.push({ ...finding, message: `sheet ${i + 1}: ${finding.message}` });
    const limit = request.boughtSheet ? null : request.sheetLimit;
    const isPinned = pass === 0 && request.pinnedSheet !== null;
    if (limit && !isPinned) {
      const overMm = Math.max(rolledTo.widthMm - limit.widthMm, rolledTo.heightMm - limit.heightMm);
      if (overMm > SLACK_MM)
        findings.push({
          code: "tooLarge",
          message: `sheet ${i + 1} is rolled ${overMm} mm beyond the bench`,
        });
    }
  });
  for (const { id, count } of request.demands) {
    const got = plan.yields.find(({ demandId }) => demandId === id)?.count ?? 0;
    if (got < count) findings.push({ code: "tooFew", message: `${id}: ${got} of ${count}` });
  }
  const figures = [plan.doughG, plan.blanksG, plan.decorationsG, plan.trimLeftG, plan.lossG, plan.handMin];
  if (figures.some((each) => !Number.isFinite(each) || each < -BALANCE_SHARE * plan.doughG))
    findings.push({ code: "notANumber", message: `masses and minutes are ${figures.join(", ")}` });
  const outG = plan.blanksG + plan.decorationsG + plan.trimLeftG + plan.lossG;
  if (Math.abs(plan.doughG - outG) > BALANCE_SHARE * Math.max(plan.doughG, 1))
    findings.push({ code: "notBalanced", message: `${plan.doughG} g in and ${outG} g out` });
  return findings;
}
