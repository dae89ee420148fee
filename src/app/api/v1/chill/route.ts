import { computeReadiness } from "@/core/heat";
import { validateChill } from "@/schemas/calculators";
import { readJson, refuse } from "../../readJson";

/** A piece of dough and its kitchen in; when it can be rolled, for how long, and its curves out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateChill(body.value);
  return document.ok ? Response.json(computeReadiness(document.value)) : refuse(document.failure);
}
