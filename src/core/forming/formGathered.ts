import { because, fail, ok, type Result } from "../result";
import { toContour, type Point } from "../shape";
import { completeForm, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { formatLength, formatSide } from "../units";

/** A rolled top thinner than this bursts as the filling steams, mm. */
const LEAST_TOP_MM = 1.5;
/** Halvings in solving for a blank: far below what can be cut. */
const HALVINGS = 50;
/** Widest blank that a hand gathers, mm. */
const WIDEST_BLANK_MM = 400;

interface Purse {
  /** Of the filling, across; 0 or less where the round closes over nothing. */
  readonly acrossMm: number;
  readonly fillingMm3: number;
  readonly doughMm3: number;
}

/**
 * What a round closes over. The way from the filling's pole to its pinch, along the middle of the dough, is the blank's
 * radius less the margin that is pinched: round a ball it is half its circumference; under, up and over a flat heap it
 * is the heap's width and its height, and a half turn of the dough. Plumpness is the share of the most that goes in.
 */
function drawUp(
  diameterMm: number,
  thicknessMm: number,
  marginMm: number,
  plumpness: number,
  heapMm: number | null,
): Purse {
  const wayMm = diameterMm / 2 - marginMm;
  const doughMm3 = (Math.PI / 4) * diameterMm ** 2 * thicknessMm;
  if (heapMm !== null) {
    const heightMm = Math.max(wayMm - heapMm - (Math.PI * thicknessMm) / 2, 0) * plumpness;
    return {
      acrossMm: heightMm > 0 ? heapMm : 0,
      fillingMm3: (Math.PI / 4) * heapMm ** 2 * heightMm,
      doughMm3,
    };
  }
  const radiusMm = Math.max(wayMm / Math.PI - thicknessMm / 2, 0) * Math.cbrt(plumpness);
  return { acrossMm: 2 * radiusMm, fillingMm3: (4 / 3) * Math.PI * radiusMm ** 3, doughMm3 };
}

/**
 * A round drawn up around filling, pinched, turned over and rolled flat. Rolling keeps the volume, so the height follows
 * from the width. Between pin and bench a thin layer resists more than a thick one (the friction hill of upsetting), so
 * the gathered side below gives first: the top keeps its thickness until both are alike, then both thin together. The
 * less filling, the less skin there is to spread the same dough over, and the thicker it stays.
 */
export function formGathered(request: RequestOf<"gathered">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, plumpness, marginMm } = request;
  if (cut.kind !== "disc") {
    return fail(because("wrongOutline", { form: "gathered", cut, isOval: false }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const diameterMm = cut.diameterMm * stays;
  const { heapMm } = form;
  const purse = drawUp(diameterMm, settledThicknessMm, marginMm, plumpness, heapMm);
  if (purse.acrossMm <= 0) {
    const leastMm = (2 * (marginMm + (heapMm ?? 0) + (Math.PI * settledThicknessMm) / 2)) / stays;
    return fail(
      because("roundTooSmall", {
        roundMm: cut.diameterMm,
        neededMm: leastMm,
        hasGuideRing: heapMm !== null,
      }),
    );
  }
  const { acrossMm, fillingMm3, doughMm3 } = purse;
  const across = form.finishedMm;
  const pursed = acrossMm + 2 * settledThicknessMm;
  const faceMm2 = (Math.PI / 4) * across ** 2;
  const heightMm = (doughMm3 + fillingMm3) / faceMm2;
  const halfSkinMm2 = faceMm2 + (Math.PI * across * heightMm) / 2;
  const topMm = Math.min(settledThicknessMm, doughMm3 / (2 * halfSkinMm2));
  const bottomMm = doughMm3 / halfSkinMm2 - topMm;
  if (across < pursed) {
    return fail(because("rolledTooSmall", { gatheredMm: pursed, acrossMm: across }));
  }
  if (topMm < LEAST_TOP_MM) {
    return fail(
      because("topTooThin", {
        ...{ acrossMm: across, topMm, leastMm: LEAST_TOP_MM },
        widestMm: findWidestMm(purse),
      }),
    );
  }
  const knotMm = computeKnotMm(diameterMm - 2 * marginMm, settledThicknessMm);
  const hollowMm = heightMm - topMm - bottomMm;
  const fillingMm = Math.sqrt((4 * fillingMm3) / (Math.PI * hollowMm));
  return ok(
    completeForm({
      kind: "gathered",
      blanks: [{ role: "blank", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm,
      capacityMl: fillingMm3 / 1000,
      mostMl: drawUp(diameterMm, settledThicknessMm, marginMm, 1, heapMm).fillingMm3 / 1000,
      seamMm: knotMm,
      drawnShare: knotMm / (Math.PI * diameterMm),
      marginMm,
      footprint: { widthMm: across, heightMm: across },
      washMm2: faceMm2,
      section: drawSection(across, heightMm, fillingMm, topMm, bottomMm),
      fromAbove: { edge: toContour({ kind: "disc", diameterMm: across }), inner: [], seam: "none" },
      steps: [
        {
          text: `drawn up, it closes over ${heapMm === null ? "a ball" : "a flat heap"} of ${formatLength(acrossMm, 0)}`,
          figure: `${(fillingMm3 / 1000).toFixed(1)} ml`,
        },
        {
          text: `rolled from ${formatSide(pursed, 0)} to ${formatLength(across, 2)} across it is so high`,
          figure: formatLength(heightMm, 1),
        },
        {
          text: "the top is so thick",
          figure: formatLength(topMm, 1),
        },
        { text: "its edge is drawn into a knot, around it", figure: formatLength(knotMm, 0) },
        { text: "below, with the pinch", figure: formatLength(bottomMm, 1) },
      ],
    }),
  );
}

/**
 * Around the knot that a gathered edge is drawn into, mm: the dough of a ring so wide stands in it on edge, pressed
 * together without a gap, so that its section is the ring's length times its thickness.
 */
function computeKnotMm(ringMm: number, thicknessMm: number): number {
  const sectionMm2 = Math.PI * ringMm * thicknessMm;
  return 2 * Math.sqrt(Math.PI * sectionMm2);
}

/** How wide a purse may be rolled before its top is too thin: the skin's area is what counts, and that grows with the width. */
function findWidestMm({ doughMm3, fillingMm3 }: Purse): number {
  const mostSkinMm2 = doughMm3 / (2 * LEAST_TOP_MM);
  const volumeMm3 = doughMm3 + fillingMm3;
  // Face and half the side: πF²/4 + 2V/F. Least at the cube root of 4V/π; above it the skin grows.
  const skinMm2 = (across: number) => (Math.PI / 4) * across ** 2 + (2 * volumeMm3) / across;
  return halve(
    Math.cbrt((4 * volumeMm3) / Math.PI),
    WIDEST_BLANK_MM,
    (across) => skinMm2(across) <= mostSkinMm2,
  );
}

/**
 * The round, as cut, that rolls out to a finished width and height; null if no blank up to 400 mm does.
 * @param heightMm - Of the rolled piece.
 */
export function findGatheredBlankMm(request: RequestOf<"gathered">, heightMm: number): number | null {
  const { form, thicknessMm, springBackShare, plumpness, marginMm } = request;
  const stays = 1 - springBackShare;
  const wantedMm3 = (Math.PI / 4) * form.finishedMm ** 2 * heightMm;
  const volumeMm3 = (cutMm: number) => {
    const purse = drawUp(cutMm * stays, thicknessMm / stays ** 2, marginMm, plumpness, form.heapMm);
    return purse.doughMm3 + purse.fillingMm3;
  };
  if (volumeMm3(WIDEST_BLANK_MM) < wantedMm3) return null;
  return halve(0, WIDEST_BLANK_MM, (cutMm) => volumeMm3(cutMm) <= wantedMm3);
}

/** The largest value between two that still holds, of a condition that holds below and not above it. */
function halve(from: number, to: number, holds: (value: number) => boolean): number {
  let [low, high] = [from, to];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (holds(middle)) low = middle;
    else high = middle;
  }
  return low;
}

function drawSection(across: number, high: number, fillingMm: number, topMm: number, bottomMm: number) {
  const rounded = (width: number, from: number, to: number): Point[] => {
    const r = (to - from) / 2;
    const half = Math.max(width / 2 - r, 0);
    return [half, -half].flatMap((x, side) =>
      Array.from({ length: 17 }, (_, i): Point => {
        const at = -Math.PI / 2 + side * Math.PI + (Math.PI * i) / 16;
        return [x + r * Math.cos(at), from + r + r * Math.sin(at)];
      }),
    );
  };
  return {
    dough: [rounded(across, 0, high)],
    filling: [rounded(fillingMm, topMm, high - bottomMm)],
    solids: [],
    widthMm: across,
    heightMm: high,
  };
}
