import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { listPriors, writePriors } from "../../scripts/listPriors";

const priors = listPriors("src/core");

test("every named figure of the core says why it is what it is", () => {
  expect(priors.length).toBeGreaterThan(300);
  expect(
    priors.filter(({ reason }) => reason.length < 12).map(({ file, name }) => `${file} ${name}`),
  ).toEqual([]);
});

test("docs/priors.md is what the code says: npm run priors writes it anew", () => {
  expect(readFileSync("docs/priors.md", "utf8")).toBe(writePriors(priors));
});

test("a figure is read with its unit and its reason, a list and a sum too; what is none is left out", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "tezgah-priors-"));
  writeFileSync(
    path.join(folder, "a.ts"),
    `/** Core of a custard,\n * set | safe. */\nexport const SET_C = 82;\nconst BELOW_C = -18;\n
/** Two and a half. */\nconst SPAN_MIN = [2, 2.5 * 60] as const;\n
/** Not a figure. */\nconst NAMES = ["a"];\nconst small = 3;\n
/** Between both. */\nconst FROM = SET_C - BELOW_C;\n`,
  );
  writeFileSync(path.join(folder, "a.test.ts"), "const HIDDEN_MM = 4;\n");
  const read = listPriors(folder);
  rmSync(folder, { recursive: true });
  expect(read.map(({ name, value, unit, reason }) => [name, value, unit, reason])).toEqual([
    ["SET_C", "82", "°C", "Core of a custard, set | safe."],
    ["BELOW_C", "-18", "°C", "Core of a custard, set | safe."],
    ["SPAN_MIN", "[2, 2.5 * 60]", "min", "Two and a half."],
    ["FROM", "SET_C - BELOW_C", "", "Between both."],
  ]);
  expect(writePriors(read)).toContain("| `SET_C` (a.ts) | 82 | °C | Core of a custard, set \\| safe. |");
});
