import { createWay } from "../../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { answerAhead, closeLarder, planDay, type DayBook, type MakeAhead } from "..";

const records = listDemoRecords();
const market: DayBook = { ...toDayBook(records, "2026-12-05", null)!, larder: [], ahead: [] };
const eve: DayBook = { ...toDayBook(records, "2026-12-04", null)!, larder: [], ahead: [] };

const make = (
  kind: MakeAhead["kind"],
  refId: string,
  amount: { massG?: number; count?: number },
): MakeAhead => ({
  id: `ahead-${kind}-${refId}`,
  dayId: eve.day.id,
  date: eve.day.date,
  forDate: market.day.date,
  kind,
  refId,
  massG: amount.massG ?? 0,
  count: amount.count ?? 0,
});
const both = (...ahead: MakeAhead[]) => ({
  first: planDay({ ...eve, ahead }),
  second: planDay({ ...market, ahead }),
});

test("dough made the day before is mixed then and taken from the larder on the day, to the gram", () => {
  const { first, second } = both(make("dough", "bay-shortcrust", { massG: 2000 }));
  expect(first.doughs).toMatchObject([{ neededG: 2000, aheadG: 2000 }]);
  expect(first.doughs[0]!.batch!.usableG).toBeCloseTo(2000, 6);
  const dough = second.doughs.find(({ formula }) => formula.id === "bay-shortcrust")!;
  expect(dough.fromLarderG).toBeCloseTo(2000, 6);
  expect((dough.batch?.usableG ?? 0) + dough.fromLarderG).toBeCloseTo(dough.neededG, 6);
});

test("frozen pieces are filled and closed the day before, baked on the day, and none is made twice", () => {
  const { first, second } = both(make("frozenPieces", "plum-pop", { count: 15 }));
  const [line] = first.lines;
  expect(line).toMatchObject({ counts: { made: 0, toFill: 15 }, setsCut: expect.any(Number) });
  expect(line!.setsCut).toBeGreaterThanOrEqual(15);
  expect(first.tasks.map(({ kind }) => kind)).toContain("store");
  expect(first.tasks.some(({ kind }) => kind === "bake")).toBe(false);
  const pops = second.lines.find(({ piece }) => piece.id === "plum-pop")!;
  expect(pops).toMatchObject({ counts: { frozenTaken: 15, toFill: pops.counts.made - 15 } });
});

test("shells are baked empty the day before and only filled on the day", () => {
  const { first, second } = both(make("shells", "blossom-case", { count: 26 }));
  expect(first.tasks.filter(({ kind }) => kind === "bake").reduce((sum, { pieces }) => sum + pieces, 0)).toBe(
    26,
  );
  expect(first.lines[0]).toMatchObject({ counts: { toFill: 0, ahead: { shells: 26 } } });
  expect(first.leftovers.filter(({ kind }) => kind === "blanks")).toEqual([]);
  const cases = second.lines.find(({ piece }) => piece.id === "blossom-case")!;
  expect(cases).toMatchObject({ counts: { blanksTaken: 26, shellsTaken: 26 }, setsCut: 0 });
  expect(second.tasks.filter(({ pieceId }) => pieceId === "blossom-case").map(({ kind }) => kind)).toEqual([
    "fill",
    "finish",
  ]);
});

test("part-baked shells are filled and finished in the heat; half of them leaves half to be lined", () => {
  const blind = {
    glaze: { kind: "syrup" as const },
    way: createWay([
      ["roll"],
      ["cut"],
      ["line"],
      ["chill"],
      ["bake", { heatC: 190, minutes: 10 }],
      ["cool", { minutes: 10 }],
      ["fill"],
      ["bake", { heatC: 160, minutes: 15 }],
      ["cool", { minutes: 12 }],
      ["unmould"],
      ["glaze", { minutes: 5 }],
      ["setOut"],
    ]),
  };
  const pieces = market.pieces.map((piece) => (piece.id === "custard-cup" ? { ...piece, ...blind } : piece));
  const kinds = (count: number) => {
    const plan = planDay({ ...market, pieces, ahead: [make("shells", "custard-cup", { count })] });
    expect(plan.schedule!.cost.brokenMin).toBe(0);
    return plan.tasks.filter(({ pieceId }) => pieceId === "custard-cup");
  };
  expect(kinds(24).map(({ kind }) => kind)).toEqual(["fill", "bake", "glaze", "finish"]);
  const half = kinds(12);
  expect(half.filter(({ kind }) => kind === "line").map(({ pieces: each }) => each)).toEqual([12]);
  expect(half.filter(({ kind }) => kind === "fill").map(({ pieces: each }) => each)).toEqual([24]);
});

