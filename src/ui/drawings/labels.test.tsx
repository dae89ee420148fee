/** @jest-environment jsdom */
import { render } from "@testing-library/react";
import { NO_PAST, shapePiece, toShapeContext, type Piece } from "@/core/plan";
import type { Outline } from "@/core/shape";
import { starters } from "@/demo";
import { firstKitchen } from "@/schemas/firstKitchen";
import { PlanDrawing } from "./PlanDrawing";
import { SeamDrawing } from "./SeamDrawing";
import { SectionDrawing } from "./SectionDrawing";
import { SheetDrawing } from "./SheetDrawing";

/** Figures of the shipped face are no wider than this, of their size; measured in Chromium: 0.56 to 0.60. */
const WIDEST_SHARE = 0.6;
/** A line of figures is so high, of its size. */
const HIGH_SHARE = 0.75;

interface Box {
  readonly text: string;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Where the words of a drawing stand, by their anchor, place and turn. */
function boxesOf(svg: SVGSVGElement): Box[] {
  return [...svg.querySelectorAll("text")].map((element) => {
    const text = element.textContent;
    const size = Number(element.getAttribute("font-size"));
    const transform = element.getAttribute("transform") ?? "";
    const [x, y] = /translate\((\S+) (\S+)\)/.exec(transform)!.slice(1).map(Number) as [number, number];
    const wide = text.length * size * WIDEST_SHARE;
    const high = size * HIGH_SHARE;
    const anchor = element.getAttribute("text-anchor");
    if (transform.includes("rotate(-90)"))
      return { text, left: x - high / 2, right: x + high / 2, top: y - wide / 2, bottom: y + wide / 2 };
    const left = anchor === "middle" ? x - wide / 2 : anchor === "end" ? x - wide : x;
    return { text, left, right: left + wide, top: y - high / 2, bottom: y + high / 2 };
  });
}

function expectWhole(svg: SVGSVGElement, what: string): void {
  const [left, top, width, height] = svg
    .getAttribute("viewBox")!
    .split(/[\s,]+/)
    .map(Number) as [number, number, number, number];
  const boxes = boxesOf(svg);
  expect(boxes.length).toBeGreaterThan(0);
  for (const box of boxes)
    expect([
      what,
      box.text,
      box.left >= left,
      box.right <= left + width,
      box.top >= top,
      box.bottom <= top + height,
    ]).toEqual([what, box.text, true, true, true, true]);
  boxes.forEach((one, i) =>
    boxes.slice(i + 1).forEach((other) => {
      const apart =
        one.right <= other.left ||
        other.right <= one.left ||
        one.bottom <= other.top ||
        other.bottom <= one.top;
      expect([what, one.text, other.text, apart]).toEqual([what, one.text, other.text, true]);
    }),
  );
}

/** Every length of it times so much. */
const scale = (outline: Outline, by: number): Outline =>
  Object.fromEntries(
    Object.entries(outline).map(([key, value]) => [
      key,
      typeof value === "number" && key.endsWith("Mm") ? value * by : value,
    ]),
  ) as unknown as Outline;

const SIZES = [0.5, 0.75, 1, 1.5, 2.2];
const MARGINS_MM = [3, 10, 18];

test.each(starters.map((starter) => [starter.title, starter] as const))(
  "%s: no figure of its drawings is cut off or stands on another, however small or large it is",
  (title, { piece, dough, filling, others }) => {
    const context = toShapeContext({
      formulas: [dough, filling, ...others],
      kitchen: firstKitchen,
      lotRecords: [],
      past: NO_PAST,
    });
    let drawn = 0;
    for (const size of SIZES)
      for (const marginMm of MARGINS_MM) {
        const sized: Piece = { ...piece, cut: scale(piece.cut, size), marginMm };
        const shaped = shapePiece(sized, dough, filling, context);
        if (!shaped.ok) continue;
        drawn++;
        const { formed, seal } = shaped.value;
        const what = `${title} × ${size}, margin ${marginMm}`;
        const draw = (drawing: React.ReactNode) => {
          const { container, unmount } = render(drawing);
          expectWhole(container.querySelector("svg")!, what);
          unmount();
        };
        draw(<SectionDrawing formed={formed} name={title} />);
        draw(<PlanDrawing formed={formed} seal={seal} vents={piece.vents} name={title} />);
        if (seal) draw(<SeamDrawing seal={seal} vents={piece.vents} name={title} />);
      }
    expect(drawn).toBeGreaterThan(0);
  },
);

test("a sheet from a strip to a whole bench says its sides whole", () => {
  for (const widthMm of [40, 60, 300, 900])
    for (const heightMm of [40, 60, 300, 900]) {
      const { container, unmount } = render(
        <SheetDrawing
          sheet={{ shape: "rectangle", widthMm, heightMm }}
          parts={[]}
          raggedMm={8}
          rerolled={false}
          title="Sheet"
          limit={{ widthMm: 900, heightMm: 900 }}
          onResize={null}
        />,
      );
      expectWhole(container.querySelector("svg")!, `${widthMm} by ${heightMm}`);
      unmount();
    }
});
