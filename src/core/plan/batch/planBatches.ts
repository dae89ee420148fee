import { because } from "../../result";
import {
  divideDough,
  listPartsG,
  listWeighSteps,
  scaleFormula,
  type Dough,
  type Formula,
  type FormulaAnalysis,
  type Ingredient,
} from "../../formula";
import type { DayBook } from "../book";
import type { DayBatch, DayCut, PiecePlan, PieceWork } from "../result";
import { findThicknessFactor, findLiquidAim, findPortionFactor } from "../learned";
import { restDough } from "./restDough";
import { takeMass, type OpenLarder } from "../larder";
import { toProblem, type Problem } from "../problem";

export interface BatchInput {
  readonly book: DayBook;
  readonly works: readonly PieceWork[];
  readonly larder: OpenLarder;
  readonly ingredients: readonly Ingredient[];
  readonly analyses: Readonly<Record<string, FormulaAnalysis>>;
}

export interface Batches {
  readonly doughs: readonly DayBatch[];
  readonly fillings: readonly DayBatch[];
  readonly problems: readonly Problem[];
}

/** Less than this over or short is rounding, g. */
const EVEN_G = 0.5;

/**
 * Doughs and fillings of the day: need, larder first, the rest to mix, and what is over or short. What frozen pieces
 * and blanks leave no need for has no batch, unless the baker mixes it all the same.
 */
export function planBatches(input: BatchInput): Batches {
  const { works, book } = input;
  const aheadOf = <K extends Formula["kind"]>(kind: K) =>
    book.formulas.filter(
      (formula): formula is Extract<Formula, { kind: K }> =>
        formula.kind === kind && sumAheadG(book, formula) > 0,
    );
  const isWanted = ({ neededG, batch }: DayBatch) => neededG > EVEN_G || batch !== null;
  const doughs = unique([...works.map(({ dough }) => dough), ...aheadOf("dough")])
    .map((dough) => planDough(input, dough))
    .filter(isWanted);
  const fillings = unique([...works.flatMap((work) => work.fillings), ...aheadOf("filling")])
    .map((filling) => {
      const needG = ({
        piece,
        fills,
        shaped: {
          works: { fill },
        },
      }: PiecePlan) =>
        fills.reduce(
          (sum, { part, totalG }) =>
            part.fillingId === filling.id
              ? sum + totalG * (part.role === "main" ? findPortionFactor(book.past, piece.id, fill.style) : 1)
              : sum,
          0,
        );
      const lines = works
        .map(({ line }) => line)
        .filter((line) => line.fills.some(({ part }) => part.fillingId === filling.id));
      return planBatch(input, filling, lines, needG);
    })
    .filter(isWanted);
  return {
    doughs,
    fillings,
    problems: [
      ...[...doughs, ...fillings].flatMap((batch) => findShortage(batch) ?? []),
      ...doughs.flatMap((batch) => findSmallParts(input, batch) ?? []),
    ],
  };
}

const unique = <T extends Formula>(formulas: readonly T[]): T[] => [
  ...new Map(formulas.map((formula) => [formula.id, formula])).values(),
];

/** What the day makes of a formula for another day, g. */
function sumAheadG({ ahead, day }: DayBook, { kind, id }: Formula): number {
  return ahead.reduce(
    (sum, each) => sum + (each.dayId === day.id && each.kind === kind && each.refId === id ? each.massG : 0),
    0,
  );
}

/** First sheets of a dough, as it is divided for them, g. */
function listPiecesG(cuts: readonly DayCut[]): number[] {
  return cuts.flatMap(({ plan }) => {
    const sheetsG = plan.sheets.flatMap(({ pass, doughG }) => (pass === 0 ? [doughG] : []));
    return sheetsG.length > 0 ? sheetsG : plan.doughG > 0 ? [plan.doughG] : [];
  });
}

const listCutsOf = (dough: Dough, works: readonly PieceWork[]): DayCut[] => [
  ...new Set(works.filter((work) => work.dough.id === dough.id).map(({ line }) => line.cut)),
];

function planDough(input: BatchInput, dough: Dough): DayBatch {
  const lines = input.works.filter((work) => work.dough.id === dough.id).map(({ line }) => line);
  const thick = findThicknessFactor(input.book.past, dough.id);
  const batch = planBatch(input, dough, lines, ({ doughG }) => doughG * thick);
  // A bought sheet is opened, not divided.
  if (dough.boughtSheet) return batch;
  const partsG = listPartsG(listPiecesG(listCutsOf(dough, input.works)), dough.dividedCount);
  return {
    ...batch,
    divided: divideDough(
      batch.aheadG > 0 ? [...partsG, batch.aheadG] : partsG,
      dough.dividedInto,
      dough.densityGPerMl,
    ),
  };
}

