import { computeYield, craftHandTimes, planYield } from "@/core/cutting";
import { validateYield } from "@/schemas/validate";
import { readJson, refuse } from "../../../readJson";

/** So much dough in; how many cuts it makes, the range a hand lands in, and the sheets out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateYield(body.value);
  if (!document.ok) return refuse(document.failure);
  const yieldRequest = { ...document.value, handTimes: craftHandTimes };
  return Response.json({ ...computeYield(yieldRequest), plan: planYield(yieldRequest) });
}
