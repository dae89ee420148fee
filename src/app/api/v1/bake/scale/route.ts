import { validateBakeScale } from "@/schemas/heatCalculators";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";

/** A known bake and another in; the other's minutes with their range, and its curve, out. */
export const POST = calculator({
  validate: validateBakeScale,
  answer: (document) =>
    answerByJob("scaleBake", document, null, (scaled) =>
      scaled.ok ? Response.json(scaled.value) : refuse([{ path: "known", message: scaled.failure.message }]),
    ),
});
