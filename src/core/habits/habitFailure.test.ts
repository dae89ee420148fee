import { findImplausible, sayHabitFailure, toHabitId, toShareLog, type HabitId } from ".";

const say = (id: HabitId, value: number) => {
  const failure = findImplausible(id, value);
  return failure && sayHabitFailure(failure);
};

test("a slip is told as it was written down, with what would be believed; at the edge nothing is said", () => {
  const pace = toHabitId("hands", "fill:spoon");
  expect(say(pace, Math.log(1))).toBeNull();
  expect(say(pace, Math.log(100))).toMatch(/^10000 % .* cannot be: it lies outside \d+ % to \d+ %\.$/);
  expect(say(pace, Infinity)).toMatch(/cannot be/);
  expect(say(toHabitId("oven", "two-deck"), 300)).toMatch(/^300 °C .* outside -?\d+ °C to \d+ °C\.$/);
});

test("one blank more of one that was planned is no slip of a pen", () => {
  const blanks = toHabitId("blanks", "rye");
  expect(say(blanks, toShareLog(1, 1))).toBeNull();
  expect(say(blanks, toShareLog(400, 40))).toMatch(/cannot be/);
});

test("what is no habit is shown again, cut short, with what one looks like", () => {
  expect(say("luck:moon" as HabitId, 0)).toBe(
    "“luck:moon” is no habit: use a kind and whose it is, like hands:fill:spoon.",
  );
  expect(say("x".repeat(500) as HabitId, 0)!.length).toBeLessThan(140);
});
