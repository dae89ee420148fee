import { existsSync, readFileSync } from "node:fs";

/** Rows of the tables of a page: each promise, and in its last cell the test that holds it. */
const listPromises = (
  page: string,
): { readonly row: string; readonly file: string; readonly title: string }[] =>
  readFileSync(page, "utf8")
    .split("\n")
    .filter((line) => line.startsWith("| ") && !/^\| (-+ \||who |promise )/.test(line))
    .map((line) => {
      const cells = line.split("|").map((cell) => cell.trim());
      const [, file = "", title = ""] = /^`([^`]+)`: (.+)$/.exec(cells.at(-2) ?? "") ?? [];
      return { row: cells[1] ?? "", file, title };
    });

test.each(["docs/THREATS.md", "docs/running.md"])(
  "every promise of %s names a test that is there",
  (page) => {
    const promises = listPromises(page);
    expect(promises.length).toBeGreaterThan(6);
    for (const { row, file, title } of promises) {
      const held = existsSync(file) && readFileSync(file, "utf8").includes(title);
      expect(`${row}: ${held ? "held" : `no test “${title}” in ${file}`}`).toBe(`${row}: held`);
    }
  },
);
