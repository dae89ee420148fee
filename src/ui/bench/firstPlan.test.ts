/** @jest-environment jsdom */
import { gzipSync } from "node:zlib";
import { fetchPlan, toFirstPlanScript } from "./firstPlan";

const STATE = "epoch/7/ahead";
const PLAN = { tally: { ready: 48 } };

/** What of the web this environment lacks, and a server that has one plan; every request is counted. */
function openPlanServer() {
  const asked: string[] = [];
  const answer = () => ({
    ok: true,
    headers: new Map([["x-tezgah-state", STATE]]),
    body: { pipeThrough: () => gzipSync(JSON.stringify(PLAN)) },
  });
  class Inflated {
    json = async () => PLAN;
  }
  Object.assign(globalThis, { Response: Inflated, DecompressionStream: class {} });
  globalThis.fetch = (async (path: string) => {
    asked.push(path);
    return answer();
  }) as unknown as typeof fetch;
  return asked;
}

/** As the browser does it with a script of the page's head. */
const runHead = (date: string) => new Function(toFirstPlanScript(date))();

describe("the first plan of a page", () => {
  it("is what the head has asked for, and is asked for once", async () => {
    const asked = openPlanServer();
    runHead("2026-12-05");
    expect(await fetchPlan("2026-12-05", STATE)).toEqual(PLAN);
    expect(asked).toEqual(["/api/bench/plan/2026-12-05"]);
  });

  it("is asked for anew the second time, or the page would show a plan of long ago", async () => {
    const asked = openPlanServer();
    runHead("2026-12-05");
    await fetchPlan("2026-12-05", STATE);
    await fetchPlan("2026-12-05", STATE);
    expect(asked).toHaveLength(2);
  });

  it("is another request for another day", async () => {
    const asked = openPlanServer();
    runHead("2026-12-05");
    expect(await fetchPlan("2026-12-06", STATE)).toEqual(PLAN);
    expect(asked).toEqual(["/api/bench/plan/2026-12-05", "/api/bench/plan/2026-12-06"]);
  });

  it("is not used if it is the plan of another state of the file", async () => {
    openPlanServer();
    runHead("2026-12-05");
    expect(await fetchPlan("2026-12-05", "epoch/8/ahead")).toBeNull();
  });

  it("is none if the head's request fails", async () => {
    openPlanServer();
    globalThis.fetch = () => Promise.reject(new Error("no network"));
    runHead("2026-12-05");
    expect(await fetchPlan("2026-12-05", STATE)).toBeNull();
  });
});
