import fc from "fast-check";
import { formPiece, type FormedPiece, type FormRequest } from ".";
import { refused } from "../words/__tests__/refused";

const lidded: FormRequest = {
  form: { kind: "lidded", topOversizeMm: null, stick: null },
  cut: { kind: "disc", diameterMm: 80 },
  thicknessMm: 3,
  springBackShare: 0,
  marginMm: 10,
  plumpness: 0.5,
  layersMm: [],
};
function formed(request: FormRequest): FormedPiece {
  const piece = formPiece(request);
  if (!piece.ok) throw new Error(piece.failure.code);
  return piece.value;
}
const topMm = (piece: FormedPiece) => {
  const top = piece.blanks.find(({ role }) => role === "top")?.cut;
  return top?.kind === "disc" ? top.diameterMm : 0;
};

test("a lidded heap is a spherical cap: half a sphere at 1, and flat it holds next to nothing", () => {
  const round = formed({ ...lidded, plumpness: 1, thicknessMm: 1e-6 });
  expect(round.capacityMl).toBeCloseTo(((2 / 3) * Math.PI * 30 ** 3) / 1000, 6);
  // Half a circle over 60 mm and two margins of 10.
  expect(topMm(round)).toBe(Math.ceil(2 * (Math.PI * 30 + 20)) / 2);
  expect(formed({ ...lidded, plumpness: 1e-6 }).capacityMl).toBeCloseTo(0, 3);
  expect(topMm(formed({ ...lidded, plumpness: 1e-9 }))).toBe(80);
});

test("an oval holds the cap drawn out, and its top grows less along than across", () => {
  const oval = formed({ ...lidded, cut: { kind: "oval", widthMm: 140, heightMm: 80 } });
  expect(oval.capacityMl / formed(lidded).capacityMl).toBeCloseTo(60 / 30, 9);
  const top = oval.blanks[0]?.cut;
  if (top?.kind !== "oval") throw new Error("no oval top");
  expect(top.widthMm - 140).toBeLessThan(top.heightMm - 80);
  expect(top.widthMm).toBeGreaterThan(140);
});

test("plumper needs a larger top and holds more; a top that is given decides what it reaches", () => {
  const share = fc.double({ min: 0.05, max: 1, noNaN: true });
  fc.assert(
    fc.property(share, share, (one, other) => {
      const [lean, plump] = [Math.min(one, other), Math.max(one, other)].map((plumpness) =>
        formed({ ...lidded, plumpness }),
      );
      expect(topMm(plump!)).toBeGreaterThanOrEqual(topMm(lean!));
      expect(plump!.capacityMl).toBeGreaterThanOrEqual(lean!.capacityMl - 1e-9);
      const given = formed({
        ...lidded,
        plumpness: 1,
        form: { kind: "lidded", topOversizeMm: topMm(lean!) - 80, stick: null },
      });
      // Half a millimetre of rounding in the top is all that separates them.
      expect(given.capacityMl).toBeGreaterThanOrEqual(lean!.capacityMl - 1e-6);
    }),
  );
  expect(
    refused(formPiece({ ...lidded, form: { kind: "lidded", topOversizeMm: -6, stick: null } })),
  ).toMatchObject({ code: "topTooSmall", words: expect.stringContaining("6 mm") });
});

test("a case is a ring, its base and a well; a centre too wide for its wall is refused at 8 mm", () => {
  const request: FormRequest = { ...lidded, form: { kind: "case", holeMm: 50 }, plumpness: 1 };
  const piece = formed(request);
  expect(piece.blanks.map(({ role }) => role)).toEqual(["ring", "base"]);
  expect(piece.fillsBaked).toBe(true);
  expect(piece.capacityMl).toBeCloseTo((Math.PI * 25 ** 2 * 15) / 1000, 9);
  expect(formPiece({ ...request, form: { kind: "case", holeMm: 64 } }).ok).toBe(true);
  expect(refused(formPiece({ ...request, form: { kind: "case", holeMm: 64.2 } }))).toMatchObject({
    code: "holeTooWide",
    words: expect.stringContaining("at most 64 mm"),
  });
});

test("a rosette rolls up to the disc of its own area and is refused where the cavity is smaller", () => {
  const request: FormRequest = {
    ...lidded,
    form: { kind: "rosette", sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
    cut: { kind: "rectangle", widthMm: 300, heightMm: 60 },
    thicknessMm: 2,
    plumpness: 0.5,
  };
  const piece = formed(request);
  // 300 mm of 2 · 2 + 2 + 1.5 mm.
  expect(piece.section.widthMm).toBeCloseTo(Math.sqrt((4 * 300 * 7.5) / Math.PI), 9);
  // (300 − 40) / 20 + 1 slices.
  expect(piece.steps[0]?.figure).toBe("14 on a strip");
  expect(
    refused(formPiece({ ...request, form: { ...request.form, cavityMm: 50 } as FormRequest["form"] })),
  ).toMatchObject({ code: "tooLargeForCavity", words: expect.stringContaining("at most 262 mm long") });
});

test.each(["lidded", "case", "rosette"] as const)("a %s refuses an outline it cannot be made of", (kind) => {
  const forms = {
    lidded: { kind, topOversizeMm: null, stick: null },
    case: { kind, holeMm: 40 },
    rosette: { kind, sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.5, cavityMm: 70 },
  } as unknown as Record<string, FormRequest["form"]>;
  const cut = { kind: "star", diameterMm: 90, points: 5 } as const;
  expect(refused(formPiece({ ...lidded, cut, form: forms[kind]! }))).toMatchObject({ code: "wrongOutline" });
});
