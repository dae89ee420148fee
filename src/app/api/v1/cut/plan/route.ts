import { craftHandTimes, planCuts } from "@/core/cutting";
import { validateCutPlan } from "@/schemas/validate";
import { readJson, refuse } from "../../../readJson";

/** So many cuts in; the sheets for least dough, fewest re-rolls and least time out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateCutPlan(body.value);
  if (!document.ok) return refuse(document.failure);
  const answers = planCuts({ ...document.value, handTimes: craftHandTimes });
  return answers.ok
    ? Response.json(answers.value)
    : refuse([{ path: `demands.${answers.failure.demandId}`, message: answers.failure.message }]);
}
