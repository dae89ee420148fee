export { NO_PAST, type PastLog } from "../habits";
export { planDay } from "./planDay";
export { planMakings } from "./planMakings";
export {
  doneSigns,
  larderKinds,
  shelfPlaces,
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
export { listClockRows, listClockSteps, sayClockStep, type ClockRow, type ClockStep } from "./clockRows";
export { tellStep, type ToldStep } from "./tellStep";
export { assignTakings, type StepTakings } from "./stepTakes";
export { addDays } from "./calendar";
export { toReadinessRequest } from "./restDough";
export { closeLarder } from "./leftovers";
export { listAllergens, listMaterials, materialUses, type Material, type MaterialUse } from "./materials";
export { listShopping, type ShoppingLine, type WeighedDay } from "./shopping";
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
  type Problem,
  type Tally,
  taskKinds,
  type TaskKind,
  type WhyStep,
} from "./dayPlan";
export { findCrimpId, shapePiece, type ShapeContext, type ShapedPiece } from "./shapePiece";
export type { HandOperation, HandWork, PieceWorks } from "./handWork";
export { listSchools, type School, type SchoolFacts, type SchoolOption } from "./schools";
export {
  applyChoice,
  compareVariants,
  weighChoices,
  type Choice,
  type DayFigures,
  type VariantFigures,
} from "./whatIf";
export { findFilling } from "./shapePiece";
export { listDecks, listLights, setFor, toFryerId, toOvenId, type DeckHeat, type Light } from "./ovenSetting";
export { SHARED_HEAT_C } from "./scheduleProblem";
export { countOnShelf } from "./kitRoom";
export { nameHeld } from "./kitDoubts";
export { countBaskets, type FryPlan } from "./planFrying";
export {
  answerDay,
  applyDayChange,
  type DayAnswers,
  type DayChange,
  type DayIf,
  type DayNow,
} from "./dayIfs";
export { answerAhead, type AheadAnswers, type AheadIf } from "./aheadIfs";
export { toBaked, toChillPiece, toFryLoad, toKnownBake } from "./knownBake";
