import { validateChill } from "@/schemas/calculators";
import { answerByJob, calculator } from "../../calculator";

/** A piece of dough and its kitchen in; when it can be rolled, for how long, and its curves out. */
export const POST = calculator({
  validate: validateChill,
  answer: (document) =>
    answerByJob("computeReadiness", document, null, (readiness) => Response.json(readiness)),
});
