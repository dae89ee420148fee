import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import type { DayBook } from "@/schemas/model";
import { allergens, standardIngredients } from "../formula";
import { addDays, FRESH_OIL, planDay, type DayPlan } from "../plan";
import { createWay, insertStep } from "../way";
import { joinAllergens, listAllergenRows, listPieceAllergens, type AllergenFacts } from "./allergenMatrix";
import { findBakedKeepDays, findWarmUp, isIncomplete, labelKinds, listAllergenSources, listLabels } from ".";

const bookOf = (date: string): DayBook => toDayBook(listDemoRecords(), date, null)!;
const saturday = bookOf("2026-11-28");
const market = bookOf("2026-12-05");
const plans = new Map<DayBook, DayPlan>();
const planOf = (book: DayBook): DayPlan => {
  const known = plans.get(book) ?? planDay(book);
  plans.set(book, known);
  return known;
};
const nutty = (book: DayBook, id: string): DayBook => ({
  ...book,
  pieces: book.pieces.map((piece) =>
    piece.id === id
      ? {
          ...piece,
          way: insertStep(piece.way, "garnish", { thing: { name: "walnuts", count: 2, eachG: 1 } }),
        }
      : piece,
  ),
});

test("an allergen of one piece may touch the others: by the oil they share, by the brush, else by the bench", () => {
  const fried = saturday.pieces.find(({ id }) => id === "rhubarb-crescent")!;
  const twin = { ...fried, id: "twin", name: "Twin crescent" };
  const [order] = saturday.orders;
  const base = {
    ...saturday,
    pieces: [...saturday.pieces, twin],
    orders: [...saturday.orders, { ...order!, id: "o-twin", pieceId: "twin", count: 6 }],
  };
  const byOil = listPieceAllergens(planOf(nutty(base, "twin")), base && nutty(base, "twin"));
  expect(byOil.get("twin")!.contains).toContain("nuts");
  expect(byOil.get("rhubarb-crescent")!.contacts).toContainEqual({
    ...{ allergen: "nuts", through: "oil", fromIds: ["twin"], fromEarlier: [] },
  });
  // A washed piece and a fried one that is glued share the brush.
  expect(byOil.get("quince-half-moon")!.contacts.find(({ allergen }) => allergen === "nuts")!.through).toBe(
    "brush",
  );
  const dry = {
    ...base,
    pieces: base.pieces.map((piece) => ({
      ...piece,
      ...(piece.id === "twin"
        ? { glue: "none" as const, wash: { ...piece.wash, kind: "none" as const } }
        : {}),
    })),
  };
  const byBench = listPieceAllergens(planOf(nutty(dry, "twin")), nutty(dry, "twin"));
  expect(byBench.get("quince-half-moon")!.contacts.find(({ allergen }) => allergen === "nuts")!.through).toBe(
    "bench",
  );
});

const anyFacts: fc.Arbitrary<AllergenFacts> = fc
  .uniqueArray(fc.constantFrom(...allergens), { maxLength: 10 })
  .chain((some) =>
    fc.record({
      contains: fc.constant(some.slice(0, some.length / 2)),
      contacts: fc.tuple(
        ...some.slice(some.length / 2).map((allergen) =>
          fc.record({
            allergen: fc.constant(allergen),
            through: fc.constantFrom("oil" as const, "brush" as const, "bench" as const),
            fromIds: fc.uniqueArray(fc.constantFrom("a", "b", "c"), { minLength: 1 }),
            fromEarlier: fc.uniqueArray(fc.constantFrom("old crescent", "old moon")),
          }),
        ),
      ),
      unknown: fc.uniqueArray(fc.constantFrom("dust", "sprinkles")),
      unknownContacts: fc.uniqueArray(
        fc.record({
          through: fc.constantFrom("oil" as const, "brush" as const, "bench" as const),
          names: fc.uniqueArray(fc.constantFrom("glitter", "smoked salmon"), { minLength: 1 }),
          loads: fc.nat(30),
        }),
        { selector: ({ through }) => through, maxLength: 3 },
      ),
    }),
  );

test("taken together nothing that must be named is lost, nothing is named twice, and a contact is the nearest", () => {
  fc.assert(
    fc.property(fc.array(anyFacts, { maxLength: 5 }), (all) => {
      const joined = joinAllergens(all);
      const named = all.flatMap(({ contains, contacts }) => [
        ...contains,
        ...contacts.map((each) => each.allergen),
      ]);
      const told = [...joined.contains, ...joined.contacts.map(({ allergen }) => allergen)];
      expect(told.toSorted()).toEqual([...new Set(named)].toSorted());
      expect(new Set(joined.contains)).toEqual(new Set(all.flatMap(({ contains }) => contains)));
      const doubts = all.flatMap(({ unknown, unknownContacts }) => [
        ...unknown,
        ...unknownContacts.flatMap(({ names }) => names),
      ]);
      const toldDoubts = [...joined.unknown, ...joined.unknownContacts.flatMap(({ names }) => names)];
      expect(toldDoubts.toSorted()).toEqual([...new Set(doubts)].toSorted());
      const sumLoads = (facts: readonly AllergenFacts[]) =>
        facts.flatMap(({ unknownContacts }) => unknownContacts).reduce((sum, { loads }) => sum + loads, 0);
      expect(sumLoads([joined])).toBe(sumLoads(all));
      for (const { allergen, through } of joined.contacts) {
        const ways = all.flatMap(({ contacts }) =>
          contacts.flatMap((each) => (each.allergen === allergen ? [each.through] : [])),
        );
        const rank = ["oil", "brush", "bench"];
        expect(rank.indexOf(through)).toBe(Math.min(...ways.map((way) => rank.indexOf(way))));
      }
    }),
  );
});

