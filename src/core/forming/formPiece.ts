import { because, fail, type Result } from "../result";
import { formCase } from "./formCase";
import { formFold } from "./formFold";
import { formGathered } from "./formGathered";
import { formLargeFold } from "./formLargeFold";
import { formLidded } from "./formLidded";
import { formLined, formPuck } from "./formLined";
import { formPressed } from "./formPressed";
import { formRosette } from "./formRosette";
import { formWrapped } from "./formWrapped";
import type { FormedPiece, FormRequest } from "./form";
import type { FormFailure } from "./formFailure";

/**
 * Blanks, capacity, seam and drawings of a piece, straight from geometry.
 * @returns The piece, or by how much it cannot be made and what would mend it.
 * @throws {RangeError} If a size is not above 0, or a share is outside 0–1.
 */
export function formPiece(request: FormRequest): Result<FormedPiece, FormFailure> {
  const { form, layersMm } = request;
  if (layersMm.length > 0 && form.kind !== "lined" && form.kind !== "puck") {
    return fail(because("layersNotLevel", { form: form.kind }));
  }
  switch (form.kind) {
    case "lidded":
      return formLidded({ ...request, form });
    case "case":
      return formCase({ ...request, form });
    case "rosette":
      return formRosette({ ...request, form });
    case "largeFold":
      return formLargeFold({ ...request, form });
    case "wrapped":
      return formWrapped({ ...request, form });
    case "gathered":
      return formGathered({ ...request, form });
    case "lined":
      return formLined({ ...request, form });
    case "puck":
      return formPuck({ ...request, form });
    case "pressed":
      return formPressed({ ...request, form });
    default:
      return formFold(form.kind, request);
  }
}
