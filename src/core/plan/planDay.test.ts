import { createWay, findChillMin, findCoolMin, findHeatWay } from "../way";
import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { listShopping, planDay, planMakings, sayProblem, type DayBook } from ".";

const demo = toDayBook(listDemoRecords(), "2026-11-28", null)!;

/** The demo day with rests by the baker's minutes: where many days are planned, conduction would only take time. */
const byMinutes: DayBook = {
  ...demo,
  formulas: demo.formulas.map((formula) =>
    formula.kind === "dough" ? { ...formula, restWay: "minutes" as const } : formula,
  ),
};

const withOrders = (counts: readonly number[], dueMin = 720): DayBook => ({
  ...byMinutes,
  orders: counts.map((count, i) => ({
    id: `o${i}`,
    dayId: demo.day.id,
    pieceId: demo.pieces[i % demo.pieces.length]!.id,
    count,
    dueMin,
    customer: "",
  })),
});

test("the demo Saturday is ready as promised, with nothing left to decide", () => {
  const plan = planDay(demo);
  expect(plan.problems).toEqual([]);
  expect(plan.tally.inHandMin).toBeGreaterThan(0);
  for (const { readyMin, orders } of plan.lines) {
    for (const { id, dueMin } of orders) expect(readyMin[id]).toBeLessThanOrEqual(dueMin);
  }
});

test("whatever is ordered: mass in is mass out, blanks cover pieces, batches weigh what is used", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 160 }), { minLength: 1, maxLength: 5 }), (counts) => {
      const plan = planDay(withOrders(counts));
      const { flow } = plan;
      const inG = flow.doughG + flow.fillingG + flow.coatsG + flow.storedG;
      const outG =
        flow.piecesG +
        flow.waterG +
        flow.decorationsG +
        flow.trimLeftG +
        flow.rollingLossG +
        flow.surplusBlanksG;
      expect(Math.abs(inG - outG) / inG).toBeLessThan(1e-9);
      for (const line of plan.lines)
        expect(line.setsCut + line.counts.blanksTaken + line.counts.frozenTaken).toBeGreaterThanOrEqual(
          line.counts.ordered + line.piece.spares,
        );
      const weighedG = plan.doughs
        .flatMap(({ batch, fromLarderG }) => [fromLarderG, ...(batch?.lines.map(({ massG }) => massG) ?? [])])
        .reduce((sum, massG) => sum + massG, 0);
      expect(weighedG).toBeCloseTo(flow.doughG, 6);
      expect(plan.tally.ready).toBe(plan.lines.reduce((sum, { counts: { made } }) => sum + made, 0));
    }),
    { numRuns: 40, seed: 31 },
  );
});

test("every task of a load comes after what it needs, and blanks are cut before they are filled", () => {
  const { tasks, lines } = planDay(demo);
  const at = (id: string) => tasks.find((task) => task.id === id)!.placed;
  for (const {
    piece,
    loading,
    cut,
    counts: { frozenTaken },
  } of lines) {
    loading.loads.forEach((_, i) => {
      const heated = findHeatWay(piece.way) === "oil" ? "fry" : "bake";
      const [fill, seal, bake, finish] = ["fill", "seal", heated, "finish"].map((kind) =>
        at(`${kind}:${piece.id}:${i + 1}`),
      );
      expect(seal!.startMin).toBeGreaterThanOrEqual(fill!.endMin);
      expect(bake!.startMin).toBeGreaterThanOrEqual(seal!.endMin + findChillMin(piece.way));
      expect(finish!.startMin).toBeGreaterThanOrEqual(bake!.endMin + findCoolMin(piece.way));
    });
    // All but the last load's blanks must have been cut when that load is filled.
    let needed = 0;
    loading.loads.forEach((load, i) => {
      needed += load.pieces;
      const fill = at(`fill:${piece.id}:${i + 1}`);
      const ready = cut.plan.sheets.reduce(
        (sum, sheet, s) => (at(`roll:${cut.id}:${s + 1}`).endMin <= fill.startMin ? sum + sheet.count : sum),
        0,
      );
      expect(ready + frozenTaken).toBeGreaterThanOrEqual(needed);
    });
  }
});

