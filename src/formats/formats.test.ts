import fc from "fast-check";
import jsonld from "jsonld";
import { layOutRows } from "@/core/cutting";
import { standardIngredients } from "@/core/formula";
import { starterFormulas } from "@/demo";
import { firstKitchen } from "@/schemas/firstKitchen";
import type { Formula } from "@/schemas/model";
import { validateFormula } from "@/schemas/validate";
import {
  readFormulaFile,
  toFormulaCsv,
  toRecipeJsonLd,
  toTemplateDxf,
  toTemplatePdf,
  toTemplateSvg,
  type CutTemplate,
} from ".";
import { readPdfStreams, readShippedFonts } from "./__tests__/testPdf";

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

test("a formula's table holds nothing that a spreadsheet would run, and still comes back the same", () => {
  const [base] = starterFormulas;
  for (const sign of ["=", "+", "-", "@", "'=", "''-"]) {
    const formula: Formula = { ...base!, name: `${sign}cmd|' /C calc'!A0`, steps: [`${sign}2+3`] };
    const csv = toFormulaCsv(formula);
    expect(csv.split(/\r?\n/).filter((row) => row.split(",").some((cell) => /^"?[=+@]/.test(cell)))).toEqual(
      [],
    );
    expect(readBack(csv)).toEqual(formula);
  }
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

test("what another's recipe says in sections is kept: every step, each section by its name", () => {
  const recipe = {
    "@type": "Recipe",
    recipeIngredient: ["250 g flour"],
    recipeInstructions: [
      {
        "@type": "HowToSection",
        name: "For the crust",
        itemListElement: [
          { "@type": "HowToStep", text: "Rub in the butter." },
          { "@type": "HowToStep", text: "Chill it." },
        ],
      },
      {
        "@type": "HowToSection",
        name: "To close",
        itemListElement: [{ "@type": "HowToStep", text: "Fold over." }],
      },
      { "@type": "HowToStep", text: "Bake." },
    ],
  };
  expect(readFormulaFile(JSON.stringify(recipe), rule)).toMatchObject({
    ok: true,
    value: {
      parsed: { steps: ["For the crust: Rub in the butter.", "Chill it.", "To close: Fold over.", "Bake."] },
    },
  });
});

test("a file of before, with the formula as a property, is still read whole", () => {
  const [formula] = starterFormulas;
  const former = {
    "@context": "https://schema.org",
    "@type": "Recipe",
    additionalProperty: { "@type": "PropertyValue", propertyID: "tezgah-formula", value: formula },
  };
  expect(readBack(JSON.stringify(former))).toEqual(formula);
});

test("by the rules of JSON-LD a recipe says its yield and times in schema.org's words, and its formula in its own", async () => {
  const terms = { "@context": { "@vocab": "https://schema.org/" } };
  const documentLoader = (url: string) =>
    Promise.resolve({ contextUrl: undefined, documentUrl: url, document: terms });
  for (const formula of starterFormulas) {
    const written = JSON.parse(toRecipeJsonLd(formula)) as jsonld.JsonLdDocument;
    const [recipe] = (await jsonld.expand(written, { documentLoader })) as Record<
      string,
      { "@value": unknown }[]
    >[];
    const told = (name: string) => recipe![`https://schema.org/${name}`]![0]!;
    expect(recipe!["@type"]).toEqual(["https://schema.org/Recipe"]);
    expect(recipe!["urn:tezgah:formula"]).toEqual([{ "@type": "@json", "@value": formula }]);
    const [prep, total] = ["prepTime", "totalTime"].map((name) => {
      const [, hours = "0", minutes = "0"] = /^PT(?:(\d+)H)?(?:(\d+)M)?$/.exec(
        told(name)["@value"] as string,
      )!;
      return Number(hours) * 60 + Number(minutes);
    });
    expect(prep).toBeGreaterThan(0);
    expect(total).toBeGreaterThanOrEqual(prep!);
    const yields = told("recipeYield") as unknown as Record<string, { "@value": unknown }[]>;
    const sumG = formula.lines.reduce((sum, { massG }) => sum + (massG ?? 0), 0);
    expect(
      Math.abs((yields["https://schema.org/value"]![0]!["@value"] as number) - sumG),
    ).toBeLessThanOrEqual(sumG * 0.25);
  }
});

test.each([
  ["", "nothing to read"],
  ["{", "no JSON"],
  ["[]", "no schema.org Recipe"],
  ['{"@type":"Recipe"}', "no recipeIngredient"],
  ["\u0000\u0001PK", "no text"],
  ["hello there", "No line has an amount"],
  ["row,name\nfigure,kind,{", "does not read"],
  ["long ".repeat(20_001), "5 too many"],
])("%p is refused with a reason", (text, reason) =>
  expect(readFormulaFile(text, rule)).toEqual({ ok: false, failure: expect.stringContaining(reason) }),
);

describe("a template at true size", () => {
  const outline = { kind: "disc", diameterMm: 90 } as const;
  const sheet = { widthMm: 420, heightMm: 310 };
  const layout = layOutRows({ outline, sheet, webMm: 2, marginMm: 8, mayTurn: true });
  if (!layout.ok) throw new Error(layout.failure.code);
  const template: CutTemplate = {
    title: "Moons & <more>",
    sheet,
    parts: [{ outline, placements: layout.value.placements }],
  };

  test("SVG: a ring has two lines, a drawn outline its corners at true size, turned as it lies", () => {
    const at = { xMm: 60, yMm: 50, angleDeg: 90 };
    const svg = toTemplateSvg({
      title: "t",
      sheet: { ...sheet, shape: "oval" },
      parts: [
        { outline: { kind: "ring", diameterMm: 80, holeMm: 46 }, placements: [at] },
        { outline: { kind: "rectangle", widthMm: 40, heightMm: 10 }, placements: [at] },
      ],
    });
    expect([...svg.matchAll(/ r="([\d.]+)"/g)].map(([, radius]) => radius)).toEqual(["40", "23"]);
    expect(svg).toContain('points="65,30 65,70 55,70 55,30"');
    expect(svg).toContain('rx="210" ry="155"');
  });

  test("SVG: one user unit is a millimetre, and the title is harmless", () => {
    const svg = toTemplateSvg(template);
    const [, width, box] = /width="([\d.]+)mm".*viewBox="([^"]+)"/.exec(svg)!;
    expect(Number(width)).toBe(Number(box!.split(" ")[2]));
    const radii = [...svg.matchAll(/<circle [^>]*r="([\d.]+)"/g)].map(([, radius]) => Number(radius));
    expect(radii).toEqual(Array.from({ length: layout.value.count }, () => 45));
    expect(svg).toContain("h100 m0,-2");
    expect(svg).not.toContain("<more>");
  });

  test("DXF: in millimetres, a circle a cut, where they lie", () => {
    const pairs = toTemplateDxf(template).split(/\r?\n/);
    const unit = pairs.indexOf("$INSUNITS");
    expect(pairs[unit + 2]!.trim()).toBe("4"); // 4 is millimetres
    const circles = pairs.filter((line) => line === "CIRCLE").length;
    expect(circles).toBe(layout.value.count);
    const first = pairs.indexOf("CIRCLE");
    const value = (code: string) =>
      Number(pairs[pairs.findIndex((line, i) => i > first && line.trim() === code) + 1]);
    const [placement] = layout.value.placements;
    expect([value("10"), value("20"), value("40")]).toEqual([placement!.xMm, 310 - placement!.yMm, 45]);
  });

  test.each([
    ["a4", 210, 297, 3, 2],
    ["letter", 215.9, 279.4, 3, 2],
  ] as const)(
    "PDF on %s: pages of that size, a bar of 100 mm on each",
    async (paper, widthMm, heightMm, columns, rows) => {
      const bytes = Buffer.from(await toTemplatePdf(template, paper, readShippedFonts()));
      const text = bytes.toString("latin1");
      const streams = readPdfStreams(bytes);
      const pages = streams.filter((stream) => stream.includes(" l"));
      expect(pages).toHaveLength(columns * rows);
      const objects = streams.join("\n") + text;
      const [, w, h] = /\/MediaBox \[ ?0 0 ([\d.]+) ([\d.]+)/.exec(objects)!;
      expect(Number(w) / (72 / 25.4)).toBeCloseTo(widthMm, 3);
      expect(Number(h) / (72 / 25.4)).toBeCloseTo(heightMm, 3);
      for (const page of pages) {
        const bars = [...page.matchAll(/([\d.]+) ([\d.]+) m\n([\d.]+) ([\d.]+) l\nS/g)].map(
          ([, x1, y1, x2, y2]) => Math.hypot(Number(x2) - Number(x1), Number(y2) - Number(y1)) / (72 / 25.4),
        );
        expect(bars.some((lengthMm) => Math.abs(lengthMm - 100) < 0.01)).toBe(true);
      }
    },
  );
});