/** A sheet that takes more dough than a part of it holds: parts would have to be put together again. */
function findSmallParts({ works }: BatchInput, { formula }: DayBatch): Problem | null {
  if (formula.kind !== "dough" || formula.boughtSheet || formula.dividedCount === null) return null;
  const sheetsG = listCutsOf(formula, works).flatMap(({ plan }) =>
    plan.sheets.flatMap(({ pass, doughG }) => (pass === 0 ? [doughG] : [])),
  );
  const [partG = 0] = listPartsG(listPiecesG(listCutsOf(formula, works)), formula.dividedCount);
  const largestG = Math.max(0, ...sheetsG);
  if (largestG <= partG + EVEN_G) return null;
  const most = Math.max(Math.floor((partG * formula.dividedCount) / largestG), 1);
  const small = because("smallParts", { formula: formula.name, partG, largestG, most });
  return toProblem(small, { station: "mix", aboutId: formula.id });
}

/** How long each dough rests before it is rolled, by conduction: the dearest part of a batch, and no part of its mass. */
export function restBatches(
  doughs: readonly DayBatch[],
  { works, analyses, book }: Pick<BatchInput, "works" | "analyses" | "book">,
): { readonly value: DayBatch[]; readonly problems: readonly Problem[] } {
  const value = doughs.map((batch): DayBatch => {
    if (batch.formula.kind !== "dough") return batch;
    const cuts = listCutsOf(batch.formula, works);
    const piecesG = listPartsG(listPiecesG(cuts), batch.formula.dividedCount);
    const composition = analyses[batch.formula.id]?.composition;
    if (!composition || piecesG.length === 0) return batch;
    const thicknessMm = Math.max(...cuts.map((cut) => cut.thicknessMm));
    return {
      ...batch,
      rest: restDough(batch.formula, Math.max(...piecesG), composition, book.kitchen, thicknessMm, book.past),
    };
  });
  return { value, problems: value.flatMap((batch) => findEndlessRest(batch) ?? []) };
}

function planBatch(
  { book, larder, ingredients }: BatchInput,
  formula: Formula,
  lines: readonly PiecePlan[],
  needG: (line: PiecePlan) => number,
): DayBatch {
  const aheadG = sumAheadG(book, formula);
  const todayG = lines.reduce((sum, line) => sum + needG(line), 0);
  const neededG = todayG + aheadG;
  // What is made for another day is made fresh.
  const uses = takeMass(larder, formula.kind, formula.id, todayG);
  const fromLarderG = uses.reduce((sum, { massG }) => sum + massG, 0);
  const own = book.weighings.find(
    ({ dayId, formulaId }) => dayId === book.day.id && formulaId === formula.id,
  );
  const liquidAim = findLiquidAim(book, formula);
  // What today's liquid took is for next time: the flour it goes into has been weighed.
  const mixG = own?.mixG ?? neededG - fromLarderG;
  const batch = mixG > EVEN_G ? scaleFormula(formula, mixG, liquidAim?.massG) : null;
  const overG = (batch?.usableG ?? 0) + fromLarderG - neededG;
  return {
    formula,
    pieceIds: lines.map(({ piece }) => piece.id),
    neededG,
    aheadG,
    uses,
    fromLarderG,
    batch,
    steps: batch ? listWeighSteps(batch, ingredients, book.kitchen.system, book.kitchen.eggSize) : [],
    overG: Math.abs(overG) < EVEN_G ? 0 : overG,
    enoughForPieces: overG < -EVEN_G ? countEnough(lines, needG, neededG + overG) : null,
    liquidAim,
    boughtSheets: batch ? countBoughtSheets(formula, batch.usableG) : null,
    rest: null,
    divided: [],
  };
}

function countBoughtSheets(formula: Formula, usableG: number): number | null {
  if (formula.kind !== "dough" || !formula.boughtSheet) return null;
  const { widthMm, heightMm, thicknessMm } = formula.boughtSheet;
  const sheetG = (widthMm * heightMm * thicknessMm * formula.densityGPerMl) / 1000;
  // The plan asks for whole sheets: rounding must not make one more of them.
  return Math.ceil(usableG / sheetG - EVEN_G / sheetG);
}

/** Whole pieces that so much is enough for, kind by kind in the order of the day. */
function countEnough(
  lines: readonly PiecePlan[],
  needG: (line: PiecePlan) => number,
  availableG: number,
): number {
  let leftG = availableG;
  let pieces = 0;
  for (const line of lines) {
    const fresh = line.counts.toFill;
    const eachG = fresh > 0 ? needG(line) / fresh : 0;
    const count = eachG > 0 ? Math.min(Math.floor(leftG / eachG), fresh) : fresh;
    pieces += count;
    leftG -= count * eachG;
  }
  return pieces;
}

function findShortage({ formula, overG, enoughForPieces, neededG, fromLarderG }: DayBatch): Problem | null {
  if (enoughForPieces === null) return null;
  const times = (neededG - fromLarderG) / (neededG - fromLarderG + overG);
  const short = because("shortage", {
    ...{ formula: formula.name, shortG: -overG, enoughForPieces },
    times: Number.isFinite(times) ? times : null,
  });
  return toProblem(short, { station: "mix", aboutId: formula.id });
}

function findEndlessRest({ formula, rest }: DayBatch): Problem | null {
  if (formula.kind !== "dough" || !rest || rest.modelMin !== null || formula.restWay === "minutes")
    return null;
  const endless = because("endlessRest", {
    ...{ formula: formula.name, highC: formula.window.highC, plannedMin: rest.minutes },
  });
  return toProblem(endless, { station: "mix", aboutId: formula.id });
}
