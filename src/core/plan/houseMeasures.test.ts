import { planDay } from ".";
import { freezeRun } from "../run";
import { metricMeasures, readHouseMeasures, type HouseMeasures } from "../units";
import { listDemoRecords } from "@/demo";
import { pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";

const records = listDemoRecords();
const dates = pickRecords(records, "day").map(({ date }) => date);
const inches: HouseMeasures = { lengthUnit: "inch", massUnit: "ounce" };

function planIn(date: string, measures: HouseMeasures) {
  const book = toDayBook(records, date, null)!;
  const inMeasures = { ...book, kitchen: { ...book.kitchen, ...measures } };
  return { book: inMeasures, plan: planDay(inMeasures) };
}

/** What the book itself is written in stays: names, notes and lines as they were typed. */
const listTyped = (book: unknown): Set<string> => new Set(listTexts(book));

function listTexts(value: unknown): string[] {
  if (typeof value === "string") return [value];
  if (value instanceof Map) return listTexts([...value.values()]);
  return value !== null && typeof value === "object" ? Object.values(value).flatMap(listTexts) : [];
}

/** A length or a mass in metric; a density has no other unit in any kitchen. */
const METRIC = /\d ?(mm|cm|g|kg)\b(?!\/ml)/;

test.each(dates)("%s is told to a house of inches without a millimetre or a gram", (date) => {
  const { book, plan } = planIn(date, inches);
  const typed = listTyped(book);
  const texts = [...listTexts({ ...plan, problem: null }), ...listTexts(freezeRun(plan, book)?.jobs)];
  expect(texts.filter((text) => METRIC.test(text) && !typed.has(text))).toEqual([]);
  expect(texts.some((text) => /\d (in|oz|lb)\b/.test(text))).toBe(true);
});

test("the measures change no figure, and what was told before in others is not told again", () => {
  const date = dates[0]!;
  const figuresOf = (plan: unknown): unknown =>
    JSON.parse(JSON.stringify(plan, (_, value: unknown) => (typeof value === "string" ? "" : value)));
  const [metric, other, again] = [metricMeasures, inches, metricMeasures].map(
    (measures) => planIn(date, measures).plan,
  );
  expect(figuresOf(other)).toEqual(figuresOf(metric));
  expect(again).toEqual(metric);
  expect(readHouseMeasures()).toBe(metricMeasures);
});
