import { validateYield } from "@/schemas/validate";
import { answerByJob, calculator } from "../../../calculator";

/** So much dough in; how many cuts it makes, the range a hand lands in, and the sheets out. */
export const POST = calculator({
  validate: validateYield,
  answer: (document) =>
    answerByJob("computeYield", document, document.budgetMs, (made) => Response.json(made)),
});
