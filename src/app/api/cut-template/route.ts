import { validatePlacedTemplate } from "@/schemas/validate";
import { readJson, refuse } from "../readJson";
import { writeTemplate } from "../writeTemplate";

/** Placed cuts in, as a screen shows them; the template out. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validatePlacedTemplate(body.value);
  return document.ok ? writeTemplate(document.value, document.value) : refuse(document.failure);
}
