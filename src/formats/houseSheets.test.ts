import { listDemoRecords } from "@/demo";
import { listLabels } from "@/core/labels";
import { planDay } from "@/core/plan";
import { inHouse, metricMeasures, setHouseMeasures, type HouseMeasures } from "@/core/units";
import { FIRST_WISH } from "@/schemas/labelWish";
import { toDayBook } from "@/schemas/toDayBook";
import { toDayCsv, toDayPdf, toPrintedLabels, toTemplatePdf, toTemplateSvg, type CutTemplate } from ".";
import { describeLabel } from "./labelText";
import { readPdfTexts, readShippedFonts } from "./__tests__/testPdf";

afterEach(() => setHouseMeasures(metricMeasures));

const inches: HouseMeasures = { lengthUnit: "inch", massUnit: "ounce" };
const written = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const bookIn = (measures: HouseMeasures) => ({ ...written, kitchen: { ...written.kitchen, ...measures } });

/** A mass or a length in metric, but of what somebody typed: leeks are sliced 2 mm in any house. */
const METRIC = /\d ?(mm|cm|g|kg)\b(?!\/ml)/g;
const TYPED = new Set(
  written.formulas.flatMap(({ lines }) => lines.map(({ name }) => name.match(METRIC)?.[0])),
);
const findMetric = (text: string) => (text.match(METRIC) ?? []).filter((each) => !TYPED.has(each));

test("the sheet by the clock is printed in ounces where the house has them, and in grams where it has those", async () => {
  const textsIn = async (measures: HouseMeasures) => {
    const book = bookIn(measures);
    const plan = planDay(book);
    // A thread of its own prints it, whose measures are set at its door.
    setHouseMeasures(measures);
    const pages = await toDayPdf(book, plan, "letter", readShippedFonts());
    return { text: (await readPdfTexts(pages)).flat().join(" "), plan };
  };
  const [other, metric] = [await textsIn(inches), await textsIn(metricMeasures)];
  const { shaped } = other.plan.lines[0]!;
  expect(findMetric(other.text)).toEqual([]);
  expect(other.text).toContain(`${(shaped.portion.massG / 28.349523125).toFixed(2)} oz`);
  expect(metric.text).toContain(`${Math.round(shaped.portion.massG)} g`);
  expect(metric.text).not.toMatch(/\d (oz|in)\b/);
}, 120_000);

test("a label weighs in the house's unit", () => {
  const book = bookIn(inches);
  const labels = listLabels("piece", planDay(book), book);
  const told = inHouse(inches, () => toPrintedLabels(labels, FIRST_WISH, "celsius"));
  const weights = told.map(({ paragraphs }) => JSON.stringify(paragraphs).match(/About [^"]+/)?.[0]);
  expect(weights).toEqual(
    labels.map(({ massG, count }) => `About ${(massG / Math.max(count, 1) / 28.349523125).toFixed(2)} oz`),
  );
  const inGrams = describeLabel(labels[0]!, { ...FIRST_WISH, ovenScale: "celsius" });
  expect(JSON.stringify(inGrams)).toMatch(/About \d+ g/);
});

const template: CutTemplate = {
  title: "Half-moons",
  sheet: { shape: "rectangle", widthMm: 200, heightMm: 150 },
  parts: [],
};

test("the bar that a template is checked by is told in the house's unit, and is as long in all of them", async () => {
  const bar = (svg: string) => /M4[^"]*|x2="[\d.]+"/.exec(svg)?.[0];
  const [metric, other] = [toTemplateSvg(template), inHouse(inches, () => toTemplateSvg(template))];
  expect(metric).toContain(">100 mm · Half-moons<");
  expect(other).toContain(">3 15/16 in · Half-moons<");
  expect(bar(other)).toBe(bar(metric));
  setHouseMeasures(inches);
  const pdf = await toTemplatePdf(template, "letter", readShippedFonts());
  expect((await readPdfTexts(pdf)).flat().join(" ")).not.toContain("100 mm");
});

test("a file of jobs is a file: its columns name what they hold, whatever the house measures in", () => {
  const headOf = (measures: HouseMeasures) => {
    const book = bookIn(measures);
    return toDayCsv(planDay(book), book).split("\n")[0];
  };
  expect(headOf(inches)).toBe(headOf(metricMeasures));
});
