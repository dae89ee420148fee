import type { Dough } from "../../formula";
import { addDays, type DayBook, type Day, type LarderItem } from "../book";
import type { DayCut, DayPlan, LarderUse, Leftover, PieceWork } from "../result";
import { blanksKeepDays } from "./keeping";
import { toLarderItem } from "./makeAhead";

/** Less than this is wiped off the bench, g. */
export const LEAST_KEPT_G = 20;

/** Trim that is neither thrown out nor cut up is kept; without a cutter there is nothing to cut it up with. */
const keepsTrim = ({ trimEnd, decorationCutterId }: Dough) =>
  trimEnd === "larder" || (trimEnd === "decorations" && decorationCutterId === null);

/** What the day leaves that keeps: trim and dough over, filling over, blanks cut beyond what is filled. */
export function listLeftovers(
  works: readonly PieceWork[],
  cuts: readonly DayCut[],
  { doughs, fillings }: Pick<DayPlan, "doughs" | "fillings">,
): Leftover[] {
  const trimG = (doughId: string) =>
    cuts.reduce(
      (sum, { dough, plan }) => sum + (dough.id === doughId && keepsTrim(dough) ? plan.trimLeftG : 0),
      0,
    ) +
    works.reduce(
      (sum, { line, dough }) =>
        sum + (dough.id === doughId && dough.trimEnd !== "waste" ? line.coats.trimG : 0),
      0,
    );
  const byMass = [...doughs, ...fillings].map(({ formula, overG }): Leftover => {
    const massG = Math.max(overG, 0) + (formula.kind === "dough" ? trimG(formula.id) : 0);
    return {
      kind: formula.kind,
      refId: formula.id,
      label: formula.name,
      massG,
      count: 0,
      keepsDays: formula.keepsDays,
    };
  });
  const blanks = works.map(({ line, dough }): Leftover => ({
    kind: "blanks",
    refId: line.piece.id,
    label: `Blanks of ${line.piece.name}`,
    massG: 0,
    count: Math.max(
      line.setsCut + line.counts.blanksTaken - line.counts.toFill - line.counts.ahead.shells,
      0,
    ),
    keepsDays: blanksKeepDays(dough),
  }));
  return [...byMass.filter(({ massG }) => massG >= LEAST_KEPT_G), ...blanks.filter(({ count }) => count > 0)];
}

/** What was there of one item and what is left of it. */
export function takeUse({ item, massG, count }: LarderUse, day: Pick<Day, "id" | "date">): LarderItem[] {
  const [leftG, leftCount] = [item.massG - massG, item.count - count];
  const taken: LarderItem = { ...item, massG, count, takenByDayId: day.id };
  if (leftG < LEAST_KEPT_G && leftCount <= 0) return [{ ...taken, massG: item.massG }];
  return [
    { ...item, massG: leftG, count: leftCount },
    { ...taken, id: `${item.id}-${day.date}` },
  ];
}

/**
 * The item as it was before a day took of it.
 * @param taken - The portion that was taken out of it and stands beside it; null where the whole item was taken.
 */
export const giveBack = (left: LarderItem, taken: LarderItem | null): LarderItem => ({
  ...left,
  massG: left.massG + (taken?.massG ?? 0),
  count: left.count + (taken?.count ?? 0),
  takenByDayId: null,
});

/**
 * The larder after a day: what the plan used is taken out; what it leaves, and what it made for other days, is put in
 * with its use-by date.
 * @returns The items to write; those with a known id take its place. Closing twice gives the same.
 */
export function closeLarder(plan: DayPlan, book: DayBook): LarderItem[] {
  const { day } = book;
  const used = plan.larderUses.filter(({ item }) => item.takenByDayId === null);
  const left = plan.leftovers.map(({ kind, refId, massG, count, keepsDays }): LarderItem => ({
    id: `left-${day.date}-${kind}-${refId}`,
    kind,
    refId,
    massG,
    count,
    madeOn: day.date,
    useBy: addDays(day.date, keepsDays),
    fromDayId: day.id,
    takenByDayId: null,
  }));
  const known = new Set(book.larder.map(({ id }) => id));
  const made = book.ahead.filter(({ id, dayId }) => dayId === day.id && !known.has(id));
  return [
    ...used.flatMap((use) => takeUse(use, day)),
    ...left,
    ...made.map((each) => toLarderItem(each, book)),
  ];
}
