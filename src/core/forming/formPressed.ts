import { because, fail, ok, type Result } from "../result";
import { describeOutline, scaleOutline } from "../shape";
import { computeFold } from "./computeFold";
import { completeForm, roundUpCut, type FormedPiece, type RequestOf } from "./form";
import type { FormFailure } from "./formFailure";
import { drawFoldSection, washMm2OfFold } from "./formFold";
import { formatLength } from "../units";

/** A round laid in a hinged press and closed: a half-moon of the press's own size; what stands out of it comes off. */
export function formPressed(request: RequestOf<"pressed">): Result<FormedPiece, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, marginMm, plumpness } = request;
  if (cut.kind !== "disc") {
    return fail(because("wrongOutline", { form: "pressed", cut, isOval: false }));
  }
  const stays = 1 - springBackShare;
  const settledMm = cut.diameterMm * stays;
  if (settledMm < form.pressMm - 1e-9) {
    const neededMm = roundUpCut(form.pressMm / stays);
    return fail(because("pressNotReached", { pressMm: form.pressMm, settledMm, neededMm }));
  }
  const settledThicknessMm = thicknessMm / stays ** 2;
  const pressed = computeFold({
    form: "halfMoon",
    cut: { kind: "disc", diameterMm: form.pressMm },
    thicknessMm: settledThicknessMm,
    springBackShare: 0,
    marginMm,
    plumpness,
  });
  if (!pressed.ok) return pressed;
  const fold = pressed.value;
  const trimMl = ((Math.PI / 4) * (settledMm ** 2 - form.pressMm ** 2) * settledThicknessMm) / 1000;
  return ok(
    completeForm({
      kind: "pressed",
      blanks: [{ role: "blank", cut, isVisible: true, keepsCentre: false }],
      settledThicknessMm,
      capacityMl: fold.capacityMl,
      mostMl: fold.mostMl,
      trimMl,
      seamMm: fold.seamMm,
      marginMm,
      footprint: fold.footprint,
      washMm2: washMm2OfFold(fold, marginMm),
      section: drawFoldSection(fold.section, settledThicknessMm, marginMm),
      fromAbove: { edge: fold.edgePoints, inner: [], seam: "along" },
      steps: [
        {
          text: `the ${describeOutline(cut)} cut relaxes to`,
          figure: describeOutline(scaleOutline(cut, stays)),
        },
        {
          text: `the press of ${formatLength(form.pressMm, 2)} takes off all round`,
          figure: formatLength((settledMm - form.pressMm) / 2, 1),
        },
        { text: "blown up round it would hold", figure: `${fold.mostMl.toFixed(1)} ml` },
      ],
    }),
  );
}
