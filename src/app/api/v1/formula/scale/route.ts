import { scaleBy } from "@/core/formula";
import { sayFailure } from "@/core/words";
import { validateScale } from "@/schemas/calculators";
import { calculator } from "../../../calculator";
import { refuse } from "../../../readJson";

/** A formula and what to scale it by in; the lines to weigh out. */
export const POST = calculator({
  validate: validateScale,
  answer({ formula, to, eggSize }) {
    const scaled = scaleBy(formula, to, eggSize);
    return scaled.ok
      ? Response.json(scaled.value)
      : refuse([{ path: "to", message: sayFailure(scaled.failure) }]);
  },
});
