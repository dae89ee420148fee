import { scaleBake } from "@/core/heat";
import { validateBakeScale } from "@/schemas/heatCalculators";
import { readJson, refuse } from "../../../readJson";

/** A known bake and another in; the other's minutes with their range, and its curve, out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateBakeScale(body.value);
  if (!document.ok) return refuse(document.failure);
  const scaled = scaleBake(document.value.known, document.value.other);
  return scaled.ok
    ? Response.json(scaled.value)
    : refuse([{ path: "known", message: scaled.failure.message }]);
}
