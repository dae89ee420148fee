import { validateCooling } from "@/schemas/heatCalculators";
import { answerByJob, calculator } from "../../calculator";

/** A warm piece in; when its core is at 60, 21 and 5 °C, and whether the usual cooling rule is kept, out. */
export const POST = calculator({
  validate: validateCooling,
  answer: (document) => answerByJob("coolPiece", document, null, (cooled) => Response.json(cooled)),
});
