import fc from "fast-check";
import { starterFormulas } from "@/demo";
import { firstKitchen } from "@/schemas/firstKitchen";
import { computeEggG } from "../units";
import { refused } from "../words/__tests__/refused";
import {
  isEgg,
  analyseFormula,
  balanceEggs,
  compareFormulas,
  computeTargetG,
  computeTotalG,
  divideDough,
  findTearShare,
  listWeighSteps,
  matchIngredient,
  mergeIngredients,
  parseFormulaText,
  parseLine,
  scaleBy,
  scaleFormula,
  standardIngredients,
  SURE,
  createMaking,
  weighAmount,
  type Filling,
  type Formula,
} from ".";

const filling: Filling = {
  kind: "filling",
  id: "plum",
  name: "Plum",
  family: "filling",
  wetness: "moist",
  shrinkShare: 0,
  measure: "spoon",
  fruit: null,
  making: createMaking([
    ["make", { handsMin: 10 }],
    ["cool", { minutes: 30 }],
  ]),
  lines: [
    { id: "a", name: "plums", amountText: "900 g", massG: 900, mostG: null, ingredientId: "plum" },
    { id: "b", name: "sugar", amountText: "100 g", massG: 100, mostG: null, ingredientId: "sugar" },
  ],
  steps: [],
  keepsDays: 2,
  densityGPerMl: 1.1,
  makingLossShare: 0.2,
};
const rule = { ...firstKitchen, ingredients: standardIngredients };
const us = { ...rule, system: "us" as const };
const find = (id: string): Formula => starterFormulas.find((formula) => formula.id === id)!;

test("a filling that boils down is weighed so much more, line by line in proportion", () => {
  const batch = scaleFormula(filling, 400);
  expect(batch).toMatchObject({ weighedG: 500, scale: 0.5, usableG: 400 });
  expect(batch.lines.map(({ massG }) => massG)).toEqual([450, 50]);
});

test("a formula without lines cannot be scaled", () => {
  expect(() => scaleFormula({ ...filling, lines: [] }, 400)).toThrow("plum weighs 0 g");
});

test("the ingredient book holds at least 120 entries, each whole, named once and possible", () => {
  expect(standardIngredients.length).toBeGreaterThanOrEqual(120);
  expect(new Set(standardIngredients.map(({ id }) => id)).size).toBe(standardIngredients.length);
  for (const ingredient of standardIngredients) {
    const { waterShare, fatShare, sugarShare, starchShare, densities, pieceG, id } = ingredient;
    expect(waterShare + fatShare + sugarShare + starchShare).toBeLessThanOrEqual(1 + 1e-9);
    for (const { gPerMl } of densities) expect([id, gPerMl > 0.05 && gPerMl < 1.6]).toEqual([id, true]);
    expect([id, densities.length > 0 || pieceG !== null || ingredient.group === "fruit"]).toEqual([id, true]);
    expect(matchIngredient(ingredient.name, standardIngredients)).toMatchObject({
      ingredient: { id },
      score: 1,
    });
  }
  const own = { ...standardIngredients[0]!, name: "mill flour" };
  const merged = mergeIngredients(standardIngredients, [own, { ...own, id: "mine" }]);
  expect(merged).toHaveLength(standardIngredients.length + 1);
  expect(merged[0]).toBe(own);
});