test("the same book gives the same plan", () => {
  expect(planDay(structuredClone(demo))).toEqual(planDay(demo));
});

test("a promise that cannot be kept says by how many minutes and when the pieces are ready", () => {
  const plan = planDay(withOrders([60], demo.day.openMin + 60));
  expect(plan.tally.inHandMin).toBeLessThan(0);
  const [problem] = plan.problems;
  const ready = plan.tally.readyMin!;
  expect(problem).toMatchObject({ station: "bake", stops: false });
  expect(-plan.tally.inHandMin!).toBe(ready - (demo.day.openMin + 60));
});

test("a promise already past is named as such", () => {
  const plan = planDay({ ...demo, nowMin: 600 });
  expect(plan.problems.filter(({ station }) => station === "orders").map(({ message }) => message)).toEqual([
    expect.stringContaining("that was 1 h 00 ago"),
    expect.stringContaining("that was 0 min ago"),
  ]);
});

test.each([
  ["a margin wider than the piece", { marginMm: 60 }, "fill", "leaves nothing to fill"],
  ["a cutter larger than the largest sheet", { cut: { kind: "disc", diameterMm: 520 } }, "roll", "too small"],
  [
    "an oven that does not get so hot",
    { way: createWay([["fill"], ["close"], ["bake", { heatC: 320 }], ["setOut"]]) },
    "bake",
    "20 °C above",
  ],
  ["a dough that is not there", { doughId: "gone" }, "mix", "no dough is chosen"],
] as const)(
  "%s stops that piece with a remedy and leaves the others planned",
  (_name, change, station, words) => {
    const [first, ...others] = demo.pieces;
    const plan = planDay({ ...demo, pieces: [{ ...first!, ...change }, ...others] });
    expect(plan.problems).toContainEqual(
      expect.objectContaining({
        station,
        pieceId: first!.id,
        stops: true,
        message: expect.stringContaining(words),
      }),
    );
    expect(plan.lines).toHaveLength(2);
  },
);

test("a narrow margin under a rope is a warning, not a stop", () => {
  const plan = planDay({ ...demo, pieces: demo.pieces.map((piece) => ({ ...piece, marginMm: 9 })) });
  expect(plan.problems.filter(({ station }) => station === "seal")).toHaveLength(2);
  expect(plan.lines).toHaveLength(3);
});

test("an empty day is an empty plan", () => {
  expect(planDay({ ...demo, orders: [] })).toMatchObject({
    lines: [],
    tasks: [],
    problems: [],
    tally: { ready: 0, startMin: null },
  });
});

test("a batch of the baker's own size says at which piece it runs out, and what is over keeps", () => {
  const weighing = (mixG: number) => ({
    id: "w",
    dayId: demo.day.id,
    date: demo.day.date,
    formulaId: "quince-and-bay",
    tickedLineIds: [],
    took: null,
    mixG,
  });
  const withMix = (mixG: number) => planDay({ ...demo, weighings: [weighing(mixG)] });
  const portionG = planDay(demo).lines.find(({ piece }) => piece.fillingId === "quince-and-bay")!.shaped
    .portion.massG;
  const short = withMix(portionG * 31.5);
  expect(short.fillings[0]!.enoughForPieces).toBe(31);
  expect(sayProblem(short.problems[0]!)).toMatch(
    /runs out at piece 32: .* short\. Mix 2\.35 times as much, or make 31\./,
  );
  const over = withMix(portionG * 80);
  expect(over.problems).toEqual([]);
  expect(over.leftovers.find(({ refId }) => refId === "quince-and-bay")!.massG).toBeCloseTo(portionG * 6, 6);
});

