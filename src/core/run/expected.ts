import { knowHabit, tellFigure, toHabitId, toPaceKey, type HabitId } from "../habits";
import {
  findSeason,
  toFilmHabit,
  toHandKey,
  toLiquidHabit,
  toMeasureHabit,
  toHeaterHabit,
  toHeatHabit,
  toHeatUpHabit,
  toJobHabit,
  toOvenHabit,
  toPersonHabit,
  toRelaxedHabit,
  toThicknessHabit,
  type DayBook,
  type DayPlan,
} from "../plan";

/** What a plan expects of a figure, on its habit's scale. */
export interface Expected {
  /** Lots that it rests on. */
  readonly lots: number;
  /** Likeliest, and between what it lies nine times in ten. */
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly widened: number;
}

export type ExpectedFigures = Readonly<Partial<Record<HabitId, Expected>>>;

/** What a day's plan expects of everything that its run may time, weigh, read or count. */
export function freezeExpected(plan: DayPlan, book: DayBook): ExpectedFigures {
  const ids = new Set<HabitId>([
    ...plan.tasks.flatMap(({ kind, pieceId, machineId }) =>
      (kind === "bake" || kind === "fry") && pieceId !== null && machineId !== null
        ? [
            toHeatHabit(pieceId, machineId),
            ...(kind === "bake"
              ? [toOvenHabit(machineId), toHeatUpHabit(machineId), ...listDecks(plan, machineId)]
              : [toHeaterHabit(machineId)]),
          ]
        : [],
    ),
    ...plan.lines.flatMap(({ piece, shaped: { works } }) => [
      ...(book.day.helper ? [0, 1] : [0]).flatMap((person) => {
        const key = toHandKey(works.fill.style, person);
        return [toMeasureHabit(key), toHabitId("spread", key)];
      }),
      toHabitId("portion", piece.id),
      toHabitId("sold", piece.id),
      toHabitId("hands", toPaceKey("fill", works.fill.style)),
      toHabitId("hands", toPaceKey("close", works.close.style)),
    ]),
    ...plan.doughs.flatMap(({ formula: { id } }) => [
      toLiquidHabit(id),
      toLiquidHabit(id, findSeason(book.day.date)),
    ]),
    ...[...plan.doughs, ...plan.fillings].map(({ formula }) => toHabitId("left", formula.id)),
    ...plan.larderUses.map(({ item }) => toHabitId("spoiled", item.refId)),
    ...plan.cuts.flatMap(({ dough }) => [
      toHabitId("blanks", dough.id),
      toThicknessHabit(dough.id),
      toRelaxedHabit(dough.id),
      toHabitId("trim", dough.id),
      toHabitId("uneven", dough.id),
    ]),
    ...plan.tasks.flatMap((task) => toJobHabit(task) ?? []),
    ...(book.day.helper ? [toPersonHabit(0), toPersonHabit(1)] : []),
    toFilmHabit("bench"),
    ...plan.doughs.flatMap(({ rest }) => (rest?.model ? [toFilmHabit(rest.model.place)] : [])),
  ]);
  return Object.fromEntries(
    [...ids].map((id) => {
      const known = knowHabit(book.past, id);
      const { lots, mean, nextLow: low, nextHigh: high } = tellFigure(known);
      return [id, { lots, mean, low, high, widened: known.widened }];
    }),
  );
}

const listDecks = ({ ovens }: DayPlan, machineId: string): HabitId[] =>
  (ovens.find(({ id }) => id === machineId)?.deckOffsetsC ?? []).flatMap((_, i, all) =>
    all.length > 1 ? [toOvenHabit(machineId, i + 1)] : [],
  );
