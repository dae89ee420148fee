import type { Result } from "../result";
import { formCase } from "./formCase";
import { formFold } from "./formFold";
import { formLidded } from "./formLidded";
import { formRosette } from "./formRosette";
import type { FormedPiece, FormFault, FormRequest } from "./form";

/**
 * Blanks, capacity, seam and drawings of a piece, straight from geometry.
 * @returns The piece, or by how much it cannot be made and what would mend it.
 * @throws {RangeError} If a size is not above 0, or a share is outside 0–1.
 */
export function formPiece(request: FormRequest): Result<FormedPiece, FormFault> {
  const { form } = request;
  switch (form.kind) {
    case "lidded":
      return formLidded({ ...request, form });
    case "case":
      return formCase({ ...request, form });
    case "rosette":
      return formRosette({ ...request, form });
    default:
      return formFold(form.kind, request);
  }
}
