import { improveSchedule } from "@/core/schedule";
import { createRandom } from "@/core/seededRandom";
import { validateSchedule } from "@/schemas/scheduleDocument";
import { readJson, refuse } from "../../readJson";

/** The general problem in; the best schedule found within the budget, its bound and gap out. Nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJson(request);
  if (!body.ok) return body.failure;
  const document = validateSchedule(body.value);
  if (!document.ok) return refuse(document.failure);
  const { budgetMs, seed, ...problem } = document.value;
  const endsAt = performance.now() + budgetMs;
  const found = improveSchedule(problem, {
    random: createRandom(seed),
    isOver: () => performance.now() >= endsAt,
  });
  return Response.json({ ...found, gap: Number.isFinite(found.gap) ? found.gap : null });
}
