import { balanceEggs } from "../formula";
import { findYieldHabit, gatherYields } from "../habits";
import { followSchedule, type Schedule } from "../schedule";
import type { DayBook, Order } from "./book/book";
import type { DayPlan, DayTask, PiecePlan, Tally } from "./result/dayPlan";
import type { Problem } from "./result/problem";
import type { DraftTask } from "./tasks/draftTask";
import { assignPeople } from "./tasks/assignPeople";
import { findLateness } from "./doubts/lateness";
import { listLeftovers } from "./larder/leftovers";
import { computeMassFlow } from "./result/massFlow";
import { listTookLast, restBatches } from "./batch/planBatches";
import { planMakings } from "./planMakings";
import { sortByPromise } from "./tasks/pieceWork";
import { gatherCautions } from "./doubts/dayCautions";
import { listCoatings, sumEggCoats } from "./piece/coatings";
import { listMaterials } from "./piece/materials";
import { findFormulas, shapePiece, type ShapeContext, type ShapedPiece } from "./piece/shapePiece";
import { findFreezerDoubt, findKitDoubts, findOldOil } from "./doubts/kitDoubts";
import { pinTasks } from "./tasks/pinTasks";
import { listTasks } from "./tasks/planTasks";
import { toScheduleProblem } from "./tasks/scheduleProblem";

/**
 * The whole day from its orders: pure, the same book gives the same plan.
 * Pieces that cannot be made are left out and stand in `problems` with what would mend them.
 */
export function planDay(book: DayBook): DayPlan {
  const oven = book.ovens[0] ?? null;
  const {
    kit,
    larder,
    analyses,
    context,
    cutting,
    works,
    batches: unrested,
    problems: found,
  } = planMakings(book);
  const rested = restBatches(unrested.doughs, { works, analyses, book });
  const batches = { ...unrested, doughs: rested.value };
  const problems = [...found, ...rested.problems];
  const lines = works.map(({ line }) => line);
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
        .map(({ id }) => {
          const rollings = book.cutRecords.filter(({ doughId }) => doughId === id);
          return [id, findYieldHabit(gatherYields(book.past, id, rollings))];
        }),
    ),
    doughs: batches.doughs,
    fillings: batches.fillings,
    eggs: balanceEggs(
      [...batches.doughs, ...batches.fillings].flatMap(({ batch }) => batch ?? []),
      book.kitchen.eggSize,
      sumEggCoats(lines),
    ),
    ...listCoatings(lines),
    materials: listMaterials(lines, book.ingredients),
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

function placeDrafts(drafts: readonly DraftTask[], schedule: Schedule): DayTask[] {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  return schedule.placed.flatMap((placed) => {
    const draft = byId.get(placed.taskId);
    if (!draft) return [];
    const { id, kind, station, pieceId, formulaId, cutId, index, pieces, label, handsMin, slackMin } = draft;
    const times = draft.stepTimes[placed.mode] ?? {};
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
        steps: draft.stepIds.map((stepId) => {
          const afterMin = times[stepId];
          return { stepId, atMin: afterMin === undefined ? null : placed.startMin + afterMin };
        }),
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
