import { validateFry } from "@/schemas/heatCalculators";
import { answerByJob, calculator } from "../../calculator";
import { refuse } from "../../readJson";
import { sayFailure } from "@/core/words";

/** A bath of oil and a load in; the dip, the recovery, the largest load and the curve out. */
export const POST = calculator({
  validate: validateFry,
  answer: (document) =>
    answerByJob("fry", document, null, (fried) =>
      fried.ok ? Response.json(fried.value) : refuse([{ path: "bath", message: sayFailure(fried.failure) }]),
    ),
});
