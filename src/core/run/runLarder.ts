import {
  blanksKeepDays,
  toLarderItem,
  type DayBook,
  type DayPlan,
  type LarderItem,
  type LarderUse,
  type Leftover,
} from "../plan";

/** What a day takes from the larder and puts into it, as it was planned. */
export interface RunLarder {
  readonly uses: readonly LarderUse[];
  /** Of each dough, filling and piece what is over; nothing, 0. */
  readonly left: readonly Leftover[];
  /** Made for other days. */
  readonly made: readonly LarderItem[];
  /** There, and past its date: nothing takes it; sheets frozen before it was kept have none. */
  readonly stale?: readonly StaleItem[];
}

/** Something of the larder that nobody should use any more. */
export interface StaleItem {
  readonly item: LarderItem;
  readonly label: string;
}

/** What the day takes from the larder and what it is to put back, as the morning's plan has it. */
export function freezeLarder(plan: DayPlan, book: DayBook): RunLarder {
  const known = new Set(book.larder.map(({ id }) => id));
  const planned = (nothing: Leftover): Leftover =>
    plan.leftovers.find(({ kind, refId }) => kind === nothing.kind && refId === nothing.refId) ?? nothing;
  const none = { massG: 0, count: 0 };
  const nameOf = ({ refId }: LarderItem) =>
    [...book.formulas, ...book.pieces].find(({ id }) => id === refId)?.name ?? "no longer in the book";
  return {
    stale: book.larder.flatMap((item) =>
      item.takenByDayId === null && item.useBy < book.day.date ? [{ item, label: nameOf(item) }] : [],
    ),
    uses: plan.larderUses.filter(({ item }) => item.takenByDayId === null),
    left: [
      ...[...plan.doughs, ...plan.fillings].map(({ formula: { kind, id, name, keepsDays } }) =>
        planned({ ...none, kind, refId: id, label: name, keepsDays }),
      ),
      ...plan.lines.map(({ piece }) =>
        planned({
          ...none,
          kind: "blanks",
          refId: piece.id,
          label: `Blanks of ${piece.name}`,
          keepsDays: blanksKeepDays(book.formulas.find(({ id }) => id === piece.doughId)),
        }),
      ),
    ],
    made: book.ahead
      .filter(({ id, dayId }) => dayId === book.day.id && !known.has(id))
      .map((ahead) => toLarderItem(ahead, book)),
  };
}
