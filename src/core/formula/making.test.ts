import fc from "fast-check";
import {
  checkMaking,
  createMaking,
  createMakingStep,
  factsOfMaking,
  makingKinds,
  readMaking,
  toMaking,
  type Making,
} from ".";
import { sayFailure } from "../words";

describe("a making as jobs, written by hand", () => {
  test("parts cool side by side, then the filling is put together and cools", () => {
    const plan = readMaking(
      createMaking([
        ["cookPart", { name: "Leeks", handsMin: 6, minutes: 15 }],
        ["cool", { minutes: 25 }],
        ["cookPart", { name: "Rice", handsMin: 2, minutes: 18 }],
        ["make", { handsMin: 20 }],
        ["cool", { minutes: 45 }],
      ]),
    );
    expect(plan.jobs.map(({ handsMin, after, isApart }) => ({ handsMin, after, isApart }))).toEqual([
      { handsMin: 6, after: [], isApart: true },
      { handsMin: 2, after: [], isApart: true },
      {
        handsMin: 20,
        after: [
          { job: 0, waitMin: 40 },
          { job: 1, waitMin: 18 },
        ],
        isApart: false,
      },
    ]);
    expect(plan).toMatchObject({ readyMin: 45, hotMin: null, use: [] });
  });

  test("what is cooked is strained after it cooked, and is ready when it has cooled", () => {
    const plan = readMaking(
      createMaking([
        ["make", { handsMin: 6 }],
        ["cook", { handsMin: 4, minutes: 6 }],
        ["strain", { handsMin: 3 }],
        ["cool", { minutes: 20 }],
        ["chill", { minutes: 60 }],
        ["loosen", { handsMin: 2 }],
      ]),
    );
    expect(plan.jobs.map(({ handsMin, after }) => [handsMin, after])).toEqual([
      // Hands stay at the pan from the putting together to the cooking.
      [10, []],
      [3, [{ job: 0, waitMin: 6 }]],
    ]);
    expect(plan).toMatchObject({ readyMin: 80, useReadyMin: 0, useHotMin: null });
    expect(plan.use.map(({ kind }) => kind)).toEqual(["loosen"]);
  });

  test("what is kept hot is used while it is: the batch, or the lot that was warmed", () => {
    const sauce = readMaking(
      createMaking([
        ["make", { handsMin: 5 }],
        ["cook", { handsMin: 1, minutes: 8 }],
        ["keepHot", { minutes: 30 }],
      ]),
    );
    expect(sauce).toMatchObject({ readyMin: 8, hotMin: 30, useHotMin: null });
    const glaze = readMaking(
      createMaking([["make"], ["cool"], ["warm", { minutes: 3 }], ["keepHot", { minutes: 9 }]]),
    );
    expect(glaze).toMatchObject({ readyMin: 30, hotMin: null, useReadyMin: 3, useHotMin: 9 });
  });
});

test.each([
  ["nothing", [], "notTogether"],
  ["two makes", [["make"], ["make"]], "notTogether"],
  ["a part after the filling", [["make"], ["cookPart"]], "tooLate"],
  ["warming before there is a filling", [["cookPart"], ["warm"], ["make"]], "tooLate"],
  ["straining what was warmed for a lot", [["make"], ["warm"], ["strain"]], "tooLate"],
  ["straining before anything", [["strain"], ["make"]], "nothingYet"],
  ["keeping hot what has cooled", [["make"], ["cook"], ["cool"], ["keepHot"]], "notHot"],
  ["keeping hot what was never hot", [["make"], ["keepHot"]], "notHot"],
  ["no end", [["make"], ...Array.from({ length: 30 }, () => ["cool"] as const)], "makingTooLong"],
] as const)("%s cannot be: it is refused with what would mend it", (_, steps, code) => {
  const faults = checkMaking(createMaking(steps));
  expect(faults.map((fault) => fault.code)).toContain(code);
  for (const fault of faults) expect(sayFailure(fault)).toMatch(/[.]$/);
});

const makings = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...makingKinds),
      handsMin: fc.integer({ min: 0, max: 40 }),
      minutes: fc.integer({ min: 0, max: 90 }),
    }),
    { minLength: 1, maxLength: 12 },
  )
  .map((steps): Making =>
    steps.map(({ kind, handsMin, minutes }, i) => {
      const { hasHands } = factsOfMaking(kind);
      return createMakingStep(`m${i}`, kind, { handsMin: hasHands ? handsMin : 0, minutes });
    }),
  );

test("of any making that can be, each step is in one job or done for each lot, in its order, and no minute is lost", () => {
  fc.assert(
    fc.property(makings, (making) => {
      fc.pre(checkMaking(making).length === 0);
      const plan = readMaking(making);
      const told = [...plan.jobs.flatMap(({ steps }) => steps), ...plan.use];
      expect(told.map(({ id }) => id)).toEqual(making.map(({ id }) => id));
      const hands = plan.jobs.reduce((sum, { handsMin }) => sum + handsMin, 0);
      const total = (steps: Making) => steps.reduce((sum, { handsMin }) => sum + handsMin, 0);
      expect(hands + total(plan.use)).toBe(total(making));
      // Each wait is the time that passes by itself between two jobs; those to the end and for a lot make up the rest.
      const waits = plan.jobs.flatMap(({ after }) => after.map(({ waitMin }) => waitMin));
      const passing = making.reduce((sum, { kind, minutes }) => sum + (kind === "keepHot" ? 0 : minutes), 0);
      expect(waits.reduce((a, b) => a + b, 0) + plan.readyMin + plan.useReadyMin).toBe(passing);
      plan.jobs.forEach(({ after }, i) => after.forEach(({ job }) => expect(job).toBeLessThan(i)));
    }),
    { numRuns: 600, seed: 11 },
  );
});

test("former figures mean the same jobs: parts, hands, cooling", () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), fc.nat(60), fc.nat(60)), { maxLength: 4 }),
      fc.integer({ min: 1, max: 60 }),
      fc.nat(240),
      (parts, mixMin, coolMin) => {
        const precooked = parts.map(([handMin, cookMin, partCoolMin], i) => ({
          id: `p${i}`,
          name: `Part ${i}`,
          handMin,
          cookMin,
          coolMin: partCoolMin,
        }));
        const making = toMaking({ precooked, mixMin, coolMin });
        expect(checkMaking(making)).toEqual([]);
        const { jobs, readyMin } = readMaking(making);
        expect(readyMin).toBe(coolMin);
        expect(jobs.map(({ handsMin }) => handsMin)).toEqual([...parts.map(([handMin]) => handMin), mixMin]);
        expect(jobs.at(-1)!.after).toEqual(
          parts.map(([, cook, cool], job) => ({ job, waitMin: cook + cool })),
        );
      },
    ),
    { seed: 11 },
  );
});
