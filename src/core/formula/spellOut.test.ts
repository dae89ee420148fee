import { parseFormulaText } from "./parseFormulaText";
import { SURE } from "./matchIngredient";
import { parseLine, type KitchenRule } from "./parseLine";
import { standardIngredients } from ".";
import { splitJoined, spellOut } from "./spellOut";

const rule: KitchenRule = { system: "us", eggSize: "usLarge", ingredients: standardIngredients };
const read = (text: string) => {
  const line = parseLine(text, rule);
  if (!line.ok) throw new Error(line.failure.code);
  return line.value;
};

test.each([
  ["zest of 1 lemon", "lemon-zest", 6],
  ["the finely grated zest of 2 oranges", "orange-zest", 20],
  ["1 lemon, zest only", "lemon-zest", 6],
  ["juice of 2 lemons", "lemon-juice", 90],
  ["1 orange, juiced", "orange-juice", 75],
])("“%s” is that part of the fruit, by the piece, and told to be a guess", (text, ingredientId, massG) => {
  const line = read(text);
  expect(line).toMatchObject({ ingredientId, massG });
  expect(line.confidence).toBeLessThan(SURE);
  expect(line.questions.at(-1)).toMatch(/Right\?$/);
});

test("juice is not chopped fruit: a lemon that is juiced weighs less than a lemon", () => {
  expect(read("1 lemon, juiced").massG).toBeLessThan(read("1 lemon").massG!);
});

test("a pinch is one pinch, whether it is said or not", () => {
  expect(read("pinch of salt")).toMatchObject({
    ...read("a pinch of salt"),
    text: "pinch of salt",
    amountText: expect.anything(),
  });
});

test("small and large pieces weigh less and more than usual ones", () => {
  const [small, usual, large] = ["2 small apples", "2 apples", "2 large apples"].map(
    (text) => read(text).massG!,
  );
  expect(small).toBeLessThan(usual!);
  expect(large).toBeGreaterThan(usual!);
  // An egg's size is its own, not that of fruit.
  expect(read("2 large eggs").massG).toBeCloseTo(read("2 eggs").massG!, 9);
});

test.each([
  ["1 cup flour plus 2 tbsp", ["1 cup flour", "2 tbsp flour"]],
  ["2 tbsp sugar + 1 tsp cinnamon", ["2 tbsp sugar", "1 tsp cinnamon"]],
  ["100 g butter plus 1 tbsp milk", ["100 g butter", "1 tbsp milk"]],
  ["200 g flour", ["200 g flour"]],
  ["50 g butter plus more for the tin", ["50 g butter plus more for the tin"]],
])("“%s” holds so many lines", (text, lines) => {
  expect(splitJoined(text)).toEqual(lines);
});

test("nothing is left out of a pasted formula's total", () => {
  const { lines, unread } = parseFormulaText(
    "Lemon filling\n1 cup flour plus 2 tbsp\nzest of 1 lemon\n1 lemon, juiced\npinch of salt\nvanilla to taste",
    rule,
  );
  expect(unread).toEqual([]);
  expect(lines).toHaveLength(6);
  expect(lines.every(({ massG }) => massG !== null && massG > 0)).toBe(true);
  expect(lines.filter(({ confidence }) => confidence < SURE).map(({ name }) => name)).toEqual([
    "lemon zest",
    "lemon juice",
    "vanilla",
  ]);
});

test("what says no part and no little thing stays as it was typed", () => {
  for (const text of ["3 lemons, sliced", "200 ml orange juice", "1 lemon"])
    expect(spellOut(text)).toEqual({ text, isPart: false });
});
