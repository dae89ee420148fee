/** Runs once when the server starts: the data file is opened and migrated, and a copy is made of it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { startUp } = await import("./app/startUp");
  startUp();
}
