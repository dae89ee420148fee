import { planCutting } from "./cut";
import { findPieceDoubts, findPastPromises } from "./doubts";
import { groupOrders, findMakings, finishPiece, draftPiece, type PieceDraft } from "./line";
import { findFilling, toShapeContext, type ShapeContext } from "./piece";
import { createRecordMemory } from "../createMemory";
import {
  analyseFormula,
  mergeIngredients,
  standardIngredients,
  type Formula,
  type FormulaAnalysis,
} from "../formula";
import type { DayBook, LarderItem } from "./book";
import type { Problem } from "./problem";
import { learnFormula } from "./learned";
import { openKit, type KitRoom } from "./kit";
import { planBatches, type Batches } from "./batch";
import type { LarderUse, PieceWork } from "./result";
import { openLarder } from "./larder";

/** What a day makes and what goes into it, before anybody looks at the clock. */
export interface DayMakings {
  /** The day's book with its doughs as the log knows them. */
  readonly book: DayBook;
  readonly kit: KitRoom;
  /** What the day takes out of the larder. */
  readonly larderUses: readonly LarderUse[];
  /** In the larder and past its date. */
  readonly expired: readonly LarderItem[];
  readonly analyses: Readonly<Record<string, FormulaAnalysis>>;
  readonly context: ShapeContext;
  readonly cutting: ReturnType<typeof planCutting>;
  readonly works: readonly PieceWork[];
  readonly batches: Batches;
  readonly problems: readonly Problem[];
}

/** A formula is analysed again when it or the ingredient book has changed. */
const remember = createRecordMemory<Formula, FormulaAnalysis>();

/** The day from its orders to its batches: what is taken from the larder, rolled, cut, filled and weighed out. */
export function planMakings(written: DayBook): DayMakings {
  const book = {
    ...written,
    formulas: written.formulas.map((formula) => learnFormula(formula, written.past)),
  };
  const larder = openLarder(book);
  const kit = openKit(book);
  const ingredients = mergeIngredients(standardIngredients, book.ingredients);
  const analyses = Object.fromEntries(
    book.formulas.map((formula) => [
      formula.id,
      remember(formula, book.ingredients, () => analyseFormula(formula, ingredients)),
    ]),
  );
  const context = toShapeContext(book);
  const tried = [...groupOrders(book)].map(([piece, orders]) => {
    const makings = findMakings(book, piece, kit, analyses);
    return makings.ok ? draftPiece(makings.value, orders, larder, context) : makings;
  });
  const pieceDrafts = tried.flatMap((each): PieceDraft[] => (each.ok ? [each.value] : []));
  const cutting = planCutting(book, pieceDrafts, analyses);
  const works = pieceDrafts.flatMap((draft): PieceWork[] => {
    const cut = cutting.cuts.find(({ pieceIds }) => pieceIds.includes(draft.piece.id));
    if (!cut) return [];
    const line = finishPiece(draft, cut);
    const fillings = line.shaped.parts.flatMap(
      ({ fillingId }) => findFilling(fillingId, book.formulas) ?? [],
    );
    return [{ line, dough: draft.dough, filling: draft.filling, fillings }];
  });
  const batches = planBatches({ book, works, larder, ingredients, analyses });
  return {
    ...{ book, kit, analyses, context, cutting, works, batches },
    larderUses: [
      ...pieceDrafts.flatMap((draft) => draft.larderUses),
      ...[...batches.doughs, ...batches.fillings].flatMap(({ uses }) => uses),
    ],
    expired: larder.expired,
    problems: [
      ...findPastPromises(book),
      ...tried.flatMap((each) => (each.ok ? [] : [each.failure])),
      ...cutting.problems,
      ...works.flatMap(findPieceDoubts),
      ...larder.problems,
      ...batches.problems,
    ],
  };
}