test("the table names for each cell by what it comes in, and its last row is all of the day", () => {
  const rows = listAllergenRows(planOf(market), market);
  const day = rows.at(-1)!;
  expect(day.of).toBe("day");
  for (const row of rows)
    for (const allergen of allergens) {
      const isTold =
        row.contains.includes(allergen) || row.contacts.some((each) => each.allergen === allergen);
      expect(listAllergenSources(planOf(market), market, row, allergen).length > 0).toBe(isTold);
      if (row.contains.includes(allergen)) expect(day.contains).toContain(allergen);
    }
  expect(rows.filter(({ of }) => of === "piece")).toHaveLength(planOf(market).lines.length);
});

test("labels are as many as what they stand on, and weigh as much", () => {
  for (const book of [saturday, market]) {
    const plan = planOf(book);
    const madeOf = new Map(plan.lines.map(({ piece, counts }) => [piece.id, counts.made]));
    const made = [...madeOf.values()].reduce((sum, count) => sum + count, 0);
    const [pieces, trays, orders, larder] = labelKinds.map((kind) => listLabels(kind, plan, book));
    expect(pieces!.reduce((sum, { copies }) => sum + copies, 0)).toBe(made);
    const onTrays = trays!.reduce((sum, { count }) => sum + count, 0);
    const inLoads = plan.lines
      .flatMap(({ loading }) => loading.loads)
      .reduce((sum, load) => sum + load.pieces, 0);
    expect(onTrays).toBe(inLoads);
    expect(orders!.reduce((sum, { count }) => sum + count, 0)).toBe(
      book.orders.reduce((sum, { count }) => sum + count, 0),
    );
    for (const { items, massG } of orders!) {
      const eachG = (name: string) => pieces!.find(({ title }) => title === name)!.massG;
      expect(massG).toBeCloseTo(
        items.reduce((sum, { name, count }) => sum + count * eachG(name), 0),
        6,
      );
    }
    expect(larder).toHaveLength(book.larder.filter(({ takenByDayId }) => takenByDayId === null).length);
  }
});

test("what lies together is kept as what keeps least: whole days only, and without a word of keeping until the evening", () => {
  const keep = (minutes: number) =>
    createWay([["fold"], ["bake", { heatC: 190 }], ["keep", { minutes }], ["setOut"]]);
  expect(findBakedKeepDays(createWay([["fold"], ["bake", { heatC: 190 }], ["setOut"]]))).toBe(0);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20_000 }), (minutes) => {
      const days = findBakedKeepDays(keep(minutes));
      expect(days * 1440).toBeLessThanOrEqual(minutes);
      expect((days + 1) * 1440).toBeGreaterThan(minutes);
    }),
  );
  const warm = createWay([["fold"], ["bake", { heatC: 190 }], ["warmUp", { minutes: 12, heatC: 170 }]]);
  expect(findWarmUp(warm)).toEqual({ minutes: 12, heatC: 170 });
  expect(findWarmUp(keep(1440))).toBeNull();

  const [first, second] = saturday.orders;
  const together = {
    ...saturday,
    pieces: saturday.pieces.map((piece) =>
      piece.id === first!.pieceId
        ? { ...piece, way: [...piece.way, ...keep(3 * 1440).filter(({ kind }) => kind === "keep")] }
        : piece,
    ),
    orders: [
      { ...first!, customer: "Ada", dueMin: 600 },
      {
        ...(saturday.orders.find(({ pieceId }) => pieceId !== first!.pieceId) ?? second!),
        customer: "Ada",
        dueMin: 600,
      },
    ],
  };
  const plan = planDay(together);
  const useByOf = (kind: "piece" | "order") => listLabels(kind, plan, together).map(({ useBy }) => useBy);
  const { date } = saturday.day;
  expect(useByOf("piece")).toContain(addDays(date, 3));
  expect(useByOf("order")).toEqual([
    listLabels("piece", plan, together)
      .map(({ useBy }) => useBy)
      .toSorted()[0],
  ]);
});

test("what is filled with cheese, egg or meat is kept cold though it is baked; fruit alone is not, and one cold piece cools its order", () => {
  const plan = planOf(saturday);
  const keptOf = (id: string) => listLabels("piece", plan, saturday).find((label) => label.id === id)!.keptIn;
  expect(keptOf("leek-triangle")).toBe("cold");
  expect(keptOf("quince-half-moon")).toBe("room");
  const together = {
    ...saturday,
    orders: saturday.orders.map((order) => ({ ...order, customer: "Ada", customerId: null, dueMin: 600 })),
  };
  expect(listLabels("order", planDay(together), together).map(({ keptIn }) => keptIn)).toEqual(["cold"]);
});

