import { validateLayout } from "@/schemas/validate";
import { layOut } from "../../../layOut";
import { readJson, refuse } from "../../../readJson";

/** Sheet, outline, web and margin in; count, placements and bound out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateLayout(body.value);
  if (!document.ok) return refuse(document.failure);
  const layout = layOut(document.value);
  return layout.ok ? Response.json(layout.value) : refuse([{ path: "sheet", message: layout.failure }]);
}
