import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import {
  assignTakings,
  listContents,
  listShopping,
  planDay,
  findAllergens,
  type DayBook,
  type Piece,
} from "..";
import { createWay, insertStep, settleWay, type WayStep } from "../../way";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const thing = (name: string, count: number, eachG: number) => ({ thing: { name, count, eachG } });
const withPiece = (id: string, change: (piece: Piece) => Partial<Piece>): DayBook => ({
  ...monday,
  pieces: monday.pieces.map((piece) => (piece.id === id ? { ...piece, ...change(piece) } : piece)),
});

/** Pieces of the demo washed, sugared, glazed, strewn and garnished as it comes, some of them ordered. */
const anyDay = fc
  .record({
    wash: fc.record({
      kind: fc.constantFrom("none" as const, "egg" as const, "eggMilk" as const, "white" as const),
      coats: fc.integer({ min: 1, max: 2 }),
      sugar: fc.constantFrom("none" as const, "before" as const, "after" as const),
    }),
    glue: fc.constantFrom("none" as const, "water" as const, "egg" as const, "white" as const),
    glaze: fc.constantFrom("none" as const, "icing" as const, "syrup" as const, "jam" as const),
    nuts: fc.integer({ min: 0, max: 6 }),
    garnishG: fc.integer({ min: 0, max: 20 }),
    orders: fc.array(
      fc.record({ piece: fc.integer({ min: 0, max: 12 }), count: fc.integer({ min: 1, max: 30 }) }),
      { minLength: 1, maxLength: 4 },
    ),
  })
  .map(({ wash, glue, glaze, nuts, garnishG, orders }): DayBook => {
    const pieces = monday.pieces.map((piece): Piece => {
      const figures = { wash, glaze: { kind: glaze } };
      const nutty = nuts > 0 ? insertStep(piece.way, "dropIn", thing("walnuts", nuts, 0.8)) : piece.way;
      const dressed = garnishG > 0 ? insertStep(nutty, "garnish", thing("redcurrants", 1, garnishG)) : nutty;
      return { ...piece, ...figures, glue, way: settleWay(dressed, { ...piece, ...figures }) };
    });
    return {
      ...monday,
      pieces,
      orders: orders.map(({ piece, count }, i) => ({
        id: `o-${i}`,
        dayId: monday.day.id,
        pieceId: pieces[piece % pieces.length]!.id,
        count,
        dueMin: 900,
        customer: "",
      })),
    };
  });

test("whatever goes in or on comes out with the pieces, to a millionth of a gram", () => {
  fc.assert(
    fc.property(anyDay, (book) => {
      const { flow, lines, materials } = planDay(book);
      const into = flow.doughG + flow.fillingG + flow.wholeG + flow.coatsG + flow.storedG;
      const out =
        flow.piecesG +
        flow.waterG +
        flow.decorationsG +
        flow.trimLeftG +
        flow.rollingLossG +
        flow.surplusBlanksG +
        flow.returnedG +
        flow.keptG;
      expect(Math.abs(into - out)).toBeLessThan(1e-6);
      // Each gram that is not of a formula is a material, and each material is such a gram.
      const besides = materials.reduce((sum, { massG }) => sum + massG, 0);
      expect(Math.abs(besides - flow.wholeG - flow.coatsG)).toBeLessThan(1e-6);
      for (const {
        piece,
        shaped: { parts },
      } of lines) {
        const given = [...assignTakings(piece.way, parts, piece.extras).values()].flatMap(
          (each) => each.parts,
        );
        expect(given.toSorted(byId)).toEqual([...parts].toSorted(byId));
      }
    }),
    { numRuns: 40 },
  );
});
const byId = (a: { fillingId: string; role: string }, b: { fillingId: string; role: string }) =>
  `${a.role}${a.fillingId}`.localeCompare(`${b.role}${b.fillingId}`);

test("what is dropped in, garnished with or peeled is bought, by mass or by count", () => {
  const book = withPiece("pear-coat", ({ way }) => ({
    way: way.map((step): WayStep =>
      step.kind === "prepare" ? { ...step, ...thing("pears", 1, 200) } : step,
    ),
  }));
  const plan = planDay(book);
  const pears = plan.materials.find(({ name }) => name === "pears")!;
  const line = plan.lines.find(({ piece }) => piece.id === "pear-coat")!;
  expect(pears).toMatchObject({ ingredientId: "pear", count: line.counts.toFill, use: "inside" });
  expect(pears.massG).toBeCloseTo(line.shaped.masses.wholeG * line.counts.toFill, 9);
  const bought = listShopping([{ date: "2026-11-30", batches: [], materials: plan.materials }], []);
  expect(bought.find(({ name }) => name === "pear")!.massG).toBeCloseTo(pears.massG, 9);
  expect(bought.map(({ name }) => name)).not.toContain("water");
});