test("liquid aims at what it took last time, else at the school's point in its range", () => {
  const water = (book: DayBook) => planDay(book).doughs[0]!.batch!.lines.find(({ range }) => range !== null)!;
  const scaled = (book: DayBook) => water(book).massG / planDay(book).doughs[0]!.batch!.scale;
  expect(scaled(demo)).toBeCloseTo(132, 9);
  const unlogged = { ...demo, weighings: [] };
  expect(scaled(unlogged)).toBeCloseTo(115 + 0.75 * 35, 9);
  const dry = demo.formulas.map((formula) =>
    formula.kind === "dough" ? { ...formula, liquidSchool: "justHolds" as const } : formula,
  );
  expect(scaled({ ...unlogged, formulas: dry })).toBeCloseTo(115 + 0.25 * 35, 9);
});

test("a colder fridge shortens a rest that goes by the core; one too warm is said and the own minutes stand", () => {
  const rest = (fridgeC: number) => {
    const plan = planDay({ ...demo, kitchen: { ...demo.kitchen, mixedC: 24, fridgeC } });
    return { minutes: dough(plan)!.rest!.minutes, problems: plan.problems.map(({ message }) => message) };
  };
  const dough = (plan: ReturnType<typeof planDay>) =>
    plan.doughs.find(({ formula }) => formula.id === "bay-shortcrust");
  expect(rest(2).minutes).toBeLessThan(rest(8).minutes);
  expect(rest(17)).toEqual({
    minutes: 45,
    problems: [expect.stringContaining("never comes below 16 °C")],
  });
});

test("shopping adds up days, in whole packs, without water", () => {
  const { doughs, fillings } = planMakings(demo).batches;
  const batches = [...doughs, ...fillings];
  const one = listShopping([{ date: "2026-11-28", batches, materials: [] }], []);
  const two = listShopping(
    [
      { date: "2026-11-28", batches, materials: [] },
      { date: "2026-11-29", batches, materials: [] },
    ],
    [],
  );
  expect(one.map(({ name }) => name)).not.toContain("water");
  for (const [i, line] of one.entries()) {
    expect(two[i]!.massG).toBeCloseTo(2 * line.massG, 6);
    if (line.packs) {
      expect(line.packs.count * line.packs.massG).toBeGreaterThanOrEqual(line.massG);
      expect((line.packs.count - 1) * line.packs.massG).toBeLessThan(line.massG);
    }
  }
});

