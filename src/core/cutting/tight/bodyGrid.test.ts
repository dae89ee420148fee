import fc from "fast-check";
import { boundsOfPolygon, doOverlap, placePolygon, toContour, type Outline, type Polygon } from "../../shape";
import { layOutRows } from "../rows";
import { FIT_TOLERANCE_MM } from "../sheet";
import { placeBodies, toBody, toPolygon } from "./body";
import { BodyGrid } from "./bodyGrid";
import { fillGaps } from "./fillGaps";

const box = (xMm: number, yMm: number, sideMm: number): Polygon => [
  [xMm, yMm],
  [xMm + sideMm, yMm],
  [xMm + sideMm, yMm + sideMm],
  [xMm, yMm + sideMm],
];
const boxes = fc.tuple(
  fc.double({ min: -40, max: 640, noNaN: true }),
  fc.double({ min: -40, max: 440, noNaN: true }),
  fc.double({ min: 0.5, max: 200, noNaN: true }),
);

test("what is near is what reaches into the box, each once, wherever it lies and however large it is", () => {
  fc.assert(
    fc.property(
      fc.array(boxes, { maxLength: 60 }),
      boxes,
      fc.double({ min: 0.1, max: 300, noNaN: true }),
      (laid, [xMm, yMm, sideMm], reachMm) => {
        const grid = new BodyGrid({ widthMm: 600, heightMm: 400 }, reachMm);
        const bodies = laid.map((each) => toBody(box(...each)));
        bodies.forEach((body) => grid.add(body));
        const asked = boundsOfPolygon(box(xMm, yMm, sideMm));
        const near: unknown[] = [];
        expect(grid.everyNear(asked, (body) => near.push(body) > 0)).toBe(true);
        const meant = bodies.filter(
          (body) =>
            body.leftMm < asked.rightMm &&
            body.rightMm > asked.leftMm &&
            body.topMm < asked.bottomMm &&
            body.bottomMm > asked.topMm,
        );
        expect(new Set(near)).toEqual(new Set(meant));
        expect(near).toHaveLength(meant.length);
      },
    ),
  );
});

test("a contour at its places is the contour placed there one by one, corner by corner", () => {
  const contour = toContour({ kind: "heart", widthMm: 40, heightMm: 44 });
  const places = fc.record({
    xMm: fc.double({ min: -500, max: 500, noNaN: true }),
    yMm: fc.double({ min: -500, max: 500, noNaN: true }),
    angleDeg: fc.integer({ min: 0, max: 359 }),
  });
  fc.assert(
    fc.property(fc.array(places, { maxLength: 8 }), (placements) => {
      const polygons = placements.map(({ xMm, yMm, angleDeg }) => placePolygon(contour, xMm, yMm, angleDeg));
      const bodies = placeBodies(contour, placements);
      expect(bodies.map(toPolygon)).toEqual(polygons);
      expect(bodies).toEqual(polygons.map(toBody));
    }),
  );
});

test("whoever has seen enough is shown no more, and may ask again", () => {
  const grid = new BodyGrid({ widthMm: 600, heightMm: 400 }, 50);
  for (let i = 0; i < 5; i++) grid.add(toBody(box(i * 10, 0, 100)));
  const ask = (enough: number) => {
    let shown = 0;
    const all = grid.everyNear({ leftMm: 0, rightMm: 90, topMm: 0, bottomMm: 90 }, () => ++shown < enough);
    return [all, shown];
  };
  expect([ask(2), ask(9)]).toEqual([
    [false, 2],
    [true, 5],
  ]);
});

/** The same walk with every body looked at from every place: slow, and simple enough to be seen to be right. */
function fillByHand(
  placed: readonly Polygon[],
  outline: Outline,
  anglesDeg: readonly number[],
  most: number,
) {
  const sheet = { widthMm: 300, heightMm: 200 };
  const contours = anglesDeg.map((angleDeg) => ({
    angleDeg,
    contour: placePolygon(toContour(outline), 0, 0, angleDeg),
  }));
  const sides = contours.flatMap(({ contour }) => {
    const { leftMm, rightMm, topMm, bottomMm } = boundsOfPolygon(contour);
    return [rightMm - leftMm, bottomMm - topMm];
  });
  const stepMm = Math.max(Math.min(...sides) * 0.1, 1);
  const taken = [...placed];
  const found: object[] = [];
  for (let yMm = 4; yMm <= sheet.heightMm - 4; yMm += stepMm)
    for (let xMm = 4; xMm <= sheet.widthMm - 4 && found.length < most; xMm += stepMm)
      for (const { angleDeg, contour } of contours) {
        const here = contour.map(([x, y]) => [x + xMm, y + yMm] as const);
        const { leftMm, rightMm, topMm, bottomMm } = boundsOfPolygon(here);
        const isOn =
          Math.min(leftMm, topMm) >= 4 - FIT_TOLERANCE_MM &&
          rightMm <= sheet.widthMm - 4 + FIT_TOLERANCE_MM &&
          bottomMm <= sheet.heightMm - 4 + FIT_TOLERANCE_MM;
        if (!isOn || taken.some((polygon) => doOverlap(polygon, here, FIT_TOLERANCE_MM))) continue;
        found.push({ xMm, yMm, angleDeg });
        taken.push(here);
        break;
      }
  return found;
}

test.each([
  ["hearts", { kind: "heart", widthMm: 24, heightMm: 22 }],
  ["triangles", { kind: "triangle", legMm: 26 }],
  ["rounds", { kind: "disc", diameterMm: 20 }],
] as const)("the gaps between rounds take the same %s as a walk that looks at everything", (_, outline) => {
  const sheet = { widthMm: 300, heightMm: 200 };
  const rows = layOutRows({
    outline: { kind: "disc", diameterMm: 70 },
    sheet,
    webMm: 2,
    marginMm: 4,
    mayTurn: true,
  });
  if (!rows.ok) throw new Error(rows.failure.code);
  const contour = toContour({ kind: "disc", diameterMm: 70 });
  const placed = rows.value.placements.map(({ xMm, yMm }) => placePolygon(contour, xMm, yMm, 0));
  const anglesDeg = [0, 90, 180];
  const found = fillGaps({ placed, sheet, marginMm: 4, outline, webMm: 0, anglesDeg, most: 30 });
  expect(found).toEqual(fillByHand(placed, outline, anglesDeg, 30));
});
