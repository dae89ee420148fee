import { validateSchedule } from "@/schemas/scheduleDocument";
import { answerByJob, calculator } from "../../calculator";

/** Hundreds of tasks with their ways and waits, bytes. */
const MAX_PROBLEM_BYTES = 1_000_000;

/** The general problem in; the best schedule found within the budget, its bound and gap out. Nothing is stored. */
export const POST = calculator({
  validate: validateSchedule,
  maxBytes: MAX_PROBLEM_BYTES,
  answer: (document) =>
    answerByJob("improveSchedule", document, document.budgetMs, (found) =>
      Response.json({ ...found, gap: Number.isFinite(found.gap) ? found.gap : null }),
    ),
});
