import { once } from "node:events";
import { Worker } from "node:worker_threads";
import { widenYoungSpace, YOUNG_SPACE_MB } from "./youngSpace";

/** Keeps some thousand cuts, and tells how many megabytes new objects may take by then. */
const FILL = `
  const { parentPort } = require("node:worker_threads");
  const { getHeapSpaceStatistics } = require("node:v8");
  const kept = [];
  for (let at = 0; at < 10_000; at++) kept.push({ xMm: at * 1.1, yMm: at * 2.3, turnDeg: 0.5 });
  const young = getHeapSpaceStatistics().find(({ space_name }) => space_name === "new_space");
  parentPort.postMessage(kept.length && young.space_size / 2 ** 20);
`;

async function readYoungMb(resourceLimits: { maxYoungGenerationSizeMb: number }): Promise<number> {
  const thread = new Worker(FILL, { eval: true, resourceLimits });
  const [youngMb] = (await once(thread, "message")) as [number];
  await thread.terminate();
  return youngMb;
}

test("a thread has its room for new objects from the start, not once it has moved them", async () => {
  const limits = widenYoungSpace();
  expect(await readYoungMb(limits)).toBeGreaterThanOrEqual(YOUNG_SPACE_MB);
  // A thread's own limits hold it to less.
  const half = { maxYoungGenerationSizeMb: limits.maxYoungGenerationSizeMb / 2 };
  expect(await readYoungMb(half)).toBeLessThan(YOUNG_SPACE_MB);
});
