import fc from "fast-check";
import {
  computeAreaMm2,
  computeBox,
  gapMm,
  isInside,
  parsePath,
  placePolygon,
  scaleOutline,
  toContour,
  type Outline,
} from ".";
import { areaMm2OfPolygon, boxOfPolygon, perimeterMmOfPolygon } from "./polygon";
import { refused } from "../words/__tests__/refused";

const outlines: readonly Outline[] = [
  { kind: "disc", diameterMm: 90 },
  { kind: "oval", widthMm: 120, heightMm: 80 },
  { kind: "square", sideMm: 70 },
  { kind: "rectangle", widthMm: 120, heightMm: 40 },
  { kind: "triangle", legMm: 80 },
  { kind: "ring", diameterMm: 80, holeMm: 50 },
  { kind: "polygon", diameterMm: 90, sides: 6 },
  { kind: "scalloped", diameterMm: 90, lobes: 14 },
  { kind: "star", diameterMm: 90, points: 5 },
  { kind: "heart", widthMm: 80, heightMm: 75 },
  { kind: "leaf", widthMm: 60, heightMm: 28 },
];

test("a contour encloses its outline's area to a thousandth, fills its box and scales with the square", () => {
  for (const outline of outlines) {
    const contour = toContour(outline);
    const solid =
      outline.kind === "ring" ? computeAreaMm2({ kind: "disc", diameterMm: 80 }) : computeAreaMm2(outline);
    expect(Math.abs(areaMm2OfPolygon(contour) / solid - 1)).toBeLessThan(2e-3);
    const [box, drawn] = [computeBox(outline), boxOfPolygon(contour)];
    expect(drawn.widthMm).toBeCloseTo(box.widthMm, 6);
    expect(drawn.heightMm).toBeCloseTo(box.heightMm, 6);
    expect(computeAreaMm2(scaleOutline(outline, 1.5)) / computeAreaMm2(outline)).toBeCloseTo(2.25, 2);
  }
});

test("scallops, leaves and hexagons meet their closed forms", () => {
  const [n, c] = [14, 45 / (1 + Math.sin(Math.PI / 14))];
  const lobe = c * Math.sin(Math.PI / n);
  // Polygon of the lobes' centres and a sector of π + 2π/n of each lobe.
  const scalloped =
    (n / 2) * c ** 2 * Math.sin((2 * Math.PI) / n) + (n * lobe ** 2 * (Math.PI + (2 * Math.PI) / n)) / 2;
  expect(computeAreaMm2({ kind: "scalloped", diameterMm: 90, lobes: n }) / scalloped).toBeCloseTo(1, 2);
  // A lens of two arcs: R²(θ − sin θ) with θ the angle of each arc.
  const [w, h] = [60, 28];
  const radius = (w ** 2 / 4 + h ** 2 / 4) / h;
  const theta = 2 * Math.asin(w / 2 / radius);
  const lens = radius ** 2 * (theta - Math.sin(theta));
  expect(computeAreaMm2({ kind: "leaf", widthMm: w, heightMm: h }) / lens).toBeCloseTo(1, 2);
  expect(computeAreaMm2({ kind: "polygon", diameterMm: 90, sides: 6 })).toBeCloseTo(
    ((3 * Math.sqrt(3)) / 2) * 45 ** 2,
    6,
  );
});

test("the gap of two discs is the distance of their centres less a diameter, whichever way they are turned", () => {
  const disc = toContour({ kind: "disc", diameterMm: 40 });
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.double({ min: 41, max: 90, noNaN: true }),
      (deg, apartMm) => {
        const [x, y] = [apartMm * Math.cos(deg), apartMm * Math.sin(deg)];
        expect(Math.abs(gapMm(disc, placePolygon(disc, x, y, deg)) - (apartMm - 40))).toBeLessThan(0.25);
      },
    ),
  );
  expect(gapMm(disc, placePolygon(disc, 39, 0, 0))).toBe(0);
  // One inside the other without a crossing edge is an overlap too.
  expect(gapMm(disc, toContour({ kind: "disc", diameterMm: 10 }))).toBe(0);
});

test("path data in any command becomes the same square", () => {
  const square = parsePath("M10 10 H60 V60 H10 Z");
  if (!square.ok) throw new Error(square.failure.code);
  expect(areaMm2OfPolygon(square.value)).toBeCloseTo(2500, 6);
  expect(boxOfPolygon(square.value)).toEqual({ widthMm: 50, heightMm: 50 });
  expect(parsePath("m10,10 l50,0 0,50 -50,0 0,-50")).toEqual(square);
  const round = parsePath("M 0 50 A 50 50 0 0 1 100 50 A 50 50 0 0 1 0 50 Z");
  if (!round.ok) throw new Error(round.failure.code);
  expect(areaMm2OfPolygon(round.value) / (Math.PI * 2500)).toBeCloseTo(1, 2);
  expect(perimeterMmOfPolygon(round.value) / (Math.PI * 100)).toBeCloseTo(1, 2);
  expect(isInside([0, 0], round.value)).toBe(true);
});

test.each([
  ["an open path", "M0 0 L50 0 L50 50", "pathOpen", "70.7 mm apart"],
  ["a figure of eight", "M0 0 L50 50 L50 0 L0 50 Z", "outlineCrosses", "crosses itself"],
  ["nothing drawn", "M10 10", "pathEmpty", "draws nothing"],
  ["two outlines", "M0 0 H50 V50 Z M60 0 H90 V50 Z", "severalLines", "2 separate"],
  ["words", "a heart please", "pathUnreadable", "path data"],
  ["metres", "M0 0 H9000 V9000 Z", "outlineSize", "9000"],
  ["a line there and back", "M0 0 L50 0 Z", "pathEnclosesNothing", "encloses nothing"],
])("%s is refused in a sentence", (_name, text, code, words) => {
  expect(refused(parsePath(text))).toMatchObject({ code, words: expect.stringContaining(words) });
});

test("a million points are refused at once, ten thousand on a circle are thinned and kept", () => {
  const circle = (points: number) =>
    `M${Array.from({ length: points }, (_, i) => `${(50 * Math.cos((2 * Math.PI * i) / points)).toFixed(3)},${(50 * Math.sin((2 * Math.PI * i) / points)).toFixed(3)}`).join(" ")}Z`;
  expect(refused(parsePath(circle(1_000_000)))).toMatchObject({ code: "pathTooLong" });
  const kept = parsePath(circle(10_000));
  if (!kept.ok) throw new Error(kept.failure.code);
  expect(kept.value.length).toBeLessThan(200);
  expect(areaMm2OfPolygon(kept.value) / (Math.PI * 2500)).toBeCloseTo(1, 2);
});

test("every outline has a contour of the size it says, at sizes that no form rounds, as high as wide included", () => {
  const length = fc.double({ min: 1, max: 400, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom("leaf", "heart", "oval", "rectangle"),
      length,
      fc.double({ min: -1e-13, max: 1e-13, noNaN: true }),
      length,
      (kind, widthMm, off, other) => {
        for (const heightMm of [widthMm * (1 + off), other]) {
          const { widthMm: wide, heightMm: high } = boxOfPolygon(toContour({ kind, widthMm, heightMm }));
          // Chords lie inside the curve by a knife's line at the most.
          expect(Math.abs(wide - widthMm)).toBeLessThan(0.11);
          expect(Math.abs(high - heightMm)).toBeLessThan(0.11);
        }
      },
    ),
    { numRuns: 400, seed: 6 },
  );
});
