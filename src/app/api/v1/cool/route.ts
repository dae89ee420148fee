import { coolPiece } from "@/core/heat";
import { validateCooling } from "@/schemas/heatCalculators";
import { readJson, refuse } from "../../readJson";

/** A warm piece in; when its core is at 60, 21 and 5 °C, and whether the usual cooling rule is kept, out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateCooling(body.value);
  return document.ok ? Response.json(coolPiece(document.value)) : refuse(document.failure);
}
