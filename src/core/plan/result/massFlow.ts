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
      ({ blanks, counts, shaped: { masses } }) =>
        blanks.reduce((total, { cut, needed, eachG }) => total + (cut - needed) * eachG, 0) +
        Math.max(counts.blanksTaken - counts.toFill, 0) * masses.blankG,
    ),
    fillingG: sum(({ fillingG }) => fillingG),
    wholeG: sum(({ counts, shaped: { masses } }) => masses.wholeG * counts.toFill),
    returnedG: sum(({ coats }) => coats.trimG),
    storedG: sum(
      ({ counts, shaped: { masses } }) =>
        counts.frozenTaken * masses.rawPieceG + counts.blanksTaken * masses.blankG,
    ),
    keptG: sum(
      ({ counts: { ahead }, shaped: { masses } }) =>
        ahead.frozenPieces * masses.rawPieceG + ahead.shells * masses.blankG,
    ),
    coatsG: sum(
      ({ counts, shaped: { masses } }) => masses.coatG * counts.toFill + masses.dressG * counts.made,
    ),
    waterG: sum(
      ({ counts, shaped: { masses } }) =>
        counts.made * (masses.rawPieceG + masses.dressG - masses.bakedPieceG),
    ),
    piecesG: sum(({ counts, shaped: { masses } }) => counts.made * masses.bakedPieceG),
  };
}
