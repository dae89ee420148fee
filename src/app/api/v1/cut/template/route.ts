import { validateTemplate } from "@/schemas/validate";
import { layOut } from "../../../layOut";
import { readJson, refuse } from "../../../readJson";
import { writeTemplate } from "../../../writeTemplate";

/** A sheet and what to cut from it in; a template at true size out, as PDF, SVG or DXF. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateTemplate(body.value);
  if (!document.ok) return refuse(document.failure);
  const layout = layOut(document.value);
  if (!layout.ok) return refuse([{ path: "sheet", message: layout.failure }]);
  return writeTemplate({ ...document.value, parts: layout.value.parts }, document.value);
}
