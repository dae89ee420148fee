import { planDay } from "@/core/plan";
import { validateDayBook } from "@/schemas/validate";
import { readJson, refuse } from "../../readJson";

/** One self-contained day in, its plan out; nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const book = validateDayBook(body.value);
  return book.ok ? Response.json(planDay(book.value)) : refuse(book.failure);
}
