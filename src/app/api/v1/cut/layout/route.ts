import { validateLayout } from "@/schemas/validate";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";
import { sayFailure } from "@/core/words";

/** Sheet, outline, web and margin in; count, placements and bound out. */
export const POST = calculator({
  validate: validateLayout,
  // Of tens of thousands of cuts the text is made where they are found: handed over one by one, pages waited for them.
  answer: (document) =>
    answerByJob("layOutAsText", document, document.budgetMs, (layout) =>
      layout.ok
        ? new Response(layout.value, { headers: { "content-type": "application/json" } })
        : refuse([{ path: "sheet", message: sayFailure(layout.failure) }]),
    ),
});
