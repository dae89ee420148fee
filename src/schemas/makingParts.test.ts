import { createMaking, toMaking } from "@/core/formula";
import { formulaSchema } from "./formulaRecords";

const cream = {
  kind: "filling",
  id: "cream",
  name: "Cream",
  lines: [],
  densityGPerMl: 1.05,
  makingLossShare: 0,
};
const check = (fields: object) => formulaSchema.validate({ ...cream, ...fields });

test("a filling is said by its making, or as it used to be, and is the same", () => {
  const precooked = [{ id: "rice", name: "Rice", handMin: 2, cookMin: 18, coolMin: 30 }];
  const former = check({ mixMin: 12, coolMin: 40, precooked });
  expect(former.error).toBeUndefined();
  expect(former.value).toMatchObject({ making: toMaking({ precooked, mixMin: 12, coolMin: 40 }) });
  for (const name of ["mixMin", "coolMin", "precooked"]) expect(former.value).not.toHaveProperty(name);
  expect(check(former.value).value).toEqual(former.value);
  // What is told beside a making is not heard.
  const making = createMaking([["make", { handsMin: 4 }], ["strain"]]);
  expect(check({ making, mixMin: 99 }).value).toMatchObject({ making });
});

test.each([
  [{ making: createMaking([["make"], ["cookPart"]]) }, "“Cook apart” cannot come after “put together”"],
  [{ making: createMaking([["cool"], ["make"]]) }, "“Cool” comes before anything is made"],
  [{ making: [] }, "“Put together” is missing"],
  [{ making: [{ id: "a", kind: "pray" }] }, "must be one of"],
  [{ making: [{ id: "a", kind: "make", handsMin: -3 }] }, "Hands"],
  [{ making: [{ id: "a", kind: "make", minutes: 5000 }] }, "By itself"],
  [{ making: [...createMaking([["make"]]), ...createMaking([["cool"]])] }, "duplicate"],
  [{ mixMin: 0 }, "Hands to mix it"],
])("a making that cannot be is refused: %j", (fields, words) => {
  expect(check(fields).error?.message).toContain(words);
});
