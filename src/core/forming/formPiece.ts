import type { Result } from "../result";
import { formCase } from "./formCase";
import { formFold } from "./formFold";
import { formGathered } from "./formGathered";
import { formLargeFold } from "./formLargeFold";
import { formLidded } from "./formLidded";
import { formLined, formPuck } from "./formLined";
import { formPressed } from "./formPressed";
import { formRosette } from "./formRosette";
import { formWrapped } from "./formWrapped";
import { formFault, nameForm, type FormedPiece, type FormFault, type FormRequest } from "./form";

/**
 * Blanks, capacity, seam and drawings of a piece, straight from geometry.
 * @returns The piece, or by how much it cannot be made and what would mend it.
 * @throws {RangeError} If a size is not above 0, or a share is outside 0–1.
 */
export function formPiece(request: FormRequest): Result<FormedPiece, FormFault> {
  const { form, layersMm } = request;
  if (layersMm.length > 0 && form.kind !== "lined" && form.kind !== "puck") {
    return formFault(
      "layersTooHigh",
      `Layers lie level only in a mould; a ${nameForm(form.kind)} holds them beside each other. Give a share of the room instead.`,
    );
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
