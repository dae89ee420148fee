import { explainLateness } from "../../schedule";
import { formatCount, formatDuration } from "../../units";
import type { DayBook, Order, Oven, Vessel } from "../book";
import { TOO_MUCH_MIN, type DayPlan } from "../result";
import { HANDS } from "../tasks";
import { nameHeld } from "../doubts";
import { planDay } from "../planDay";
import { applyDayChange, type DayChange } from "./dayChange";

/** A day in the figures by which it is chosen. */
export interface DayNow {
  readonly startMin: number | null;
  readonly readyMin: number | null;
  readonly lateMin: number;
  readonly dayMin: number;
}

/** A question asked of the day, and the day that answers it. */
export interface DayIf extends DayNow {
  readonly id: string;
  readonly title: string;
  readonly change: DayChange;
}

export interface DayAnswers {
  /** As it stands. */
  readonly now: DayNow;
  readonly ifs: readonly DayIf[];
  /** Why it is late, in words with minutes; empty if it is not. */
  readonly reasons: readonly string[];
  /** Of the changes, those after which nothing is late, the gentlest first; each was solved. */
  readonly mends: readonly DayIf[];
}

/** Most mends that are named. */
const MOST_MENDS = 3;
const LATER_MIN = 30;
/** Openings and promises are moved by whole steps of this, min. */
const STEP_MIN = 5;
/** A helper who stays all day leaves at this minute. */
const CLOSE_MIN = 22 * 60;
/** Promises stay within their day. */
const LAST_MIN = 23 * 60 + 55;

/** The day asked what-if by what-if, each planned whole; and for a day that is late, why and what would mend it. */
export function answerDay(book: DayBook): DayAnswers {
  const plan = planDay(book);
  const now = readFigures(plan);
  const ask = ({ id, title, change }: Question): DayIf => ({
    id,
    title,
    change,
    ...readFigures(planDay(applyDayChange(book, change))),
  });
  const ifs = listQuestions(book).map(ask);
  if (now.lateMin === 0) return { now, ifs, reasons: [], mends: [] };
  const mends: DayIf[] = [];
  for (const question of listMends(book, plan)) {
    const answered = ifs.find(({ id }) => id === question.id) ?? ask(question);
    if (answered.lateMin === 0) mends.push(answered);
    if (mends.length === MOST_MENDS) break;
  }
  // Where even half is too much, what would fit is looked for.
  const fit = mends.length === 0 ? findFit(book, ask) : null;
  const reasons = explainDay(plan, book.vessels);
  const isTooMuch = now.lateMin >= TOO_MUCH_MIN;
  return {
    now,
    ifs,
    reasons: isTooMuch ? [sayTooMuch(now.lateMin), ...reasons] : reasons,
    mends: fit ? [fit] : mends,
  };
}

const sayTooMuch = (lateMin: number): string =>
  `Too much for this kitchen in one day: the last of it would be ready ${formatDuration(lateMin)} after its promise.`;

/** The share of every order that is looked for is halved so often: to a thirty-second of a half. */
const FIT_STEPS = 5;

/** The largest part of every order with which nothing is late, as near as halving finds it; null if not even one each is. */
function findFit(book: DayBook, ask: (question: Question) => DayIf): DayIf | null {
  const all = sumPieces(book.orders);
  let [fits, least, most] = [null as DayIf | null, 0, 0.5];
  for (let step = 0; step < FIT_STEPS; step++) {
    const share = (least + most) / 2;
    const orders = book.orders.map((order) => ({
      ...order,
      count: Math.max(1, Math.floor(order.count * share)),
    }));
    const title = `${sumPieces(orders)} of ${all} pieces: ${Math.round(share * 100)} % of every order`;
    const asked = ask({ id: "fits", title, change: { orders } });
    if (asked.lateMin === 0) [fits, least] = [asked, share];
    else most = share;
  }
  return fits;
}

const sumPieces = (orders: readonly Order[]): number => orders.reduce((sum, { count }) => sum + count, 0);

interface Question {
  readonly id: string;
  readonly title: string;
  readonly change: DayChange;
}

function listQuestions(book: DayBook): Question[] {
  const { day, orders, ovens } = book;
  const [first] = ovens;
  return [
    ...(day.helper ? [] : [helperQuestion(book)]),
    {
      id: "later",
      title: "Thirty minutes later",
      change: { day: { ...day, openMin: day.openMin + LATER_MIN } },
    },
    {
      id: "half",
      title: "Half of every order",
      change: { orders: orders.map((order) => ({ ...order, count: Math.ceil(order.count / 2) })) },
    },
    ...(first
      ? [
          {
            id: "tray",
            title: `One more tray in ${first.name.toLowerCase()}`,
            change: { ovens: [{ ...first, traysAtOnce: first.traysAtOnce + 1 }] },
          },
          secondOven(first),
        ]
      : []),
  ];
}

