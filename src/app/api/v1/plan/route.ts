import { validateDayBook } from "@/schemas/validate";
import { answerByJob, calculator } from "../../calculator";

/** A day of a thousand orders is a tenth of it, bytes. */
const MAX_DAY_BYTES = 1_000_000;

/** One self-contained day in, its plan out; nothing is stored. */
export const POST = calculator({
  validate: validateDayBook,
  maxBytes: MAX_DAY_BYTES,
  answer: (book) => answerByJob("planDay", book, null, (plan) => Response.json(plan)),
});
