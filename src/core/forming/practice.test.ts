import fc from "fast-check";
import { computeAreaMm2, computeBox } from "../shape";
import { findLining, formPiece, type FormedPiece, type FormRequest, type Mould } from ".";
import { refused } from "../words/__tests__/refused";
import { sayFailure } from "../words";

const base: FormRequest = {
  form: { kind: "lidded", topOversizeMm: null, stick: null },
  cut: { kind: "rectangle", widthMm: 140, heightMm: 90 },
  thicknessMm: 3,
  springBackShare: 0.03,
  marginMm: 10,
  plumpness: 0.5,
  layersMm: [],
};
function formed(change: Partial<FormRequest>): FormedPiece {
  const piece = formPiece({ ...base, ...change });
  if (!piece.ok) throw new Error(piece.failure.code);
  return piece.value;
}
const refusal = (change: Partial<FormRequest>) => refused(formPiece({ ...base, ...change }));
const share = fc.double({ min: 0.05, max: 1, noNaN: true });

test("a heap over a rectangle holds what a fine sum over its base gives: as high as the nearest edge lets it", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 50, max: 120 }),
      fc.integer({ min: 0, max: 100 }),
      share,
      (shortMm, moreMm, plumpness) => {
        const piece = formed({
          cut: { kind: "rectangle", widthMm: shortMm + moreMm, heightMm: shortMm },
          springBackShare: 0,
          plumpness,
        });
        const [half, long] = [shortMm / 2 - 10, (shortMm + moreMm) / 2 - 10];
        const angle = (plumpness * Math.PI) / 2;
        const radius = half / Math.sin(angle);
        const steps = 160;
        let mm3 = 0;
        for (let i = 0; i < steps; i++)
          for (let j = 0; j < steps; j++) {
            const [x, y] = [((i + 0.5) * half) / steps, ((j + 0.5) * long) / steps];
            const fromEdge = Math.min(half - x, long - y, half);
            const fromMiddle = half - fromEdge;
            mm3 += Math.sqrt(radius ** 2 - fromMiddle ** 2) - radius * Math.cos(angle);
          }
        const ml = (4 * mm3 * (half / steps) * (long / steps)) / 1000;
        expect(piece.capacityMl / ml).toBeCloseTo(1, 2);
      },
    ),
    { numRuns: 12 },
  );
});

test("a square base is a rectangle of equal sides, and its top is larger by the same on all of them", () => {
  const square = formed({ cut: { kind: "square", sideMm: 100 } });
  const rectangle = formed({ cut: { kind: "rectangle", widthMm: 100, heightMm: 100 } });
  expect(square.capacityMl).toBeCloseTo(rectangle.capacityMl, 9);
  const { blanks, seamMm } = formed({});
  const [top, bottom] = blanks.map(({ cut }) => computeBox(cut));
  expect(top!.widthMm - bottom!.widthMm).toBeCloseTo(top!.heightMm - bottom!.heightMm, 9);
  expect(seamMm).toBeCloseTo(2 * (140 + 90) * 0.97, 9);
  expect(refusal({ cut: { kind: "heart", widthMm: 90, heightMm: 90 } })).toMatchObject({
    code: "wrongOutline",
  });
});

test("a gathered edge is drawn into a knot of its own dough: no pinch runs round the whole blank", () => {
  const { seamMm, drawnShare } = formed({
    form: { kind: "gathered", finishedMm: 60, heapMm: null },
    cut: { kind: "disc", diameterMm: 130 },
    thicknessMm: 5,
    springBackShare: 0,
    plumpness: 1,
  });
  // π · 110 mm of edge, 5 mm thick, stand in a round of that area.
  const knotMm = 2 * Math.sqrt((Math.PI * 110 * 5) / Math.PI);
  expect(seamMm).toBeCloseTo(Math.PI * knotMm, 9);
  expect(drawnShare).toBeCloseTo(seamMm / (Math.PI * 130), 9);
  expect(drawnShare).toBeLessThan(0.5);
});