const helperQuestion = ({ day }: DayBook): Question => ({
  id: "helper",
  title: "A second pair of hands all day",
  change: { day: { ...day, helper: { fromMin: day.openMin, toMin: CLOSE_MIN } } },
});

const secondOven = (first: Oven): Question => ({
  id: "oven",
  title: "A second oven, at a heat of its own",
  change: { ovens: [{ ...first, id: `${first.id}-2`, name: `${first.name}, second` }] },
});

/** Twice as many of the moulds that what is late is baked in. */
function moreMoulds({ pieces, vessels }: DayBook, late: readonly Order[]): Question[] {
  const lateIds = new Set(
    late.map(({ pieceId }) => pieces.find(({ id }) => id === pieceId)?.vesselId ?? null),
  );
  return vessels
    .filter(({ id }) => lateIds.has(id))
    .map((vessel) => ({
      id: `more-${vessel.id}`,
      title: `${vessel.count} more of ${vessel.name.toLowerCase()}`,
      change: { vessels: [{ ...vessel, count: vessel.count * 2 }] },
    }));
}

/** What could mend a late day, the gentlest first. */
function listMends(book: DayBook, { schedule, lines }: DayPlan): Question[] {
  const { day, orders, pieces, ovens } = book;
  const lateMin = Math.max(0, ...(schedule?.late ?? []).map((each) => each.lateMin));
  const up = (minutes: number) => Math.ceil(minutes / STEP_MIN) * STEP_MIN;
  const earlierMin = up(lateMin);
  const readyOf = new Map(lines.flatMap(({ readyMin }) => Object.entries(readyMin)));
  const late = orders.flatMap((order) => {
    const overMin = (readyOf.get(order.id) ?? 0) - order.dueMin;
    return overMin > 0 ? [{ ...order, dueMin: Math.min(order.dueMin + up(overMin), LAST_MIN) }] : [];
  });
  const spared = pieces.filter(({ spares }) => spares > 0).map((piece) => ({ ...piece, spares: 0 }));
  const [first] = ovens;
  return [
    ...(spared.length > 0 ? [{ id: "spares", title: "No spare pieces", change: { pieces: spared } }] : []),
    ...(day.openMin >= earlierMin
      ? [
          {
            id: "earlier",
            title: `Open ${formatDuration(earlierMin)} earlier`,
            change: { day: { ...day, openMin: day.openMin - earlierMin } },
          },
        ]
      : []),
    ...(late.length > 0
      ? [
          {
            id: "promise",
            title: `Move ${formatCount(late.length, "promise")} later, up to ${formatDuration(earlierMin)}`,
            change: { orders: late },
          },
        ]
      : []),
    ...(day.helper ? [] : [helperQuestion(book)]),
    ...(first ? [secondOven(first)] : []),
    ...moreMoulds(book, late),
    {
      id: "half",
      title: "Half of every order",
      change: { orders: orders.map((order) => ({ ...order, count: Math.ceil(order.count / 2) })) },
    },
  ];
}

/** What two days are compared by: minutes after midnight, and the longest lateness. */
export function readFigures({ schedule, tally }: DayPlan): DayNow {
  return {
    startMin: tally.startMin,
    readyMin: tally.readyMin,
    lateMin: Math.max(0, ...(schedule?.late ?? []).map(({ lateMin }) => lateMin)),
    dayMin: schedule?.cost.dayMin ?? 0,
  };
}

function explainDay({ problem, schedule, machines }: DayPlan, vessels: readonly Vessel[]): string[] {
  if (!problem || !schedule) return [];
  return explainLateness(problem, schedule).map(({ kind, resourceId, lessMin }) => {
    const less = `without it ${formatDuration(lessMin)} less of lateness, all promises together`;
    if (kind === "opening") return `There is too little time from opening to the promises: ${less}.`;
    if (kind === "longestWaits") return `Dough and fruit may not wait longer: ${less}.`;
    if (resourceId === null || resourceId === HANDS) return `There are too few hands: ${less}.`;
    const machine = machines.find((each) => each.resourceId === resourceId);
    if (machine) return `${machine.name} is full: ${less}.`;
    const held = nameHeld(resourceId, vessels);
    return `${held.charAt(0).toUpperCase()}${held.slice(1)}: there is not enough room: ${less}.`;
  });
}
