import fc from "fast-check";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { computeAreaMm2 } from "../../shape";
import { sayBatchFailure, divideBatch, findMixedG, planDay, type BatchRequest, type DividedBatch } from "..";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const gPerMl = (id: string) => monday.formulas.find((formula) => formula.id === id)!.densityGPerMl;
const pieceOf = (id: string) => monday.pieces.find((piece) => piece.id === id)!;
const ask = (over: Partial<BatchRequest>) =>
  divideBatch(monday, {
    pieceId: "quince-half-moon",
    doughG: 700,
    division: { by: "into", pieces: 12 },
    follows: "size",
    fillingG: null,
    ...over,
  });
function divided(over: Partial<BatchRequest>): DividedBatch {
  const answer = ask(over);
  if (!answer.ok) throw new Error(sayBatchFailure(answer.failure));
  return answer.value;
}

test("this dough into twelve: each round weighs a twelfth, and rounding leaves less than a cutter's step of each", () => {
  fc.assert(
    fc.property(fc.integer({ min: 300, max: 1200 }), fc.integer({ min: 4, max: 16 }), (doughG, pieces) => {
      const eachG = doughG / pieces;
      fc.pre(eachG > 25 && eachG < 200);
      const { piece, count, shaped, doughUsedG, doughLeftG } = divided({
        doughG,
        division: { by: "into", pieces },
      });
      expect(count).toBe(pieces);
      // The closed form of a disc: π/4 · d² · t · ρ.
      const discMm = Math.sqrt((4000 * eachG) / (Math.PI * piece.thicknessMm * gPerMl(piece.doughId)));
      expect(piece.cut).toEqual({ kind: "disc", diameterMm: Math.floor(discMm * 2 + 1e-6) / 2 });
      expect(doughUsedG).toBeCloseTo(count * shaped.masses.blankG, 6);
      expect(doughUsedG + doughLeftG).toBeCloseTo(doughG, 9);
      expect(doughLeftG).toBeGreaterThanOrEqual(-1e-6);
    }),
    { numRuns: 12 },
  );
});

test("the cutter kept, it is rolled thinner or thicker to the same mass", () => {
  const { piece, shaped } = divided({ follows: "thickness" });
  const former = pieceOf("quince-half-moon");
  expect(piece.cut).toEqual(former.cut);
  const mm = (1000 * 700) / 12 / (computeAreaMm2(former.cut) * gPerMl(former.doughId));
  expect(piece.thicknessMm).toBeCloseTo(Math.floor(mm * 10) / 10, 9);
  expect(shaped.masses.blankG * 12).toBeLessThanOrEqual(700);
});

test("as many as 52 g pieces: whole ones only, and the rest is told", () => {
  const { count, doughUsedG, doughLeftG, shaped } = divided({ division: { by: "each", doughG: 52 } });
  expect(shaped.masses.blankG).toBeLessThanOrEqual(52);
  expect(count).toBe(Math.floor(700 / shaped.masses.blankG));
  expect(doughUsedG + doughLeftG).toBeCloseTo(700, 9);
  expect(doughLeftG).toBeLessThan(shaped.masses.blankG);
});

test("a lined cup keeps its mould: the dough is rolled thinner and the round is cut to line it", () => {
  const { piece, count, doughUsedG, doughLeftG } = divided({
    pieceId: "tahini-tartlet",
    follows: "thickness",
  });
  expect(count).toBe(12);
  expect(piece.form).toEqual(pieceOf("tahini-tartlet").form);
  // Its star is cut from a sheet: what is used counts the trim.
  expect(doughUsedG).toBeLessThanOrEqual(700);
  expect(doughUsedG).toBeGreaterThan(700 * 0.9);
  expect(doughUsedG + doughLeftG).toBeCloseTo(700, 9);
});

test.each(["apple-envelope", "blossom-case"])(
  "as many sets of %s as a batch gives: one more would need more dough than there is",
  (pieceId) => {
    for (const doughG of [400, 900]) {
      const answer = divided({ pieceId, doughG, division: { by: "sets", each: 1, others: [] } });
      const needG = (count: number) => {
        const plan = planDay({
          ...monday,
          larder: [],
          ahead: [],
          weighings: [],
          pieces: monday.pieces.map((piece) => (piece.id === pieceId ? { ...answer.piece } : piece)),
          orders: [{ id: "o", dayId: monday.day.id, pieceId, count, dueMin: 900, customer: "" }],
        });
        return plan.cuts.reduce((sum, cut) => sum + cut.plan.doughG, 0);
      };
      expect(answer.doughUsedG).toBeCloseTo(needG(answer.count), 6);
      expect(answer.doughUsedG).toBeLessThanOrEqual(doughG);
      // Brute force: none of the counts above fits.
      for (let more = answer.count + 1; more <= answer.count + 4; more++)
        expect(needG(more)).toBeGreaterThan(doughG);
    }
  },
);

