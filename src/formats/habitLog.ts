import Papa from "papaparse";
import { toTold, type FigureHabit, type FigureScale } from "@/core/habits";
import { writeCsv } from "./writeCsv";

/** A log that somebody brought, as rows to be checked one by one: CSV with a head, or JSON a line. */
export function readLogFile(text: string): readonly unknown[] {
  const first = text.trimStart()[0];
  return first === "{" ? readJsonLines(text) : readCsv(text);
}

const readJsonLines = (text: string): unknown[] =>
  text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== "")
    .map((line): unknown => {
      try {
        return JSON.parse(line);
      } catch {
        // Refused as no row, with its number.
        return line;
      }
    });

const numbers = new Set(["planned", "real", "offC"]);

function readCsv(text: string): unknown[] {
  const { data } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
    transformHeader: (head) => head.trim(),
  });
  return data.map((row) =>
    Object.fromEntries(
      Object.entries(row).map(([name, cell]) => {
        const word = String(cell ?? "").trim();
        return [name, numbers.has(name) ? (word === "" ? null : toNumber(word)) : word];
      }),
    ),
  );
}

/** A decimal comma is one; what is no number stays a word, and is refused as it stands. */
const toNumber = (word: string): number | string => {
  const value = Number(word.replace(",", "."));
  return Number.isFinite(value) ? value : word;
};

/** Every habit as it is told, one a row, shares and degrees as numbers. */
export const toHabitCsv = (
  habits: readonly {
    readonly habit: string;
    readonly name: string;
    readonly what: string;
    readonly scale: FigureScale;
    readonly known: FigureHabit;
  }[],
): string =>
  writeCsv(
    habits.map(({ habit, name, what, scale, known }) => {
      const tell = (value: number) => Number(toTold(scale, value).toFixed(TOLD_DIGITS));
      return {
        habit,
        name,
        what,
        unit: scale === "share" ? "of 1" : "degC",
        lots: known.lots,
        likely: tell(known.mean),
        low: tell(known.low),
        high: tell(known.high),
        "next low": tell(known.nextLow),
        "next high": tell(known.nextHigh),
      };
    }),
  );

/** Nobody tells a share finer. */
const TOLD_DIGITS = 4;
