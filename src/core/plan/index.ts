export { NO_PAST, type PastLog } from "../habits";
export { groupOrders } from "./line";
export { planDay } from "./planDay";
export { checkDay } from "./result";
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
} from "./book";
export { listClockRows, listClockSteps, sayClockStep, type ClockRow, type ClockStep } from "./clock";
export { listRestEnds, tellStep, type ToldStep } from "./clock";
export { assignTakings, type StepTakings } from "./piece";
export { countUnknownLoads, FRESH_OIL, type FriedLoad, type Oil } from "./book";
export { addDays, findSeason, findWeekday, seasonNames, type Season } from "./book";
export { toLiquidHabit, type LiquidAim } from "./learned";
export { tellHand, toHandKey, toMeasureHabit } from "./learned";
export { toReadinessRequest } from "./batch";
export { toPersonHabit } from "./clock";
export { placeNames, toFilmHabit, toRelaxedHabit, toThicknessHabit } from "./learned";
export { toJobFactor, toJobHabit } from "./tasks";
export { toHeaterHabit, toHeatFactor, toHeatHabit, toHeatUpHabit, toOvenHabit } from "./learned";
export { closeLarder, giveBack, LEAST_KEPT_G, takeUse } from "./larder";
export { blanksKeepDays, findKeepDays } from "./larder";
export { toLarderItem } from "./larder";
export {
  listContents,
  listFormulaContents,
  listMaterials,
  listPieceMaterials,
  findAllergens,
  type Content,
} from "./line";
export { type Material, type MaterialUse } from "./result";
export { listShopping, type ShoppingLine, type WeighedDay } from "./larder";
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
} from "./result";
export { TOO_MUCH_MIN } from "./result";
export { gatherProblems, sayProblem, type Problem, type ProblemCode, type ProblemNumbers } from "./problem";
export type { WhyStep } from "./problem";
export { findCrimpId, listCrimps } from "./piece";
export { toForm } from "./piece";
export { shapePiece, toShapeContext, type ShapedPiece } from "./piece";
export { type ShapeContext } from "./piece";
export type { HandOperation, HandWork, PieceWorks } from "./piece";
export { findMixedG } from "./batch";
export { findFilling } from "./piece";
export { listDecks, listLights, setFor, type DeckHeat, type Light } from "./kit";
export { SHARED_HEAT_C } from "./tasks";
export { isVesselId } from "./tasks";
export { countOnShelf } from "./kit";
export { nameHeld } from "./doubts";
export { countBaskets, type FryPlan } from "./piece";
export { toBaked, toChillPiece, toCooling, toFryLoad, toKnownBake } from "./piece";
// Nothing of the plan stands on these: all that their own index names is for those outside.
export * from "./ask";
export * from "./usual";
