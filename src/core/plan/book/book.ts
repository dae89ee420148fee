import type { CutAim } from "../../cutting";
import type { PieceForm } from "../../forming";
import type { Formula, Ingredient } from "../../formula";
import type { OvenKind } from "../../heat";
import type { LaidTask } from "../../schedule";
import type { CutOutcome, LotOutcome, PastLog } from "../../habits";
import type { PieceExtra } from "../../filling";
import type { CrimpId, Glaze, GlueId, Vents, Wash } from "../../sealing";
import type { Outline, SheetShape } from "../../shape";
import type { EggSize, HouseMeasures, MeasureSystem, OvenScale } from "../../units";
import type { Way } from "../../way";
import type { Oil } from "./oil";

export const tins = ["bare", "buttered", "floured", "sprayed", "papered"] as const;
/** What keeps a piece from sticking to what it is baked in or on. */
export type Tin = (typeof tins)[number];

export const doneSigns = ["golden", "baseBrown", "skewer", "set", "trembles"] as const;
/** What is looked for before a piece is called done. */
export type DoneSign = (typeof doneSigns)[number];

export const signNames: Readonly<Record<DoneSign, string>> = {
  golden: "it is golden all over",
  baseBrown: "the base is brown",
  skewer: "a skewer meets no resistance",
  set: "the custard no longer ripples",
  trembles: "it barely trembles in the middle",
};

/** How a piece is known to be done; if it is not yet, it gets so many minutes more, and again, at most so often. */
export interface Doneness {
  readonly sign: DoneSign;
  readonly moreMin: number;
  readonly atMost: number;
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
  /** Main filling in each, g, as the baker weighs it; null to fill it as plump as it is set. */
  readonly portionG: number | null;
  /** What else it holds than its main filling. */
  readonly extras: readonly PieceExtra[];
  readonly crimp: CrimpId;
  readonly glue: GlueId;
  readonly vents: Vents;
  readonly wash: Wash;
  readonly tin: Tin;
  /** The mould or pan of the kit that it is baked in; null on a bare tray. */
  readonly vesselId: string | null;
  readonly doneness: Doneness;
  readonly glaze: Glaze;
  /** Least dough left between two cuts. */
  readonly webMm: number;
  /** Edge of the sheet lost all round. */
  readonly raggedMm: number;
  readonly cutAim: CutAim;
  /** Lids, tops and what else is seen come from the first rolling; false: from what is rolled again, and the rest first. */
  readonly seenFirst: boolean;
  /** The sheet size the baker drew, used while `cutAim` is pinned. */
  readonly pinnedSheet: SheetShape | null;
  /** Pieces made beyond the orders. */
  readonly spares: number;
  /** How it goes from dough to ready: its heats, its waits, and the order of all that is done to it. */
  readonly way: Way;
  /** Share of the filled piece's mass that leaves as water in the oven. */
  readonly bakeLossShare: number;
  /** Gap between pieces on the tray. */
  readonly spacingMm: number;
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
  /** What it draws while it heats; 0 where nobody said. */
  readonly powerKw: number;
  /** What a bake is set to and how long it takes follow from it: stages are written for still air. */
  readonly kind: OvenKind;
  /** Deck by deck from the top, at least one: the air is so much hotter than it says; below 0 it is colder. */
  readonly deckOffsetsC: readonly number[];
}

export const vesselKinds = ["mould", "pan", "tray"] as const;
/** Moulds of one kind, pans of one kind, or the trays that everything else lies on. */
export interface Vessel {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof vesselKinds)[number];
  readonly count: number;
  /** Pieces in each: its cavities, or what a pan takes; 1 for a tray. */
  readonly holds: number;
}

export const shelfPlaces = ["fridge", "freezer", "rack"] as const;
/** Shelves of one size that trays stand on to chill or to cool. */
export interface Shelf {
  readonly id: string;
  readonly name: string;
  readonly place: (typeof shelfPlaces)[number];
  readonly count: number;
  readonly widthMm: number;
  readonly depthMm: number;
}

/** A fryer, or a pan of oil on its own heat. */
export interface Fryer extends Oil {
  readonly id: string;
  readonly name: string;
  readonly oilKg: number;
  /** Heat that warms the oil with its pan, for each kilogram of oil, J/kg K. */
  readonly oilJPerKgK: number;
  /** Off its surface and walls, W for each degree above the room. */
  readonly lossWPerK: number;
  readonly heaterW: number;
  /** Its thermostat goes no higher. */
  readonly maxC: number;
  readonly basketWidthMm: number;
  readonly basketDepthMm: number;
  readonly potDepthMm: number;
  /** The oil with the food in it stands no higher than this share of the pot's depth. */
  readonly fillShare: number;
  readonly changeAfterLoads: number;
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
  /** It is planned so early that its promises hold nine times in ten, where there is room for that. */
  readonly keepsReserve: boolean;
  /** The order of the day that a search has found and the baker has kept; empty to construct it anew. */
  readonly laid: readonly LaidTask[];
  /** Jobs that the baker has pinned to a minute and a machine. */
  readonly pinned: readonly LaidTask[];
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
export interface Kitchen extends HouseMeasures {
  readonly id: string;
  /** Whose cups and spoons amounts are read by. */
  readonly system: MeasureSystem;
  readonly eggSize: EggSize;
  readonly ovenScale: OvenScale;
  readonly roomC: number;
  readonly fridgeC: number;
  readonly freezerC: number;
  /** Dough as it comes from mixing. */
  readonly mixedC: number;
  /** The zone whose wall clock it goes by, as "Europe/Lisbon"; null for the computer's own. */
  readonly timeZone: string | null;
  /** What money is told in, three letters as "EUR"; null for figures alone. */
  readonly currency: string | null;
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

/** Something that one day makes for another: dough and filling by mass, shells and frozen pieces by count. */
export interface MakeAhead {
  readonly id: string;
  /** The day that makes it, and its date. */
  readonly dayId: string;
  readonly date: string;
  readonly forDate: string;
  readonly kind: LarderKind;
  readonly refId: string;
  readonly massG: number;
  readonly count: number;
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
  readonly vessels: readonly Vessel[];
  readonly shelves: readonly Shelf[];
  readonly fryers: readonly Fryer[];
  readonly kitchen: Kitchen;
  /** The baker's own entries; they stand before the ones that ship. */
  readonly ingredients: readonly Ingredient[];
  readonly larder: readonly LarderItem[];
  /** Made on this day for another, or on another for this one. */
  readonly ahead: readonly MakeAhead[];
  /** This day's, and as many of other days as are not in `past`. */
  readonly weighings: readonly Weighing[];
  readonly cutRecords: readonly CutRecord[];
  readonly lotRecords: readonly LotRecord[];
  /** The rest of the log, as sums. */
  readonly past: PastLog;
  /** Minutes after the day's midnight it is now, or null if the day is planned ahead. */
  readonly nowMin: number | null;
  /** It was run and closed: what its own run recorded is shown and does not move its plan. */
  readonly isClosed?: boolean;
}
