import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { createWay, type StepKind, type WayStep } from "../../way";
import { planDay, type DayBook, type DayPlan, type Piece } from "..";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;

type Steps = readonly (readonly [StepKind, Partial<WayStep>?])[];

/** A day of one load of one piece that goes this way, with dough and fillings from nowhere but the day. */
function planOne(pieceId: string, steps: Steps, over: Partial<Piece> = {}, count = 6): DayPlan {
  const piece = monday.pieces.find(({ id }) => id === pieceId)!;
  const book: DayBook = {
    ...monday,
    larder: [],
    pieces: [{ ...piece, spares: 0, vents: { kind: "none", count: 0 }, ...over, way: createWay(steps) }],
    orders: [{ id: "o", dayId: monday.day.id, pieceId, count, dueMin: 1000, customer: "" }],
  };
  const plan = planDay(book);
  expect(plan.problems.filter(({ stops }) => stops)).toEqual([]);
  return plan;
}

/** `fill < roll 0..60, make 0`: every task of the piece with what it waits for, sheets and batches by their kind. */
function tell({ problem, tasks }: DayPlan, pieceId: string): string[] {
  const shorten = (id: string) => {
    const [kind, , , last] = id.split(":");
    return kind === "roll" || kind === "make" ? kind : last ? `${kind}:${last}` : kind;
  };
  const mine = problem!.tasks.filter(({ id }) => id.includes(pieceId) && !id.startsWith("roll"));
  expect(mine.length).toBe(tasks.filter((task) => task.pieceId === pieceId && task.kind !== "roll").length);
  return mine.map(({ id, after }) => {
    const waits = after.map(
      ({ taskId, minWaitMin, maxWaitMin }) =>
        `${shorten(taskId)} ${minWaitMin}${maxWaitMin === null ? "" : `..${maxWaitMin}`}`,
    );
    return `${shorten(id)} < ${[...new Set(waits)].join(", ")}`;
  });
}

const bake = (heatC: number, minutes: number, more: Partial<WayStep> = {}) =>
  ["bake", { heatC, minutes, ...more }] as const;
const none = { wash: { kind: "none", coats: 1, sugar: "none" } } as const;

