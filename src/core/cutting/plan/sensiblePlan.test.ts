import fc from "fast-check";
import type { Outline } from "../../shape";
import { computeYield, craftHandTimes, planCuts, planYield, type CutPlan, type CutRequest } from "..";
import { weighCost } from "./chooseSketch";
import { demandFor, market } from "./testRequest";

const costOf = (plan: CutPlan) => weighCost({ ...plan, rerolls: plan.rerolls.length });
const sensibleOf = (outline: Outline, count: number, more: Partial<CutRequest> = {}) => {
  const answers = planCuts({ ...market, demands: [demandFor(outline, count)], ...more });
  if (!answers.ok) throw new Error(answers.failure.code);
  return answers.value;
};
const disc = (diameterMm: number): Outline => ({ kind: "disc", diameterMm });

test("what a hand would do never costs more in all than any other answer it may take", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 1, max: 120 }),
      fc.boolean(),
      (mm, n, mayTurn) => {
        const { sensible, portioned, sliced, ...sheets } = sensibleOf(disc(mm), n, { mayTurn });
        for (const plan of Object.values(sheets))
          expect(costOf(sensible)).toBeLessThanOrEqual(costOf(plan) + 1e-6);
        if (mayTurn) expect(costOf(sensible)).toBeLessThanOrEqual(costOf(portioned!) + 1e-6);
        else expect(sensible.portioning).toBeNull();
        expect(sliced).toBeDefined();
      },
    ),
    { numRuns: 20, seed: 11 },
  );
});

test("sheets are those a hand rolls: small rounds off one, a market's dozens off few, large ones weighed and rolled", () => {
  const small = sensibleOf(disc(70), 12).sensible;
  expect([small.portioning, small.sheets.length]).toEqual([null, 1]);
  const eight = sensibleOf(disc(180), 8).sensible;
  expect(eight.portioning?.portions).toEqual([expect.objectContaining({ count: 8 })]);
  const many = sensibleOf(disc(90), 96).sensible;
  expect(many.portioning).toBeNull();
  for (const { count } of many.sheets.filter(({ pass }) => pass === 0)) expect(count).toBeGreaterThan(4);
  // Layers are not rolled up into balls: eight large rounds of puff come off two sheets of four.
  const puff = sensibleOf(disc(180), 8, { mayTurn: false }).sensible;
  expect(puff.sheets.map(({ count }) => count)).toEqual([4, 4]);
});

test("blanks that would tear as they are lifted are weighed and rolled: the more they tear, never the less", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 180 }),
      fc.integer({ min: 1, max: 60 }),
      fc.double({ min: 0, max: 0.2, noNaN: true }),
      fc.double({ min: 0, max: 0.2, noNaN: true }),
      (mm, n, oneShare, otherShare) => {
        const isRolled = (tearSharePer100Mm: number) =>
          sensibleOf(disc(mm), n, { tearSharePer100Mm }).sensible.portioning !== null;
        const [less, more] = [Math.min(oneShare, otherShare), Math.max(oneShare, otherShare)];
        expect(isRolled(less) && !isRolled(more)).toBe(false);
      },
    ),
    { numRuns: 20, seed: 3 },
  );
  // Eight 100 mm rounds come off a sheet where it holds them, and are rolled one by one of a dough that breaks.
  const demands = [demandFor(disc(100), 8, { webMm: 2 })];
  const eight = (tearSharePer100Mm: number) =>
    sensibleOf(disc(100), 8, { demands, tearSharePer100Mm }).sensible;
  expect([eight(0).portioning, eight(0.05).portioning?.way]).toEqual([null, "rolled"]);
});

test("one large round is cut from a round sheet: its ring of trim is all that is over", () => {
  const { leastDough } = sensibleOf(disc(280), 1, { mayTurn: false });
  const ringMm2 = (Math.PI / 4) * (296 ** 2 - 280 ** 2);
  expect(leastDough.sheets).toEqual([expect.objectContaining({ count: 1, pass: 0 })]);
  expect(leastDough.sheets[0]!.sheet.shape).toBe("oval");
  expect(leastDough.trimLeftG / (ringMm2 * 3.5 * 1.2e-3)).toBeCloseTo(1, 2);
});

test("a bought sheet lies either way round: pieces too wide for it along are cut across, grain or not", () => {
  const bought = {
    boughtSheet: { widthMm: 400, heightMm: 230, thicknessMm: 3 },
    thicknessMm: 3,
    mayTurn: false,
  };
  const demands = [demandFor({ kind: "rectangle", widthMm: 230, heightMm: 100 }, 8, { marginMm: 0 })];
  const answers = planCuts({ ...market, ...bought, demands, rerollLimit: 0 });
  if (!answers.ok) throw new Error(answers.failure.code);
  const { sheets, trimLeftG } = answers.value.sensible;
  // 230 × 400 holds four strips of 100 and nothing is over.
  expect(sheets.map(({ count, sheet }) => [count, sheet.widthMm, sheet.heightMm])).toEqual([
    [4, 230, 400],
    [4, 230, 400],
  ]);
  expect(trimLeftG).toBeCloseTo(0, 9);
});

test("a bought sheet does not grow: cut thicker than it is, it weighs what it weighs, and rolled thinner too", () => {
  const bought = { widthMm: 400, heightMm: 240, thicknessMm: 3 };
  const demands = [demandFor(disc(100), 6, { marginMm: 0 })];
  fc.assert(
    fc.property(fc.double({ min: 1.5, max: 8, noNaN: true }), (thicknessMm) => {
      const answers = planCuts({ ...market, thicknessMm, demands, boughtSheet: bought, rerollLimit: 0 });
      if (!answers.ok) throw new Error(answers.failure.code);
      const { sheets, doughG } = answers.value.sensible;
      expect(doughG).toBeCloseTo(sheets.length * 400 * 240 * 3 * market.densityGPerMl * 1e-3, 6);
    }),
    { numRuns: 30 },
  );
});

test("a large round takes the dough of a round sheet, not of the square around it", () => {
  const rolling = {
    thicknessMm: 4,
    densityGPerMl: 1.2,
    sheetLimit: { widthMm: 620, heightMm: 430 },
    rerollLimit: 0,
    rerollLossShare: 0.02,
    rerollShrinkShare: 0.01,
    mayTurn: true,
    handTimes: craftHandTimes,
    outline: { kind: "disc", diameterMm: 300 } as const,
    webMm: 1,
    marginMm: 8,
  };
  // The closed form of a disc of dough: π/4 · d² · t · ρ.
  const needG = (Math.PI / 4) * 316 ** 2 * 4 * 1.2 * 1e-3;
  expect(computeYield({ ...rolling, doughG: needG * 1.001 }).count).toBe(1);
  expect(computeYield({ ...rolling, doughG: needG * 0.999 }).count).toBe(0);
  expect(planYield({ ...rolling, doughG: needG * 1.001 })!.sheets[0]!.sheet).toMatchObject({ shape: "oval" });
});
