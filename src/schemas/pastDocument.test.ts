import { habitKinds, learnDays } from "@/core/habits";
import { NO_PAST, type PastLog } from "@/core/plan";
import { pastSchema } from "./pastDocument";

const read = (past: object): PastLog => {
  const { value, error } = pastSchema.validate(past);
  expect(error).toBeUndefined();
  return value as PastLog;
};
const refuse = (past: object) => pastSchema.validate(past).error?.message;

test("what is left out is nothing, and what is known stays as it is", () => {
  expect(read({})).toEqual(NO_PAST);
  expect(pastSchema.validate(undefined).value).toEqual(NO_PAST);
  const known = { lots: 3, mean: 0.1, sd: 0.2, worthLots: 5, sdWorthLots: 7, widened: 1.2 };
  expect(read({ habits: { "hands:fill:spoon": known } }).habits).toEqual({ "hands:fill:spoon": known });
  const former = { ...known, widened: undefined };
  expect(read({ habits: { "hands:fill:spoon": former } }).habits["hands:fill:spoon"]!.widened).toBe(1);
});

test("the sums of a former document mean the habits that their records would", () => {
  const shares = [0.96, 0.98, 0.96, 0.98];
  const logs = [0.2, 0.3, 0.2, 0.3];
  const sum = (values: readonly number[]) => values.reduce((total, each) => total + each, 0);
  const squares = (values: readonly number[]) => sum(values.map((each) => each ** 2));
  const { habits } = read({
    yields: { crust: { rollings: 4, share: sum(shares), shareSquares: squares(shares) } },
    paces: {
      "fill:spoon": { lots: 4, log: sum(logs), logSquares: squares(logs) },
      "fill:bag": { lots: 0, log: 0, logSquares: 0 },
    },
  });
  const learned = (kind: "hands" | "blanks", values: readonly number[]) =>
    learnDays(
      habitKinds[kind].prior,
      values.map((value) => [value]),
    ).mean;
  expect(habits["hands:fill:spoon"]!.mean).toBeCloseTo(learned("hands", logs), 9);
  expect(habits["blanks:crust"]!.mean).toBeCloseTo(
    learned(
      "blanks",
      shares.map((share) => share - 1),
    ),
    9,
  );
  expect(habits["hands:fill:bag"]).toMatchObject({ lots: 0, mean: 0 });
  expect(
    read({ paces: { "fill:spoon": { lots: 90_000, log: 9000, logSquares: 1800 } } }).habits,
  ).toBeDefined();
});

test("habits of no kind, without spread or narrower than reckoned are refused", () => {
  const known = { lots: 3, mean: 0.1, sd: 0.2, worthLots: 5, sdWorthLots: 7, widened: 1 };
  expect(refuse({ habits: { "luck:moon": known } })).toBeDefined();
  expect(refuse({ habits: { "oven:deck": { ...known, sd: 0 } } })).toBeDefined();
  expect(refuse({ habits: { "oven:deck": { ...known, widened: 0.5 } } })).toBeDefined();
  expect(refuse({ paces: { "fill:spoon": { lots: -1, log: 0, logSquares: 0 } } })).toBeDefined();
});
