import { lookAtHealth } from "../../health";

/** Whether the bench is well: 200 if it is, 503 with what is not. Names no path and nobody. */
export async function GET(): Promise<Response> {
  const health = await lookAtHealth();
  return Response.json(health, {
    status: health.isWell ? 200 : 503,
    headers: { "cache-control": "no-store" },
  });
}
