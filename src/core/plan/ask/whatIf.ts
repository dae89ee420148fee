import type { Dough } from "../../formula";
import type { DayBook, Piece } from "../book";
import type { DayPlan, PiecePlan } from "../result";
import { sayProblem } from "../problem";
import { planDay } from "../planDay";

/** What a choice would change: fields of a piece, and of the dough it is made of. */
export interface Choice {
  readonly piece: Partial<Piece>;
  readonly dough: Partial<Dough>;
}

/** The figures by which choices are weighed. */
export interface DayFigures {
  readonly doughG: number;
  /** Trim, loss and blanks over: dough that does not become pieces. */
  readonly overG: number;
  readonly fillingG: number;
  readonly handsMin: number;
  readonly startMin: number | null;
  readonly lateMin: number;
  readonly eggs: number;
  /** Of the piece itself; null where nothing is closed, or it cannot be made. */
  readonly leakShare: number | null;
  /** Why the piece cannot be made; null if it can. */
  readonly fault: string | null;
}

/** Ordered of a piece that the day does not ask for, so that a choice can be weighed at all. */
const TRIAL_COUNT = 24;
/** Minutes after midnight that such an order is promised for. */
const TRIAL_DUE_MIN = 13 * 60;

/** The book as it stands and as each choice would make it, in figures; the first is as it stands. */
export function weighChoices(book: DayBook, pieceId: string, choices: readonly Choice[]): DayFigures[] {
  const tried = withTrialOrder(book, pieceId);
  return [{ piece: {}, dough: {} }, ...choices].map((choice) => {
    const changed = applyChoice(tried, pieceId, choice);
    return sumFigures(planDay(changed), pieceId);
  });
}

/** The book with a choice taken. */
export function applyChoice(book: DayBook, pieceId: string, { piece, dough }: Choice): DayBook {
  const doughId = book.pieces.find(({ id }) => id === pieceId)?.doughId;
  return {
    ...book,
    pieces: book.pieces.map((each) => (each.id === pieceId ? { ...each, ...piece } : each)),
    formulas: book.formulas.map((each) =>
      each.kind === "dough" && each.id === doughId ? { ...each, ...dough } : each,
    ),
  };
}

/** One piece by itself, as it would be in a day of so many of it. */
export interface VariantFigures {
  readonly line: PiecePlan | null;
  readonly fault: string | null;
  /** Dough for one, its part of the trim included. */
  readonly doughG: number;
  readonly fillingG: number;
  readonly handsS: number;
  /** Money for one, minor units, of ingredients that have a price. */
  readonly costMinor: number;
  /** Dough left in the piece for one gram of filling. */
  readonly crustPerFilling: number;
  readonly leakShare: number | null;
}

/** Variants of a piece side by side, each made alone and so many times. */
export function compareVariants(book: DayBook, variants: readonly Piece[], count: number): VariantFigures[] {
  return variants.map((piece) => {
    const alone: DayBook = {
      ...book,
      pieces: [piece],
      // Neither what the larder holds nor a batch of the day's own size belongs to the variant.
      larder: [],
      weighings: [],
      past: { ...book.past, tookLastG: {} },
      orders: [trialOrder(book, piece.id, count)],
    };
    const plan = planDay(alone);
    const line = plan.lines.find((each) => each.piece.id === piece.id) ?? null;
    if (!line) {
      const stop = plan.problems.find(({ stops }) => stops);
      const fault = stop ? sayProblem(stop) : "It cannot be made as described.";
      return {
        line,
        fault,
        doughG: 0,
        fillingG: 0,
        handsS: 0,
        costMinor: 0,
        crustPerFilling: 0,
        leakShare: null,
      };
    }
    const fillingG = line.counts.toFill > 0 ? line.fillingG / line.counts.toFill : 0;
    const costMinor = [...plan.doughs, ...plan.fillings].reduce(
      (sum, { formula, batch }) => sum + (plan.analyses[formula.id]?.costMinor ?? 0) * (batch?.scale ?? 0),
      0,
    );
    return {
      line,
      fault: null,
      doughG: line.doughG / line.counts.made,
      fillingG,
      handsS: (sumHands(plan) * 60) / line.counts.made,
      costMinor: costMinor / line.counts.made,
      crustPerFilling: fillingG > 0 ? (line.shaped.masses.blankG - line.shaped.masses.trimG) / fillingG : 0,
      leakShare: line.shaped.hold?.leakShare ?? null,
    };
  });
}

const sumHands = ({ tasks }: DayPlan) => tasks.reduce((sum, { handsMin }) => sum + handsMin, 0);

function sumFigures(plan: DayPlan, pieceId: string): DayFigures {
  const { flow, schedule, problems } = plan;
  const shaped = plan.shaped[pieceId];
  const stopped = problems.find((problem) => problem.stops && problem.pieceId === pieceId);
  return {
    doughG: flow.doughG,
    overG: flow.trimLeftG + flow.rollingLossG + flow.surplusBlanksG + flow.returnedG,
    fillingG: flow.fillingG,
    handsMin: sumHands(plan),
    startMin: schedule?.startMin ?? null,
    lateMin: Math.max(0, ...(schedule?.late ?? []).map(({ lateMin }) => lateMin)),
    eggs: plan.eggs.toCrack,
    leakShare: shaped?.hold?.leakShare ?? null,
    fault: stopped ? sayProblem(stopped) : null,
  };
}

function withTrialOrder(book: DayBook, pieceId: string): DayBook {
  return book.orders.some((order) => order.pieceId === pieceId)
    ? book
    : { ...book, orders: [...book.orders, trialOrder(book, pieceId, TRIAL_COUNT)] };
}

const trialOrder = ({ day }: DayBook, pieceId: string, count: number) => ({
  id: "trial",
  dayId: day.id,
  pieceId,
  count,
  dueMin: TRIAL_DUE_MIN,
  customer: "",
});
