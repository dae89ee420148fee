import type { MassFlow, PiecePlan } from "./dayPlan";

/**
 * The day's mass as it flows. Dough + filling + stored = pieces + water + trim left + rolling loss + surplus blanks,
 * to rounding.
 */
export function computeMassFlow(lines: readonly PiecePlan[]): MassFlow {
  const sum = (figure: (line: PiecePlan) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    doughG: sum(({ cut }) => cut.doughG),
    blanksG: sum(({ cut }) => cut.blanksG),
    rerolledG: sum(({ cut }) =>
      cut.sheets.filter(({ pass }) => pass > 0).reduce((total, { doughG }) => total + doughG, 0),
    ),
    trimLeftG: sum(({ cut }) => cut.trimLeftG),
    rollingLossG: sum(({ cut }) => cut.lossG),
    surplusBlanksG: sum(({ cut, blanksTaken, toFill }) => (cut.count + blanksTaken - toFill) * cut.blankG),
    fillingG: sum(({ fillingG }) => fillingG),
    storedG: sum(
      ({ frozenTaken, blanksTaken, rawPieceG, cut }) => frozenTaken * rawPieceG + blanksTaken * cut.blankG,
    ),
    waterG: sum(({ made, rawPieceG, bakedPieceG }) => made * (rawPieceG - bakedPieceG)),
    piecesG: sum(({ made, bakedPieceG }) => made * bakedPieceG),
  };
}
