import type { DayPlan } from "@/core/plan";

/** A plan as the server has worked it out, and which state of the file it is the plan of. */
interface ServersPlan {
  readonly state: string | null;
  readonly plan: DayPlan;
}

declare global {
  interface Window {
    /** What `toFirstPlanScript` has asked for: the plan of the day that this page was opened on. */
    tezgahFirstPlan?: { readonly date: string; readonly reply: Promise<ServersPlan | null> };
  }
}

const toPlanPath = (date: string): string => `/api/bench/plan/${date}`;

/**
 * What the head of a day's page runs: it asks for the plan and reads it while the application is still on its way,
 * or the page would draw its first plan a tenth of a second later. Says what `readPlan` says.
 */
export const toFirstPlanScript = (date: string): string => `window.tezgahFirstPlan={
  date:${JSON.stringify(date)},
  reply:fetch(${JSON.stringify(toPlanPath(date))}).then(async(answer)=>answer.ok?{
    state:answer.headers.get("x-tezgah-state"),
    plan:await new Response(answer.body.pipeThrough(new DecompressionStream("gzip"))).json()
  }:null).catch(()=>null)}`;

/** The server's plan of a day if it is of this state; null if it has none. What the page's head has asked for is used once. */
export async function fetchPlan(date: string, state: string): Promise<DayPlan | null> {
  const early = window.tezgahFirstPlan;
  delete window.tezgahFirstPlan;
  const told = await (early?.date === date ? early.reply : readPlan(date));
  return told?.state === state ? told.plan : null;
}

async function readPlan(date: string): Promise<ServersPlan | null> {
  const answer = await fetch(toPlanPath(date));
  if (!answer.ok || !answer.body) return null;
  const text = answer.body.pipeThrough(new DecompressionStream("gzip"));
  return {
    state: answer.headers.get("x-tezgah-state"),
    plan: (await new Response(text).json()) as DayPlan,
  };
}
