import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import Papa from "papaparse";
import { unmark, writeCsv } from "./writeCsv";

const cell = fc.oneof(
  fc.string(),
  fc.constantFrom("=1+1", "+2", "-3", "@SUM(A1)", "\t=1", "'=1", "''@", 'a"b', "a,b", "a\nb"),
);

test("no cell of text is run by a spreadsheet, and every one comes back as it was; figures stay figures", () => {
  fc.assert(
    fc.property(fc.array(fc.record({ name: cell, count: fc.integer() }), { minLength: 1 }), (rows) => {
      const text = writeCsv(rows);
      const { data } = Papa.parse<{ name: string; count: string }>(text, {
        header: true,
        skipEmptyLines: false,
      });
      const read = data.slice(0, rows.length);
      for (const { name } of read) expect(name).not.toMatch(/^[=+\-@\t\r]/);
      expect(read.map(({ name, count }) => [unmark(name), Number(count)])).toEqual(
        rows.map(({ name, count }) => [name, count]),
      );
    }),
  );
});

test("all CSV is written here: no other format calls the package's writer but the one that gives back what was pasted", () => {
  const callers = readdirSync("src/formats").filter(
    (file) => /^\w+\.ts$/.test(file) && readFileSync(`src/formats/${file}`, "utf8").includes("Papa.unparse("),
  );
  expect(callers).toEqual(["readOrders.ts", "writeCsv.ts"]);
});
