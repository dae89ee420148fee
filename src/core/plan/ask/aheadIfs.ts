import { findHeatWay, findShellEntry } from "../../way";
import { type Day, type DayBook, type MakeAhead, addDays } from "../book";
import { readFigures, type DayNow } from "./dayIfs";
import type { DayBatch, DayPlan, PiecePlan } from "../result";
import { planDay } from "../planDay";

/** Something that could be made the day before, and both days with it. */
export interface AheadIf {
  readonly id: string;
  readonly title: string;
  readonly ahead: readonly MakeAhead[];
  readonly then: DayNow;
  readonly eveThen: DayNow;
}

/** Two days planned together. */
export interface AheadAnswers {
  /** The day before; not in the book yet where `isNew`. */
  readonly eve: Day;
  readonly isNew: boolean;
  readonly now: DayNow;
  readonly eveNow: DayNow;
  readonly ifs: readonly AheadIf[];
}

/** A day that is only for making ahead begins at this minute. */
const EVE_OPENS_MIN = 8 * 60;
/** Batches for another day are weighed in steps of this, g. */
const WHOLE_G = 10;
/** Of what can be frozen, the pieces with the most work are offered. */
const MOST_FROZEN = 3;

/**
 * What could be made the day before, each answer both days planned whole: what one gains and the other takes on.
 * @param eve - The book of the day before; null if there is no such day.
 */
export function answerAhead(book: DayBook, eve: DayBook | null): AheadAnswers {
  const date = addDays(book.day.date, -1);
  const eveBook = eve ?? toEmptyEve(book, date);
  const plan = planDay(book);
  const ifs = listAhead(book, plan, eveBook.day).map(({ id, title, ahead }): AheadIf => ({
    id,
    title,
    ahead,
    then: readFigures(planDay({ ...book, ahead: [...book.ahead, ...ahead] })),
    eveThen: readFigures(planDay({ ...eveBook, ahead: [...eveBook.ahead, ...ahead] })),
  }));
  return {
    eve: eveBook.day,
    isNew: eve === null,
    now: readFigures(plan),
    eveNow: readFigures(planDay(eveBook)),
    ifs,
  };
}

const toEmptyEve = (book: DayBook, date: string): DayBook => ({
  ...book,
  day: {
    id: `day-${date}`,
    date,
    name: `Before ${book.day.name}`.slice(0, 80),
    openMin: EVE_OPENS_MIN,
    helper: null,
    keepsReserve: false,
    laid: [],
    pinned: [],
  },
  orders: [],
  ahead: [],
  nowMin: null,
});

type Offer = Pick<AheadIf, "id" | "title" | "ahead">;

function listAhead(book: DayBook, plan: DayPlan, eve: Day): Offer[] {
  const make = (
    kind: MakeAhead["kind"],
    refId: string,
    amount: { massG?: number; count?: number },
  ): MakeAhead => ({
    id: `ahead-${book.day.date}-${kind}-${refId}`.toLowerCase(),
    dayId: eve.id,
    date: eve.date,
    forDate: book.day.date,
    kind,
    refId,
    massG: amount.massG ?? 0,
    count: amount.count ?? 0,
  });
  const batches = (all: readonly DayBatch[]) =>
    all
      .filter(({ batch, formula }) => batch !== null && formula.keepsDays >= 1)
      .map(({ formula, neededG, fromLarderG, aheadG }) =>
        make(formula.kind, formula.id, {
          massG: Math.ceil((neededG - fromLarderG - aheadG) / WHOLE_G) * WHOLE_G,
        }),
      )
      .filter(({ massG }) => massG > 0);
  const [doughs, fillings] = [batches(plan.doughs), batches(plan.fillings)];
  const offer = (id: string, title: string, ahead: readonly MakeAhead[]): Offer[] =>
    ahead.length > 0 ? [{ id, title, ahead }] : [];
  const frozen = plan.lines
    .filter((line) => canBeFrozen(book, line) && line.counts.toFill > line.counts.ahead.frozenPieces)
    .sort((a, b) => b.handsMin.fill + b.handsMin.close - a.handsMin.fill - a.handsMin.close)
    .slice(0, MOST_FROZEN);
  const shells = plan.lines.filter((line) => hasShell(line) && line.counts.blanksTaken < line.counts.made);
  return [
    ...offer("doughs", "All doughs, wrapped and cold", doughs),
    ...offer("fillings", "All fillings that keep", fillings),
    ...(doughs.length > 0 && fillings.length > 0
      ? offer("both", "Doughs and fillings", [...doughs, ...fillings])
      : []),
    ...shells.flatMap(({ piece, counts: { made, blanksTaken } }) =>
      offer(`shells-${piece.id}`, `Shells of ${piece.name}, baked empty`, [
        make("shells", piece.id, { count: made - blanksTaken }),
      ]),
    ),
    ...frozen.flatMap(({ piece, counts: { made, frozenTaken } }) =>
      offer(`frozen-${piece.id}`, `${piece.name}, closed and frozen`, [
        make("frozenPieces", piece.id, { count: made - frozenTaken }),
      ]),
    ),
  ];
}

/** What is closed over something that does not weep: custards and open fillings are not frozen raw. */
function canBeFrozen(
  { formulas }: DayBook,
  { piece, shaped: { parts, seal }, counts: { made, frozenTaken } }: PiecePlan,
): boolean {
  const isCustard = parts.some(
    ({ fillingId }) =>
      formulas.find(
        (formula) => formula.kind === "filling" && formula.id === fillingId && formula.family === "custard",
      ) !== undefined,
  );
  return (
    seal !== null &&
    !isCustard &&
    findHeatWay(piece.way) === "oven" &&
    piece.vesselId === null &&
    made > frozenTaken
  );
}

const hasShell = ({ piece, counts: { made } }: PiecePlan): boolean =>
  made > 0 && findHeatWay(piece.way) === "oven" && findShellEntry(piece.way) >= 0;
