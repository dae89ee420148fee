import { validateSchedule } from "./scheduleDocument";

const holds = (resourceId: string, amount = 1) => ({ resourceId, fromMin: 0, toMin: 10, amount });
const task = (id: string, after: string[] = [], uses = [holds("hands")]) => ({
  id,
  modes: [{ durationMin: 10, uses }],
  after: after.map((taskId) => ({ taskId })),
});
const problem = (tasks: unknown[]) => ({ openMin: 0, resources: [{ id: "hands", isHands: true }], tasks });

test.each([
  ["a wait for nobody", [task("a", ["ghost"])], "no task “ghost”"],
  ["a machine that is not there", [task("a", [], [holds("oven")])], "no resource “oven”"],
  ["more than there is", [task("a", [], [holds("hands", 3)])], "2 more than there is"],
  ["a use beyond the task's end", [task("a", [], [{ ...holds("hands"), toMin: 14 }])], "4 min beyond"],
  ["a circle", [task("a", ["c"]), task("b", ["a"]), task("c", ["b"])], "waits for itself"],
  ["two of one name", [task("a"), task("a")], "duplicate"],
])("%s is refused and named", (_name, tasks, words) => {
  const refused = validateSchedule(problem(tasks));
  expect(refused.ok ? "" : refused.failure.map(({ message }) => message).join()).toContain(words);
});

test("what is left out is filled in", () => {
  const document = validateSchedule(problem([task("a"), task("b", ["a"])]));
  expect(document).toMatchObject({
    ok: true,
    value: {
      budgetMs: 1000,
      tasks: [{ weight: 1, dueMin: null }, { after: [{ minWaitMin: 0, maxWaitMin: null }] }],
    },
  });
});

test.each([
  ["a hold of nothing", { resourceId: "shelf" }, "no resource “shelf”"],
  ["a hold of a heater", { resourceId: "oven" }, "heated"],
  ["more than there is", { amount: 3 }, "2 more than there is"],
  ["a hold for nobody", { until: { taskId: "ghost", edge: "end" } }, "no task “ghost”"],
  [
    "a hold that ends before it begins",
    { from: { taskId: "b", edge: "start" }, until: { taskId: "a", edge: "end" } },
    "“a” does not wait for “b”",
  ],
  ["a hold of no length", { until: { taskId: "a", edge: "start" } }, "“a” does not wait"],
])("%s is refused and named", (_name, over, words) => {
  const hold = {
    resourceId: "mould",
    from: { taskId: "a", edge: "end" },
    until: { taskId: "b", edge: "start" },
    ...over,
  };
  const heater = { restC: 20, heatUpCPerMin: 5, coolDownCPerMin: 5 };
  const document = {
    openMin: 0,
    resources: [{ id: "hands", isHands: true }, { id: "mould" }, { id: "oven", heater }],
    tasks: [task("a"), task("b", ["a"])],
    holds: [hold],
  };
  const refused = validateSchedule(document);
  expect(refused.ok ? "" : refused.failure.map(({ message }) => message).join()).toContain(words);
});
