import { planDay, type DayBook, type DayPlan } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { freezeRun, type JobSheet, type RunSheet } from ".";

const days = ["2026-11-28", "2026-11-30", "2026-12-05"].map((date) => {
  const book = toDayBook(toTable(listDemoWorld()), date, null)!;
  const plan = planDay(book);
  return { book, plan, sheet: freezeRun(plan, book)! };
});
type Frozen = { book: DayBook; plan: DayPlan; sheet: RunSheet };
const each = (check: (job: JobSheet, task: DayPlan["tasks"][number], day: Frozen) => void) =>
  days.forEach((day) => day.sheet.jobs.forEach((job, i) => check(job, day.plan.tasks[i]!, day)));
const figure = (job: JobSheet, what: string) => job.figures.find((each) => each.what.startsWith(what))?.value;

test("every job of every demo day has a name of its own, a figure, and knows what its piece looks like", () => {
  each((job, task, { sheet }) => {
    expect(job.taskId).toBe(task.id);
    expect(job.title).not.toBe("");
    expect(job.figures.length).toBeGreaterThan(0);
    for (const { value, what } of job.figures) {
      expect(`${value} ${what}`).not.toMatch(/NaN|undefined|Infinity|null/);
      expect(value.length).toBeLessThanOrEqual(12);
    }
    if (job.drawing && job.drawing.kind !== "sheet")
      expect(sheet.pieces.map(({ id }) => id)).toContain(job.drawing.pieceId);
  });
  for (const { sheet } of days) {
    const rolls = sheet.jobs.filter(({ drawing }) => drawing?.kind === "sheet");
    const names = rolls.map(({ title, about }) => `${title} ${about}`);
    expect(new Set(names).size).toBe(names.length);
  }
});

test("what is rolled, weighed and baked is what the plan says", () => {
  each((job, task, { plan }) => {
    const cut = plan.cuts.find(({ id }) => id === task.cutId);
    if (job.drawing?.kind === "sheet") {
      const { rolledTo, count } = cut!.plan.sheets[task.index - 1]!;
      expect(figure(job, "mm, rolled")).toBe(
        `${Math.round(rolledTo.widthMm)} × ${Math.round(rolledTo.heightMm)}`,
      );
      expect(figure(job, "to cut")).toBe(String(count));
    }
    const batch = [...plan.doughs, ...plan.fillings].find(
      ({ formula }) => formula.id === task.formulaId,
    )?.batch;
    if (job.weighing.length > 0)
      expect(job.weighing.reduce((sum, { line }) => sum + line.massG, 0)).toBeCloseTo(batch!.weighedG, 6);
    if (task.kind === "mix") expect(job.weighing.length).toBeGreaterThan(0);
    if (task.kind === "fill" && job.figures.some(({ what }) => what === "each")) {
      const line = plan.lines.find(({ piece }) => piece.id === task.pieceId)!;
      expect(
        line.shaped.parts.some(({ portion }) =>
          figure(job, "each")!.startsWith(String(Math.round(portion.massG))),
        ),
      ).toBe(true);
    }
  });
  // A half-moon's 26 minutes at 200 °C, written for still air, in the still two-deck oven.
  const bake = days[0]!.sheet.jobs.find(({ taskId }) => taskId.startsWith("bake:quince-half-moon"))!;
  expect(bake.figures.slice(0, 2).map(({ value }) => value)).toEqual(["200 °C", "26 min"]);
  expect(bake.looks).toEqual({
    lookFor: ["it is golden all over"],
    more: expect.objectContaining({ minutes: expect.any(Number) }),
  });
  expect(days[0]!.sheet.jobs.find(({ kind }) => kind === "fry")!.cautions.join()).toContain("Hot oil");
});

test("a job knows in what its pieces stand before it", () => {
  const standsOf = (start: string, day = days[0]!) =>
    day.sheet.jobs.find(({ taskId }) => taskId.startsWith(start))!.stands;
  expect(standsOf("bake:quince-half-moon")).toEqual([{ name: "Chill", lookFor: "the fat is hard again" }]);
  expect(standsOf("finish:quince-half-moon").map(({ name }) => name)).toEqual(["Cool"]);
  expect(standsOf("fill:quince-half-moon")).toEqual([]);
});

test("a frozen day is one document: written and read again it is the same, and small", () => {
  for (const { sheet } of days) {
    const text = JSON.stringify(sheet);
    expect(JSON.parse(text)).toEqual(sheet);
    expect(text.length).toBeLessThan(1_000_000);
    expect(sheet.machines.length).toBeGreaterThan(0);
  }
});

test("a day with nothing to do cannot be run", () => {
  const { book } = days[0]!;
  const empty = { ...book, orders: [] };
  expect(freezeRun(planDay(empty), empty)).toBeNull();
});
