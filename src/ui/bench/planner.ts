import type { DayPlan } from "@/core/plan";
import type { DayInput, PlanClient } from "@/workers/createPlanClient";

export type PlannerState =
  /** The plan shown is that of what is shown. */
  | { readonly kind: "current" }
  /** It is being worked out; what is shown is the one before. */
  | { readonly kind: "working" }
  /** It could not be worked out; edits are kept and saved all the same. */
  | { readonly kind: "failed"; readonly message: string };

/**
 * Plans off the main thread, the newest input only.
 * @param report - Called with each state, and with a plan when there is a new one.
 */
export function createPlanner(
  client: PlanClient,
  report: (state: PlannerState, plan: DayPlan | null) => void,
) {
  let asked = 0;

  async function run(input: DayInput): Promise<void> {
    const mine = ++asked;
    const isNewest = () => mine === asked;
    report({ kind: "working" }, null);
    try {
      const plan = await client.run(input);
      if (plan && isNewest()) report({ kind: "current" }, plan);
    } catch (error) {
      if (!isNewest()) return;
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
      client.close();
    },
  };
}

export type Planner = ReturnType<typeof createPlanner>;
