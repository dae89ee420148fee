import { planDay } from "..";
import { formKinds } from "../../forming";
import { hasStep } from "../../way";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { validateRecord } from "@/schemas/validate";
import type { DayBook, Piece } from "../book/book";
import { toForm } from "./usualForm";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const doughOf = ({ doughId }: Piece) => {
  const found = book.formulas.find(({ id }) => id === doughId);
  return found?.kind === "dough" ? found : null;
};
const turned = (piece: Piece, kind: (typeof formKinds)[number]): Piece => ({
  ...piece,
  ...toForm(kind, piece, doughOf(piece)),
});
const folded = book.pieces.find(({ id }) => id === "quince-half-moon")!;
/** One order of the piece alone: what cannot be made is told as a problem of it. */
const planOf = (piece: Piece) => {
  const day: DayBook = {
    ...{ ...book, larder: [], weighings: [], ahead: [] },
    pieces: [...book.pieces.filter(({ id }) => id !== piece.id), piece],
    orders: [{ id: "one", dayId: book.day.id, pieceId: piece.id, count: 12, dueMin: 660, customer: "" }],
  };
  return planDay(day);
};

test.each(formKinds)("from every piece of the demo a %s is a record that can be kept", (kind) => {
  for (const piece of book.pieces) {
    const next = turned(piece, kind);
    expect([piece.id, validateRecord("piece", next)]).toMatchObject([piece.id, { ok: true }]);
    expect(next.form.kind).toBe(kind);
    expect([next.id, next.name, next.doughId, next.fillingId]).toEqual([
      ...[piece.id, piece.name, piece.doughId, piece.fillingId],
    ]);
  }
});

test.each(formKinds)("a half-moon made a %s can be made as it stands, with the kit that there is", (kind) => {
  const plan = planOf(turned(folded, kind));
  const [line] = plan.lines;
  expect([kind, line?.counts.ordered, plan.problems.filter(({ station }) => station === "seal")]).toEqual([
    ...[kind, 12, []],
  ]);
  expect(line!.shaped.formed.finished.heightMm).toBeGreaterThan(3);
  expect(line!.shaped.portion.massG).toBeGreaterThan(0);
});

test("a seam gets the rim its crimp needs; what is open is neither washed nor vented and has no crimping in its way", () => {
  const narrow: Piece = { ...folded, marginMm: 2 };
  for (const kind of formKinds) {
    const next = turned(narrow, kind);
    const isOpen = kind === "lined" || kind === "puck" || kind === "rosette";
    if (isOpen) {
      expect([next.wash.kind, next.vents.kind]).toEqual(["none", "none"]);
      expect(hasStep(next.way, "close")).toBe(false);
    } else if (hasStep(next.way, "close")) expect(next.marginMm).toBeGreaterThan(2);
  }
});
