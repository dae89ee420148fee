import { because, fail, ok, type Result } from "../result";
import { computeAreaMm2, describeOutline, scaleOutline, type Point } from "../shape";
import { computeFoldGeometry, type FoldGeometry } from "./foldGeometry";
import { completeForm, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { formatLength } from "../units";

/** Slices of the integral along the fold; the trapezium rule's error at this count is below 0.01 %. */
const SLICES = 2000;
/** Points along the rounded end of a section, for drawing. */
const END_POINTS = 24;

/**
 * A large round with the filling spread level over one half and folded over it, baked whole and cut to serve. In each
 * slice across the fold the filled section is a level bed with rounded ends: of inner perimeter P and height s its
 * area is Ps/2 − πs²/4, from nothing to the full circle, P²/4π, at s = P/π. Near the ends of the fold the bed thins to
 * what the dough there still closes over.
 */
export function formLargeFold(request: RequestOf<"largeFold">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, marginMm } = request;
  const settled = scaleOutline(cut, 1 - springBackShare);
  const geometry = computeFoldGeometry("halfMoon", settled);
  if (!geometry) {
    return fail(because("wrongOutline", { form: "largeFold", cut, isOval: false }));
  }
  const settledThicknessMm = thicknessMm / (1 - springBackShare) ** 2;
  const depthMm = geometry.depthMm - marginMm;
  const perimeterMm = innerPerimeterMm(depthMm, settledThicknessMm);
  if (depthMm <= 0 || perimeterMm <= 0) {
    return fail(because("largeFoldTooSmall", { marginMm, depthMm: geometry.depthMm }));
  }
  const mostSpreadMm = perimeterMm / Math.PI;
  if (form.spreadMm > mostSpreadMm) {
    return fail(because("spreadTooThick", { spreadMm: form.spreadMm, mostMm: mostSpreadMm }));
  }
  const capacityMl = integrateMl(geometry, marginMm, settledThicknessMm, form.spreadMm);
  const archShare = (perimeterMm - bedMm(perimeterMm, form.spreadMm)) / perimeterMm;
  const rimMm2 = geometry.seamMm * marginMm;
  const radiusMm = geometry.depthMm;
  const cuts = Array.from({ length: form.servings - 1 }, (_, i): Point[] => {
    const at = (Math.PI * (i + 1)) / form.servings;
    return [
      [0, 0],
      [radiusMm * Math.cos(at), radiusMm * Math.sin(at)],
    ];
  });
  return ok(
    completeForm({
      kind: "largeFold",
      blanks: [{ role: "blank", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm,
      capacityMl,
      mostMl: integrateMl(geometry, marginMm, settledThicknessMm, Infinity),
      seamMm: geometry.seamMm,
      marginMm,
      footprint: geometry.box,
      washMm2: Math.max(computeAreaMm2(settled) - 2 * rimMm2, 0) * archShare + rimMm2,
      section: drawSection(perimeterMm, form.spreadMm, settledThicknessMm, marginMm),
      fromAbove: { edge: geometry.edgePoints, inner: cuts, seam: "along" },
      steps: [
        { text: `the ${describeOutline(cut)} cut relaxes to`, figure: describeOutline(settled) },
        {
          text: `spread ${formatLength(form.spreadMm, 2)} thick inside the margin`,
          figure: `${capacityMl.toFixed(0)} ml`,
        },
        {
          text: `cut into ${form.servings} from the middle of the fold, each`,
          figure: `${(180 / form.servings).toFixed(0)}°, ${(capacityMl / form.servings).toFixed(0)} ml`,
        },
      ],
    }),
  );
}

/** Fold and way round the inside of the bend, as in any fold. */
const innerPerimeterMm = (depthMm: number, thicknessMm: number) => 2 * depthMm - Math.PI * thicknessMm;

/** What lies on the tray: the bed between its rounded ends. */
const bedMm = (perimeterMm: number, spreadMm: number) => (perimeterMm - Math.PI * spreadMm) / 2;

function integrateMl(
  geometry: FoldGeometry,
  marginMm: number,
  thicknessMm: number,
  spreadMm: number,
): number {
  const halfMm = geometry.filledHalfMm(marginMm);
  const stepMm = (2 * halfMm) / SLICES;
  let mm3 = 0;
  // The ends hold nothing, so the trapezium rule is the plain sum between them.
  for (let i = 1; i < SLICES; i++) {
    const depthMm = geometry.filledDepthMm(-halfMm + i * stepMm, marginMm);
    const perimeterMm = Math.max(innerPerimeterMm(depthMm, thicknessMm), 0);
    const highMm = Math.min(spreadMm, perimeterMm / Math.PI);
    mm3 += ((perimeterMm * highMm) / 2 - (Math.PI * highMm ** 2) / 4) * stepMm;
  }
  return mm3 / 1000;
}

/** The bed with rounded ends in an even skin of dough, and the clean margin beside it. */
function drawSection(perimeterMm: number, spreadMm: number, t: number, marginMm: number) {
  const bed = bedMm(perimeterMm, spreadMm);
  const middleY = t + spreadMm / 2;
  const around = (radiusMm: number): Point[] =>
    [
      { x: bed, from: -Math.PI / 2 },
      { x: 0, from: Math.PI / 2 },
    ].flatMap(({ x, from }) =>
      Array.from({ length: END_POINTS + 1 }, (_, i) => {
        const at = from + (Math.PI * i) / END_POINTS;
        return [x + radiusMm * Math.cos(at), middleY + radiusMm * Math.sin(at)] as const;
      }),
    );
  const floor = spreadMm + 2 * t;
  const right = bed + spreadMm / 2;
  const margin: Point[] = [
    [right, floor - 2 * t],
    [right + t + marginMm, floor - 2 * t],
    [right + t + marginMm, floor],
    [bed, floor],
  ];
  return {
    dough: [around(spreadMm / 2 + t), margin],
    filling: [around(spreadMm / 2)],
    solids: [],
    widthMm: bed + spreadMm + 2 * t + marginMm,
    heightMm: floor,
  };
}
