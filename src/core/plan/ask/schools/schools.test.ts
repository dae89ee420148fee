import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { validateRecord } from "@/schemas/validate";
import type { Dough } from "../../../formula";
import {
  applyChoice,
  compareVariants,
  findFilling,
  listSchools,
  planDay,
  weighChoices,
  type DayBook,
  type School,
} from "../..";

const records = listDemoRecords();
const monday = toDayBook(records, "2026-11-30", null)!;
const { shaped } = planDay({ ...monday, orders: [] });

function schoolsOf(book: DayBook, pieceId: string): School[] {
  const piece = book.pieces.find(({ id }) => id === pieceId)!;
  const dough = book.formulas.find(
    (each): each is Dough => each.kind === "dough" && each.id === piece.doughId,
  )!;
  return listSchools({
    piece,
    dough,
    wetness: findFilling(piece.fillingId, book.formulas)!.wetness,
    formed: shaped[pieceId]?.formed ?? null,
    advice: shaped[pieceId]?.plumpnessAdvice ?? null,
  });
}

test("whatever school is taken stands chosen afterwards, can be stored, and taking it again changes nothing", () => {
  for (const { id } of monday.pieces) {
    for (const { id: schoolId, options } of schoolsOf(monday, id)) {
      for (const option of options) {
        const taken = applyChoice(monday, id, option.choice);
        const again = schoolsOf(taken, id).find((each) => each.id === schoolId)!;
        const chosen = again.options.find((each) => each.id === again.chosenId);
        expect([id, schoolId, chosen?.title]).toEqual([id, schoolId, option.title]);
        expect(applyChoice(taken, id, chosen!.choice)).toEqual(taken);
        const piece = taken.pieces.find((each) => each.id === id)!;
        expect([id, option.id, validateRecord("piece", piece)]).toMatchObject([id, option.id, { ok: true }]);
      }
    }
  }
});

test("a lidded piece is asked for the size of its top, a closed one is never baked blind", () => {
  const questions = (id: string) => schoolsOf(monday, id).map((school) => school.id);
  expect(questions("plum-pop")).toContain("top");
  expect(questions("leek-press")).not.toContain("top");
  const ways = (id: string) =>
    schoolsOf(monday, id)
      .find((school) => school.id === "bake")!
      .options.map((option) => option.id);
  expect(ways("leek-press")).toEqual(["steady", "lowered"]);
  expect(ways("custard-cup")).toHaveLength(4);
});

test("only round blanks are portioned, and every way of making blanks that is offered changes how they are made", () => {
  const ways = (id: string) =>
    schoolsOf(monday, id)
      .find((school) => school.id === "blanks")!
      .options.map((option) => option.id);
  expect(ways("pear-coat")).toEqual(["sensible", "sheet"]);
  expect(ways("date-round")).toEqual(["sensible", "sheet", "portioned"]);
  for (const way of ["portioned", "sliced"] as const) {
    const pieces = monday.pieces.map((piece) =>
      piece.id === "lemon-puck" ? { ...piece, cutAim: way } : piece,
    );
    const cut = planDay({ ...monday, pieces }).lines.find(({ piece }) => piece.id === "lemon-puck")!.cut;
    expect(cut.plan.portioning?.way).toBe(way === "sliced" ? "sliced" : "rolled");
  }
});

test("a puck's slice is one figure, wherever it is said", () => {
  const line = planDay(monday).lines.find(({ piece }) => piece.id === "lemon-puck")!;
  const portion = line.cut.plan.portioning!.portions[0]!;
  expect(portion.logMm).toBe(48);
  const step = line.shaped.formed.steps.find(({ text }) => text.startsWith("cut from the log"))!;
  expect(step.figure).toBe(`${portion.sliceMm.toFixed(1)} mm`);
});

test("a choice is weighed against the day as it stands, also for a piece that nobody ordered", () => {
  const [now, twice] = weighChoices(monday, "leek-press", [
    { piece: { wash: { kind: "egg", coats: 2, sugar: "none" } }, dough: {} },
  ]);
  expect(twice!.eggs).toBeGreaterThanOrEqual(now!.eggs);
  expect(twice!.doughG).toBe(now!.doughG);
  const [, dry] = weighChoices({ ...monday, orders: [] }, "leek-press", [
    { piece: { glue: "none" }, dough: {} },
  ]);
  expect(dry!.leakShare).toBeGreaterThan(now!.leakShare!);
  const [, impossible] = weighChoices(monday, "leek-press", [{ piece: { marginMm: 60 }, dough: {} }]);
  expect(impossible!.fault).toContain("margin of 60 mm");
});

test("variants side by side: a larger, plumper one holds more for its crust and costs more; a fault is named", () => {
  const piece = monday.pieces.find(({ id }) => id === "leek-press")!;
  const [plain, plump, wide] = compareVariants(
    monday,
    [piece, { ...piece, plumpness: 0.7 }, { ...piece, marginMm: 60 }],
    24,
  );
  expect(plump!.fillingG).toBeGreaterThan(plain!.fillingG);
  expect(plump!.crustPerFilling).toBeLessThan(plain!.crustPerFilling);
  expect(plump!.costMinor).toBeGreaterThan(plain!.costMinor);
  expect(plump!.leakShare).toBeGreaterThan(plain!.leakShare!);
  // Made alone: dough for one is its blank and its part of trim and loss.
  expect(plain!.doughG).toBeGreaterThan(plain!.line!.shaped.masses.blankG);
  expect(wide).toMatchObject({ line: null, fault: expect.stringContaining("margin") });
});
