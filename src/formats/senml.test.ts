import fc from "fast-check";
import { readSenMl, writeSenMlLine } from ".";

test("the examples of the standard: one temperature, several readings under base fields", () => {
  // RFC 8428, 5.1.1 and 5.1.2.
  expect(readSenMl([{ n: "urn:dev:ow:10e2073a01080063", u: "Cel", v: 23.1 }])).toEqual({
    ok: true,
    value: [{ name: "urn:dev:ow:10e2073a01080063", unit: "Cel", value: 23.1, timeS: 0 }],
  });
  const several = readSenMl([
    {
      bn: "urn:dev:ow:10e2073a01080063:",
      bt: 1.276020076001e9,
      bu: "A",
      bver: 5,
      n: "voltage",
      u: "V",
      v: 120.1,
    },
    { n: "current", t: -5, v: 1.2 },
    { n: "current", t: -4, v: 1.3 },
  ]);
  expect(several).toMatchObject({
    ok: true,
    value: [
      { name: "urn:dev:ow:10e2073a01080063:voltage", unit: "V", value: 120.1, timeS: 1276020076.001 },
      { name: "urn:dev:ow:10e2073a01080063:current", unit: "A", value: 1.2, timeS: 1276020071.001 },
      { unit: "A", value: 1.3 },
    ],
  });
});

test("a base value is added; what is no number is passed over", () => {
  expect(
    readSenMl([
      { bn: "x", bv: 20, u: "Cel", v: 1.5 },
      { n: "/open", vb: true },
      { n: "/t", u: "Cel", v: -1 },
    ]),
  ).toMatchObject({
    ok: true,
    value: [{ value: 21.5 }, { name: "x/t", value: 19 }],
  });
});

test.each([
  [{}, "a list"],
  [[7], "Record 1 is no object"],
  [[{ n: "a", v: "12" }], "numbers"],
  [[{ n: "a b", v: 1 }], "no name"],
  [[{ v: 1 }], "no name"],
  [[{ n: "a", bver: 11, v: 1 }], "version 11"],
  [Array.from({ length: 101 }, () => ({ n: "a", v: 1 })), "1 too many"],
])("what is no pack is refused with why: %#", (pack, said) => {
  const read = readSenMl(pack);
  expect(read.ok ? "" : read.failure).toContain(said);
});

test("what is written is read back the same, and no pack whatever throws", () => {
  const reading = fc.record({
    name: fc.stringMatching(/^[a-z0-9]{1,8}$/),
    unit: fc.constantFrom("kg", "Cel"),
    value: fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e6, max: 1e6 }).map((value) => value + 0),
  });
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 8 }), (readings) => {
      const read = readSenMl(JSON.parse(writeSenMlLine("kitchen:", readings)));
      expect(read.ok && read.value.map(({ name, unit, value }) => ({ name, unit, value }))).toEqual(
        readings.map((each) => ({ ...each, name: `kitchen:${each.name}` })),
      );
    }),
  );
  fc.assert(fc.property(fc.jsonValue(), (value) => expect(typeof readSenMl(value).ok).toBe("boolean")));
});