test("a heap in a guide ring fills what is left of the way round it, and nothing is made of the dough", () => {
  const ring = (heapMm: number | null, plumpness = 1) =>
    formed({
      form: { kind: "gathered", finishedMm: 54, heapMm },
      cut: { kind: "disc", diameterMm: 140 },
      thicknessMm: 5,
      springBackShare: 0,
      plumpness,
    });
  // From the middle under, up and over: 70 − 10 of margin − 40 across − half a turn of the dough.
  const highMm = 60 - 40 - (Math.PI * 5) / 2;
  expect(ring(40).capacityMl).toBeCloseTo(((Math.PI / 4) * 40 ** 2 * highMm) / 1000, 6);
  expect(ring(40, 0.5).capacityMl).toBeCloseTo(ring(40).capacityMl / 2, 6);
  for (const piece of [ring(40), ring(40, 0.7)]) {
    const { widthMm, heightMm } = piece.finished;
    const doughMl = (computeAreaMm2({ kind: "disc", diameterMm: 140 }) * 5) / 1000;
    expect(((Math.PI / 4) * widthMm ** 2 * heightMm) / 1000).toBeCloseTo(doughMl + piece.capacityMl, 6);
  }
  const wide = {
    form: { kind: "gathered", finishedMm: 64, heapMm: 60 },
    cut: { kind: "disc", diameterMm: 140 },
  } as const;
  expect(refusal(wide)).toMatchObject({
    code: "roundTooSmall",
    words: expect.stringContaining("guide ring"),
  });
});

const cup: Mould = { kind: "muffin", axes: [{ baseMm: 50, rimMm: 72 }], depthMm: 28, fluteMm: 0 };
const lined = (diameterMm: number, thicknessMm: number) => ({
  form: { kind: "lined", mould: cup, topping: { kind: "open" } } as const,
  cut: { kind: "disc", diameterMm } as const,
  thicknessMm,
});

test("a thick small round is pressed up the mould: its volume spreads, and the wall says how thin it gets", () => {
  const reachMm = computeBox(findLining(cup, { thicknessMm: 4, springBackShare: 0.03 }, 0)).widthMm;
  expect(formed(lined(reachMm + 1, 4)).doubts).toEqual([]);
  const small = formed(lined(reachMm - 20, 4));
  expect(small.doubts.map(({ code }) => code)).toEqual(["pressedUp"]);
  expect(sayFailure(small.doubts[0]!)).toMatch(/pressed up by hand the wall comes to \d\.\d mm/);
  expect(small.trimMl).toBe(0);
  // What the mould holds is its room less all the dough there is, however it is pressed: a thinner wall leaves more.
  expect(small.mostMl).toBeGreaterThan(formed(lined(reachMm + 1, 4)).mostMl);
  expect(refusal(lined(40, 4))).toMatchObject({
    code: "liningTooSmall",
    words: expect.stringContaining("tears"),
  });
});

test("a square whose corners just meet closes with a warning; one that does not reach is refused", () => {
  const wrap = (sideMm: number) => ({
    form: { kind: "wrapped", fruitMm: 58, fruitHeightMm: 66, footMm: 26, coreMm: 18, overlapMm: 14 } as const,
    cut: { kind: "square", sideMm } as const,
    thicknessMm: 4,
    springBackShare: 0,
  });
  const needed = Number(/must be ([\d.]+) mm/.exec(refusal(wrap(100))!.words)![1]);
  const just = formed(wrap(needed));
  expect(just.doubts).toMatchObject([{ code: "cornersShort", figures: { askedMm: 14 } }]);
  expect(sayFailure(just.doubts[0]!)).toContain("instead of 14");
  expect(refusal(wrap(needed - 0.5))).toMatchObject({ code: "squareTooSmall" });
  const wanted = Number(/cut the square ([\d.]+) mm/.exec(sayFailure(just.doubts[0]!))![1]);
  expect(formed(wrap(wanted)).doubts).toEqual([]);
  expect(formed(wrap(wanted - 0.5)).doubts).toHaveLength(1);
});
