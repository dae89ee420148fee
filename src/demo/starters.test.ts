import { NO_PAST, planDay, type DayBook } from "@/core/plan";
import { firstKitchen } from "@/schemas/firstKitchen";
import { findStarterKit, firstBench, firstOven, starters } from ".";

test.each(starters)("$title can be made in a first kitchen with nothing but what it brings", (starter) => {
  const { dough, filling, others, piece, cutter } = starter;
  const { vessels, fryers } = findStarterKit(piece);
  const day = {
    id: "d",
    date: "2027-01-09",
    name: "First",
    openMin: 240,
    helper: null,
    keepsReserve: false,
    laid: [],
    pinned: [],
  };
  const book: DayBook = {
    day,
    orders: [{ id: "o", dayId: "d", pieceId: piece.id, count: 24, dueMin: 780, customer: "" }],
    pieces: [piece],
    formulas: [dough, filling, ...others],
    bench: firstBench,
    ovens: [firstOven],
    cutters: [cutter],
    vessels,
    shelves: [],
    fryers,
    kitchen: firstKitchen,
    ingredients: [],
    larder: [],
    ahead: [],
    weighings: [],
    cutRecords: [],
    lotRecords: [],
    past: NO_PAST,
    nowMin: null,
  };
  const plan = planDay(book);
  expect(plan.problems.filter(({ stops }) => stops)).toEqual([]);
  expect(plan.lines.map(({ counts: { made } }) => made)).toEqual([24 + piece.spares]);
  expect(plan.schedule).toMatchObject({ overfull: [], late: [] });
});
