import { runJob } from "@/jobs/pool";
import { validateTemplate } from "@/schemas/validate";
import { calculator, refuseJob } from "../../../calculator";
import { refuse } from "../../../readJson";
import { writeTemplate } from "../../../writeTemplate";
import { metricMeasures } from "@/core/units";
import { sayFailure } from "@/core/words";

/** Past its budget a search is ended after so long, ms. */
const GRACE_MS = 5000;

/** A sheet and what to cut from it in; a template at true size out, as PDF, SVG or DXF. */
export const POST = calculator({
  validate: validateTemplate,
  async answer(document) {
    const done = await runJob("layOut", document, document.budgetMs + GRACE_MS);
    if (!done.ok) return refuseJob(done.failure);
    const layout = done.value;
    if (!layout.ok) return refuse([{ path: "sheet", message: sayFailure(layout.failure) }]);
    return writeTemplate({ ...document, parts: layout.value.parts }, document, metricMeasures);
  },
});
