import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import {
  applyDayChange,
  listProblemMends,
  planDay,
  type DayBook,
  type LarderItem,
  type Piece,
  type Problem,
  type ProblemCode,
} from "..";

const records = listDemoRecords();
const saturday = toDayBook(records, "2026-11-28", null)!;
const monday = toDayBook(records, "2026-11-30", null)!;
/** Each piece of the book, ordered once. */
const everything: DayBook = {
  ...monday,
  orders: monday.pieces.map(({ id }) => ({
    ...monday.orders[0]!,
    id,
    pieceId: id,
    count: 12,
    dueMin: 20 * 60,
  })),
};

const withPiece = (book: DayBook, id: string, change: Partial<Piece>): DayBook => ({
  ...book,
  pieces: book.pieces.map((piece) => (piece.id === id ? { ...piece, ...change } : piece)),
});
const pieceOf = (book: DayBook, id: string) => book.pieces.find((piece) => piece.id === id)!;
const first = saturday.orders[0]!.pieceId;

const expired: LarderItem = {
  id: "old-shortcrust",
  kind: "dough",
  refId: "bay-shortcrust",
  ...{ massG: 400, count: 0, madeOn: "2026-11-20", useBy: "2026-11-25" },
  ...{ fromDayId: null, takenByDayId: null },
};

/** A spare that needs a load of its own: so many of the piece as just fill its loads are ordered, and one is made over. */
function withSpareLoad(): DayBook {
  const line = planDay(saturday).lines.find(({ fries }) => fries.length === 0)!;
  const perLoad = line.loading.loads[0]!.pieces;
  const orders = saturday.orders.filter(({ pieceId }) => pieceId === line.piece.id).slice(0, 1);
  return {
    ...withPiece(saturday, line.piece.id, { spares: 1 }),
    orders: orders.map((order) => ({ ...order, count: perLoad })),
  };
}

function withBatch(mixG: number): DayBook {
  const [batch] = planDay(saturday).doughs;
  const weighing = {
    ...{ id: "w", dayId: saturday.day.id, date: saturday.day.date, formulaId: batch!.formula.id },
    ...{ tickedLineIds: [], took: null, mixG },
  };
  return { ...saturday, weighings: [weighing] };
}

function withPin(startMin: number, which = "bake:"): DayBook {
  const tasks = planDay(saturday).tasks.toSorted((a, b) => a.placed.startMin - b.placed.startMin);
  const task = tasks.find(({ id }) => id.startsWith(which))!;
  const { day } = saturday;
  return { ...saturday, day: { ...day, pinned: [{ taskId: task.id, startMin, mode: task.placed.mode }] } };
}

function withOneCut(parts: number): DayBook {
  const formulas = saturday.formulas.map((formula) =>
    formula.kind === "dough" ? { ...formula, dividedCount: parts } : formula,
  );
  return { ...saturday, formulas };
}

/** A day in which each problem that a tap mends is met. */
const days: readonly (readonly [ProblemCode, DayBook])[] = [
  ["narrowMargin", withPiece(saturday, first, { marginMm: 4, crimp: "rope" })],
  ["overfull", withPiece(saturday, first, { portionG: 140 })],
  ["spareLoad", withSpareLoad()],
  [
    "formDoubt",
    withPiece(monday, "tahini-tartlet", { cut: { kind: "disc", diameterMm: 88 }, thicknessMm: 5 }),
  ],
  ["formDoubt", shortOfCorners()],
  ["ovenTooCold", { ...saturday, ovens: saturday.ovens.map((oven) => ({ ...oven, maxC: 170 })) }],
  ["smallParts", withOneCut(40)],
  ["shortage", withBatch(300)],
  ["expired", { ...saturday, larder: [expired] }],
  [
    "oldOil",
    {
      ...everything,
      fryers: everything.fryers.map((fryer) => ({ ...fryer, usedLoads: fryer.changeAfterLoads })),
    },
  ],
  ["pastPromise", { ...saturday, nowMin: saturday.orders[0]!.dueMin + 1 }],
  ["pinOff", withPin(0)],
  ["beforeOpening", withPin(saturday.day.openMin - 30, "")],
];

/** A square that closes over its fruit and no more. */
function shortOfCorners(): DayBook {
  const wrapped = monday.pieces.find(({ form }) => form.kind === "wrapped")!;
  const sideMm = wrapped.cut.kind === "square" ? wrapped.cut.sideMm : 0;
  for (let lessMm = 1; lessMm < sideMm; lessMm++) {
    const book = withPiece(monday, wrapped.id, { cut: { kind: "square", sideMm: sideMm - lessMm } });
    if (planDay(book).problems.some(({ code }) => code === "formDoubt")) return book;
  }
  throw new Error("every square closes well");
}

const isSame = (one: Problem) => (other: Problem) =>
  other.code === one.code && other.pieceId === one.pieceId && other.aboutId === one.aboutId;

test.each(days)("%s: each tap that is offered takes it away", (code, book) => {
  const problem = planDay(book).problems.find((each) => each.code === code);
  if (!problem)
    throw new Error(
      `the day has ${planDay(book)
        .problems.map((each) => each.code)
        .join()}`,
    );
  const mends = listProblemMends(problem, book);
  expect(mends.length).toBeGreaterThan(0);
  for (const { title, change } of mends) {
    const left = planDay(applyDayChange(book, change)).problems.filter(isSame(problem));
    expect([title, left.map(({ message }) => message)]).toEqual([title, []]);
  }
});

test("a sheet thinner than its piece: the piece is taken as thick as it is bought", () => {
  const thin = everything.formulas.find(
    (formula) => formula.kind === "dough" && formula.boughtSheet !== null,
  );
  const piece = thin && everything.pieces.find(({ doughId }) => doughId === thin.id);
  const book = withPiece(everything, piece!.id, { thicknessMm: piece!.thicknessMm + 3 });
  const problem = planDay(book).problems.find(({ code }) => code === "thinSheet")!;
  const [mend] = listProblemMends(problem, book);
  const changed = applyDayChange(book, mend!.change);
  expect(pieceOf(changed, piece!.id).thicknessMm).toBe(problem.numbers["boughtMm"]);
  expect(planDay(changed).problems.filter(isSame(problem))).toEqual([]);
});

test("what has to be thought about has no tap, and a piece that is gone meanwhile none either", () => {
  const [late] = planDay({ ...saturday, day: { ...saturday.day, openMin: 9 * 60 } }).problems;
  expect(late!.code).toBe("late");
  expect(listProblemMends(late!, saturday)).toEqual([]);
  const book = withPiece(saturday, first, { portionG: 140 });
  const overfull = planDay(book).problems.find(({ code }) => code === "overfull")!;
  expect(listProblemMends(overfull, { ...book, pieces: [] })).toEqual([]);
});

test("a change keeps what it does not name, and adds what was not there", () => {
  const order = { ...saturday.orders[0]!, id: "new" };
  const changed = applyDayChange(saturday, { orders: [order], goneOrders: [saturday.orders[1]!.id] });
  expect(changed.orders.map(({ id }) => id)).toEqual([
    ...saturday.orders.map(({ id }) => id).filter((id) => id !== saturday.orders[1]!.id),
    "new",
  ]);
  const { orders, ...rest } = changed;
  expect(orders).not.toBe(saturday.orders);
  for (const [name, value] of Object.entries(rest)) expect(value).toBe(saturday[name as keyof DayBook]);
});
