import Papa from "papaparse";
import type { DaySummary } from "@/core/run";
import { toDaysCsv } from "./daysCsv";

const day: DaySummary = {
  ...{
    date: "2026-11-21",
    name: "Market, Saturday",
    isClosed: true,
    isLeftOut: false,
    jobs: 12,
    jobsDone: 12,
  },
  ...{ plannedEndMin: 640, endMin: 655.4, trimG: 400, keptG: 0, unpriced: [] },
  pieces: [
    {
      ...{
        pieceId: "moon",
        name: "Quince half-moon",
        ordered: 70,
        planned: 74,
        made: 72,
        sold: null,
        lost: 2,
      },
      ...{
        faults: { leaked: 3, torn: 1 },
        plannedMin: 100.4,
        tookMin: 110,
        ingredientsMinor: 1480.2,
        handsMin: 9,
        heatKwh: 1.258,
      },
    },
  ],
};

test("a row is a piece of a day; what nobody said is empty; another program reads it back", () => {
  const { data, errors } = Papa.parse<Record<string, string>>(toDaysCsv([day]).trim(), { header: true });
  expect(errors).toEqual([]);
  expect(data).toEqual([
    {
      ...{ date: "2026-11-21", day: "Market, Saturday", "planned end": "10:40", end: "10:55" },
      ...{ piece: "Quince half-moon", ordered: "70", made: "72", sold: "", lost: "2" },
      ...{ "went wrong": "3 leaked; 1 torn", "planned min": "100", "took min": "110" },
      ...{ "ingredients, smallest coin": "1480", "oven kWh": "1.26" },
    },
  ]);
  expect(toDaysCsv([{ ...day, endMin: null }])).toContain(",10:40,,Quince");
});
