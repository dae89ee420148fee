import { validateRun } from "@/schemas/runEvents";
import { answerByJob, calculator } from "../../calculator";

/** A whole day's problem with all that happened on it, bytes. */
const MAX_RUN_BYTES = 2_000_000;

/** A frozen plan and its events in; where the day stands, how the rest will go and what to do now out. Nothing is stored. */
export const POST = calculator({
  validate: validateRun,
  maxBytes: MAX_RUN_BYTES,
  answer: (document) => answerByJob("retimeRun", document, null, (run) => Response.json(run)),
});
