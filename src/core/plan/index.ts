export { NO_PAST, type PastLog } from "../habits";
export { groupOrders } from "./piece/findMakings";
export { planDay } from "./planDay";
export { checkDay } from "./result/checkDay";
export { planMakings } from "./planMakings";
export {
  doneSigns,
  larderKinds,
  shelfPlaces,
  signNames,
  tins,
  vesselKinds,
  type Bench,
  type Cutter,
  type CutRecord,
  type Day,
  type DayBook,
  type Doneness,
  type DoneSign,
  type Fryer,
  type Kitchen,
  type LarderItem,
  type LarderKind,
  type LotRecord,
  type MakeAhead,
  type Order,
  type Oven,
  type Piece,
  type Shelf,
  type Tin,
  type Vessel,
  type Weighing,
} from "./book/book";
export {
  listClockRows,
  listClockSteps,
  sayClockStep,
  type ClockRow,
  type ClockStep,
} from "./result/clockRows";
export { tellStep, type ToldStep } from "./result/tellStep";
export { assignTakings, type StepTakings } from "./piece/stepTakes";
export { addDays, findSeason, seasonNames, type Season } from "./book/calendar";
export { toLiquidHabit, type LiquidAim } from "./batch/learnedLiquid";
export { tellHand, toHandKey, toMeasureHabit } from "./batch/learnedPortion";
export { toReadinessRequest } from "./batch/restDough";
export { toPersonHabit } from "./result/forecastDay";
export { placeNames, toFilmHabit, toRelaxedHabit, toThicknessHabit } from "./kit/learnedDough";
export { toJobFactor, toJobHabit } from "./tasks/paceTasks";
export { toHeaterHabit, toHeatFactor, toHeatHabit, toHeatUpHabit, toOvenHabit } from "./kit/learnedHeat";
export { closeLarder, giveBack, LEAST_KEPT_G, takeUse } from "./larder/leftovers";
export { blanksKeepDays, findKeepDays } from "./larder/keeping";
export { toLarderItem } from "./larder/makeAhead";
export { listAllergens, listMaterials } from "./piece/materials";
export { type Material, type MaterialUse } from "./result/material";
export { listShopping, type ShoppingLine, type WeighedDay } from "./larder/shopping";
export { stations, type Station } from "../way";
export {
  type BlankYield,
  type Coating,
  type CutPrice,
  type CutRole,
  type DayBatch,
  type DayCaution,
  type DayCut,
  type DayPlan,
  type DayTask,
  type DoughRest,
  type LarderUse,
  type Leftover,
  type MassFlow,
  type PieceFill,
  type PiecePlan,
  type Tally,
  type TaskKind,
} from "./result/dayPlan";
export { sayProblem, type Problem, type ProblemCode, type ProblemNumbers } from "./result/problem";
export type { WhyStep } from "./result/whyStep";
export { findCrimpId, listCrimps } from "./piece/crimpOf";
export { toForm } from "./piece/usualForm";
export { shapePiece, type ShapedPiece } from "./piece/shapePiece";
export { type ShapeContext } from "./piece/shapeContext";
export type { HandOperation, HandWork, PieceWorks } from "./piece/handWork";
export {
  divideBatch,
  listFollows,
  type BatchDivision,
  type BatchRequest,
  type BatchShare,
  type DividedBatch,
  type LayerOver,
} from "./ask/divideBatch";
export { sayBatchFailure, type BatchFailure, type Follows } from "./ask/batchFailure";
export { findMixedG } from "./batch/findMixedG";
export { listMends } from "./ask/mends";
export type { PieceMend } from "./ask/pieceMend";
export { listSchools, type School, type SchoolFacts, type SchoolOption } from "./ask/schools";
export {
  applyChoice,
  compareVariants,
  weighChoices,
  type Choice,
  type DayFigures,
  type VariantFigures,
} from "./ask/whatIf";
export { findFilling } from "./piece/findFormulas";
export { listDecks, listLights, setFor, type DeckHeat, type Light } from "./kit/ovenSetting";
export { SHARED_HEAT_C } from "./tasks/scheduleProblem";
export { isVesselId } from "./kit/kitHolds";
export { countOnShelf } from "./kit/kitRoom";
export { nameHeld } from "./doubts/kitDoubts";
export { countBaskets, type FryPlan } from "./piece/planFrying";
export { answerDay, type DayAnswers, type DayIf, type DayNow } from "./ask/dayIfs";
export { answerAhead, type AheadAnswers, type AheadIf } from "./ask/aheadIfs";
export { toBaked, toChillPiece, toCooling, toFryLoad, toKnownBake } from "./piece/knownBake";
export { applyDayChange, type DayChange } from "./ask/dayChange";
export { listProblemMends, type ProblemMend } from "./ask/problemMends";
export {
  createCutter,
  createFormula,
  createFryer,
  createOven,
  createPiece,
  createShelf,
  createVessel,
} from "./usual";
