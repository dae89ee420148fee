import type { Caution } from "../../cautions";
import type { CutAim, CutPlan } from "../../cutting";
import type { BlankRole } from "../../forming";
import type {
  Batch,
  DividedPiece,
  Dough,
  EggBalance,
  Formula,
  FormulaAnalysis,
  WeighStep,
} from "../../formula";
import type { ColdPlace, ReadinessRequest } from "../../heat";
import type { YieldHabit } from "../../habits";
import type { TrayLoading } from "../../loading";
import type { PortionPart } from "../../filling";
import type { EndForecast, PlacedTask, Schedule, ScheduleProblem, TaskHeat } from "../../schedule";
import type { Outline } from "../../shape";
import type { Station } from "../../way";
import type { Problem, WhyStep } from "../problem";
import type { LiquidAim } from "../learned";
import type { LarderItem, LarderKind, Order, Oven, Piece } from "../book";
import type { Material } from "./material";
import type { FryPlan, ShapedPiece } from "../piece";

/** What one aim would cost. */
export interface CutPrice {
  readonly aim: CutAim;
  readonly doughG: number;
  readonly sheets: number;
  readonly rerolls: number;
  readonly handMin: number;
}

/** Blanks of one role of a piece. */
export interface BlankYield {
  readonly role: BlankRole;
  readonly outline: Outline;
  readonly needed: number;
  readonly cut: number;
  readonly fromFirstRolling: number;
  readonly eachG: number;
}

/** A demand of a cut plan, as the baker knows it. */
export interface CutRole {
  readonly demandId: string;
  readonly pieceId: string;
  readonly pieceName: string;
  readonly role: BlankRole;
  readonly outline: Outline;
  readonly isVisible: boolean;
  /** Its piece is made of several blanks. */
  readonly hasPartner: boolean;
}

/** One dough at one thickness, rolled and cut for every piece that is made of it. */
export interface DayCut {
  readonly id: string;
  readonly dough: Dough;
  readonly thicknessMm: number;
  readonly aim: CutAim;
  readonly pieceIds: readonly string[];
  /** What each demand of the plan becomes. */
  readonly roles: readonly CutRole[];
  readonly plan: CutPlan;
  readonly prices: readonly CutPrice[];
  readonly why: readonly WhyStep[];
}

/** How many of a piece the day orders, makes and takes from the larder. */
export interface PieceCounts {
  readonly ordered: number;
  /** Ordered and spare: what is baked. */
  readonly made: number;
  /** Of these, taken from the larder as frozen pieces; baked, not filled. */
  readonly frozenTaken: number;
  /** Taken from the larder as cut blanks or baked shells; filled, not cut. */
  readonly blanksTaken: number;
  /** Of these, baked empty already: neither closed nor baked so again. */
  readonly shellsTaken: number;
  /** Made today for another day: filled, closed and frozen unbaked; or lined, baked empty and kept. */
  readonly ahead: Readonly<Record<"frozenPieces" | "shells", number>>;
  /** What is filled and closed today: made less the frozen ones, and those that are frozen for another day. */
  readonly toFill: number;
}

/** Everything known about one kind of piece on this day. */
export interface PiecePlan {
  readonly piece: Piece;
  /** The piece by itself; its masses are the mean of those the day makes, which two fillings come to in whole pieces. */
  readonly shaped: ShapedPiece;
  readonly orders: readonly Order[];
  readonly counts: PieceCounts;
  /** Where its blanks come from, with those of other pieces that share the dough. */
  readonly cut: DayCut;
  /** What of it is cut, by role. */
  readonly blanks: readonly BlankYield[];
  /** Whole sets of blanks that are cut. */
  readonly setsCut: number;
  /** Its part of the dough of the cut, by its blanks' mass. */
  readonly doughG: number;
  /** Each filling with the pieces that get it. */
  readonly fills: readonly PieceFill[];
  /** Of all fillings. */
  readonly fillingG: number;
  readonly coats: PieceCoats;
  /** Minutes of hands over the day, by the baker's pace and by the craft's. */
  readonly handsMin: Readonly<Record<"fill" | "close" | "fillByCraft" | "closeByCraft", number>>;
  readonly loading: TrayLoading;
  /** What each fryer would make of it, those that can; empty for what is baked. */
  readonly fries: readonly FryPlan[];
  /** By order id: when the last of its pieces is set out, minutes after midnight; empty without a schedule. */
  readonly readyMin: Readonly<Record<string, number>>;
  /** By order id: when it is complete nine days in ten, by what is known of hands and ovens. */
  readonly readyMostMin: Readonly<Record<string, number>>;
  readonly why: Readonly<Record<"portion" | "load", readonly WhyStep[]>>;
}

