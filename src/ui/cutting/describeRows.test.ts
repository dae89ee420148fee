import { layOutRows } from "@/core/cutting";
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
  if (!layout.ok) throw new Error(layout.failure.message);
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

test("on a round sheet rows begin whole pitches apart; only the shift over those is told", () => {
  expect(rowsOn(60, { shape: "oval", widthMm: 400, heightMm: 400 })).toContain("shifted rows in by 30 mm");
});
