import {
  analyseFormula,
  balanceEggs,
  computeTotalG,
  mergeIngredients,
  standardIngredients,
} from "../formula";
import { findYieldHabit } from "../habits";
import { followSchedule, type Schedule } from "../schedule";
import { formatClock, formatCount, formatDuration, formatNumber } from "../units";
import type { DayBook, Order, Piece } from "./book";
import type { DayPlan, DayTask, PiecePlan, Problem, Tally } from "./dayPlan";
import type { DraftTask } from "./draftTask";
import { assignPeople } from "./assignPeople";
import { findLateness } from "./lateness";
import { listLeftovers } from "./leftovers";
import { computeMassFlow } from "./massFlow";
import { listTookLast, planBatches } from "./planBatches";
import { planCutting } from "./planCutting";
import { sortByPromise, type PieceWork } from "./pieceTasks";
import { draftPiece, finishPiece, type PieceDraft, type PieceMakings } from "./planPiece";
import { gatherCautions } from "./dayCautions";
import { listCoatings, sumEggCoats } from "./coatings";
import {
  findFilling,
  findFormulas,
  shapePiece,
  toShapeContext,
  type ShapeContext,
  type ShapedPiece,
} from "./shapePiece";
import { findFreezerDoubt, findKitDoubts, findOldOil } from "./kitDoubts";
import { openKit, type KitRoom } from "./kitRoom";
import { pinTasks } from "./pinTasks";
import { listTasks } from "./planTasks";
import { toScheduleProblem } from "./scheduleProblem";
import { openLarder } from "./takeFromLarder";

/**
 * The whole day from its orders: pure, the same book gives the same plan.
 * Pieces that cannot be made are left out and stand in `problems` with what would mend them.
 */
export function planDay(book: DayBook): DayPlan {
  const oven = book.ovens[0] ?? null;
  const problems: Problem[] = findPastPromises(book);
  const larder = openLarder(book);
  const kit = openKit(book);
  const ingredients = mergeIngredients(standardIngredients, book.ingredients);
  const analyses = Object.fromEntries(
    book.formulas.map((formula) => [formula.id, analyseFormula(formula, ingredients)]),
  );
  const context = toShapeContext(book);
  const pieceDrafts: PieceDraft[] = [];
  for (const [piece, orders] of groupOrders(book)) {
    const makings = findMakings(book, piece, kit, analyses);
    if (!makings.ok) {
      problems.push(makings.problem);
      continue;
    }
    const draft = draftPiece(makings.makings, orders, larder.takePieces, context);
    if (!draft.ok) problems.push(draft.failure);
    else pieceDrafts.push(draft.value);
  }
  const cutting = planCutting(book, pieceDrafts);
  problems.push(...cutting.problems);
  const works = pieceDrafts.flatMap((draft): PieceWork[] => {
    const cut = cutting.cuts.find(({ pieceIds }) => pieceIds.includes(draft.piece.id));
    if (!cut) return [];
    const line = finishPiece(draft, cut);
    const fillings = line.parts.flatMap(({ fillingId }) => findFilling(fillingId, book.formulas) ?? []);
    return [{ line, dough: draft.dough, filling: draft.filling, fillings }];
  });
  problems.push(...works.flatMap(findPieceDoubts));

  const lines = works.map(({ line }) => line);
  const batches = planBatches({ book, works, larder, ingredients, analyses });
  problems.push(...larder.problems, ...batches.problems);
  const drafts = pinTasks(listTasks(works, [...batches.doughs, ...batches.fillings], kit), book.day.pinned);
  const openMin = Math.max(book.day.openMin, book.nowMin ?? -Infinity);
  const problem =
    drafts.length > 0 ? toScheduleProblem(drafts, kit, book.day, book.kitchen.roomC, openMin) : null;
  const schedule = problem && followSchedule(problem, book.day.laid);
  problems.push(...kit.problems, ...findOldOil(lines), ...findFreezerDoubt(lines, kit));
  if (schedule)
    problems.push(
      ...findLateness(schedule, drafts, openMin),
      ...findKitDoubts(schedule, drafts, kit, openMin),
    );
  const tasks = schedule ? assignPeople(placeDrafts(drafts, schedule), book.day.helper) : [];
  return {
    shaped: shapeBook(book, context, problems),
    analyses,
    tookLastG: listTookLast(book),
    lines: lines.map((line) => ({ ...line, readyMin: findReadyMin(line, tasks) })),
    cuts: cutting.cuts,
    yieldHabits: Object.fromEntries(
      book.formulas
        .filter(({ kind }) => kind === "dough")
        .map(({ id }) => [id, findYieldHabit(book.cutRecords.filter(({ doughId }) => doughId === id))]),
    ),
    doughs: batches.doughs,
    fillings: batches.fillings,
    eggs: balanceEggs(
      [...batches.doughs, ...batches.fillings].flatMap(({ batch }) => batch ?? []),
      book.kitchen.eggSize,
      sumEggCoats(lines),
    ),
    ...listCoatings(lines),
    leftovers: listLeftovers(works, cutting.cuts, batches),
    larderUses: larder.listUses(),
    expired: larder.expired,
    oven,
    ovenScale: book.kitchen.ovenScale,
    ovens: book.ovens,
    fryers: book.fryers,
    problem,
    schedule,
    tasks,
    flow: computeMassFlow(lines, cutting.cuts),
    tally: computeTally(lines, book.orders, schedule, openMin),
    problems,
    cautions: gatherCautions(works),
  };
}

