import fc from "fast-check";
import { listDemoChanges } from "@/demo";
import type { StoredRecord } from "@/schemas/recordKinds";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay, type DayBook } from ".";

const records = listDemoChanges().map(({ kind, record }) => ({ kind, record, version: 1 }) as StoredRecord);
const demo = toDayBook(records, "2026-11-28", null)!;

const withOrders = (counts: readonly number[], dueMin = 720): DayBook => ({
  ...demo,
  orders: counts.map((count, i) => ({
    id: `o${i}`,
    dayId: demo.day.id,
    pieceId: demo.pieces[i % demo.pieces.length]!.id,
    count,
    dueMin,
    customer: "",
  })),
});

test("the demo Saturday is ready as promised, with nothing left to decide", () => {
  const plan = planDay(demo);
  expect(plan.problems).toEqual([]);
  expect(plan.tally.inHandMin).toBeGreaterThan(0);
  for (const { readyMin, orders } of plan.lines) {
    for (const { id, dueMin } of orders) expect(readyMin[id]).toBeLessThanOrEqual(dueMin);
  }
});

test("whatever is ordered: mass in is mass out, blanks cover pieces, batches weigh what is used", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 160 }), { minLength: 1, maxLength: 5 }), (counts) => {
      const plan = planDay(withOrders(counts));
      const { flow } = plan;
      const inG = flow.doughG + flow.fillingG;
      const outG = flow.piecesG + flow.waterG + flow.trimLeftG + flow.rollingLossG + flow.surplusBlanksG;
      expect(Math.abs(inG - outG) / inG).toBeLessThan(1e-9);
      for (const line of plan.lines)
        expect(line.cut.count).toBeGreaterThanOrEqual(line.ordered + line.piece.spares);
      const weighedG = plan.doughs
        .flatMap(({ batch }) => batch.lines)
        .reduce((sum, { massG }) => sum + massG, 0);
      expect(weighedG).toBeCloseTo(flow.doughG, 6);
      expect(plan.tally.ready).toBe(plan.lines.reduce((sum, { made }) => sum + made, 0));
    }),
    { numRuns: 40, seed: 31 },
  );
});

test("every task of a load comes after what it needs, and blanks are cut before they are filled", () => {
  const { tasks, lines } = planDay(demo);
  const at = (id: string) => tasks.find((task) => task.id === id)!.placed;
  for (const { piece, loading, cut } of lines) {
    loading.loads.forEach((_, i) => {
      const [fill, seal, bake, finish] = ["fill", "seal", "bake", "finish"].map((kind) =>
        at(`${kind}:${piece.id}:${i + 1}`),
      );
      expect(seal!.startMin).toBeGreaterThanOrEqual(fill!.endMin);
      expect(bake!.startMin).toBeGreaterThanOrEqual(seal!.endMin + piece.chillMin);
      expect(finish!.startMin).toBeGreaterThanOrEqual(bake!.endMin + piece.coolMin);
    });
    // All but the last load's blanks must have been cut when that load is filled.
    let needed = 0;
    loading.loads.forEach((load, i) => {
      needed += load.pieces;
      const fill = at(`fill:${piece.id}:${i + 1}`);
      const ready = cut.sheets.reduce(
        (sum, sheet, s) =>
          at(`roll:${piece.id}:${s + 1}`).endMin <= fill.startMin ? sum + sheet.layout.count : sum,
        0,
      );
      expect(ready).toBeGreaterThanOrEqual(needed);
    });
  }
});

test("the same book gives the same plan", () => {
  expect(planDay(structuredClone(demo))).toEqual(planDay(demo));
});

test("a promise that cannot be kept says by how many minutes and when the pieces are ready", () => {
  const plan = planDay(withOrders([60], demo.day.openMin + 60));
  expect(plan.tally.inHandMin).toBeLessThan(0);
  const [problem] = plan.problems;
  const ready = plan.tally.readyMin!;
  expect(problem).toMatchObject({ station: "bake", stops: false });
  expect(-plan.tally.inHandMin!).toBe(ready - (demo.day.openMin + 60));
});

test("a promise already past is named as such", () => {
  const plan = planDay({ ...demo, nowMin: 600 });
  expect(plan.problems.filter(({ station }) => station === "orders").map(({ message }) => message)).toEqual([
    expect.stringContaining("that was 1 h 00 ago"),
    expect.stringContaining("that was 0 s ago"),
  ]);
});

test.each([
  ["a margin wider than the piece", { marginMm: 60 }, "fill", "leaves nothing to fill"],
  ["a cutter larger than the largest sheet", { cut: { kind: "disc", diameterMm: 520 } }, "roll", "too small"],
  ["an oven that does not get so hot", { ovenC: 320 }, "bake", "20 °C above"],
  ["a dough that is not there", { doughId: "gone" }, "mix", "no dough is chosen"],
] as const)(
  "%s stops that piece with a remedy and leaves the others planned",
  (_name, change, station, words) => {
    const [first, ...others] = demo.pieces;
    const plan = planDay({ ...demo, pieces: [{ ...first!, ...change }, ...others] });
    expect(plan.problems).toContainEqual(
      expect.objectContaining({
        station,
        pieceId: first!.id,
        stops: true,
        message: expect.stringContaining(words),
      }),
    );
    expect(plan.lines).toHaveLength(2);
  },
);

test("a narrow margin under a rope is a warning, not a stop", () => {
  const plan = planDay({ ...demo, pieces: demo.pieces.map((piece) => ({ ...piece, marginMm: 9 })) });
  expect(plan.problems.filter(({ station }) => station === "seal")).toHaveLength(2);
  expect(plan.lines).toHaveLength(3);
});

test("an empty day is an empty plan", () => {
  expect(planDay({ ...demo, orders: [] })).toMatchObject({
    lines: [],
    tasks: [],
    problems: [],
    tally: { ready: 0, startMin: null },
  });
});
