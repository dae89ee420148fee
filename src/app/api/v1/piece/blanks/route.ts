import { formPiece } from "@/core/forming";
import { computeAreaMm2, outerOutline } from "@/core/shape";
import { sayFailure } from "@/core/words";
import { validateBlanks } from "@/schemas/pieceCalculators";
import { calculator } from "../../../calculator";
import { refuse } from "../../../readJson";

/** A form, its cut and its dough in; blanks with their mass, finished size, seam, trim and drawings out. */
export const POST = calculator({
  validate: validateBlanks,
  answer(document) {
    const { thicknessMm, densityGPerMl } = document;
    const formed = formPiece(document);
    if (!formed.ok) return refuse([{ path: "form", message: sayFailure(formed.failure) }]);
    const toG = (mm2: number) => (mm2 * thicknessMm * densityGPerMl) / 1000;
    const blanks = formed.value.blanks.map((blank) => ({
      ...blank,
      massG: toG(computeAreaMm2(blank.keepsCentre ? outerOutline(blank.cut) : blank.cut)),
    }));
    return Response.json({ ...formed.value, blanks, trimG: formed.value.trimMl * densityGPerMl });
  },
});