/** What can be made and may yet go wrong: a rim too narrow for its crimp, a bought sheet thinner than the piece. */
function findPieceDoubts({ line, dough }: PieceWork): Problem[] {
  const { piece, seal, cut } = line;
  const doubt = (station: Problem["station"], message: string): Problem => ({
    station,
    pieceId: piece.id,
    stops: false,
    message: `${piece.name}: ${message}`,
  });
  const spareLoad = findSpareLoad(line);
  return [
    ...(spareLoad ? [doubt("bake", spareLoad)] : []),
    ...(seal?.fault ? [doubt("seal", seal.fault.message)] : []),
    ...(cut.thicknessMm < piece.thicknessMm
      ? [
          doubt(
            "roll",
            `${dough.name} is bought ${cut.thicknessMm} mm thick and cannot be rolled to ${piece.thicknessMm} mm, ` +
              `${formatNumber(piece.thicknessMm - cut.thicknessMm, 1)} mm more. Planned as bought; lower the thickness.`,
          ),
        ]
      : []),
  ];
}

/** Spare pieces that need a load of their own; null where they go with the ordered ones. */
function findSpareLoad({ loading, made, ordered }: PiecePlan): string | null {
  const perLoad = loading.loads[0]?.pieces ?? 0;
  const loads = loading.loads.length;
  if (made === ordered || perLoad === 0 || Math.ceil(ordered / perLoad) === loads) return null;
  return (
    `${formatCount(made - ordered, "spare piece")} need a load of their own: the ${ordered} ordered fit ` +
    `${formatCount(loads - 1, "load")}. Make none, or fill that load with ${perLoad * loads - made} more.`
  );
}

/** Every piece of the book by itself; those that cannot be made and were not ordered are reported here. */
function shapeBook(
  { pieces, formulas }: DayBook,
  context: ShapeContext,
  problems: Problem[],
): Record<string, ShapedPiece | null> {
  const shapes = pieces.map((piece) => {
    const { dough, filling } = findFormulas(piece, formulas);
    const shaped = dough && filling ? shapePiece(piece, dough, filling, context) : null;
    if (shaped && !shaped.ok && !problems.some(({ message }) => message === shaped.failure.message)) {
      problems.push({ ...shaped.failure, stops: false });
    }
    return [piece.id, shaped?.ok ? shaped.value : null] as const;
  });
  return Object.fromEntries(shapes);
}

/** Orders by piece, in the order in which the pieces are first asked for; then what is only made for another day. */
function groupOrders({ orders, pieces, ahead, day }: DayBook): Map<Piece, Order[]> {
  const groups = new Map<Piece, Order[]>();
  for (const order of orders) {
    const piece = pieces.find(({ id }) => id === order.pieceId);
    if (!piece) throw new RangeError(`planDay: order ${order.id} asks for unknown piece ${order.pieceId}`);
    groups.set(piece, [...(groups.get(piece) ?? []), order]);
  }
  for (const { dayId, refId, count } of ahead) {
    const piece = pieces.find(({ id }) => id === refId);
    if (dayId === day.id && count > 0 && piece && !groups.has(piece)) groups.set(piece, []);
  }
  return groups;
}

