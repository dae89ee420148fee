import { findOldOil, findFreezerDoubt, findKitDoubts, findLateness, gatherCautions } from "./doubts";
import { paceTasks, pinTasks, type DraftTask, assignPeople, listTasks, toScheduleProblem } from "./tasks";
import { computeTally, type DayPlan, type DayTask, computeMassFlow } from "./result";
import { findReadyMin, keepReserve, forecastDay } from "./clock";
import { shapeBook } from "./piece";
import { balanceEggs } from "../formula";
import { findYieldHabit } from "../habits";
import { followSchedule, type Schedule } from "../schedule";
import type { DayBook } from "./book";
import { listLeftovers } from "./larder";
import { listLiquidAims } from "./learned";
import { restBatches } from "./batch";
import { listMachines } from "./kit";
import { inHouse } from "../units";
import { planMakings } from "./planMakings";
import { listCoatings, sumEggCoats, listMaterials } from "./line";

/**
 * The whole day from its orders, told in the measures of its kitchen: pure, the same book gives the same plan.
 * Pieces that cannot be made are left out and stand in `problems` with what would mend them.
 */
export const planDay = (written: DayBook): DayPlan =>
  inHouse(written.kitchen, () => planInMeasures(written.isClosed ? withoutOwnLog(written) : written));

const withoutOwnLog = (book: DayBook): DayBook => ({
  ...book,
  lotRecords: book.lotRecords.filter(({ dayId }) => dayId !== book.day.id),
  cutRecords: book.cutRecords.filter(({ dayId }) => dayId !== book.day.id),
  weighings: book.weighings.map((weighing) =>
    weighing.dayId === book.day.id ? { ...weighing, took: null } : weighing,
  ),
});

function planInMeasures(written: DayBook): DayPlan {
  const makings = planMakings(written);
  const { book, kit, analyses, context, cutting, works, batches: unrested, problems: found } = makings;
  const rested = restBatches(unrested.doughs, { works, analyses, book });
  const batches = { ...unrested, doughs: rested.value };
  const lines = works.map(({ line }) => line);
  const tasksByCraft = listTasks(works, [...batches.doughs, ...batches.fillings], kit);
  const drafts = pinTasks(paceTasks(tasksByCraft, book.past), book.day.pinned);
  const openMin = Math.max(book.day.openMin, book.nowMin ?? -Infinity);
  const problem =
    drafts.length > 0 ? toScheduleProblem(drafts, kit, book.day, book.kitchen.roomC, openMin) : null;
  const pressed = problem && followSchedule(problem, book.day.laid);
  const people = (laid: Schedule) => assignPeople(placeDrafts(drafts, laid), book.day.helper);
  const forecastOf = (laid: Schedule) => {
    const personOf = new Map(people(laid).map(({ id, person }) => [id, person]));
    return problem && forecastDay(drafts, problem, laid, works, book.past, personOf);
  };
  const reserved =
    book.day.keepsReserve && problem && pressed
      ? keepReserve(problem, book.day.laid, pressed, forecastOf)
      : null;
  const schedule = reserved?.schedule ?? pressed;
  const forecast = reserved?.forecast ?? (pressed && forecastOf(pressed));
  const known = [
    ...found,
    ...rested.problems,
    ...kit.problems,
    ...findOldOil(lines),
    ...findFreezerDoubt(lines, kit),
    ...(schedule ? findLateness(schedule, drafts, openMin) : []),
    ...(schedule ? findKitDoubts(schedule, drafts, kit, openMin) : []),
  ];
  const shaped = shapeBook(book, context, known);
  const tasks = schedule ? people(schedule) : [];
  return {
    shaped: shaped.value,
    analyses,
    liquidAims: listLiquidAims(book),
    lines: lines.map((line) => ({
      ...line,
      readyMin: findReadyMin(line, tasks),
      readyMostMin: forecast
        ? findReadyMin(line, tasks, ({ id, placed }) => forecast.find(id)?.mostMin ?? placed.endMin)
        : {},
    })),
    cuts: cutting.cuts,
    ends: forecast?.last ?? null,
    reserveMin: reserved?.reserveMin ?? 0,
    yieldHabits: Object.fromEntries(
      book.formulas
        .filter(({ kind }) => kind === "dough")
        .map(({ id }) => {
          const rollings = book.cutRecords.filter(({ doughId }) => doughId === id);
          return [id, findYieldHabit(book.past, id, rollings)];
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
    larderUses: makings.larderUses,
    expired: makings.expired,
    ovens: kit.ovens,
    machines: listMachines(kit),
    problem,
    schedule,
    tasks,
    flow: computeMassFlow(lines, cutting.cuts),
    tally: computeTally(lines, book.orders, schedule, openMin),
    problems: [...known, ...shaped.problems],
    cautions: gatherCautions(works),
  };
}

function placeDrafts(drafts: readonly DraftTask[], schedule: Schedule): DayTask[] {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  return schedule.placed.flatMap((placed) => {
    const draft = byId.get(placed.taskId);
    if (!draft) return [];
    const { id, kind, station, pieceId, formulaId, cutId, lotKey, index, pieces, label } = draft;
    const { handsMin, slackMin } = draft;
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
        lotKey,
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
