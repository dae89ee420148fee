import { findTaught, listDayFigures } from "@/core/run";
import { knowBefore } from "../../../../../knowBefore";
import { loadRun } from "../../../../../loadRun";
import { stored } from "../../../../stored";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/**
 * What a day's run taught: each habit of which it has a figure, before it and after it, the one that moved most first. A
 * day that was never run taught nothing.
 */
export const GET = stored(async (_: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const run = loadRun(date);
  if (!run) return Response.json({ taught: [] });
  const past = knowBefore(run);
  return Response.json({ taught: findTaught(past, listDayFigures(run.sheet, run.events)) });
});
