import type { DayCut, MassFlow, PiecePlan } from "./dayPlan";

/**
 * The day's mass as it flows. Dough + filling + whole + coats + stored = pieces + water + decorations + trim left +
 * rolling loss + surplus blanks + returned + kept, to rounding.
 */
export function computeMassFlow(lines: readonly PiecePlan[], cuts: readonly DayCut[]): MassFlow {
  const sum = (figure: (line: PiecePlan) => number) => lines.reduce((total, line) => total + figure(line), 0);
  const sumCuts = (figure: (cut: DayCut) => number) => cuts.reduce((total, cut) => total + figure(cut), 0);
  return {
    doughG: sumCuts(({ plan }) => plan.doughG),
    blanksG: sumCuts(({ plan }) => plan.blanksG),
    rerolledG: sumCuts(({ plan }) =>
      plan.sheets.filter(({ pass }) => pass > 0).reduce((total, { doughG }) => total + doughG, 0),
    ),
    decorationsG: sumCuts(({ plan }) => plan.decorationsG),
    trimLeftG: sumCuts(({ plan }) => plan.trimLeftG),
    rollingLossG: sumCuts(({ plan }) => plan.lossG),
    surplusBlanksG: sum(
      ({ blanks, blanksTaken, toFill, blankG }) =>
        blanks.reduce((total, { cut, needed, eachG }) => total + (cut - needed) * eachG, 0) +
        Math.max(blanksTaken - toFill, 0) * blankG,
    ),
    fillingG: sum(({ fillingG }) => fillingG),
    wholeG: sum(({ wholeG, toFill }) => wholeG * toFill),
    returnedG: sum(({ coats }) => coats.trimG),
    storedG: sum(
      ({ frozenTaken, blanksTaken, rawPieceG, blankG }) => frozenTaken * rawPieceG + blanksTaken * blankG,
    ),
    keptG: sum(({ ahead, rawPieceG, blankG }) => ahead.frozenPieces * rawPieceG + ahead.shells * blankG),
    coatsG: sum(({ coatG, dressG, toFill, made }) => coatG * toFill + dressG * made),
    waterG: sum(({ made, rawPieceG, bakedPieceG, dressG }) => made * (rawPieceG + dressG - bakedPieceG)),
    piecesG: sum(({ made, bakedPieceG }) => made * bakedPieceG),
  };
}
