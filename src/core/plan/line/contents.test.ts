import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { listContents, listFormulaContents, planDay, findAllergens } from "..";
import { computeYieldShare, standardIngredients, type Formula } from "../../formula";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const plan = planDay(monday);
const sumG = (all: readonly { readonly massG: number }[]) => all.reduce((sum, { massG }) => sum + massG, 0);

test("what a piece is made of weighs what the raw piece weighs and what dresses it, fillings before they boil down", () => {
  const shapes = Object.entries(plan.shaped);
  expect(shapes.length).toBeGreaterThan(10);
  for (const [id, shaped] of shapes) {
    if (!shaped) continue;
    const piece = monday.pieces.find((each) => each.id === id)!;
    const boiledOffG = shaped.parts.reduce((sum, { fillingId, portion, ofPieces }) => {
      const filling = monday.formulas.find((each) => each.id === fillingId);
      const massG = portion.massG * ofPieces;
      return sum + (filling ? massG / computeYieldShare(filling) - massG : 0);
    }, 0);
    const { rawPieceG, dressG } = shaped.masses;
    const contents = listContents({ piece, shaped }, monday.formulas, []);
    expect(sumG(contents)).toBeCloseTo(rawPieceG + dressG + boiledOffG, 6);
    expect(contents.map(({ massG }) => massG)).toEqual(
      contents.map(({ massG }) => massG).toSorted((a, b) => b - a),
    );
    // Each ingredient once, whatever its name on the line.
    expect(new Set(contents.map(({ name }) => name.toLowerCase())).size).toBe(contents.length);
    // The dough alone is a part of it.
    const dough = listContents({ piece, shaped }, monday.formulas, [], "dough");
    expect(sumG(dough)).toBeCloseTo(shaped.masses.blankG - shaped.masses.trimG, 6);
    for (const { name, massG } of dough)
      expect(contents.find((content) => content.name === name)!.massG).toBeGreaterThanOrEqual(massG - 1e-9);
  }
});

test("of a formula each ingredient has its share, and the names of allergens follow the book, the baker's own first", () => {
  const entries = standardIngredients.slice(0, 20);
  const line = fc.record({
    name: fc.string({ minLength: 1, maxLength: 12 }),
    massG: fc.integer({ min: 1, max: 900 }),
    ingredientId: fc.constantFrom(null, ...entries.map(({ id }) => id)),
  });
  const like = monday.formulas.find(({ kind }) => kind === "filling")!;
  fc.assert(
    fc.property(
      fc.array(line, { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 1, max: 5000 }),
      (lines, g) => {
        const formula = {
          ...like,
          lines: lines.map((each, i) => ({ ...each, id: `l${i}`, amountText: "", mostG: null })),
        } as Formula;
        const contents = listFormulaContents(formula, g, []);
        expect(sumG(contents)).toBeCloseTo(g / computeYieldShare(formula), 6);
        const wanted = new Set(
          lines.flatMap(({ ingredientId }) => entries.find(({ id }) => id === ingredientId)?.allergens ?? []),
        );
        const told = findAllergens(contents);
        expect(new Set(told.allergens)).toEqual(wanted);
        expect(told.unknown.length > 0).toBe(lines.some(({ ingredientId }) => ingredientId === null));
      },
    ),
  );
  const [flour] = standardIngredients;
  const own = [{ ...flour!, name: "my flour", allergens: ["lupin" as const] }];
  const dough = monday.formulas.find(({ lines }) =>
    lines.some(({ ingredientId }) => ingredientId === flour!.id),
  )!;
  const told = listFormulaContents(dough, 500, own);
  expect(told.map(({ name }) => name)).toContain("my flour");
  expect(findAllergens(told).allergens).toContain("lupin");
});
