import fc from "fast-check";
import { standardIngredients } from "@/core/formula";
import { starterFormulas } from "@/demo";
import { firstKitchen } from "@/schemas/firstKitchen";
import type { Formula } from "@/schemas/model";
import { validateFormula } from "@/schemas/validate";
import { readFormulaFile, toFormulaCsv, toRecipeJsonLd } from ".";

const rule = { ...firstKitchen, ingredients: standardIngredients };

/** What a file gives back, through the same checks as an import. */
function readBack(text: string): unknown {
  const read = readFormulaFile(text, rule);
  if (!read.ok) throw new Error(read.failure);
  if (read.value.kind !== "whole") throw new Error("read as text");
  const valid = validateFormula(read.value.document);
  if (!valid.ok) throw new Error(JSON.stringify(valid.failure));
  return valid.value;
}

const hostile = fc
  .string({ minLength: 1, maxLength: 30 })
  .filter((text) => text.trim() === text && text !== "");

test("export then import gives the same formula, as JSON-LD and as CSV, whatever its names", () => {
  for (const formula of starterFormulas) {
    expect(readBack(toRecipeJsonLd(formula))).toEqual(formula);
    expect(readBack(toFormulaCsv(formula))).toEqual(formula);
  }
  fc.assert(
    fc.property(hostile, hostile, fc.constantFrom(...starterFormulas), (name, step, base) => {
      const printable = (text: string) =>
        text.replace(/[\u0000-\u001f\ufffd\ud800-\udfff]/g, "#").trim() || "#";
      const [first, ...rest] = base.lines;
      const formula: Formula = {
        ...base,
        name: printable(name),
        steps: [printable(step)],
        lines: [{ ...first!, name: printable(name) }, ...rest],
      };
      expect(readBack(toRecipeJsonLd(formula))).toEqual(formula);
      expect(readBack(toFormulaCsv(formula))).toEqual(formula);
    }),
    { numRuns: 150 },
  );
});

test("another's recipe is read as text: in a graph, with steps as objects", () => {
  const recipe = {
    "@graph": [
      { "@type": "WebPage" },
      {
        "@type": ["Recipe"],
        name: "Pocket",
        recipeIngredient: ["250 g flour", "2 eggs"],
        recipeInstructions: [{ "@type": "HowToStep", text: "Mix." }, "Rest."],
      },
    ],
  };
  expect(readFormulaFile(JSON.stringify(recipe), rule)).toMatchObject({
    ok: true,
    value: { parsed: { name: "Pocket", lines: [{ massG: 250 }, { massG: 102 }], steps: ["Mix.", "Rest."] } },
  });
  expect(readFormulaFile("amount,ingredient\n250 g,flour\n1 tsp,fine salt\n", rule)).toMatchObject({
    ok: true,
    value: { parsed: { lines: [{ massG: 250 }, { massG: 6 }] } },
  });
});

test.each([
  ["", "nothing to read"],
  ["{", "no JSON"],
  ["[]", "no schema.org Recipe"],
  ['{"@type":"Recipe"}', "no recipeIngredient"],
  ["\u0000\u0001PK", "no text"],
  ["hello there", "No line has an amount"],
  ["row,name\nfigure,kind,{", "does not read"],
  ["x".repeat(100_001), "1 too many"],
])("%.20p is refused with a reason", (text, reason) =>
  expect(readFormulaFile(text, rule)).toEqual({ ok: false, failure: expect.stringContaining(reason) }),
);
