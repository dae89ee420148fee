import { createWay } from "../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { formKinds } from "../forming";
import { planDay, type DayBook, type LotRecord, type Piece } from ".";

const records = listDemoRecords();
const monday = toDayBook(records, "2026-11-30", null)!;
const plan = planDay(monday);
const lineOf = (id: string, of = plan) => of.lines.find(({ piece }) => piece.id === id)!;
const withPiece = (id: string, change: Partial<Piece>): DayBook => ({
  ...monday,
  pieces: monday.pieces.map((piece) => (piece.id === id ? { ...piece, ...change } : piece)),
});
const lot = (fields: Partial<LotRecord>): LotRecord => ({
  id: "lot-1",
  dayId: "day-2026-11-27",
  date: "2026-11-27",
  pieceId: "chestnut-pie",
  pieces: 40,
  fill: null,
  close: null,
  leaked: null,
  craftLeakShare: 0.02,
  craftCauses: {},
  ...fields,
});

test("the demo world has a piece of every form, and each can be made", () => {
  expect(new Set(monday.pieces.map(({ form }) => form.kind))).toEqual(new Set(formKinds));
  expect(Object.entries(plan.shaped).filter(([, shaped]) => shaped === null)).toEqual([]);
});

test("all that goes in comes out: fruit, nuts, syrup and the trim of moulds and presses included", () => {
  const { flow } = plan;
  const into = flow.doughG + flow.fillingG + flow.wholeG + flow.coatsG + flow.storedG;
  const out = flow.piecesG + flow.waterG + flow.decorationsG + flow.trimLeftG + flow.rollingLossG;
  expect(into - out - flow.surplusBlanksG - flow.returnedG).toBeCloseTo(0, 6);
  expect(flow.wholeG).toBeGreaterThan(0);
  const trimG = ["tahini-tartlet", "chestnut-pie", "leek-press", "custard-cup"].reduce(
    (sum, id) => sum + lineOf(id).shaped.masses.trimG * lineOf(id).counts.toFill,
    0,
  );
  expect(flow.returnedG).toBeCloseTo(trimG, 9);
});

test("layers and syrup are made as batches of their own, with what every piece takes of them", () => {
  const jam = plan.fillings.find(({ formula }) => formula.id === "quince-jam")!;
  const {
    shaped: { parts },
    counts: { toFill },
  } = lineOf("tahini-tartlet");
  expect(parts.map(({ role }) => role)).toEqual(["main", "layer"]);
  expect(jam.neededG).toBeCloseTo(parts[1]!.portion.massG * toFill, 9);
  const pears = lineOf("pear-coat");
  const syrup = pears.fills.find(({ part }) => part.role === "sauce")!;
  const count = Math.ceil(pears.counts.toFill / 6);
  expect(syrup).toMatchObject({ pans: { count }, totalG: pears.counts.toFill * 30 });
  expect(syrup.pans!.eachG * count).toBeCloseTo(syrup.totalG, 9);
});

test("two fillings over one order come in whole pieces", () => {
  const extras = [{ kind: "alternate" as const, fillingId: "chestnut-and-onion", share: 0.35 }];
  const line = lineOf("leek-press", planDay(withPiece("leek-press", { extras })));
  const counts = line.fills.map(({ count }) => count);
  expect(counts).toEqual([
    line.counts.toFill - Math.round(line.counts.toFill * 0.35),
    Math.round(line.counts.toFill * 0.35),
  ]);
  expect(line.fillingG).toBeCloseTo(
    line.fills.reduce((sum, { count, part }) => sum + count * part.portion.massG, 0),
    9,
  );
});

test("egg for glue and wash is cracked with that of the batches", () => {
  const bare = planDay({
    ...monday,
    pieces: monday.pieces.map((piece) => ({
      ...piece,
      glue: "water" as const,
      wash: { kind: "none" as const, coats: 1, sugar: "none" as const },
    })),
  });
  const eggs = (name: string) =>
    [...plan.washes, ...plan.glues].find((each) => each.name === name)?.massG ?? 0;
  const washEgg = plan.washes.find(({ name }) => name === "whole egg")?.massG ?? 0;
  expect(plan.eggs.whitesG - bare.eggs.whitesG).toBeCloseTo(eggs("egg white"), 6);
  const glueEgg = plan.glues.find(({ name }) => name === "whole egg")?.massG ?? 0;
  const mixedEgg = (plan.washes.find(({ name }) => name === "egg and milk")?.massG ?? 0) * 0.77;
  expect(plan.eggs.wholeG - bare.eggs.wholeG).toBeCloseTo(washEgg + glueEgg + mixedEgg, 6);
});

test("raw fruit is sugared a lot at a time, no longer before it is filled than its juice allows", () => {
  const at = (id: string) => plan.tasks.find((task) => task.id === id)!.placed;
  const waitMin = at("fill:apple-envelope:1").startMin - at("sugar:apple-envelope:1").endMin;
  expect(waitMin).toBeGreaterThanOrEqual(0);
  expect(waitMin).toBeLessThanOrEqual(10);
});