type Makings =
  { readonly ok: true; readonly makings: PieceMakings } | { readonly ok: false; readonly problem: Problem };

function findMakings(book: DayBook, piece: Piece, kit: KitRoom, analyses: DayPlan["analyses"]): Makings {
  const { formulas } = book;
  const [oven] = kit.ovens;
  const stop = (station: Problem["station"], message: string): Makings => ({
    ok: false,
    problem: { station, pieceId: piece.id, stops: true, message: `${piece.name}: ${message}` },
  });
  const { dough, filling } = findFormulas(piece, formulas);
  if (!dough) return stop("mix", "no dough is chosen. Choose one in the piece.");
  if (!filling) return stop("mix", "no filling is chosen. Choose one in the piece.");
  const others = piece.extras.flatMap((extra) =>
    "fillingId" in extra ? (findFilling(extra.fillingId, formulas) ?? []) : [],
  );
  for (const formula of [dough, filling, ...others]) {
    if (computeTotalG(formula) <= 0)
      return stop("mix", `${formula.name} has no ingredients yet. Add its lines in Formulas.`);
  }
  if (!oven) return stop("bake", "no oven is set up. Add one in Kit.");
  return { ok: true, makings: { piece, dough, filling, oven, kit, analyses, book } };
}

function findPastPromises({ orders, nowMin, pieces }: DayBook): Problem[] {
  if (nowMin === null) return [];
  return orders
    .filter(({ dueMin }) => dueMin <= nowMin)
    .map(({ dueMin, pieceId, count }) => ({
      station: "orders" as const,
      pieceId,
      stops: false,
      message:
        `${count} ${pieces.find(({ id }) => id === pieceId)?.name ?? ""} for ${formatClock(dueMin)}: that was ` +
        `${formatDuration(nowMin - dueMin)} ago. Move the promise or take the order off.`,
    }));
}

function placeDrafts(drafts: readonly DraftTask[], schedule: Schedule): DayTask[] {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  return schedule.placed.flatMap((placed) => {
    const draft = byId.get(placed.taskId);
    if (!draft) return [];
    const { id, kind, station, pieceId, formulaId, cutId, index, pieces, label, handsMin, slackMin } = draft;
    const heat = draft.schedule.modes[placed.mode]?.heat ?? null;
    return [
      {
        id,
        kind,
        station,
        pieceId,
        formulaId,
        cutId,
        index,
        pieces,
        label,
        handsMin,
        heat,
        machineId: draft.machineIds[placed.mode] ?? null,
        slackMin,
        person: 0,
        placed,
      },
    ];
  });
}

/** When each order is complete: its pieces are baked in the order of the promises, load after load. */
function findReadyMin(
  { piece, orders, loading }: PiecePlan,
  tasks: readonly DayTask[],
): Record<string, number> {
  const ready: Record<string, number> = {};
  let needed = 0;
  for (const { id, count } of sortByPromise(orders)) {
    needed += count;
    let baked = 0;
    const loads = loading.loads.findIndex((load) => (baked += load.pieces) >= needed) + 1;
    const ends = tasks
      .filter((task) => task.kind === "finish" && task.pieceId === piece.id && task.index <= loads)
      .map(({ placed }) => placed.endMin);
    if (ends.length > 0) ready[id] = Math.max(...ends);
  }
  return ready;
}

function computeTally(
  lines: readonly PiecePlan[],
  orders: readonly Order[],
  schedule: Schedule | null,
  openMin: number,
): Tally {
  const sum = (figure: (line: PiecePlan) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    doughG: sum(({ doughG }) => doughG),
    blanks: sum(({ setsCut }) => setsCut),
    fillingG: sum(({ fillingG }) => fillingG),
    ready: sum(({ made }) => made),
    ordered: orders.reduce((total, { count }) => total + count, 0),
    readyMin: schedule?.endMin ?? null,
    startMin: schedule?.startMin ?? null,
    inHandMin: schedule && findInHandMin(schedule, openMin),
  };
}

function findInHandMin(schedule: Schedule, openMin: number): number {
  const lateMin = Math.max(0, ...schedule.late.map(({ lateMin: minutes }) => minutes));
  return lateMin > 0 ? -lateMin : schedule.startMin - openMin;
}
