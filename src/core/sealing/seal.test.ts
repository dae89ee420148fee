import { computeSeal } from ".";

test("a rope's pleats follow from the seam, seconds and glue from them", () => {
  const seal = computeSeal(183, 13, "rope");
  expect(seal).toMatchObject({ marks: 19, fault: null });
  expect(seal.secondsPerPiece).toBeCloseTo(6 + 19 * 0.9, 9);
  expect(seal.glueG).toBeCloseTo(0.183 * 4, 9);
});

test("a margin narrower than the crimp needs is said to the millimetre, and not where it is enough", () => {
  expect(computeSeal(183, 9.5, "rope").fault?.message).toContain("2.5 mm short");
  expect(computeSeal(183, 12, "rope").fault).toBeNull();
});