// Expected grams by hand: cup 236.588 ml, tbsp 14.787 ml, stick 113.398 g, and the book's densities.
test.each([
  ["1 1/2 cups flour", "1 1/2 cups", "plain-flour", 188.09, null],
  ["1½ c flour, sifted", "1½ c", "plain-flour", 163.25, null],
  ["½ stick butter", "½ stick", "butter", 56.7, null],
  ["6–8 tbsp iced water", "6–8 tbsp", "water", 88.72, 118.29],
  ["2 cups packed brown sugar", "2 cups", "brown-sugar", 435.32, null],
  ["2 large eggs", "2", "egg", 100, null],
  ["1 egg yolk", "1", "egg-yolk", 17.34, null],
  ["200 g (7 oz) butter", "200 g (7 oz)", "butter", 200, null],
  ["about 1 lb plums", "about 1 lb", "plum", 453.59, null],
  ["flour 200 g", "200 g", "plain-flour", 200, null],
] as const)("%s is weighed and known", (text, amountText, ingredientId, massG, mostG) => {
  const parsed = parseLine(text, us);
  if (!parsed.ok) throw new Error(parsed.failure.code);
  expect(parsed.value).toMatchObject({ amountText, ingredientId });
  expect(parsed.value.confidence).toBeGreaterThanOrEqual(SURE);
  expect(parsed.value.massG).toBeCloseTo(massG, 1);
  if (mostG === null) expect(parsed.value.mostG).toBeNull();
  else expect(parsed.value.mostG).toBeCloseTo(mostG, 1);
});

test.each([
  ["1 cup moon dust", "What does one cup of moon dust weigh?"],
  ["3 widgets", "What does one widgets weigh?"],
])("%s is asked about, not guessed", (text, question) => {
  expect(parseLine(text, us)).toMatchObject({
    ok: true,
    value: { massG: null, confidence: 0, questions: [question] },
  });
});

test("salt to taste is in the total at a usual amount, and told to be a guess", () => {
  const parsed = parseLine("salt to taste", us);
  expect(parsed).toMatchObject({
    ok: true,
    value: { massG: 4, questions: ["salt, to taste: a guess of 4 g. How many grams do you take?"] },
  });
  expect(parsed.ok && parsed.value.confidence).toBeLessThan(SURE);
});

test("a paste is read line by line: name, lines, steps, and what does not read", () => {
  const paste =
    "Harbour crust\nIngredients:\n- 250 g flour\n- 2 eggs\nglug of oil\nMethod\n1. Rub.\n2. Rest 30 min.";
  expect(parseFormulaText(paste, rule)).toMatchObject({
    name: "Harbour crust",
    lines: [{ massG: 250 }, { massG: 102 }],
    steps: ["Rub.", "Rest 30 min."],
    unread: [{ text: "glug of oil", why: { code: "noAmountIn" } }],
  });
});

test("an amount field takes a bare number for grams, but for a count where things come in pieces", () => {
  expect(weighAmount("250", "water", null, rule)).toMatchObject({ ok: true, value: { massG: 250 } });
  expect(weighAmount("2", "eggs", null, rule)).toMatchObject({
    ok: true,
    value: { massG: 102, ingredientId: "egg" },
  });
  // Words that are no unit are not one gram.
  for (const text of ["a lot", "a lot of", "3 lots"])
    expect(refused(weighAmount(text, "cold butter", null, rule))?.words).toContain("no unit known here");
  expect(weighAmount("2 large", "eggs", null, rule).ok).toBe(true);
  expect(refused(weighAmount("1 cup", "starlight", null, rule))?.words).toBe(
    "What does one cup of starlight weigh? Write grams, or add it to the ingredient book.",
  );
});

test("whatever it is scaled by, the lines keep their proportions and the wanted figure is met", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...starterFormulas),
      fc.integer({ min: 10, max: 9000 }),
      (formula, wanted) => {
        const totalG = computeTotalG(formula);
        const line = formula.lines[wanted % formula.lines.length]!;
        const targets = [
          { by: "mass", usableG: wanted },
          { by: "pieces", pieces: wanted, perPieceG: 31 },
          { by: "ingredient", lineId: line.id, massG: wanted },
        ] as const;
        for (const by of targets) {
          const scaled = scaleBy(formula, by, "medium");
          if (!scaled.ok) throw new Error(scaled.failure.code);
          const { batch } = scaled.value;
          const sumG = batch.lines.reduce((sum, { massG }) => sum + massG, 0);
          expect(sumG / batch.weighedG).toBeCloseTo(1, 9);
          batch.lines.forEach(({ massG }, i) =>
            expect(massG / batch.weighedG).toBeCloseTo(
              computeTargetG(formula, formula.lines[i]!, null) / totalG,
              9,
            ),
          );
          if (by.by === "mass") expect(batch.usableG).toBeCloseTo(wanted, 9);
          if (by.by === "pieces") expect(batch.usableG).toBeCloseTo(wanted * 31, 6);
          if (by.by === "ingredient") {
            expect(batch.lines.find(({ lineId }) => lineId === line.id)!.massG).toBeCloseTo(wanted, 6);
          }
        }
      },
    ),
    { numRuns: 60 },
  );
});

