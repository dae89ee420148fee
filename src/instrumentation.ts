import type { Instrumentation } from "next";

/** Something broke while a page or an answer was made: told in the log, without what was typed. */
export const onRequestError: Instrumentation.onRequestError = async (error, _request, { routePath }) => {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { listFrames, log } = await import("./app/log");
  const kind = error instanceof Error ? error.name : typeof error;
  log({ event: "failed", route: routePath, kind, at: listFrames(error) });
};

/** Runs once when the server starts: the data file is opened and migrated, and a copy is made of it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { startUp } = await import("./app/startUp");
  startUp();
}
