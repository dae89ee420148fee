import fc from "fast-check";
import {
  findCrimp,
  adviseVents,
  computeSeal,
  computeVentShare,
  computeWash,
  CRAFT_HANDS,
  crimpIds,
  glueIds,
  scoreHold,
  ventKinds,
  type HoldFacts,
} from ".";
import { sayFailure } from "../words";

const seam = { seamMm: 183, marginMm: 13, crimp: "rope", glue: "water" } as const;

test("a rope's pleats follow from the seam, seconds and glue from them", () => {
  const seal = computeSeal(seam);
  expect(seal).toMatchObject({ marks: 19, doubt: null });
  expect(seal.secondsPerPiece).toBeCloseTo(4 + 0.183 * 10 + 19 * 0.9, 9);
  expect(seal.glueG).toBeCloseTo(0.183 * 4, 9);
  expect(computeSeal({ ...seam, glue: "none" }).glueG).toBe(0);
});

test("a margin narrower than the crimp needs is said to the millimetre, and not where it is enough", () => {
  const { doubt } = computeSeal({ ...seam, marginMm: 9.5 });
  expect(doubt?.figures).toMatchObject({ needsMm: 12, marginMm: 9.5, shortMm: 2.5 });
  expect(sayFailure(doubt!)).toContain("2.5 mm short");
  expect(computeSeal({ ...seam, marginMm: 12 }).doubt).toBeNull();
});

test("a press is quicker than a fork along the same seam", () => {
  const [press, fork] = (["press", "forked"] as const).map(
    (crimp) => computeSeal({ ...seam, crimp }).secondsPerPiece,
  );
  expect(press).toBeLessThan(fork!);
});

const facts: HoldFacts = {
  crimp: "forked",
  glue: "water",
  marginMm: 12,
  plumpness: 0.5,
  wetness: "moist",
  vents: { kind: "slits", count: 1 },
  topMm2: 6000,
  chillMin: 20,
  doughC: 15,
  smearsC: 16,
  seamShare: 1,
  crimpsOnOffer: crimpIds,
};
const risk = (over: Partial<HoldFacts> = {}) => scoreHold({ ...facts, ...over }, CRAFT_HANDS).leakShare;

test("every cause moves the risk the way the craft says", () => {
  expect(risk({ marginMm: 16 })).toBeLessThan(risk());
  expect(risk({ plumpness: 0.8 })).toBeGreaterThan(risk());
  expect(risk({ wetness: "wet" })).toBeGreaterThan(risk({ wetness: "dry" }));
  expect(risk({ glue: "none" })).toBeGreaterThan(risk({ glue: "white" }));
  expect(risk({ vents: { kind: "none", count: 0 } })).toBeGreaterThan(risk());
  expect(risk({ chillMin: 0 })).toBeGreaterThan(risk({ chillMin: 40 }));
  expect(risk({ doughC: 22 })).toBeGreaterThan(risk());
  // A seam drawn to a third of its edge opens at a third of the odds.
  const odds = (share: number) => share / (1 - share);
  expect(odds(risk({ seamShare: 1 / 3 })) / odds(risk())).toBeCloseTo(1 / 3, 9);
  const crimpsOnOffer = ["pinched"] as const;
  const { mends } = scoreHold({ ...facts, crimp: "pinched", crimpsOnOffer }, CRAFT_HANDS);
  expect(mends.some(({ change }) => change.crimp !== undefined)).toBe(false);
  expect(risk({ crimp: "foldForked", marginMm: 16 })).toBeLessThan(risk({ marginMm: 16 }));
});

const anyFacts: fc.Arbitrary<HoldFacts> = fc.record({
  crimp: fc.constantFrom(...crimpIds),
  glue: fc.constantFrom(...glueIds),
  marginMm: fc.integer({ min: 3, max: 30 }),
  plumpness: fc.double({ min: 0.05, max: 1, noNaN: true }),
  wetness: fc.constantFrom("dry", "moist", "wet"),
  vents: fc.record({ kind: fc.constantFrom(...ventKinds), count: fc.integer({ min: 0, max: 12 }) }),
  topMm2: fc.integer({ min: 500, max: 60_000 }),
  chillMin: fc.integer({ min: 0, max: 120 }),
  doughC: fc.integer({ min: 2, max: 30 }),
  smearsC: fc.integer({ min: 10, max: 24 }),
  seamShare: fc.double({ min: 0.1, max: 1, noNaN: true }),
  crimpsOnOffer: fc.subarray([...crimpIds]),
});