test("whole eggs: rounded up, the rest with them, and the change is told", () => {
  const custard = find("saffron-custard");
  const writtenG = computeTotalG(custard) * (1 - 0.03);
  const scaled = scaleBy(custard, { by: "wholeEggs", usableG: writtenG * 0.5 }, "medium");
  if (!scaled.ok) throw new Error(scaled.failure.code);
  // Half of five yolks is two and a half: three, so six tenths of the formula.
  const yolks = scaled.value.batch.lines.find(({ ingredientId }) => ingredientId === "egg-yolk")!;
  expect(yolks.massG / computeEggG("medium", "yolk")).toBeCloseTo(3, 2);
  expect(scaled.value.change).toMatch(/^3 egg yolks instead of 2\.5: .* more in all, every line × 1\.2/);
  const eggless = scaleBy(find("bay-shortcrust"), { by: "wholeEggs", usableG: 100 }, "medium");
  expect(refused(eggless)?.words).toBe("Bay shortcrust has no eggs to make whole.");
});

test("allergens, cost and baker's percentages follow the lines; what the book does not know is named", () => {
  const crust = find("bay-shortcrust");
  const analysis = analyseFormula(crust, standardIngredients);
  expect(analysis.allergens).toEqual(["gluten", "milk"]);
  expect(analysis.bakersPercent!["bay-shortcrust-2"]).toBeCloseTo(51, 9);
  // 500/1500 · 130 + 255/250 · 240 + 8/750 · 70.
  expect(analysis.costMinor).toBeCloseTo(43.333 + 244.8 + 0.747, 2);
  const strange = { ...crust.lines[0]!, id: "x", name: "moon dust", ingredientId: null };
  const more = analyseFormula({ ...crust, lines: [...crust.lines, strange] }, standardIngredients);
  expect(more.unknownLines).toEqual(["moon dust"]);
  for (const formula of starterFormulas)
    expect(analyseFormula(formula, standardIngredients).unknownLines).toEqual([]);
});

test("two versions stand side by side, line by line", () => {
  const changed = { ...filling, lines: [{ ...filling.lines[0]!, massG: 700 }] };
  expect(compareFormulas(filling, changed)).toEqual([
    { name: "plums", beforeG: 900, afterG: 700, beforeShare: 0.9, afterShare: 1 },
    { name: "sugar", beforeG: 100, afterG: null, beforeShare: 0.1, afterShare: null },
  ]);
});

test("eggs cracked are eggs used and eggs left, whatever is asked for", () => {
  const grams = fc.double({ min: 0, max: 900, noNaN: true });
  fc.assert(
    fc.property(grams, grams, grams, (wholeG, yolkG, whiteG) => {
      const line = (ingredientId: string, massG: number) => ({
        lineId: ingredientId,
        name: ingredientId,
        massG,
        range: null,
        ingredientId,
      });
      const lines = [line("egg", wholeG), line("egg-yolk", yolkG), line("egg-white", whiteG)];
      const batch = { formulaId: "f", usableG: 0, weighedG: 0, scale: 1, lines };
      const balance = balanceEggs([batch], "large");
      const usedG = balance.wholeG + balance.yolksG + balance.whitesG;
      const leftG = balance.wholeLeftG + balance.yolksLeftG + balance.whitesLeftG;
      expect(balance.toCrack * computeEggG("large", "whole")).toBeCloseTo(usedG + leftG, 6);
      for (const each of [balance.wholeLeftG, balance.yolksLeftG, balance.whitesLeftG]) {
        expect(each).toBeGreaterThan(-1e-3);
      }
    }),
  );
});