describe("eight ways, against task lists written by hand", () => {
  it("a closed piece: filled, closed, chilled, baked, cooled", () => {
    const plan = planOne(
      "date-round",
      [
        ["fill"],
        ["gather"],
        ["close"],
        ["turnOver"],
        ["chill", { minutes: 25 }],
        bake(190, 25),
        ["cool", { minutes: 12 }],
        ["setOut"],
      ],
      none,
    );
    expect(tell(plan, "date-round")).toEqual([
      "fill < roll 0..60, make 30",
      "seal < fill 0",
      "bake < seal 25",
      "finish < bake 12",
    ]);
  });

  it("a raw shell, filled at the oven door: lined and filled in one go, at most four minutes before the heat", () => {
    const plan = planOne("custard-cup", [
      ["line"],
      ["trim"],
      ["fill"],
      bake(230, 9, { mostWaitMin: 4 }),
      ["turn"],
      bake(180, 14),
      ["cool", { minutes: 12 }],
      ["unmould"],
      ["setOut"],
    ]);
    expect(tell(plan, "custard-cup")).toEqual([
      "fill < roll 0..75, make 20",
      "bake < fill 0..4",
      "unmould < bake 12",
      "finish < unmould 0",
    ]);
  });

  it("a shell chilled before it is filled: the filling waits for the cold shell", () => {
    const plan = planOne("custard-cup", [
      ["line"],
      ["trim"],
      ["chill", { minutes: 30 }],
      ["fill"],
      bake(210, 14, { mostWaitMin: 4 }),
      ["cool", { minutes: 10 }],
      ["setOut"],
    ]);
    expect(tell(plan, "custard-cup")).toEqual([
      "line < roll 0..75",
      "fill < line 30, make 20",
      "bake < fill 0..4",
      "finish < bake 10",
    ]);
  });

  it("blind baked, weights out, browned, filled and baked lower", () => {
    const plan = planOne("custard-cup", [
      ["line"],
      ["dock"],
      ["chill", { minutes: 20 }],
      ["weightsIn"],
      bake(190, 14),
      ["weightsOut"],
      bake(190, 6),
      ["cool", { minutes: 10 }],
      ["fill"],
      bake(150, 24),
      ["cool", { minutes: 20 }],
      ["setOut"],
    ]);
    expect(tell(plan, "custard-cup")).toEqual([
      "line < roll 0..75",
      "seal < line 20",
      "bake:blind < seal 0",
      "fill < bake:blind 10, make 20",
      "bake < fill 0",
      "finish < bake 20",
    ]);
    const [blind] = plan.tasks.filter(({ id }) => id.endsWith(":blind"));
    // In 2, 14 in the heat, weights out 1, 6 more: the weights leave at the sixteenth minute.
    expect(blind!.steps.map(({ atMin }) => atMin! - blind!.placed.startMin)).toEqual([0, 16, 17]);
  });

  it("baked through and filled cold, out of its mould before", () => {
    const plan = planOne("custard-cup", [
      ["line"],
      bake(190, 20),
      ["cool", { minutes: 8 }],
      ["unmould"],
      ["cool", { minutes: 15 }],
      ["fill"],
      ["setOut"],
    ]);
    expect(tell(plan, "custard-cup")).toEqual([
      "line < roll 0..75",
      "bake < line 0",
      "unmould < bake 8",
      "fill < unmould 0, bake 23, make 20",
      "finish < fill 0",
    ]);
  });

  it("a syrup poured hot: after closing, chilling and washing, boiled just before and at once into the heat", () => {
    const plan = planOne("pear-coat", [
      ["prepare"],
      ["fill"],
      ["bringUp"],
      ["close"],
      ["chill", { minutes: 20 }],
      ["brush"],
      ["warm", { minutes: 5 }],
      ["pourAround"],
      bake(205, 15, { mostWaitMin: 4 }),
      ["turn"],
      bake(175, 30),
      ["cool", { minutes: 30 }],
      ["spoonOver"],
      ["setOut"],
    ]);
    expect(tell(plan, "pear-coat")).toEqual([
      "fill < roll 0..75, make 0",
      "seal:before < fill 0",
      "seal < seal:before 20",
      "warm < make 10",
      "pour < seal 0, warm 5..9",
      "bake < pour 0..4",
      "finish < bake 30",
    ]);
  });

  it("part-baked, pressed down, filled and finished", () => {
    const plan = planOne(
      "lemon-puck",
      [["line"], bake(200, 12), ["pressDown"], ["cool", { minutes: 5 }], ["fill"], bake(200, 12), ["setOut"]],
      { cutAim: "sliced" },
    );
    expect(tell(plan, "lemon-puck")).toEqual([
      "line < roll 0..75",
      "bake:blind < line 0",
      "fill < bake:blind 5, make 20",
      "bake < fill 0",
      "finish < bake 0",
    ]);
    // Pressing down is done to trays that are out: it holds hands, not the oven.
    const blind = plan.problem!.tasks.find(({ id }) => id.endsWith(":blind"))!.modes[0]!;
    const oven = blind.uses.find(({ resourceId }) => resourceId.startsWith("oven:"))!;
    expect([oven.toMin, blind.durationMin]).toEqual([16, 17]);
  });

  it("fried, drained and glazed while warm", () => {
    const plan = planOne(
      "rhubarb-crescent",
      [
        ["fill"],
        ["close"],
        ["fry", { heatC: 180, minutes: 5 }],
        ["drain", { minutes: 2 }],
        ["glaze", { minutes: 10 }],
        ["cool", { minutes: 15 }],
        ["setOut"],
      ],
      { ...none, glaze: { kind: "icing" } },
    );
    expect(tell(plan, "rhubarb-crescent")).toEqual([
      "fill < roll 0..80, make 40",
      "seal < fill 0",
      "fry < seal 0",
      "glaze < fry 2",
      "finish < glaze 10, fry 15",
    ]);
  });
});

test("dough is taken from the cold before it is rolled, by the longest that any piece of it asks for", () => {
  const plan = planOne("date-round", [
    ["takeOut", { minutes: 14 }],
    ["roll"],
    ["cut"],
    ["restFlat", { minutes: 10 }],
    ["fill"],
    ["gather"],
    ["close"],
    ["turnOver"],
    bake(190, 25),
    ["setOut"],
  ]);
  const out = plan.tasks.find(({ kind }) => kind === "takeOut")!;
  for (const roll of plan.tasks.filter(({ kind, index }) => kind === "roll" && index === 1))
    expect(roll.placed.startMin).toBeGreaterThanOrEqual(out.placed.endMin + 14);
  // Rested flat in the cold, it may wait for its filling as long as it likes.
  const fill = plan.problem!.tasks.find(({ id }) => id.startsWith("fill:"))!;
  expect(
    fill.after
      .filter(({ taskId }) => taskId.startsWith("roll:"))
      .every(({ minWaitMin, maxWaitMin }) => minWaitMin === 10 && maxWaitMin === null),
  ).toBe(true);
});

test("what a baker says of a step's hands is what it takes", () => {
  const steps = (handsS: number | null): Steps => [["line", { handsS }], ["fill"], bake(200, 20), ["setOut"]];
  const minutesOf = (handsS: number | null) =>
    planOne("custard-cup", steps(handsS), {}, 12).tasks.find(({ kind }) => kind === "fill")!.handsMin;
  expect(minutesOf(60) - minutesOf(0)).toBeCloseTo(12, 0);
  // Half a minute to line a mould, as the craft has it.
  expect(minutesOf(null) - minutesOf(0)).toBeCloseTo(6, 0);
});