test("mass in is mass out on both days, whatever is frozen or baked empty for the other", () => {
  const { first, second } = both(
    make("frozenPieces", "plum-pop", { count: 15 }),
    make("shells", "blossom-case", { count: 26 }),
  );
  for (const { flow } of [first, second]) {
    const into = flow.doughG + flow.fillingG + flow.coatsG + flow.wholeG + flow.storedG;
    const out =
      flow.piecesG + flow.waterG + flow.decorationsG + flow.trimLeftG + flow.rollingLossG + flow.keptG;
    expect(into - out - flow.surplusBlanksG - flow.returnedG).toBeCloseTo(0, 6);
  }
  expect([first.flow.keptG > 0, second.flow.keptG]).toEqual([true, 0]);
});

test("closing the eve puts what it made into the larder with its use-by, and the day finds it once", () => {
  const ahead = [
    make("dough", "bay-shortcrust", { massG: 2000 }),
    make("frozenPieces", "plum-pop", { count: 5 }),
  ];
  const closed = closeLarder(planDay({ ...eve, ahead }), { ...eve, ahead });
  expect(closed.find(({ kind }) => kind === "frozenPieces")).toMatchObject({
    count: 5,
    madeOn: "2026-12-04",
    useBy: "2027-01-03",
  });
  const open = planDay({ ...market, ahead });
  const after = planDay({ ...market, ahead, larder: closed.filter(({ id }) => id.startsWith("ahead-")) });
  // What the eve made for the market it does not use itself.
  const again = planDay({ ...eve, ahead, larder: closed });
  expect(again.larderUses).toEqual([]);
  const figures = (plan: typeof open) =>
    plan.lines.map(({ counts: { frozenTaken, toFill } }) => [frozenTaken, toFill]);
  expect(figures(after)).toEqual(figures(open));
});

test("what is past its use-by when the day comes is not planned with, and says so", () => {
  const early = { ...make("shells", "blossom-case", { count: 26 }), date: "2026-12-01" };
  const plan = planDay({ ...market, ahead: [early] });
  expect(plan.lines.find(({ piece }) => piece.id === "blossom-case")!.counts.blanksTaken).toBe(0);
  expect(plan.problems.map(({ message }) => message)).toContainEqual(expect.stringMatching(/used by 3 Dec:/));
});

test("each answer is both days planned with it: the figures are those that taking it gives", () => {
  const answers = answerAhead(market, eve);
  expect(answers.isNew).toBe(false);
  const both = answers.ifs.find(({ id }) => id === "both")!;
  const taken = planDay({ ...market, ahead: both.ahead });
  expect(both.then).toMatchObject({ startMin: taken.tally.startMin, dayMin: taken.schedule!.cost.dayMin });
  expect(both.then.startMin!).toBeGreaterThan(answers.now.startMin!);
  expect(both.eveThen.dayMin).toBeGreaterThan(answers.eveNow.dayMin);
  // Custards are not frozen, cases are baked empty.
  expect(answers.ifs.map(({ id }) => id)).toContain("shells-blossom-case");
  expect(answers.ifs.map(({ id }) => id)).not.toContain("frozen-custard-cup");
  const alone = answerAhead(market, null);
  expect(alone).toMatchObject({ isNew: true, eve: { date: "2026-12-04" }, eveNow: { dayMin: 0 } });
});