test("divided pieces hold all the dough, in bodies of its volume", () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 40, max: 1500 }), { minLength: 1, maxLength: 8 }),
      fc.constantFrom("disc", "log", "ball", "brick" as const),
      (sheetsG, shape) => {
        const pieces = divideDough(sheetsG, shape, 1.2);
        const totalG = pieces.reduce((sum, { count, massG }) => sum + count * massG, 0);
        expect(totalG).toBeCloseTo(
          sheetsG.reduce((sum, massG) => sum + massG, 0),
          6,
        );
        for (const { body, massG } of pieces) {
          const volumeMl = { slab: 0, disc: 0, log: 0, ball: 0, brick: 0, ...measure(body) }[body.kind];
          expect(volumeMl * 1.2).toBeCloseTo(massG, 6);
        }
      },
    ),
    { numRuns: 40 },
  );
});

function measure(body: ReturnType<typeof divideDough>[number]["body"]): Record<string, number> {
  const disc = (diameterMm: number, heightMm: number) => (Math.PI * diameterMm ** 2 * heightMm) / 4000;
  if (body.kind === "disc") return { disc: disc(body.diameterMm, body.heightMm) };
  if (body.kind === "log") return { log: disc(body.diameterMm, body.lengthMm) };
  if (body.kind === "ball") return { ball: (Math.PI * body.diameterMm ** 3) / 6000 };
  if (body.kind === "brick") return { brick: (body.lengthMm * body.widthMm * body.heightMm) / 1000 };
  return {};
}

test("a weigh-out runs up to the whole batch, in the measures at hand", () => {
  const batch = scaleFormula(find("saffron-custard"), 500);
  const steps = listWeighSteps(batch, standardIngredients, "metric", "medium");
  expect(steps.at(-1)!.scaleShowsG).toBeCloseTo(batch.weighedG, 9);
  // 500 ml of milk in the formula, half of it, and a metric cup of 250 ml.
  expect(steps[0]!.measure).toBe("1 cup");
  expect(steps[2]!.measure).toBe(`${(5 * batch.scale).toFixed(1)} × egg yolk`);
});

test("fat without water to bind it tears; layers hold, and no dough tears more for more water", () => {
  const doughs = starterFormulas.filter((formula) => formula.kind === "dough");
  const tearsOf = (kind: string) => {
    const dough = doughs.find(({ method }) => method === kind)!;
    return findTearShare(dough, analyseFormula(dough, standardIngredients).composition);
  };
  expect(tearsOf("sweetCreamed")).toBeGreaterThan(0.03);
  expect([tearsOf("roughPuff"), tearsOf("cheese")]).toEqual([0, 0]);
  const share = fc.double({ min: 0, max: 0.6, noNaN: true });
  const dough = doughs.find(({ method }) => method === "sweetCreamed")!;
  fc.assert(
    fc.property(share, share, share, (fatShare, oneShare, otherShare) => {
      const at = (waterShare: number) =>
        findTearShare(dough, { fatShare, waterShare, sugarShare: 0.1, starchShare: 0.3 });
      const [dry, wet] = [Math.min(oneShare, otherShare), Math.max(oneShare, otherShare)];
      expect(at(wet)).toBeLessThanOrEqual(at(dry));
      expect(at(dry)).toBeLessThanOrEqual(0.2);
    }),
  );
});

test("an ingredient that is called as every object's own parts are is no egg", () => {
  for (const id of ["constructor", "toString", "__proto__", "hasOwnProperty", null])
    expect(isEgg(id)).toBe(false);
  for (const id of ["egg", "egg-yolk", "egg-white"]) expect(isEgg(id)).toBe(true);
});
