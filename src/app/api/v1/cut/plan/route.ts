import { validateCutPlan } from "@/schemas/validate";
import { answerByJob, calculator } from "../../../calculator";
import { refuse } from "../../../readJson";

/** So many cuts in; the sheets for least dough, fewest re-rolls and least time out. */
export const POST = calculator({
  validate: validateCutPlan,
  answer: (document) =>
    answerByJob("planCuts", document, document.budgetMs, (answers) =>
      answers.ok
        ? Response.json(answers.value)
        : refuse([{ path: `demands.${answers.failure.demandId}`, message: answers.failure.message }]),
    ),
});
