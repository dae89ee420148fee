import { because, fail, ok, type Result } from "../result";
import { computeBox, scaleOutline, toContour, type Point } from "../shape";
import { completeForm, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { PRODUCE_G_PER_ML } from "./produce";
import { formatLength } from "../units";

/** A filling is spread along the strip so thick at plumpness 1, mm: more is pressed out as it is rolled. */
const THICKEST_SPREAD_MM = 3;

/**
 * A strip with slices overlapped along it, half over its edge; the strip is folded up over them and rolled. The roll
 * is as wide as its layers need: length · (two layers of dough, slice, filling) is the area of the rolled disc.
 */
export function formRosette(request: RequestOf<"rosette">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, plumpness, marginMm } = request;
  if (cut.kind !== "rectangle") {
    return fail(because("wrongOutline", { form: "rosette", cut, isOval: false }));
  }
  const stays = 1 - springBackShare;
  const settledThicknessMm = thicknessMm / stays ** 2;
  const strip = computeBox(scaleOutline(cut, stays));
  const [lengthMm, widthMm] = [
    Math.max(strip.widthMm, strip.heightMm),
    Math.min(strip.widthMm, strip.heightMm),
  ];
  const spreadMm = THICKEST_SPREAD_MM * plumpness;
  const layerMm = 2 * settledThicknessMm + form.sliceThicknessMm + spreadMm;
  const rolledMm = Math.sqrt((4 * lengthMm * layerMm) / Math.PI);
  if (rolledMm > form.cavityMm) {
    const mostStripMm = (Math.PI * form.cavityMm ** 2) / (4 * layerMm) / stays;
    return fail(
      because("tooLargeForCavity", { stripMm: lengthMm, rolledMm, cavityMm: form.cavityMm, mostStripMm }),
    );
  }
  const stepMm = form.sliceMm * (1 - form.overlapShare);
  const slices = Math.max(Math.floor((lengthMm - form.sliceMm) / stepMm) + 1, 1);
  const spread = (atMm: number) => (lengthMm * Math.max(widthMm / 2 - marginMm, 0) * atMm) / 1000;
  const highMm = widthMm / 2 + form.sliceMm / 2;
  const turns = Math.floor(rolledMm / 2 / layerMm);
  const ring = (radiusMm: number) => toContour({ kind: "disc", diameterMm: 2 * radiusMm });
  const layers = Array.from(
    { length: Math.max(turns, 1) },
    (_, i) => (rolledMm / 2) * (1 - i / Math.max(turns, 1)),
  );
  const wall = (xMm: number): Point[] => [
    [xMm - settledThicknessMm, form.sliceMm / 2],
    [xMm, form.sliceMm / 2],
    [xMm, highMm],
    [xMm - settledThicknessMm, highMm],
  ];
  const slice = (xMm: number): Point[] => [
    [xMm, 0],
    [xMm + form.sliceThicknessMm, 0],
    [xMm + form.sliceThicknessMm, highMm - settledThicknessMm],
    [xMm, highMm - settledThicknessMm],
  ];
  return ok(
    completeForm({
      kind: "rosette",
      blanks: [{ role: "strip", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm,
      capacityMl: spread(spreadMm),
      mostMl: spread(THICKEST_SPREAD_MM),
      seamMm: 0,
      marginMm,
      footprint: { widthMm: form.cavityMm, heightMm: form.cavityMm },
      washMm2: rolledMm * Math.PI * (widthMm / 2),
      solids: [
        {
          name: "thin slice",
          count: slices,
          eachMl: ((Math.PI * form.sliceMm ** 2) / 4 / 1000) * form.sliceThicknessMm,
          gPerMl: PRODUCE_G_PER_ML,
        },
      ],
      section: {
        dough: layers.flatMap((radiusMm) => [wall(radiusMm), wall(settledThicknessMm - radiusMm)]),
        filling: [],
        solids: layers.flatMap((radiusMm) => [
          slice(radiusMm - settledThicknessMm - form.sliceThicknessMm),
          slice(settledThicknessMm - radiusMm),
        ]),
        widthMm: rolledMm,
        heightMm: highMm,
      },
      fromAbove: { edge: ring(rolledMm / 2), inner: layers.slice(1).map(ring), seam: "none" },
      steps: [
        {
          text: `slices of ${formatLength(form.sliceMm, 2)}, each over ${Math.round(form.overlapShare * 100)} % of the last`,
          figure: `${slices} on a strip`,
        },
        {
          text: `rolled from ${formatLength(lengthMm, 0)} in layers of ${formatLength(layerMm, 1)}`,
          figure: `${formatLength(rolledMm, 0)} across`,
        },
        { text: "room in the cavity", figure: formatLength(form.cavityMm - rolledMm, 0) },
      ],
    }),
  );
}
