import { dividePortion } from "@/core/filling";
import { formPiece } from "@/core/forming";
import { sayFailure } from "@/core/words";
import { validatePortion } from "@/schemas/pieceCalculators";
import { calculator } from "../../../calculator";
import { refuse } from "../../../readJson";

/** A form and all that goes in it in; each filling's portion in every measure out. */
export const POST = calculator({
  validate: validatePortion,
  answer(document) {
    const { extras, fillingId, fillings } = document;
    const layersMm = extras.flatMap((extra) => (extra.kind === "layer" ? [extra.heightMm] : []));
    const formed = formPiece({ ...document, layersMm });
    if (!formed.ok) return refuse([{ path: "form", message: sayFailure(formed.failure) }]);
    const { capacityMl, mostMl, steps } = formed.value;
    const divided = dividePortion(
      formed.value,
      fillingId,
      extras,
      (id) => fillings.find((filling) => filling.id === id)?.densityGPerMl,
    );
    if (!divided.ok) return refuse([{ path: "extras", message: sayFailure(divided.failure) }]);
    return Response.json({ capacityMl, mostMl, ...divided.value, why: steps });
  },
});
