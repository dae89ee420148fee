import fc from "fast-check";
import { Budget } from "../../budget";
import { checkCutPlan, computeYield, craftHandTimes, planCuts, planYield } from "..";
import type { Outline } from "../../shape";
import { demandFor, market, requests } from "./testRequest";

test("ended after any number of steps, what is found is a whole plan, and it is said to be cut short", () => {
  let short = 0;
  fc.assert(
    fc.property(requests, fc.integer({ min: 0, max: 300 }), (request, steps) => {
      const budget = Budget.ofSteps(steps);
      const [ended, whole] = [planCuts(request, budget), planCuts(request)];
      // What cannot be cut at all is refused for the same reason, time or not.
      if (!whole.ok) return expect(ended).toEqual(whole);
      if (!ended.ok) throw new Error(ended.failure.code);
      expect(checkCutPlan(request, ended.value.leastDough)).toEqual([]);
      if (budget.cutShort) short++;
      else expect(ended.value).toEqual(whole.value);
    }),
    { numRuns: 10, seed: 11 },
  );
  expect(short).toBeGreaterThan(2);
});

test("outlines of their own, on sheets of any size or one that is there, are a whole plan whenever time ends", () => {
  const cutters: readonly Outline[] = [
    { kind: "heart", widthMm: 62, heightMm: 58 },
    { kind: "leaf", widthMm: 80, heightMm: 40 },
    { kind: "star", diameterMm: 70, points: 6 },
    { kind: "oval", widthMm: 90, heightMm: 55 },
    { kind: "disc", diameterMm: 74 },
  ];
  const any = fc.record({
    cuts: fc.uniqueArray(fc.nat(cutters.length - 1), { minLength: 1, maxLength: 3 }),
    count: fc.integer({ min: 1, max: 90 }),
    // Another web is another outline to all that remembers.
    webMm: fc.double({ min: 0, max: 6, noNaN: true }),
    mayTurn: fc.boolean(),
    isPinned: fc.boolean(),
    isDecorated: fc.boolean(),
    steps: fc.nat(40),
  });
  let short = 0;
  fc.assert(
    fc.property(any, ({ cuts, count, webMm, mayTurn, isPinned, isDecorated, steps }) => {
      const request = {
        ...market,
        mayTurn,
        demands: cuts.map((at, i) => demandFor(cutters[at]!, count + i, { id: `${at}`, webMm })),
        pinnedSheet: isPinned ? { widthMm: 600, heightMm: 400 } : null,
        decoration: isDecorated ? ({ kind: "leaf", widthMm: 40, heightMm: 18 } as const) : null,
      };
      const budget = Budget.ofSteps(steps);
      const ended = planCuts(request, budget);
      if (!ended.ok) throw new Error(ended.failure.code);
      for (const plan of Object.values(ended.value)) expect(checkCutPlan(request, plan)).toEqual([]);
      if (budget.cutShort) short++;
    }),
    { numRuns: 18 },
  );
  expect(short).toBeGreaterThan(3);
});

test("a yield that is ended finds cuts that are there, at most those of the whole search", () => {
  const { demands, ...rolling } = market;
  const { outline, webMm, marginMm } = demands[0]!;
  fc.assert(
    fc.property(fc.integer({ min: 400, max: 9000 }), fc.integer({ min: 0, max: 60 }), (doughG, steps) => {
      const request = { ...rolling, outline, webMm, marginMm, doughG, handTimes: craftHandTimes };
      const ended = computeYield(request, Budget.ofSteps(steps));
      const whole = computeYield(request);
      expect(ended.count).toBeLessThanOrEqual(whole.count);
      expect(ended.lowCount).toBeLessThanOrEqual(ended.count);
      expect(ended.highCount).toBeGreaterThanOrEqual(ended.count);
      const plan = planYield(request, Budget.ofSteps(steps));
      expect(plan?.yields[0]?.count ?? 0).toBeGreaterThanOrEqual(whole.count > 0 ? 1 : 0);
    }),
    { numRuns: 25 },
  );
});

test("a search that is ended is asked nothing more, nor is what it left remembered as the whole", () => {
  const request = { ...market, demands: [demandFor({ kind: "disc", diameterMm: 11.5 }, 4000, { webMm: 1 })] };
  let asked = 0;
  const budget = new Budget(() => ++asked > 5);
  const ended = planCuts(request, budget);
  // The first answer that time is over is the last that is asked for.
  expect([asked, budget.cutShort, budget.isOver()]).toEqual([6, true, true]);
  const [whole, again] = [planCuts(request), planCuts(request, Budget.ofSteps(1e9))];
  if (!ended.ok || !whole.ok || !again.ok) throw new Error("cannot be cut");
  expect(again.value).toEqual(whole.value);
  expect(whole.value.leastDough.doughG).toBeLessThanOrEqual(ended.value.leastDough.doughG);
});

test("a sheet that is there, round or shared, takes a small part of the steps that a day's plan has", () => {
  const cutters: readonly Outline[] = [
    { kind: "heart", widthMm: 61, heightMm: 58 },
    { kind: "leaf", widthMm: 79, heightMm: 40 },
    { kind: "star", diameterMm: 71, points: 6 },
  ];
  const demands = cutters.map((outline, i) => demandFor(outline, 90, { id: `${i}`, webMm: 2 }));
  for (const shape of ["oval", "rectangle"] as const) {
    let asked = 0;
    const counted = new Budget(() => ++asked < 0);
    const request = { ...market, demands, pinnedSheet: { shape, widthMm: 420, heightMm: 420 } };
    expect(planCuts(request, counted).ok).toBe(true);
    // A day's plan gives 30,000 of them.
    expect(asked).toBeLessThan(6000);
  }
});

test("no limit is never over; steps are so many and no more", () => {
  const free = new Budget();
  for (let i = 0; i < 1000; i++) expect(free.isOver()).toBe(false);
  expect(free.cutShort).toBe(false);
  const three = Budget.ofSteps(3);
  expect([1, 2, 3, 4, 5].map(() => three.isOver())).toEqual([false, false, false, true, true]);
});
