import fc from "fast-check";
import { findRows, placeCuts } from "../rows";
import type { Outline, SheetShape } from "../../shape";
import { countRow, firstRows } from "./rowPattern";

const cutters: readonly Outline[] = [
  { kind: "disc", diameterMm: 40 },
  { kind: "rectangle", widthMm: 62, heightMm: 35 },
  { kind: "triangle", legMm: 45 },
  { kind: "heart", widthMm: 44, heightMm: 41 },
];
const sheets: readonly SheetShape[] = [
  { widthMm: 500, heightMm: 300 },
  { widthMm: 310, heightMm: 460 },
  { widthMm: 400, heightMm: 400, shape: "oval" },
];

test("as many whole rows or rings as give enough are the first cuts of the whole pattern, and one row less would not do", () => {
  const any = fc.record({ cutter: fc.nat(3), sheet: fc.nat(2), enough: fc.integer({ min: 1, max: 140 }) });
  let shortened = 0;
  fc.assert(
    fc.property(any, ({ cutter, sheet, enough }) => {
      const outline = cutters[cutter]!;
      const whole = findRows({ outline, sheet: sheets[sheet]!, webMm: 1, marginMm: 5, mayTurn: true });
      const begun = firstRows(whole, enough);
      const cutsOf = (pattern: typeof whole) => placeCuts(outline, pattern, 1, { xMm: 5, yMm: 5 });
      expect(cutsOf(begun)).toEqual(cutsOf(whole).slice(0, begun.count));
      if (whole.count <= enough) return expect(begun).toBe(whole);
      shortened++;
      expect(begun.count).toBeGreaterThanOrEqual(enough);
      const sizes = [...(begun.rings ?? []).map(({ count }) => count), ...begun.rows.map(countRow)];
      const perPlace = whole.style === "halved" ? 2 : 1;
      expect(begun.count - sizes.at(-1)! * perPlace).toBeLessThan(enough);
    }),
    { numRuns: 60 },
  );
  expect(shortened).toBeGreaterThan(10);
});
