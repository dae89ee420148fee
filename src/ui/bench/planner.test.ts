import { planDay, type DayPlan, NO_PAST } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook, type DayGround } from "@/schemas/toDayBook";
import type { DayInput, PlanClient } from "@/workers/createPlanClient";
import { createPlanner, type PlannerState } from "./planner";

const ground: DayGround = { formulasThen: [], past: NO_PAST };
const input: DayInput = { date: "2026-11-27", table: listDemoRecords(), nowMin: null, ground, shown: null };
const plan = planDay(toDayBook(input.table, input.date, null)!);

/** Clients whose answers the test gives. */
function open(answers: readonly (() => Promise<DayPlan | null> | "die")[]) {
  const said: [PlannerState["kind"], boolean][] = [];
  const made: PlanClient[] = [];
  let asked = 0;
  const planner = createPlanner(
    () => {
      let dead = false;
      const client: PlanClient = {
        run: () => {
          const answer = answers[Math.min(asked++, answers.length - 1)]!();
          if (answer !== "die") return answer;
          dead = true;
          return Promise.reject(new Error("out of memory"));
        },
        isDead: () => dead,
        close: () => {},
      };
      made.push(client);
      return client;
    },
    (state, shown) => said.push([state.kind, shown !== null]),
  );
  return { planner, said, made };
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

test("a worker that died is replaced and asked again; one that dies every time is given up and said", async () => {
  const once = open([() => "die", good]);
  once.planner.run(input);
  await settled();
  expect([once.made.length, once.said.at(-1)]).toEqual([2, ["current", true]]);

  const always = open([() => "die"]);
  always.planner.run(input);
  await settled();
  expect([always.made.length, always.said.at(-1)]).toEqual([3, ["failed", false]]);
});

test("a plan that cannot be worked out is said as the planner's, and the next edit is planned all the same", async () => {
  const { planner, said, made } = open([() => Promise.reject(new RangeError("a bug")), good]);
  planner.run(input);
  await settled();
  expect(said.at(-1)).toEqual(["failed", false]);
  planner.run(input);
  await settled();
  expect([said.at(-1), made.length]).toEqual([["current", true], 1]);
});
