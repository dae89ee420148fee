export {
  figureFacts,
  figureIds,
  type FigureFacts,
  type FigureId,
  type LotFigures,
  type Spread,
} from "./figures";
export { causesOf, troubleNames, troubles, type CauseFacts, type RemedyChange, type Trouble } from "./causes";
export {
  findTelling,
  rankCauses,
  type RankedCause,
  type Ranking,
  type Speaking,
  type Telling,
} from "./rankCauses";
