import { findCoolMin } from "../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { planDay } from ".";

const sunday = toDayBook(listDemoRecords(), "2026-11-29", null)!;
const plan = planDay(sunday);
const lineOf = (id: string) => plan.lines.find(({ piece }) => piece.id === id)!;

test("every role comes out in equal numbers, tops from the first rolling", () => {
  for (const id of ["plum-pop", "chestnut-oval", "blossom-case"]) {
    const {
      blanks,
      counts: { made },
    } = lineOf(id);
    expect(blanks.map(({ cut }) => cut)).toEqual(blanks.map(() => made));
  }
  expect(lineOf("plum-pop").blanks[0]).toMatchObject({
    role: "top",
    fromFirstRolling: lineOf("plum-pop").counts.made,
  });
});

test("mass in is mass out, decorations and shared sheets included", () => {
  const { flow } = plan;
  const outG =
    flow.piecesG + flow.waterG + flow.decorationsG + flow.trimLeftG + flow.rollingLossG + flow.surplusBlanksG;
  const inG = flow.doughG + flow.fillingG + flow.coatsG + flow.storedG + flow.wholeG;
  expect(Math.abs(inG - outG) / inG).toBeLessThan(1e-9);
  expect(flow.decorationsG).toBeGreaterThan(0);
  expect(plan.leftovers.some(({ refId }) => refId === "hazel-sweet-paste")).toBe(false);
});

test("two pieces of one dough at one thickness share it, and together take no more", () => {
  const alike = sunday.pieces.map((piece) =>
    piece.id === "quince-half-moon" ? { ...piece, thicknessMm: 3 } : piece,
  );
  const shared = planDay({ ...sunday, pieces: alike });
  const cut = shared.cuts.find(({ pieceIds }) => pieceIds.length === 2)!;
  expect(cut.pieceIds.toSorted()).toEqual(["plum-pop", "quince-half-moon"]);
  const alone = planDay({
    ...sunday,
    pieces: alike.map((piece) => (piece.id === "plum-pop" ? { ...piece, cutAim: "fewestRerolls" } : piece)),
  });
  const separateG = alone.cuts
    .filter(({ pieceIds }) => pieceIds.some((id) => cut.pieceIds.includes(id)))
    .reduce((sum, each) => sum + each.plan.doughG, 0);
  expect(cut.plan.doughG).toBeLessThanOrEqual(separateG * 1.03);
});

test("a case is put together, baked, and filled when it is cold", () => {
  const at = (kind: string) => plan.tasks.find(({ id }) => id === `${kind}:blossom-case:1`)!.placed;
  expect(at("bake").startMin).toBeGreaterThanOrEqual(at("seal").endMin);
  expect(at("fill").startMin).toBeGreaterThanOrEqual(
    at("bake").endMin + findCoolMin(lineOf("blossom-case").piece.way),
  );
  expect(lineOf("blossom-case").shaped.seal).toBeNull();
});

test("leaves for a lid are cut before the piece is closed", () => {
  const { cut } = lineOf("chestnut-oval");
  const leaves = plan.tasks.filter(
    ({ cutId, index }) => cutId === cut.id && cut.plan.sheets[index - 1]?.isDecoration,
  );
  const closed = plan.tasks.find(({ id }) => id === "seal:chestnut-oval:1")!.placed;
  expect(leaves.length).toBeGreaterThan(0);
  for (const { placed } of leaves) expect(placed.endMin).toBeLessThanOrEqual(closed.startMin);
});

test("weighed and rolled one by one, a piece takes its blanks' dough alone and is filled in lots", () => {
  const pieces = sunday.pieces.map((piece) =>
    piece.id === "plum-pop" ? { ...piece, cutAim: "portioned" as const } : piece,
  );
  const portioned = planDay({ ...sunday, pieces });
  const pop = portioned.lines.find(({ piece }) => piece.id === "plum-pop")!;
  expect(pop.cut.plan).toMatchObject({ sheets: [], trimLeftG: 0 });
  expect(pop.doughG).toBeCloseTo(pop.shaped.masses.blankG * pop.counts.made, 6);
  const lots = portioned.tasks.filter(({ cutId }) => cutId === pop.cut.id);
  expect(lots.reduce((sum, { pieces: count }) => sum + count, 0)).toBe(2 * pop.counts.made);
});

test("tops come from the first rolling, or from re-rolls while bases come first, as the piece says", () => {
  const plans = [true, false].map((seenFirst) =>
    planDay({
      ...sunday,
      pieces: sunday.pieces.map((piece) => ({ ...piece, seenFirst, cutAim: "leastDough" as const })),
    }),
  );
  const blanksOf = (i: number, roles: readonly string[]) =>
    plans[i]!.lines.flatMap(({ blanks }) => blanks.filter(({ role }) => roles.includes(role)));
  const [tops, bases] = [
    ["top", "topping"],
    ["base", "lining"],
  ];
  expect(blanksOf(0, tops).length).toBeGreaterThan(0);
  for (const { cut, fromFirstRolling } of blanksOf(0, tops)) expect(fromFirstRolling).toBe(cut);
  for (const { cut, fromFirstRolling } of blanksOf(1, bases)) expect(fromFirstRolling).toBe(cut);
  expect(blanksOf(1, tops).some(({ cut, fromFirstRolling }) => fromFirstRolling < cut)).toBe(true);
  const needs = (i: number) => blanksOf(i, [...tops, ...bases]).map(({ role, needed }) => [role, needed]);
  expect(needs(1)).toEqual(needs(0));
});
