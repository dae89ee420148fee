import { findDataFile, findMigrationsFolder } from "@/data/getStore";
import { runJob } from "@/jobs/pool";
import { readHealth } from "../../health";

/** The server's own threads answer a question of nothing by then, or they hang, ms. */
const THREAD_END_MS = 5000;

/** Whether the bench is well: 200 if it is, 503 with what is not. Names no path and nobody. */
export async function GET(): Promise<Response> {
  // Of no days nothing is weighed: all that is asked is whether a thread takes it. A busy road is one that works.
  const answered = await runJob("weighDays", [], THREAD_END_MS).catch(() => null);
  const areThreadsAlive = answered !== null && (answered.ok || answered.failure.kind === "busy");
  const health = readHealth({
    ...{ dataFile: findDataFile(), migrationsFolder: findMigrationsFolder() },
    ...{ now: new Date(), areThreadsAlive },
  });
  return Response.json(health, {
    status: health.isWell ? 200 : 503,
    headers: { "cache-control": "no-store" },
  });
}
