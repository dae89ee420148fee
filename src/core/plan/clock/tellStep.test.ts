import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { listClockRows, listClockSteps, planDay, sayClockStep, tellStep } from "..";

const book = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const plan = planDay(book);
const lineOf = (id: string) => plan.lines.find(({ piece }) => piece.id === id)!;
const tell = (id: string, kind: string, at = 0) => {
  const line = lineOf(id);
  const step = line.piece.way.filter((each) => each.kind === kind)[at]!;
  return tellStep(step, line.piece, line.shaped, line, book);
};

test("a step says what is done with the figures of its piece", () => {
  expect(tell("pear-coat", "roll")).toMatchObject({ name: "Roll", detail: "to 4 mm" });
  expect(tell("pear-coat", "cut").detail).toBe("168 mm square");
  expect(tell("pear-coat", "pourAround").detail).toMatch(/^Cardamom syrup \d+ g in each of 2 pans$/);
  expect(tell("tahini-tartlet", "dropIn").detail).toBe("5 whole hazelnuts");
  expect(tell("chestnut-pie", "line").detail).toBe("Oval pie moulds");
  expect(tell("tahini-tartlet", "spread").detail).toMatch(/^Quince jam \d+/);
});

test("a heat is told in the kitchen's own marks; the second one is baking on, lower if it is", () => {
  expect(tell("custard-cup", "bake")).toMatchObject({ name: "Bake", detail: "230 °C, 9 min" });
  expect(tell("custard-cup", "bake", 1).name).toBe("Lower the heat, bake on");
  expect(tell("lemon-puck", "bake", 1).name).toBe("Bake on");
  const line = lineOf("custard-cup");
  const step = line.piece.way.find(({ kind }) => kind === "bake")!;
  const inMarks = (ovenScale: "fahrenheit" | "gas") =>
    tellStep(step, line.piece, line.shaped, line, { ...book, kitchen: { ...book.kitchen, ovenScale } })
      .detail;
  expect([inMarks("fahrenheit"), inMarks("gas")]).toEqual(["446 °F, 9 min", "gas 8, 9 min"]);
});

test("what this baker looks for stands in place of the usual", () => {
  expect(tell("custard-cup", "fill").lookFor).toBe("strained, poured almost to the top");
  expect(tell("pear-coat", "pourAround").caution).toMatch(/^Pour away/);
});

test("a piece that cannot be made still tells its way", () => {
  const { piece } = lineOf("pear-coat");
  for (const step of piece.way) expect(tellStep(step, piece, null, null, book).name).not.toBe("");
});

test("every step of the day's loads is told under one job, the door's with a minute inside it", () => {
  for (const { piece, loading } of plan.lines)
    loading.loads.forEach((_, i) => {
      const tasks = plan.tasks.filter(
        (task) => task.pieceId === piece.id && task.index === i + 1 && task.kind !== "roll",
      );
      const told = tasks.flatMap(({ steps }) => steps.map(({ stepId }) => stepId));
      expect(new Set(told).size).toBe(told.length);
      for (const task of tasks)
        for (const step of listClockSteps(task, plan, book)) {
          if (step.atMin === null) continue;
          expect(step.atMin).toBeGreaterThanOrEqual(task.placed.startMin);
          expect(step.atMin).toBeLessThanOrEqual(task.placed.endMin);
          expect(sayClockStep(step)).toMatch(/^\d\d:\d\d /);
        }
    });
  // Later loads go as the first: the sheet does not say again what goes piece by piece.
  for (const { id, steps } of listClockRows(plan, book))
    if (/^(fill|seal):.*:[2-9]$/.test(id)) expect(steps).toEqual([]);
});
