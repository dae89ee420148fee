import { validatePlacedTemplate } from "@/schemas/validate";
import { readMeasures } from "../../measures";
import { calculator } from "../calculator";
import { stored } from "../stored";
import { writeTemplate } from "../writeTemplate";

/** Thousands of placed cuts, bytes. */
const MAX_TEMPLATE_BYTES = 1_000_000;

/** Placed cuts in, as a screen shows them; the template out. */
export const POST = stored(
  calculator({
    validate: validatePlacedTemplate,
    maxBytes: MAX_TEMPLATE_BYTES,
    answer: (document) => writeTemplate(document, document, readMeasures()),
  }),
);
