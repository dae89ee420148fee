import { validatePieceRemedy, validateRemedy, validateTakenRemedy } from "./remedyDocument";

const faultsOf = (checked: ReturnType<typeof validateRemedy> | ReturnType<typeof validateTakenRemedy>) =>
  checked.ok ? [] : checked.failure.map(({ path, message }) => `${path}: ${message}`);

test("a trouble alone is enough, and figures stand by their names", () => {
  expect(validateRemedy({ trouble: "pale" })).toEqual({ ok: true, value: { trouble: "pale", figures: {} } });
  const told = { trouble: "greasy", figures: { oilOffC: -14, loadShare: 1.3 } };
  expect(validateRemedy(told)).toEqual({ ok: true, value: told });
});

test.each([
  [{}, "trouble"],
  [{ trouble: "sad" }, "trouble"],
  [{ trouble: "pale", figures: { mood: 1 } }, "figures.mood"],
  [{ trouble: "pale", figures: { ovenOffC: "hot" } }, "figures.ovenOffC"],
  [{ trouble: "pale", figures: { ovenOffC: 1001 } }, "figures.ovenOffC"],
  [null, ""],
])("what is no trouble, or no figure, is refused where it stands: %o", (value, at) => {
  expect(faultsOf(validateRemedy(value)).join("\n")).toContain(at);
});

test("a remedy that is taken is a step of one figure", () => {
  const taken = { pieceId: "plum-pop", change: { kind: "bakeC", byC: -10 } };
  expect(validatePieceRemedy(taken)).toEqual({ ok: true, value: taken });
  expect(validateTakenRemedy(taken)).toEqual({ ok: true, value: { ...taken, from: "now" } });
  expect(validateTakenRemedy({ ...taken, from: "next" })).toMatchObject({
    ok: true,
    value: { from: "next" },
  });
  expect(faultsOf(validateTakenRemedy({ ...taken, from: "never" })).length).toBeGreaterThan(0);
  for (const change of [
    { kind: "bakeC", byC: 500 },
    { kind: "bakeC", byMm: 1 },
    { kind: "way", text: "x" },
    null,
  ])
    expect(faultsOf(validateTakenRemedy({ pieceId: "plum-pop", change })).length).toBeGreaterThan(0);
});
