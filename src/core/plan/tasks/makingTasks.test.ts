import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { createMaking, type Filling, type Making } from "../../formula";
import { listClockRows, planDay, type DayBook, type DayPlan } from "..";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const PIECE = "date-round";

/** A day of one piece whose filling is made so. */
function bookWith(making: Making, larder: DayBook["larder"] = []): DayBook {
  const piece = monday.pieces.find(({ id }) => id === PIECE)!;
  return {
    ...monday,
    larder,
    pieces: [piece],
    formulas: monday.formulas.map((formula) =>
      formula.id === piece.fillingId ? ({ ...formula, making } as Filling) : formula,
    ),
    orders: [{ id: "o", dayId: monday.day.id, pieceId: PIECE, count: 80, dueMin: 1000, customer: "" }],
  };
}
const planWith = (...given: Parameters<typeof bookWith>): DayPlan => planDay(bookWith(...given));

/** `strain < make 6`: what is done to the filling, and what its first use waits for. */
function tell({ problem }: DayPlan): string[] {
  const shorten = (id: string) => id.replace(":date-and-sesame", "").replace(`:${PIECE}`, "");
  return problem!.tasks
    .filter(({ id }) => /^(precook|make|warm|fill)/.test(id))
    .map(({ id, after }) => {
      const waits = after
        .filter(({ taskId, from }) => !/^(roll|seal|fill)/.test(taskId) && from !== "start")
        .map(({ taskId, minWaitMin, maxWaitMin }) =>
          [shorten(taskId), `${minWaitMin}${maxWaitMin === null ? "" : `..${maxWaitMin}`}`].join(" "),
        );
      return waits.length > 0 ? `${shorten(id)} < ${waits.join(", ")}` : shorten(id);
    });
}

test("cooked apart, put together, cooked, strained and cooled: each a task that waits for the one before", () => {
  const plan = planWith(
    createMaking([
      ["cookPart", { name: "Dates", handsMin: 4, minutes: 12 }],
      ["cool", { minutes: 10 }],
      ["make", { handsMin: 8 }],
      ["cook", { handsMin: 3, minutes: 6 }],
      ["strain", { handsMin: 3 }],
      ["cool", { minutes: 40 }],
    ]),
  );
  expect(tell(plan)).toEqual([
    "precook:m1",
    "make < precook:m1 22",
    "make:m5 < make 6",
    "fill:1 < make:m5 40",
    "fill:2 < make:m5 40",
  ]);
  expect(plan.tasks.filter(({ kind }) => kind === "make").map(({ label }) => label)).toEqual([
    "Make Date and sesame",
    "Strain date and sesame",
  ]);
});

test("warmed and stirred smooth for each lot, minutes before it goes in, and not kept longer than it stays so", () => {
  const use = [
    ["warm", { handsMin: 2, minutes: 3 }],
    ["loosen", { handsMin: 1 }],
  ] as const;
  const plan = planWith(createMaking([["make", { handsMin: 8 }], ["cool", { minutes: 40 }], ...use]));
  expect(tell(plan)).toEqual(
    [
      "make",
      "warm:1:date-and-sesame < make 40",
      "fill:1 < warm:1:date-and-sesame 3..7",
      "warm:2:date-and-sesame < make 40",
      "fill:2 < warm:2:date-and-sesame 3..7",
    ].map((line) => line.replaceAll(":date-and-sesame", "")),
  );
  const [warm] = plan.tasks.filter(({ kind }) => kind === "warm");
  expect(warm).toMatchObject({
    handsMin: 3,
    station: "fill",
    label: expect.stringMatching(/^Warm, stir smooth date and sesame, for/),
  });
  const kept = planWith(createMaking([["make"], ...use, ["keepHot", { minutes: 15 }]]));
  expect(tell(kept)).toContain("fill:1 < warm:1 3..18");
});

test("what is only stirred smooth for each lot is not hot: it may wait, and is told by its name though it takes no time", () => {
  const plan = planWith(createMaking([["make"], ["cool"], ["loosen", { handsMin: 0 }]]));
  expect(tell(plan)).toContain("fill:1 < warm:1 0");
  expect(plan.tasks.find(({ kind }) => kind === "warm")!.label).toMatch(/^Stir smooth date and sesame, for /);
});

test("what is kept hot is filled while it is: a lot that comes too late is a problem of the day, with its minutes", () => {
  const hot = (minutes: number) =>
    planWith(
      createMaking([
        ["make", { handsMin: 8 }],
        ["cook", { handsMin: 1, minutes: 5 }],
        ["keepHot", { minutes }],
      ]),
    );
  const enough = hot(240);
  expect(tell(enough)).toContain("fill:1 < make 5..245");
  const told = ({ problems }: DayPlan) => problems.filter(({ message }) => message.includes("kept hot"));
  expect(told(enough)).toEqual([]);
  const brief = hot(1);
  const made = brief.tasks.find(({ kind }) => kind === "make")!;
  const overMin = brief.tasks
    .filter(({ kind }) => kind === "fill")
    .map(({ placed }) => placed.startMin - made.placed.endMin - 6);
  expect(Math.max(...overMin)).toBeGreaterThan(0);
  expect(told(brief)).toHaveLength(overMin.filter((each) => each > 0).length);
});

test("from the larder nothing is made, but it is warmed all the same", () => {
  const tub = {
    id: "tub",
    kind: "filling",
    refId: "date-and-sesame",
    massG: 50_000,
    count: 0,
    madeOn: "2026-11-29",
    useBy: "2026-12-06",
    fromDayId: null,
    takenByDayId: null,
  } as const;
  const plan = planWith(createMaking([["make"], ["cool"], ["warm"]]), [tub]);
  expect(tell(plan)).toEqual(["warm:1", "fill:1 < warm:1 3..7", "warm:2", "fill:2 < warm:2 3..7"]);
});

test("the day's sheet tells the steps of a making, with the minute at which each begins", () => {
  const book = bookWith(
    createMaking([
      ["make", { handsMin: 8 }],
      ["cook", { handsMin: 2, minutes: 10 }],
      ["cool", { minutes: 40 }],
    ]),
  );
  const { startMin, steps } = listClockRows(planDay(book), book).find(
    ({ id }) => id === "make:date-and-sesame",
  )!;
  expect(steps.map(({ atMin, text }) => [atMin && atMin - startMin, text.split(",")[0]])).toEqual([
    [null, "Put together"],
    [8, "Cook: 10 min"],
    [20, "Cool: 40 min"],
  ]);
});
