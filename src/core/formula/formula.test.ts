import { scaleFormula, type Filling } from ".";

const filling: Filling = {
  kind: "filling",
  id: "plum",
  name: "Plum",
  lines: [
    { id: "a", name: "plums", amountText: "900 g", massG: 900 },
    { id: "b", name: "sugar", amountText: "100 g", massG: 100 },
  ],
  densityGPerMl: 1.1,
  makingLossShare: 0.2,
  mixMin: 10,
  coolMin: 30,
};

test("a filling that boils down is weighed so much more, line by line in proportion", () => {
  const batch = scaleFormula(filling, 400);
  expect(batch).toMatchObject({ weighedG: 500, scale: 0.5, usableG: 400 });
  expect(batch.lines.map(({ massG }) => massG)).toEqual([450, 50]);
});

test("a formula without lines cannot be scaled", () => {
  expect(() => scaleFormula({ ...filling, lines: [] }, 400)).toThrow("plum weighs 0 g");
});
