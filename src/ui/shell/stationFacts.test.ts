import { planDay, type DayBook } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { formatDayDate, formatShortDate } from "./formatDayDate";
import { listDifferences } from "./listDifferences";
import { listStationFacts } from "./stationFacts";
import { formatClock } from "@/core/units";

const records = listDemoRecords();
const demo = toDayBook(records, "2026-11-28", null)!;
const factsOf = (book: DayBook) =>
  Object.fromEntries(listStationFacts(planDay(book)).map((fact) => [fact.id, fact]));

test("the strip shows each station's own figure of the plan", () => {
  const plan = planDay(demo);
  const facts = factsOf(demo);
  expect(Object.keys(facts)).toEqual(["orders", "mix", "roll", "fill", "seal", "bake", "cool"]);
  expect(facts.orders).toMatchObject({ figure: "148 pieces", note: "first by 09:00", problems: [] });
  expect(facts.mix!.figure).toBe(`${(plan.tally.doughG / 1000).toFixed(2)} kg`);
  expect(facts.roll!.figure).toBe(`${plan.cuts.flatMap((cut) => cut.plan.sheets).length} sheets`);
  // Three oven loads and two lots for the fryer.
  const loads = plan.tasks.filter(({ kind }) => kind === "bake" || kind === "fry").length;
  expect(facts.bake!.note).toBe(`light oven · ${loads} loads`);
  expect(plan.tally.readyMin).toBeLessThanOrEqual(11 * 60 + 30);
  expect(facts.cool).toMatchObject({ figure: formatClock(plan.tally.readyMin!), note: "last pieces ready" });
});

test("a day without orders shows nothing that it does not know", () => {
  const facts = Object.values(factsOf({ ...demo, orders: [] }));
  expect(facts.map(({ figure }) => figure)).toEqual(Array.from({ length: 7 }, () => "–"));
});

test("what has to be decided stands at its own station", () => {
  const wide = demo.pieces.map((piece, i) => (i === 0 ? { ...piece, marginMm: 60 } : piece));
  const facts = factsOf({ ...demo, pieces: wide });
  expect(facts.fill!.problems.map(({ message }) => message)).toEqual([
    expect.stringContaining("leaves nothing to fill"),
  ]);
  expect(facts.orders!.problems).toEqual([]);
});

test("two versions of a record differ in words, units in brackets, nested parts whole", () => {
  const theirs = { name: "Moon", marginMm: 13, bakeLossShare: 0.1, cut: { kind: "disc", diameterMm: 90 } };
  const mine = { name: "Moon", marginMm: 15, bakeLossShare: 0.2, cut: { kind: "disc", diameterMm: 95 } };
  expect(listDifferences(theirs, mine)).toEqual([
    { name: "marginMm", field: "margin (mm)", theirs: "13", mine: "15" },
    { name: "bakeLossShare", field: "bake loss", theirs: "0.1", mine: "0.2" },
    {
      name: "cut",
      field: "cut",
      theirs: "kind disc, diameter (mm) 90",
      mine: "kind disc, diameter (mm) 95",
    },
  ]);
  expect(listDifferences(theirs, theirs)).toEqual([]);
  expect(listDifferences(null, { ovenC: 200 })).toEqual([
    { name: "ovenC", field: "oven (°C)", theirs: "–", mine: "200" },
  ]);
});

test("dates are said as a baker says them", () => {
  expect(formatDayDate("2026-11-28")).toBe("Sat 28 November 2026");
  expect(formatShortDate("2026-11-26")).toBe("Thu 26 Nov");
});