/** One filling of a piece over the day. */
export interface PieceFill {
  readonly part: PortionPart;
  readonly count: number;
  readonly totalG: number;
  /** Where it is poured into pans: how many, and its even part for each; null otherwise. */
  readonly pans: { readonly count: number; readonly eachG: number; readonly eachMl: number } | null;
}

/** What the pieces of a line take on their outside, and what comes off them, over the day, g. */
export interface PieceCoats {
  readonly glueG: number;
  readonly glazeG: number;
  readonly washG: number;
  readonly sugarG: number;
  readonly trimG: number;
}

/** Something brushed or strewn on, and how much of it the day takes. */
export interface Coating {
  readonly name: string;
  readonly massG: number;
}

/** So much of a larder item is used today. */
export interface LarderUse {
  readonly item: LarderItem;
  readonly massG: number;
  readonly count: number;
}

/** How long a dough rests before it is rolled, and why. */
export interface DoughRest {
  /** Null: the model finds that it never gets there; the baker's minutes are planned instead. */
  readonly modelMin: number | null;
  /** What was asked of the model, and where it rests; null where the baker's minutes are taken unasked. */
  readonly model: { readonly place: ColdPlace; readonly request: ReadinessRequest } | null;
  readonly minutes: number;
  readonly why: readonly WhyStep[];
}

/** A formula's part in the day: what is needed of it, where it comes from, and what to weigh. */
export interface DayBatch {
  readonly formula: Formula;
  readonly pieceIds: readonly string[];
  readonly neededG: number;
  /** Of the need, what is made for another day. */
  readonly aheadG: number;
  readonly uses: readonly LarderUse[];
  readonly fromLarderG: number;
  /** What is mixed today; null if the larder holds enough. */
  readonly batch: Batch | null;
  readonly steps: readonly WeighStep[];
  /** Mixed and taken beyond the need; below 0 it is short. */
  readonly overG: number;
  /** Where it is short: how many of the day's pieces it is enough for. */
  readonly enoughForPieces: number | null;
  /** What its liquid is aimed at; null where nothing of it was ever kept. */
  readonly liquidAim: LiquidAim | null;
  /** Of a dough that is bought: whole sheets to take. Null otherwise. */
  readonly boughtSheets: number | null;
  /** Doughs only. */
  readonly rest: DoughRest | null;
  readonly divided: readonly DividedPiece[];
}

/** What the day leaves that keeps: to be put in the larder. */
export interface Leftover {
  readonly kind: LarderKind;
  readonly refId: string;
  readonly label: string;
  readonly massG: number;
  readonly count: number;
  readonly keepsDays: number;
}

export type TaskKind =
  | "mix"
  | "precook"
  | "make"
  | "takeOut"
  | "roll"
  | "sugar"
  | "line"
  | "fill"
  | "warm"
  | "pour"
  | "seal"
  | "bake"
  | "fry"
  | "unmould"
  | "glaze"
  | "finish"
  | "store";

/** A caution with the pieces that it is for. */
export interface DayCaution extends Caution {
  readonly pieceIds: readonly string[];
}

/** A step of a piece's way as it stands in a task. */
export interface TaskStep {
  readonly stepId: string;
  /** Minutes after midnight of its own; null where the task does it piece by piece. */
  readonly atMin: number | null;
}

/** What a placed task is. `index` counts sheets or loads from 1 within the piece. */
export interface DayTask {
  readonly id: string;
  readonly kind: TaskKind;
  readonly station: Station;
  readonly pieceId: string | null;
  readonly formulaId: string | null;
  /** The cut a sheet belongs to. */
  readonly cutId: string | null;
  /** The pieces it is done to, that go their way together: `apple-pie:2`, `apple-pie:frozen:1`; null for what is done for all. */
  readonly lotKey: string | null;
  readonly index: number;
  readonly pieces: number;
  readonly label: string;
  readonly handsMin: number;
  /** Of a bake: what the oven is set to as it begins and as it ends. */
  readonly heat: TaskHeat | null;
  /** Of a bake or a frying: the oven or fryer it is in. */
  readonly machineId: string | null;
  /** Of a bake: minutes at its end that are kept for "not yet". */
  readonly slackMin: number;
  /** Of the piece's way, those it does, in their order. */
  readonly steps: readonly TaskStep[];
  /** Who does it: 0 the baker, 1 the helper. */
  readonly person: number;
  readonly placed: PlacedTask;
}

