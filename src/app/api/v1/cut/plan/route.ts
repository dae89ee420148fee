import { validateCutPlan } from "@/schemas/validate";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";
import { sayFailure } from "@/core/words";

/** So many cuts in; the sheets for least dough, fewest re-rolls and least time out. */
export const POST = calculator({
  validate: validateCutPlan,
  answer: (document) =>
    answerByJob("planCuts", document, document.budgetMs, (answers) =>
      answers.ok
        ? Response.json(answers.value)
        : refuse([
            { path: `demands.${answers.failure.figures.demandId}`, message: sayFailure(answers.failure) },
          ]),
    ),
});
