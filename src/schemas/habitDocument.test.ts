import { readLogFile, toHabitCsv } from "@/formats";
import { knowByCraft, tellFigure } from "@/core/habits";
import { readLog, validateLog, validateSetting } from "./habitDocument";

const row = (over: object) => ({ habit: "blanks:crust", date: "2026-11-21", planned: 40, real: 38, ...over });
const refusal = (value: unknown) => readLog([value]).refused[0]?.message;

test("shares are taken by what was planned and what was, degrees as they are", () => {
  const { taken, refused } = readLog([
    row({}),
    { habit: "hands:fill:spoon", date: "2026-11-21", planned: 10, real: 12 },
    { habit: "oven:stone", date: "2026-11-21", offC: -8 },
  ]);
  expect(refused).toEqual([]);
  expect(taken.map(({ value }) => value)).toEqual([
    expect.closeTo(Math.log(38.5 / 40.5), 12),
    expect.closeTo(Math.log(1.2), 12),
    -8,
  ]);
});

test.each([
  ["more than could be cut", row({ real: 90 }), /cannot be/],
  ["minutes of none", row({ habit: "hands:fill:spoon", real: 0 }), /0 cannot be/],
  ["a probe at 900 °C", { habit: "oven:stone", date: "2026-11-21", offC: 900 }, /900 °C .* cannot be/],
  ["nothing planned", row({ planned: 0 }), /more than nothing/],
  ["no figure", row({ real: null }), /planned, real/],
  ["no degrees", row({ habit: "oven:stone" }), /offC/],
  ["no such habit", row({ habit: "luck:moon" }), /is no habit/],
  ["no date", row({ date: "2026-02-30" }), /is no date/],
  ["a word for a number", row({ real: "many" }), /real/],
  ["no row at all", "hello", /./],
])("%s is refused, with why", (_, value, why) => expect(refusal(value)).toMatch(why));

test("a lot logged twice counts once, and the row says so", () => {
  const { taken, refused } = readLog([row({}), row({ real: 37 }), row({})]);
  expect(taken).toHaveLength(2);
  expect(refused).toEqual([{ row: 3, message: expect.stringContaining("counts once") as string }]);
});

test("a file is read as CSV or as JSON a line; rows that are none keep their number", () => {
  const csv =
    'habit,date,planned,real\nblanks:crust,2026-11-21,40,38\n\nhands:fill:spoon,2026-11-21,10,"12,5"\n';
  expect(readLog(readLogFile(csv)).taken.map(({ value }) => value)).toEqual([
    expect.closeTo(Math.log(38.5 / 40.5), 12),
    expect.closeTo(Math.log(1.25), 12),
  ]);
  const lines = `${JSON.stringify(row({}))}\n{"habit": \n`;
  const read = readLog(readLogFile(lines));
  expect([read.taken.length, read.refused.map(({ row: at }) => at)]).toEqual([1, [2]]);
  expect(readLogFile("")).toEqual([]);
  expect(validateLog({ log: [] }).ok).toBe(true);
  expect(validateLog({ log: "x" }).ok).toBe(false);
});

test("a habit is set as it is told, within what can be", () => {
  const to = (value: unknown) => validateSetting({ habit: "blanks:crust", to: value });
  expect(to(0.97)).toEqual({ ok: true, value: { habit: "blanks:crust", to: Math.log(0.97) } });
  expect(validateSetting({ habit: "oven:stone", to: -7 })).toMatchObject({ ok: true, value: { to: -7 } });
  expect(to("craft")).toMatchObject({ ok: true, value: { to: "craft" } });
  for (const bad of [0, -1, 9, "high", null]) expect(to(bad).ok).toBe(false);
  expect(validateSetting({ habit: "luck", to: 1 }).ok).toBe(false);
});

test("habits are written out as they are told", () => {
  const known = tellFigure({ ...knowByCraft("blanks:crust"), mean: Math.log(0.97), lots: 4 });
  const csv = toHabitCsv([
    { habit: "blanks:crust", name: "Bay, short", what: "blanks got", scale: "share", known },
  ]);
  const [head, first] = csv.split("\r\n");
  expect(head).toBe("habit,name,what,unit,lots,likely,low,high,next low,next high");
  expect(first).toMatch(/^blanks:crust,"Bay, short",blanks got,of 1,4,0\.97,/);
});