/** The day's mass from dough to pieces, g. Dough, filling, whole, coats and stored in; all the others out. */
export interface MassFlow {
  readonly doughG: number;
  readonly blanksG: number;
  /** Dough that went through a re-roll. */
  readonly rerolledG: number;
  readonly decorationsG: number;
  readonly trimLeftG: number;
  readonly rollingLossG: number;
  /** Blanks cut beyond what is filled. */
  readonly surplusBlanksG: number;
  readonly fillingG: number;
  /** Fruit, nuts and slices that are neither dough nor a filling. */
  readonly wholeG: number;
  /** Brushed, strewn, dropped and glazed on: all that is neither dough, filling nor of the form. */
  readonly coatsG: number;
  /** Dough that comes off the pieces as they are closed, and is used again. */
  readonly returnedG: number;
  /** Raw mass of frozen pieces and blanks taken from the larder. */
  readonly storedG: number;
  /** Frozen raw or baked empty for another day: out before the pieces. */
  readonly keptG: number;
  readonly waterG: number;
  readonly piecesG: number;
}

export interface Tally {
  readonly doughG: number;
  readonly blanks: number;
  readonly fillingG: number;
  readonly ready: number;
  readonly ordered: number;
  readonly readyMin: number | null;
  readonly startMin: number | null;
  /** Minutes between opening and the first thing to do; negative minutes are late ones. */
  readonly inHandMin: number | null;
}

/** An oven or a fryer as the schedule knows it. */
export interface DayMachine {
  readonly id: string;
  readonly resourceId: string;
  readonly name: string;
  readonly maxC: number;
  readonly isFryer: boolean;
}

export interface DayPlan {
  /** Every piece of the book by its id, ordered or not; null where it cannot be made as described. */
  readonly shaped: Readonly<Record<string, ShapedPiece | null>>;
  /** Every formula of the book by its id. */
  readonly analyses: Readonly<Record<string, FormulaAnalysis>>;
  /** By formula id: what its liquid is aimed at; null where nothing of it was ever kept. */
  readonly liquidAims: Readonly<Record<string, LiquidAim | null>>;
  /** When the last of the work ends, as minutes of this baker and these ovens stray; null without a schedule. */
  readonly ends: EndForecast | null;
  /** The most that any promise is planned for before its minute, so that it holds nine times in ten; 0 without a reserve. */
  readonly reserveMin: number;
  /** By dough id: how the baker's hand cuts it, by the log. */
  readonly yieldHabits: Readonly<Record<string, YieldHabit>>;
  readonly lines: readonly PiecePlan[];
  readonly cuts: readonly DayCut[];
  readonly eggs: EggBalance;
  /** Glue for all seams of the day, by kind. */
  readonly glues: readonly Coating[];
  /** Wash for all tops of the day, by kind. */
  readonly washes: readonly Coating[];
  /** Glaze of the day by kind. */
  readonly glazes: readonly Coating[];
  readonly sugarG: number;
  /** All that goes into or onto pieces beside doughs and fillings. */
  readonly materials: readonly Material[];
  readonly leftovers: readonly Leftover[];
  readonly larderUses: readonly LarderUse[];
  /** Larder items that the day does not use although they are there: past their use-by date. */
  readonly expired: readonly LarderItem[];
  readonly doughs: readonly DayBatch[];
  readonly fillings: readonly DayBatch[];
  /** The book's ovens as their readings taught of them, the one that trays are laid for first. */
  readonly ovens: readonly Oven[];
  /** All that heats, used today or not, by the schedule's names. */
  readonly machines: readonly DayMachine[];
  /** What is scheduled, for a search to begin from; null if there is nothing to do. */
  readonly problem: ScheduleProblem | null;
  readonly schedule: Schedule | null;
  readonly tasks: readonly DayTask[];
  readonly flow: MassFlow;
  readonly tally: Tally;
  readonly problems: readonly Problem[];
  readonly cautions: readonly DayCaution[];
}
