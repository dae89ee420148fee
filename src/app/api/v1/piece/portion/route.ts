import { dividePortion } from "@/core/filling";
import { formPiece } from "@/core/forming";
import { validatePortion } from "@/schemas/pieceCalculators";
import { readJson, refuse } from "../../../readJson";

/** A form and all that goes in it in; each filling's portion in every measure out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validatePortion(body.value);
  if (!document.ok) return refuse(document.failure);
  const { extras, fillingId, fillings } = document.value;
  const layersMm = extras.flatMap((extra) => (extra.kind === "layer" ? [extra.heightMm] : []));
  const formed = formPiece({ ...document.value, layersMm });
  if (!formed.ok) return refuse([{ path: "form", message: formed.failure.message }]);
  const { capacityMl, mostMl, steps } = formed.value;
  const divided = dividePortion(
    formed.value,
    fillingId,
    extras,
    (id) => fillings.find((filling) => filling.id === id)?.densityGPerMl,
  );
  if (!divided.ok) return refuse([{ path: "extras", message: divided.failure.message }]);
  return Response.json({ capacityMl, mostMl, ...divided.value, why: steps });
}
