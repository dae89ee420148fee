import { validateBakeScale } from "@/schemas/heatCalculators";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";
import { sayFailure } from "@/core/words";

/** A known bake and another in; the other's minutes with their range, and its curve, out. */
export const POST = calculator({
  validate: validateBakeScale,
  answer: (document) =>
    answerByJob("scaleBake", document, null, (scaled) =>
      scaled.ok
        ? Response.json(scaled.value)
        : refuse([{ path: "known", message: sayFailure(scaled.failure) }]),
    ),
});
