import { scaleBy } from "@/core/formula";
import { validateScale } from "@/schemas/calculators";
import { readJson, refuse } from "../../../readJson";

/** A formula and what to scale it by in; the lines to weigh out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateScale(body.value);
  if (!document.ok) return refuse(document.failure);
  const { formula, to, eggSize } = document.value;
  const scaled = scaleBy(formula, to, eggSize);
  return scaled.ok ? Response.json(scaled.value) : refuse([{ path: "to", message: scaled.failure }]);
}
