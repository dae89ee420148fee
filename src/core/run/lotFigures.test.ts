import fc from "fast-check";
import { planDay } from "../plan";
import { causesOf, rankCauses, troubles } from "../remedy";
import { isHeat } from "../way";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import {
  findTrouble,
  foldRun,
  freezeRun,
  mishaps,
  openSheet,
  readLotFigures,
  tellChange,
  toPieceChange,
  type RunEvent,
} from ".";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
let said = 0;
const happens = (atMin: number, taskId: string, event: Record<string, unknown>): RunEvent =>
  ({ id: `h${said++}`, person: 0, deviceId: "wall", atMin, taskId, ...event }) as RunEvent;
const worked = (taskId: string, fromMin: number, toMin: number) => [
  happens(fromMin, taskId, { kind: "begun" }),
  happens(toMin, taskId, { kind: "done" }),
];
const read = (events: readonly RunEvent[], taskId: string) => readLotFigures(sheet, foldRun(events), taskId);
const half = "quince-half-moon";

test("before anything is made a lot has the figures of its plan, and nothing that nobody could know", () => {
  const line = plan.lines.find(({ piece }) => piece.id === half)!;
  const figures = read([], `bake:${half}:1`);
  expect(figures).toEqual({
    marginShare: line.piece.marginMm / line.shaped.seal!.crimp.needsMarginMm,
    plumpness: line.shaped.plumpness,
    ventShare: expect.any(Number) as number,
    // Fourteen of 74 are of the trim.
    rerollShare: expect.closeTo(14 / 74, 9) as number,
    washCoats: 1,
  });
  expect(read([], "mix:bay-shortcrust")).toEqual({});
  expect(read([], "nothing")).toEqual({});
});

test("what was weighed, read and timed of a lot stands beside what was planned, lot by lot", () => {
  const [fill, bake] = [`fill:${half}:1`, `bake:${half}:1`];
  const told = sheet.jobs.find(({ taskId }) => taskId === bake)!;
  const { portionG } = sheet.jobs.find(({ taskId }) => taskId === fill)!.targets;
  const roll = "roll:bay-shortcrust:3.5:sensible:1";
  const window = sheet.jobs.find(({ taskId }) => taskId === roll)!.targets.window!;
  const rest = sheet.problem.tasks
    .find(({ id }) => id === roll)!
    .after.find(({ minWaitMin }) => minWaitMin > 0)!;
  const chill = sheet.problem.tasks
    .find(({ id }) => id === bake)!
    .after.find(({ minWaitMin }) => minWaitMin > 0)!;
  const figures = read(
    [
      ...worked(rest.taskId, 270, 300),
      ...worked(roll, 300 + rest.minWaitMin / 2, 350),
      happens(349, roll, { kind: "measured", measure: "coreC", value: window.highC + 4 }),
      ...[1.1, 1.2].map((share) =>
        happens(370, fill, { kind: "measured", measure: "massG", value: share * portionG! }),
      ),
      ...worked(chill.taskId, 380, 400),
      ...worked(bake, 400 + chill.minWaitMin * 2, 400 + chill.minWaitMin * 2 + 33),
      happens(430, bake, { kind: "measured", measure: "ovenC", value: told.targets.heatC! + 15 }),
    ],
    bake,
  );
  expect(figures).toMatchObject({
    restShare: 0.5,
    doughOffC: 4,
    chillShare: 2,
    ovenOffC: 15,
    bakeShare: 33 / (told.plannedMin - told.slackMin),
  });
  expect(figures.portionShare).toBeCloseTo(1.15, 9);
  expect(figures.portionSpread).toBeCloseTo(Math.SQRT1_2 / 10, 9);
  // The other lot knows nothing of it but what they share: the dough of its own sheets is another.
  const other = read([...worked(bake, 430, 463)], `bake:${half}:2`);
  expect(other).not.toHaveProperty("bakeShare");
  // Twenty above its setting for the minutes of the plan: the oven did it.
  const [first] = rankCauses("burnt", { ...figures, bakeShare: 1 }).causes;
  expect(first!.id).toBe("hot");
});

test("an oven that was set lower on the way is held against its end", () => {
  const market = toDayBook(toTable(listDemoWorld()), "2026-12-05", null)!;
  const frozen = freezeRun(planDay(market), market)!;
  const falling = frozen.jobs.find(({ targets }) => targets.endC !== null && targets.endC < targets.heatC!)!;
  const read = happens(500, falling.taskId, {
    kind: "measured",
    measure: "ovenC",
    value: falling.targets.endC! + 3,
  });
  expect(readLotFigures(frozen, foldRun([read]), falling.taskId).ovenOffC).toBe(3);
  // Kept before ends were told, a sheet knows its beginning only.
  const old = JSON.parse(JSON.stringify(frozen), (key, value: unknown) =>
    key === "endC" ? undefined : value,
  ) as object;
  const opened = openSheet(JSON.stringify(old)).jobs.find(({ taskId }) => taskId === falling.taskId)!;
  expect(opened.targets.endC).toBe(falling.targets.heatC);
});

test("whatever is told, every figure of every lot is a number", () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          job: fc.constantFrom(...sheet.jobs),
          atMin: fc.integer({ min: 200, max: 700 }),
          kind: fc.constantFrom("begun", "done", "measured"),
          measure: fc.constantFrom("massG", "coreC", "ovenC", "oilC"),
          value: fc.integer({ min: 0, max: 300 }),
        }),
        { maxLength: 40 },
      ),
      fc.constantFrom(...sheet.jobs),
      (told, { taskId }) => {
        const events = told.map(({ job, atMin, ...event }) => happens(atMin, job.taskId, event));
        for (const value of Object.values(read(events, taskId))) expect(Number.isFinite(value)).toBe(true);
      },
    ),
  );
});

test("each trouble of the face has its causes but what has none in the making", () => {
  for (const mishap of mishaps) {
    const trouble = findTrouble(mishap, { kind: "bake" });
    if (mishap === "dropped" || mishap === "other") expect(trouble).toBeNull();
    else expect(causesOf[trouble!].length).toBeGreaterThan(1);
  }
  expect(findTrouble("burnt", { kind: "fry" })).toBe("friedRaw");
});

test("every remedy of every piece is told with what is now, and is what its fields then say", () => {
  for (const trouble of troubles)
    for (const { change } of causesOf[trouble])
      for (const { id, now } of sheet.pieces) {
        const piece = book.pieces.find((each) => each.id === id)!;
        const { text, isForNow } = tellChange(change, now!);
        expect(text).not.toMatch(/NaN|undefined|null/);
        const set = toPieceChange(change, piece);
        // What can be made so from the next load on has a field, but for a wash where there is none.
        if (isForNow && !(change.kind === "washCoats" && piece.wash.kind === "none"))
          expect(set).not.toBeNull();
        const after = { ...piece, ...set };
        if (change.kind === "bakeC" && set)
          expect(after.way.filter(isHeat).map(({ heatC }) => heatC)).toEqual(
            piece.way.filter(isHeat).map(({ heatC }) => heatC! + change.byC),
          );
        if (change.kind === "bakeMin") {
          const sum = (way: typeof piece.way) =>
            way.filter(isHeat).reduce((all, { minutes }) => all + minutes, 0);
          expect(Math.abs(sum(after.way) - sum(piece.way) * (1 + change.byShare))).toBeLessThanOrEqual(1);
        }
        if (change.kind === "plumpness")
          expect(after.plumpness).toBeCloseTo(Math.min(piece.plumpness + change.by, 1), 9);
      }
});
