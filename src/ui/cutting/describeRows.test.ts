import { layOutRows } from "@/core/cutting";
import { inHouse } from "@/core/units";
import type { SheetShape } from "@/core/shape";
import { describeRows } from "./describeRows";

const rowsOn = (diameterMm: number, sheet: SheetShape) => {
  const layout = layOutRows({
    outline: { kind: "disc", diameterMm },
    sheet,
    webMm: 0,
    marginMm: 0,
    mayTurn: true,
  });
  if (!layout.ok) throw new Error(layout.failure.code);
  return describeRows(layout.value.pattern);
};

test("a ruler is told every pitch, every step and every shift of rows", () => {
  expect(rowsOn(100, { widthMm: 300, heightMm: 200 })).toEqual([
    "2 rows of 3, along the sheet",
    "cuts 100 mm apart",
    "rows 100 mm apart",
  ]);
  // Two columns pushed to either end by 30 of a spacing of 100, then staggered ones stretched to 115.
  const mixed = rowsOn(100, { widthMm: 460, heightMm: 330 });
  expect(mixed[0]).toBe("5 rows of 3 and 2, down the sheet");
  expect(mixed[1]).toBe("cuts 100 and 115 mm apart");
  expect(mixed[2]).toMatch(/^rows 95 and 100 and 82 mm apart$/);
  expect(mixed[3]).toMatch(/^shifted rows in by 30 and 5[78] mm$/);
});

test("a ruler of inches is told its own marks", () => {
  const told = inHouse({ lengthUnit: "inch", massUnit: "ounce" }, () =>
    rowsOn(101.6, { widthMm: 304.8, heightMm: 203.2 }),
  );
  expect(told).toEqual(["2 rows of 3, along the sheet", "cuts 4 in apart", "rows 4 in apart"]);
});

test("on a round sheet rows begin whole pitches apart; only the shift over those is told", () => {
  expect(rowsOn(60, { shape: "oval", widthMm: 400, heightMm: 400 })).toContain("shifted rows in by 30 mm");
});

test("rings are told by their centres, how they are turned and what stands in the middle", () => {
  // Twelve and six about one: two rings that reach into each other (radius 4.8637 of a round's).
  const across = 60 * 4.8637 * (1 + 2.5e-4);
  expect(rowsOn(60, { shape: "oval", widthMm: across, heightMm: across })).toEqual([
    "2 rings of 12 and 6 and one in the middle",
    "their centres 116 and 60 mm from the sheet’s",
    "each turned by 15° against the one outside it",
  ]);
  // Six touch in a ring; a seventh fits in the middle, as rows have it too: those are plainer.
  expect(rowsOn(100, { shape: "oval", widthMm: 300.2, heightMm: 300.2 })[0]).toMatch(/rows of/);
});
