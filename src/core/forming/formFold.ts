import { ok, type Result } from "../result";
import { computeAreaMm2, describeOutline, type Point } from "../shape";
import { computeFold, type Fold } from "./computeFold";
import type { FilledSection } from "./filledSection";
import type { FoldForm } from "./foldGeometry";
import { completeForm, type FormedPiece, type FormRequest } from "./form";
import type { FormFailure } from "./formFailure";
import { formatLength } from "../units";

/** Points along an arc of the section, for drawing. */
const ARC_POINTS = 64;

/** A blank folded over its filling. */
export function formFold(kind: FoldForm, request: FormRequest): Result<FormedPiece, FormFailure> {
  const { cut, marginMm } = request;
  const folded = computeFold({ ...request, form: kind });
  if (!folded.ok) return folded;
  const fold = folded.value;
  return ok(
    completeForm({
      kind,
      blanks: [{ role: "blank", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm: fold.settledThicknessMm,
      capacityMl: fold.capacityMl,
      mostMl: fold.mostMl,
      seamMm: fold.seamMm,
      marginMm,
      footprint: fold.footprint,
      washMm2: washMm2OfFold(fold, marginMm),
      section: drawFoldSection(fold.section, fold.settledThicknessMm, marginMm),
      fromAbove: { edge: fold.edgePoints, inner: [], seam: "along" },
      steps: [
        { text: `the ${describeOutline(cut)} cut relaxes to`, figure: describeOutline(fold.settledBlank) },
        {
          text: `inside a ${formatLength(marginMm, 2)} margin the dough spans, fold to seam`,
          figure: formatLength(fold.depthMm - marginMm, 0),
        },
        { text: "dough settles to", figure: formatLength(fold.settledThicknessMm, 1) },
        { text: "blown up round it would hold", figure: `${fold.mostMl.toFixed(1)} ml` },
      ],
    }),
  );
}

/**
 * Dough of a fold that shows: its rim once, and of the rest what arches over the foot. Dough does not stretch, so in
 * every slice arc and foot share the same dough, α to sin α.
 */
export function washMm2OfFold({ settledBlank, seamMm, section }: Fold, marginMm: number): number {
  const rimMm2 = seamMm * marginMm;
  const insideMm2 = Math.max(computeAreaMm2(settledBlank) - 2 * rimMm2, 0);
  const { arcHalfAngle } = section;
  const archShare = arcHalfAngle > 0 ? arcHalfAngle / (arcHalfAngle + Math.sin(arcHalfAngle)) : 0.5;
  return insideMm2 * archShare + rimMm2;
}

/** A flat foot and an arc over it, in an even skin of dough, with the clean margin lying on the tray. */
export function drawFoldSection(
  { footMm, heightMm, arcRadiusMm, arcHalfAngle }: FilledSection,
  t: number,
  marginMm: number,
) {
  const down = heightMm + t;
  const centreY = down + arcRadiusMm * Math.cos(arcHalfAngle);
  const arc = (radiusMm: number, halfAngle: number): Point[] =>
    Array.from({ length: ARC_POINTS + 1 }, (_, i) => {
      const at = -halfAngle + (2 * halfAngle * i) / ARC_POINTS;
      return [footMm / 2 + radiusMm * Math.sin(at), centreY - radiusMm * Math.cos(at)] as const;
    });
  if (!Number.isFinite(arcRadiusMm)) {
    const [x1, x2] = [0, footMm + marginMm];
    return {
      dough: [
        [
          [x1, 0],
          [x2, 0],
          [x2, 2 * t],
          [x1, 2 * t],
        ] as Point[],
      ],
      filling: [],
      solids: [],
      widthMm: x2,
      heightMm: 2 * t,
    };
  }
  const outerRadiusMm = arcRadiusMm + t;
  // Where the outer skin meets the tray.
  const outerAngle = Math.acos(Math.max(Math.min((centreY - down - t) / outerRadiusMm, 1), -1));
  const outer = arc(outerRadiusMm, outerAngle);
  const inner = arc(arcRadiusMm, arcHalfAngle);
  const from = Math.min(footMm, outer.at(-1)?.[0] ?? footMm);
  const margin: Point[] = [
    [from, down - t],
    [footMm + marginMm, down - t],
    [footMm + marginMm, down + t],
    [from, down + t],
  ];
  const right = Math.max(footMm + marginMm, ...outer.map(([x]) => x));
  const left = Math.min(...outer.map(([x]) => x));
  return {
    dough: [outer, margin],
    filling: [inner],
    solids: [],
    widthMm: right - left,
    heightMm: heightMm + 2 * t,
  };
}
