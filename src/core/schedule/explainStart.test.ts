import { constructSchedule, explainStart, type ScheduleTask } from ".";
import { bake, hands, oven, wait, work } from "./testDay";

const why = (tasks: readonly ScheduleTask[], taskId: string, openMin = 0) => {
  const problem = { holds: [], resources: [hands, oven], openMin, tasks };
  return explainStart(problem, constructSchedule(problem), taskId);
};

test("a task that waits names what it waits for, one whose hands are busy names who has them", () => {
  const tasks = [
    work("mix", 15),
    work("roll", 10, [wait("mix", 30)]),
    bake("bake", 24, 200, [wait("roll", 20)], 540),
  ];
  expect(why(tasks, "roll")).toMatchObject({ hold: { kind: "wait", taskId: "mix" }, freeMin: 0 });
  const two = [work("one", 30, [], 100), work("other", 30, [wait("one", 0)], 130)];
  expect(why([...two, work("third", 20, [], 150)], "third")).toMatchObject({
    hold: { kind: "resource", resourceId: "hands", taskId: "other" },
    freeMin: 0,
  });
});

test("a load that waits for another heat counts the change of temperature", () => {
  const tasks = [bake("hot", 20, 220, [], 600), bake("mild", 20, 180, [wait("hot")], 700)];
  const reason = why(tasks, "mild")!;
  // 40 °C down at 4 a minute.
  expect(reason.hold.notBeforeMin).toBeGreaterThanOrEqual(610 - 20 - 20 + 20);
  expect(reason.hold).toMatchObject({ kind: "resource", resourceId: "oven" });
});

test("what could start sooner says by how much, and nothing is said of what is not there", () => {
  const reason = why([work("only", 10, [], 600)], "only", 240)!;
  expect(reason).toEqual({
    hold: { kind: "opening", taskId: null, resourceId: null, notBeforeMin: 240 },
    freeMin: 350,
  });
  expect(why([work("only", 10, [], 600)], "ghost")).toBeNull();
});
