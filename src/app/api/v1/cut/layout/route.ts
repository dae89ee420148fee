import { validateLayout } from "@/schemas/validate";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";
import { sayFailure } from "@/core/words";

/** Sheet, outline, web and margin in; count, placements and bound out. */
export const POST = calculator({
  validate: validateLayout,
  answer: (document) =>
    answerByJob("layOut", document, document.budgetMs, (layout) =>
      layout.ok
        ? Response.json(layout.value)
        : refuse([{ path: "sheet", message: sayFailure(layout.failure) }]),
    ),
});