/** The quince half-moon's filling with one more line that the baker typed. */
const withLine = (name: string, ingredientId: string | null, ingredients = saturday.ingredients): DayBook => {
  const { fillingId } = saturday.pieces.find(({ id }) => id === "quince-half-moon")!;
  return {
    ...saturday,
    ingredients,
    formulas: saturday.formulas.map((formula) =>
      formula.id === fillingId
        ? {
            ...formula,
            lines: [
              ...formula.lines,
              { id: "new", name, amountText: "100 g", massG: 100, mostG: null, ingredientId },
            ],
          }
        : formula,
    ),
  };
};
const salmon = { ...standardIngredients.find(({ id }) => id === "smoked-fish")!, id: "ingredient-salmon" };

test("what is not known is never safe: it is named, kept cold, and spreads as a doubt to what it touches", () => {
  for (const book of [
    withLine("smoked salmon", null),
    withLine("smoked salmon", "gone"),
    withLine("smoked salmon", salmon.id, [{ ...salmon, name: "smoked salmon", allergens: null }]),
  ]) {
    const plan = planDay(book);
    const moon = listLabels("piece", plan, book).find(({ id }) => id === "quince-half-moon")!;
    expect([moon.unknown, moon.keptIn]).toEqual([["smoked salmon"], "cold"]);
    const other = listLabels("piece", plan, book).find(({ id }) => id === "leek-triangle")!;
    expect(other.unknownContacts).toEqual([{ through: "brush", names: ["smoked salmon"], loads: 0 }]);
    const rows = listAllergenRows(plan, book);
    expect(rows.at(-1)!.unknown).toContain("smoked salmon");
    for (const label of listLabels("order", plan, book)) expect(isIncomplete(label)).toBe(true);
  }
  // Named in the ingredient book afterwards, the line that was typed before is known.
  const named = withLine("smoked salmon", null, [{ ...salmon, name: "smoked salmon" }]);
  const [after] = listLabels("piece", planDay(named), named).filter(({ id }) => id === "quince-half-moon");
  expect([after!.unknown, after!.contains.includes("fish")]).toEqual([[], true]);
  const known = withLine("smoked salmon", salmon.id, [{ ...salmon, name: "smoked salmon", group: "other" }]);
  const [label] = listLabels("piece", planDay(known), known).filter(({ id }) => id === "quince-half-moon");
  expect([label!.unknown, label!.keptIn, label!.contains.includes("fish")]).toEqual([[], "cold", true]);
});

test("a name that is only like an entry of the book is not taken for it", () => {
  const garnished = nutty(saturday, "quince-half-moon");
  const named = (name: string): DayBook => ({
    ...garnished,
    pieces: garnished.pieces.map((piece) => ({
      ...piece,
      way: piece.way.map((step) => (step.thing ? { ...step, thing: { ...step.thing, name } } : step)),
    })),
  });
  for (const name of ["cashew butter", "smoked cheese", "oat milk"]) {
    const facts = listPieceAllergens(planDay(named(name)), named(name)).get("quince-half-moon")!;
    expect(facts.unknown).toEqual([name]);
  }
});

test("a portion in the larder whose formula is gone is not called free of anything", () => {
  const [item] = saturday.larder.filter(({ takenByDayId }) => takenByDayId === null);
  const lost = { ...saturday, larder: [{ ...item!, refId: "gone" }] };
  const [label] = listLabels("larder", planOf(saturday), lost);
  expect(isIncomplete(label!)).toBe(true);
});

test("oil remembers what it fried on earlier days, and loads that nobody recorded stay unknown", () => {
  const load = { id: "2026-11-21/fry", name: "Walnut crescent", baskets: 4, allergens: ["nuts" as const] };
  const fried = (usedLoads: number, unknown: string[]): DayBook => ({
    ...saturday,
    fryers: saturday.fryers.map((fryer) => ({ ...fryer, usedLoads, fried: [{ ...load, unknown }] })),
  });
  const factsOf = (book: DayBook) => {
    const byPiece = listPieceAllergens(planDay(book), book);
    return [byPiece.get("rhubarb-crescent")!, byPiece.get("quince-half-moon")!] as const;
  };
  const [recorded, baked] = factsOf(fried(4, []));
  expect(recorded.contacts).toContainEqual({
    ...{ allergen: "nuts", through: "oil", fromIds: [], fromEarlier: ["Walnut crescent"] },
  });
  expect([recorded.unknownContacts, baked.contacts.some(({ through }) => through === "oil")]).toEqual([
    [],
    false,
  ]);
  const [doubtful] = factsOf(fried(22, ["dust"]));
  expect(doubtful.unknownContacts).toEqual([{ through: "oil", names: ["dust"], loads: 18 }]);
  const fresh = { ...saturday, fryers: saturday.fryers.map((fryer) => ({ ...fryer, ...FRESH_OIL })) };
  expect(factsOf(fresh)[0].contacts.some(({ through }) => through === "oil")).toBe(false);
});
