import type { CutAim } from "../cutting";
import type { PieceForm } from "../forming";
import type { Formula, Ingredient } from "../formula";
import type { OvenKind } from "../heat";
import type { LaidTask } from "../schedule";
import type { CutOutcome, LotOutcome } from "../habits";
import type { PieceExtra } from "../filling";
import type { CrimpId, GlueId, Vents, Wash } from "../sealing";
import type { Outline, SheetShape } from "../shape";
import type { EggSize, MeasureSystem } from "../units";

export const tins = ["bare", "buttered", "floured", "sprayed", "papered"] as const;
/** What keeps a piece from sticking to what it is baked in or on. */
export type Tin = (typeof tins)[number];

export const stageActs = ["none", "turn", "secondCoat", "weightsOut", "pressDown", "fill"] as const;
/** What is done at the end of a stage. */
export type StageAct = (typeof stageActs)[number];

/** Part of a bake at one setting of the oven. */
export interface BakeStage {
  readonly ovenC: number;
  readonly minutes: number;
  readonly act: StageAct;
}

/** One kind of pastry, as the baker makes it. */
export interface Piece {
  readonly id: string;
  readonly name: string;
  readonly form: PieceForm;
  /** The blank, the base or the strip, as it is cut. */
  readonly cut: Outline;
  readonly doughId: string;
  readonly fillingId: string;
  readonly thicknessMm: number;
  readonly marginMm: number;
  /** 0 flat to 1 round. */
  readonly plumpness: number;
  /** What else it holds than its main filling. */
  readonly extras: readonly PieceExtra[];
  readonly crimp: CrimpId;
  readonly glue: GlueId;
  readonly vents: Vents;
  readonly wash: Wash;
  readonly tin: Tin;
  /** Least dough left between two cuts. */
  readonly webMm: number;
  /** Edge of the sheet lost all round. */
  readonly raggedMm: number;
  readonly cutAim: CutAim;
  /** The sheet size the baker drew, used while `cutAim` is pinned. */
  readonly pinnedSheet: SheetShape | null;
  /** Pieces made beyond the orders. */
  readonly spares: number;
  readonly chillMin: number;
  /** How it is baked, stage after stage; at least one. */
  readonly stages: readonly BakeStage[];
  /** Share of the filled piece's mass that leaves as water in the oven. */
  readonly bakeLossShare: number;
  /** Gap between pieces on the tray. */
  readonly spacingMm: number;
  readonly coolMin: number;
}

/** The bench, and the largest sheet the baker rolls on it. */
export interface Bench {
  readonly id: string;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly sheetMaxWidthMm: number;
  readonly sheetMaxDepthMm: number;
}

export interface Oven {
  readonly id: string;
  readonly name: string;
  /** Trays that bake at the same time, over all decks. */
  readonly traysAtOnce: number;
  readonly trayWidthMm: number;
  readonly trayDepthMm: number;
  readonly heatUpCPerMin: number;
  readonly coolDownCPerMin: number;
  readonly maxC: number;
  /** What a bake is set to and how long it takes follow from it: stages are written for still air. */
  readonly kind: OvenKind;
  /** Its air is so much hotter than it says; below 0 it is colder. */
  readonly offsetC: number;
}

/** A cutter in the drawer. */
export interface Cutter {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
  /** How many there are, where it matters (a stamp that cuts many at once); 1 mostly. */
  readonly count: number;
}

export interface Day {
  readonly id: string;
  /** Local calendar date, YYYY-MM-DD; one day a date. */
  readonly date: string;
  readonly name: string;
  /** Minutes after midnight before which nobody starts. */
  readonly openMin: number;
  /** A second pair of hands for part of the day; null if there is none. */
  readonly helper: { readonly fromMin: number; readonly toMin: number } | null;
  /** The order of the day that a search has found and the baker has kept; empty to construct it anew. */
  readonly laid: readonly LaidTask[];
}

export interface Order {
  readonly id: string;
  readonly dayId: string;
  readonly pieceId: string;
  readonly count: number;
  /** Promised for, minutes after midnight. */
  readonly dueMin: number;
  readonly customer: string;
}

/** How the kitchen measures, and how warm its places are. */
export interface Kitchen {
  readonly id: string;
  readonly system: MeasureSystem;
  readonly eggSize: EggSize;
  readonly roomC: number;
  readonly fridgeC: number;
  readonly freezerC: number;
  /** Dough as it comes from mixing. */
  readonly mixedC: number;
}

export const larderKinds = ["dough", "filling", "blanks", "shells", "frozenPieces"] as const;
/** Dough and filling are kept by mass; cut blanks, baked shells and frozen unbaked pieces by count. */
export type LarderKind = (typeof larderKinds)[number];

/** A portion in the larder, labelled. */
export interface LarderItem {
  readonly id: string;
  readonly kind: LarderKind;
  /** The formula of a dough or filling; the piece that blanks, shells or frozen pieces belong to. */
  readonly refId: string;
  /** Grams, for dough and filling; 0 otherwise. */
  readonly massG: number;
  /** Pieces, for what is counted; 0 otherwise. */
  readonly count: number;
  /** Local dates, YYYY-MM-DD. The use-by date is the last day it may be used. */
  readonly madeOn: string;
  readonly useBy: string;
  /** The day it was left over from; null if it was put in by hand. */
  readonly fromDayId: string | null;
  /** The day that has used it up; null while it is there. */
  readonly takenByDayId: string | null;
}

/** What was done about one batch of a day: lines weighed, liquid taken, a size of the baker's own. */
export interface Weighing {
  readonly id: string;
  readonly dayId: string;
  readonly date: string;
  readonly formulaId: string;
  readonly tickedLineIds: readonly string[];
  /** Grams of liquid that this batch took, and its multiple of the formula as written; null until recorded. */
  readonly took: { readonly massG: number; readonly scale: number } | null;
  /** Grams the baker mixes instead of what the plan asks for; null to follow the plan. */
  readonly mixG: number | null;
}

/** What the rolling of one dough really gave, on one day at one thickness. */
export interface CutRecord extends CutOutcome {
  readonly id: string;
  readonly dayId: string;
  readonly date: string;
  readonly doughId: string;
}

/** What making one kind of piece on one day really took, and how many of them leaked. */
export interface LotRecord extends LotOutcome {
  readonly id: string;
  readonly dayId: string;
  readonly date: string;
  readonly pieceId: string;
}

/** Everything a day's plan is made of: one self-contained document. */
export interface DayBook {
  readonly day: Day;
  readonly orders: readonly Order[];
  readonly pieces: readonly Piece[];
  readonly formulas: readonly Formula[];
  readonly bench: Bench;
  readonly ovens: readonly Oven[];
  readonly cutters: readonly Cutter[];
  readonly kitchen: Kitchen;
  /** The baker's own entries; they stand before the ones that ship. */
  readonly ingredients: readonly Ingredient[];
  readonly larder: readonly LarderItem[];
  readonly weighings: readonly Weighing[];
  readonly cutRecords: readonly CutRecord[];
  readonly lotRecords: readonly LotRecord[];
  /** Minutes after the day's midnight it is now, or null if the day is planned ahead. */
  readonly nowMin: number | null;
}