test("sticks are counted for every piece that has one", () => {
  const saturday = toDayBook(listDemoRecords(), "2026-12-05", null)!;
  const plan = planDay(saturday);
  const pops = plan.lines.find(({ piece }) => piece.id === "plum-pop")!;
  const sticks = plan.materials.find(({ use }) => use === "stick")!;
  expect(sticks).toMatchObject({ count: pops.counts.toFill, massG: 0 });
  const bought = listShopping([{ date: "2026-12-05", batches: [], materials: plan.materials }], []);
  expect(bought.find(({ name }) => name === sticks.name)!.count).toBe(pops.counts.toFill);
});

test("nuts that are only dropped in are named among a piece's allergens, and what nobody knows is said", () => {
  const nutty = (name: string) =>
    withPiece("custard-cup", ({ way }) => ({ way: insertStep(way, "garnish", thing(name, 2, 1)) }));
  const tell = (book: DayBook) => {
    const plan = planDay(book);
    const line = plan.lines.find(({ piece }) => piece.id === "custard-cup")!;
    return findAllergens(listContents(line, book.formulas, book.ingredients));
  };
  expect(tell(monday).allergens).not.toContain("nuts");
  expect(tell(nutty("walnuts")).allergens).toContain("nuts");
  expect(tell(nutty("xyzzy crumbs")).unknown).toContain("xyzzy crumbs");
});

test("two steps that fill share the fillings: each takes its own, the open one the rest", () => {
  const {
    shaped: { parts },
  } = planDay(monday).lines.find(({ piece }) => piece.id === "tahini-tartlet")!;
  const way = createWay([
    ["line"],
    ["fill", { fillingId: "quince-jam" }],
    ["bake", { heatC: 180 }],
    ["fill"],
    ["setOut"],
  ]);
  const takings = assignTakings(way, parts, []);
  const [jam, cream] = ["s2", "s4"].map((id) => takings.get(id));
  expect(jam!.parts.map(({ fillingId }) => fillingId)).toEqual(["quince-jam"]);
  expect(cream!.parts.map(({ role }) => role)).toEqual(["main"]);
});

test("a shell that its way never fills is ordered with nothing in it: no filling is made, no mass is lost", () => {
  const shell = createWay([["line"], ["dropIn"], ["bake", { heatC: 190 }], ["setOut"]]);
  for (const id of ["custard-cup", "tahini-tartlet"]) {
    const book = withPiece(id, ({ form }) => ({
      way: shell,
      form: form.kind === "lined" ? { ...form, topping: { kind: "open" } } : form,
    }));
    const plan = planDay({ ...book, orders: book.orders.filter(({ pieceId }) => pieceId === id) });
    expect(plan.problems.filter(({ stops }) => stops)).toEqual([]);
    expect(plan.fillings).toEqual([]);
    expect(plan.tasks.some(({ kind }) => kind === "fill" || kind === "make")).toBe(false);
    const { flow, materials } = plan;
    const out =
      flow.piecesG +
      flow.waterG +
      flow.decorationsG +
      flow.trimLeftG +
      flow.rollingLossG +
      flow.surplusBlanksG +
      flow.returnedG;
    expect(flow.doughG + flow.wholeG + flow.coatsG + flow.storedG).toBeCloseTo(out, 6);
    expect(materials.reduce((sum, { massG }) => sum + massG, 0)).toBeCloseTo(flow.wholeG + flow.coatsG, 6);
  }
});

test("what is fried takes up oil: it is weighed with the pieces, bought, and told as oil, and what is baked takes none", () => {
  const fried = planDay(toDayBook(listDemoRecords(), "2026-11-28", null)!);
  const line = fried.lines.find(({ piece }) => piece.id === "rhubarb-crescent")!;
  const oil = fried.materials.find(({ use }) => use === "fat")!;
  expect(oil).toMatchObject({
    name: "frying oil",
    ingredientId: "sunflower-oil",
    pieceIds: ["rhubarb-crescent"],
  });
  expect(oil.massG).toBeCloseTo(0.06 * line.shaped.masses.rawPieceG * line.counts.made, 6);
  expect(
    fried.lines.filter(
      ({
        shaped: {
          masses: { fatG },
        },
      }) => fatG > 0,
    ),
  ).toEqual([line]);
  expect(planDay(monday).materials.some(({ use }) => use === "fat")).toBe(false);
});
