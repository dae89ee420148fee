import { parseKept } from "./parseKept";

const parse = (text: string, isMass: boolean, useBy = "2026-11-30") =>
  parseKept(text, useBy, isMass, "2026-11-28");

test("masses are read in any unit, pieces as whole numbers", () => {
  expect(parse("1.2 kg", true)).toEqual({ ok: true, value: { massG: 1200, count: 0, useBy: "2026-11-30" } });
  expect(parse("430", true)).toMatchObject({ ok: true, value: { massG: 430 } });
  expect(parse("0", false)).toMatchObject({ ok: true, value: { count: 0 } });
});

test.each([
  ["", true, "2026-11-30"],
  ["-5 g", true, "2026-11-30"],
  ["9999 kg", true, "2026-11-30"],
  ["2.5", false, "2026-11-30"],
  ["a few", false, "2026-11-30"],
  ["12", false, "2026-11-27"],
])("%j (mass %j, use by %s) is refused with a reason", (text, isMass, useBy) => {
  const parsed = parse(text, isMass, useBy);
  expect(parsed.ok).toBe(false);
  expect(!parsed.ok && parsed.failure.length).toBeGreaterThan(10);
});