const anyHands = fc.record({
  oddsRatio: fc.double({ min: 0.1, max: 10, noNaN: true }),
  weights: fc.dictionary(
    fc.constantFrom(
      "margin",
      "plumpness",
      "wetness:wet",
      "glue:none",
      "vents",
      "chill",
      "warmth",
      "crimp:rope",
    ),
    fc.double({ min: 0.2, max: 5, noNaN: true }),
  ),
});

test("less margin is never better, and a crimp on less than half of its own is no better than a proper pinch", () => {
  fc.assert(
    fc.property(anyFacts, anyHands, fc.double({ min: 0, max: 1, noNaN: true }), (each, hands, share) => {
      const leaks = (over: Partial<HoldFacts>) => scoreHold({ ...each, ...over }, hands).leakShare;
      expect(leaks({ marginMm: each.marginMm * share })).toBeGreaterThanOrEqual(leaks({}) - 1e-12);
      const { needsMarginMm } = findCrimp(each.crimp);
      const pinched = leaks({ crimp: "pinched", marginMm: findCrimp("pinched").needsMarginMm });
      expect(leaks({ marginMm: (needsMarginMm * share) / 2 })).toBeGreaterThanOrEqual(pinched - 1e-12);
    }),
  );
  // With all the margin it asks for, the stronger the crimp the fewer leak.
  const proper = crimpIds
    .map((crimp) => findCrimp(crimp))
    .sort((a, b) => a.strength - b.strength)
    .map(({ id, needsMarginMm }) => risk({ crimp: id, marginMm: needsMarginMm }));
  expect(proper).toEqual(proper.toSorted((a, b) => b - a));
});

test("the mends named lower the risk by themselves, the best first, and the odds follow the log", () => {
  fc.assert(
    fc.property(anyFacts, anyHands, (each, hands) => {
      const { leakShare, craftShare, craftCauses, mends } = scoreHold(each, hands);
      const odds = (share: number) => share / (1 - share);
      const moved = Object.entries(craftCauses).reduce(
        (product, [key, logOdds]) => product * Math.exp(((hands.weights[key] ?? 1) - 1) * logOdds),
        hands.oddsRatio,
      );
      // The causes are told to a hundredth.
      expect(Math.log(odds(leakShare) / odds(craftShare) / moved)).toBeCloseTo(0, 0);
      const shares = mends.map(({ change }) => scoreHold({ ...each, ...change }, hands).leakShare);
      expect(shares).toEqual(mends.map((mend) => mend.leakShare));
      expect(shares.every((share, i) => share < leakShare && share >= (shares[i - 1] ?? 0))).toBe(true);
    }),
  );
});

test("more top and a wetter filling want more vents; as many as advised are enough or the most there may be", () => {
  expect(adviseVents("slits", 6000, "wet")).toBeGreaterThan(adviseVents("slits", 6000, "dry"));
  expect(adviseVents("none", 6000, "wet")).toBe(0);
  const count = adviseVents("slits", 6000, "wet");
  expect(computeVentShare({ kind: "slits", count }, 6000, "wet")).toBe(1);
  expect(computeVentShare({ kind: "slits", count: count - 1 }, 6000, "wet")).toBeLessThan(1);
});

test("wash goes with area and coats, and its egg is part of it", () => {
  const once = computeWash({ kind: "eggWater", coats: 1, sugar: "before" }, 10_000);
  const twice = computeWash({ kind: "eggWater", coats: 2, sugar: "none" }, 10_000);
  expect(twice.washG).toBeCloseTo(2 * once.washG, 9);
  expect(once.eggG).toBeCloseTo(once.washG * 0.77, 9);
  expect([once.sugarG > 0, twice.sugarG]).toEqual([true, 0]);
  expect(computeWash({ kind: "none", coats: 2, sugar: "none" }, 10_000).washG).toBe(0);
});
