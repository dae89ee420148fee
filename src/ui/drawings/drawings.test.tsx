/** @jest-environment jsdom */
import { render } from "@testing-library/react";
import { computeAreaMm2 } from "@/core/shape";
import { metricMeasures, parseLength, setHouseMeasures } from "@/core/units";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { DividedDrawing } from "./DividedDrawing";
import { toDrawnParts } from "./drawnParts";
import { FaceMark } from "./PieceMark";
import { PlanDrawing } from "./PlanDrawing";
import { SeamDrawing } from "./SeamDrawing";
import { SectionDrawing } from "./SectionDrawing";
import { SheetDrawing } from "./SheetDrawing";
import { TrayDrawing } from "./TrayDrawing";

/** Between them every form, seal and vent of the demo's book. */
const days = ["2026-11-28", "2026-11-30", "2026-12-05"].map((date) => readDemoDay(date).plan);
const lines = days.flatMap((plan) => plan.lines);

/** A drawing's svg; nothing in it is no number. */
function draw(drawing: React.ReactNode): SVGSVGElement {
  const { container } = render(drawing);
  const svg = container.querySelector("svg")!;
  expect(svg.outerHTML).not.toMatch(/NaN|Infinity|undefined/);
  const [, , widthMm, heightMm] = svg
    .getAttribute("viewBox")!
    .split(/[\s,]+/)
    .map(Number);
  expect(widthMm! * heightMm!).toBeGreaterThan(0);
  return svg;
}

/** Every coordinate of points and circles lies within the frame, give or take a line's breadth. */
function expectInside(svg: SVGSVGElement) {
  const [left, top, width, height] = svg
    .getAttribute("viewBox")!
    .split(/[\s,]+/)
    .map(Number) as [number, number, number, number];
  const slackMm = Math.max(width, height) / 50;
  for (const shape of svg.querySelectorAll("polygon, polyline")) {
    if (shape.closest("[transform], defs, pattern, clipPath")) continue;
    for (const pair of shape.getAttribute("points")!.trim().split(/\s+/)) {
      const [x, y] = pair.split(",").map(Number) as [number, number];
      expect([
        x >= left - slackMm,
        x <= left + width + slackMm,
        y >= top - slackMm,
        y <= top + height + slackMm,
      ]).toEqual([true, true, true, true]);
    }
  }
}

test("in a house of inches every figure of a drawing is a fraction of a rule, told and read out", () => {
  setHouseMeasures({ lengthUnit: "inch", massUnit: "gram" });
  for (const { piece, shaped } of lines) {
    const { formed, seal } = shaped;
    const drawings = [
      <SectionDrawing key="section" formed={formed} name={piece.name} />,
      <PlanDrawing key="plan" formed={formed} seal={seal} vents={piece.vents} name={piece.name} />,
    ];
    for (const drawing of drawings) {
      const svg = draw(drawing);
      expect(svg.getAttribute("aria-label")).not.toContain("millimetres");
      for (const { textContent } of svg.querySelectorAll("text"))
        for (const figure of textContent.match(/\d[\d /.]*/g) ?? []) {
          const read = parseLength(figure.trim());
          // Nothing of small pastry is half a metre wide: a figure in millimetres would be.
          expect([piece.name, textContent, read.ok && read.value < 500]).toEqual([
            piece.name,
            textContent,
            true,
          ]);
        }
    }
  }
  setHouseMeasures(metricMeasures);
});

test.each(lines.map((line) => [line.piece.name, line] as const))(
  "%s: section, face, seam and tray are drawn whole, within their frames, and say their size",
  (name, line) => {
    const {
      piece,
      loading,
      shaped: { formed, seal },
      counts: { toFill },
    } = line;
    const section = draw(<SectionDrawing formed={formed} name={name} />);
    expectInside(section);
    expect(section.getAttribute("aria-label")).toContain(
      `${Math.round(formed.section.heightMm)} millimetres high`,
    );
    const face = draw(<PlanDrawing formed={formed} seal={seal} vents={piece.vents} name={name} />);
    expectInside(face);
    expect(face.getAttribute("aria-label")).toContain(name);
    // The mark beside its name is the same piece, within a square, with nothing left to read out.
    const mark = draw(<FaceMark fromAbove={formed.fromAbove} vents={piece.vents} />);
    expectInside(mark);
    expect(mark.querySelector("polygon")!.getAttribute("points")).toBe(
      face.querySelector("polygon")!.getAttribute("points"),
    );
    expect(mark.getAttribute("aria-hidden")).toBe("true");
    if (seal) {
      const seam = draw(<SeamDrawing seal={seal} vents={piece.vents} name={name} />);
      expect(seam.getAttribute("aria-label")).toContain(`${Math.round(seal.seamMm)} millimetres`);
    }
    const count = Math.min(loading.perTray, Math.max(toFill, 1));
    const tray = draw(<TrayDrawing loading={loading} formed={formed} count={count} name={name} />);
    expect(tray.getAttribute("aria-label")).toContain(`with ${count} of ${name}`);
  },
);

test("each sheet shows as many cuts as it counts, and what they cover is what the plan says is used", () => {
  for (const { cuts } of days)
    for (const { plan, roles } of cuts)
      plan.sheets.forEach((sheet, i) => {
        const svg = draw(
          <SheetDrawing
            sheet={sheet.sheet}
            parts={toDrawnParts(sheet, roles)}
            raggedMm={sheet.marginMm}
            rerolled={sheet.pass > 0}
            title={`sheet ${i}`}
            limit={{ widthMm: 900, heightMm: 900 }}
            onResize={null}
          />,
        );
        const placed = sheet.parts.reduce((sum, part) => sum + part.placements.length, 0);
        expect(placed).toBe(sheet.count);
        expect(svg.querySelectorAll("use, circle, polygon, path").length).toBeGreaterThanOrEqual(placed);
        const coveredMm2 = sheet.parts.reduce(
          (sum, { outline, placements }) => sum + computeAreaMm2(outline) * placements.length,
          0,
        );
        expect(coveredMm2).toBeLessThanOrEqual(sheet.sheet.widthMm * sheet.sheet.heightMm);
        expect(coveredMm2 / (sheet.sheet.widthMm * sheet.sheet.heightMm)).toBeGreaterThan(0.3);
      });
});

test("dough is divided into pieces drawn to one scale, the heaviest the largest", () => {
  for (const { doughs } of days)
    for (const { divided, formula } of doughs) {
      if (divided.length === 0) continue;
      const svg = draw(<DividedDrawing pieces={divided} name={formula.name} />);
      const total = divided.reduce((sum, { count }) => sum + count, 0);
      expect(svg.getAttribute("aria-label")).toContain(`${total} piece`);
    }
});
