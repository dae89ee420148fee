import fc from "fast-check";
import { mergeIngredients, standardIngredients } from "../formula";
import { NO_PAST, planDay } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { freezeRun, openSheet, summariseRun, sumDays, type RunEvent } from ".";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const plan = planDay({ ...book, past: NO_PAST });
const sheet = freezeRun(plan, book)!;
const half = "quince-half-moon";
const startOf = new Map(sheet.placed.map(({ taskId, startMin }) => [taskId, startMin]));
let said = 0;
const tell = (atMin: number, event: object): RunEvent =>
  ({ id: `s${said++}`, person: 0, deviceId: "wall", atMin, ...event }) as RunEvent;
const worked = (longerMin: number): RunEvent[] =>
  sheet.jobs.flatMap(({ taskId, plannedMin }) => [
    tell(startOf.get(taskId)!, { kind: "begun", taskId }),
    tell(startOf.get(taskId)! + plannedMin + longerMin, { kind: "done", taskId }),
  ]);

test("a day at a glance: planned and real, made, lost and sold, by piece", () => {
  const lost = tell(700, {
    ...{ kind: "wrong", taskId: `fill:${half}:1`, mishap: "dropped", count: 3, word: "", isLost: true },
  });
  const events = [
    ...worked(2),
    lost,
    tell(701, {
      kind: "wrong",
      taskId: `bake:${half}:1`,
      mishap: "leaked",
      count: 2,
      word: "",
      isLost: false,
    }),
    tell(900, { kind: "sold", pieceId: half, count: 60 }),
    tell(901, { kind: "closed" }),
  ];
  const day = summariseRun(sheet, events);
  expect(day).toMatchObject({ isClosed: true, isLeftOut: false, jobs: sheet.jobs.length });
  expect(day.endMin).toBe(day.plannedEndMin + 2);
  const piece = day.pieces.find(({ pieceId }) => pieceId === half)!;
  const line = plan.lines.find((each) => each.piece.id === half)!;
  expect(piece).toMatchObject({ ordered: line.counts.ordered, planned: line.counts.made, sold: 60, lost: 3 });
  expect(piece.made).toBe(line.counts.made - 3);
  expect(piece.faults).toEqual({ dropped: 3, leaked: 2 });
  expect(piece.tookMin - piece.plannedMin).toBeCloseTo(
    2 * sheet.jobs.filter(({ pieceId }) => pieceId === half).length,
    9,
  );
  expect(summariseRun(sheet, events.slice(0, 20)).endMin).toBeNull();
});

test("what goes into the pieces is what the batches cost, by the grams that each takes", () => {
  const batches = [...plan.doughs, ...plan.fillings];
  const boughtMinor = batches.reduce(
    (sum, { formula, batch, neededG }) =>
      sum + (batch ? (plan.analyses[formula.id]!.costMinor * batch.scale * neededG) / batch.usableG : 0),
    0,
  );
  const packOf = new Map(
    mergeIngredients(standardIngredients, book.ingredients).map(({ id, pack }) => [id, pack]),
  );
  const besidesMinor = plan.materials.reduce((sum, { ingredientId, massG }) => {
    const pack = packOf.get(ingredientId ?? "");
    return sum + (pack ? (massG * pack.priceMinor) / pack.massG : 0);
  }, 0);
  expect(besidesMinor).toBeGreaterThan(0);
  const toldMinor = sumDays([summariseRun(sheet, [])]).ingredientsMinor;
  expect(toldMinor).toBeGreaterThan(0);
  expect(Math.abs(toldMinor / (boughtMinor + besidesMinor) - 1)).toBeLessThan(0.02);
});

test("sums add up, day by day and piece by piece; nothing sold is a loss, nobody said is none", () => {
  const dayOf = (sold: number | null) =>
    summariseRun(sheet, sold === null ? [] : [tell(900, { kind: "sold", pieceId: half, count: sold })]);
  fc.assert(
    fc.property(fc.array(fc.option(fc.integer({ min: 0, max: 74 })), { maxLength: 6 }), (sales) => {
      const days = sales.map(dayOf);
      const whole = sumDays(days);
      const parts = sheet.pieces.map(({ id }) => sumDays(days, id));
      for (const field of ["made", "sold", "lost", "ingredientsMinor", "lostMinor", "tookMin"] as const)
        expect(parts.reduce((sum, each) => sum + each[field], 0)).toBeCloseTo(whole[field], 6);
      expect(whole.trimG).toBeCloseTo(days.length * sheet.costs.trimG, 6);
      const each = sumDays([dayOf(null)], half).ingredientsMinor / 74;
      const unsold = sales.reduce<number>((sum, sold) => sum + (sold === null ? 0 : 74 - sold), 0);
      expect(whole.lostMinor).toBeCloseTo(each * unsold, 6);
    }),
    { numRuns: 30, seed: 4 },
  );
});

test("a sheet of before costs were told opens, and costs nothing", () => {
  const { costs, ...former } = sheet;
  expect(costs.pieces.length).toBeGreaterThan(0);
  const opened = openSheet(JSON.stringify(former));
  expect(sumDays([summariseRun(opened, [])])).toMatchObject({ ingredientsMinor: 0, trimG: 0 });
});