test("a bought dough is taken in whole sheets, and the day's glue is that of its seams", () => {
  const sheet = { widthMm: 400, heightMm: 230, thicknessMm: 3 };
  const formulas = byMinutes.formulas.map((formula) =>
    formula.kind === "dough" ? { ...formula, method: "bought" as const, boughtSheet: sheet } : formula,
  );
  const plan = planDay({ ...byMinutes, formulas });
  for (const { formula, batch, boughtSheets } of plan.doughs) {
    const oneG = 400 * 230 * 3e-3 * formula.densityGPerMl;
    expect(boughtSheets! * oneG).toBeGreaterThanOrEqual(batch!.usableG - 0.5);
    expect((boughtSheets! - 1) * oneG).toBeLessThan(batch!.usableG);
  }
  expect(planDay(demo).doughs.every(({ boughtSheets }) => boughtSheets === null)).toBe(true);
  // Grams for a metre of seam, of what is closed today: the eight frozen crescents are closed already.
  const glueG = plan.lines.reduce(
    (sum, { shaped: { seal }, counts: { toFill } }) =>
      sum + (seal!.seamMm / 1000) * (seal!.glue.id === "egg" ? 6 : 4) * toFill,
    0,
  );
  expect(plan.glues.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(glueG, 6);
  expect(plan.lines.some(({ counts: { toFill, made } }) => toFill === made - 8)).toBe(true);
});

test.each(["2026-11-28", "2026-11-29", "2026-11-30", "2026-12-05"])(
  "on %s sheets are rolled and loads are worked in the order of their numbers",
  (date) => {
    const { tasks } = planDay(toDayBook(listDemoRecords(), date, null)!);
    const groups = new Map<string, { index: number; startMin: number }[]>();
    for (const { id, index, placed } of tasks) {
      const at = id.lastIndexOf(`:${index}`);
      const key = at < 0 ? id : id.slice(0, at) + id.slice(at + `:${index}`.length);
      groups.set(key, [...(groups.get(key) ?? []), { index, startMin: placed.startMin }]);
    }
    expect([...groups.values()].some((same) => same.length > 1)).toBe(true);
    for (const same of groups.values()) {
      const byIndex = same.toSorted((a, b) => a.index - b.index).map(({ startMin }) => startMin);
      expect(byIndex).toEqual(byIndex.toSorted((a, b) => a - b));
    }
  },
);

test("a dough is divided as the baker says, and a part too small for its sheet is told with what would do", () => {
  const divideInto = (dividedCount: number | null) =>
    planDay({
      ...byMinutes,
      formulas: byMinutes.formulas.map((formula) =>
        formula.id === "bay-shortcrust" && formula.kind === "dough" ? { ...formula, dividedCount } : formula,
      ),
    });
  const ofBay = (plan: ReturnType<typeof planDay>) =>
    plan.doughs.find(({ formula }) => formula.id === "bay-shortcrust")!;
  const bySheets = divideInto(null);
  const sheetsG = bySheets.cuts
    .filter(({ dough }) => dough.id === "bay-shortcrust")
    .flatMap(({ plan }) => plan.sheets.flatMap(({ pass, doughG }) => (pass === 0 ? [doughG] : [])));
  const totalG = sheetsG.reduce((sum, each) => sum + each, 0);
  expect(ofBay(bySheets).divided.reduce((sum, { count }) => sum + count, 0)).toBe(sheetsG.length);
  const halves = divideInto(2);
  expect(ofBay(halves).divided).toEqual([expect.objectContaining({ count: 2 })]);
  expect(ofBay(halves).divided[0]!.massG * 2).toBeCloseTo(totalG, 6);
  expect(halves.problems).toEqual(bySheets.problems);
  // A sixtieth of it is no sheet of any size that was planned.
  const told = divideInto(60).problems.find(({ code }) => code === "smallParts")!;
  const { most, largestG } = told.numbers as Record<"most" | "largestG", number>;
  expect(largestG).toBe(Math.max(...sheetsG));
  expect(told.remedy).toContain(most === 1 ? "into one" : `at most ${most}`);
  expect(totalG / most).toBeGreaterThanOrEqual(Math.max(...sheetsG) - 0.5);
  expect(divideInto(most).problems.some(({ code }) => code === "smallParts")).toBe(false);
});

test("a bought sheet is opened, not mixed and not divided, and its straight edge is used", () => {
  const sheet = { widthMm: 400, heightMm: 230, thicknessMm: 3 };
  const formulas = byMinutes.formulas.map((formula) =>
    formula.id === "bay-shortcrust" && formula.kind === "dough"
      ? { ...formula, method: "bought" as const, boughtSheet: sheet }
      : formula,
  );
  const at = (thicknessMm: number) =>
    planDay({
      ...byMinutes,
      formulas,
      pieces: byMinutes.pieces.map((piece) =>
        piece.id === "quince-half-moon"
          ? { ...piece, thicknessMm, cut: { kind: "disc", diameterMm: 115 } }
          : piece,
      ),
    });
  const plan = at(3);
  const { divided, formula } = plan.doughs.find((batch) => batch.formula.id === "bay-shortcrust")!;
  expect(divided).toEqual([]);
  expect(plan.tasks.find(({ id }) => id === `mix:${formula.id}`)!.label).toBe(`Open ${formula.name}`);
  const cutOf = (day: typeof plan) => day.cuts.find(({ dough }) => dough.id === "bay-shortcrust")!.plan;
  // Two rows of 115 mm are the whole 230: with a ragged edge there would be one.
  expect(cutOf(plan).sheets[0]).toMatchObject({ marginMm: 0, count: 6 });
  expect(cutOf(at(2.5)).sheets[0]!.marginMm).toBeGreaterThan(0);
});
