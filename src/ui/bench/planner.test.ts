import { planDay, type DayPlan, NO_PAST } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook, type DayGround } from "@/schemas/toDayBook";
import type { DayInput, PlanClient } from "@/workers/createPlanClient";
import { createPlanner, type PlannerState } from "./planner";

const ground: DayGround = { formulasThen: [], past: NO_PAST, closed: null };
const input: DayInput = { date: "2026-11-27", table: listDemoRecords(), nowMin: null, ground, shown: null };
const plan = planDay(toDayBook(input.table, input.date, null)!);

/** A client whose answers the test gives. */
function open(answers: readonly (() => Promise<DayPlan | null>)[]) {
  const said: [PlannerState["kind"], boolean][] = [];
  let asked = 0;
  const client: PlanClient = {
    run: () => answers[Math.min(asked++, answers.length - 1)]!(),
    close: () => {},
  };
  const planner = createPlanner(client, (state, shown) => said.push([state.kind, shown !== null]));
  return { planner, said };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));
const good = () => Promise.resolve(plan);

test("a plan is shown when it comes, and only that of the newest input", async () => {
  let finish: (plan: DayPlan) => void = () => {};
  const slow = () => new Promise<DayPlan>((resolve) => (finish = resolve));
  const { planner, said } = open([slow, good]);
  planner.run(input);
  planner.run(input);
  await settled();
  finish(plan);
  await settled();
  expect(said).toEqual([
    ["working", false],
    ["working", false],
    ["current", true],
  ]);
});

test("a plan that cannot be worked out is said as the planner's, and the next edit is planned all the same", async () => {
  const { planner, said } = open([() => Promise.reject(new RangeError("a bug")), good]);
  planner.run(input);
  await settled();
  expect(said.at(-1)).toEqual(["failed", false]);
  planner.run(input);
  await settled();
  expect(said.at(-1)).toEqual(["current", true]);
});