test("parts that are cooked before have cooled before the filling is made of them", () => {
  const at = (id: string) => plan.tasks.find((task) => task.id === id)!.placed;
  expect(at("make:leek-and-white-cheese").startMin).toBeGreaterThanOrEqual(
    at("precook:leek-and-white-cheese:m1").endMin + 40,
  );
});

test("a stage that ends with filling bakes empty first, and a second coat takes hands at half time", () => {
  const way = createWay([
    ["line"],
    ["chill"],
    ["bake", { heatC: 190, minutes: 12 }],
    ["cool", { minutes: 10 }],
    ["fill"],
    ["bake", { heatC: 150, minutes: 20 }],
    ["setOut"],
  ]);
  const tray = withPiece("custard-cup", { way });
  const blind = planDay({ ...tray, ovens: tray.ovens.slice(0, 1) });
  const at = (id: string) => blind.tasks.find((task) => task.id === id)!;
  const [close, empty, fill, bake] = [
    "line:custard-cup:1",
    "bake:custard-cup:1:blind",
    "fill:custard-cup:1",
    "bake:custard-cup:1",
  ].map(at);
  expect(empty!.placed.startMin).toBeGreaterThanOrEqual(close!.placed.endMin);
  expect(fill!.placed.startMin).toBeGreaterThanOrEqual(empty!.placed.endMin + 10);
  expect(bake!.placed.startMin).toBeGreaterThanOrEqual(fill!.placed.endMin);
  expect([empty!.heat, bake!.heat]).toEqual([
    { startC: 190, endC: 190 },
    { startC: 150, endC: 150 },
  ]);
  const coat = (coats: number) =>
    planDay(
      withPiece("leek-press", {
        wash: { kind: "egg", coats, sugar: "none" },
        way: createWay([
          ["fill"],
          ["press"],
          ["close"],
          ["bake", { heatC: 195, minutes: 11 }],
          ...(coats > 1 ? [["coat"] as const] : []),
          ["bake", { heatC: 195, minutes: 11 }],
          ["setOut"],
        ]),
      }),
    ).tasks.find(({ id }) => id === "bake:leek-press:1")!.handsMin;
  expect(coat(2)).toBeGreaterThan(coat(1));
});

test("leaks and minutes that were logged move the risk and the schedule's minutes, of that piece and that way of closing", () => {
  const leaky = planDay({ ...monday, lotRecords: [lot({ leaked: 9 })] });
  expect(lineOf("chestnut-pie", leaky).shaped.hold!.leakShare).toBeGreaterThan(
    lineOf("chestnut-pie").shaped.hold!.leakShare,
  );
  expect(lineOf("leek-press", leaky).shaped.hold).toEqual(lineOf("leek-press").shaped.hold);
  // With its causes the lot also says of what they share that the craft weighs it too lightly.
  const { craftShare, craftCauses } = lineOf("chestnut-pie").shaped.hold!;
  const told = planDay({
    ...monday,
    lotRecords: [lot({ leaked: 9, craftLeakShare: craftShare, craftCauses })],
  });
  expect(
    told.lines.flatMap(({ shaped: { hold } }) => hold?.causes ?? []).some(({ weight }) => weight > 1),
  ).toBe(true);
  expect(lineOf("leek-press", told).shaped.hold!.leakShare).not.toBe(
    lineOf("leek-press").shaped.hold!.leakShare,
  );
  const { style, craftS } = lineOf("chestnut-pie").shaped.works.close;
  const craftMinutes = (craftS * 40) / 60;
  const slow = planDay({
    ...monday,
    lotRecords: [1, 2].map((i) =>
      lot({ id: `lot-${i}`, close: { style, minutes: craftMinutes * 4, craftMinutes } }),
    ),
  });
  // Two lots four times as slow are a wild day: a quarter of the craft's range, 1.6449 · 0.25 / √2 either way.
  const slowed = lineOf("chestnut-pie", slow).shaped.works.close.seconds / craftS;
  expect(Math.log(slowed)).toBeCloseTo((1.6449 * 0.25) / Math.SQRT2 / 2, 2);
  expect(lineOf("leek-press", slow).shaped.works.close.seconds).toBe(
    lineOf("leek-press").shaped.works.close.seconds,
  );
});

test("a piece edit is planned anew without touching the others' figures", () => {
  const edited = planDay(withPiece("date-round", { thicknessMm: 5.5 }));
  expect(lineOf("pear-coat", edited).shaped.masses.rawPieceG).toBe(
    lineOf("pear-coat").shaped.masses.rawPieceG,
  );
  expect(lineOf("date-round", edited).shaped.masses.rawPieceG).not.toBe(
    lineOf("date-round").shaped.masses.rawPieceG,
  );
});
