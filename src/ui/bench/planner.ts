import type { DayPlan } from "@/core/plan";
import type { DayInput, PlanClient } from "@/workers/createPlanClient";

export type PlannerState =
  /** The plan shown is that of what is shown. */
  | { readonly kind: "current" }
  /** It is being worked out; what is shown is the one before. */
  | { readonly kind: "working" }
  /** It could not be worked out; edits are kept and saved all the same. */
  | { readonly kind: "failed"; readonly message: string };

/** A worker that died is replaced so often before it is said, counted from its last plan. */
const MAX_DEATHS = 2;

/**
 * Plans off the main thread, the newest input only. A worker that died is replaced, and told everything anew.
 * @param report - Called with each state, and with a plan when there is a new one.
 */
export function createPlanner(
  createClient: () => PlanClient,
  report: (state: PlannerState, plan: DayPlan | null) => void,
) {
  let client: PlanClient | null = null;
  let deaths = 0;
  let asked = 0;

  async function run(input: DayInput): Promise<void> {
    const mine = ++asked;
    const isNewest = () => mine === asked;
    report({ kind: "working" }, null);
    client ??= createClient();
    const mineClient = client;
    try {
      const plan = await mineClient.run(input);
      deaths = 0;
      if (plan && isNewest()) report({ kind: "current" }, plan);
    } catch (error) {
      if (mineClient.isDead() && client === mineClient) {
        mineClient.close();
        client = null;
      }
      if (!isNewest()) return;
      if (mineClient.isDead() && ++deaths <= MAX_DEATHS) return run(input);
      const reason = error instanceof Error ? error.message : String(error);
      report(
        {
          kind: "failed",
          message: `The plan could not be worked out (${reason}). What you typed is kept. Undo the last change, or reload.`,
        },
        null,
      );
    }
  }
  return {
    run: (input: DayInput): void => void run(input),
    close(): void {
      asked++;
      client?.close();
      client = null;
    },
  };
}

export type Planner = ReturnType<typeof createPlanner>;