test("two cutters in a ratio come in whole sets", () => {
  const { piece, count, others, doughUsedG } = divided({
    pieceId: "leek-triangle",
    doughG: 1500,
    division: { by: "sets", each: 2, others: [{ pieceId: "date-round", each: 1 }] },
  });
  expect(count % 2).toBe(0);
  expect(others).toEqual([
    {
      piece: expect.objectContaining({ id: "date-round", cutAim: piece.cutAim, spares: 0 }),
      count: count / 2,
    },
  ]);
  expect(doughUsedG).toBeLessThanOrEqual(1500);
  // Taken as it is given, the day rolls what was promised.
  const taken = [{ piece, count }, ...others];
  const order = ({ piece: { id }, count: pieces }: (typeof taken)[number]) => ({
    id,
    dayId: monday.day.id,
    pieceId: id,
    count: pieces,
    dueMin: 900,
    customer: "",
  });
  const plan = planDay({
    ...monday,
    larder: [],
    ahead: [],
    weighings: [],
    pieces: monday.pieces.map((each) => taken.find((other) => other.piece.id === each.id)?.piece ?? each),
    orders: taken.map(order),
  });
  expect(plan.cuts.reduce((sum, cut) => sum + cut.plan.doughG, 0)).toBeCloseTo(doughUsedG, 6);
});

test("the filling's batch is divided evenly, and too much of it is told as over", () => {
  const { piece, shaped, fillingUsedG } = divided({ fillingG: 360 });
  expect(piece.portionG).toBe(30);
  expect(fillingUsedG).toBeCloseTo(360, 9);
  expect(shaped.overMl).toBe(0);
  expect(divided({ fillingG: 3600 }).shaped.overMl).toBeGreaterThan(100);
});

test.each<[string, Partial<BatchRequest>, string]>([
  ["no such piece", { pieceId: "gone" }, "noPieceToDivide"],
  ["not enough for one", { doughG: 20, division: { by: "each", doughG: 52 } }, "tooLittleDough"],
  ["thinner than any hand rolls", { follows: "thickness", doughG: 100 }, "massOutOfReach"],
  ["a round too small to close", { division: { by: "into", pieces: 200 } }, "massOutOfReach"],
])("%s is refused with figures", (_, over, code) => {
  const answer = ask(over);
  expect(answer).toMatchObject({ ok: false, failure: { code } });
  if (!answer.ok) expect(sayBatchFailure(answer.failure)).toMatch(/\d+ g|Choose/);
});

test("so much jam over the batch: each layer is as high as its share, and the day needs just that", () => {
  for (const massG of [120, 240, 360]) {
    const layers = [{ fillingId: "quince-jam", massG }];
    const { piece, shaped, count } = divided({
      pieceId: "tahini-tartlet",
      division: { by: "sets", each: 1, others: [] },
      doughG: 1200,
      layers,
    });
    const layer = shaped.parts.find(({ role }) => role === "layer")!;
    expect(layer.portion.massG * count).toBeGreaterThan(massG * 0.99);
    expect(layer.portion.massG * count).toBeLessThanOrEqual(massG * (1 + 1e-9));
    // The heights of one jam in one mould rise with it; what is filled over it has the room that is left.
    expect(piece.extras).toContainEqual({
      kind: "layer",
      fillingId: "quince-jam",
      heightMm: expect.any(Number),
    });
    const [main] = shaped.parts;
    expect(main!.portion.volumeMl + layer.portion.volumeMl).toBeLessThanOrEqual(shaped.formed.mostMl + 1e-6);
  }
});

test("more jam than lies under the filling is refused, with what would do", () => {
  const layers = [{ fillingId: "quince-jam", massG: 20_000 }];
  const answer = ask({ pieceId: "tahini-tartlet", division: { by: "sets", each: 1, others: [] }, layers });
  if (answer.ok) throw new Error("20 kg went into a few tartlets");
  expect(answer.failure).toMatchObject({
    code: "layerTooHeavy",
    figures: { filling: "Quince jam", wantedG: 20_000 },
  });
  const { mostG } = answer.failure.figures as { mostG: number };
  expect(sayBatchFailure(answer.failure)).toMatch(
    /20 kg of Quince jam is .* more than lies under .* Take .*, or divide/,
  );
  expect(
    ask({
      pieceId: "tahini-tartlet",
      division: { by: "sets", each: 1, others: [] },
      layers: [{ fillingId: "quince-jam", massG: mostG * 0.98 }],
    }).ok,
  ).toBe(true);
});

test("a batch comes to what the day mixes already: what it needs and the larder has not, or what was said", () => {
  const plan = planDay(monday);
  const bay = plan.doughs.find(({ formula }) => formula.id === "bay-shortcrust")!;
  expect(findMixedG(monday, plan, "bay-shortcrust")).toBeCloseTo(bay.neededG - bay.fromLarderG, 9);
  expect(findMixedG(monday, plan, "nothing-of-this")).toBe(0);
  const said = {
    id: "w",
    dayId: monday.day.id,
    date: monday.day.date,
    formulaId: "bay-shortcrust",
    tickedLineIds: [],
    took: null,
    mixG: 1500,
  };
  expect(findMixedG({ ...monday, weighings: [said] }, plan, "bay-shortcrust")).toBe(1500);
});
