import { findTelling, rankCauses } from "@/core/remedy";
import { validateRemedy } from "@/schemas/remedyDocument";
import { calculator } from "../../calculator";

/** A trouble and what stands on record of its lot in; its causes, ranked, and what would tell most, out. Nothing is stored. */
export const POST = calculator({
  validate: validateRemedy,
  answer: ({ trouble, figures }) =>
    Response.json({ ...rankCauses(trouble, figures), telling: findTelling(trouble, figures) }),
});
