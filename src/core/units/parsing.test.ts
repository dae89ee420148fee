import { sayFailure } from "../words";
import { parseClock, parseNumber } from ".";

const numberOf = (text: string) => {
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.value : sayFailure(parsed.failure);
};
const clockOf = (text: string) => {
  const parsed = parseClock(text);
  return parsed.ok ? parsed.value : sayFailure(parsed.failure);
};

test.each([
  ["  12 ", 12],
  [".75", 0.75],
  ["1,25", 1.25],
  ["12,5", 12.5],
  ["12 11/16", 12.6875],
  ["11/16", 0.6875],
  ["10/100", 0.1],
  ["12-11/16", 12.6875],
  ["−4", -4],
  ["1⁄8", 0.125],
  ["2½", 2.5],
  ["123456789012345678901234", 1.2345678901234568e23],
])("%p is the number %p", (text, value) => {
  expect(numberOf(text)).toBe(value);
});

test.each([
  ["", "Enter a number."],
  ["   ", "Enter a number."],
  ["1234567890123456789012345", "“123456789012…” is too long for a number."],
  ["1,000", "“1,000” could be 1000 or 1.000: write one of them."],
  ["123,456", "“123,456” could be 123456 or 123.456: write one of them."],
  ["a dozen", "“a dozen” is not a number."],
  [".", "“.” is not a number."],
  ["1 / 2 / 3", "“1 / 2 / 3” is not a number."],
  ["3/0", "“3/0” divides by zero."],
  ["3/00", "“3/00” divides by zero."],
])("%p is none, and why", (text, why) => {
  expect(numberOf(text)).toBe(why);
});

test("a comma with more or fewer than three digits after it is a decimal's; three after four are no thousand", () => {
  expect([numberOf("1,0005"), numberOf("1234,567")]).toEqual([1.0005, 1234.567]);
});

test.each([
  [" 9 ", 540],
  ["09.30", 570],
  ["0930", 570],
  ["7h15", 435],
  ["12 am", 0],
  ["12 PM", 720],
  ["2:30 pm", 870],
  ["23:59", 1439],
])("%p is a time of the day", (text, minutes) => {
  expect(clockOf(text)).toBe(minutes);
});

test.each(["24:00", "13 pm", "0 am", "9:60", "at 9", "9 o'clock", "-1", "123:00"])("%p is none", (text) => {
  expect(clockOf(text)).toBe(`“${text}” is no time of the day: write it like 09:00 or 2:30 pm.`);
});

test("a whole sentence in a clock's field is told by its beginning alone", () => {
  expect(clockOf("  when the bell of the market rings  ")).toBe(
    "“when the bell of” is no time of the day: write it like 09:00 or 2:30 pm.",
  );
});
